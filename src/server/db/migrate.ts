/** Brings a database up to this version; refuses one from a newer version; backs up before it changes anything. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type Sqlite from 'better-sqlite3';
import type { BetterSQLite3Database } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import { DOCUMENT_VERSION, UPGRADED, upgraded } from '../../core/formats';
import { BUILT_IN_AIDS } from '../../core/materials';
import { DatabaseError } from './errors';

interface Journal {
  entries: { when: number; tag: string }[];
}

const TABLE = '__drizzle_migrations';

/** When the newest migration in the file was made, ms; 0 for none. */
function newestApplied(sqlite: Sqlite.Database): number {
  const known = sqlite.prepare("SELECT 1 FROM sqlite_master WHERE type = 'table' AND name = ?").get(TABLE);
  if (!known) return 0;
  const row = sqlite.prepare(`SELECT max(created_at) AS newest FROM ${TABLE}`).get() as { newest: number | null };
  return Number(row.newest ?? 0);
}

/**
 * Runs the migrations that are missing, each once, in one transaction.
 *
 * A file that holds data is first copied whole to `<path>.before-<migration>`, also while it is open elsewhere.
 *
 * @throws {DatabaseError} the file was written by a newer version of the app
 */
export function migrateUp(
  sqlite: Sqlite.Database,
  db: BetterSQLite3Database<Record<string, unknown>>,
  { path, fresh, migrations }: { path: string; fresh: boolean; migrations: string },
): void {
  const journal = JSON.parse(readFileSync(join(migrations, 'meta', '_journal.json'), 'utf8')) as Journal;
  const last = journal.entries.at(-1);
  const applied = newestApplied(sqlite);
  if (!last || applied === last.when) {
    upgradeDocuments(sqlite, fresh);
    return;
  }
  if (applied > last.when) {
    throw new DatabaseError(
      `The database ${path} was written by a newer version of Tidy Beacon. Start that version, or set TIDY_BEACON_DB to a file of this one.`,
    );
  }
  if (!fresh) sqlite.prepare('VACUUM INTO ?').run(`${path}.before-${last.tag}-${Date.now()}`);
  // a table that is made anew must not take its children along
  sqlite.pragma('foreign_keys = OFF');
  migrate(db, { migrationsFolder: migrations });
  sqlite.pragma('foreign_keys = ON');
  upgradeDocuments(sqlite, fresh);
}

/** Brings stored documents to today's shape, all of them in one transaction. Frozen cards and pressings stay as they were written. */
function upgradeDocuments(sqlite: Sqlite.Database, fresh: boolean): void {
  const version = sqlite.pragma('user_version', { simple: true }) as number;
  if (version >= DOCUMENT_VERSION) return;
  sqlite.transaction(() => {
    if (!fresh) {
      for (const table of UPGRADED) {
        const write = sqlite.prepare(`UPDATE ${table} SET doc = ? WHERE id = ?`);
        const rows = sqlite.prepare(`SELECT id, doc FROM ${table}`).all() as { id: string; doc: string }[];
        for (const { id, doc } of rows) write.run(JSON.stringify(upgraded(table, version, JSON.parse(doc) as Record<string, unknown>)), id);
      }
      if (version < 2) {
        const write = sqlite.prepare('INSERT OR IGNORE INTO aids (id, version, doc) VALUES (?, 1, ?)');
        for (const aid of BUILT_IN_AIDS) write.run(aid.id, JSON.stringify(aid));
      }
    }
    sqlite.pragma(`user_version = ${DOCUMENT_VERSION}`);
  })();
}
