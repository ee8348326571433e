/** Documents with a version: found, listed, and changed only by who has seen the newest. */
import { isDeepStrictEqual } from 'node:util';
import { eq, sql } from 'drizzle-orm';
import type { Unreadable } from '../../contract/schemas';
import { changedMeanwhile, needsVersion, notFound } from '../refusal';
import { DOCS, type DocKind, type Docs } from './docTables';
import { type Db, perShop, remember, write } from './perShop';
import { cannotBeRead, type Read, read, textOf, unreadable } from './readable';

export type { Db };

export interface Versioned<T> {
  doc: T;
  version: number;
}

interface Row {
  id: string;
  version: number;
  text: string;
}

/** Documents read before, by kind and id, each with the text it was read from: a version begins anew where a thing is removed and added. */
const knownOf = perShop(() => new Map<string, { text: string; read: Read<unknown> }>());
const MOST_KNOWN = 5000;

/** A row through its schema; the same text is read once. */
function readRow<K extends DocKind>(db: Db, kind: K, { id, text }: Row): Read<Docs[K]> {
  const known = knownOf(db);
  const key = `${kind} ${id}`;
  const before = known.get(key);
  if (before?.text === text) return before.read as Read<Docs[K]>;
  return remember(db, known, key, { text, read: read<Docs[K]>(DOCS[kind].schema, text) }, MOST_KNOWN).read as Read<Docs[K]>;
}

/** Each kind's question for one document, made ready. */
const oneOf = perShop((db) => {
  const ready = (kind: DocKind) => {
    const { table } = DOCS[kind];
    return db
      .select(columns(DOCS[kind]))
      .from(table)
      .where(eq(table.id, sql.placeholder('id')))
      .prepare();
  };
  const known = new Map<DocKind, ReturnType<typeof ready>>();
  return (kind: DocKind, id: string): Row | undefined => {
    const statement = known.get(kind) ?? ready(kind);
    known.set(kind, statement);
    return statement.get({ id }) as Row | undefined;
  };
});

const columns = ({ table }: (typeof DOCS)[DocKind]) => ({ id: table.id, version: table.version, text: textOf(table.doc) });

/** @throws {Refusal} 404 when there is none, 409 when it cannot be read */
export function find<K extends DocKind>(db: Db, kind: K, id: string): Versioned<Docs[K]> {
  const found = findReadable(db, kind, id);
  if (!found) throw notFound(DOCS[kind].what, id);
  return found;
}

/** The document, or null. @throws {Refusal} 409 when it cannot be read */
export function findReadable<K extends DocKind>(db: Db, kind: K, id: string): Versioned<Docs[K]> | null {
  const { what } = DOCS[kind];
  const row = oneOf(db)(kind, id);
  if (!row) return null;
  const read = readRow(db, kind, row);
  if ('why' in read) throw cannotBeRead(what, id, read.why);
  return { doc: read.doc, version: row.version };
}

/** Every document of a kind that can be read, by its id; those that cannot are told. */
export function list<K extends DocKind>(db: Db, kind: K): { rows: Versioned<Docs[K]>[]; unreadable: Unreadable[] } {
  const { table } = DOCS[kind];
  return readRows(db, kind, db.select(columns(DOCS[kind])).from(table).orderBy(table.id).all() as Row[]);
}

/** Rows that were selected otherwise, read the same way. */
export function readRows<K extends DocKind>(
  db: Db,
  kind: K,
  stored: readonly Row[],
): { rows: Versioned<Docs[K]>[]; unreadable: Unreadable[] } {
  const rows: Versioned<Docs[K]>[] = [];
  const unreadableDocs: Unreadable[] = [];
  for (const row of stored) {
    const read = readRow(db, kind, row);
    if ('doc' in read) rows.push({ doc: read.doc, version: row.version });
    else unreadableDocs.push(unreadable(DOCS[kind].what, row.id, row.text, read.why));
  }
  return { rows, unreadable: unreadableDocs };
}

export const rowColumns = (kind: DocKind) => columns(DOCS[kind]);

/**
 * Creates or changes a document. Sending what is already stored changes nothing and is not a conflict, so a repeated request is the same request.
 * One that cannot be read any more can be put anew by who names its version.
 *
 * @param ifMatch version the sender last saw; null when it takes the thing to be new
 * @param more further columns it is found by
 * @throws {Refusal} 412 when another version is stored, 428 when it exists and no version was sent, 404 when a version was sent for nothing
 */
export function put<K extends DocKind>(db: Db, kind: K, doc: Docs[K], ifMatch: number | null, more: object = {}): Versioned<Docs[K]> {
  const { table, what } = DOCS[kind];
  return write(db, () => {
    const row = oneOf(db)(kind, doc.id);
    if (!row) {
      if (ifMatch !== null) throw notFound(what, doc.id);
      db.insert(table)
        .values({ id: doc.id, version: 1, doc, ...more })
        .run();
      return { doc, version: 1 };
    }
    const before = readRow(db, kind, row);
    const same = 'doc' in before && isDeepStrictEqual(before.doc, doc);
    if (same && (ifMatch === null || ifMatch === row.version)) return { doc: before.doc, version: row.version };
    if (ifMatch === null) throw needsVersion(what);
    if (ifMatch !== row.version) {
      // the answer to an earlier sending was lost: what it asked for is what stands
      if (same && ifMatch === row.version - 1) return { doc: before.doc, version: row.version };
      throw changedMeanwhile(what);
    }
    const version = row.version + 1;
    db.update(table)
      .set({ version, doc, ...more })
      .where(eq(table.id, doc.id))
      .run();
    return { doc, version };
  });
}

/** Rows of one statement: SQLite takes some thousands of values in one. */
const ROWS_AT_ONCE = 200;

/**
 * Adds many new documents at once.
 *
 * @throws {Refusal} 412 one of them was added by somebody else meanwhile
 */
export function addAll(db: Db, kind: DocKind, rows: readonly { doc: { id: string }; columns: object }[]): void {
  const { table, what } = DOCS[kind];
  for (let from = 0; from < rows.length; from += ROWS_AT_ONCE) {
    const some = rows.slice(from, from + ROWS_AT_ONCE).map(({ doc, columns: more }) => ({ id: doc.id, version: 1, doc, ...more }));
    const { changes } = db.insert(table).values(some).onConflictDoNothing().run();
    if (changes !== some.length) throw changedMeanwhile(what);
  }
}
