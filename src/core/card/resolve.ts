/** Resolve: from a print, a blank, a press and the house to the worked-out card. */
import { describeMaterial, FAMILIES, isSided, pressStage, type Range, type SheetStage, sidedWords } from '../materials';
import { bandMiddle, bandOf, pressureSetting } from '../press';
import { phrase } from '../units';
import { betterTime, bondFindings, bondsOf, type Heat, heatOf, heatReasons, unknownHeat } from './bond';
import { withOwn } from './closings';
import { DECISIONS, type Decision } from './decisions';
import { blankDraft, type Draft, pressOf, touchingArea, trialOf } from './draft';
import { type HouseSetting, withoutSetting } from './house';
import { layersOf, type ResolveInput } from './input';
import { inEffect, keptTemp, leftOutReason } from './kept';
import { clearanceOf } from './laid';
import { lampOf, marginFindings } from './lamp';
import { asMeasured, layIn } from './measured';
import { layerReasons, pressureReasons, temperatureReasons } from './reasons';
import { RULES, type Rule, ruleFindings } from './rules';
import { CARD_SCHEMA_VERSION, type Card, FIELDS, type Finding, type Lamp, type Margin, type Reason, type Window } from './schema';
import { splitWindow } from './split';
import { minutesOf, type SetValues, stagesOf } from './stages';
import { STEPS, type StepRule, stepsOf } from './steps';
import { CLEAR_MARGIN_K, fabricBounds, marginsAt, settable, sheetBounds, smallestMargin, surfaceBounds, windowOf } from './window';

/** The rules a card is worked out by; the whole trade unless a check leaves one out. */
export interface Trade {
  decisions: readonly Decision[];
  rules: readonly Rule[];
  steps: readonly StepRule[];
  /** Whether the bond at the glue is worked out too. */
  bonds: boolean;
}
export const TRADE: Trade = { decisions: DECISIONS, rules: RULES, steps: STEPS, bonds: true };
/** For ranking many cards at once: all but the bond, which never holds one. */
export const QUICK: Trade = { ...TRADE, bonds: false };

/** What is settled about a piece before it is told in words: enough to rank it by. */
export interface Judgement {
  draft: Draft;
  reasons: Reason[];
  window: Window;
  set: Card['set'];
  values: SetValues;
  margins: Margin[];
  smallestMarginK: number;
  lamp: Lamp;
  /** The house's own set value, where the card starts from it. */
  keptTemp: HouseSetting | null;
  /** Bonds across the sheet; null: on Hold, or not asked for. */
  bonds: Heat['bonds'] | null;
}

/** Takes every decision in turn and keeps the reason of each. */
function decide(input: ResolveInput, decisions: readonly Decision[]): { draft: Draft; reasons: Reason[] } {
  let draft = blankDraft(input);
  const reasons: Reason[] = [];
  for (const { field, decide: settle } of decisions) {
    const decided = settle(input, draft);
    if (!decided) continue;
    draft = { ...draft, ...decided.set };
    reasons.push({ field, source: decided.source, says: decided.says });
  }
  return { draft, reasons };
}

/** A further closing with a window of its own: the press stage's set value if it serves, else the best of its own. */
function furtherClosing(
  input: ResolveInput,
  bounds: ReturnType<typeof sheetBounds>,
  pressC: number,
): { setC: number; findings: Finding[]; window: Window } {
  const window = windowOf(input.press, bounds);
  const serves = smallestMargin(marginsAt(window, pressC)) >= CLEAR_MARGIN_K;
  const setC = serves ? pressC : window.bestSetC;
  return { setC, window, findings: marginFindings(window, setC) };
}

const named = (name: string, findings: Finding[]): Finding[] =>
  findings.map((finding) => ({ ...finding, rule: `${name}, ${finding.rule}`, says: phrase`In the ${name}: ${finding.says}` }));

/** Set values of marry, finish and tacks, and what their own windows say against them. */
function furtherClosings(input: ResolveInput, draft: Draft, pressC: number): { values: SetValues; findings: Finding[] } {
  const findings: Finding[] = [];
  const at = (name: string, range: Range, own: (stage: { tempC: Range }) => ReturnType<typeof sheetBounds>): number => {
    const closing = furtherClosing(input, own({ tempC: range }), pressC);
    findings.push(...named(name, closing.findings));
    return closing.setC;
  };
  const plain = ({ tempC }: { tempC: Range }) => sheetBounds(tempC);
  const finish = draft.finish?.sheet ?? null;
  const finishBounds = (stage: SheetStage) => (): ReturnType<typeof sheetBounds> => [
    ...sheetBounds(stage.tempC),
    ...fabricBounds(
      input,
      draft,
      [{ name: 'finish', timeS: draft.finish?.timeS ?? 1, cover: draft.finish?.cover ?? null, padOver: null }],
      stage.pressure.band,
    ),
  ];
  const values = {
    press: pressC,
    marry: draft.marry ? at('marry', draft.marry.tempC, plain) : pressC,
    finish: finish ? at('finish', finish.tempC, finishBounds(finish)) : pressC,
    tack: input.under.map((product) => at('tack', pressStage(product).tempC, plain)),
  };
  return { values, findings };
}

