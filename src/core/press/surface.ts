/**
 * The surface under a piece of art as chances: how cool its coolest tenth, how hot its hottest tenth and its hottest place may
 * be for what a press is set to. A press nobody measured is one of all presses; a survey narrows that same belief.
 */
import { z } from 'zod';
import { fixedNormals, pivotedCholesky, quantileOfSorted, remembered } from '../numerics';
import type { Offset } from './band';
import { type Area, alike, distance, nodesOf, type Place, PRIOR } from './platenFit';
import type { Press } from './press';

const NormalSchema = z.object({ meanK: z.number(), sdK: z.number() });
export type Normal = z.infer<typeof NormalSchema>;

/** Surface minus set under a piece of art at `refC`, K: what a tenth of it is cooler than, what a tenth is hotter than, and its hottest place. */
export const TenthsSchema = z.object({ coolest: NormalSchema, hottest: NormalSchema, most: NormalSchema });
export type Tenths = z.infer<typeof TenthsSchema>;

/** How a press stands to what it is set to under a piece of art. */
export interface Surface extends Offset, Tenths {}

/** 95 % of a normal distribution lies within so many standard deviations. */
export const SURE = 1.96;
/** Largest parts of a surface that are kept, and the variance left out, K². */
export const PARTS = { most: 16, enoughK2: 0.02 } as const;
const DRAWS = fixedNormals(PARTS.most, 48);
const TENTH = 0.1;

function momentsOf(values: readonly number[]): Normal {
  const meanK = values.reduce((sum, value) => sum + value, 0) / values.length;
  return { meanK, sdK: Math.sqrt(values.reduce((sum, value) => sum + (value - meanK) ** 2, 0) / values.length) };
}

/**
 * Tenths of a surface known at some places, each with its mean and its row of a factor of their covariance.
 *
 * Ninety-six surfaces that stand for all it may be are laid out, and of each the tenths are read.
 */
export function tenthsOf(places: readonly { meanK: number; parts: readonly number[] }[]): Tenths {
  const [cool, hot, most]: number[][] = [[], [], []];
  const surface = new Float64Array(places.length);
  for (const draw of DRAWS) {
    places.forEach(({ meanK, parts }, i) => {
      let sum = meanK;
      for (let k = 0; k < parts.length; k++) sum += (parts[k] as number) * (draw[k] as number);
      surface[i] = sum;
    });
    surface.sort();
    cool?.push(quantileOfSorted(surface, TENTH));
    hot?.push(quantileOfSorted(surface, 1 - TENTH));
    most?.push(surface.at(-1) as number);
  }
  return { coolest: momentsOf(cool ?? []), hottest: momentsOf(hot ?? []), most: momentsOf(most ?? []) };
}

/** Band and middle of tenths: each end with its 95 %. */
export function bandOfTenths({ coolest, hottest }: Tenths): { offsetK: number; spreadK: number } {
  const [low, high] = [coolest.meanK - SURE * coolest.sdK, hottest.meanK + SURE * hottest.sdK];
  return { offsetK: (low + high) / 2, spreadK: (high - low) / 2 };
}

/**
 * A surface whose tenths have changed: band and middle move with them.
 *
 * Those that were typed need not be the tenths' own, so they are moved by as much and not made anew.
 */
export function withTenths<S extends Surface>(surface: S, change: (part: Normal) => Normal): S {
  const { coolest, hottest, most } = surface;
  const tenths = { coolest: change(coolest), hottest: change(hottest), most: change(most) };
  const [was, is] = [bandOfTenths(surface), bandOfTenths(tenths)];
  return {
    ...surface,
    ...tenths,
    offsetK: surface.offsetK + is.offsetK - was.offsetK,
    spreadK: surface.spreadK + is.spreadK - was.spreadK,
  };
}

/** Nodes a side over a piece of art on a press nobody measured. */
const NODES = 5;
const priors = remembered<Tenths>(200);

/**
 * What any press may do under art of a size, on a platen of a size: right on average over presses.
 *
 * @param art its sides, mm
 * @param platen its sides, mm
 * @returns coolest and hottest tenth under the art, K off the set value, with their doubt
 */
export function priorTenths(art: { widthMm: number; heightMm: number }, platen: { widthMm: number; heightMm: number }): Tenths {
  const size = (side: number, whole: number) => Math.min(side, whole);
  const area: Area = { xMm: 0, yMm: 0, widthMm: size(art.widthMm, platen.widthMm), heightMm: size(art.heightMm, platen.heightMm) };
  return priors(JSON.stringify([area, platen]), () => {
    const nodes = nodesOf(area, NODES, NODES);
    const diagonal = Math.hypot(platen.widthMm, platen.heightMm);
    const covariance = (a: Place, b: Place) =>
      PRIOR.offsetK ** 2 +
      PRIOR.lengths.reduce((sum, share) => sum + alike(distance(a, b), share * diagonal), 0) *
        (PRIOR.roughness.reduce((sum, { roughK, weight }) => sum + weight * roughK ** 2, 0) / PRIOR.lengths.length);
    const rows = pivotedCholesky(nodes.length, (i, j) => covariance(nodes[i] as Place, nodes[j] as Place), PARTS.most, PARTS.enoughK2);
    return tenthsOf(rows.map((parts) => ({ meanK: 0, parts })));
  });
}

const scaled = ({ meanK, sdK }: Normal, by: number, plusK: number): Normal => ({ meanK: plusK + by * meanK, sdK: by * sdK });

/** Tenths of a press whose offset and 95 % spread were typed: a surface like any press's, so much narrower. */
function tenthsWithin({ offsetK, spreadK }: Pick<Offset, 'offsetK' | 'spreadK'>, prior: Tenths): Tenths {
  const by = spreadK / bandOfTenths(prior).spreadK;
  return {
    coolest: scaled(prior.coolest, by, offsetK),
    hottest: scaled(prior.hottest, by, offsetK),
    most: scaled(prior.most, by, offsetK),
  };
}

/** The surface of a press under a piece of art where no survey tells more: as typed, else as of any press. */
export function surfaceOf(press: Press, art: { widthMm: number; heightMm: number }): Surface {
  const { calibration, platen } = press;
  const prior = priorTenths(art, platen);
  if (!calibration) return { ...prior, ...bandOfTenths(prior), slope: 0, spreadPerK: 0, refC: 0 };
  const { offsetK, spreadK, slope = 0, spreadPerK = 0, refC = 0 } = calibration;
  return { ...tenthsWithin(calibration, prior), offsetK, spreadK, slope, spreadPerK, refC };
}

/**
 * The same surface, hotter all over.
 *
 * @param byK K; below 0: colder
 */
export function shifted<S extends Surface>(surface: S, byK: number): S {
  const moved = ({ meanK, sdK }: Normal): Normal => ({ meanK: meanK + byK, sdK });
  const { offsetK, coolest, hottest, most } = surface;
  return { ...surface, offsetK: offsetK + byK, coolest: moved(coolest), hottest: moved(hottest), most: moved(most) };
}

/**
 * One part of a surface at a set value.
 *
 * @param part its mean off the set value at `refC`, and that mean's standard deviation, K
 * @param setC °C
 * @returns its mean, °C, and standard deviation, K
 */
export function surfaceAt({ slope, spreadPerK, refC }: Omit<Offset, 'offsetK' | 'spreadK'>, { meanK, sdK }: Normal, setC: number) {
  return { meanC: setC + meanK + slope * (setC - refC), sdK: Math.hypot(sdK, (spreadPerK / SURE) * (setC - refC)) };
}
