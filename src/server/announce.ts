/** What has changed, for whoever listens: changes that come close together are told at once. How it is sent to a page is `http/changes.ts`. */
import { EventEmitter } from 'node:events';
import type { RouteName } from '../contract/paths';

const emitter = new EventEmitter().setMaxListeners(0);
const encoder = new TextEncoder();
/** A step of many people a second is told so often, ms. */
const TOGETHER_MS = 100;

/** One word to every open page: put into bytes once, however many hear it. */
function say(event: string, data: string): void {
  emitter.emit('said', encoder.encode(`event: ${event}\ndata: ${data}\n\n`));
}

let changes = 0;
/** Another number after every change that was told of. */
export const changesSoFar = (): number => changes;

/** Steps each run has that was pressed on since the last word. */
const runs = new Map<string, number>();
/** Reads that are stale since the last word. */
const stale = new Set<RouteName>();
let waiting = false;

/** Says which reads have changed. */
export function announceChange(names: readonly RouteName[]): void {
  changes++;
  for (const name of names) stale.add(name);
  if (waiting) return;
  waiting = true;
  setTimeout(() => {
    waiting = false;
    say('change', JSON.stringify({ runs: Object.fromEntries(runs), stale: [...stale] }));
    runs.clear();
    stale.clear();
  }, TOGETHER_MS).unref();
}

/** Says how many steps a run has now; told with the next change. */
export const noteRun = (runId: string, steps: number): void => void runs.set(runId, steps);

/** Tells open pages what devices say now. @param view as JSON */
export const announceDevices = (view: string): void => say('devices', view);

/** Hears every word as the bytes of a server-sent event. @returns stops hearing */
export function listen(hear: (bytes: Uint8Array) => void): () => void {
  emitter.on('said', hear);
  return () => emitter.off('said', hear);
}
