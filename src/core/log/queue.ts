/** The day's queue: how far an order is, from its lines, their prints, their lamps and what has been pressed. */
import type { LampState } from '../window';
import type { LineProgress, PrintProgress } from './progress';

const RANK: Record<LampState, number> = { clear: 0, care: 1, hold: 2 };

/** Pieces lost at a later print had this one already: it is to be pressed again on their replacements. */
const lostLater = (line: LineProgress, index: number): number =>
  line.prints.slice(index + 1).reduce((sum, print) => sum + print.spoiled, 0);

/** Pieces that still want this print. */
export function printLeft(line: LineProgress, printKey: string): number {
  const index = line.prints.findIndex((print) => print.printKey === printKey);
  const print = line.prints[index];
  return print ? Math.max(0, line.count - print.good + lostLater(line, index)) : 0;
}

/** Pieces of a line with all their prints good. */
export const finishedPieces = (line: LineProgress): number =>
  Math.max(0, Math.min(line.count, ...line.prints.map((print, i) => print.good - lostLater(line, i))));

/** Pieces of a line that were spoiled at any print. */
export const spoiledPieces = (line: LineProgress): number => line.prints.reduce((sum, print) => sum + print.spoiled, 0);

const printsLeft = (line: LineProgress): PrintProgress[] => line.prints.filter((print) => printLeft(line, print.printKey) > 0);

const linesLeft = (lines: readonly LineProgress[]): LineProgress[] => lines.filter((line) => printsLeft(line).length > 0);

/** The lamp of a line: the worst of the prints still to press, and the most cautions any of them has. */
export function lineLamp(line: LineProgress): { state: LampState; cautions: number } {
  const left = printsLeft(line);
  const prints = left.length > 0 ? left : line.prints;
  const state = prints.reduce<LampState>((worst, print) => (RANK[print.lamp] > RANK[worst] ? print.lamp : worst), 'clear');
  return { state, cautions: Math.max(0, ...prints.map((print) => print.cautions)) };
}

/** The lamp of an order: the worst of the lines still to press. */
export function orderLamp(lines: readonly LineProgress[]): { state: LampState; cautions: number } {
  const lamps = linesLeft(lines).map(lineLamp);
  const state = lamps.reduce<LampState>((worst, lamp) => (RANK[lamp.state] > RANK[worst] ? lamp.state : worst), 'clear');
  return { state, cautions: Math.max(0, ...lamps.map((lamp) => lamp.cautions)) };
}
