/** Files into the shop: a whole shop as JSON, one kind of thing or the log as CSV. All of a file or none of it. */

import { inStrides, type Progress, readPressingsCsv, readShelfCsv, readShopDocument, type ShopDocument } from '../../core/formats';
import type { ShelfKind, Tested } from '../../core/sheet';
import { runs } from '../db/schema';
import { type DocKind, LISTED } from './docTables';
import type { Db } from './perShop';
import { planHistory } from './planHistory';
import { type Plan, Planner } from './planner';
import { testFaults } from './tested';

/** References of a document to things that are neither here nor in it. */
function dangling(planner: Planner, doc: ShopDocument): void {
  const coming = {
    fabrics: new Set(doc.fabrics.map(({ id }) => id)),
    blanks: new Set(doc.blanks.map(({ id }) => id)),
    products: new Set(doc.products.map(({ id }) => id)),
    presses: new Set(doc.presses.map(({ id }) => id)),
  };
  const have = (kind: keyof typeof coming & DocKind, id: string) => coming[kind].has(id) || planner.has(kind, id);
  doc.blanks.forEach((blank, i) => {
    if (!have('fabrics', blank.fabricId))
      planner.fault(
        i + 1,
        `blanks.${i}.fabricId`,
        `${blank.name} is of a fabric, ${blank.fabricId}, that is neither on the shelf nor in this file.`,
      );
  });
  doc.tested.forEach((tested, i) => {
    const missing = [
      ...(have('products', tested.productId) ? [] : [tested.productId]),
      ...(have('presses', tested.pressId) ? [] : [tested.pressId]),
      ...(have(tested.on.kind === 'blank' ? 'blanks' : 'fabrics', tested.on.id) ? [] : [tested.on.id]),
    ];
    if (missing.length > 0)
      planner.fault(
        i + 1,
        `tested.${i}`,
        `${tested.name} names ${missing.join(', ')}, which ${missing.length > 1 ? 'are' : 'is'} neither here nor in this file.`,
      );
  });
  doc.parcels.forEach((parcel, i) => {
    if (!have('products', parcel.productId))
      planner.fault(
        i + 1,
        `parcels.${i}.productId`,
        `${parcel.name} holds a transfer, ${parcel.productId}, that is neither on the shelf nor in this file.`,
      );
  });
  doc.orders.forEach((order, i) => {
    const missing = order.lines.flatMap((line) => [
      ...(have('blanks', line.blankId) ? [] : [line.blankId]),
      ...line.prints.flatMap((print) => [
        ...(have('presses', print.pressId) ? [] : [print.pressId]),
        ...print.layers.map((layer) => layer.productId).filter((id) => !have('products', id)),
      ]),
    ]);
    if (missing.length > 0)
      planner.fault(
        i + 1,
        `orders.${i}.lines`,
        `${order.name} names ${[...new Set(missing)].join(', ')}, which ${missing.length > 1 ? 'are' : 'is'} neither here nor in this file.`,
      );
  });
}

/** @throws {NotAShop} the file as a whole is none */
export function planJson(db: Db, text: string): Plan {
  const { doc, faults } = readShopDocument(text);
  const planner = new Planner(db);
  // a file that cannot be read to its end is not taken by half: what it names is not looked for
  if (faults.count > 0) return { ...planner.plan(), faults };
  dangling(planner, doc);
  if (doc.house) planner.document('house', { ...doc.house, id: 'house' }, 1);
  for (const kind of LISTED) for (const [i, one] of doc[kind].entries()) planner.document(kind, one as never, i + 1);
  for (const [i, order] of doc.orders.entries()) planner.document('orders', order, i + 1);
  const names = new Map(doc.orders.map((order) => [order.id, order.name]));
  doc.removed.forEach(({ id, at }, i) => {
    const name = names.get(id) ?? planner.storedDoc('orders', id)?.name;
    if (name === undefined) planner.fault(i + 1, `removed.${i}.id`, `There is no order ${id}, neither here nor in this file.`);
    else planner.takenOff(id, at, name);
  });
  planHistory(db, planner, doc);
  return planner.plan();
}

/** Columns of a list that the fields of a test stand in. */
const COLUMN_OF: Record<string, string> = { productId: 'transfer', pressId: 'press', 'on.id': 'on_id', setC: 'set_c', timeS: 'time_s' };

/** Reads a CSV of the shelf, telling how far it is. */
export function* planCsv(db: Db, kind: ShelfKind, text: string): Generator<Progress, Plan> {
  const planner = new Planner(db);
  const { docs, faults } = yield* readShelfCsv(kind, text, (id) => planner.storedDoc(kind, id) ?? undefined);
  if (faults.count > 0) return { ...planner.plan(), faults };
  yield* inStrides(docs, ({ line, doc }) => {
    const { fabricId, name } = doc as { fabricId?: string; name: string };
    if (kind === 'blanks' && fabricId !== undefined && !planner.has('fabrics', fabricId))
      planner.fault(line, 'fabric', `${name} is of a fabric, ${fabricId}, that is not on the shelf.`);
    const { productId } = doc as { productId?: string };
    if (kind === 'parcels' && productId !== undefined && !planner.has('products', productId))
      planner.fault(line, 'transfer', `${name} holds a transfer, ${productId}, that is not on the shelf.`);
    if (kind === 'tested')
      for (const { field, message } of testFaults(db, doc as Tested)) planner.fault(line, COLUMN_OF[field] ?? field, message);
    planner.document(kind, doc as never, line);
  });
  return planner.plan();
}

/** Reads a CSV of pressings into the log, telling how far it is. */
export function* planPressingsCsv(db: Db, text: string): Generator<Progress, Plan> {
  const { docs, faults, withdrawn } = yield* readPressingsCsv(text);
  const planner = new Planner(db);
  if (faults.count > 0) return { ...planner.plan(), faults };
  const cardOfRun = new Map(
    db
      .select({ id: runs.id, cardHash: runs.cardHash })
      .from(runs)
      .all()
      .map((row) => [row.id, row.cardHash]),
  );
  // a list begins with the newest; they are written as they came about
  yield* inStrides(docs.reverse(), ({ line, doc }) => {
    const card = cardOfRun.get(doc.runId);
    if (card !== undefined && card !== doc.cardHash)
      planner.fault(line, 'card', 'This pressing names another card than its run was pressed by.');
    else planner.pressing(doc, line, card !== undefined);
  });
  for (const { id, operator, endedAt, orderName, piece } of withdrawn) {
    const why = 'withdrawn in the list it came from';
    planner.amendment(
      { id, pressingId: id, field: 'standing', from: 'counts', to: 'withdrawn', by: operator, why, at: endedAt },
      0,
      `${orderName}, piece ${piece}`,
    );
  }
  return planner.plan();
}
