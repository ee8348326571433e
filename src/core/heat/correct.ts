/** Correct: the time, and where it must be the temperature, that brings a piece's bond back to the supplier's own. */
import { type Adhesive, bondUnder, type Growth, grownAt, growthOf, type Limits, reaches } from './assess';
import { harmOf, SOUND, within } from './indices';
import { sceneOf } from './piece';
import type { Passage, Piece } from './pieceSchema';
import { type SolveOptions, solve } from './solve';

/** What the sheet allows: time under heat, s, and platen's surface, °C. */
export interface Allowed {
  timeS: { min: number; max: number };
  surfaceC: { min: number; max: number };
}

export interface CorrectionQuery {
  piece: Piece;
  /** As it would be pressed without a correction. */
  passage: Passage;
  adhesive: Adhesive;
  limits: Limits;
  allowed: Allowed;
  /** The nearest surface the press can be set to; absent: any. */
  settable?: (surfaceC: number) => number;
}

export interface Correction {
  /** Bond as asked. */
  askedBond: number;
  /** Setting at which the bond is 1, or as near to it as sheet and limits let it come. */
  timeS: number;
  surfaceC: number;
  bond: number;
  /** The same kept to whole seconds and to what the press can be set to. */
  rounded: { timeS: number; surfaceC: number; bond: number };
  /** Whether 1 is reached within the sheet and the limits. */
  feasible: boolean;
  /** What stops it, when it is not. */
  stoppedBy: 'longest time' | 'shortest time' | 'mark' | 'damage' | null;
}

/** Temperatures are tried this far apart, K, nearest to what was asked first. */
const TRY_K = 4;
const MOST_HALVINGS = 18;
/** Coolest settings that are tried when the nearest one does not serve, K under the exact one. */
const ROUND_DOWN_K = [0, 1, 2, 3, 5];
/** Kept between a setting and a limit, as a share of the limit. */
const WITHIN_LIMIT = 0.995;
/** A bond this near to 1 is 1. */
const NEAR = 0.004;

/** One surface temperature: how the bond grows there, and until when the limits let it. */
interface Tried {
  surfaceC: number;
  growth: Growth;
  /** Longest time within sheet and limits, and what ends it. */
  untilS: number;
  endedBy: 'longest time' | 'mark' | 'damage';
  least: number;
  most: number;
}

const asGrown = ({ timeS, bond }: Growth) => ({ timeS, value: bond });
const bondAt = (growth: Growth, timeS: number) => grownAt(asGrown(growth), timeS);

/** Harm of the finish press, which has its share of every limit before the press stage gets its own: taken after the hottest and longest press of the sheet. */
function finishHarm({ piece, passage, limits, allowed }: CorrectionQuery, limit: 'markC' | 'damageC', options: SolveOptions): number {
  const limitC = limits[limit];
  if (!passage.finish || limitC === null) return 0;
  const solved = solve(
    sceneOf(piece, { ...passage, surfaceC: allowed.surfaceC.max, timeS: allowed.timeS.max, cooling: null }, 'bare'),
    options,
  );
  const stage = solved.stages.find(({ name }) => name === 'finish');
  const face = solved.curves.face;
  return stage && face ? harmOf(within(face, stage.fromS, stage.toS), limitC) : 0;
}

function trier(query: CorrectionQuery, options: SolveOptions): (surfaceC: number) => Tried {
  const { piece, passage, adhesive, limits, allowed } = query;
  const reserve = { mark: finishHarm(query, 'markC', options), damage: finishHarm(query, 'damageC', options) };
  return (surfaceC) => {
    const growth = growthOf(piece, { ...passage, surfaceC, timeS: allowed.timeS.max }, adhesive, limits, options);
    const ends = (['mark', 'damage'] as const).map((kind) => {
      const grown = growth[kind];
      return { kind, atS: grown ? (reaches(grown, WITHIN_LIMIT - reserve[kind]) ?? Number.POSITIVE_INFINITY) : Number.POSITIVE_INFINITY };
    });
    const first = ends.reduce((a, b) => (b.atS < a.atS ? b : a));
    const untilS = Math.min(allowed.timeS.max, first.atS);
    const most = bondAt(growth, untilS);
    return {
      surfaceC,
      growth,
      untilS,
      endedBy: first.atS < allowed.timeS.max ? first.kind : 'longest time',
      least: bondAt(growth, Math.min(untilS, allowed.timeS.min)),
      most: untilS < allowed.timeS.min ? Number.NaN : most,
    };
  };
}

/** How far a temperature's bonds stay away from 1. */
const off = ({ least, most }: Tried): number => (most < 1 ? 1 - most : least - 1);

/** Tries ever closer about the best of the ladder: where a limit ends the time, the best temperature may lie between its steps. */
function refined(tried: (surfaceC: number) => Tried, usable: Tried[], { surfaceC: { min, max } }: Allowed): Tried[] {
  if (usable.length === 0) return usable;
  let best = usable.reduce((a, b) => (off(b) < off(a) ? b : a));
  const all = [...usable];
  for (let k = TRY_K / 2; k > 0.1; k /= 2)
    for (const c of [best.surfaceC - k, best.surfaceC + k]) {
      if (c < min || c > max) continue;
      const trial = tried(c);
      if (Number.isNaN(trial.most)) continue;
      all.push(trial);
      if (off(trial) < off(best)) best = trial;
      if (off(trial) <= NEAR) return all;
    }
  return all;
}

