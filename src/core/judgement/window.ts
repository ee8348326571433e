/** Where the set value may lie: the bounds on the platen's surface, and the settable value that keeps farthest from them. */

import {
  type Draft,
  dyeLimit,
  HARMS,
  limitsFor,
  limitWords,
  MARKS,
  ownSetC,
  type PadOver,
  type PreparedInput,
  padOverOf,
  pieceOf,
  pressOf,
  sheetStage,
  tackBand,
  tackOf,
} from '../draft';
import { COVER_SHEETS, type CoverSheet, followOf, PADS_OVER, type Place, platenFor } from '../heat';
import { type CoverKind, FIBRES, limitForTime, type PressureBand } from '../materials';
import { bandOf, type Offset, type Press, pressOffset, setForMiddle } from '../press';
import type { Allowed, ChosenStage } from '../sheet';
import { type Phrase, phrase, seconds, snap, temp, toInside, toShown } from '../units';
import type { Bound, Margin, Window } from './finding';

/** Below this margin on any side a card is Care, K. */
export const CLEAR_MARGIN_K = 2;

/** A shutting of the press at one set value. */
export interface Closing {
  name: string;
  timeS: number;
  cover: CoverSheet | null;
  padOver: PadOver | null;
}

/** Every shutting of the press at the press stage's own set value. */
function closingsOf(input: PreparedInput, draft: Draft): Closing[] {
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
  closing: Closing;
}

