/** Backup and restore: the whole shop as one sealed file, taken while work goes on, and put back only when it is proven whole. */
import { appendFileSync, copyFileSync, existsSync, linkSync, readdirSync, rmSync, statSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import Sqlite from 'better-sqlite3';
import { BESIDE, putInPlace, type Shop, synced } from './db';
import { sealOf } from './proof';
import { Refusal } from './refusal';
import { closeShop, shop } from './shop';

/** Pages copied between two turns of other work. */
const PAGES_A_TURN = 200;

/**
 * Copies the open database to a file, also while it is being written: the copy is the shop at one moment, with a seal at its
 * end that any change of it breaks.
 */
export async function takeBackup({ sqlite }: Pick<Shop, 'sqlite'>, to: string): Promise<void> {
  await sqlite.backup(to, { progress: () => PAGES_A_TURN });
  const copy = new Sqlite(to);
  // one file, whole by itself: no log beside it
  copy.pragma('journal_mode = DELETE');
  copy.close();
  appendFileSync(to, sealOf(to));
}

/** A copy the app keeps beside the shop: of before a backup was put back, or of before a newer version changed it. */
export interface BackupCopy {
  name: string;
  /** Of before what it was taken. */
  before: 'a backup was put back' | 'a newer version';
  at: number;
  bytes: number;
}

const RESTORED = /^\.before-restore-(\d+)$/;
const MIGRATED = /^\.before-\d{4}[^/]*?-(\d+)$/;

/** Copies kept of each kind; older ones are removed when a new one is made. */
const MOST_KEPT = 5;

/** Every copy that is kept beside a shop, newest first. */
export function backupCopies(path: string): BackupCopy[] {
  const own = basename(path);
  return readdirSync(dirname(path))
    .filter((name) => name.startsWith(own))
    .flatMap((name): BackupCopy[] => {
      const end = name.slice(own.length);
      const [restored, migrated] = [RESTORED.exec(end), MIGRATED.exec(end)];
      const at = Number((restored ?? migrated)?.[1] ?? 0);
      if (!restored && !migrated) return [];
      const bytes = statSync(join(dirname(path), name), { throwIfNoEntry: false })?.size ?? 0;
      return [{ name, before: restored ? 'a backup was put back' : 'a newer version', at, bytes }];
    })
    .sort((a, b) => b.at - a.at || (a.name < b.name ? 1 : -1));
}

/** Removes the oldest copies of each kind. */
function pruneCopies(path: string): void {
  const copies = backupCopies(path);
  for (const kind of new Set(copies.map(({ before }) => before)))
    for (const { name } of copies.filter(({ before }) => before === kind).slice(MOST_KEPT))
      rmSync(join(dirname(path), name), { force: true });
}

/** The path of a kept copy by its name. @throws {Refusal} 404 there is none of that name */
export function backupCopy(path: string, name: string): string {
  if (!backupCopies(path).some((copy) => copy.name === name))
    throw new Refusal('not found', 'Not found', 'There is no such copy any more. Load the page again.', [
      { field: 'name', message: 'unknown copy' },
    ]);
  return join(dirname(path), name);
}

/** Keeps a file under a second name, without a second copy where the disk can do that. */
function keepAs(from: string, to: string): void {
  try {
    linkSync(from, to);
  } catch {
    copyFileSync(from, to);
    synced(to);
  }
}

/** Lists on their way out, and an import, are waited for so long, ms. */
const PATIENCE_MS = 10_000;

/** Brings everything that was written into the shop's one file. @throws {Refusal} 409 somebody is reading or writing for longer than we wait */
async function settled(): Promise<void> {
  const until = performance.now() + PATIENCE_MS;
  for (;;) {
    const [state] = shop().sqlite.pragma('wal_checkpoint(TRUNCATE)') as { busy: number }[];
    if (state?.busy === 0) return;
    if (performance.now() > until)
      throw new Refusal(
        'conflict',
        'Not now',
        'A list is being sent or brought in just now: nothing was changed. Try again when it is done.',
        [{ field: 'file', message: 'the shop is in use' }],
      );
    await new Promise((go) => setTimeout(go, 100));
  }
}

/**
 * Puts a proven file in the place of the shop. What was there is kept beside it as `<path>.before-restore-<when>`.
 *
 * From the last look at the log to the opening of the new shop no one else has a turn, so every write that was acknowledged is
 * in the kept copy; and at every instant the shop's file is the old one or the new one, whole.
 *
 * @param from a proven file in a folder beside the shop; it is moved
 * @throws {Refusal} 409 the shop is in use for longer than we wait
 * @throws {DatabaseError} the new one cannot be opened: the old one is back then
 */
export async function swapIn(from: string, now: number): Promise<{ kept: string }> {
  const { path } = shop();
  let at = now;
  while (existsSync(`${path}.before-restore-${at}`)) at++;
  const kept = `${path}.before-restore-${at}`;
  synced(from);
  await settled();
  closeShop();
  keepAs(path, kept);
  putInPlace(from, path);
  for (const end of BESIDE) rmSync(path + end, { force: true });
  try {
    shop();
  } catch (error) {
    // the old shop goes back: a restore that fails must not cost anything
    closeShop();
    const back = `${path}.back`;
    copyFileSync(kept, back);
    putInPlace(back, path);
    shop();
    throw error;
  }
  pruneCopies(path);
  return { kept };
}
