/**
 * Events on their way to the server: sent one by one in order, each again until the server has it. Belongs to the
 * document, not to a page, so that leaving the run for another page of the app loses nothing. Closing the tab asks first.
 */
import { useSyncExternalStore } from 'react';
import { call, ProblemError, type RunReply } from '../../contract';
import type { RunEvent } from '../../core/run';
import { setAway } from '../../ui/away';

const RETRY_MS = 1_000;
const NONE: readonly RunEvent[] = [];

interface Delivery {
  saved: (reply: RunReply) => void;
  refused: (words: string) => void;
}

const queues = new Map<string, readonly RunEvent[]>();
const listeners = new Set<() => void>();
const pumping = new Set<string>();

function set(runId: string, queue: readonly RunEvent[]): void {
  queues.set(runId, queue);
  for (const listener of listeners) listener();
}

/** Sends the oldest event of a run, or waits a moment when there is no answer. */
async function sendNext(runId: string, event: RunEvent, { saved, refused }: Delivery): Promise<void> {
  try {
    const reply = await call('putRunEvent', { params: { id: runId, eventId: event.id }, body: event });
    setAway(false);
    saved(reply);
    set(
      runId,
      (queues.get(runId) ?? NONE).filter((one) => one.id !== event.id),
    );
  } catch (error) {
    if (error instanceof ProblemError && error.problem.status < 500) {
      // what follows a refused event was built on it: the server's list is taken instead
      set(runId, NONE);
      refused(error.message);
      return;
    }
    setAway(!(error instanceof ProblemError));
    await new Promise((done) => setTimeout(done, RETRY_MS));
  }
}

async function pump(runId: string, delivery: Delivery): Promise<void> {
  if (pumping.has(runId)) return;
  pumping.add(runId);
  for (let next = queues.get(runId)?.[0]; next; next = queues.get(runId)?.[0]) await sendNext(runId, next, delivery);
  pumping.delete(runId);
}

/** Puts an event in the outbox and sees it on its way. */
export function post(runId: string, event: RunEvent, delivery: Delivery): void {
  set(runId, [...(queues.get(runId) ?? NONE), event]);
  void pump(runId, delivery);
}

/** The events of a run that the server has not confirmed. */
export function useWaiting(runId: string): readonly RunEvent[] {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => queues.get(runId) ?? NONE,
    () => NONE,
  );
}

if (typeof window !== 'undefined') {
  window.addEventListener('beforeunload', (event) => {
    if ([...queues.values()].some((queue) => queue.length > 0)) event.preventDefault();
  });
}
