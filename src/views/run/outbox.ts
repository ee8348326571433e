/**
 * The events of every run this document knows: those the server has, and those on their way to it, which are sent one by
 * one in order, each again until the server has it. Belongs to the document, not to a page, so that leaving the run for
 * another page of the app loses nothing. Closing the tab asks first.
 */
import { useSyncExternalStore } from 'react';
import { call, ProblemError } from '../../contract';
import type { RunEvent } from '../../core/run';
import { setAway } from '../../ui/away';
import { heardServer } from '../../ui/clock';

const RETRY_MS = 1_000;

export interface Box {
  /** What the server has. Events are only ever added, so of two replies that crossed on the way the longer is the newer. */
  confirmed: readonly RunEvent[];
  waiting: readonly RunEvent[];
}

const EMPTY: Box = { confirmed: [], waiting: [] };
const boxes = new Map<string, Box>();
const listeners = new Set<() => void>();
const pumping = new Set<string>();

const boxOf = (runId: string): Box => boxes.get(runId) ?? EMPTY;

/** What is known of a run's events now, outside a view. */
export const peek = boxOf;

function set(runId: string, box: Box): void {
  boxes.set(runId, box);
  for (const listener of listeners) listener();
}

/** Takes the server's list of a run's events, unless a newer one is known; what it has no longer waits. */
export function heardEvents(runId: string, events: readonly RunEvent[]): void {
  const box = boxOf(runId);
  if (events.length <= box.confirmed.length) return;
  set(runId, { confirmed: events, waiting: box.waiting.filter((event) => !events.some((known) => known.id === event.id)) });
}

/** Sends the oldest event of a run, or waits a moment when there is no answer. */
async function sendNext(runId: string, event: RunEvent, refused: (words: string) => void): Promise<void> {
  try {
    const reply = await call('putRunEvent', { params: { id: runId, eventId: event.id }, body: event });
    setAway(false);
    heardServer(reply.now);
    heardEvents(runId, reply.events);
  } catch (error) {
    if (error instanceof ProblemError && error.problem.status < 500) {
      // what follows a refused event was built on it: the server's list is taken instead
      set(runId, { ...boxOf(runId), waiting: [] });
      refused(error.message);
      return;
    }
    setAway(!(error instanceof ProblemError));
    await new Promise((done) => setTimeout(done, RETRY_MS));
  }
}

async function pump(runId: string, refused: (words: string) => void, saved: () => void): Promise<void> {
  if (pumping.has(runId)) return;
  pumping.add(runId);
  for (let next = boxOf(runId).waiting[0]; next; next = boxOf(runId).waiting[0]) await sendNext(runId, next, refused);
  pumping.delete(runId);
  saved();
}

/** Puts an event in the outbox and sees it on its way; `saved` is called once nothing waits. */
export function post(runId: string, event: RunEvent, refused: (words: string) => void, saved: () => void): void {
  const box = boxOf(runId);
  set(runId, { ...box, waiting: [...box.waiting, event] });
  void pump(runId, refused, saved);
}

export function useBox(runId: string): Box {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => boxOf(runId),
    () => EMPTY,
  );
}

if (typeof window !== 'undefined') {
  window.addEventListener('beforeunload', (event) => {
    if ([...boxes.values()].some((box) => box.waiting.length > 0)) event.preventDefault();
  });
}
