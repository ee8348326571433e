/** Files into the shop: a whole shop as JSON, one kind of thing or the log as CSV. All of a file or none of it. */
import { createHash } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import { eq } from 'drizzle-orm';
import {
  type CsvKind,
  inNameOrder,
  inStrides,
  type LineFault,
  type Progress,
  readPressingsCsv,
  readShelfCsv,
  readShopDocument,
  type ShopDocument,
} from '../../core/formats';
import { cards, house, orders, runEvents, runs } from '../db/schema';
import { DOC_KINDS, DOCS, type DocKind } from './docTables';
import { fieldsOf, type Plan, Planner } from './planner';
import { addAmendment } from './pressings';
import { addPressRecord } from './pressRecords';
import type { Db } from './versioned';

/** Every id of a kind that will be there once the file is in. */
const idsWith = (db: Db, kind: DocKind, coming: readonly { id: string }[]): Set<string> =>
  new Set([
    ...db
      .select({ id: DOCS[kind].id })
      .from(DOCS[kind])
      .all()
      .map((row) => row.id),
    ...coming.map((one) => one.id),
  ]);

/** References of a document to things that are neither here nor in it. */
function dangling(db: Db, doc: ShopDocument): LineFault[] {
  const have = {
    fabrics: idsWith(db, 'fabrics', doc.fabrics),
    blanks: idsWith(db, 'blanks', doc.blanks),
    products: idsWith(db, 'products', doc.products),
    presses: idsWith(db, 'presses', doc.presses),
  };
  const faults: LineFault[] = [];
  doc.blanks.forEach((blank, i) => {
    if (!have.fabrics.has(blank.fabricId))
      faults.push({
        line: i + 1,
        field: `blanks.${i}.fabricId`,
        message: `${blank.name} is of a fabric, ${blank.fabricId}, that is neither on the shelf nor in this file.`,
      });
  });
  doc.orders.forEach((order, i) => {
    const missing = order.lines.flatMap((one) => [
      ...(have.blanks.has(one.blankId) ? [] : [one.blankId]),
      ...one.prints.flatMap((print) => [
        ...(have.presses.has(print.pressId) ? [] : [print.pressId]),
        ...print.layers.map((layer) => layer.productId).filter((id) => !have.products.has(id)),
      ]),
    ]);
    if (missing.length > 0)
      faults.push({
        line: i + 1,
        field: `orders.${i}.lines`,
        message: `${order.name} names ${[...new Set(missing)].join(', ')}, which ${missing.length > 1 ? 'are' : 'is'} neither here nor in this file.`,
      });
  });
  return faults;
}

const hashOf = (card: unknown) =>
  createHash('sha256')
    .update(JSON.stringify(inNameOrder(card)))
    .digest('hex');

/** Frozen cards, runs and their events: what is there already is left alone. */
function planHistory(db: Db, planner: Planner, doc: ShopDocument): void {
  doc.cards.forEach(({ hash, version, card }, i) => {
    if (hashOf(card) !== hash)
      planner.faults.push({
        line: i + 1,
        field: `cards.${i}.hash`,
        message: 'This card does not match its hash: the file was changed by hand.',
      });
    planner.writes.push(() =>
      db
        .insert(cards)
        .values({ hash, schemaVersion: version, doc: card as never })
        .onConflictDoNothing()
        .run(),
    );
  });
  for (const run of doc.runs) planner.writes.push(() => db.insert(runs).values(run).onConflictDoNothing().run());
  for (const { runId, seq, event } of doc.events)
    planner.writes.push(() => db.insert(runEvents).values({ id: event.id, runId, seq, doc: event }).onConflictDoNothing().run());
}

