/** The bench: how far each line of an order is, and what each order needs next. */
import { asc, isNull } from 'drizzle-orm';
import type { BenchRow } from '../../contract/schemas';
import type { Order } from '../../core/card';
import { finishedPieces, type LineProgress, nextStep, orderLamp, printLeft, spoiledPieces } from '../../core/log';
import { orders } from '../db/schema';
import { type Facts, judgedPrints, readFacts } from './cards';
import { listOpenRuns } from './openedRun';
import { progress, progressKey } from './pressings';
import type { Db, Versioned } from './versioned';

interface LineWithCards extends LineProgress {
  minutesPerPiece: number[];
}

/** How far each line of an order is, with the minutes of each of its prints as their cards would be now. */
function lineStates(db: Db, facts: Facts, order: Order): LineWithCards[] {
  const done = progress(db, order.id);
  const open = listOpenRuns(db).filter((run) => run.orderId === order.id);
  return order.lines.map((line) => {
    const judged = judgedPrints(facts, order, line);
    return {
      lineId: line.id,
      count: line.count,
      prints: judged.map(({ printKey, lamp, cautions }) => ({
        printKey,
        ...(done.get(progressKey(order.id, line.id, printKey)) ?? { good: 0, spoiled: 0 }),
        lamp,
        cautions,
        openRunId: open.find((run) => run.lineId === line.id && run.printKey === printKey)?.id ?? null,
      })),
      minutesPerPiece: judged.map(({ minutesPerPiece }) => minutesPerPiece),
    };
  });
}

const sum = (values: number[]) => values.reduce((a, b) => a + b, 0);

/** What an order is, in one line: `12 tee M, 8 tee L`. */
const describe = (order: Order, facts: Facts): string =>
  order.lines
    .map((line) => `${line.count} ${facts.blanks.find((b) => b.id === line.blankId)?.name ?? line.blankId} ${line.size}`)
    .join(', ');

/** The bench: every order that is not taken off it, soonest due first. */
export function bench(db: Db): BenchRow[] {
  const facts = readFacts(db);
  const rows = db.select().from(orders).where(isNull(orders.removedAt)).orderBy(asc(orders.due), asc(orders.id)).all();
  return rows.map(({ doc: order }) => {
    const lines = lineStates(db, facts, order);
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
      what: describe(order, facts),
      next: nextStep(lines),
    };
  });
}

/** An order as the wire has it: the document, its version, and the state of its lines. */
export function orderReply(db: Db, { doc: order, version }: Versioned<Order>) {
  const lines = lineStates(db, readFacts(db), order).map(({ minutesPerPiece: _, ...line }) => line);
  return { order, version, lines };
}
