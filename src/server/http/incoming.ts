/** The request as it came in at the socket, for what a web request does not tell: which address it came in on, and whether its reader keeps up. */
import { AsyncLocalStorage } from 'node:async_hooks';
import type { IncomingMessage, ServerResponse } from 'node:http';

export interface Incoming {
  req: IncomingMessage;
  res: ServerResponse;
}

const HELD = Symbol.for('tidy-beacon.incoming');
type Holder = { [HELD]?: AsyncLocalStorage<Incoming> };

/** One for the process: the front door and the pages are built into files of their own. */
export function incomingStore(): AsyncLocalStorage<Incoming> {
  const holder = globalThis as Holder;
  holder[HELD] ??= new AsyncLocalStorage();
  return holder[HELD];
}

/** The request this code runs for; undefined where an endpoint is called by itself. */
export const incoming = (): Incoming | undefined => incomingStore().getStore();

/** So much may wait for a reader, bytes. */
const MOST_WAITING = 256 * 1024;
/** A reader that takes nothing for so long is gone, ms. */
const STALLED_MS = 60_000;

/** The reader of a reply takes nothing any more. */
export class Stalled extends Error {
  override name = 'Stalled';
}

/**
 * Waits until the reader of a reply has taken most of what it was sent, so that nothing grows in memory.
 *
 * @throws {Stalled} it took nothing for a minute, or is gone
 */
export async function readerKeepsUp(here: Incoming | undefined): Promise<void> {
  if (!here) return;
  const { res } = here;
  if (res.destroyed) throw new Stalled('the reader is gone');
  if (res.writableLength < MOST_WAITING) return;
  await new Promise<void>((done, fail) => {
    const end = (error?: Error) => {
      clearTimeout(late);
      res.off('drain', ok);
      res.off('close', gone);
      if (error) fail(error);
      else done();
    };
    const ok = () => end();
    const gone = () => end(new Stalled('the reader is gone'));
    const late = setTimeout(() => {
      end(new Stalled('the reader takes nothing'));
      res.destroy();
    }, STALLED_MS);
    res.once('drain', ok);
    res.once('close', gone);
  });
}

/** Whether a stream without end has a reader that lags behind: it is ended then, and comes again. */
export const lagsBehind = (here: Incoming | undefined): boolean => here !== undefined && here.res.writableLength > MOST_WAITING;