const serves = ({ least, most }: Tried): boolean => least <= 1 && most >= 1;
/** Temperatures to try, the asked one first, then further and further from it. */
function ladder(askedC: number, { min, max }: Allowed['surfaceC']): number[] {
  const list = [askedC, min, max];
  for (let k = TRY_K; k < max - min + TRY_K; k += TRY_K) list.push(askedC - k, askedC + k);
  return [...new Set(list)].filter((c) => c >= min && c <= max).sort((a, b) => Math.abs(a - askedC) - Math.abs(b - askedC));
}

/** The serving temperature nearest to the asked one: halves the way between one that serves and the last that did not. */
function nearest(tried: (surfaceC: number) => Tried, serving: Tried, missing: number): Tried {
  let [good, bad] = [serving, missing];
  for (let n = 0; n < MOST_HALVINGS && Math.abs(good.surfaceC - bad) > 0.05; n++) {
    const between = tried((good.surfaceC + bad) / 2);
    if (serves(between)) good = between;
    else bad = between.surfaceC;
  }
  return good;
}

/** Whole seconds within sheet and limits nearest to a time; the limit's own time where no whole second fits. */
function wholeSeconds(timeS: number, { min }: Allowed['timeS'], untilS: number): number {
  const [low, high] = [Math.ceil(min - 1e-9), Math.floor(untilS + 1e-9)];
  return low > high ? timeS : Math.min(high, Math.max(low, Math.round(timeS)));
}

/**
 * The setting that restores a bond of 1, nearest to the one that was asked for.
 *
 * The time is moved first, at the asked temperature; only when no time within the sheet and the limits will do is the
 * temperature moved, as little as it takes. One solve gives the bond at every time, so the time is read, not searched.
 *
 * @param query its passage's surface is where the search starts; one outside the sheet is taken as its nearest end
 * @returns the asked setting's own bond beside the corrected one; not feasible: the setting whose bond comes nearest to 1
 */
export function correct(query: CorrectionQuery, options: SolveOptions = {}): Correction {
  const { passage, allowed, settable = (c: number) => c } = query;
  const tried = trier(query, options);
  const startC = Math.min(allowed.surfaceC.max, Math.max(allowed.surfaceC.min, passage.surfaceC));
  const askedBond = bondUnder(query.piece, passage, query.adhesive, options).bond;
  const missed: Tried[] = [];
  let found: Tried | null = null;
  for (const surfaceC of ladder(startC, allowed.surfaceC)) {
    const trial = tried(surfaceC);
    if (serves(trial)) {
      const before = missed.filter(
        (other) => Math.sign(other.surfaceC - startC) === Math.sign(surfaceC - startC) || other.surfaceC === startC,
      );
      const beside = before.at(-1);
      found = beside ? nearest(tried, trial, beside.surfaceC) : trial;
      break;
    }
    missed.push(trial);
  }
  const answer = (trial: Tried, timeS: number, stoppedBy: Correction['stoppedBy']): Correction => ({
    askedBond,
    timeS,
    surfaceC: trial.surfaceC,
    bond: bondAt(trial.growth, timeS),
    ...rounding(tried, trial, timeS, query, settable),
    feasible: stoppedBy === null,
    stoppedBy,
  });
  const settled = (tried: Tried): Correction =>
    answer(tried, Math.min(tried.untilS, Math.max(allowed.timeS.min, reaches(asGrown(tried.growth), 1) ?? tried.untilS)), null);
  if (found) return settled(found);
  const usable = refined(
    tried,
    missed.filter(({ most }) => !Number.isNaN(most)),
    allowed,
  );
  const late = usable.find((tried) => off(tried) <= NEAR);
  if (late) return settled(late);
  if (usable.length === 0) {
    const coolest = missed.reduce((a, b) => (b.untilS > a.untilS ? b : a));
    const setting = { timeS: allowed.timeS.min, surfaceC: coolest.surfaceC, bond: bondAt(coolest.growth, allowed.timeS.min) };
    return { askedBond, ...setting, rounded: setting, feasible: false, stoppedBy: coolest.endedBy };
  }
  const best = usable.reduce((a, b) => (off(b) < off(a) - 1e-6 ? b : a));
  return best.most < 1 ? answer(best, best.untilS, best.endedBy) : answer(best, allowed.timeS.min, 'shortest time');
}

/** A setting as it can be set: the temperature by the press's step, then the whole second whose bond lies nearest to 1. */
function rounding(
  tried: (surfaceC: number) => Tried,
  exact: Tried,
  timeS: number,
  { allowed }: CorrectionQuery,
  settable: (surfaceC: number) => number,
): Pick<Correction, 'rounded'> {
  const at = (surfaceC: number) => (Math.abs(surfaceC - exact.surfaceC) < 1e-6 ? exact : tried(surfaceC));
  // rounded up, it may be too hot for even the shortest time: then the next cooler one it can be set to
  let there = exact;
  for (const k of ROUND_DOWN_K) {
    const tried = at(settable(exact.surfaceC - k));
    if (Number.isNaN(tried.most) || tried.surfaceC < allowed.surfaceC.min - 1e-6) continue;
    there = tried;
    break;
  }
  const { surfaceC } = there;
  const wish = there === exact ? timeS : (reaches(asGrown(there.growth), 1) ?? timeS);
  const whole = wholeSeconds(wish, allowed.timeS, there.untilS);
  const sound = (s: number) => bondAt(there.growth, s) >= SOUND.low && bondAt(there.growth, s) <= SOUND.high;
  // a second is much of a short press: where the whole one falls out of what is sound, half seconds are offered
  const roundedS = sound(whole) || !sound(wish) ? whole : Math.min(there.untilS, Math.max(allowed.timeS.min, Math.round(wish * 2) / 2));
  return { rounded: { timeS: roundedS, surfaceC, bond: bondAt(there.growth, roundedS) } };
}
