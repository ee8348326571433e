/** Where the set value may lie: the bounds on the platen's surface, what the sheet aims at between them, and the settable value of least risk. */

import { type Draft, ownSetC, type PadOver, type PreparedInput, padOverOf, pieceOf, pressOf, sheetStage, tackBand, tackOf } from '../draft';
import { COVER_SHEETS, type CoverSheet, followed, followOf, PADS_OVER, platenFor } from '../heat';
import { lowestForTime, type PressureBand } from '../materials';
import { type Offset, type Press, type Surface, setForMiddle, shifted } from '../press';
import type { Allowed, ChosenStage } from '../sheet';
import { type Phrase, phrase, seconds, snap, temp, toInside, toShown } from '../units';
import { type BareBound, chanceAt, MANNERS, riskAt, roomAt, stateOf, worstAt } from './chance';
import type { Bound, Margin, Window } from './finding';
import { type Limit, limitsOf } from './limits';

/** A shutting of the press at one set value. */
export interface Closing {
  name: string;
  timeS: number;
  cover: CoverSheet | null;
  padOver: PadOver | null;
}

/** Every shutting of the press at the press stage's own set value. */
export function closingsOf(input: PreparedInput, draft: Draft): Closing[] {
  const closings: Closing[] = [];
  const pad = padOverOf(draft);
  const isApart = (kind: 'pre-press' | 'finish') => ownSetC(input, kind) !== null;
  if (draft.prePressS > 0 && !sheetStage(draft, 'pre-press')?.ownHeat && !isApart('pre-press'))
    closings.push({ name: 'pre-press', timeS: draft.prePressS, cover: draft.prePressCover, padOver: pad });
  closings.push({ name: 'press', timeS: draft.timeS, cover: draft.cover, padOver: pad });
  if (draft.finish && !draft.finish.sheet && !isApart('finish'))
    closings.push({ name: 'finish', timeS: draft.finish.timeS, cover: draft.finish.cover, padOver: pad });
  return closings;
}

interface Wall {
  surfaceC: number;
  limitC: number;
  /** The doubt of the limit, as it is at the platen, K. */
  sdK: number;
  closing: Closing;
}

/** The lowest platen temperature at which any closing brings a place to its limit. */
function lowestWall(input: PreparedInput, draft: Draft, limit: Limit, closings: readonly Closing[]): Wall | null {
  let low: Wall | null = null;
  for (const closing of closings) {
    if (limit.withTransfer && closing.name === 'pre-press') continue;
    const limitC = lowestForTime(limit.bears, closing.timeS);
    const piece = pieceOf(input, draft, closing);
    const follow = followOf(piece, limit.place === 'inside' ? 'bare' : limit.place);
    const surfaceC = platenFor(follow, piece, limitC, closing.timeS);
    if (low === null || surfaceC < low.surfaceC) low = { surfaceC, limitC, sdK: limit.sdK / followed(follow, closing.timeS), closing };
  }
  return low;
}

const shieldWords = ({ cover, padOver: pad }: Closing): string => {
  const over = [cover && COVER_SHEETS[cover].name, pad && PADS_OVER[pad].name].filter(Boolean).join(' and ');
  return over === '' ? ', bare,' : ` under ${over}`;
};
const underWords = (press: Press, wall: Wall, what: Phrase): Phrase =>
  phrase`${what} at ${temp(wall.limitC)} held ${seconds(wall.closing.timeS)}; in the ${wall.closing.name}${shieldWords(wall.closing)} that is ${platenWords(press, wall.surfaceC, 'platen')}`;

/** A press shows so much more or less than its surface has at most, K. */
export const SHOWS_WITHIN_K = 40;

/** A platen at a temperature, in words; one that no setting of the press comes near is not given a figure it cannot have. */
export function platenWords({ set }: Press, surfaceC: number, name: 'platen' | 'upper platen'): Phrase {
  if (surfaceC > set.maxC + SHOWS_WITHIN_K) return phrase`hotter than its ${name} goes`;
  if (surfaceC < Math.min(set.minC, 0) - SHOWS_WITHIN_K || !Number.isFinite(surfaceC)) return phrase`colder than any ${name}`;
  return phrase`${name === 'platen' ? 'a' : 'an'} ${name} at ${temp(surfaceC)}`;
}

/** An edge that is our allowance has a third of it for its doubt. */
export const EDGE_SDS = 3;

/** The two sides of a sheet's window. */
function sheetBounds({ min, max, ours, nominal }: Allowed): Bound[] {
  const [low, high] = ours
    ? [
        phrase`round the sheet’s ${temp(nominal)} we allow no less than ${temp(min)}`,
        phrase`round the sheet’s ${temp(nominal)} we allow no more than ${temp(max)}`,
      ]
    : [phrase`the sheet asks for at least ${temp(min)}`, phrase`the sheet allows at most ${temp(max)}`];
  return [
    { side: 'sheet low', keep: 'above', surfaceC: min, sdK: ours ? (nominal - min) / EDGE_SDS : 0, ours, eased: false, says: low },
    { side: 'sheet high', keep: 'below', surfaceC: max, sdK: ours ? (max - nominal) / EDGE_SDS : 0, ours, eased: false, says: high },
  ];
}

