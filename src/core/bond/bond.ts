/** Bond: what a card's setting does at the glue, what takes from it, and the time that would bring it back. */

import {
  adhesiveOf,
  CARD_HEAT,
  coveredBySheet,
  type Draft,
  isTimeSettled,
  learnedOf,
  limitsFor,
  MEANT_BASE_C,
  meansCloth,
  meantCloth,
  type PreparedInput,
  pieceOf,
  pressOf,
  type Reason,
  WEIGHED_HEAT,
} from '../draft';
import {
  type Adhesive,
  bondBand,
  correct,
  deviations,
  type Effect,
  growthOf,
  type Passage,
  type Piece,
  SOUND,
  soundChanceOf,
  Z_90,
} from '../heat';
import { remembered } from '../numerics';
import { bandOf, dwells, type Offset, SURE } from '../press';
import { type Phrase, phrase, seconds, tempDiff } from '../units';
import type { Heat } from './heatOfCard';

export type BondPoint = Heat['bonds'][number];

/** One passage of a card as the heat model takes it. */
export interface CardPiece {
  piece: Piece;
  passage: Passage;
  adhesive: Adhesive;
}

/** The press stage of a draft at a surface temperature. Null where art is pressed from the back: the model knows no such stack. */
export function cardPiece(input: PreparedInput, draft: Draft, surfaceC: number, lowerC: number | null): CardPiece | null {
  if (input.print.embossed) return null;
  return {
    piece: pieceOf(input, draft, undefined, lowerC),
    passage: { surfaceC, timeS: draft.timeS, prePressS: draft.prePressS, finish: null, cooling: null },
    adhesive: adhesiveOf(input, draft),
  };
}

const NO_LIMITS = { markC: null, damageC: null, dyeC: null };
const bondsBefore = remembered<BondPoint[]>(400);
const heatBefore = remembered<Heat>(400);

/**
 * Bonds at the lowest, middle and highest surface the sheet allows. Between them the logarithm of the bond is taken as straight.
 *
 * @param sheet coolest and hottest surface the sheet allows, °C
 * @returns null where there is no window to speak of or the stack is not one the model knows
 */
export function bondsOf(
  input: PreparedInput,
  draft: Draft,
  { low, high }: { low: number; high: number },
  lowerC: number | null,
): BondPoint[] | null {
  const heatPiece = cardPiece(input, draft, low, lowerC);
  if (!heatPiece || !(low >= 20 && high <= 260 && low <= high)) return null;
  return bondsBefore(JSON.stringify([heatPiece, high]), () =>
    [low, (low + high) / 2, high].map((surfaceC) => {
      const growth = growthOf(heatPiece.piece, { ...heatPiece.passage, surfaceC }, heatPiece.adhesive, NO_LIMITS, CARD_HEAT);
      return { surfaceC, bond: growth.bond.at(-1) ?? 0 };
    }),
  );
}

/**
 * Bond at a surface temperature; beyond the sheet, the line of its nearest part goes on.
 *
 * @param points two or three, by rising surface temperature
 * @param surfaceC of the platen’s surface, °C
 * @returns of its sheet’s own, 1 as it means
 * @example bondAt([{ surfaceC: 150, bond: 0.8 }, { surfaceC: 160, bond: 1.2 }], 155) // 1
 */
export function bondAt(points: readonly BondPoint[], surfaceC: number): number {
  const i = points[1] && surfaceC > points[1].surfaceC ? 1 : 0;
  const [a, b] = [points[i], points[i + 1]];
  if (!a || !b || b.surfaceC === a.surfaceC) return a?.bond ?? Number.NaN;
  const share = (surfaceC - a.surfaceC) / (b.surfaceC - a.surfaceC);
  return Math.exp(Math.log(a.bond) + share * (Math.log(b.bond) - Math.log(a.bond)));
}

/** A bond known to no better than this factor, from end to end of what nine in ten come to, is not given as a figure. */
const WIDEST_FACTOR = 2;

/** Whether a bond is known well enough to be told as a figure. */
export const isReportable = (logSd: number): boolean => 2 * Z_90 * logSd <= Math.log(WIDEST_FACTOR);

/** A bond as a figure. */
export const bondWords = (bond: number): string => bond.toFixed(2);

const rememberedEffects = remembered<Effect[]>(400);

/** What each thing that differs from the supplier's own stack takes or gives. */
export function effectsOf(input: PreparedInput, draft: Draft, { piece, passage, adhesive }: CardPiece): Effect[] {
  const meant = {
    cloth: meantCloth(input),
    baseC: MEANT_BASE_C,
    covered: pressOf(draft).cover === 'required' || coveredBySheet(input, draft),
    padOver: input.product.pad === 'soft pad over' || input.product.pad === 'foam over',
    underlay: input.product.pad === 'felt under' || input.product.pad === 'foam behind',
  };
  return rememberedEffects(JSON.stringify([piece, passage, adhesive, meant]), () =>
    deviations(piece, passage, adhesive, meant, WEIGHED_HEAT),
  );
}