/** @throws {NotAShop} the file as a whole is none */
export function planJson(db: Db, text: string): Plan {
  const read = readShopDocument(text);
  if ('faults' in read) return { changes: [], same: 0, faults: read.faults, apply: () => undefined };
  const { doc } = read;
  const planner = new Planner(db);
  planner.faults.push(...dangling(db, doc));
  if (doc.house) planHouse(db, planner, doc.house);
  for (const kind of DOC_KINDS) for (const [i, one] of doc[kind].entries()) planner.document(kind, one, i + 1);
  for (const [i, order] of doc.orders.entries()) planner.document('orders', order, i + 1);
  for (const { id, at } of doc.removed) planner.writes.push(() => db.update(orders).set({ removedAt: at }).where(eq(orders.id, id)).run());
  for (const record of doc.pressRecords) planner.writes.push(() => addPressRecord(db, record));
  planHistory(db, planner, doc);
  const runsHere = new Set([
    ...db
      .select({ id: runs.id })
      .from(runs)
      .all()
      .map((row) => row.id),
    ...doc.runs.map((run) => run.id),
  ]);
  for (const [i, pressing] of doc.pressings.entries()) planner.pressing(pressing, i + 1, runsHere);
  for (const amendment of doc.amendments) planner.writes.push(() => addAmendment(db, amendment));
  return planner.plan();
}

function planHouse(db: Db, planner: Planner, rules: NonNullable<ShopDocument['house']>): void {
  const row = db.select().from(house).where(eq(house.id, 'house')).get();
  const next = { ...rules, id: 'house' };
  const { id: _, ...before } = (row?.doc ?? {}) as { id?: string };
  if (row && isDeepStrictEqual(before, rules)) {
    planner.same++;
    return;
  }
  planner.changes.push({
    kind: 'house',
    id: 'house',
    name: 'House rules',
    what: row ? 'changed' : 'added',
    fields: row ? fieldsOf(before, rules) : [],
  });
  planner.writes.push(() =>
    row
      ? db
          .update(house)
          .set({ version: row.version + 1, doc: next })
          .where(eq(house.id, 'house'))
          .run()
      : db.insert(house).values({ id: 'house', version: 1, doc: next }).run(),
  );
}

/** Reads a CSV of the shelf, telling how far it is. */
export function* planCsv(db: Db, kind: CsvKind, text: string): Generator<Progress, Plan> {
  const table = DOCS[kind];
  const known = new Map(
    db
      .select()
      .from(table)
      .all()
      .map((row) => [row.id, row.doc]),
  );
  const { docs, faults } = yield* readShelfCsv(kind, text, (id) => known.get(id));
  const planner = new Planner(db);
  planner.faults.push(...faults);
  if (kind === 'blanks') {
    const have = idsWith(db, 'fabrics', []);
    docs.forEach(({ line, doc }) => {
      const { fabricId, name } = doc as { fabricId: string; name: string };
      if (!have.has(fabricId))
        planner.faults.push({ line, field: 'fabric', message: `${name} is of a fabric, ${fabricId}, that is not on the shelf.` });
    });
  }
  yield* inStrides(docs, ({ line, doc }) => planner.document(kind, doc, line));
  return planner.plan();
}

/** Reads a CSV of pressings into the log, telling how far it is. */
export function* planPressingsCsv(db: Db, text: string): Generator<Progress, Plan> {
  const { docs, faults, withdrawn } = yield* readPressingsCsv(text);
  const planner = new Planner(db);
  planner.faults.push(...faults);
  const runsHere = new Set(
    db
      .select({ id: runs.id })
      .from(runs)
      .all()
      .map((row) => row.id),
  );
  // a list begins with the newest; they are written as they came about
  yield* inStrides(docs.reverse(), ({ line, doc }) => planner.pressing(doc, line, runsHere));
  for (const { id, operator, endedAt } of withdrawn)
    planner.writes.push(() =>
      addAmendment(db, {
        id,
        pressingId: id,
        field: 'standing',
        from: 'counts',
        to: 'withdrawn',
        by: operator,
        why: 'withdrawn in the list it came from',
        at: endedAt,
      }),
    );
  return planner.plan();
}
