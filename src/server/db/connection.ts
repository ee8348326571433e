/** Opens the shop's one SQLite file, and says in words what is wrong when it cannot be used. */
import { existsSync, mkdirSync, statSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import Sqlite from 'better-sqlite3';
import { type BetterSQLite3Database, drizzle } from 'drizzle-orm/better-sqlite3';
import { DatabaseError } from './errors';
import { migrateUp } from './migrate';
import * as schema from './schema';

export interface Shop {
  db: BetterSQLite3Database<typeof schema>;
  sqlite: Sqlite.Database;
  path: string;
  /** There was no file, and this one was made. */
  fresh: boolean;
  /** Throws when the file was moved or deleted under the running server. */
  stillThere: () => void;
}

const BUSY_MS = 3000;

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
  try {
    const sqlite = new Sqlite(path, { timeout: BUSY_MS });
    sqlite.pragma('journal_mode = WAL');
    sqlite.pragma('synchronous = FULL');
    sqlite.pragma('foreign_keys = ON');
    const db = drizzle(sqlite, { schema });
    migrateUp(sqlite, db, { path, fresh, migrations });
    return { db, sqlite, path, fresh, stillThere: watchFile(path) };
  } catch (error) {
    throw error instanceof DatabaseError ? error : new DatabaseError(words(error, path), { cause: error });
  }
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
  if (code.startsWith('SQLITE_READONLY') || code.startsWith('SQLITE_CANTOPEN') || code === 'EACCES') {
    return `The database ${path} cannot be written. Check that the folder exists and that you may write in it.`;
  }
  return `The database ${path} cannot be opened: ${error instanceof Error ? error.message : String(error)}.`;
}

function watchFile(path: string): () => void {
  if (path === ':memory:') return () => undefined;
  const { ino } = statSync(path);
  return () => {
    const now = statSync(path, { throwIfNoEntry: false });
    if (now?.ino !== ino) {
      throw new DatabaseError(
        `The database ${path} was moved or deleted while the app runs. Nothing can be saved: put the file back where it was and start the app again.`,
      );
    }
  };
}
