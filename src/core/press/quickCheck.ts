/** Quick check: a few readings in a minute, judged as a difference from the last map: is the press still what it was? */
import { z } from 'zod';
import { instrumentError } from './instrumentError';
import { distance } from './platenFit';
import type { PlatenMap } from './platenMap';
import { type Surface, withTenths } from './surface';
import { type QuickCheck, readingsOf } from './survey';

/** What a quick check found of a platen against what was known of it. */
export const FoundCheckSchema = z.object({
  pressId: z.string(),
  platen: z.string(),
  on: z.string(),
  /** How much hotter the surface was than its map says, K, and one standard deviation of the check itself. */
  differenceK: z.number(),
  sdK: z.number(),
});
export type FoundCheck = z.infer<typeof FoundCheckSchema>;

/** Surface minus set that a map has at a place, K: of its nearest cell. */
function mapAt(
  { widthMm, heightMm, columns, rows, nodes, slope, refC }: PlatenMap,
  place: { xMm: number; yMm: number; setC: number },
): number {
  const middle = (i: number, n: number, whole: number) => ((i + 0.5) / n - 0.5) * whole;
  let [best, nearest] = [0, Number.POSITIVE_INFINITY];
  nodes.forEach((_, i) => {
    const at = { xMm: middle(i % columns, columns, widthMm), yMm: middle(Math.floor(i / columns), rows, heightMm) };
    const away = distance(at, place);
    if (away < nearest) [best, nearest] = [i, away];
  });
  return (nodes[best]?.meanK ?? 0) + slope.mean * (place.setC - refC);
}

/**
 * What a quick check found.
 *
 * The mean of its readings against the map at the same places. What is common to all readings of its instrument does not average
 * out, its scatter does.
 *
 * @param on day of the check, ISO
 */
export function checkFound(check: QuickCheck, map: PlatenMap, on: string): FoundCheck {
  const readings = readingsOf(check);
  const differences = readings.map(({ surfaceC, setC, ...place }) => surfaceC - setC - mapAt(map, { ...place, setC }));
  const { commonK, scatterK } = instrumentError(check.instrument);
  return {
    pressId: check.pressId,
    platen: check.platen,
    on,
    differenceK: differences.reduce((sum, difference) => sum + difference, 0) / Math.max(1, differences.length),
    sdK: Math.hypot(commonK, scatterK / Math.sqrt(Math.max(1, differences.length))),
  };
}

/** A difference is more than chance when it is so many times what check and map are good for. */
const MORE_THAN_CHANCE = 2;

/** Whether a press still is what its map says; false: it has changed, or one of the two was wrong. @param mapSdK of the map's own mean, K */
export const isAsItWas = ({ differenceK, sdK }: FoundCheck, mapSdK: number): boolean =>
  Math.abs(differenceK) <= MORE_THAN_CHANCE * Math.hypot(sdK, mapSdK);

/** The share of a found difference that is believed, by how much was in doubt before and how good the check is. */
const believed = (beforeK: number, { sdK }: Pick<FoundCheck, 'sdK'>): number => beforeK ** 2 / (beforeK ** 2 + sdK ** 2);

/** What of a surface's doubt is common to the platen at most, K: the lesser of its two ends'. */
export const commonDoubt = ({ coolest, hottest }: Surface): number => Math.min(coolest.sdK, hottest.sdK);

/** A surface that moved and narrowed by what a check tells of all of it. @param movedK hotter than was believed */
export function correctedBy<S extends Surface>(surface: S, movedK: number, check: Pick<FoundCheck, 'sdK'>): S {
  const beforeK = commonDoubt(surface);
  const gone = believed(beforeK, check) * beforeK ** 2;
  return withTenths(surface, ({ meanK, sdK }) => ({ meanK: meanK + movedK, sdK: Math.sqrt(Math.max(0, sdK ** 2 - gone)) }));
}

/** A surface of which so much more is in doubt, common to all of the platen. */
function doubted<S extends Surface>(surface: S, commonK: number): S {
  const more = Math.max(0, commonK ** 2 - commonDoubt(surface) ** 2);
  return withTenths(surface, ({ meanK, sdK }) => ({ meanK, sdK: Math.sqrt(sdK ** 2 + more) }));
}

/**
 * A surface after a quick check of its platen, the check weighed against what was known.
 *
 * A difference that is more than chance says that the press has changed, or that its survey was wrong: what was known is then
 * doubted as far as the difference shows, so that the check is followed.
 *
 * @param mapped the surface as the map had it, which the difference is told against
 * @param aged the same as it was known when it was checked
 */
export function afterCheck<S extends Surface>(mapped: Surface, aged: S, check: FoundCheck): S {
  const middle = ({ coolest, hottest }: Surface) => (coolest.meanK + hottest.meanK) / 2;
  const surpriseK = check.differenceK - (middle(aged) - middle(mapped));
  const before = doubted(aged, Math.abs(surpriseK) / MORE_THAN_CHANCE);
  return correctedBy(before, believed(commonDoubt(before), check) * surpriseK, check);
}
