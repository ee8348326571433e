/** The lamp: Clear, Care or Hold, from the margins at a set value, the bond at the glue and the rules that were met. */

import {
  type BondPoint,
  bondAt,
  bondSd,
  bondsOf,
  cardPiece,
  effectsOf,
  isReportable,
  logSdOf,
  SOUND_ENOUGH,
  THINGS,
  bondWords as times,
} from '../bond';
import { type Draft, type PreparedInput, pressOf } from '../draft';
import { SOUND, soundChanceOf } from '../heat';
import { bandOf, type Offset } from '../press';
import { oddsWords, phrase, tempDiff } from '../units';
import {
  aimedAt,
  aimOf,
  isTaken,
  type LampState,
  type Margin,
  marginsAt,
  overClear,
  riskAt,
  SHOWS_WITHIN_K,
  type Side,
  settableBetween,
  type Window,
  worstAt,
} from '../window';
import type { Finding, Lamp } from './finding';
import type { SetClosing } from './further';
import type { Setting } from './setting';

const PAST_WORDS: Record<Side, string> = {
  'sheet low': 'too cool for the sheet in the coolest tenth under the art',
  'sheet high': 'too hot for the sheet in the hottest tenth',
  mark: 'marked beside the art',
  damage: 'harmed',
  'under the art': 'harmed under the art',
  inside: 'harmed inside',
  'inside mark': 'marked inside',
  dye: 'stained by dye',
  transfer: 'with the transfer itself harmed',
  'transfer mark': 'with the transfer itself marked',
};

/** What the chance of passing each bound says against the card. @param margins one a bound */
function marginFindings({ bounds }: Pick<Window, 'bounds'>, margins: readonly Margin[]): Finding[] {
  return margins.flatMap((margin, i): Finding[] => {
    const bound = bounds[i];
    if (!bound || margin.state === 'clear') return [];
    const isFigure = margin.kelvin < 0 && margin.kelvin > -SHOWS_WITHIN_K;
    const expected = isFigure ? phrase`, by about ${tempDiff(-margin.kelvin)}` : phrase``;
    const odds = phrase`${oddsWords(margin.chance)} ${PAST_WORDS[margin.side]}${expected}: ${bound.says}.`;
    const says = bound.eased ? phrase`A test piece held; without it: ${odds}` : odds;
    return [{ level: margin.state, from: 'margin', rule: margin.side, field: 'temperature', says }];
  });
}

/** A bond under it errs by being short, over it by being more than is meant. */
const SOUND_MIDDLE = Math.sqrt(SOUND.low * SOUND.high);

/** What is known of a bond: across the sheet, and how far it may lie from that. */
interface KnownBond {
  points: readonly BondPoint[];
  logSd: number;
}

/** Chance of a sound bond at a set value, 0 to 1. */
const bondChance = ({ points, logSd }: KnownBond, window: Offset, setC: number): number =>
  soundChanceOf(bondAt(points, bandOf(window, setC).midC), logSd);

/** What the chance of a sound piece says against a card: never more than Care, for the supplier knows the product better than the model does. */
function soundFindings(known: KnownBond | null, window: Offset, margins: readonly Margin[], setC: number): Finding[] {
  if (!known) return [];
  const ofBond = bondChance(known, window, setC);
  const inAll = soundChanceIn(margins, ofBond);
  if (inAll >= SOUND_ENOUGH) return [];
  const base = { level: 'care', from: 'bond', field: 'time' } as const;
  // each may be small enough by itself, and all together not
  if (ofBond >= SOUND_ENOUGH)
    return [{ ...base, rule: 'in all', says: phrase`${oddsWords(1 - inAll)} not sound, by bond, heat and dye together.` }];
  const bond = bondAt(known.points, bandOf(window, setC).midC);
  const isShort = bond < SOUND_MIDDLE;
  const harm = isShort ? 'it may lift or crack' : 'it may sink in, spread and close small counters';
  const why = isReportable(known.logSd)
    ? phrase`the glue gets about ${times(bond)} of what its sheet means; ${isShort ? phrase`under ${times(SOUND.low)}` : phrase`over ${times(SOUND.high)}`} ${harm}`
    : phrase`what the glue gets is known only roughly here; ${harm}`;
  return [
    {
      ...base,
      rule: isShort ? 'short' : 'over',
      says: phrase`${oddsWords(1 - ofBond)} without a sound bond: ${why}.`,
    },
  ];
}

