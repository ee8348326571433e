/** A long list on its way from a worker thread to the request thread: made there, taken here, a few pieces ahead of its reader. */
import { setTimeout as rest } from 'node:timers/promises';
import { MessageChannel, type MessagePort } from 'node:worker_threads';

/** Bytes of a piece, about. */
const PIECE = 64 * 1024;
/** Pieces made before their reader asks for more: a list of a million lines takes no more memory than one of a thousand. */
const AHEAD = 4;

/** Short texts put together. */
function* together(texts: Iterable<string>): Generator<Uint8Array<ArrayBuffer>> {
  const encoder = new TextEncoder();
  let some = '';
  for (const text of texts) {
    some += text;
    if (some.length < PIECE) continue;
    yield encoder.encode(some);
    some = '';
  }
  if (some) yield encoder.encode(some);
}

/** Sends texts at the pace they are taken at, resting as long as it works; ends early when nobody takes them any more. */
export async function sendPieces(texts: Iterable<string>, port: MessagePort): Promise<void> {
  let wanted = AHEAD;
  let gone = false;
  let wake = () => {};
  port.on('message', () => {
    wanted++;
    wake();
  });
  port.on('close', () => {
    gone = true;
    wake();
  });
  let begun = performance.now();
  for (const piece of together(texts)) {
    // a thread that never rests keeps the request thread waiting for a processor, whatever its priority
    await rest(performance.now() - begun);
    if (wanted === 0)
      await new Promise<void>((go) => {
        wake = go;
      });
    if (gone) return;
    wanted--;
    port.postMessage(piece, [piece.buffer]);
    // what its reader made it wait is no work
    begun = performance.now();
  }
  port.postMessage(null);
}

/**
 * What a worker thread sends, as it comes.
 *
 * @param begin has the thread begin, with the port it sends to; what that throws is thrown to the reader
 * @returns `end` says that nothing more is wanted
 */
export function takePieces(begin: (port: MessagePort) => Promise<unknown>): { pieces: AsyncIterator<Uint8Array>; end: () => void } {
  const { port1, port2 } = new MessageChannel();
  const come: (Uint8Array | null)[] = [];
  let failed: { error: unknown } | null = null;
  let wake = () => {};
  port1.on('message', (piece: Uint8Array | null) => {
    come.push(piece);
    wake();
  });
  begin(port2).catch((error: unknown) => {
    failed = { error };
    wake();
  });
  const next = async (): Promise<IteratorResult<Uint8Array>> => {
    while (come.length === 0 && !failed)
      await new Promise<void>((go) => {
        wake = go;
      });
    const piece = come.shift();
    if (piece) {
      port1.postMessage(null);
      return { value: piece, done: false };
    }
    port1.close();
    if (failed && piece === undefined) throw (failed as { error: unknown }).error;
    return { value: undefined, done: true };
  };
  return { pieces: { next }, end: () => port1.close() };
}
