/**
 * A platen's surface from a handful of readings: offset, slope with the setting, and how it differs from place to place.
 *
 * What a reading finds is taken as `surface − set = a + b·(set − ref) + g(x, y) + common + scatter`. `g` is a smooth random
 * surface; how rough it is nobody knows beforehand, so many roughnesses are tried and weighed by how well they explain
 * the readings. Every figure comes as a 95 % interval over all of them.
 */

import {
  type Cholesky,
  cholesky,
  forward,
  logDeterminant,
  mixtureMoments,
  mixtureQuantile,
  type NormalPart,
  pivotedCholesky,
} from '../numerics';
import type { Estimate } from './estimate';
import type { InstrumentError } from './instrumentError';

/** A reading taken for what it is worth; places in mm from the platen's middle, x to the right, y towards the operator. */
export interface PlatenReading {
  xMm: number;
  yMm: number;
  setC: number;
  surfaceC: number;
}

export interface Place {
  xMm: number;
  yMm: number;
}

/** A rectangle on the platen, mm from its middle. */
export interface Area {
  xMm: number;
  yMm: number;
  widthMm: number;
  heightMm: number;
}

/**
 * What is believed of a platen before anything is measured: at any one place its surface is off by 7 K, one standard deviation,
 * of which about 6.1 are common to the platen and 3.5 a smooth surface over it. How rough that surface is and over which length
 * it stays alike differs from press to press.
 */
export const PRIOR = {
  /** Common to the platen, standard deviation, K. */
  offsetK: 6.1,
  /** The offset may change so much with the setting, K per K. */
  slope: 0.04,
  /** Standard deviations of the surface, K, each with how usual it is; together 3.5. */
  roughness: [
    { roughK: 1.2, weight: 0.25 },
    { roughK: 2.5, weight: 0.4 },
    { roughK: 4.5, weight: 0.28 },
    { roughK: 7, weight: 0.07 },
  ],
  /** Lengths over which the surface stays alike, as shares of the platen's diagonal. */
  lengths: [0.2, 0.4, 0.8],
} as const;
/** Nodes a side when a mean over an area is taken. */
const QUADRATURE = 6;

const dot = (a: Float64Array, b: Float64Array): number => {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += (a[i] as number) * (b[i] as number);
  return sum;
};

/** One roughness and length, with what it makes of the readings. */
interface Candidate {
  weight: number;
  varianceK2: number;
  lengthMm: number;
  factor: Cholesky;
  /** `L⁻¹·d` of the readings. */
  whitened: Float64Array;
}

export interface PlatenFit {
  readings: readonly PlatenReading[];
  refC: number;
  candidates: readonly Candidate[];
}

/**
 * Matérn covariance with ν = 5/2 of unit variance.
 *
 * @param distanceMm between two places, mm
 * @param lengthMm over which they are alike, mm
 * @returns 0 to 1
 * @see Rasmussen & Williams, Gaussian Processes for Machine Learning, §4.2
 * @example alike(100, 100) // 0.52399
 */
export function alike(distanceMm: number, lengthMm: number): number {
  const s = (Math.sqrt(5) * distanceMm) / lengthMm;
  return (1 + s + (s * s) / 3) * Math.exp(-s);
}

export const distance = (a: Place, b: Place): number => Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm);

/**
 * Fits a platen to its readings.
 *
 * @param platen its sides, mm
 * @param error the instrument's, standard uncertainties in K
 * @throws {RangeError} no readings
 */
