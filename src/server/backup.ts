/** Backup and restore: the whole shop as one file, taken while work goes on, and put back only when it is proven whole. */
import { randomUUID } from 'node:crypto';
import { closeSync, copyFileSync, existsSync, openSync, readSync, renameSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import { openShop, type Shop } from './db';
import { closeShop, shop } from './shop';

/** A file that cannot be put back; the message says why. */
export class NotABackup extends Error {
  override name = 'NotABackup';
}

/** Pages copied between two turns of other work. */
const PAGES_A_TURN = 200;

/**
 * Copies the open database to a file, also while it is being written: the copy is the shop at one moment.
 *
 * @returns the path of the file; the caller removes it once it is sent
 */
export async function takeBackup(
  { sqlite }: Pick<Shop, 'sqlite'>,
  to = join(tmpdir(), `tidy-beacon-${randomUUID()}.sqlite`),
): Promise<string> {
  await sqlite.backup(to, { progress: () => PAGES_A_TURN });
  const copy = new Sqlite(to);
  // one file, whole by itself: no log beside it
  copy.pragma('journal_mode = DELETE');
  copy.close();
  return to;
}

const MAGIC = 'SQLite format 3\0';
const OWN_TABLES = ['orders', 'products', 'pressings', 'runs', 'cards', 'house'];

function head(path: string): string {
  const file = openSync(path, 'r');
  const bytes = Buffer.alloc(16);
  readSync(file, bytes, 0, 16, 0);
  closeSync(file);
  return bytes.toString('latin1');
}

/**
 * Proves that a file is a whole backup of a Tidy Beacon shop that this app can open.
 *
 * @throws {NotABackup} not a database, cut short, damaged, of another program, or from a newer version
 */
function proveBackup(path: string, migrations: string): void {
  const { size } = statSync(path);
  if (size < 512 || head(path) !== MAGIC)
    throw new NotABackup('This file is not a backup of Tidy Beacon. A backup is the file that “Take a backup” gave you, unchanged.');
  let tables: string[];
  try {
    const file = new Sqlite(path);
    const pages = file.pragma('page_count', { simple: true }) as number;
    const pageSize = file.pragma('page_size', { simple: true }) as number;
    if (pages * pageSize > size)
      throw new NotABackup(`This backup is cut short: ${size} bytes of ${pages * pageSize}. Copy it again from where it was kept.`);
    const check = file.pragma('integrity_check', { simple: true });
    if (check !== 'ok') throw new NotABackup(`This backup is damaged (${String(check).split('\n')[0]}). Use another one.`);
    tables = (file.prepare("SELECT name FROM sqlite_master WHERE type = 'table'").all() as { name: string }[]).map((row) => row.name);
    file.close();
  } catch (error) {
    if (error instanceof NotABackup) throw error;
    throw new NotABackup(
      `This backup is cut short or damaged: ${error instanceof Error ? error.message : 'it cannot be read'}. Copy it again from where it was kept.`,
    );
  }
  const missing = OWN_TABLES.filter((table) => !tables.includes(table));
  if (missing.length > 0) throw new NotABackup('This is a database of another program, not a backup of Tidy Beacon.');
  const trial = `${path}.trial`;
  copyFileSync(path, trial);
  try {
    openShop(trial, migrations).sqlite.close();
  } catch (error) {
    throw new NotABackup(error instanceof Error ? error.message.replaceAll(trial, 'this backup') : 'This backup cannot be opened.');
  } finally {
    for (const end of ['', '-wal', '-shm']) rmSync(trial + end, { force: true });
  }
}

/**
 * Puts a proven backup in the place of the shop. What was there is kept beside it as `<path>.before-restore-<when>`.
 *
 * @throws {NotABackup} the shop is held in memory and has no file to be put in the place of
 */
export async function restore(from: string, migrations: string, now: number): Promise<{ kept: string }> {
  const { path, sqlite } = shop();
  if (path === ':memory:') throw new NotABackup('This shop has no file.');
  proveBackup(from, migrations);
  const kept = `${path}.before-restore-${now}`;
  await takeBackup({ sqlite }, kept);
  closeShop();
  for (const end of ['-wal', '-shm']) rmSync(path + end, { force: true });
  const fresh = `${path}.incoming`;
  copyFileSync(from, fresh);
  renameSync(fresh, path);
  try {
    shop();
  } catch (error) {
    // the old shop goes back: a restore that fails must not cost anything
    if (existsSync(kept)) copyFileSync(kept, path);
    throw error;
  }
  return { kept };
}
