/** The whole shop out: one JSON document, written piece by piece, the same text for the same shop. */
import { asc, eq, isNotNull } from 'drizzle-orm';
import { DOCUMENT_VERSION, inNameOrder, readPressing, SHOP_FORMAT } from '../../core/formats';
import { amendments, cards, house, orders, pressings, pressRecords, runEvents, runs } from '../db/schema';
import { DOC_KINDS, DOCS } from './docTables';
import type { Db } from './versioned';

const line = (value: unknown) => JSON.stringify(inNameOrder(value));

/** Text of the whole shop as JSON, piece by piece, one record a line. The same shop gives the same text. */
export function* shopJson(db: Db): Generator<string> {
  const sections: [string, () => unknown[]][] = [
    ...DOC_KINDS.map((kind): [string, () => unknown[]] => [
      kind,
      () =>
        db
          .select({ doc: DOCS[kind].doc })
          .from(DOCS[kind])
          .orderBy(asc(DOCS[kind].id))
          .all()
          .map((row) => row.doc),
    ]),
    [
      'pressRecords',
      () =>
        db
          .select({ doc: pressRecords.doc })
          .from(pressRecords)
          .orderBy(asc(pressRecords.at), asc(pressRecords.id))
          .all()
          .map((row) => row.doc),
    ],
    [
      'orders',
      () =>
        db
          .select({ doc: orders.doc })
          .from(orders)
          .orderBy(asc(orders.id))
          .all()
          .map((row) => row.doc),
    ],
    [
      'removed',
      () =>
        db.select({ id: orders.id, at: orders.removedAt }).from(orders).where(isNotNull(orders.removedAt)).orderBy(asc(orders.id)).all(),
    ],
    [
      'cards',
      () =>
        db
          .select()
          .from(cards)
          .orderBy(asc(cards.hash))
          .all()
          .map(({ hash, schemaVersion, doc }) => ({ hash, version: schemaVersion, card: doc })),
    ],
    ['runs', () => db.select().from(runs).orderBy(asc(runs.id)).all()],
    [
      'events',
      () =>
        db
          .select()
          .from(runEvents)
          .orderBy(asc(runEvents.runId), asc(runEvents.seq))
          .all()
          .map(({ runId, seq, doc }) => ({ runId, seq, event: doc })),
    ],
    [
      'pressings',
      () =>
        db
          .select({ doc: pressings.doc })
          .from(pressings)
          .orderBy(asc(pressings.endedAt), asc(pressings.id))
          .all()
          .map((row) => readPressing(row.doc)),
    ],
    [
      'amendments',
      () =>
        db
          .select({ doc: amendments.doc })
          .from(amendments)
          .orderBy(asc(amendments.at), asc(amendments.id))
          .all()
          .map((row) => row.doc),
    ],
  ];
  yield `{\n"format": ${JSON.stringify(SHOP_FORMAT)},\n"version": ${DOCUMENT_VERSION},\n`;
  const own = db.select({ doc: house.doc }).from(house).where(eq(house.id, 'house')).get();
  if (own) {
    const { id: _, ...rules } = own.doc as typeof own.doc & { id?: string };
    yield `"house": ${line(rules)},\n`;
  }
  for (const [i, [name, rows]] of sections.entries()) {
    yield `"${name}": [`;
    let first = true;
    for (const row of rows()) {
      yield `${first ? '' : ','}\n${line(row)}`;
      first = false;
    }
    yield `${first ? '' : '\n'}]${i === sections.length - 1 ? '' : ','}\n`;
  }
  yield '}\n';
}
