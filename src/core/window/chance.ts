/**
 * Chance: how likely a set value brings the surface past each bound, what the lamp makes of that, and the risk of it all.
 *
 * The surface under the art and the bound have each a normal doubt; a bound is passed where one is beyond the other.
 */
import { logNormalCdf } from '../numerics';
import { type Normal, type Surface, surfaceAt } from '../press';
import type { BareBound, LampState, Side } from './bound';

/** What of the surface a side is about. */
type Whose = 'coolest' | 'hottest' | 'most';

interface Manner {
  whose: Whose;
  /** Chances up to which the lamp is Clear, and up to which it is Care; null: it never holds. */
  clear: number;
  care: number | null;
  /** How much worse a piece past it is than one too cool, which is pressed again. */
  weight: number;
}

/** Round a single figure the edges are ours, and one piece in ten past them is no fault. */
const OUR_EDGE_CLEAR = 0.1;

export const MANNERS: Record<Side, Manner> = {
  'sheet low': { whose: 'coolest', clear: 0.05, care: 0.5, weight: 1 },
  'sheet high': { whose: 'hottest', clear: 0.05, care: 0.5, weight: 1.5 },
  mark: { whose: 'hottest', clear: 0.02, care: 0.2, weight: 4 },
  // the price of a cool face: it is told, and never weighed against it
  'inside mark': { whose: 'hottest', clear: 0.1, care: null, weight: 0 },
  damage: { whose: 'most', clear: 0.005, care: 0.05, weight: 10 },
  'under the art': { whose: 'most', clear: 0.005, care: 0.05, weight: 10 },
  inside: { whose: 'most', clear: 0.005, care: 0.05, weight: 10 },
  dye: { whose: 'hottest', clear: 0.1, care: 0.5, weight: 4 },
  transfer: { whose: 'most', clear: 0.005, care: 0.05, weight: 10 },
  'transfer mark': { whose: 'hottest', clear: 0.1, care: null, weight: 2 },
};

/** How far the expected surface keeps inside a bound, K, and in standard deviations of both doubts together. */
export function marginAt(surface: Surface, bound: BareBound, setC: number): { kelvin: number; sds: number } {
  const part: Normal = surface[MANNERS[bound.side].whose];
  const { meanC, sdK } = surfaceAt(surface, part, setC);
  const kelvin = bound.keep === 'above' ? meanC - bound.surfaceC : bound.surfaceC - meanC;
  // a press without any doubt and a bound without any: a thousandth of a kelvin stands for none
  return { kelvin, sds: kelvin / Math.max(1e-3, Math.hypot(sdK, bound.sdK)) };
}

/** Chance that a bound is passed at a set value, 0 to 1. */
export const chanceAt = (surface: Surface, bound: BareBound, setC: number): number =>
  -Math.expm1(logNormalCdf(marginAt(surface, bound, setC).sds));

/** What a chance of passing a bound makes of the lamp. */
export function stateOf({ side, ours, eased }: BareBound, chance: number): LampState {
  const { clear, care } = MANNERS[side];
  if (chance <= (ours ? OUR_EDGE_CLEAR : clear)) return 'clear';
  return care === null || eased || chance <= care ? 'care' : 'hold';
}

export const STATE_RANK = { clear: 0, care: 1, hold: 2 } as const satisfies Record<LampState, number>;

/** The worst state over all bounds at a set value. */
export function worstAt(surface: Surface, bounds: readonly BareBound[], setC: number): LampState {
  let worst: LampState = 'clear';
  for (const bound of bounds) {
    const state = stateOf(bound, chanceAt(surface, bound, setC));
    if (STATE_RANK[state] > STATE_RANK[worst]) worst = state;
  }
  return worst;
}

/**
 * Weighted risk of a set value: of every bound its weight times `−log(1 − chance)`, which is the chance itself while it is small.
 *
 * What a test piece was noted to bear is not weighed. Taken so, it is convex in the set value and grows the faster the nearer a limit comes: there is one value of least risk, and a
 * cooler limit never moves it up.
 */
export function riskAt(surface: Surface, bounds: readonly BareBound[], setC: number): number {
  let risk = 0;
  for (const bound of bounds) if (!bound.eased) risk -= MANNERS[bound.side].weight * logNormalCdf(marginAt(surface, bound, setC).sds);
  return risk;
}

/** How far the chances at a set value lie over what is Clear, in `−log(1 − chance)`, summed over the sides; 0: it is Clear. */
export function overClear(surface: Surface, bounds: readonly BareBound[], setC: number): number {
  let over = 0;
  for (const bound of bounds) {
    const clear = bound.ours ? OUR_EDGE_CLEAR : MANNERS[bound.side].clear;
    over += Math.max(0, Math.log1p(-clear) - logNormalCdf(marginAt(surface, bound, setC).sds));
  }
  return over;
}
