/**
 * A platen's surface from a handful of readings: offset, slope with the setting, and how it differs from place to place.
 *
 * What a reading finds is taken as `surface − set = a + b·(set − ref) + g(x, y) + common + scatter`. `g` is a smooth random
 * surface; how rough it is nobody knows beforehand, so many roughnesses are tried and weighed by how well they explain
 * the readings. Every figure comes as a 95 % interval over all of them.
 */
import { type Cholesky, cholesky, forward, logDeterminant, mixtureMoments, mixtureQuantile, type NormalPart } from '../numerics';
import type { InstrumentError } from './instrument';

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

/** A figure with its 95 % interval, K (or K per K for a slope). */
export interface Estimate {
  mean: number;
  sd: number;
  low: number;
  high: number;
}

/** Before anything is measured an offset may be so large, standard deviation, K. */
const OFFSET_PRIOR_K = 15;
/** Before anything is measured the offset may change so much with the setting, K per K. */
const SLOPE_PRIOR = 0.04;
/** Standard deviations of the surface that are tried, K. */
const ROUGHNESS_K = [0.7, 1.5, 3, 5, 8, 12];
/** Lengths over which the surface stays alike, as shares of the platen's diagonal. */
const LENGTHS = [0.2, 0.4, 0.8];
/** Nodes a side when a mean over an area is taken. */
const QUADRATURE = 6;

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

/** Matérn covariance with ν = 5/2 of unit variance. @see Rasmussen & Williams, Gaussian Processes for Machine Learning, §4.2 */
function alike(distanceMm: number, lengthMm: number): number {
  const s = (Math.sqrt(5) * distanceMm) / lengthMm;
  return (1 + s + (s * s) / 3) * Math.exp(-s);
}

const between = (a: Place, b: Place): number => Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm);

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
  const tried = ROUGHNESS_K.flatMap((roughK) =>
    LENGTHS.map((share) => {
      const varianceK2 = roughK ** 2;
      const lengthMm = share * diagonal;
      const factor = cholesky(readings.length, (i, j) => {
        const [a, b] = [readings[i] as PlatenReading, readings[j] as PlatenReading];
        const shared = OFFSET_PRIOR_K ** 2 + SLOPE_PRIOR ** 2 * (a.setC - refC) * (b.setC - refC) + error.commonK ** 2;
        return shared + varianceK2 * alike(between(a, b), lengthMm) + (i === j ? error.scatterK ** 2 : 0);
      });
      const whitened = forward(factor, found);
      const logLikelihood = -0.5 * (whitened.reduce((sum, w) => sum + w * w, 0) + logDeterminant(factor));
      return { varianceK2, lengthMm, factor, whitened, logLikelihood };
    }),
  );
  const best = Math.max(...tried.map((one) => one.logLikelihood));
  const candidates = tried.map(({ logLikelihood, ...one }) => ({ ...one, weight: Math.exp(logLikelihood - best) }));
  return { readings, refC, candidates };
}

/** What is asked of a fit: how it goes with each reading, and its own variance, beside the parts that the surface has no share in. */
interface Asked {
  offset: number;
  slope: number;
  /** Mean covariance of the asked places with a reading's, of unit variance. */
  surfaceWith: (reading: PlatenReading, lengthMm: number) => number;
  surfaceOwn: (lengthMm: number) => number;
}

/** The asked figure by every candidate. */
function partsOf(fit: PlatenFit, { offset, slope, surfaceWith, surfaceOwn }: Asked): NormalPart[] {
  const byLength = new Map(
    [...new Set(fit.candidates.map((one) => one.lengthMm))].map((lengthMm) => [
      lengthMm,
      { along: fit.readings.map((reading) => surfaceWith(reading, lengthMm)), own: surfaceOwn(lengthMm) },
    ]),
  );
  return fit.candidates.map(({ weight, varianceK2, lengthMm, factor, whitened }) => {
    const surface = byLength.get(lengthMm) ?? { along: [], own: 0 };
    const along = fit.readings.map(
      ({ setC }, i) =>
        offset * OFFSET_PRIOR_K ** 2 + slope * SLOPE_PRIOR ** 2 * (setC - fit.refC) + varianceK2 * (surface.along[i] as number),
    );
    const white = forward(factor, along);
    const mean = white.reduce((sum, w, i) => sum + w * (whitened[i] as number), 0);
    const own = (offset * OFFSET_PRIOR_K) ** 2 + (slope * SLOPE_PRIOR) ** 2 + varianceK2 * surface.own;
    const known = white.reduce((sum, w) => sum + w * w, 0);
    return { weight, mean, sd: Math.sqrt(Math.max(1e-12, own - known)) };
  });
}

function estimate(fit: PlatenFit, asked: Asked): Estimate {
  const parts = partsOf(fit, asked);
  return { ...mixtureMoments(parts), low: mixtureQuantile(parts, 0.025), high: mixtureQuantile(parts, 0.975) };
}

const atPlace = (fit: PlatenFit, place: Place, setC: number): Asked => ({
  offset: 1,
  slope: setC - fit.refC,
  surfaceWith: (reading, lengthMm) => alike(between(reading, place), lengthMm),
  surfaceOwn: () => 1,
});

/** Mean and standard deviation of surface minus set at one place, K: for maps, which need no exact interval. */
export const momentsAt = (fit: PlatenFit, place: Place, setC: number): { mean: number; sd: number } =>
  mixtureMoments(partsOf(fit, atPlace(fit, place, setC)));

/** Surface minus set at one place for a setting, K. */
export function offsetAt(fit: PlatenFit, place: Place, setC: number): Estimate {
  return estimate(fit, atPlace(fit, place, setC));
}

/** Mean of surface minus set over an area for a setting, K. */
export function meanOffset(fit: PlatenFit, area: Area, setC: number): Estimate {
  const nodes = nodesOf(area, QUADRATURE, QUADRATURE);
  const mean = (from: (node: Place) => number) => nodes.reduce((sum, node) => sum + from(node), 0) / nodes.length;
  return estimate(fit, {
    offset: 1,
    slope: setC - fit.refC,
    surfaceWith: (reading, lengthMm) => mean((node) => alike(between(reading, node), lengthMm)),
    surfaceOwn: (lengthMm) => mean((a) => mean((b) => alike(between(a, b), lengthMm))),
  });
}

/** How the offset changes with the setting, K per K; with one setting measured it is only what is usual. */
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
