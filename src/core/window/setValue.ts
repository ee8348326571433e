/** Set values: what the press can be set to, how far each keeps inside its bounds, and which of them is the best. */
import { type Offset, type Press, type Surface, setForMiddle, shifted } from '../press';
import type { Allowed } from '../sheet';
import { snap, toInside, toShown } from '../units';
import type { BareBound, Bound, Margin, Window } from './bound';
import { chanceAt, MANNERS, marginAt, riskAt, stateOf, worstAt } from './chance';

/** How far the surface keeps inside each bound at a set value, and how likely it is to pass it. */
export function marginsAt(window: Pick<Window, 'bounds'> & Surface, setC: number): Margin[] {
  return window.bounds.map((bound) => {
    const chance = chanceAt(window, bound, setC);
    return { side: bound.side, kelvin: marginAt(window, bound, setC).kelvin, chance, state: stateOf(bound, chance), eased: bound.eased };
  });
}

/** The smallest margin among the sides that may hold a card, K. */
export const smallestMargin = (margins: readonly Margin[]): number =>
  margins.reduce(
    (least, { side, kelvin, eased }) => (eased || MANNERS[side].care === null ? least : Math.min(least, kelvin)),
    Number.POSITIVE_INFINITY,
  );

/** Settings are looked through so many steps at a time before they are walked one by one. */
const STRIDE = 10;

/**
 * The settable value of least risk; of two equal, the cooler.
 *
 * Near its least the risk is convex in the set value. Far from the setting a press was measured at its doubt grows, which bends
 * it, so the whole range is looked through in strides first.
 */
function leastRisk(surface: Surface, bounds: readonly BareBound[], press: Press): number {
  const { unit, step } = press.set;
  const low = Math.ceil(toShown(press.set.minC, unit) / step - 1e-9);
  const high = Math.max(low, Math.floor(toShown(press.set.maxC, unit) / step + 1e-9));
  const at = (n: number) => toInside(n * step, unit);
  const risk = (n: number) => riskAt(surface, bounds, at(n));
  let best = low;
  let least = risk(best);
  for (let n = low + STRIDE; n <= high; n += STRIDE) {
    const there = risk(n);
    if (there < least) [best, least] = [n, there];
  }
  for (const way of [1, -1]) {
    for (;;) {
      const next = best + way;
      if (next < low || next > high) break;
      const there = risk(next);
      if (way === 1 ? there >= least : there > least) break;
      [best, least] = [next, there];
    }
  }
  return at(best);
}

/** A set value kept to the press's own step and range, °C. */
export function settable(press: Press, setC: number): number {
  const { unit, step, minC, maxC } = press.set;
  return snap(Math.min(maxC, Math.max(minC, setC)), unit, step);
}

/** What a sheet aims at, °C at the surface. */
export interface Aim {
  tempC: number;
  /** It names that figure; else it is the middle of its range, where its bond is meant. */
  named: boolean;
}

/** What a sheet's temperature aims at. */
export const aimOf = ({ nominal, named }: Allowed): Aim => ({ tempC: nominal, named });

/** A named figure is taken as long as its risk is at most so many times the least. */
const NAMED_RISK = 1.5;

/**
 * The whole window of a print on a press.
 *
 * Its best set value is the one that brings the surface to what the sheet aims at, where that is Clear, or for a figure it names,
 * where its risk is little more than the least; else the value of least risk. What only a limit of the cloth stands against is
 * never answered by a hotter one.
 *
 * @param aim null: nothing is aimed at
 * @param bumpK how much cooler than it shows an unmeasured press is taken to be by house rule, K
 */
export function windowOf({ press, surface }: { press: Press; surface: Surface }, bounds: Bound[], aim: Aim | null, bumpK = 0): Window {
  const open = { bounds, ...shifted(surface, -bumpK), measured: press.calibration !== null };
  return { ...open, settable: press.set, bestSetC: aim ? bestOf(open, press, aim) : leastRisk(open, bounds, press) };
}

/** The set value that brings the surface to what the sheet aims at, °C; of two equally near to the middle of a range, the cooler. */
export const aimedAt = (window: Offset, press: Press, { tempC, named }: Aim): number =>
  settable(press, setForMiddle(window, named ? tempC : tempC - 1e-6));

/** The set value for an aim: at it where that is Clear or little worse than the least risk, else at the least risk. */
export function bestOf(window: Surface & { bounds: readonly BareBound[] }, press: Press, aim: Aim): number {
  const { bounds } = window;
  const aimed = aimedAt(window, press, aim);
  if (worstAt(window, bounds, aimed) === 'clear') return aimed;
  const least = leastRisk(window, bounds, press);
  if (aim.named && isTaken(riskAt(window, bounds, aimed), riskAt(window, bounds, least))) return aimed;
  const floors = bounds.filter((bound) => bound.keep === 'above');
  return worstAt(window, floors, aimed) === 'clear' ? Math.min(aimed, least) : least;
}

/** Whether a figure the sheet names is taken for its risk. */
export const isTaken = (risk: number, least: number): boolean => risk <= NAMED_RISK * least;

/** Every settable value from one to another, °C. */
export function settableBetween({ set: { unit, step } }: Press, fromC: number, toC: number): number[] {
  const [from, to] = [fromC, toC].map((setC) => Math.round(toShown(setC, unit) / step)) as [number, number];
  return Array.from({ length: Math.abs(to - from) + 1 }, (_, i) => toInside((from + Math.sign(to - from) * i) * step, unit));
}
