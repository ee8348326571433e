/** Tells every open page what has changed: one server-sent stream a browser. Changes that come close together are told at once. */
import { EventEmitter } from 'node:events';
import { incoming, lagsBehind } from './incoming';

const emitter = new EventEmitter().setMaxListeners(0);
const BEAT_MS = 20_000;
/** A step of many people a second is told so often, ms. */
const TOGETHER_MS = 100;

let changes = 0;
/** Another number after every change that was told of. */
export const changesSoFar = (): number => changes;

/** Steps each run has that was pressed on since the last word. */
const runs = new Map<string, number>();
let waiting = false;

/** Says that runs, presses or orders have changed. */
export function announceChange(): void {
  changes++;
  if (waiting) return;
  waiting = true;
  setTimeout(() => {
    waiting = false;
    emitter.emit('change', JSON.stringify({ runs: Object.fromEntries(runs) }));
    runs.clear();
  }, TOGETHER_MS).unref();
}

/** Says how many steps a run has now; told with the next change. */
export const noteRun = (runId: string, steps: number): void => void runs.set(runId, steps);

/** Tells open pages what devices say now. @param view as JSON */
export const announceDevices = (view: string): void => void emitter.emit('devices', view);

/**
 * A stream that writes `change` whenever something has changed, with the steps of the runs that were pressed on, and a comment
 * as heartbeat. Ends with the request, and when its reader takes nothing any more: a browser comes again by itself.
 */
export function changeStream(signal: AbortSignal): Response {
  const encoder = new TextEncoder();
  const here = incoming();
  let stop = () => {};
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      const write = (text: string) => {
        try {
          if (lagsBehind(here)) {
            stop();
            controller.close();
            here?.res.destroy();
          } else controller.enqueue(encoder.encode(text));
        } catch {
          stop();
        }
      };
      const onChange = (what: string) => write(`event: change\ndata: ${what}\n\n`);
      const onDevices = (view: string) => write(`event: devices\ndata: ${view}\n\n`);
      const beat = setInterval(() => write(': still here\n\n'), BEAT_MS);
      stop = () => {
        clearInterval(beat);
        emitter.off('change', onChange);
        emitter.off('devices', onDevices);
      };
      emitter.on('change', onChange);
      emitter.on('devices', onDevices);
      signal.addEventListener('abort', () => stop());
      write('retry: 2000\n\n');
    },
    cancel: () => stop(),
  });
  return new Response(body, { headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' } });
}
