/** Judge: what is settled about a piece, the window it leaves on this press, the set value and the lamp. */

import { type BondPoint, betterTime, bondsOf } from '../bond';
import {
  DECISIONS,
  type Decisions,
  type Draft,
  decided,
  inEffect,
  keptTemp,
  leftOutReason,
  ownSetC,
  type PadOver,
  type PreparedInput,
  padOverOf,
  pressOf,
  type Reason,
  sheetStage,
  tackOf,
  touchingArea,
  trialOf,
} from '../draft';
import { type HouseSetting, withoutSetting } from '../house';
import type { CoverKind, PressureBand } from '../materials';
import type { ChosenStage } from '../order';
import { bandMiddle, pressureSetting } from '../press';
import type { Allowed } from '../sheet';
import { phrase } from '../units';
import { bondFindings, unknownHeat } from './bondFindings';
import type { Bound, Finding, Lamp, Margin, Window } from './finding';
import { lampOf, marginFindings } from './lamp';
import { RULES, ruleFindings } from './rules';
import type { Rule } from './rules/rule';
import type { Setting } from './setting';
import { splitWindow } from './split';
import { CLEAR_MARGIN_K, fabricBounds, marginsAt, namedIn, settable, sheetBounds, smallestMargin, surfaceBounds, windowOf } from './window';

/** What a piece is judged by; the whole of it unless a check leaves something out. */
export interface Law {
  decisions: Decisions;
  rules: readonly Rule[];
  /** Whether the bond at the glue is worked out too. */
  bonds: boolean;
}
export const LAW: Law = { decisions: DECISIONS, rules: RULES, bonds: true };
/** For ranking many pieces at once: all but the bond, which never holds one. */
export const QUICK: Law = { ...LAW, bonds: false };

/** Set values a piece came to for each closing, °C. */
export interface SetValues {
  press: number;
  prePress: number;
  marry: number;
  finish: number;
  tack: readonly number[];
}

/** What is settled about a piece before it is told in words: enough to rank it by. */
export interface Judgement {
  draft: Draft;
  reasons: Reason[];
  window: Window;
  set: Setting;
  values: SetValues;
  margins: Margin[];
  smallestMarginK: number;
  lamp: Lamp;
  /** The house's own set value, where the card starts from it. */
  keptTemp: HouseSetting | null;
  /** Bonds across the sheet; null: on Hold, or not asked for. */
  bonds: BondPoint[] | null;
}

const inClosing = (closing: ChosenStage, findings: Finding[]): Finding[] =>
  findings.map((finding) => ({ ...finding, closing, says: phrase`In the ${closing}: ${finding.says}` }));

/** A closing beside the press stage: the heat its sheet gives it, if it has one, and what it does to the cloth. */
interface Further {
  kind: ChosenStage;
  /** Null: it is done at the press stage's. */
  tempC: Allowed | null;
  onCloth: { timeS: number; cover: CoverKind | null; padOver: PadOver | null; band: PressureBand } | null;
}

/** Set values of the closings beside the press stage, and what their own windows say against them. */
function furtherClosings(input: PreparedInput, draft: Draft, pressC: number): { values: SetValues; findings: Finding[] } {
  const findings: Finding[] = [];
  /** As it was chosen or is kept; else the press stage's set value where it serves, or the best of its own window. */
  const at = ({ kind, tempC, onCloth }: Further): number => {
    const own = ownSetC(input, kind);
    if (!tempC && !own) return pressC;
    const cloth = onCloth ? fabricBounds(input, draft, [{ name: kind, ...onCloth }], onCloth.band) : [];
    const window = windowOf(input.press, [...(tempC ? sheetBounds(tempC) : []), ...cloth], tempC && namedIn(tempC));
    const serves = smallestMargin(marginsAt(window, pressC)) >= CLEAR_MARGIN_K;
    const setC = own ? settable(input.press, own.value) : serves ? pressC : window.bestSetC;
    findings.push(...inClosing(kind, marginFindings(window, setC)));
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
      draft.full[i]
        ? at({
            kind: 'tack',
            tempC: press.tempC,
            onCloth: { timeS: tackOf(draft, i), cover: draft.cover, padOver: null, band: press.pressure.band },
          })
        : at({ kind: 'tack', tempC: tack?.ownHeat ? tack.tempC : press.tempC, onCloth: null }),
    ),
  };
  return { values, findings };
}

