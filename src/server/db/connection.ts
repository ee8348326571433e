/** Opens the shop's one SQLite file, and says in words what is wrong when it cannot be used. */
import { closeSync, existsSync, fsyncSync, mkdirSync, openSync, realpathSync, renameSync, rmSync, statSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import Sqlite from 'better-sqlite3';
import { type BetterSQLite3Database, drizzle } from 'drizzle-orm/better-sqlite3';
import { DatabaseError } from './errors';
import { migrateUp } from './migrate';
import * as schema from './schema';

export interface Shop {
  db: BetterSQLite3Database<typeof schema> & { $client: Sqlite.Database };
  sqlite: Sqlite.Database;
  path: string;
  /** There was no file, and this one was made. */
  fresh: boolean;
  /** Whether the log beside the file is still the one that is written to. Throws when the file itself was moved or deleted. */
  stillThere: () => boolean;
}

/** Another program that is writing is waited for so long as a file is opened, ms. */
const OPENING_MS = 3000;
/** Later nobody waits inside a write: it is tried again instead, so that others are answered meanwhile, ms. */
const WRITING_MS = 0;

/** SQLite keeps what it writes in files of these endings beside a database. */
export const BESIDE = ['-wal', '-shm', '-journal'] as const;

/**
 * Opens or makes the database at a path, brought up to the current version.
 *
 * WAL, synchronous FULL: a write that has returned survives a crash of the process and of the machine.
 *
 * @throws {DatabaseError} not a database, locked by another program, from a newer version, or not writable
 */
export function openShop(path: string, migrations: string): Shop {
  const fresh = path === ':memory:' || !existsSync(path);
  if (path !== ':memory:') mkdirSync(dirname(resolve(path)), { recursive: true });
  let sqlite: Sqlite.Database | null = null;
  try {
    sqlite = new Sqlite(path, { timeout: OPENING_MS });
    sqlite.pragma('trusted_schema = OFF');
    sqlite.pragma('journal_mode = WAL');
    sqlite.pragma('synchronous = FULL');
    sqlite.pragma('foreign_keys = ON');
    const db = drizzle(sqlite, { schema });
    migrateUp(sqlite, db, { path, fresh, migrations });
    sqlite.pragma(`busy_timeout = ${WRITING_MS}`);
    return { db, sqlite, path, fresh, stillThere: watchFile(path) };
  } catch (error) {
    sqlite?.close();
    throw error instanceof DatabaseError ? error : new DatabaseError(words(error, path), { cause: error });
  }
}

/** The file a path stands for: where it is a link, what it points to, so that the link stays one. */
export function realPath(path: string): string {
  if (path === ':memory:') return path;
  try {
    return realpathSync(path);
  } catch {
    // not there yet: its folder may still be behind a link
    mkdirSync(dirname(resolve(path)), { recursive: true });
    return resolve(realpathSync(dirname(resolve(path))), resolve(path).slice(dirname(resolve(path)).length + 1));
  }
}

/** Has the disk keep what was just written to a file or a folder. */
export function synced(path: string): void {
  const file = openSync(path, 'r');
  try {
    fsyncSync(file);
  } finally {
    closeSync(file);
  }
}

/** Puts a whole file in the place of another in one step: a crash leaves the one or the other. */
export function putInPlace(from: string, to: string): void {
  synced(from);
  renameSync(from, to);
  synced(dirname(to));
}

/**
 * Makes a shop aside and puts it in its place when it is whole: one that is cut off at any instant leaves no file that would
 * be taken for a shop.
 *
 * @param fill writes what it begins with
 * @throws {DatabaseError} the folder cannot be written, or the disk is full
 */
export function makeShop(path: string, migrations: string, fill: (shop: Shop) => void): void {
  const aside = `${path}.begun`;
  for (const end of ['', ...BESIDE]) rmSync(aside + end, { force: true });
  try {
    const begun = openShop(aside, migrations);
    try {
      begun.sqlite.transaction(() => fill(begun)).immediate();
    } finally {
      begun.sqlite.close();
    }
    if (existsSync(`${aside}-wal`)) throw new DatabaseError(`The disk of ${path} is full. Make room and start again.`);
    putInPlace(aside, path);
  } catch (error) {
    for (const end of ['', ...BESIDE]) rmSync(aside + end, { force: true });
    throw error instanceof DatabaseError
      ? error
      : new DatabaseError(`The new shop could not be filled. ${words(error, path)}`, { cause: error });
  }
}

/**
 * Holds a shop for this process: a second server on the same file is refused. The system lets go of it by itself when the
 * process ends, however it ends.
 *
 * @throws {DatabaseError} another process holds it
 */
export function holdShop(path: string): { release: () => void } {
  if (path === ':memory:') return { release: () => undefined };
  let lock: Sqlite.Database | null = null;
  try {
    lock = new Sqlite(`${path}-lock`, { timeout: WRITING_MS });
    lock.pragma('locking_mode = EXCLUSIVE');
    lock.exec('BEGIN EXCLUSIVE');
  } catch (error) {
    lock?.close();
    if (!String((error as { code?: string }).code).startsWith('SQLITE_BUSY')) throw new DatabaseError(words(error, path), { cause: error });
    throw new DatabaseError(
      `Another Tidy Beacon already serves ${path}. Use that one, or close it first; or set TIDY_BEACON_DB to another file.`,
    );
  }
  const lockFile = lock;
  return { release: () => lockFile.close() };
}

function words(error: unknown, path: string): string {
  const code = (error as { code?: string }).code ?? '';
  if (code.startsWith('SQLITE_BUSY') || code.startsWith('SQLITE_LOCKED')) {
    return `The database ${path} is locked by another program. Close that program (another Tidy Beacon, a backup, a database viewer) and start again.`;
  }
  if (code === 'SQLITE_NOTADB')
    return `${path} is not a Tidy Beacon database. Set TIDY_BEACON_DB to the right file, or move this one away to begin a new shop.`;
  if (code.startsWith('SQLITE_CORRUPT'))
    return `The database ${path} is damaged. Put back the newest backup beside it (${path}.before-*) and start again.`;
  if (code.startsWith('SQLITE_FULL') || code === 'ENOSPC') return `The disk of ${path} is full. Make room and start again.`;
  if (code.startsWith('SQLITE_READONLY') || code.startsWith('SQLITE_CANTOPEN') || code === 'EACCES') {
    return `The database ${path} cannot be written. Check that the folder exists and that you may write in it.`;
  }
  return `The database ${path} cannot be opened: ${error instanceof Error ? error.message : String(error)}.`;
}

function watchFile(path: string): () => boolean {
  if (path === ':memory:') return () => true;
  const inode = (of: string) => statSync(of, { throwIfNoEntry: false })?.ino;
  const own = inode(path);
  const log = inode(`${path}-wal`);
  return () => {
    if (inode(path) !== own) {
      throw new DatabaseError(
        `The database ${path} was moved or deleted while the app runs. Nothing can be saved: put the file back where it was and start the app again.`,
      );
    }
    return inode(`${path}-wal`) === log;
  };
}
