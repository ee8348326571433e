/** Root: where a rising or falling function crosses zero, between two ends that bracket it. */

const MOST_STEPS = 60;

/**
 * The root of a continuous function in a bracket.
 *
 * False position with the Illinois weighting: no slope is asked for, the root stays bracketed, and a nearly straight function takes
 * three or four steps.
 *
 * @param within how near the bracket or a step must come, in the function's own unit of x
 * @returns the root; where both ends have one sign, the end that is nearer to zero
 * @see Dowell and Jarratt, A modified regula falsi method for computing the root of an equation, BIT 11 (1971)
 * @example rootOf((x) => x * x - 2, 0, 2, 1e-9) // 1.41421356
 */
export function rootOf(f: (x: number) => number, low: number, high: number, within: number): number {
  let [a, b] = [low, high];
  let [fa, fb] = [f(a), f(b)];
  if (fa === 0) return a;
  if (fb === 0) return b;
  if (fa > 0 === fb > 0) return Math.abs(fa) < Math.abs(fb) ? a : b;
  let before = Number.NaN;
  for (let i = 0; i < MOST_STEPS; i++) {
    const x = (a * fb - b * fa) / (fb - fa);
    const fx = f(x);
    if (fx === 0 || Math.abs(x - before) < within || Math.abs(b - a) < within) return x;
    before = x;
    if (fx > 0 === fb > 0) {
      fa /= 2;
    } else {
      a = b;
      fa = fb;
    }
    b = x;
    fb = fx;
  }
  return before;
}
