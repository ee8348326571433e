/** What measuring is worth to the work on the bench: worked out anew only when shelf, presses, house, orders or log have changed. */
import { isNull } from 'drizzle-orm';
import { type Worth, worthOf } from '../../core/advice';
import { printLeft } from '../../core/log';
import { orders } from '../db/schema';
import { Refusal } from '../refusal';
import { inputOf, readFacts } from './cards';
import { progress, progressKey } from './logTail';
import { type Db, perShop } from './perShop';
import { markOf, whileSame } from './revisions';
import { readRows, rowColumns } from './versioned';

const worthBefore = perShop(() => new Map<string, { mark: string; value: Worth[] }>());

/** Of every order on the bench what is left to press; an order that cannot be read or judged has no part in it. */
function openPrints(db: Db, pressId: string | undefined) {
  const facts = readFacts(db);
  const done = progress(db);
  const stored = db.select(rowColumns('orders')).from(orders).where(isNull(orders.removedAt)).all();
  const { rows } = readRows(db, 'orders', stored as never);
  return rows.flatMap(({ doc: order }) =>
    order.lines.flatMap((line) => {
      const prints = line.prints.map((print) => ({
        printKey: print.key,
        ...(done.get(progressKey(order.id, line.id, print.key)) ?? { good: 0, spoiled: 0 }),
        lamp: 'clear' as const,
        cautions: 0,
        openRunId: null,
      }));
      return line.prints.flatMap((print) => {
        const pieces = printLeft({ lineId: line.id, count: line.count, prints }, print.key);
        try {
          const isAsked = pressId === undefined || print.pressId === pressId;
          return isAsked && pieces > 0 ? [{ input: inputOf(facts, order, line, print), pieces }] : [];
        } catch (error) {
          if (error instanceof Refusal) return [];
          throw error;
        }
      });
    }),
  );
}

/** @param pressId the press it is asked for; absent: all of them */
export const worthOfMeasuring = (db: Db, pressId?: string): Worth[] =>
  whileSame(db, worthBefore(db), pressId ?? '', markOf(db, 'shelf', 'presses', 'house', 'orders', 'log'), () =>
    worthOf(openPrints(db, pressId)),
  );
