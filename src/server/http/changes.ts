/** Tells every open page what has changed: one server-sent stream a browser. Changes that come close together are told at once. */
import { EventEmitter } from 'node:events';
import type { RouteName } from '../../contract/paths';
import { incoming, lagsBehind } from './incoming';

const emitter = new EventEmitter().setMaxListeners(0);
const encoder = new TextEncoder();
const BEAT_MS = 20_000;
const BEAT = encoder.encode(': still here\n\n');
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

/**
 * A stream that writes `change` whenever something has changed, with the steps of the runs that were pressed on, and a comment
 * as heartbeat. Ends with the request, and when its reader takes nothing any more: a browser comes again by itself.
 */
export function changeStream(signal: AbortSignal): Response {
  const here = incoming();
  let stop = () => {};
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      const write = (bytes: Uint8Array) => {
        try {
          if (lagsBehind(here)) {
            stop();
            controller.close();
            here?.res.destroy();
          } else controller.enqueue(bytes);
        } catch {
          stop();
        }
      };
      const beat = setInterval(() => write(BEAT), BEAT_MS);
      stop = () => {
        clearInterval(beat);
        emitter.off('said', write);
      };
      emitter.on('said', write);
      signal.addEventListener('abort', () => stop());
      write(encoder.encode('retry: 2000\n\n'));
    },
    cancel: () => stop(),
  });
  return new Response(body, { headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' } });
}
