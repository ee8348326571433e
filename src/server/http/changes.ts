/** Tells every open page that something on the rail has changed: one server-sent stream a browser. */
import { EventEmitter } from 'node:events';

const emitter = new EventEmitter().setMaxListeners(0);
const BEAT_MS = 20_000;

/** Says that runs, presses or orders have changed. */
export const announceChange = (): void => void emitter.emit('change');

/** Tells open pages what devices say now. @param view as JSON */
export const announceDevices = (view: string): void => void emitter.emit('devices', view);

/** A stream that writes `change` whenever something has changed, and a comment as heartbeat. Ends with the request. */
export function changeStream(signal: AbortSignal): Response {
  const encoder = new TextEncoder();
  let stop = () => {};
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      const write = (text: string) => {
        try {
          controller.enqueue(encoder.encode(text));
        } catch {
          stop();
        }
      };
      const onChange = () => write('event: change\ndata: {}\n\n');
      const onDevices = (view: string) => write(`event: devices\ndata: ${view}\n\n`);
      const beat = setInterval(() => write(': still here\n\n'), BEAT_MS);
      stop = () => {
        clearInterval(beat);
        emitter.off('change', onChange);
        emitter.off('devices', onDevices);
      };
      emitter.on('change', onChange);
      emitter.on('devices', onDevices);
      signal.addEventListener('abort', stop);
      write('retry: 2000\n\n');
    },
    cancel: () => stop(),
  });
  return new Response(body, { headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' } });
}
