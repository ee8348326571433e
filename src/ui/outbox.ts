/**
 * The events of every run this document knows: those the server has, and those on their way to it, which are kept in the
 * browser first and then sent one by one in order, each again until the server has it. Belongs to the document, not to a page,
 * so that leaving the run for another page of the app loses nothing; a new document takes up what an earlier one left.
 */
import { useSyncExternalStore } from 'react';
import { call, ProblemError } from '../contract';
import type { RunEvent } from '../core/run';
import { setAway } from './away';
import { clockIsSure, onClockJump, timed } from './clock';
import { letGo, storedEvents, storeEvent } from './localStore';
import { photosOnWay, takeUpPhotos } from './photo';

const RETRY_MS = 1_000;
/** The step is painted by then, ms: sending it and taking the answer in do not hold the picture up. */
const AFTER_PAINT_MS = 40;

export interface Box {
  /** What the server has. Events are only ever added, so of two replies that crossed on the way the longer is the newer. */
  confirmed: readonly RunEvent[];
  waiting: readonly RunEvent[];
  /** Why the server did not take an event, in its words; null again with the next event. */
  refusal: string | null;
  /** Some of what waits is in this page alone: the browser would not keep it. */
  loose: boolean;
}

const EMPTY: Box = { confirmed: [], waiting: [], refusal: null, loose: false };
const boxes = new Map<string, Box>();
const listeners = new Set<() => void>();
const pumping = new Set<string>();
/** Events that are being put away, by id: none is sent before it is. */
const keeping = new Map<string, Promise<void>>();
let settled: () => void = () => undefined;

const boxOf = (runId: string): Box => boxes.get(runId) ?? EMPTY;

/** What is known of a run's events now, outside a view. */
export const peek = boxOf;

/** Called whenever nothing waits any more, and when something was refused. */
export function whenSettled(then: () => void): void {
  settled = then;
}

function set(runId: string, change: Partial<Box>): void {
  boxes.set(runId, { ...boxOf(runId), ...change });
  for (const listener of listeners) listener();
}

/**
 * Takes what the server told of a run's events, unless more is known; what it has no longer waits.
 *
 * @param from how many events come before the first of these; where some between are not known yet, they are asked for
 */
export function heardEvents(runId: string, confirmed: readonly RunEvent[], from = 0): void {
  if (!boxes.has(runId)) set(runId, {});
  const box = boxOf(runId);
  if (from > box.confirmed.length) {
    void catchUp(runId);
    return;
  }
  const events = [...box.confirmed.slice(0, from), ...confirmed];
  if (events.length <= box.confirmed.length) return;
  const has = (event: RunEvent) => events.some((known) => known.id === event.id);
  const arrived = box.waiting.filter(has);
  set(runId, { confirmed: events, waiting: box.waiting.filter((event) => !has(event)) });
  if (arrived.length > 0) void letGo(arrived.map(({ id }) => id));
}

/** Asks the server what is new of a run, and takes it. An answer that does not come is asked for with the next change. */
async function catchUp(runId: string): Promise<void> {
  try {
    const since = boxOf(runId).confirmed.length;
    const reply = await timed(() => call('runEvents', { params: { id: runId }, query: { since } }));
    heardEvents(runId, reply.events, reply.from);
  } catch {
    // the server is away, or the run is none: both are said elsewhere
  }
}

/** A word that runs have so many events now: what is not known of a run that is looked at here is fetched. */
export function heardCounts(counts: Readonly<Record<string, number>>): void {
  for (const [runId, n] of Object.entries(counts)) if (boxes.has(runId) && n > boxOf(runId).confirmed.length) void catchUp(runId);
}

/** Events dated while the clock was guessed, by id. */
const guessed = new Set<string>();

/** The server has said what the time is: what was dated by a wrong guess is moved by as much, so that its seconds stay what they were. */
onClockJump((byMs) => {
  if (!clockIsSure()) return;
  const moved = (event: RunEvent): RunEvent => (guessed.has(event.id) ? { ...event, at: event.at + byMs } : event);
  for (const [runId, box] of boxes) if (box.waiting.some(({ id }) => guessed.has(id))) set(runId, { waiting: box.waiting.map(moved) });
  guessed.clear();
});

