/** Proves that a file is a whole backup of a shop that this app can open, unchanged since it was taken, and reads every document in it. */
import { createHash } from 'node:crypto';
import { closeSync, ftruncateSync, openSync, readSync, rmSync, statSync } from 'node:fs';
import Sqlite from 'better-sqlite3';
import type { z } from 'zod';
import { PracticeRoundSchema } from '../contract/heat';
import { PRESSING_READER, readCard } from '../core/formats';
import { AmendmentSchema } from '../core/log';
import { PressAmendmentSchema, PressRecordSchema } from '../core/press';
import { RunEventSchema } from '../core/run';
import { BESIDE, DatabaseError, openShop } from './db';
import { Refusal } from './refusal';
import { DOCS, type DocKind } from './stores/docTables';
import { hashOfCard } from './stores/frozenCards';
import { listOpenRuns, openRun } from './stores/openedRun';
import type { Db } from './stores/perShop';
import { read } from './stores/readable';

/** A backup ends with these signs and the SHA-256 of everything before them. The database itself does not see them. */
const SEAL = '\ntidy-beacon-backup sha256 ';
const HASH_LENGTH = 64;
export const SEAL_LENGTH = SEAL.length + HASH_LENGTH;
const MAGIC = 'SQLite format 3\0';
const PIECE = 1024 * 1024;

const notABackup = (detail: string): Refusal => new Refusal('not valid', 'Not a backup', detail, [{ field: 'file', message: detail }]);

/** SHA-256 of the first bytes of a file, read piece by piece. */
function hashOfFile(file: number, length: number): string {
  const hash = createHash('sha256');
  const piece = Buffer.alloc(PIECE);
  for (let at = 0; at < length; ) {
    const n = readSync(file, piece, 0, Math.min(PIECE, length - at), at);
    if (n === 0) break;
    hash.update(piece.subarray(0, n));
    at += n;
  }
  return hash.digest('hex');
}

/** What a backup that is this file ends with. */
export function sealOf(path: string): string {
  const file = openSync(path, 'r');
  try {
    return SEAL + hashOfFile(file, statSync(path).size);
  } finally {
    closeSync(file);
  }
}

/** Looks at the seal and takes it off. @returns false: there is none, as in backups of older versions @throws {Refusal} it is broken */
function unsealed(path: string): boolean {
  const { size } = statSync(path);
  const file = openSync(path, 'r+');
  try {
    const head = Buffer.alloc(MAGIC.length + 4);
    readSync(file, head, 0, head.length, 0);
    if (size < 512 || head.subarray(0, MAGIC.length).toString('latin1') !== MAGIC)
      throw notABackup('This file is not a backup of Tidy Beacon. A backup is the file that “Take a backup” gave you, unchanged.');
    const tail = Buffer.alloc(SEAL_LENGTH);
    readSync(file, tail, 0, SEAL_LENGTH, size - SEAL_LENGTH);
    const words = tail.toString('latin1');
    const pageSize = head.readUInt16BE(MAGIC.length) === 1 ? 65_536 : head.readUInt16BE(MAGIC.length);
    if (!words.startsWith(SEAL)) {
      if (size % pageSize !== 0)
        throw notABackup('This backup is cut short or damaged. Copy it again from where it was kept, or use another one.');
      return false;
    }
    if (words.slice(SEAL.length) !== hashOfFile(file, size - SEAL_LENGTH))
      throw notABackup('This backup was changed or damaged since it was taken. Copy it again from where it was kept, or use another one.');
    ftruncateSync(file, size - SEAL_LENGTH);
    return true;
  } finally {
    closeSync(file);
  }
}

