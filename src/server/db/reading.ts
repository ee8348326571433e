/** A second way into the shop's file, for reading beside the server's own connection: a thread has one of its own. */
import { statSync } from 'node:fs';
import Sqlite from 'better-sqlite3';
import { drizzle } from 'drizzle-orm/better-sqlite3';
import type { Shop } from './connection';
import * as schema from './schema';

const WAITS_MS = 3000;

/** Opens the file for reading only; it must be there, and brought up to the current version. */
export function openForReading(path: string): { db: Shop['db']; close: () => void } {
  const sqlite = new Sqlite(path, { readonly: true, fileMustExist: true, timeout: WAITS_MS });
  sqlite.pragma('trusted_schema = OFF');
  return { db: drizzle(sqlite, { schema }), close: () => sqlite.close() };
}

/** The same, kept open while the file stays the same one: a shop put in its place is opened anew. */
export function cachedReader(): (path: string) => Shop['db'] {
  let reader: { path: string; ino: number; db: Shop['db']; close: () => void } | null = null;
  return (path) => {
    const { ino } = statSync(path);
    if (reader?.path !== path || reader.ino !== ino) {
      reader?.close();
      reader = { path, ino, ...openForReading(path) };
    }
    return reader.db;
  };
}
