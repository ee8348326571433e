/** What a survey would tell of a platen before it is made: how much doubt of the surface under a piece of art it would leave. */
import { cholesky, fixedNormals, remembered } from '../numerics';
import { type Instrument, instrumentError } from './instrument';
import { type Area, alike, distance, fitPlaten, jointAt, nodesOf, PRIOR } from './platenFit';
import { PARTS, tenthsOf } from './surface';
import { PLANS } from './survey';

export type Plan = keyof typeof PLANS;

/** Standard deviations that are left afterwards, K. */
export interface Foreseen {
  coolestK: number;
  hottestK: number;
  mostK: number;
  /** How far half the distance between the coolest and the hottest tenth is found to be other than was believed, one standard deviation. */
  unevenK: number;
}

/** Nodes a side over a piece of art. */
const NODES = 5;
/** Surveys imagined for each roughness and length a platen may have, and each with its opposite. */
const EACH = 2;
const AT_C = 150;
const before = remembered<Foreseen>(400);

/**
 * Doubt that a survey is expected to leave under an area of a platen nobody measured.
 *
 * Platens as they are believed to be are imagined, one for every roughness and length, each surveyed with the errors of the
 * instrument and fitted as a real survey is; the variances it leaves are averaged by how usual such a platen is.
 */
export function foreseen(platen: { widthMm: number; heightMm: number }, area: Area, plan: Plan, instrument: Instrument): Foreseen {
  return before(JSON.stringify([platen, area, plan, instrument]), () => {
    const places = PLANS[plan](platen);
    const error = instrumentError(instrument);
    const nodes = nodesOf(area, NODES, NODES);
    const diagonal = Math.hypot(platen.widthMm, platen.heightMm);
    const kinds = PRIOR.roughness.flatMap(({ roughK, weight }) =>
      PRIOR.lengths.map((share) => ({ roughK, weight: weight / PRIOR.lengths.length, lengthMm: share * diagonal })),
    );
    // offset, the instrument's common error, then for each place its surface and its scatter
    const draws = fixedNormals(2 + 2 * places.length, kinds.length * EACH);
    const sum = { coolest: 0, hottest: 0, most: 0, half: 0, half2: 0 };
    kinds.forEach(({ roughK, weight, lengthMm }, kind) => {
      const factor = cholesky(places.length, (i, j) => {
        const [a, b] = [places[i], places[j]];
        return (a && b ? alike(distance(a, b), lengthMm) : 0) + (i === j ? 1e-9 : 0);
      });
      const first = kind * EACH;
      const own = [0, kinds.length * EACH].flatMap((opposite) => draws.slice(opposite + first, opposite + first + EACH));
      for (const draw of own) {
        const at = (i: number) => draw[i] ?? 0;
        const common = PRIOR.offsetK * at(0) + error.commonK * at(1);
        const readings = places.map((place, i) => {
          const surface = Array.from(factor[i] ?? []).reduce((total, value, j) => total + value * at(2 + j), 0);
          const scatter = error.scatterK * at(2 + places.length + i);
          return { ...place, setC: AT_C, surfaceC: AT_C + common + roughK * surface + scatter };
        });
        const tenths = tenthsOf(jointAt(fitPlaten(readings, platen, error), nodes, PARTS.most, PARTS.enoughK2));
        const share = weight / own.length;
        sum.coolest += share * tenths.coolest.sdK ** 2;
        sum.hottest += share * tenths.hottest.sdK ** 2;
        sum.most += share * tenths.most.sdK ** 2;
        const half = (tenths.hottest.meanK - tenths.coolest.meanK) / 2;
        sum.half += share * half;
        sum.half2 += share * half ** 2;
      }
    });
    const unevenK = Math.sqrt(Math.max(0, sum.half2 - sum.half ** 2));
    return { coolestK: Math.sqrt(sum.coolest), hottestK: Math.sqrt(sum.hottest), mostK: Math.sqrt(sum.most), unevenK };
  });
}
