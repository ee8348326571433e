/** The scaled complementary error function, which the half-space estimate of heat flow needs. */

const TWO_OVER_ROOT_PI = 2 / Math.sqrt(Math.PI);
const SERIES_TO = 2;

/**
 * `erfcx(x) = exp(x²)·erfc(x)` for x ≥ 0, to about 1e-13 relative.
 *
 * Below 2: the series of exp(x²)·erf(x) taken from exp(x²). Above: the continued fraction of erfc, by Lentz's method,
 * whose value stays finite where exp(x²) overflows.
 *
 * @param x dimensionless, 0 or more
 * @throws {RangeError} x is negative or not a number
 * @see Abramowitz & Stegun, Handbook of Mathematical Functions, 7.1.6 and 7.1.14
 * @example erfcx(1) // 0.427583576…
 */
export function erfcx(x: number): number {
  if (!(x >= 0)) throw new RangeError(`erfcx takes 0 or more, got ${x}`);
  if (x === Number.POSITIVE_INFINITY) return 0;
  return x < SERIES_TO ? bySeries(x) : byContinuedFraction(x);
}

function bySeries(x: number): number {
  let term = x;
  let sum = x;
  for (let n = 1; Math.abs(term) > 1e-17 * sum; n++) {
    term *= (2 * x * x) / (2 * n + 1);
    sum += term;
  }
  return Math.exp(x * x) - TWO_OVER_ROOT_PI * sum;
}

/** √π·erfcx(x) = 1/(x + (1/2)/(x + 1/(x + (3/2)/(x + …)))) */
function byContinuedFraction(x: number): number {
  let c = x;
  let d = 0;
  let fraction = x;
  for (let n = 1; n < 500; n++) {
    const a = n / 2;
    d = 1 / (x + a * d);
    c = x + a / c;
    const change = c * d;
    fraction *= change;
    if (Math.abs(change - 1) < 1e-16) break;
  }
  return 1 / (fraction * Math.sqrt(Math.PI));
}
