/** Vectors that stand for a normal distribution of many dimensions: always the same ones, so that no answer hangs on chance. */

/**
 * Vectors of independent standard normals whose mean is exactly 0 and whose covariance is exactly the identity, so that the
 * mean and the standard deviation of anything linear in them are exact.
 *
 * Half of them come from a fixed stream and are made orthonormal by Gram and Schmidt; the other half are their opposites.
 *
 * @param pairs vectors without their opposites; at least `dimensions`
 * @returns `2·pairs` vectors
 */
export function fixedNormals(dimensions: number, pairs: number): number[][] {
  if (pairs < dimensions) throw new RangeError(`${dimensions} dimensions want at least as many pairs`);
  let state = 0x2545f491;
  const uniform = (): number => {
    // xorshift, Marsaglia 2003
    state ^= state << 13;
    state ^= state >>> 17;
    state ^= state << 5;
    return ((state >>> 0) + 0.5) / 4294967296;
  };
  const normal = () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
  const columns: number[][] = [];
  for (let d = 0; d < dimensions; d++) {
    const column = Array.from({ length: pairs }, normal);
    for (const other of columns) {
      const along = column.reduce((sum, value, i) => sum + value * (other[i] as number), 0) / pairs;
      other.forEach((value, i) => {
        column[i] = (column[i] as number) - along * value;
      });
    }
    const size = Math.sqrt(column.reduce((sum, value) => sum + value * value, 0) / pairs);
    columns.push(column.map((value) => value / size));
  }
  const half = Array.from({ length: pairs }, (_, i) => columns.map((column) => column[i] as number));
  return [...half, ...half.map((vector) => vector.map((value) => -value))];
}
