/** Learn: how far the bond a card reckons is off on one press with one transfer, from how its pressings came out. */
import type { LearnedShift } from '../draft';
import { SOUND } from '../heat';
import { normalCdf, quantileOfDensity, remembered } from '../numerics';
import type { Pressing } from './pressing';

/** How a piece came out, as far as that tells of its bond. */
export const BOND_OUTCOMES = ['lifted', 'laid back', 'good', 'over-pressed'] as const;
export type BondOutcome = (typeof BOND_OUTCOMES)[number];

/** What one pressing tells: the bond that was reckoned for it, and what came of it. */
export interface Evidence {
  bond: number;
  outcome: BondOutcome;
}

/** Before any pressing: the logarithm of the shift is normal about 0 with this standard deviation. Ours: what the stated properties leave open. */
export const PRIOR_SD = 0.15;
/** Pieces of one setting differ by this in the logarithm of their bond, one standard deviation. Ours. */
export const PIECE_SD = 0.06;
/** Share of outcomes that tell nothing of the bond: mistaken, misread, or of another cause. Ours. */
const STRAY_SHARE = 0.06;
/** Fewer pressings than this are not taken up: three lifted pieces may as well be one bad sheet. */
const LEAST_PRESSINGS = 4;
/** Below it a piece lifts for good; between it and what is sound it holds when it is laid back and pressed again. */
const LIFTS_UNDER = 0.8;

const STEP = 0.005;
const REACH = 0.75;
const EVEN = { first: -REACH, step: STEP };
const GRID = Array.from({ length: Math.round((2 * REACH) / STEP) + 1 }, (_, i) => -REACH + i * STEP);

/** Logarithms of the bonds between one outcome and the next, weakest first. */
const CUTS = [LIFTS_UNDER, SOUND.low, SOUND.high].map(Math.log);

/** Chance of an outcome when the logarithm of the true bond is `logBond`. */
export function chanceOf(outcome: BondOutcome, logBond: number): number {
  const i = BOND_OUTCOMES.indexOf(outcome);
  const below = (cut: number | undefined, none: number) => (cut === undefined ? none : normalCdf((cut - logBond) / PIECE_SD));
  return below(CUTS[i], 1) - below(CUTS[i - 1], 0);
}

const curves = remembered<Float64Array>(4000);

/** Logarithm of the chance of an outcome over the grid, strays among them: the same for every pressing of one card that came out alike. */
const logChances = ({ bond, outcome }: Evidence): Float64Array =>
  curves(`${bond} ${outcome}`, () =>
    Float64Array.from(GRID, (s) =>
      Math.log((1 - STRAY_SHARE) * chanceOf(outcome, Math.log(bond) + s) + STRAY_SHARE / BOND_OUTCOMES.length),
    ),
  );

/** What is known of the logarithm of a shift. */
export interface ShiftPosterior {
  mean: number;
  sd: number;
  /** 90 % interval, equal tails. */
  low: number;
  high: number;
  n: number;
}

/**
 * What the logarithm of a shift is after a number of pressings, on a grid.
 *
 * Each outcome is an ordered probit of the bond as reckoned times the shift, with a small share of strays that tell nothing.
 *
 * @param evidence bonds above 0
 * @see McCullagh, Regression models for ordinal data (1980)
 */
export function shiftAfter(evidence: readonly Evidence[]): ShiftPosterior {
  // a line of pieces has one bond: what came out alike is reckoned once
  const alike = new Map<string, Evidence & { count: number }>();
  for (const pressing of evidence) {
    const key = `${pressing.bond} ${pressing.outcome}`;
    alike.set(key, { ...pressing, count: (alike.get(key)?.count ?? 0) + 1 });
  }
  const logs = GRID.map((s) => -(s * s) / (2 * PRIOR_SD * PRIOR_SD));
  for (const { count, ...entry } of alike.values())
    logChances(entry).forEach((log, i) => {
      logs[i] = (logs[i] as number) + count * log;
    });
  const most = logs.reduce((a, b) => Math.max(a, b));
  const raw = logs.map((log) => Math.exp(log - most));
  const total = raw.reduce((a, b) => a + b, 0);
  const weights = raw.map((value) => value / total);
  const mean = weights.reduce((sum, weight, i) => sum + weight * (GRID[i] as number), 0);
  const variance = weights.reduce((sum, weight, i) => sum + weight * ((GRID[i] as number) - mean) ** 2, 0);
  return {
    mean,
    sd: Math.sqrt(variance),
    low: quantileOfDensity(weights, 0.05, EVEN),
    high: quantileOfDensity(weights, 0.95, EVEN),
    n: evidence.length,
  };
}

/** How a pressing came out, as far as heat and pressure are to thank or to blame; null: it tells nothing of them. */
export function bondOutcome({ outcome, reason, laidBack }: Pick<Pressing, 'outcome' | 'reason' | 'laidBack'>): BondOutcome | null {
  if (outcome === 'good') return laidBack > 0 ? 'laid back' : 'good';
  if (reason === 'would not peel clean' || reason === 'edge lifted') return 'lifted';
  return reason === 'ink spread or sunk' || reason === 'small shapes filled in' ? 'over-pressed' : null;
}

/** A pressing with what its card reckoned. */
export interface Reckoned extends Pick<Pressing, 'outcome' | 'reason' | 'laidBack'> {
  pressId: string;
  productId: string;
  /** Bond by the figures alone, nothing learned in it. */
  bond: number;
}

/** What each press has shown with each transfer; pairs with too few pressings are told too, and marked as not taken up. */
export function learnShifts(pressings: readonly Reckoned[]): LearnedShift[] {
  const groups = new Map<string, { pressId: string; productId: string; evidence: Evidence[] }>();
  for (const pressing of pressings) {
    const outcome = bondOutcome(pressing);
    if (!outcome) continue;
    const key = JSON.stringify([pressing.pressId, pressing.productId]);
    const group = groups.get(key) ?? { pressId: pressing.pressId, productId: pressing.productId, evidence: [] };
    group.evidence.push({ bond: pressing.bond, outcome });
    groups.set(key, group);
  }
  return [...groups.values()].map(({ evidence, pressId, productId }) => {
    const { mean, sd, n } = shiftAfter(evidence);
    const taken = n >= LEAST_PRESSINGS;
    return { pressId, productId, shift: taken ? Math.exp(mean) : 1, sd: taken ? sd : PRIOR_SD, n };
  });
}
