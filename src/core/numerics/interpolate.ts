/** Straight-line interpolation between points of a rising or falling table. */

/**
 * Value of a piecewise straight line through points; outside them the end value is kept.
 *
 * @param points at least one, sorted by rising x
 * @param x in the unit of the points
 * @returns in the unit of the second figures
 * @throws {RangeError} no points
 * @example interpolate([[100, 1], [200, 3]], 150) // 2
 */
export function interpolate(points: readonly (readonly [number, number])[], x: number): number {
  const first = points[0];
  if (!first) throw new RangeError('interpolate needs at least one point');
  if (x <= first[0]) return first[1];
  for (let i = 1; i < points.length; i++) {
    const [x0, y0] = points[i - 1] as [number, number];
    const [x1, y1] = points[i] as [number, number];
    if (x <= x1) return y0 + ((y1 - y0) * (x - x0)) / (x1 - x0);
  }
  return (points.at(-1) as [number, number])[1];
}
