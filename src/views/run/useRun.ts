/** A run in this page: its events, those still on their way to the server, and the state they add up to. */
import { useEffect, useState } from 'react';
import type { RunReply } from '../../contract';
import { apply, type Counts, countsOf, type RunEvent, type RunFact, type RunPlan, type RunState, replay } from '../../core/run';
import { heardServer, serverNow } from '../../ui/clock';
import { newId } from '../../ui/newId';
import { refresh } from '../../ui/query';
import { heardEvents, post, useBox } from './outbox';

export interface LiveRun {
  plan: RunPlan;
  state: RunState;
  counts: Counts;
  events: RunEvent[];
  /** Events not yet confirmed by the server. */
  waiting: number;
  /** Why the last event was refused, in words. */
  refusal: string | null;
  happen: (fact: RunFact) => void;
}

/** Applies events here at once; the outbox sees to the server. Another device's events come in with every fresh reply. */
export function useRun(reply: RunReply): LiveRun {
  const runId = reply.run.id;
  const box = useBox(runId);
  const [refusal, setRefusal] = useState<string | null>(null);
  useEffect(() => {
    heardServer(reply.now);
    heardEvents(runId, reply.events);
  }, [reply, runId]);
  const plan: RunPlan = { pieces: reply.run.pieces, stages: reply.card.stages };
  const confirmed = box.confirmed.length >= reply.events.length ? box.confirmed : reply.events;
  const events = [...confirmed, ...box.waiting.filter((event) => !confirmed.some((known) => known.id === event.id))];
  const refused = (words: string) => {
    setRefusal(words);
    void refresh('run');
  };
  const happen = (fact: RunFact) => {
    const event = { ...fact, id: newId(), at: serverNow() } as RunEvent;
    const applied = apply(plan, reply.run.startedAt, events, event);
    if (applied.state === 'refused') {
      setRefusal(applied.message);
      return;
    }
    setRefusal(null);
    post(runId, event, refused, () => void refresh('order', 'bench', 'pressings'));
  };
  const state = replay(plan, reply.run.startedAt, events);
  return { plan, state, counts: countsOf(plan, state), events, waiting: box.waiting.length, refusal, happen };
}
