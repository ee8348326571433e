/** Tells every open page what has changed: one server-sent stream a browser. */
import { listen } from '../announce';
import { incoming, lagsBehind } from './incoming';

const encoder = new TextEncoder();
const BEAT_MS = 20_000;
const BEAT = encoder.encode(': still here\n\n');

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
      const deafen = listen(write);
      const beat = setInterval(() => write(BEAT), BEAT_MS);
      stop = () => {
        clearInterval(beat);
        deafen();
      };
      signal.addEventListener('abort', () => stop());
      write(encoder.encode('retry: 2000\n\n'));
    },
    cancel: () => stop(),
  });
  return new Response(body, { headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' } });
}
