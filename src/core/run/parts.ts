/**
 * Whose a piece of a run is. A batch presses prints of several lines or orders one after the other, each with its own card and
 * record; where several designs lie in one closing, each counts as a piece of its own, and those of one blank follow each other.
 */
import type { Run, RunPart } from './events';

type Batch = Pick<Run, 'orderId' | 'lineId' | 'printKey' | 'cardHash' | 'pieces' | 'also'>;

/** The prints of a run in the order their pieces are pressed, its own first. @returns their pieces add up to those of the run */
export function partsOf({ orderId, lineId, printKey, cardHash, pieces, also }: Batch): RunPart[] {
  const others = also.reduce((sum, part) => sum + part.pieces, 0);
  return [{ orderId, lineId, printKey, cardHash, pieces: pieces - others }, ...also];
}

/** Whether the parts of a run are designs of one closing. */
export const hasDesigns = ({ also }: Pick<Batch, 'also'>): boolean => also.some(({ inClosing }) => inClosing);

export interface PieceOf {
  part: RunPart;
  /** Which of the run's parts, from 0. */
  index: number;
  /** Which piece of its print it is in this run, from 1. */
  nth: number;
}

/**
 * @param piece of the run, from 1
 * @throws {RangeError} the run has no such piece
 */
export function partOf(run: Batch, piece: number): PieceOf {
  const parts = partsOf(run);
  if (hasDesigns(run) && piece > 0 && piece <= run.pieces) {
    const index = (piece - 1) % parts.length;
    const part = parts[index];
    if (part) return { part, index, nth: Math.ceil(piece / parts.length) };
  }
  let before = 0;
  for (const [index, part] of parts.entries()) {
    if (piece > before && piece <= before + part.pieces) return { part, index, nth: piece - before };
    before += part.pieces;
  }
  throw new RangeError(`A run of ${run.pieces} pieces has no piece ${piece}.`);
}

/** Good, spoiled and left of each part of a run, in the order of the parts. */
export function partCounts(
  run: Batch,
  results: readonly { piece: number; outcome: 'good' | 'spoiled' }[],
): { good: number; spoiled: number; left: number }[] {
  const counts = partsOf(run).map(({ pieces }) => ({ good: 0, spoiled: 0, left: pieces }));
  for (const { piece, outcome } of results) {
    const count = counts[partOf(run, piece).index];
    if (!count) continue;
    count[outcome]++;
    count.left--;
  }
  return counts;
}
