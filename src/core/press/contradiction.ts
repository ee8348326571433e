/** Contradiction: two surveys of one platen that say more unlike things than both together are good for. */
import { z } from 'zod';
import { driftOver } from './ageing';
import type { PlatenMap } from './platenMap';

export const ContradictionSchema = z.object({
  /** The day of the survey before. */
  on: z.string(),
  /** Where they differ most, mm from the middle: x to the right, y towards the operator. */
  xMm: z.number(),
  yMm: z.number(),
  /** How much hotter the later one is there, K, and one standard deviation of that. */
  byK: z.number(),
  sdK: z.number(),
  /** They differ as much all over the platen. */
  allOver: z.boolean(),
});
export type Contradiction = z.infer<typeof ContradictionSchema>;

/** So many standard deviations are no chance, at the worst of many places. */
const NO_CHANCE = 3;
/** The whole platen differs where its mean does by so many. */
const ALL_OVER = 2;

/**
 * Where a survey contradicts the one before it; null: it does not, or the platens are not the same.
 *
 * @param since what the press went through between the two
 */
export function contradiction(before: PlatenMap, after: PlatenMap, since: { days: number; closings: number }): Contradiction | null {
  if (before.columns !== after.columns || before.rows !== after.rows) return null;
  const driftK = driftOver(since);
  const differences = after.nodes.flatMap((node, i) => {
    const earlier = before.nodes[i];
    return earlier ? [{ i, byK: node.meanK - earlier.meanK, sdK: Math.hypot(node.sdK, earlier.sdK, driftK) }] : [];
  });
  const worst = differences.reduce<(typeof differences)[number] | null>(
    (most, difference) => (most === null || Math.abs(difference.byK / difference.sdK) > Math.abs(most.byK / most.sdK) ? difference : most),
    null,
  );
  if (!worst || Math.abs(worst.byK / worst.sdK) < NO_CHANCE) return null;
  const { widthMm, heightMm, columns, rows } = after;
  const middle = (at: number, n: number, whole: number) => ((at + 0.5) / n - 0.5) * whole;
  return {
    on: before.on,
    xMm: middle(worst.i % columns, columns, widthMm),
    yMm: middle(Math.floor(worst.i / columns), rows, heightMm),
    byK: worst.byK,
    sdK: worst.sdK,
    allOver: Math.abs(after.offset.mean - before.offset.mean) >= ALL_OVER * Math.hypot(after.offset.sd, before.offset.sd, driftK),
  };
}

/** A place of a platen in words, as it lies before the operator: `back left`, `middle`. */
export function placeName(
  { xMm, yMm }: { xMm: number; yMm: number },
  { widthMm, heightMm }: { widthMm: number; heightMm: number },
): string {
  const third = (at: number, whole: number, low: string, high: string) => (at < -whole / 6 ? low : at > whole / 6 ? high : '');
  return [third(yMm, heightMm, 'back', 'front'), third(xMm, widthMm, 'left', 'right')].filter(Boolean).join(' ') || 'middle';
}