/** Tables, indexes and triggers of a database, by name, with blanks that say nothing left out. */
function schemaOf(sqlite: Sqlite.Database): Map<string, string> {
  const rows = sqlite.prepare("SELECT type, name, coalesce(sql, '') AS sql FROM sqlite_master WHERE name NOT LIKE 'sqlite_%'").all() as {
    type: string;
    name: string;
    sql: string;
  }[];
  return new Map(rows.map(({ type, name, sql: text }) => [`${type} ${name}`, text.replaceAll(/\s+/g, ' ').replaceAll(/["`]/g, '').trim()]));
}

/** What a schema has otherwise than the migrations of this app make it; null: nothing. */
function schemaFault(sqlite: Sqlite.Database, migrations: string): string | null {
  const own = openShop(':memory:', migrations);
  const [expected, found] = [schemaOf(own.sqlite), schemaOf(sqlite)];
  own.sqlite.close();
  for (const [name, text] of expected) if (found.get(name) !== text) return `${found.has(name) ? 'another' : 'no'} ${name}`;
  for (const name of found.keys()) if (!expected.has(name)) return `a foreign ${name}`;
  return null;
}

/** Documents that are written once, each with the columns of its row that are copies of what it says, and where it says it. */
const WRITTEN_ONCE: readonly { table: string; schema: z.ZodType; copies: Record<string, string> }[] = [
  {
    table: 'pressings',
    schema: PRESSING_READER,
    copies: {
      id: 'id',
      order_id: 'orderId',
      line_id: 'lineId',
      print_key: 'printKey',
      outcome: 'outcome',
      fabric: 'fabricName',
      product: 'productName',
      press: 'pressName',
      ended_at: 'endedAt',
    },
  },
  {
    table: 'amendments',
    schema: AmendmentSchema,
    copies: { id: 'id', pressing_id: 'pressingId', field: 'field', to_value: 'to', at: 'at' },
  },
  { table: 'run_events', schema: RunEventSchema, copies: { id: 'id' } },
  { table: 'press_records', schema: PressRecordSchema, copies: { id: 'id', kind: 'kind', at: 'at' } },
  { table: 'press_amendments', schema: PressAmendmentSchema, copies: { id: 'id', record_id: 'recordId', to_value: 'to' } },
  { table: 'practice_rounds', schema: PracticeRoundSchema, copies: {} },
];

/** The first document that cannot be read, or that says otherwise than its row, in words; null: all are sound. */
function documentFault(db: Db): string | null {
  const sqlite = db.$client;
  const first = (table: string, schema: z.ZodType, copies: Record<string, string>): string | null => {
    for (const row of sqlite.prepare(`SELECT * FROM ${table}`).iterate() as Iterable<
      Record<string, unknown> & { id: string; doc: string }
    >) {
      const result = read(schema, row.doc);
      if ('why' in result) return `${table} ${row.id}: ${result.why}`;
      const doc = result.doc as Record<string, unknown>;
      for (const [column, field] of Object.entries(copies))
        if (row[column] !== doc[field]) return `${table} ${row.id}: its ${field} is not what it is listed by`;
    }
    return null;
  };
  for (const kind of Object.keys(DOCS) as DocKind[]) {
    const fault = first(kind, DOCS[kind].schema, { id: 'id', ...(kind === 'orders' && { due: 'due' }) });
    if (fault) return fault;
  }
  for (const { table, schema, copies } of WRITTEN_ONCE) {
    const fault = first(table, schema, copies);
    if (fault) return fault;
  }
  const stray = sqlite
    .prepare(
      `SELECT p.id FROM pressings p JOIN runs r ON r.id = p.run_id WHERE json_extract(p.doc, '$.cardHash') IS NOT r.card_hash
        AND json_extract(p.doc, '$.cardHash') NOT IN (SELECT json_extract(part.value, '$.cardHash') FROM json_each(r.also) part) LIMIT 1`,
    )
    .get() as { id: string } | undefined;
  if (stray) return `pressings ${stray.id}: it names another card than its run`;
  for (const { hash, version, doc } of sqlite.prepare('SELECT hash, schema_version AS version, doc FROM cards').iterate() as Iterable<{
    hash: string;
    version: number;
    doc: string;
  }>) {
    try {
      const card = JSON.parse(doc) as unknown;
      readCard(version, card);
      if (hashOfCard(card) !== hash) return `card ${hash}: it is not the one that was frozen`;
    } catch {
      return `card ${hash}: it cannot be read`;
    }
  }
  return null;
}

/** A run that is open and does not add up, in words. */
function runFault(db: Db): string | null {
  for (const { id } of listOpenRuns(db)) {
    try {
      openRun(db, id);
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      return error.message;
    }
  }
  return null;
}

export interface Proof {
  /** It carries a seal: nothing of it was changed since it was taken. Backups of older versions have none. */
  sealed: boolean;
}

/**
 * Proves a copy of a backup, and brings it up to the current version on the way. The copy is changed; the original is not touched.
 *
 * @param path a copy that may be written
 * @throws {Refusal} 422 not a database, cut short, damaged, changed, of another program, or from a newer version
 */
export function proveBackup(path: string, migrations: string): Proof {
  const sealed = unsealed(path);
  try {
    intact(path);
    const opened = openShop(path, migrations);
    try {
      const schema = schemaFault(opened.sqlite, migrations);
      if (schema) throw notABackup(`This backup is not a shop as this app makes one: it has ${schema}. Use another one.`);
      if (opened.sqlite.prepare("SELECT 1 FROM house WHERE id = 'house'").get() === undefined)
        throw notABackup('This backup has no house rules in it: it is not a whole shop. Use another one.');
      if ((opened.sqlite.pragma('foreign_key_check') as unknown[]).length > 0)
        throw notABackup('This backup is damaged: records in it name what is not there. Use another one.');
      const fault = documentFault(opened.db) ?? runFault(opened.db);
      if (fault) throw notABackup(`This backup is damaged (${fault}). Use another one.`);
      opened.sqlite.exec("INSERT INTO pressing_words(pressing_words) VALUES ('rebuild')");
    } finally {
      opened.sqlite.close();
    }
    return { sealed };
  } catch (error) {
    if (error instanceof Refusal) throw error;
    if (error instanceof DatabaseError) throw notABackup(error.message.replaceAll(path, 'this backup'));
    throw notABackup('This backup is cut short or damaged: it cannot be read. Copy it again from where it was kept, or use another one.');
  } finally {
    // made by the migration, of a copy nobody asked for
    for (const end of BESIDE) rmSync(path + end, { force: true });
  }
}

/** @throws {Refusal} 422 the file as such is damaged or of another program */
function intact(path: string): void {
  const sqlite = new Sqlite(path);
  try {
    sqlite.pragma('trusted_schema = OFF');
    sqlite.pragma('cell_size_check = ON');
    const check = sqlite.pragma('integrity_check', { simple: true });
    if (check !== 'ok') throw notABackup('This backup is damaged: its pages do not hold together. Use another one.');
    const tables = (sqlite.prepare("SELECT name FROM sqlite_master WHERE type = 'table'").all() as { name: string }[]).map(
      ({ name }) => name,
    );
    const missing = ['orders', 'products', 'pressings', 'runs', 'cards', 'house'].filter((table) => !tables.includes(table));
    if (missing.length > 0) throw notABackup('This is a database of another program, not a backup of Tidy Beacon.');
  } finally {
    sqlite.close();
  }
}
