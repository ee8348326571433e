/** What a survey would tell of a platen before it is made: how much doubt of the surface under a piece of art it would leave. */
import { cholesky, fixedNormals, remembered } from '../numerics';
import type { Instrument } from './instrument';
import { instrumentError } from './instrumentError';
import { type Area, alike, distance, fitPlaten, jointAt, nodesOf, PRIOR } from './platenFit';
import { PARTS, tenthsOf } from './surface';
import { PLANS } from './survey';

export type Plan = keyof typeof PLANS;

/** How a survey may come out, by how uneven the platen is found to be. */
export interface Foreseen {
  /** How likely it is, 0 to 1. */
  weight: number;
  /** Standard deviations that are left afterwards of the coolest tenth, the hottest tenth and the hottest place, K. */
  coolestK: number;
  hottestK: number;
  mostK: number;
  /** Half the distance between the coolest and the hottest tenth, against what was believed, K. */
  unevenK: number;
}

/** Nodes a side over a piece of art. */
const NODES = 5;
/** Surveys imagined for each roughness and length a platen may have, and each with its opposite. */
const EACH = 2;
const AT_C = 150;
const before = remembered<readonly Foreseen[]>(400);

/** One imagined survey. */
interface Found {
  weight: number;
  tenths: ReturnType<typeof tenthsOf>;
  /** Half the distance between the coolest and the hottest tenth, K. */
  half: number;
}

/** Kinds of outcome that are told apart. */
const KINDS = 6;

/** Imagined surveys by how uneven they find the platen, in so many kinds of about the same weight; none is empty. */
function bySpread(found: readonly Found[]): Found[][] {
  const kinds: Found[][] = Array.from({ length: KINDS }, () => []);
  let before = 0;
  for (const survey of [...found].sort((a, b) => a.half - b.half)) {
    kinds[Math.min(KINDS - 1, Math.floor(KINDS * (before + survey.weight / 2)))]?.push(survey);
    before += survey.weight;
  }
  return kinds.filter((kind) => kind.length > 0);
}

/**
 * Doubt that a survey is expected to leave under an area of a platen nobody measured.
 *
 * Platens as they are believed to be are imagined, one for every roughness and length, each surveyed with the errors of the
 * instrument and fitted as a real survey is. Those that find it about as uneven are taken together, their variances averaged.
 *
 * @returns from the most even on
 */
export function foreseen(
  platen: { widthMm: number; heightMm: number },
  area: Area,
  plan: Plan,
  instrument: Instrument,
): readonly Foreseen[] {
  return before(JSON.stringify([platen, area, plan, instrument]), () => {
    const places = PLANS[plan](platen);
    const error = instrumentError(instrument);
    const nodes = nodesOf(area, NODES, NODES);
    const diagonal = Math.hypot(platen.widthMm, platen.heightMm);
    const kinds = PRIOR.roughness.flatMap(({ roughK, weight: usual }) =>
      PRIOR.lengths.map((share) => ({ roughK, usual, lengthMm: share * diagonal })),
    );
    // offset, the instrument's common error, then for each place its surface and its scatter
    const draws = fixedNormals(2 + 2 * places.length, kinds.length * EACH);
    const found: Found[] = [];
    kinds.forEach(({ roughK, usual, lengthMm }, kind) => {
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
        const weight = usual / (own.length * PRIOR.lengths.length);
        found.push({ weight, tenths, half: (tenths.hottest.meanK - tenths.coolest.meanK) / 2 });
      }
    });
    const half = found.reduce((sum, found) => sum + found.weight * found.half, 0);
    return bySpread(found).map((alike): Foreseen => {
      const weight = alike.reduce((sum, found) => sum + found.weight, 0);
      const mean = (of: (found: Found) => number) => alike.reduce((sum, found) => sum + (found.weight / weight) * of(found), 0);
      return {
        weight,
        coolestK: Math.sqrt(mean(({ tenths }) => tenths.coolest.sdK ** 2)),
        hottestK: Math.sqrt(mean(({ tenths }) => tenths.hottest.sdK ** 2)),
        mostK: Math.sqrt(mean(({ tenths }) => tenths.most.sdK ** 2)),
        unevenK: mean((found) => found.half) - half,
      };
    });
  });
}
