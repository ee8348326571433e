/** After a print: what of its order is best pressed next. */

import { type Line, type Print, topLayer } from '../order';
import type { LampState } from '../window';
import type { LineProgress } from './progress';
import { printLeft } from './queue';

/** A print of a line that is still to be pressed. */
export interface PrintToPress {
  line: Line;
  print: Print;
  left: number;
  lamp: LampState;
  cautions: number;
}

/** How much must be changed at the press between two prints: nothing but the piece, the set-up, or the press itself. */
const setUpBetween = (a: Print, b: Print): number =>
  a.pressId !== b.pressId ? 2 : topLayer(a).productId !== topLayer(b).productId ? 1 : 0;

/**
 * What of an order is best pressed after a print: what asks for the least change at the press, the same place before another,
 * in the order of the lines; what is left of the same print after all others. What is on Hold or being pressed is passed over.
 *
 * @param lines how far each line is; null: nothing is left that can be pressed
 */
export function nextPrint(
  order: readonly Line[],
  lines: readonly LineProgress[],
  after: { lineId: string; printKey: string },
): PrintToPress | null {
  const all = order.flatMap((line) =>
    line.prints.map((print) => ({ line, print, same: line.id === after.lineId && print.key === after.printKey })),
  );
  const done = all.find(({ same }) => same)?.print;
  const open = all.flatMap(({ line, print, same }) => {
    const progress = lines.find(({ lineId }) => lineId === line.id);
    const state = progress?.prints.find(({ printKey }) => printKey === print.key);
    const left = progress ? printLeft(progress, print.key) : 0;
    if (!state || left === 0 || state.lamp === 'hold' || state.openRunId !== null) return [];
    const rank = [same ? 1 : 0, done ? setUpBetween(done, print) : 0, done?.position === print.position ? 0 : 1];
    return { line, print, left, lamp: state.lamp, cautions: state.cautions, rank };
  });
  const byRank = (a: number[], b: number[]) => a.map((value, i) => value - (b[i] ?? 0)).find((by) => by !== 0) ?? 0;
  const first = open.sort((a, b) => byRank(a.rank, b.rank))[0];
  if (!first) return null;
  const { rank: _, ...next } = first;
  return next;
}