/** With less than this chance of a sound bond a card is Care, and another time is looked for. */
export const SOUND_ENOUGH = 0.75;

/** A correction of less is not worth a word, s. */
const WORTH_S = 1;
/** Nor one that brings the bond nearer to 1 by less, as a share. */
const WORTH_GAIN = 0.03;

const sdsBefore = remembered<number>(2000);
/** Settings this near to each other have one doubt of the bond, K. */
const SD_STEP_K = 2;

/**
 * Standard deviation of the logarithm of the bond at the window's best set value, for every set value of the card; null: the model
 * does not know the stack.
 */
export function bondSd(input: PreparedInput, draft: Draft, window: Offset & { bestSetC: number }, lowerC: number | null): number | null {
  const { midC, lowC, highC } = bandOf(window, window.bestSetC);
  // it hardly changes within two kelvins, and is asked for at many settings
  const nearC = SD_STEP_K * Math.round(midC / SD_STEP_K);
  const heatPiece = cardPiece(input, draft, Math.min(260, Math.max(20, nearC)), lowerC);
  if (!heatPiece) return null;
  const doubt = { platenK: (highC - lowC) / 2 / SURE, shiftSd: learnedOf(input)?.sd ?? 0, ofBlank: meansCloth(input) };
  return sdsBefore(JSON.stringify([heatPiece, doubt]), () =>
    logSdOf(bondBand(heatPiece.piece, heatPiece.passage, heatPiece.adhesive, doubt, WEIGHED_HEAT)),
  );
}

/**
 * Standard deviation of the logarithm of a bond, from the range nine in ten lie in.
 *
 * @param range fifth and ninety-fifth hundredth of the bond, above 0
 * @returns of the natural logarithm
 * @example logSdOf({ low: Math.exp(-1.645), high: Math.exp(1.645) }) // 1.000
 */
export const logSdOf = ({ low, high }: { low: number; high: number }): number => Math.log(high / low) / (2 * Z_90);

/** All a card says of its heat, at its set value. */
export function heatOf(
  input: PreparedInput,
  draft: Draft,
  window: Offset & { bestSetC: number },
  set: { tempC: number; lowerC: number | null },
  points: BondPoint[],
): Heat | null {
  const { midC } = bandOf(window, set.tempC);
  const heatPiece = cardPiece(input, draft, Math.min(260, Math.max(20, midC)), set.lowerC);
  const sd = bondSd(input, draft, window, set.lowerC);
  if (!heatPiece || sd === null) return null;
  const bond = bondAt(points, midC);
  const learned = learnedOf(input);
  const effects = effectsOf(input, draft, heatPiece);
  const key = JSON.stringify([heatPiece, sd, bond, effects, points, pressOf(draft).timeS, limitsFor(input), draft.passesMark, learned]);
  return heatBefore(key, () => {
    return {
      bond,
      low: bond * Math.exp(-Z_90 * sd),
      high: bond * Math.exp(Z_90 * sd),
      soundChance: soundChanceOf(bond, sd),
      bonds: points,
      takes: effects,
      correction: correctionOf(input, draft, heatPiece),
      learned: learned && { shift: learned.shift, n: learned.n },
    };
  });
}

/** The time that restores the bond at this very temperature, within sheet and limits; null: the time is right as it is. */
function correctionOf(input: PreparedInput, draft: Draft, { piece, passage, adhesive }: CardPiece): Heat['correction'] {
  const { surfaceC, timeS } = passage;
  const { min, max } = dwells(input.press, pressOf(draft).timeS);
  const limits = { ...limitsFor(input), dyeC: null, ...(draft.passesMark && { markC: null }) };
  const found = correct(
    { piece, passage, adhesive, limits, allowed: { timeS: { min, max }, surfaceC: { min: surfaceC, max: surfaceC } } },
    CARD_HEAT,
  );
  const { rounded, feasible, stoppedBy } = found;
  const gain = Math.abs(Math.log(found.askedBond)) - Math.abs(Math.log(rounded.bond));
  return Math.abs(rounded.timeS - timeS) < WORTH_S || gain < WORTH_GAIN
    ? null
    : { timeS: rounded.timeS, bond: rounded.bond, feasible, stoppedBy };
}

/**
 * A sounder time where the bond at the card's own best value is not likely enough to be sound: the one that brings it nearest to 1 within sheet
 * and limits. Null where it is sound, where somebody chose the time, and where no time betters it.
 */
