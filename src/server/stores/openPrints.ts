/** What is left to press: every print of every order on the bench that has pieces without a good pressing. */
import { isNull } from 'drizzle-orm';
import type { ResolveInput } from '../../core/draft';
import { printLeft } from '../../core/log';
import type { Line, Order, Print } from '../../core/order';
import { orders } from '../db/schema';
import { unlessRefused } from '../refusal';
import { type Facts, inputOf } from './cards';
import { progress, progressKey } from './logTail';
import type { Db } from './perShop';
import { readRows, rowColumns } from './versioned';

export interface OpenPrint {
  order: Order;
  line: Line;
  print: Print;
  /** Pieces left. */
  left: number;
  /** What its card is worked out from. */
  input: ResolveInput;
}

/** Good and spoiled pieces of each print of a line. */
export function donePrints(db: Db, orderId: string, line: Line) {
  const done = progress(db);
  const none = { lamp: 'clear' as const, cautions: 0, openRunId: null };
  return line.prints.map((print) => ({
    printKey: print.key,
    ...none,
    ...(done.get(progressKey(orderId, line.id, print.key)) ?? { good: 0, spoiled: 0 }),
  }));
}

/**
 * Soonest due first is not promised. An order that cannot be read or judged has no part in it.
 *
 * @param isAsked which prints are asked for: of the others nothing is worked out
 */
export function openPrints(db: Db, facts: Facts, isAsked: (print: Print) => boolean = () => true): OpenPrint[] {
  return printsLeft(db).flatMap((open) => {
    const input = isAsked(open.print) ? unlessRefused(() => inputOf(facts, open.order, open.line, open.print), null) : null;
    return input ? [{ ...open, input }] : [];
  });
}

/** The same before anything is looked up for it. */
export function printsLeft(db: Db): Omit<OpenPrint, 'input'>[] {
  const stored = db.select(rowColumns('orders')).from(orders).where(isNull(orders.removedAt)).all();
  const { rows } = readRows(db, 'orders', stored as never);
  return rows.flatMap(({ doc: order }) =>
    order.lines.flatMap((line) => {
      const prints = donePrints(db, order.id, line);
      return line.prints.flatMap((print) => {
        const left = printLeft({ lineId: line.id, count: line.count, prints }, print.key);
        return left > 0 ? [{ order, line, print, left }] : [];
      });
    }),
  );
}