/** The lowest platen temperature at which any closing brings a place to a limit. */
function lowestWall(input: PreparedInput, draft: Draft, limit15: number, closings: readonly Closing[], place: Place): Wall | null {
  let low: Wall | null = null;
  for (const closing of closings) {
    const limitC = limitForTime(limit15, closing.timeS);
    const surfaceC = platenFor(followOf(pieceOf(input, draft, closing), place), input.house.room.tempC, limitC, closing.timeS);
    if (low === null || surfaceC < low.surfaceC) low = { surfaceC, limitC, closing };
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
const SHOWS_WITHIN_K = 40;

/** A platen at a temperature, in words; one that no setting of the press comes near is not given a figure it cannot have. */
export function platenWords({ set }: Press, surfaceC: number, name: 'platen' | 'upper platen'): Phrase {
  if (surfaceC > set.maxC + SHOWS_WITHIN_K) return phrase`hotter than its ${name} goes`;
  if (surfaceC < Math.min(set.minC, 0) - SHOWS_WITHIN_K || !Number.isFinite(surfaceC)) return phrase`colder than any ${name}`;
  return phrase`${name === 'platen' ? 'a' : 'an'} ${name} at ${temp(surfaceC)}`;
}

/** The two sides of a sheet's window. */
function sheetBounds({ min, max, ours, nominal }: Allowed): Bound[] {
  const [low, high] = ours
    ? [
        phrase`round the sheet’s ${temp(nominal)} we allow no less than ${temp(min)}`,
        phrase`round the sheet’s ${temp(nominal)} we allow no more than ${temp(max)}`,
      ]
    : [phrase`the sheet asks for at least ${temp(min)}`, phrase`the sheet allows at most ${temp(max)}`];
  return [
    { side: 'sheet low', keep: 'above', surfaceC: min, breach: 'hold', says: low },
    { side: 'sheet high', keep: 'below', surfaceC: max, breach: 'hold', says: high },
  ];
}

/** The figure a sheet names to begin with; null: it gives a range alone. */
export const namedIn = ({ named, nominal }: Allowed): number | null => (named ? nominal : null);

/** What white polyester bears under a paper that is made to dye it, °C for 15 s. */
const DYED_DAMAGE_C = 230;

/** Mark, damage and dye, as bounds on the platen for a set of closings. */
function fabricBounds(input: PreparedInput, given: Draft, closings: readonly Closing[], band: PressureBand): Bound[] {
  const draft = { ...given, band };
  const limits = limitsFor(input);
  const { markC } = limits;
  const damageC = draft.passesMark && !input.blank.tested ? Math.max(limits.damageC ?? 0, DYED_DAMAGE_C) : limits.damageC;
  const bounds: Bound[] = [];
  const add = (side: Bound['side'], wall: Wall | null, breach: Bound['breach'], what: Phrase) => {
    if (wall) bounds.push({ side, keep: 'below', surfaceC: wall.surfaceC, breach, says: underWords(input.press, wall, what) });
  };
  if (markC !== null && !draft.passesMark)
    add('mark', lowestWall(input, draft, markC, closings, 'bare'), 'hold', limitWords(input, 'mark', MARKS));
  if (damageC !== null) add('damage', lowestWall(input, draft, damageC, closings, 'bare'), 'hold', limitWords(input, 'damage', HARMS));
  const hot = closings.filter((closing) => closing.name !== 'pre-press');
  const { madeOf, name } = input.product;
  if (madeOf) {
    const own = FIBRES[madeOf];
    const what = (does: string) => phrase`${name} is ${own.name} and may ${does}`;
    add('transfer mark', lowestWall(input, draft, own.markC, hot, 'transfer'), 'care', what('shine or darken'));
    add('transfer', lowestWall(input, draft, own.damageC, hot, 'transfer'), 'hold', what(HARMS));
  }
  const dyeC = dyeLimit(input);
  if (dyeC !== null) {
    add('dye', lowestWall(input, draft, dyeC, hot, 'art'), 'care', phrase`dye may move into a lighter print`);
  }
  return bounds;
}

/** Every bound of the press stage, heated from above. */
export const surfaceBounds = (input: PreparedInput, draft: Draft): Bound[] => [
  ...sheetBounds(pressOf(draft).tempC),
  ...fabricBounds(input, draft, closingsOf(input, draft), draft.band),
];

/** How far the delivered band keeps inside each bound at a set value, K; negative is past it. */
export function marginsAt(window: Pick<Window, 'bounds'> & Offset, setC: number): Margin[] {
  const { lowC, highC } = bandOf(window, setC);
  return window.bounds.map(({ side, keep, surfaceC, breach }) => ({
    side,
    breach,
    kelvin: keep === 'above' ? lowC - surfaceC : surfaceC - highC,
  }));
}

/** The smallest margin among the bounds that hold a card, K. */
export const smallestMargin = (margins: readonly Margin[]): number => {
  let least = Number.POSITIVE_INFINITY;
  for (const { breach, kelvin } of margins) if (breach === 'hold' && kelvin < least) least = kelvin;
  return least;
};

/** Bounds without their words, on a press with its offset. */
interface Bounded extends Offset {
  bounds: readonly Omit<Bound, 'says'>[];
}

/** How far the delivered band keeps inside the nearest bound that holds a card, K: the smallest margin without making the others. */
function roomAt(window: Bounded, setC: number): number {
  const { lowC, highC } = bandOf(window, setC);
  let least = Number.POSITIVE_INFINITY;
  for (const { keep, surfaceC, breach } of window.bounds) {
    const kelvin = keep === 'above' ? lowC - surfaceC : surfaceC - highC;
    if (breach === 'hold' && kelvin < least) least = kelvin;
  }
  return least;
}

/**
 * The settable value with the largest smallest margin; of two equal, the cooler.
 *
 * Every margin is a straight line of the set value, or one that bends down at the setting measured, so the smallest of
 * them has one peak: from the middle between floor and ceiling the grid is climbed to it.
 */
function bestSetting(window: Bounded, press: Press): number {
  const { unit, step } = press.set;
  const held = window.bounds.filter((b) => b.breach === 'hold');
  const floor = Math.max(...held.filter((b) => b.keep === 'above').map((b) => b.surfaceC));
  const ceiling = Math.min(...held.filter((b) => b.keep === 'below').map((b) => b.surfaceC));
  const low = Math.ceil(toShown(press.set.minC, unit) / step - 1e-9);
  const high = Math.max(low, Math.floor(toShown(press.set.maxC, unit) / step + 1e-9));
  const at = (n: number) => toInside(n * step, unit);
  const room = (n: number) => roomAt(window, at(n));
  let best = Math.min(high, Math.max(low, Math.floor(toShown(setForMiddle(window, (floor + ceiling) / 2), unit) / step)));
  while (best < high && room(best + 1) > room(best) + 1e-9) best++;
  while (best > low && room(best - 1) > room(best) - 1e-9) best--;
  return at(best);
}

/** The most room any set value of a press leaves inside bounds, K. */
export function bestMargin(press: Press, bounds: Bounded['bounds']): number {
  const window = { ...pressOffset(press), bounds };
  return roomAt(window, bestSetting(window, press));
}

/** A set value kept to the press's own step and range, °C. */
export function settable(press: Press, setC: number): number {
  const { unit, step, minC, maxC } = press.set;
  return snap(Math.min(maxC, Math.max(minC, setC)), unit, step);
}

/**
 * The whole window of a print on a press.
 *
 * Its best set value is the one that brings the surface to the figure the sheet names, wherever that keeps its distance from
 * every side or as much of it as can be had; else, and where the sheet names none, the one that keeps farthest.
 *
 * @param namedC the sheet's own figure, °C at the surface; null: it gives a range alone
 * @param bumpK how much cooler than it shows an unmeasured press is taken to be by house rule, K
 */
export function windowOf(press: Press, bounds: Bound[], namedC: number | null, bumpK = 0): Window {
  const { offsetK, ...rest } = pressOffset(press);
  const open = { bounds, ...rest, offsetK: offsetK - bumpK };
  const farthest = bestSetting(open, press);
  const named = namedC === null ? farthest : settable(press, setForMiddle(open, namedC));
  const room = (setC: number) => roomAt(open, setC);
  const bestSetC = room(named) >= Math.min(CLEAR_MARGIN_K, room(farthest)) ? named : farthest;
  return { ...open, settable: press.set, bestSetC };
}

/** A closing beside the press stage: the heat its sheet gives it, if it has one, and what it does to the cloth. */
interface Further {
  kind: ChosenStage;
  /** Null: it is done at the press stage's. */
  tempC: Allowed | null;
  onCloth: { timeS: number; cover: CoverKind | null; padOver: PadOver | null; band: PressureBand } | null;
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
  prePress: number;
  marry: number;
  finish: number;
  tack: readonly number[];
}

/** Set values of every closing, and those closings beside the press stage that have a window of their own. */
export function closingsSet(input: PreparedInput, draft: Draft, pressC: number): { values: SetValues; further: SetClosing[] } {
  const further: SetClosing[] = [];
  /** As it was chosen or is kept; else the press stage's set value where it serves, or the best of its own window. */
  const at = ({ kind, tempC, onCloth }: Further): number => {
    const own = ownSetC(input, kind);
    if (!tempC && !own) return pressC;
    const cloth = onCloth ? fabricBounds(input, draft, [{ name: kind, ...onCloth }], onCloth.band) : [];
    const window = windowOf(input.press, [...(tempC ? sheetBounds(tempC) : []), ...cloth], tempC && namedIn(tempC));
    const serves = smallestMargin(marginsAt(window, pressC)) >= CLEAR_MARGIN_K;
    const setC = own ? settable(input.press, own.value) : serves ? pressC : window.bestSetC;
    further.push({ kind, window, margins: marginsAt(window, setC) });
    return setC;
  };
  const { finish, marry, under, prePressS, prePressCover } = draft;
  const prePress = sheetStage(draft, 'pre-press');
  const values = {
    press: pressC,
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
