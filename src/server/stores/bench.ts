/** The bench: how far each line of an order is, and what each order needs next. */
import { asc, isNull } from 'drizzle-orm';
import type { BenchRow } from '../../contract/schemas';
import type { Card, Order } from '../../core/card';
import { type LineProgress, linesLeft, nextStep, orderLamp } from '../../core/log';
import { orders } from '../db/schema';
import { cardOfLine, type Facts, readFacts } from './cards';
import { progress, progressKey } from './pressings';
import { listOpenRuns } from './runs';
import type { Db, Versioned } from './versioned';

export interface LineWithCard extends LineProgress {
  card: Card;
}

/** How far each line of an order is, with its card as it would be now. */
function lineStates(db: Db, facts: Facts, order: Order): LineWithCard[] {
  const done = progress(db, order.id);
  const open = listOpenRuns(db);
  return order.lines.map((line) => {
    const card = cardOfLine(facts, line);
    const { good = 0, spoiled = 0 } = done.get(progressKey(order.id, line.id)) ?? {};
    const openRunId = open.find((run) => run.orderId === order.id && run.lineId === line.id)?.id ?? null;
    return {
      lineId: line.id,
      count: line.count,
      good,
      spoiled,
      lamp: card.lamp.state,
      cautions: card.lamp.findings.filter((f) => f.level === 'care').length,
      openRunId,
      card,
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
      good: sum(lines.map((l) => l.good)),
      spoiled: sum(lines.map((l) => l.spoiled)),
      lamp: state,
      cautions,
      minutesLeft: sum(lines.filter((l) => linesLeft([l]).length > 0).map((l) => (l.count - l.good) * l.card.minutesPerPiece)),
      what: describe(order, facts),
      next: nextStep(lines),
    };
  });
}

/** An order as the wire has it: the document, its version, and the state of its lines. */
export function orderReply(db: Db, { doc: order, version }: Versioned<Order>) {
  const lines = lineStates(db, readFacts(db), order).map(({ card: _, ...line }) => line);
  return { order, version, lines };
}