export function betterTime(
  input: PreparedInput,
  draft: Draft,
  window: Offset & { bestSetC: number },
  lowerC: number | null,
  points: BondPoint[],
): { timeS: number; reason: Reason } | null {
  const { midC } = bandOf(window, window.bestSetC);
  const bond = bondAt(points, midC);
  if (isTimeSettled(input, draft)) return null;
  const sd = bondSd(input, draft, window, lowerC);
  if (sd !== null && soundChanceOf(bond, sd) >= SOUND_ENOUGH) return null;
  const heatPiece = cardPiece(input, draft, midC, lowerC);
  const found = heatPiece && correctionOf(input, draft, heatPiece);
  if (!found || Math.abs(Math.log(found.bond)) >= Math.abs(Math.log(bond))) return null;
  const by = found.timeS - draft.timeS;
  const change = by > 0 ? phrase`${seconds(by)} are added` : phrase`${seconds(-by)} are taken off`;
  return {
    timeS: found.timeS,
    reason: {
      field: 'time',
      source: 'physics',
      says: phrase`At ${seconds(draft.timeS)} the glue of this piece gets ${bondWords(bond)} of the bond the sheet means: ${change}, within the sheet’s ${seconds(pressOf(draft).timeS.min)} to ${seconds(pressOf(draft).timeS.max)}, and it gets ${bondWords(found.bond)}.`,
    },
  };
}

export const THINGS: Record<Effect['of'], (name: string | null) => string> = {
  cover: (name) => `The ${name ?? 'cover'} over it`,
  cloth: (name) => `This ${name ?? 'cloth'}, unlike the jersey the sheet means,`,
  damp: (name) => `The damp in ${name ?? 'the cloth'}`,
  underlay: (name) => `The ${name ?? 'pad'} under it`,
  'pad over': (name) => `The ${name ?? 'pad'} over it`,
  base: () => 'The base as it is',
  pressure: () => 'The pressure',
  temperature: () => 'The temperature',
  time: () => 'The time',
  'pre-press': () => 'The pre-press',
};
/** Less than this at the glue is not worth a word, K; and in the bond. */
const WORTH_K = 0.5;
const WORTH_BOND = 0.02;

const stopWords: Record<NonNullable<NonNullable<Heat['correction']>['stoppedBy']>, string> = {
  'longest time': 'the sheet’s longest time',
  'shortest time': 'the sheet’s shortest time',
  mark: 'the mark limit of the cloth',
  damage: 'what the cloth bears',
};

/** What the correction amounts to, in words. */
function correctionWords(heat: Heat, timeS: number): Phrase | null {
  const { correction } = heat;
  if (!correction) return null;
  const by = correction.timeS - timeS;
  const change = by > 0 ? phrase`${seconds(by)} more` : phrase`${seconds(-by)} less`;
  return correction.feasible
    ? phrase`${change}, ${seconds(correction.timeS)} in all, bring the bond to ${bondWords(correction.bond)}.`
    : phrase`At this temperature no time brings it back: ${stopWords[correction.stoppedBy ?? 'longest time']} ends it at ${seconds(correction.timeS)}, with ${bondWords(correction.bond)}.`;
}

/** The physics behind a card's time: what takes or gives at the glue, the bond as a band, the time that would restore it, what the log adds. */
export function heatReasons(heat: Heat, timeS: number): Reason[] {
  const say = (source: Reason['source'], says: Phrase): Reason => ({ field: 'time', source, says });
  const said: Reason[] = heat.takes
    .filter(({ glueK, bond }) => Math.abs(glueK) >= WORTH_K || Math.abs(bond) >= WORTH_BOND)
    .map(({ of, name, glueK, bond }) =>
      say(
        'physics',
        phrase`${THINGS[of](name)} ${glueK >= 0 ? 'takes' : 'gives'} ${tempDiff(Math.abs(glueK))} at the glue by ${seconds(timeS)}, and ${bondWords(Math.abs(bond))} ${bond >= 0 ? 'off' : 'on'} the bond.`,
      ),
    );
  const sound = `${Math.round(100 * heat.soundChance)} %`;
  const isFigure = isReportable(logSdOf(heat));
  said.push(
    say(
      'physics',
      isFigure
        ? phrase`Bond about ${bondWords(heat.bond)} of what the sheet means; nine pieces in ten between ${bondWords(heat.low)} and ${bondWords(heat.high)}, ${sound} sound (${bondWords(SOUND.low)} to ${bondWords(SOUND.high)}). An estimate: only a test piece tells for sure.`
        : phrase`What the glue gets is known only roughly here: about ${sound} of pieces bond soundly. Only a test piece tells for sure.`,
    ),
  );
  const words = isFigure ? correctionWords(heat, timeS) : null;
  if (words) said.push(say('physics', words));
  if (heat.learned)
    said.push(
      say(
        'log',
        phrase`${String(heat.learned.n)} pressings of this transfer on this press say the bond is ${bondWords(heat.learned.shift)} times what the figures give; that is counted in.`,
      ),
    );
  return said;
}
