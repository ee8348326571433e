/** A run in this page: its events, those still on their way to the server, and the state they add up to. */
import { useEffect, useMemo, useRef, useState } from 'react';
import type { RunReply } from '../../contract';
import { STALE_AFTER } from '../../contract/paths';
import {
  apply,
  type Counts,
  countsOf,
  planOf,
  predict,
  type Replayed,
  type RunEvent,
  type RunFact,
  type RunPlan,
  type RunState,
  replayFrom,
} from '../../core/run';
import { serverNow } from '../../ui/clock';
import { newId } from '../../ui/newId';
import { heardEvents, post, useBox, whenSettled } from '../../ui/outbox';
import { refresh } from '../../ui/query';

export interface LiveRun {
  plan: RunPlan;
  state: RunState;
  counts: Counts;
  events: RunEvent[];
  /** Events not yet confirmed by the server. */
  waiting: number;
  /** Some of them are in this page alone. */
  loose: boolean;
  /** Why the last event was refused, in words. */
  refusal: string | null;
  happen: (fact: RunFact) => void;
}

whenSettled(() => void refresh('order', 'orderKit', 'pressings', ...STALE_AFTER.putRunEvent));

/** Applies events here at once; the outbox sees to the server. Another device's events come in with every fresh reply. */
export function useRun(reply: RunReply): LiveRun {
  const runId = reply.run.id;
  const box = useBox(runId);
  const [refusal, setRefusal] = useState<string | null>(null);
  useEffect(() => {
    heardEvents(runId, reply.events);
  }, [reply, runId]);
  const plan = useMemo(
    () =>
      planOf(
        reply.run,
        reply.card,
        reply.also.map(({ card }) => card),
      ),
    [reply],
  );
  const { startedAt } = reply.run;
  const known = useRef<Replayed | null>(null);
  const confirmed = useMemo((): Replayed => {
    const events = box.confirmed.length >= reply.events.length ? box.confirmed : reply.events;
    return { events, run: replayFrom(known.current, plan, startedAt, events) };
  }, [box.confirmed, reply, plan, startedAt]);
  known.current = confirmed;
  const waiting = useMemo(
    () => box.waiting.filter((event) => !confirmed.events.some((candidate) => candidate.id === event.id)),
    [box.waiting, confirmed],
  );
  const events = useMemo(() => [...confirmed.events, ...waiting], [confirmed, waiting]);
  const state = useMemo(() => predict(plan, startedAt, confirmed, waiting), [plan, startedAt, confirmed, waiting]);
  const happen = (fact: RunFact) => {
    const event = { ...fact, id: newId(), at: serverNow() } as RunEvent;
    const applied = apply(plan, startedAt, events, event, state);
    if (applied.state === 'refused') {
      setRefusal(applied.message);
      return;
    }
    setRefusal(null);
    post(runId, event);
  };
  return {
    plan,
    state,
    counts: countsOf(plan, state),
    events,
    waiting: box.waiting.length,
    loose: box.loose,
    refusal: refusal ?? box.refusal,
    happen,
  };
}