/** What is over the edge of Clear weighs so many times its risk, so that a Clear value is not given up for a likelier bond. */
const OVER_CLEAR_WEIGHS = 20;

/**
 * The best set value once the bond is known too, where what the sheet aims at is not Clear: of all from the best by bounds alone
 * up or down to that aim the one of least risk, bond and bounds together, lamp before risk.
 *
 * All of it is convex in what a limit leaves, so a cooler limit moves it no more up than it does without the bond. Null: it stays
 * as it is, or the heat is split, whose pair is chosen for the dose of the glue.
 */
export function weighedByBond(
  input: PreparedInput,
  draft: Draft,
  window: Window,
  lowerC: number | null,
  points: BondPoint[],
): number | null {
  const aim = aimOf(pressOf(draft).tempC);
  const aimed = aimedAt(window, input.press, aim);
  const { bounds, bestSetC } = window;
  if (draft.split || aimed === bestSetC || worstAt(window, bounds, aimed) === 'clear') return null;
  const logSd = bondSd(input, draft, { ...window, bestSetC: aimed }, lowerC);
  if (logSd === null) return null;
  const ofBond = (setC: number) => -Math.log(Math.max(Number.MIN_VALUE, bondChance({ points, logSd }, window, setC)));
  const risk = (setC: number) => riskAt(window, bounds, setC) + ofBond(setC);
  const over = (setC: number) => overClear(window, bounds, setC) + Math.max(0, ofBond(setC) + Math.log(SOUND_ENOUGH));
  const weighed = (setC: number) => risk(setC) + OVER_CLEAR_WEIGHS * over(setC);
  const best = settableBetween(input.press, bestSetC, aimed).reduce((least, setC) => (weighed(setC) < weighed(least) ? setC : least));
  const taken = aim.named && isTaken(risk(aimed), risk(best)) ? aimed : best;
  return taken === bestSetC ? null : taken;
}

/** An estimate that leaves what it is made of by more than this factor is none. */
const MOST_FACTOR = 3;

const isWithin = (factor: number): boolean => factor >= 1 / MOST_FACTOR && factor <= MOST_FACTOR;

/**
 * What of a piece the heat model cannot tell: something in its stack, or its setting, that would change the bond by more than
 * a factor of three. Null: it can. Where it cannot, no figure of the bond is worth printing, and the lamp is never Clear.
 */
function unknownHeat(
  input: PreparedInput,
  draft: Draft,
  window: Offset,
  set: Pick<Setting, 'tempC' | 'lowerC'>,
  points: BondPoint[],
): Finding | null {
  const { midC } = bandOf(window, set.tempC);
  const heatPiece = cardPiece(input, draft, Math.min(260, Math.max(20, midC)), set.lowerC);
  if (!heatPiece) return null;
  const bond = bondAt(points, midC);
  const effects = effectsOf(input, draft, heatPiece);
  const odd = effects.find((take) => !isWithin((bond + take.bond) / bond));
  if (!odd && isWithin(bond)) return null;
  const why = odd ? phrase`${THINGS[odd.of](odd.name)} ${WHY_UNKNOWN}` : phrase`This setting ${WHY_UNKNOWN}`;
  return {
    level: 'care',
    from: 'heat',
    rule: 'not known',
    field: 'time',
    says: phrase`${why}: what reaches the glue is not known. Press a test piece first and note how it came out.`,
  };
}
const WHY_UNKNOWN = 'is further from what the sheet means than the heat model can tell';

/** The lamp for findings: any hold is Hold, any caution is Care. Holds stand first. */
function lampOf(findings: readonly Finding[]): Lamp {
  const holds = findings.filter((f) => f.level === 'hold');
  const cares = findings.filter((f) => f.level === 'care');
  return { state: holds.length > 0 ? 'hold' : cares.length > 0 ? 'care' : 'clear', findings: [...holds, ...cares] };
}

