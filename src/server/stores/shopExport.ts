/** The whole shop out: one JSON document, written piece by piece, the same text for the same shop. */
import { sql } from 'drizzle-orm';
import type { z } from 'zod';
import { DOCUMENT_VERSION, inNameOrder, PRESSING_READER, SHOP_FORMAT } from '../../core/formats';
import { AmendmentSchema } from '../../core/log';
import { PressAmendmentSchema, PressRecordSchema } from '../../core/press';
import { RunEventSchema } from '../../core/run';
import { DOCS, LISTED } from './docTables';
import type { Db } from './perShop';
import { read } from './readable';

const line = (value: unknown) => JSON.stringify(inNameOrder(value));

interface Section {
  name: string;
  query: string;
  /** What a row is in the file; a text: why it cannot be read. */
  record: (row: never) => { doc: unknown } | { why: string };
}

const documents = (name: string, table: string, order: string, schema: z.ZodType): Section => ({
  name,
  query: `SELECT id, doc FROM ${table} ORDER BY ${order}`,
  record: ({ doc }: { doc: string }) => read(schema, doc),
});

const SECTIONS: readonly Section[] = [
  ...LISTED.map((kind) => documents(kind, kind, 'id', DOCS[kind].schema)),
  documents('pressRecords', 'press_records', 'at, id', PressRecordSchema),
  documents('pressAmendments', 'press_amendments', 'seq', PressAmendmentSchema),
  documents('orders', 'orders', 'id', DOCS.orders.schema),
  {
    name: 'removed',
    query: 'SELECT id, removed_at AS at FROM orders WHERE removed_at IS NOT NULL ORDER BY id',
    record: (doc: object) => ({ doc }),
  },
  {
    name: 'cards',
    query: 'SELECT hash AS id, schema_version AS version, doc FROM cards ORDER BY hash',
    record: ({ id, version, doc }: { id: string; version: number; doc: string }) => {
      try {
        return { doc: { hash: id, version, card: JSON.parse(doc) as unknown } };
      } catch {
        return { why: 'it is not whole' };
      }
    },
  },
  {
    name: 'runs',
    query: `SELECT id, order_id AS orderId, line_id AS lineId, print_key AS printKey, press_id AS pressId, card_hash AS cardHash, pieces,
      per_closing AS perClosing, operator, started_at AS startedAt, ended_at AS endedAt, machine, holds, also, parcels, pace FROM runs ORDER BY id`,
    record: (row: { holds: string; also: string; parcels: string; pace: string | null }) => ({
      doc: {
        ...row,
        holds: listIn(row.holds),
        also: listIn(row.also),
        parcels: listIn(row.parcels),
        pace: row.pace && JSON.parse(row.pace),
      },
    }),
  },
  {
    name: 'events',
    query: 'SELECT id, run_id AS runId, seq, doc FROM run_events ORDER BY run_id, seq',
    record: ({ runId, seq, doc }: { runId: string; seq: number; doc: string }) => {
      const result = read(RunEventSchema, doc);
      return 'doc' in result ? { doc: { runId, seq, event: result.doc } } : result;
    },
  },
  documents('pressings', 'pressings', 'ended_at, id', PRESSING_READER),
  documents('amendments', 'amendments', 'at, id', AmendmentSchema),
];

/** A list as a column holds it. */
const listIn = (text: string): unknown => (/^\[/.test(text) ? JSON.parse(text) : []);

/** Rows written before the next turn of others. */
const ROWS_A_TURN = 100;

/**
 * Text of the whole shop as JSON, piece by piece, one record a line. The same shop gives the same text. What cannot be read is
 * left out, and named at the end.
 */
export function* shopJson(db: Db): Generator<string> {
  const leftOut: { of: string; id: string; why: string }[] = [];
  yield `{\n"format": ${JSON.stringify(SHOP_FORMAT)},\n"version": ${DOCUMENT_VERSION},\n`;
  const own = db.get<{ doc: string } | undefined>(sql`SELECT doc FROM house WHERE id = 'house'`);
  const house = own && read<{ id?: string }>(DOCS.house.schema, own.doc);
  if (house && 'doc' in house) {
    const { id: _, ...rules } = house.doc;
    yield `"house": ${line(rules)},\n`;
  }
  for (const { name, query, record } of SECTIONS) {
    let text = `"${name}": [`;
    let rows = 0;
    for (const row of db.$client.prepare(query).iterate() as Iterable<{ id: string }>) {
      const written = record(row as never);
      if ('why' in written) leftOut.push({ of: name, id: row.id, why: written.why });
      else text += `${rows++ === 0 ? '' : ','}\n${line(written.doc)}`;
      if (rows % ROWS_A_TURN === 0 && text.length > 0) {
        yield text;
        text = '';
      }
    }
    yield `${text}${rows === 0 ? '' : '\n'}],\n`;
  }
  yield `"leftOut": ${JSON.stringify(leftOut)}\n}\n`;
}
