/** Symmetric positive definite systems by their lower triangular factor. */

/** Lower triangular `L` with `A = L·Lᵀ`, row by row. */
export type Cholesky = readonly Float64Array[];

/**
 * Factor of a symmetric positive definite matrix.
 *
 * @param at element of row i, column j; only `j ≤ i` is asked for
 * @throws {RangeError} not positive definite
 * @see Golub & Van Loan, Matrix Computations, §4.2
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

/** `L⁻¹·b`. */
export function forward(factor: Cholesky, b: ArrayLike<number>): Float64Array {
  const x = new Float64Array(factor.length);
  factor.forEach((row, i) => {
    let sum = b[i] as number;
    for (let k = 0; k < i; k++) sum -= (row[k] as number) * (x[k] as number);
    x[i] = sum / (row[i] as number);
  });
  return x;
}

/** Logarithm of the determinant of the factored matrix. */
export const logDeterminant = (factor: Cholesky): number => 2 * factor.reduce((sum, row, i) => sum + Math.log(row[i] as number), 0);
