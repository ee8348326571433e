/** Which open prints can be pressed in one run with a print: asked before a run is begun. */
import type { Together } from '../../contract/schemas';
import { cardTogether } from '../../core/advice';
import { resolve } from '../../core/card';
import { closingOf, pressingOrder } from '../../core/order';
import { notFound } from '../refusal';
import { inputOf, readFacts } from './cards';
import { listOpenRuns, pressesPrint } from './openedRun';
import { openPrints } from './openPrints';
import { findOrder } from './orders';
import type { Db } from './perShop';

const layersOf = (print: Parameters<typeof pressingOrder>[0]): string =>
  (pressingOrder(print) ?? print).map(({ productId }) => productId).join(' ');

/**
 * Prints with the same transfer on the same press, whose press is set alike and which are not being pressed; soonest due first.
 *
 * @throws {Refusal} 404 unknown order, line or print
 */
export function pressTogether(db: Db, orderId: string, lineId: string, printKey: string): Together[] {
  const { doc: order } = findOrder(db, orderId);
  const line = order.lines.find(({ id }) => id === lineId);
  const print = line?.prints.find(({ key }) => key === printKey);
  if (!line || !print) throw notFound(line ? 'print' : 'line', line ? printKey : lineId);
  const facts = readFacts(db);
  const first = resolve(inputOf(facts, order, line, print));
  if (first.lamp.state === 'hold') return [];
  const running = listOpenRuns(db);
  const layers = layersOf(print.layers);
  // several designs in one closing are a run of their own
  if (closingOf(line.prints, print.key).length > 1) return [];
  const isLike = (other: typeof print) => other.pressId === print.pressId && layersOf(other.layers) === layers;
  return openPrints(db, facts, isLike)
    .flatMap(({ order: own, line: its, print: other, left, input }): Together[] => {
      const at = { orderId: own.id, lineId: its.id, printKey: other.key };
      // a piece comes to the press once a run: another print of the same line is another run
      const isSamePiece = at.orderId === orderId && at.lineId === lineId;
      if (isSamePiece || closingOf(its.prints, other.key).length > 1 || running.some((run) => pressesPrint(run, at))) return [];
      const card = cardTogether(first, input);
      if (!card) return [];
      const ownC = resolve(input).set.tempC;
      const isMoved = Math.abs(ownC - card.set.tempC) > 0.05;
      const what = `${input.blank.name} ${its.size}, ${other.artName}`;
      return [{ ...at, orderName: own.name, due: own.due, left, what, lamp: card.lamp.state, ownC: isMoved ? ownC : null }];
    })
    .sort((a, b) => a.due.localeCompare(b.due));
}
