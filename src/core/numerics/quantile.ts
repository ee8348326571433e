/** Quantiles: of figures in order, and of a density on an even grid. */

/**
 * The value a share of sorted figures lies below, on a straight line between two of them (the seventh definition of Hyndman and
 * Fan, The American Statistician 50, 1996).
 *
 * @param sorted one figure or more, rising
 * @param share 0 to 1
 * @returns in the unit of the figures
 * @example quantileOfSorted([1, 2, 3, 4], 0.25) // 1.75
 */
export function quantileOfSorted(sorted: ArrayLike<number>, share: number): number {
  const at = share * (sorted.length - 1);
  const i = Math.floor(at);
  const [a, b] = [sorted[i] as number, sorted[Math.min(sorted.length - 1, i + 1)] as number];
  return a + (at - i) * (b - a);
}

/**
 * The value a share of a density lies below. Each weight is spread evenly over the step about its grid point.
 *
 * @param grid `first` point and the `step` to the next, in the unit of what is returned
 * @param weights of each grid point, 1 together
 * @param share 0 to 1
 * @returns the upper end of the grid where the weights come to less than the share
 * @example quantileOfDensity([0.25, 0.5, 0.25], 0.5, { first: 0, step: 2 }) // 2
 */
export function quantileOfDensity(weights: readonly number[], share: number, { first, step }: { first: number; step: number }): number {
  let sum = 0;
  for (let i = 0; i < weights.length; i++) {
    const weight = weights[i] as number;
    if (sum + weight >= share) return first + step * (i + (share - sum) / weight - 0.5);
    sum += weight;
  }
  return first + step * (weights.length - 1);
}