/** Mark, damage and dye, heated from above, as bounds on the platen for a set of closings. @param band how hard they are pressed */
export function fabricBounds(input: PreparedInput, given: Draft, closings: readonly Closing[], band: PressureBand): Bound[] {
  const draft = { ...given, band };
  return limitsOf(input, draft.passesMark, false).flatMap((limit): Bound[] => {
    const wall = lowestWall(input, draft, limit, closings);
    if (!wall) return [];
    const { surfaceC, sdK } = wall;
    const says = underWords(input.press, wall, limit.what);
    return [{ side: limit.side, keep: 'below', surfaceC, sdK, ours: false, eased: limit.eased, says }];
  });
}

/** Every bound of the press stage, heated from above. */
export const surfaceBounds = (input: PreparedInput, draft: Draft): Bound[] => [
  ...sheetBounds(pressOf(draft).tempC),
  ...fabricBounds(input, draft, closingsOf(input, draft), draft.band),
];

/** How far the surface keeps inside each bound at a set value, and how likely it is to pass it. */
export function marginsAt(window: Pick<Window, 'bounds'> & Surface, setC: number): Margin[] {
  return window.bounds.map((bound) => {
    const chance = chanceAt(window, bound, setC);
    return { side: bound.side, kelvin: roomAt(window, bound, setC).kelvin, chance, state: stateOf(bound, chance), eased: bound.eased };
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
export function windowOf(
  { press, surface }: Pick<PreparedInput, 'press' | 'surface'>,
  bounds: Bound[],
  aim: Aim | null,
  bumpK = 0,
): Window {
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
  const floors = bounds.filter((one) => one.keep === 'above');
  return worstAt(window, floors, aimed) === 'clear' ? Math.min(aimed, least) : least;
}

/** Whether a figure the sheet names is taken for its risk. */
export const isTaken = (risk: number, least: number): boolean => risk <= NAMED_RISK * least;

/** Every settable value from one to another, °C. */
export function settableBetween({ set: { unit, step } }: Press, fromC: number, toC: number): number[] {
  const [from, to] = [fromC, toC].map((setC) => Math.round(toShown(setC, unit) / step)) as [number, number];
  return Array.from({ length: Math.abs(to - from) + 1 }, (_, i) => toInside((from + Math.sign(to - from) * i) * step, unit));
}

/** A closing beside the press stage: the heat its sheet gives it, if it has one, and what it does to the cloth. */
interface Further {
  kind: ChosenStage;
  /** Null: it is done at the press stage's. */
  tempC: Allowed | null;
  onCloth: Omit<OnCloth, 'name'> | null;
}

/** A closing as the cloth feels it. */
export interface OnCloth extends Closing {
  name: ChosenStage;
  band: PressureBand;
}

/** A closing with a window of its own: what it is set to, and how far it keeps inside each bound there. */
export interface SetClosing {
  kind: ChosenStage;
  window: Window;
  margins: Margin[];
}

/** Set values a piece came to for each closing, °C. */
export interface SetValues {
  press: number;
  /** The lower platen, which stands through all of them; null: it is not heated. */
  lower: number | null;
  prePress: number;
  marry: number;
  finish: number;
  tack: readonly number[];
}

/**
 * Set values of every closing, and those closings beside the press stage that have a window of their own.
 *
 * @param set of the press stage, and of the lower platen
 * @param boundsFor what a closing may do to the cloth, as bounds on its platen
 */
export function closingsSet(
  input: PreparedInput,
  draft: Draft,
  { pressC, lowerC }: { pressC: number; lowerC: number | null },
  boundsFor: (closing: OnCloth) => Bound[],
): { values: SetValues; further: SetClosing[] } {
  const further: SetClosing[] = [];
  /** As it was chosen or is kept; else the press stage's set value where it serves, or the best of its own window. */
  const at = ({ kind, tempC, onCloth }: Further): number => {
    const own = ownSetC(input, kind);
    if (!tempC && !own) return pressC;
    const cloth = onCloth ? boundsFor({ name: kind, ...onCloth }) : [];
    const window = windowOf(input, [...(tempC ? sheetBounds(tempC) : []), ...cloth], tempC && aimOf(tempC));
    const serves = worstAt(window, window.bounds, pressC) === 'clear';
    const setC = own ? settable(input.press, own.value) : serves ? pressC : window.bestSetC;
    further.push({ kind, window, margins: marginsAt(window, setC) });
    return setC;
  };
  const { finish, marry, under, prePressS, prePressCover } = draft;
  const prePress = sheetStage(draft, 'pre-press');
  const values = {
    press: pressC,
    lower: lowerC,
    prePress:
      prePressS > 0
        ? at({
            kind: 'pre-press',
            tempC: prePress?.ownHeat ? prePress.tempC : null,
            onCloth: { timeS: prePressS, cover: prePressCover, padOver: padOverOf(draft), band: prePress?.pressure.band ?? draft.band },
          })
        : pressC,
    // no blank lies in the press yet
    marry: marry ? at({ kind: 'marry', tempC: marry.tempC, onCloth: null }) : pressC,
    finish: finish
      ? at({
          kind: 'finish',
          tempC: finish.sheet?.tempC ?? null,
          onCloth: { timeS: finish.timeS, cover: finish.cover, padOver: null, band: finish.sheet?.pressure.band ?? draft.band },
        })
      : pressC,
    tack: under.map(({ press, tack }, i) =>
      draft.fullS[i]
        ? at({
            kind: 'tack',
            tempC: press.tempC,
            onCloth: { timeS: tackOf(draft, i), cover: draft.cover, padOver: null, band: tackBand(draft, i) },
          })
        : at({ kind: 'tack', tempC: tack?.ownHeat ? tack.tempC : press.tempC, onCloth: null }),
    ),
  };
  return { values, further };
}
