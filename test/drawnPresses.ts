/**
 * Presses drawn as it is believed that presses are: a common offset, a smooth surface over the platen, and surveys of them with
 * the errors of an instrument. With the judge who knows how each was drawn. Coded apart from what it judges.
 */
import { cholesky, forward, normalCdf } from '../src/core/numerics';
import { type Area, type Instrument, instrumentError, PLANS, type Place, type Survey } from '../src/core/press';
import { type Chance, PLATEN } from './platens';

/** How presses are drawn. */
export interface Drawing {
  /** Common offset, K. */
  offset: (chance: Chance) => number;
  roughness: readonly (readonly [roughK: number, weight: number])[];
  /** Correlation of two places so many lengths apart. */
  kernel: (lengths: number) => number;
}

const matern = (r: number) => (1 + Math.sqrt(5) * r + (5 * r * r) / 3) * Math.exp(-Math.sqrt(5) * r);
const LENGTHS = [0.2, 0.4, 0.8];
const DIAGONAL = Math.hypot(PLATEN.widthMm, PLATEN.heightMm);

const OFFSET_K = 6.1;
export const AS_STATED: Drawing = {
  offset: (chance) => chance.normal(OFFSET_K),
  roughness: [
    [1.2, 0.25],
    [2.5, 0.4],
    [4.5, 0.28],
    [7, 0.07],
  ],
  kernel: matern,
};
/** Offsets with heavy tails, and surfaces that are nowhere smooth, of the same size. */
export const OTHERWISE: Drawing = {
  offset: (chance) => {
    // Student's t of five degrees, of the same variance
    const squares = Array.from({ length: 5 }, () => chance.normal() ** 2).reduce((a, b) => a + b, 0);
    return (OFFSET_K * Math.sqrt(3 / 5) * chance.normal()) / Math.sqrt(squares / 5);
  },
  roughness: [[3.5, 1]],
  kernel: (r) => Math.exp(-r),
};

/** Places of the fine grid a surface is drawn on. */
const COLUMNS = 12;
const ROWS = 15;
const GRID: Place[] = Array.from({ length: COLUMNS * ROWS }, (_, n) => ({
  xMm: ((n % COLUMNS) + 0.5 - COLUMNS / 2) * (PLATEN.widthMm / COLUMNS),
  yMm: (Math.floor(n / COLUMNS) + 0.5 - ROWS / 2) * (PLATEN.heightMm / ROWS),
}));
const apart = (a: Place, b: Place) => Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm);

/** A press as it was drawn: surface minus set on the grid, and at the places of a survey. */
export interface Drawn {
  roughK: number;
  lengthMm: number;
  grid: number[];
  survey: Survey | null;
  readings: { place: Place; offsetK: number }[];
  instrument: Instrument | null;
}

const PLACES = { five: PLANS.five(PLATEN), nine: PLANS.nine(PLATEN) };
const factors = new Map<string, ReturnType<typeof cholesky>>();

/** Draws a press, surveyed by an instrument at five or nine places, or never. */
export function drawn(chance: Chance, drawing: Drawing, instrument: Instrument | null, plan: 'five' | 'nine'): Drawn {
  const pick = chance.uniform();
  const upTo = (n: number) => drawing.roughness.slice(0, n + 1).reduce((sum, [, weight]) => sum + weight, 0);
  const [roughK] = drawing.roughness.find((_, n) => upTo(n) > pick) ?? drawing.roughness[0] ?? [0];
  const lengthMm = chance.pick(LENGTHS) * DIAGONAL;
  const all = [...GRID, ...PLACES[plan]];
  const key = `${drawing.kernel.toString()} ${lengthMm} ${plan}`;
  let factor = factors.get(key);
  if (!factor) {
    factor = cholesky(all.length, (i, j) => drawing.kernel(apart(all[i] as Place, all[j] as Place) / lengthMm) + (i === j ? 1e-6 : 0));
    factors.set(key, factor);
  }
  const normals = all.map(() => chance.normal());
  const offset = drawing.offset(chance);
  const surface = factor.map((row) => offset + roughK * row.reduce((total, value, i) => total + value * (normals[i] as number), 0));
  const readings: Drawn['readings'] = [];
  let survey: Survey | null = null;
  if (instrument) {
    const { commonK, scatterK } = instrumentError(instrument);
    const common = chance.normal(commonK);
    const places = PLACES[plan];
    places.forEach((place, i) => {
      const truth = 150 + (surface[GRID.length + i] as number);
      const read =
        instrument.kind === 'strip'
          ? (Math.floor(truth / instrument.stepK) + 0.5) * instrument.stepK
          : truth + common + chance.normal(scatterK);
      readings.push({ place, offsetK: read - 150 });
    });
    survey = {
      id: `drawn-${chance.uniform()}`,
      kind: 'survey',
      pressId: 'drawn',
      platen: 'upper',
      at: 1,
      by: '',
      // a gun's correction for emissivity is left out: it reads the surface with its errors
      instrument: instrument.kind === 'infrared' ? { kind: 'infrared', emissivitySet: 0.9 } : instrument,
      finish: 'dark coated',
      roomC: 21,
      readings: readings.map(({ place, offsetK }) => ({ ...place, setC: 150, readC: 150 + offsetK })),
      note: '',
    };
  }
  return { roughK, lengthMm, grid: surface.slice(0, GRID.length), survey, readings, instrument };
}