/** Judges settled decisions: the window, the set value and the lamp. */
function judgeDraft(input: ResolveInput, draft: Draft, reasons: Reason[], trade: Trade): Judgement {
  const { print, press } = input;
  const split = draft.split ? splitWindow(input, draft) : null;
  const window = split?.window ?? windowOf(press, surfaceBounds(input, draft), draft.bumpK);
  const kept = keptTemp(input);
  const byHand = print.choices.setC !== undefined;
  const asked = print.choices.setC ?? kept?.value;
  const tempC = asked === undefined ? window.bestSetC : settable(press, asked);
  const { band } = draft;
  const trial = trialOf(draft);
  const set: Card['set'] = {
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
  const ruled = [...findings, ...ruleFindings(input, draft, trade.rules)];
  // at the best value, so that it does not depend on where the handle stands
  const held = lampOf([...marginFindings(window, window.bestSetC), ...ruled]).state === 'hold';
  const reckoned = trade.bonds && !held ? bondsOf(input, draft, window, set.lowerC) : null;
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
export function judge(given: ResolveInput, trade: Trade = TRADE): Judgement {
  const input = asMeasured(given);
  const judged = judgeOnce(input, trade);
  const kept = inEffect(input, judged.draft.timeS, judged.keptTemp);
  if (judged.lamp.state !== 'hold' || kept.length === 0) return judged;
  const without = judgeOnce({ ...input, house: kept.reduce(withoutSetting, input.house) }, trade);
  return without.lamp.state === 'hold'
    ? without
    : { ...without, reasons: [...without.reasons, ...kept.map((one) => leftOutReason(one, input))] };
}

function judgeOnce(input: ResolveInput, trade: Trade): Judgement {
  const { draft, reasons } = decide(input, trade.decisions);
  const first = judgeDraft(input, draft, reasons, trade);
  const moved = first.bonds && betterTime(input, draft, first.window, first.set.lowerC, first.bonds);
  if (!moved) return first;
  const second = judgeDraft(input, { ...draft, timeS: moved.timeS }, [...reasons, moved.reason], trade);
  const room = ({ window }: Judgement) => smallestMargin(marginsAt(window, window.bestSetC));
  const sameSet = second.window.bestSetC === first.window.bestSetC;
  return second.bonds && sameSet && room(second) >= Math.min(CLEAR_MARGIN_K, room(first)) ? second : first;
}

/** What a queue needs of a card: its lamp, and the minutes of a piece. */
export function lampAndMinutes(given: ResolveInput): { lamp: Lamp; minutesPerPiece: number } {
  const input = asMeasured(given);
  const { lamp, draft, values } = judge(input);
  return { lamp, minutesPerPiece: minutesOf(stagesOf(input, draft, values)) };
}

const namesOf = (input: ResolveInput): Card['of'] => {
  const { blank, fabric, product, press, print, item } = input;
  return {
    blankId: blank.id,
    blankName: blank.name,
    size: item.size,
    colour: blank.colour,
    fabricId: fabric.id,
    fabricName: fabric.name,
    composition: describeMaterial(fabric),
    duty: blank.duty,
    productId: product.id,
    productName: product.name,
    familyName: FAMILIES[product.familyId].name,
    layers: layersOf(input),
    pressId: press.id,
    pressName: press.name,
    pressKind: press.kind,
    printKey: print.key,
    position: sidedWords(print),
    place: print.position,
    ...(print.side && isSided(print.position) && { side: print.side }),
    artName: print.artName,
    widthMm: print.widthMm,
    heightMm: print.heightMm,
    roster: [...item.roster],
    perClosing: item.perClosing,
    sheet: { name: product.source.sheet, on: product.source.on },
  };
};

/** Reasons grouped by the value they are about, in the order of the card. */
const inOrder = (reasons: readonly Reason[]): Reason[] => FIELDS.flatMap((field) => reasons.filter((reason) => reason.field === field));

/**
 * Works out the pressing of one print on one press.
 *
 * Pure and total: any valid input gives a card, a bad one gives a Hold.
 *
 * @param input °C, s, mm; all parts already parsed by their schemas
 * @returns the card; its lamp is Clear only with 2 K or more on every side and no rule met
 */
export function resolve(given: ResolveInput, trade: Trade = TRADE): Card {
  const input = asMeasured(given);
  const judged = judge(input, trade);
  const { draft, window, set, values, margins, smallestMarginK, lamp } = judged;
  const { print, product } = input;
  const stages = withOwn(input, draft, set, stagesOf(input, draft, values));
  const heat = judged.bonds && heatOf(input, draft, window, set, judged.bonds);
  const reasons: Reason[] = [
    ...judged.reasons,
    ...temperatureReasons(input, draft, window, set.tempC, judged.keptTemp).map((say) => ({ field: 'temperature' as const, ...say })),
    ...(heat ? heatReasons(heat, draft.timeS) : []),
    ...pressureReasons(input, set).map((say) => ({ field: 'pressure' as const, ...say })),
    ...layerReasons(input, values.tack, values.press).map((say) => ({ field: 'layers' as const, ...say })),
    { field: 'art', source: 'operator', says: phrase`${print.artName}, ${sidedWords(print)}.` },
  ];
  return {
    schemaVersion: CARD_SCHEMA_VERSION,
    of: namesOf(input),
    set,
    window,
    delivered: bandOf(window, set.tempC),
    margins,
    smallestMarginK,
    lamp,
    ...(input.laid?.placement && {
      laid: {
        lay: layIn(input),
        loading: input.laid.loading,
        clearanceMm: clearanceOf(input.laid),
      },
    }),
    ...(heat && { heat }),
    stages,
    steps: stepsOf({ input, draft, set, values }, trade.steps),
    reasons: inOrder(reasons),
    care: product.care,
    minutesPerPiece: minutesOf(stages),
  };
}