export function fitPlaten(
  readings: readonly PlatenReading[],
  platen: { widthMm: number; heightMm: number },
  error: InstrumentError,
): PlatenFit {
  if (readings.length === 0) throw new RangeError('a platen is not fitted to no readings');
  const refC = readings.reduce((sum, reading) => sum + reading.setC, 0) / readings.length;
  const found = readings.map((reading) => reading.surfaceC - reading.setC);
  const diagonal = Math.hypot(platen.widthMm, platen.heightMm);
  const tried = PRIOR.roughness.flatMap(({ roughK, weight: usual }) =>
    PRIOR.lengths.map((share) => {
      const varianceK2 = roughK ** 2;
      const lengthMm = share * diagonal;
      const factor = cholesky(readings.length, (i, j) => {
        const [a, b] = [readings[i] as PlatenReading, readings[j] as PlatenReading];
        const shared = PRIOR.offsetK ** 2 + PRIOR.slope ** 2 * (a.setC - refC) * (b.setC - refC) + error.commonK ** 2;
        return shared + varianceK2 * alike(distance(a, b), lengthMm) + (i === j ? error.scatterK ** 2 : 0);
      });
      const whitened = forward(factor, found);
      const logWeight = Math.log(usual) - 0.5 * (whitened.reduce((sum, w) => sum + w * w, 0) + logDeterminant(factor));
      return { varianceK2, lengthMm, factor, whitened, logWeight };
    }),
  );
  const best = Math.max(...tried.map((kernel) => kernel.logWeight));
  const candidates = tried.map(({ logWeight, ...one }) => ({ ...one, weight: Math.exp(logWeight - best) }));
  return { readings, refC, candidates };
}

/** What is asked of a fit: how it goes with each reading, and its own variance, beside the parts that the surface has no share in. */
interface FitTarget {
  offset: number;
  slope: number;
  /** Mean covariance of the asked places with a reading's, of unit variance. */
  surfaceWith: (reading: PlatenReading, lengthMm: number) => number;
  surfaceOwn: (lengthMm: number) => number;
}

/** The asked figure by every candidate. */
function partsOf(fit: PlatenFit, { offset, slope, surfaceWith, surfaceOwn }: FitTarget): NormalPart[] {
  const byLength = new Map(
    [...new Set(fit.candidates.map((kernel) => kernel.lengthMm))].map((lengthMm) => [
      lengthMm,
      { along: fit.readings.map((reading) => surfaceWith(reading, lengthMm)), own: surfaceOwn(lengthMm) },
    ]),
  );
  return fit.candidates.map(({ weight, varianceK2, lengthMm, factor, whitened }) => {
    const surface = byLength.get(lengthMm) ?? { along: [], own: 0 };
    const along = fit.readings.map(
      ({ setC }, i) =>
        offset * PRIOR.offsetK ** 2 + slope * PRIOR.slope ** 2 * (setC - fit.refC) + varianceK2 * (surface.along[i] as number),
    );
    const white = forward(factor, along);
    const mean = white.reduce((sum, w, i) => sum + w * (whitened[i] as number), 0);
    const own = (offset * PRIOR.offsetK) ** 2 + (slope * PRIOR.slope) ** 2 + varianceK2 * surface.own;
    const known = white.reduce((sum, w) => sum + w * w, 0);
    return { weight, mean, sd: Math.sqrt(Math.max(1e-12, own - known)) };
  });
}

function estimate(fit: PlatenFit, target: FitTarget): Estimate {
  const parts = partsOf(fit, target);
  return { ...mixtureMoments(parts), low: mixtureQuantile(parts, 0.025), high: mixtureQuantile(parts, 0.975) };
}

const atPlace = (fit: PlatenFit, place: Place, setC: number): FitTarget => ({
  offset: 1,
  slope: setC - fit.refC,
  surfaceWith: (reading, lengthMm) => alike(distance(reading, place), lengthMm),
  surfaceOwn: () => 1,
});

/**
 * Surface minus set at one place for a setting.
 *
 * @param place from the middle of the platen, mm
 * @param setC °C
 * @returns mean, standard deviation, and the ends 95 % lie between, K
 */
export function offsetAt(fit: PlatenFit, place: Place, setC: number): Estimate {
  return estimate(fit, atPlace(fit, place, setC));
}