/** Asks what the time is, before anything that was dated by a guess is sent; false: no answer. */
async function clockSettled(): Promise<boolean> {
  if (clockIsSure()) return true;
  try {
    await timed(() => call('health', {}));
    return true;
  } catch {
    setAway(true);
    await new Promise((done) => setTimeout(done, RETRY_MS));
    return false;
  }
}

/** Sends the oldest event of a run, or waits a moment when there is no answer. */
async function sendNext(runId: string, event: RunEvent): Promise<void> {
  await keeping.get(event.id);
  keeping.delete(event.id);
  try {
    const query = { since: boxOf(runId).confirmed.length };
    const reply = await timed(() => call('putRunEvent', { params: { id: runId, eventId: event.id }, query, body: event }));
    setAway(false);
    heardEvents(runId, reply.events, reply.from);
  } catch (error) {
    if (error instanceof ProblemError && error.problem.status < 500) {
      // what follows a refused event was built on it: the server's list is taken instead
      const { waiting } = boxOf(runId);
      void letGo(waiting.map(({ id }) => id));
      const more = waiting.length > 1 ? ` The ${waiting.length - 1} after it were built on it and were not taken either.` : '';
      set(runId, { waiting: [], refusal: `${error.message}${more}` });
      void catchUp(runId);
      settled();
      return;
    }
    setAway(!(error instanceof ProblemError));
    await new Promise((done) => setTimeout(done, RETRY_MS));
  }
}

async function pump(runId: string): Promise<void> {
  if (pumping.has(runId) || boxOf(runId).waiting.length === 0) return;
  pumping.add(runId);
  while (boxOf(runId).waiting.length > 0) {
    if (!(await clockSettled())) continue;
    const [next] = boxOf(runId).waiting;
    if (next) await sendNext(runId, next);
  }
  pumping.delete(runId);
  set(runId, { loose: false });
  settled();
}

/** Puts an event in the outbox and sees it on its way. It is shown at once, and sent once it is kept. */
export function post(runId: string, event: RunEvent): void {
  if (!clockIsSure()) guessed.add(event.id);
  set(runId, { waiting: [...boxOf(runId).waiting, event], refusal: null });
  keeping.set(
    event.id,
    storeEvent(runId, event).then((stored) => {
      if (!stored) set(runId, { loose: true });
    }),
  );
  setTimeout(() => void pump(runId), AFTER_PAINT_MS);
}

/** Takes up what an earlier document of this browser left behind. */
export async function takeUp(): Promise<void> {
  for (const { runId, event } of await storedEvents()) {
    const { waiting, confirmed } = boxOf(runId);
    if ([...waiting, ...confirmed].some((known) => known.id === event.id)) continue;
    set(runId, { waiting: [...waiting, event] });
    void pump(runId);
  }
}

function listen(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

export function useBox(runId: string): Box {
  return useSyncExternalStore(
    listen,
    () => boxOf(runId),
    () => EMPTY,
  );
}

/** A run whose steps were refused, with the words for it; null: none. The words stay the same object until something changes. */
let refused: { runId: string; words: string } | null = null;
function lastRefusal(): typeof refused {
  const [runId, box] = [...boxes].find(([, one]) => one.refusal !== null) ?? [];
  if (refused?.runId !== runId || refused?.words !== box?.refusal) refused = runId && box?.refusal ? { runId, words: box.refusal } : null;
  return refused;
}

/** The refusal that was seen is let go. */
export const seenRefusal = (runId: string): void => set(runId, { refusal: null });

/** A refusal anywhere, for a page that does not show its run. */
export function useRefusal(): { runId: string; words: string } | null {
  return useSyncExternalStore(listen, lastRefusal, () => null);
}

/** Begins with what an earlier document left; asks before the page is closed where that would lose what this browser could not keep. */
export function beginOutbox(): () => void {
  void takeUp();
  void takeUpPhotos();
  const ask = (event: BeforeUnloadEvent) => {
    if (photosOnWay().loose || [...boxes.values()].some((box) => box.loose && box.waiting.length > 0)) event.preventDefault();
  };
  window.addEventListener('beforeunload', ask);
  return () => window.removeEventListener('beforeunload', ask);
}