const under = ({ xMm, yMm, widthMm, heightMm }: Area) =>
  GRID.flatMap((place, i) => (Math.abs(place.xMm - xMm) <= widthMm / 2 && Math.abs(place.yMm - yMm) <= heightMm / 2 ? [i] : []));

/** What a share of a surface under an area is cooler than. */
export function shareOf(surface: readonly number[], share: number): number {
  const sorted = [...surface].sort((a, b) => a - b);
  const at = share * (sorted.length - 1);
  const [a, b] = [sorted[Math.floor(at)] as number, sorted[Math.ceil(at)] as number];
  return a + (at - Math.floor(at)) * (b - a);
}

export const surfaceUnder = ({ grid }: Pick<Drawn, 'grid'>, area: Area): number[] => under(area).map((i) => grid[i] as number);

const JUDGE_DRAWS = 200;

/**
 * What a judge knows who knows how rough this very press was drawn and over which length: surfaces under an area, as likely as
 * the readings leave them.
 */
export function surfacesKnown({ roughK, lengthMm, readings, instrument }: Drawn, drawing: Drawing, area: Area, chance: Chance): number[][] {
  const places = under(area).map((i) => GRID[i] as Place);
  const covariance = (a: Place, b: Place) => OFFSET_K ** 2 + roughK ** 2 * drawing.kernel(apart(a, b) / lengthMm);
  const error = instrument ? instrumentError(instrument) : { commonK: 0, scatterK: 0 };
  const known = cholesky(
    readings.length,
    (i, j) =>
      covariance(readings[i]?.place as Place, readings[j]?.place as Place) + error.commonK ** 2 + (i === j ? error.scatterK ** 2 : 0),
  );
  const found = forward(
    known,
    readings.map(({ offsetK }) => offsetK),
  );
  const along = places.map((place) =>
    forward(
      known,
      readings.map((reading) => covariance(reading.place, place)),
    ),
  );
  const dot = (a: ArrayLike<number>, b: ArrayLike<number>) => Array.from(a).reduce((sum, value, i) => sum + value * (b[i] as number), 0);
  const means = along.map((values) => dot(values, found));
  const left = cholesky(
    places.length,
    (i, j) =>
      covariance(places[i] as Place, places[j] as Place) - dot(along[i] as Float64Array, along[j] as Float64Array) + (i === j ? 1e-6 : 0),
  );
  return Array.from({ length: JUDGE_DRAWS }, () => {
    const normals = places.map(() => chance.normal());
    return left.map((row, i) => (means[i] as number) + row.reduce((sum, value, k) => sum + value * (normals[k] as number), 0));
  });
}

/** Chance that a bound with a normal doubt is passed by one of equally likely values. */
export const chanceOver = (values: readonly number[], keep: 'above' | 'below', boundK: number, sdK: number): number =>
  values.reduce((sum, value) => {
    const z = (keep === 'above' ? boundK - value : value - boundK) / Math.max(1e-6, sdK);
    return sum + normalCdf(z);
  }, 0) / values.length;
