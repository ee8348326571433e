/** Backup and restore over the wire: one file down, one file up, and the copies that are kept beside the shop. */

import { createReadStream, createWriteStream, statSync } from 'node:fs';
import { copyFile, statfs } from 'node:fs/promises';
import { basename, dirname, join } from 'node:path';
import { Readable, Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { APIRoute } from 'astro';
import { STALE_AFTER_ALL } from '../../contract/paths';
import { announceChange } from '../announce';
import { migrationsFolder } from '../app';
import { backupCopies, backupCopy, swapIn, takeBackup } from '../backup';
import { dayOf } from '../day';
import { log } from '../log';
import { Refusal } from '../refusal';
import { shop } from '../shop';
import { noteBackup } from '../stores/dayEnd';
import { inWorker } from '../work/pool';
import { workFolder } from '../workFolder';
import { answerTo } from './endpoint';
import { attachment, streamed } from './streamed';

const RESTORE_LIMIT = 4 * 1024 ** 3;

/** `tidy-beacon-2026-11-25.beacon`: the day says which is which. */
const nameFor = (now: Date) => `tidy-beacon-${dayOf(now)}.beacon`;

/** What a stream gives, and then that it gave all of it: a backup that was cut off on its way was not taken. */
async function* wholly(stream: AsyncIterable<Uint8Array>, onEnd: () => void): AsyncGenerator<Uint8Array> {
  yield* stream;
  onEnd();
}

export const backupReply: APIRoute = async ({ request }) => {
  let remove: (() => void) | null = null;
  try {
    const here = shop();
    const work = workFolder(here.path);
    remove = work.remove;
    const file = join(work.folder, 'backup');
    await takeBackup(here, file);
    if (request.signal.aborted) {
      work.remove();
      return new Response(null, { status: 499 });
    }
    const stream = createReadStream(file);
    // a reader that is gone before the first byte takes the file with it
    stream.on('error', (error) => log.info({ error: error.message }, 'a backup was not sent'));
    const close = () => {
      stream.destroy();
      work.remove();
    };
    request.signal.addEventListener('abort', close);
    const headers = { ...attachment(nameFor(new Date()), 'application/octet-stream'), 'content-length': String(statSync(file).size) };
    const taken = () => {
      noteBackup(shop().db, Date.now());
      announceChange(['dayEnd']);
    };
    return streamed(wholly(stream, taken), headers, close);
  } catch (error) {
    remove?.();
    return answerTo(error, request);
  }
};

const tooLarge = () =>
  new Refusal('too large', 'Too large', 'A backup over 4 GiB is not taken through the browser.', [{ field: 'file', message: 'too large' }]);

/** Passes bytes on up to the limit, however the file is sent. */
function limited(): Transform {
  let size = 0;
  return new Transform({
    transform(chunk: Buffer, _, done) {
      size += chunk.length;
      if (size > RESTORE_LIMIT) done(tooLarge());
      else done(null, chunk);
    },
  });
}

/** @throws {Refusal} 507 there is no room for another shop beside this one */
async function mustHaveSpace(folder: string, bytes: number): Promise<void> {
  const { bavail, bsize } = await statfs(folder);
  if (bavail * bsize < 2 * bytes)
    throw new Refusal(
      'no room',
      'The disk is full',
      'There is no room on the server’s disk for this backup beside the shop. Nothing was changed; make room and try again.',
    );
}

/** Proves a file that lies beside the shop and puts it in its place. */
async function putBack(file: string): Promise<{ kept: string; sealed: boolean }> {
  const done = await inWorker({ do: 'prove', path: file, migrations: migrationsFolder() });
  const { sealed } = JSON.parse(done.text) as { sealed: boolean };
  const { kept } = await swapIn(file, Date.now());
  log.info({ kept, sealed }, 'a backup was put back; the shop before it is kept');
  announceChange(STALE_AFTER_ALL);
  return { kept: basename(kept), sealed };
}

/** What fills a file beside the shop, which is then proven and put in the shop's place; nothing of it is left where it is refused. */
async function restored(request: Request, fill: (file: string) => Promise<void>): Promise<Response> {
  let remove: (() => void) | null = null;
  try {
    const work = workFolder(shop().path);
    remove = work.remove;
    const file = join(work.folder, 'incoming');
    await fill(file);
    const reply = await putBack(file);
    return Response.json({ restored: true, ...reply }, { headers: { 'cache-control': 'no-store' } });
  } catch (error) {
    const full = (error as { code?: string }).code === 'ENOSPC';
    return answerTo(
      full ? new Refusal('no room', 'The disk is full', 'The disk is full: nothing was changed. Make room and try again.') : error,
      request,
    );
  } finally {
    remove?.();
  }
}

/** PUT of a backup file: proven first, then put in place; what was there is kept beside it. */
export const restoreReply: APIRoute = ({ request }) =>
  restored(request, async (file) => {
    const told = Number(request.headers.get('content-length') ?? 0);
    if (told > RESTORE_LIMIT) throw tooLarge();
    if (!request.body) throw new Refusal('not valid', 'Not a backup', 'No file came with it.', [{ field: 'file', message: 'missing' }]);
    await mustHaveSpace(dirname(file), told);
    await pipeline(
      Readable.fromWeb(request.body as import('node:stream/web').ReadableStream),
      limited(),
      createWriteStream(file, { mode: 0o600 }),
    );
  });

/** The copies that are kept beside the shop. */
export const backupCopiesReply: APIRoute = ({ request }) => {
  try {
    return Response.json({ copies: backupCopies(shop().path) }, { headers: { 'cache-control': 'no-store' } });
  } catch (error) {
    return answerTo(error, request);
  }
};

/** PUT: one of them takes the place of the shop, proven like any backup. */
export const putCopyBackReply: APIRoute = ({ request, params }) =>
  restored(request, async (file) => {
    const from = backupCopy(shop().path, params.name ?? '');
    await mustHaveSpace(dirname(file), statSync(from).size);
    await copyFile(from, file);
  });
