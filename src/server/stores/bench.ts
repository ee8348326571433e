/** The bench: how far each line of an order is, and what each order needs next. */
import { asc, isNull } from 'drizzle-orm';
import type { BenchRow, Unreadable } from '../../contract/schemas';
import { finishedPieces, type LineProgress, nextStep, orderLamp, printLeft, spoiledPieces } from '../../core/log';
import type { Order } from '../../core/order';
import { orders } from '../db/schema';
import { Refusal } from '../refusal';
import { judgedOrder, readFacts, type ShopFacts } from './cards';
import { progress, progressKey } from './logTail';
import { listOpenRuns, pressesPrint } from './openedRun';
import type { Db } from './perShop';
import { readRows, rowColumns, type Versioned } from './versioned';

interface LineWithCards extends LineProgress {
  minutesPerPiece: number[];
}

type Open = ReturnType<typeof listOpenRuns>[number];

/** The shop at the moment a page is asked for, read once for all of its rows. */
interface Now {
  facts: ShopFacts;
  open: readonly Open[];
  done: ReturnType<typeof progress>;
}
const readNow = (db: Db): Now => ({ facts: readFacts(db), open: listOpenRuns(db), done: progress(db) });

/** How far each line of an order is, with the minutes of each of its prints as their cards would be now. */
function lineStates(db: Db, { facts, open, done }: Now, stored: Versioned<Order>): LineWithCards[] {
  const { doc: order } = stored;
  const judged = judgedOrder(db, facts, stored);
  return order.lines.map((line, i) => ({
    lineId: line.id,
    count: line.count,
    prints: (judged[i] ?? []).map(({ printKey, lamp, cautions }) => ({
      printKey,
      ...(done.get(progressKey(order.id, line.id, printKey)) ?? { good: 0, spoiled: 0 }),
      lamp,
      cautions,
      openRunId: open.find((run) => pressesPrint(run, { orderId: order.id, lineId: line.id, printKey }))?.id ?? null,
    })),
    minutesPerPiece: (judged[i] ?? []).map(({ minutesPerPiece }) => minutesPerPiece),
  }));
}

const sum = (values: number[]) => values.reduce((a, b) => a + b, 0);

/** What an order is, in one line: `12 tee M, 8 tee L`. */
const describe = (order: Order, facts: ShopFacts): string =>
  order.lines
    .map((line) => `${line.count} ${facts.blanks.find((b) => b.id === line.blankId)?.name ?? line.blankId} ${line.size}`)
    .join(', ');

/** The bench: every order that is not taken off it, soonest due first. One that cannot be read or judged is left out and told. */
export function bench(db: Db): { orders: BenchRow[]; unreadable: Unreadable[] } {
  const now = readNow(db);
  const stored = db
    .select(rowColumns('orders'))
    .from(orders)
    .where(isNull(orders.removedAt))
    .orderBy(asc(orders.due), asc(orders.id))
    .all();
  const { rows, unreadable } = readRows(db, 'orders', stored as never);
  const shown = rows.flatMap((row): BenchRow[] => {
    try {
      return [benchRow(db, now, row)];
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      unreadable.push({ what: 'order', id: row.doc.id, name: row.doc.name, why: error.message });
      return [];
    }
  });
  return { orders: shown, unreadable };
}

function benchRow(db: Db, now: Now, stored: Versioned<Order>): BenchRow {
  const { doc: order } = stored;
  const lines = lineStates(db, now, stored);
  const { state, cautions } = orderLamp(lines);
  return {
    orderId: order.id,
    name: order.name,
    customer: order.customer,
    due: order.due,
    pieces: sum(lines.map((l) => l.count)),
    good: sum(lines.map(finishedPieces)),
    spoiled: sum(lines.map(spoiledPieces)),
    lamp: state,
    cautions,
    minutesLeft: sum(
      lines.flatMap((line) => line.prints.map((print, i) => printLeft(line, print.printKey) * (line.minutesPerPiece[i] ?? 0))),
    ),
    what: describe(order, now.facts),
    next: nextStep(lines),
  };
}

/** An order as the wire has it: the document, its version, and the state of its lines. */
export function orderReply(db: Db, stored: Versioned<Order>) {
  const lines = lineStates(db, readNow(db), stored).map(({ minutesPerPiece: _, ...line }) => line);
  return { order: stored.doc, version: stored.version, lines };
}
