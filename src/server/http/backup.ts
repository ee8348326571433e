/** Backup and restore over the wire: one file down, one file up. */
import { randomUUID } from 'node:crypto';
import { createReadStream, createWriteStream, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { NotABackup, restore, takeBackup } from '../backup';
import { migrationsFolder, shop } from '../shop';
import { announceChange } from './changes';
import { answerTo } from './endpoint';
import { log } from './log';
import { Refusal } from './problem';

const RESTORE_LIMIT = 4 * 1024 ** 3;

/** `tidy-beacon-2026-11-25.beacon`: the day says which is which. */
const nameFor = (now: Date) => `tidy-beacon-${now.toISOString().slice(0, 10)}.beacon`;

export async function backupReply(request: Request): Promise<Response> {
  try {
    const path = await takeBackup(shop());
    const stream = createReadStream(path);
    stream.on('close', () => rmSync(path, { force: true }));
    return new Response(Readable.toWeb(stream) as ReadableStream, {
      headers: {
        'content-type': 'application/octet-stream',
        'content-length': String(statSync(path).size),
        'content-disposition': `attachment; filename="${nameFor(new Date())}"`,
        'cache-control': 'no-store',
      },
    });
  } catch (error) {
    return answerTo(error, request);
  }
}

/** PUT of a backup file: proven first, then put in place; what was there is kept beside it. */
export async function restoreReply(request: Request): Promise<Response> {
  const path = join(tmpdir(), `tidy-beacon-restore-${randomUUID()}`);
  try {
    if (Number(request.headers.get('content-length') ?? 0) > RESTORE_LIMIT)
      throw new Refusal(413, 'Too large', 'A backup over 4 GiB is not taken through the browser.');
    if (!request.body) throw new NotABackup('No file came with it.');
    await pipeline(Readable.fromWeb(request.body as import('node:stream/web').ReadableStream), createWriteStream(path));
    const { kept } = await restore(path, migrationsFolder(), Date.now());
    log.info({ kept }, 'a backup was put back; the shop before it is kept');
    announceChange();
    return Response.json({ restored: true, kept }, { headers: { 'cache-control': 'no-store' } });
  } catch (error) {
    const refusal =
      error instanceof NotABackup ? new Refusal(422, 'Not a backup', error.message, [{ field: 'file', message: error.message }]) : error;
    return answerTo(refusal, request);
  } finally {
    rmSync(path, { force: true });
  }
}
