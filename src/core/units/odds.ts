/** A chance in words that can be pictured: one piece in so many, or so many in ten. */

/** From here down a chance is told as less than one in so many. */
const LEAST = 1 / 500;
/** Steps a number of pieces is told in, so that it says no more than is known. */
const ROUND = [2, 3, 4, 5, 6, 8, 10, 12, 15, 20, 25, 30, 40, 50, 60, 80, 100, 150, 200, 300, 400, 500] as const;

const nearest = (n: number): number =>
  ROUND.reduce<number>((best, value) => (Math.abs(Math.log(value / n)) < Math.abs(Math.log(best / n)) ? value : best), 2);

/**
 * A chance in words.
 *
 * @param chance 0 to 1
 * @example oddsWords(0.024) // About 1 in 40
 * @example oddsWords(0.7) // About 7 in 10
 */
export function oddsWords(chance: number): string {
  if (chance < LEAST) return 'Fewer than 1 in 500';
  if (chance > 0.95) return 'Nearly all';
  if (chance > 0.55) return `About ${Math.round(10 * chance)} in 10`;
  return `About 1 in ${nearest(1 / chance)}`;
}
