/** Replies that are sent as they are made, at the pace of their reader. */

import { log } from '../log';
import { incoming, readerKeepsUp, Stalled } from './incoming';

/** Lets other requests have their turn. */
const breathe = () => new Promise<void>((resolve) => setImmediate(resolve));

export const attachment = (name: string, type: string) => ({
  'content-type': type,
  'content-disposition': `attachment; filename="${name}"`,
  'cache-control': 'no-store',
});

/** A file’s name as a header can carry it: quotes, line ends and signs beyond ASCII would break it. */
export const asFileName = (words: string): string => words.replace(/[^\w.-]+/g, '-').slice(0, 120);

/**
 * A reply made piece by piece. Between two of them others have their turn, and the next is only made once the reader has taken
 * most of what came before.
 *
 * @param close what is let go when the last piece is sent, or the reader is gone
 */
export function streamed(
  pieces: Iterator<string | Uint8Array> | AsyncIterator<string | Uint8Array>,
  headers: Record<string, string>,
  close: () => void = () => undefined,
): Response {
  const encoder = new TextEncoder();
  const here = incoming();
  let closed = false;
  const end = () => {
    if (!closed) close();
    closed = true;
  };
  const body = new ReadableStream<Uint8Array>(
    {
      async pull(controller) {
        try {
          await breathe();
          await readerKeepsUp(here);
          const { value, done } = await pieces.next();
          if (done) {
            end();
            controller.close();
          } else controller.enqueue(typeof value === 'string' ? encoder.encode(value) : value);
        } catch (error) {
          end();
          if (error instanceof Stalled) log.info({ why: error.message }, 'a reply was not taken to its end');
          else log.warn({ err: error }, 'a reply was not sent to its end');
          controller.error(error);
        }
      },
      cancel: end,
    },
    { highWaterMark: 0 },
  );
  return new Response(body, { headers });
}