/**
 * Surface minus set at many places at once for the settings measured: means, and the largest parts of their covariance.
 *
 * @param most parts at most
 * @param enoughK2 variance that may be left out at a place
 */
export function jointAt(fit: PlatenFit, places: readonly Place[], most: number, enoughK2: number): { meanK: number; parts: number[] }[] {
  const total = fit.candidates.reduce((sum, { weight }) => sum + weight, 0);
  const lengths = [...new Set(fit.candidates.map((kernel) => kernel.lengthMm))];
  const along = new Map(lengths.map((l) => [l, places.map((place) => fit.readings.map((reading) => alike(distance(reading, place), l)))]));
  const whites = fit.candidates.map(({ varianceK2, lengthMm, factor }) =>
    places.map((_, i) =>
      forward(
        factor,
        (along.get(lengthMm)?.[i] ?? []).map((with_) => PRIOR.offsetK ** 2 + varianceK2 * with_),
      ),
    ),
  );
  const means = fit.candidates.map(({ whitened }, c) => whites[c]?.map((white) => dot(white, whitened)) ?? []);
  const share = fit.candidates.map(({ weight }) => weight / total);
  const mean = places.map((_, i) => share.reduce((sum, w, c) => sum + w * (means[c]?.[i] as number), 0));
  const covariance = (i: number, j: number): number => {
    const apart = distance(places[i] as Place, places[j] as Place);
    const same = new Map(lengths.map((l) => [l, alike(apart, l)]));
    let sum = 0;
    fit.candidates.forEach(({ varianceK2, lengthMm }, c) => {
      const [white, own] = [whites[c] ?? [], means[c] ?? []];
      const within = PRIOR.offsetK ** 2 + varianceK2 * (same.get(lengthMm) ?? 0) - dot(white[i] as Float64Array, white[j] as Float64Array);
      const between = ((own[i] as number) - (mean[i] as number)) * ((own[j] as number) - (mean[j] as number));
      sum += (share[c] as number) * (within + between);
    });
    return sum;
  };
  const parts = pivotedCholesky(places.length, covariance, most, enoughK2);
  return places.map((_, i) => ({ meanK: mean[i] as number, parts: parts[i] ?? [] }));
}

/**
 * Mean of surface minus set over an area for a setting.
 *
 * @param area on the platen, mm from its middle
 * @param setC °C
 * @returns mean, standard deviation, and the ends 95 % lie between, K
 */
export function meanOffset(fit: PlatenFit, area: Area, setC: number): Estimate {
  const nodes = nodesOf(area, QUADRATURE, QUADRATURE);
  const mean = (from: (node: Place) => number) => nodes.reduce((sum, node) => sum + from(node), 0) / nodes.length;
  return estimate(fit, {
    offset: 1,
    slope: setC - fit.refC,
    surfaceWith: (reading, lengthMm) => mean((node) => alike(distance(reading, node), lengthMm)),
    surfaceOwn: (lengthMm) => mean((a) => mean((b) => alike(distance(a, b), lengthMm))),
  });
}

/**
 * How the offset changes with the setting; with one setting measured it is only what is usual.
 *
 * @returns mean, standard deviation, and the ends 95 % lie between, K per K
 */
export function slopeOf(fit: PlatenFit): Estimate {
  return estimate(fit, { offset: 0, slope: 1, surfaceWith: () => 0, surfaceOwn: () => 0 });
}

/** Middles of equal cells of an area, row by row from the back left. */
export function nodesOf({ xMm, yMm, widthMm, heightMm }: Area, columns: number, rows: number): Place[] {
  return Array.from({ length: rows * columns }, (_, n) => ({
    xMm: xMm + ((n % columns) + 0.5 - columns / 2) * (widthMm / columns),
    yMm: yMm + (Math.floor(n / columns) + 0.5 - rows / 2) * (heightMm / rows),
  }));
}
