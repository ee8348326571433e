/** Normal distributions and weighted mixtures of them. */
import { erfcx } from './erfcx';

/**
 * Standard normal distribution function.
 *
 * @param z in standard deviations
 * @returns 0 to 1
 * @see Cody, Rational Chebyshev approximations for the error function (1969), for erfc
 * @example normalCdf(1.959964) // 0.975000
 */
export function normalCdf(z: number): number {
  const a = Math.abs(z) / Math.SQRT2;
  const tail = 0.5 * erfcx(a) * Math.exp(-a * a);
  return z > 0 ? 1 - tail : tail;
}

/**
 * Logarithm of the standard normal distribution function, exact however far below zero.
 *
 * @param z in standard deviations
 * @returns −∞ to 0
 * @example logNormalCdf(-1.959964) // -3.68888
 */
export function logNormalCdf(z: number): number {
  if (z > 0) return Math.log1p(-normalCdf(-z));
  const a = -z / Math.SQRT2;
  return Math.log(0.5 * erfcx(a)) - a * a;
}

/** One normal part of a mixture. */
export interface NormalPart {
  weight: number;
  mean: number;
  sd: number;
}

/**
 * Mean and standard deviation of a mixture. Weights need not add up to one.
 *
 * @param parts mean and sd in one unit
 * @returns in the unit of the parts
 * @example mixtureMoments([{ weight: 1, mean: -3, sd: 4 }, { weight: 1, mean: 3, sd: 4 }]) // { mean: 0, sd: 5 }
 */
export function mixtureMoments(parts: readonly NormalPart[]): { mean: number; sd: number } {
  const total = parts.reduce((sum, part) => sum + part.weight, 0);
  const mean = parts.reduce((sum, part) => sum + part.weight * part.mean, 0) / total;
  const variance = parts.reduce((sum, part) => sum + part.weight * (part.sd ** 2 + (part.mean - mean) ** 2), 0) / total;
  return { mean, sd: Math.sqrt(variance) };
}

/**
 * Share of a mixture at or below x.
 *
 * @param parts weights need not add up to one; mean and sd in the unit of x
 * @returns 0 to 1
 * @example mixtureCdf([{ weight: 1, mean: 0, sd: 1 }, { weight: 1, mean: 4, sd: 1 }], 2) // 0.5
 */
export function mixtureCdf(parts: readonly NormalPart[], x: number): number {
  const total = parts.reduce((sum, part) => sum + part.weight, 0);
  return parts.reduce((sum, part) => sum + part.weight * normalCdf((x - part.mean) / part.sd), 0) / total;
}

/**
 * The x below which a share of a mixture lies, by bisection to a millionth of the spread.
 *
 * @param share 0 to 1, both excluded
 * @returns in the unit of the parts
 * @example mixtureQuantile([{ weight: 2, mean: 150, sd: 4 }], 0.975) // 157.8399
 */
export function mixtureQuantile(parts: readonly NormalPart[], share: number): number {
  let low = Math.min(...parts.map((part) => part.mean - 9 * part.sd));
  let high = Math.max(...parts.map((part) => part.mean + 9 * part.sd));
  const enough = 1e-7 * (high - low);
  while (high - low > enough) {
    const middle = (low + high) / 2;
    if (mixtureCdf(parts, middle) < share) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
