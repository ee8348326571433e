/** Symmetric positive definite systems by their lower triangular factor. */

/** Lower triangular `L` with `A = L·Lᵀ`, row by row. */
export type Cholesky = readonly Float64Array[];

/**
 * Factor of a symmetric positive definite matrix.
 *
 * @param size rows
 * @param at element of row i, column j; only `j ≤ i` is asked for
 * @returns lower triangle, a row of i + 1 elements each
 * @throws {RangeError} not positive definite
 * @see Golub & Van Loan, Matrix Computations, §4.2
 * @example cholesky(2, (i, j) => [[4, 2], [2, 5]][i][j]).map((row) => [...row]) // [[2], [1, 2]]
 */
export function cholesky(size: number, at: (i: number, j: number) => number): Cholesky {
  const rows: Float64Array[] = [];
  for (let i = 0; i < size; i++) {
    const row = new Float64Array(i + 1);
    for (let j = 0; j <= i; j++) {
      const above = rows[j] ?? row;
      let sum = at(i, j);
      for (let k = 0; k < j; k++) sum -= (row[k] as number) * (above[k] as number);
      if (i === j) {
        if (!(sum > 0)) throw new RangeError(`not positive definite at row ${i}`);
        row[i] = Math.sqrt(sum);
      } else row[j] = sum / (above[j] as number);
    }
    rows.push(row);
  }
  return rows;
}

/**
 * Forward substitution, `L⁻¹·b`.
 *
 * @param b as long as the factor has rows
 * @returns as long
 */
export function forward(factor: Cholesky, b: ArrayLike<number>): Float64Array {
  const x = new Float64Array(factor.length);
  factor.forEach((row, i) => {
    let sum = b[i] as number;
    for (let k = 0; k < i; k++) sum -= (row[k] as number) * (x[k] as number);
    x[i] = sum / (row[i] as number);
  });
  return x;
}

/**
 * Logarithm of the determinant of the factored matrix.
 *
 * @param factor lower triangle
 * @example logDeterminant(cholesky(2, (i, j) => [[4, 2], [2, 5]][i][j])) // 2.7725887
 */
export const logDeterminant = (factor: Cholesky): number => 2 * factor.reduce((sum, row, i) => sum + Math.log(row[i] as number), 0);

/**
 * A covariance by its largest parts: rows `F` with `A ≈ F·Fᵀ`, by Cholesky with the largest remaining variance taken first.
 *
 * @param at element of row i, column j
 * @param most columns at most
 * @param enough variance that may be left out at any place
 * @returns a row of equal length for each place
 * @see Harbrecht, Peters & Schneider, On the low-rank approximation by the pivoted Cholesky decomposition, 2012
 */
export function pivotedCholesky(size: number, at: (i: number, j: number) => number, most: number, enough: number): number[][] {
  const left = Array.from({ length: size }, (_, i) => at(i, i));
  const rows: number[][] = Array.from({ length: size }, () => []);
  for (let column = 0; column < Math.min(most, size); column++) {
    const pivot = left.indexOf(Math.max(...left));
    const variance = left[pivot] as number;
    if (!(variance > enough)) break;
    const root = Math.sqrt(variance);
    const of = rows[pivot] as number[];
    const next = rows.map((row, i) => {
      let sum = at(i, pivot);
      for (let k = 0; k < column; k++) sum -= (row[k] as number) * (of[k] as number);
      return i === pivot ? root : sum / root;
    });
    next.forEach((value, i) => {
      rows[i]?.push(value);
      left[i] = i === pivot ? 0 : Math.max(0, (left[i] as number) - value * value);
    });
  }
  return rows;
}