/** The lamp a card would have if its set value were moved: its standing rules, the margins and the bond there. */
export function lampAt(
  card: { window: Window; lamp: Lamp; heat?: { bonds: BondPoint[]; low: number; high: number } | undefined },
  setC: number,
): Lamp {
  const known = card.heat ? { points: card.heat.bonds, logSd: logSdOf(card.heat) } : null;
  const standing = card.lamp.findings.filter(({ from, closing }) => closing !== undefined || (from !== 'margin' && from !== 'bond'));
  const margins = marginsAt(card.window, setC);
  return lampOf([...marginFindings(card.window, margins), ...soundFindings(known, card.window, margins, setC), ...standing]);
}

/** Chance of a sound piece on a card at a set value, 0 to 1. */
export function soundChanceAt(
  card: { window: Window; heat?: { bonds: BondPoint[]; low: number; high: number } | undefined },
  setC: number,
): number {
  const { heat, window } = card;
  const known = heat ? { points: heat.bonds, logSd: logSdOf(heat) } : null;
  return soundChanceIn(marginsAt(window, setC), known && bondChance(known, window, setC));
}

const inClosing = ({ kind, window, margins }: SetClosing): Finding[] =>
  marginFindings(window, margins).map((finding) => ({ ...finding, closing: kind, says: phrase`In the ${kind}: ${finding.says}` }));

const OF_SHEET: readonly Side[] = ['sheet low', 'sheet high'];

/**
 * Chance that a piece comes out sound, 0 to 1: the bond with all that may harm, mark or stain it, taken as independent. The
 * sheet's own sides speak for the bond where that is not known. What a test piece was noted to bear counts no more, nor does a mark
 * inside, where nobody looks.
 */
export function soundChanceIn(margins: readonly Margin[], ofBond: number | null): number {
  const counted = margins.filter(({ side, eased }) => !eased && side !== 'inside mark' && (ofBond === null || !OF_SHEET.includes(side)));
  return counted.reduce((sound, { chance }) => sound * (1 - chance), ofBond ?? 1);
}

/** What the lamp is judged from once everything about a piece is set. */
export interface Judged {
  window: Window;
  set: Setting;
  /** At the set value, and at the window’s best. */
  margins: Margin[];
  bestMargins: Margin[];
  further: readonly SetClosing[];
  ruled: readonly Finding[];
  /** It stands at a setting that was tested good on this material. */
  isTested: boolean;
}

/**
 * The lamp of a piece, and its bonds across the sheet, which are worked out only where nothing holds it. What was tested good at
 * this very setting needs no reckoning of its bond.
 */
export function lampFor(
  input: PreparedInput,
  draft: Draft,
  judged: Judged,
  weighsBonds: boolean,
): { lamp: Lamp; bestState: LampState; bonds: BondPoint[] | null; soundChance: number } {
  const { window, set, margins, bestMargins } = judged;
  const standing = [...judged.further.flatMap(inClosing), ...judged.ruled];
  // at the best value, so that it does not depend on where the handle stands
  const isHold = lampOf([...marginFindings(window, bestMargins), ...standing]).state === 'hold';
  const surfaceOf = (side: Side) => window.bounds.find((bound) => bound.side === side)?.surfaceC ?? Number.NaN;
  const sheet = { low: surfaceOf('sheet low'), high: surfaceOf('sheet high') };
  const reckoned = weighsBonds && !isHold ? bondsOf(input, draft, sheet, set.lowerC) : null;
  const unknown = reckoned && !judged.isTested && unknownHeat(input, draft, window, set, reckoned);
  const bonds = unknown ? null : reckoned;
  const logSd = bonds && bondSd(input, draft, window, set.lowerC);
  const known = bonds && logSd !== null && !judged.isTested ? { points: bonds, logSd } : null;
  const unsure = unknown ? [unknown] : [];
  const against = [...marginFindings(window, margins), ...soundFindings(known, window, margins, set.tempC), ...unsure];
  const lamp = lampOf([...against, ...standing]);
  const atBest = () =>
    lampOf([...marginFindings(window, bestMargins), ...soundFindings(known, window, bestMargins, window.bestSetC), ...unsure, ...standing])
      .state;
  return {
    lamp,
    bestState: set.tempC === window.bestSetC ? lamp.state : atBest(),
    bonds,
    soundChance: soundChanceIn(margins, known && bondChance(known, window, set.tempC)),
  };
}
