/** Made-up platens for tests: smooth random surfaces of a kind the fit does not assume, and instruments that read them with their errors. */
import { cholesky, forward } from '../src/core/numerics';
import type { Area, Instrument, Place, PlatenReading } from '../src/core/press';
import { instrumentError } from '../src/core/press';

/** A stream of chance that is the same every time. */
export class Chance {
  private state: number;
  constructor(seed: number) {
    this.state = seed >>> 0;
  }
  uniform(low = 0, high = 1): number {
    // mulberry32
    this.state = (this.state + 0x6d2b79f5) >>> 0;
    let t = this.state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return low + (high - low) * (((t ^ (t >>> 14)) >>> 0) / 4294967296);
  }
  normal(sd = 1): number {
    return sd * Math.sqrt(-2 * Math.log(1 - this.uniform())) * Math.cos(2 * Math.PI * this.uniform());
  }
  pick<T>(all: readonly T[]): T {
    return all[Math.floor(this.uniform() * all.length)] as T;
  }
}

export const PLATEN = { widthMm: 400, heightMm: 500 };
const ORDERS = [0, 1, 2, 3, 4].flatMap((p) => [0, 1, 2, 3, 4].filter((q) => p + q > 0 && p + q <= 4).map((q) => [p, q] as const));
/** Slow waves are tall, quick ones low. */
const height = (p: number, q: number) => 1 / (p * p + q * q) ** 0.75;
const wave = ([p, q]: readonly [number, number], { xMm, yMm }: Place) =>
  Math.cos(p * Math.PI * (xMm / PLATEN.widthMm + 0.5)) * Math.cos(q * Math.PI * (yMm / PLATEN.heightMm + 0.5));
const meanWave = ([p, q]: readonly [number, number], { xMm, yMm, widthMm, heightMm }: Area) => {
  const along = (n: number, at: number, side: number, whole: number) =>
    n === 0
      ? 1
      : (Math.sin(n * Math.PI * ((at + side / 2) / whole + 0.5)) - Math.sin(n * Math.PI * ((at - side / 2) / whole + 0.5))) /
        ((n * Math.PI * side) / whole);
  return along(p, xMm, widthMm, PLATEN.widthMm) * along(q, yMm, heightMm, PLATEN.heightMm);
};

/** A platen whose surface is a sum of cosine waves of chance heights. */
export interface Truth {
  roughK: number;
  offsetK: number;
  slope: number;
  heights: number[];
}

/** Common to a platen, one standard deviation, K. */
const OFFSET_K = 6.1;

export function truth(chance: Chance): Truth {
  const roughK = Math.exp(chance.uniform(Math.log(0.8), Math.log(6)));
  return {
    roughK,
    offsetK: chance.normal(OFFSET_K),
    slope: chance.normal(0.03),
    heights: ORDERS.map(([p, q]) => chance.normal(roughK * height(p, q))),
  };
}

const at = (truth: Truth, of: (order: readonly [number, number]) => number) =>
  ORDERS.reduce((sum, order, i) => sum + (truth.heights[i] as number) * of(order), 0);
/** Surface minus set. */
export const trueOffset = (truth: Truth, place: Place, setC: number, refC: number) =>
  truth.offsetK + truth.slope * (setC - refC) + at(truth, (order) => wave(order, place));
export const trueMean = (truth: Truth, area: Area, setC: number, refC: number) =>
  truth.offsetK + truth.slope * (setC - refC) + at(truth, (order) => meanWave(order, area));

export const FIVE: Place[] = [
  [0, 0],
  [-1, -1],
  [1, -1],
  [-1, 1],
  [1, 1],
].map(([x = 0, y = 0]) => ({ xMm: x * 160, yMm: y * 200 }));
export const NINE: Place[] = [-1, 0, 1].flatMap((y) => [-1, 0, 1].map((x) => ({ xMm: x * 160, yMm: y * 200 })));

/** A survey of a platen with an instrument's own errors: one common to all its readings, one afresh in each. */
export function survey(
  truth: Truth,
  places: readonly Place[],
  sets: readonly number[],
  instrument: Instrument,
  chance: Chance,
  refC: number,
): PlatenReading[] {
  const { commonK, scatterK } = instrumentError(instrument);
  const common = chance.normal(commonK);
  return sets.flatMap((setC) =>
    places.map((place) => {
      const surface = setC + trueOffset(truth, place, setC, refC);
      // a strip tells only between which two changes the surface was
      const read =
        instrument.kind === 'strip'
          ? (Math.floor(surface / instrument.stepK) + 0.5) * instrument.stepK
          : surface + common + chance.normal(scatterK);
      return { ...place, setC, surfaceC: read };
    }),
  );
}

/**
 * Standard error of the best estimator there can be: one that knows the waves and how rough this very platen is.
 * @param of the asked figure as a sum of waves
 */
export function bestError(
  truth: Truth,
  readings: readonly PlatenReading[],
  instrument: Instrument,
  of: (order: readonly [number, number]) => number,
): number {
  const { commonK, scatterK } = instrumentError(instrument);
  const spread = ORDERS.map(([p, q]) => (truth.roughK * height(p, q)) ** 2);
  const offset = OFFSET_K ** 2;
  const cov = (f: (order: readonly [number, number]) => number, g: (order: readonly [number, number]) => number) =>
    offset + ORDERS.reduce((sum, order, i) => sum + (spread[i] as number) * f(order) * g(order), 0);
  const where = readings.map((reading) => (order: readonly [number, number]) => wave(order, reading));
  const factor = cholesky(
    readings.length,
    (i, j) => cov(where[i] as never, where[j] as never) + commonK ** 2 + (i === j ? scatterK ** 2 : 0),
  );
  const white = forward(
    factor,
    where.map((f) => cov(f, of)),
  );
  return Math.sqrt(cov(of, of) - white.reduce((sum, w) => sum + w * w, 0));
}
export const waveAt = (place: Place) => (order: readonly [number, number]) => wave(order, place);
export const waveOver = (area: Area) => (order: readonly [number, number]) => meanWave(order, area);
