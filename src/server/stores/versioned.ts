/** Documents with a version: found, listed, and changed only by who has seen the newest. */

import { isDeepStrictEqual } from 'node:util';
import { eq } from 'drizzle-orm';
import type { SQLiteTableWithColumns } from 'drizzle-orm/sqlite-core';
import type { Shop } from '../db/connection';
import { changedMeanwhile, needsVersion, notFound } from '../http/problem';

export type Db = Shop['db'];
// biome-ignore lint/suspicious/noExplicitAny: the columns every versioned table shares are checked by its rows below
type VersionedTable = SQLiteTableWithColumns<any>;

export interface Versioned<T> {
  doc: T;
  version: number;
}

/** @throws {Refusal} 404 when there is none */
export function find<T>(db: Db, table: VersionedTable, id: string, what: string): Versioned<T> {
  const row = db.select().from(table).where(eq(table.id, id)).get() as Versioned<T> | undefined;
  if (!row) throw notFound(what, id);
  return row;
}

export const list = <T>(db: Db, table: VersionedTable): Versioned<T>[] => db.select().from(table).orderBy(table.id).all() as Versioned<T>[];

/**
 * Creates or changes a document. Sending what is already stored changes nothing and is not a conflict, so a repeated request is the same request.
 *
 * @param ifMatch version the sender last saw; null when it takes the thing to be new
 * @param columns further columns found by
 * @throws {Refusal} 412 when another version is stored, 428 when it exists and no version was sent, 404 when a version was sent for nothing
 */
export function put<T extends { id: string }>(
  db: Db,
  table: VersionedTable,
  doc: T,
  ifMatch: number | null,
  what: string,
  columns: object = {},
): Versioned<T> {
  return db.transaction(
    () => {
      const row = db.select().from(table).where(eq(table.id, doc.id)).get() as Versioned<T> | undefined;
      if (!row) {
        if (ifMatch !== null) throw notFound(what, doc.id);
        db.insert(table)
          .values({ id: doc.id, version: 1, doc, ...columns })
          .run();
        return { doc, version: 1 };
      }
      if (isDeepStrictEqual(row.doc, doc)) {
        db.update(table).set(columns).where(eq(table.id, doc.id)).run();
        return row;
      }
      if (ifMatch === null) throw needsVersion(what);
      if (ifMatch !== row.version) throw changedMeanwhile(what);
      const version = row.version + 1;
      db.update(table)
        .set({ version, doc, ...columns })
        .where(eq(table.id, doc.id))
        .run();
      return { doc, version };
    },
    { behavior: 'immediate' },
  );
}

/** Rows of one statement: SQLite takes some thousands of values in one. */
const ROWS_AT_ONCE = 200;

/**
 * Adds many new documents at once.
 *
 * @throws {Refusal} 412 one of them was added by somebody else meanwhile
 */
export function addAll(db: Db, table: VersionedTable, rows: readonly { doc: { id: string }; columns: object }[], what: string): void {
  for (let from = 0; from < rows.length; from += ROWS_AT_ONCE) {
    const some = rows.slice(from, from + ROWS_AT_ONCE).map(({ doc, columns }) => ({ id: doc.id, version: 1, doc, ...columns }));
    const { changes } = db.insert(table).values(some).onConflictDoNothing().run();
    if (changes !== some.length) throw changedMeanwhile(what);
  }
}
