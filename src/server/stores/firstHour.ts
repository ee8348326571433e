/** The first hour of the shop: what stands in it of each step, and what was said of them. */
import { inArray, isNull } from 'drizzle-orm';
import { type FirstFacts, type FirstHour, firstHour, NOTHING_TOLD } from '../../core/firstHour';
import { builtInProducts } from '../../core/sheet';
import { orders, pressings, pressRecords } from '../db/schema';
import { readHouse } from './house';
import type { Db } from './perShop';
import { listPresses, readShelf } from './shelf';
import { readRows, rowColumns } from './versioned';

const GENERAL: ReadonlySet<string> = new Set(builtInProducts('2000-01-01').map(({ id }) => id));
/** Records that tell what a platen delivers. */
const MEASURINGS = ['survey', 'quick check'];

const hasPressed = (db: Db): boolean => db.select({ seq: pressings.seq }).from(pressings).limit(1).get() !== undefined;

function firstOrder(db: Db): FirstFacts['order'] {
  const stored = db.select(rowColumns('orders')).from(orders).where(isNull(orders.removedAt)).orderBy(orders.due, orders.id).all();
  for (const { doc } of readRows(db, 'orders', stored as never).rows) {
    const line = doc.lines.find(({ prints }) => prints.length > 0);
    if (line) return { orderId: doc.id, lineId: line.id };
  }
  return null;
}

function factsOf(db: Db): FirstFacts {
  const presses = listPresses(db)
    .rows.map(({ doc }) => doc)
    .filter(({ retiredOn }) => !retiredOn);
  const records = db.select({ id: pressRecords.id }).from(pressRecords).where(inArray(pressRecords.kind, MEASURINGS)).limit(1).get();
  return {
    pressId: presses[0]?.id ?? null,
    isMeasured: records !== undefined || presses.some(({ calibration }) => calibration !== null),
    ownTransfers: readShelf(db).products.filter(({ id }) => !GENERAL.has(id)).length,
    order: firstOrder(db),
    hasPressed: hasPressed(db),
  };
}

export const readFirstHour = (db: Db): FirstHour => firstHour(factsOf(db), readHouse(db).doc.firstHour ?? NOTHING_TOLD);

/** The next step as every page tells it; null: the first hour is over, or all of it was done or left out. */
export function firstHourNow(db: Db): { next: FirstHour['next']; behind: number; of: number } | null {
  // a grown shop is told at the first look
  if (hasPressed(db)) return null;
  const { next, isOver, steps } = readFirstHour(db);
  if (isOver) return null;
  return { next, behind: steps.filter(({ state }) => state === 'done' || state === 'left out').length, of: steps.length };
}