/** Judges settled decisions: the window, the set value and the lamp. */
function judgeDraft(input: PreparedInput, draft: Draft, reasons: Reason[], law: Law): Judgement {
  const { print, press } = input;
  const split = draft.split ? splitWindow(input, draft) : null;
  const window = split?.window ?? windowOf(press, surfaceBounds(input, draft), namedIn(pressOf(draft).tempC), draft.bumpK);
  const kept = keptTemp(input);
  const byHand = print.choices.setC !== undefined;
  const asked = print.choices.setC ?? kept?.value;
  const tempC = asked === undefined ? window.bestSetC : settable(press, asked);
  const { band } = draft;
  const trial = trialOf(draft);
  const set: Setting = {
    tempC,
    lowerC: split?.lowerC ?? null,
    timeS: draft.timeS,
    byHand,
    pressure: {
      band,
      contactKPa: bandMiddle(band),
      asStated: pressOf(draft).pressure.asStated,
      setting: pressureSetting(press, band, touchingArea(input, draft)),
    },
    peel: draft.peel,
    cover: draft.cover,
    mirror: draft.mirror,
    base: draft.base,
    pad: draft.pad,
    platen: draft.platen.name,
    spots: draft.spots,
    ...(trial && { trial }),
  };
  const { values, findings } = furtherClosings(input, draft, tempC);
  const margins = marginsAt(window, tempC);
  const ruled = [...findings, ...ruleFindings(input, draft, law.rules)];
  // at the best value, so that it does not depend on where the handle stands
  const held = lampOf([...marginFindings(window, window.bestSetC), ...ruled]).state === 'hold';
  const surfaceOf = (side: Bound['side']) => window.bounds.find((bound) => bound.side === side)?.surfaceC ?? Number.NaN;
  const sheet = { low: surfaceOf('sheet low'), high: surfaceOf('sheet high') };
  const reckoned = law.bonds && !held ? bondsOf(input, draft, sheet, set.lowerC) : null;
  const unknown = reckoned && unknownHeat(input, draft, window, set, reckoned);
  const bonds = unknown ? null : reckoned;
  const lamp = lampOf([...marginFindings(window, tempC), ...bondFindings(bonds, window, tempC), ...(unknown ? [unknown] : []), ...ruled]);
  return { draft, reasons, window, set, values, margins, smallestMarginK: smallestMargin(margins), lamp, keptTemp: kept, bonds };
}

/**
 * Judges a piece: every decision, the window, the set value and the lamp, without stages, steps or the words of the card.
 *
 * The set value is the settable one whose delivered band keeps farthest from the nearest bound (sheet, mark beside the art,
 * damage); a value set by hand is kept to the press's step and judged the same way. Where the bond at that value is not
 * sound and nobody chose the time, the time is moved within the sheet as far as it helps, unless that moved the set value or took from a margin that then were under 2 K.
 * What the house keeps for this press and transfer comes before both, but not where the piece would be on Hold with it.
 */
export function judge(input: PreparedInput, law: Law = LAW): Judgement {
  const judged = judgeOnce(input, law);
  const kept = inEffect(input, judged.draft.timeS, judged.keptTemp);
  if (judged.lamp.state !== 'hold' || kept.length === 0) return judged;
  const without = judgeOnce({ ...input, house: kept.reduce(withoutSetting, input.house) }, law);
  return without.lamp.state === 'hold'
    ? without
    : { ...without, reasons: [...without.reasons, ...kept.map((one) => leftOutReason(one, input))] };
}

function judgeOnce(input: PreparedInput, law: Law): Judgement {
  const { draft, reasons } = decided(input, law.decisions);
  const first = judgeDraft(input, draft, reasons, law);
  const moved = first.bonds && betterTime(input, draft, first.window, first.set.lowerC, first.bonds);
  if (!moved) return first;
  const second = judgeDraft(input, { ...draft, timeS: moved.timeS }, [...reasons, moved.reason], law);
  const room = ({ window }: Judgement) => smallestMargin(marginsAt(window, window.bestSetC));
  const sameSet = second.window.bestSetC === first.window.bestSetC;
  return second.bonds && sameSet && room(second) >= Math.min(CLEAR_MARGIN_K, room(first)) ? second : first;
}
