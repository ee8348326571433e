/** Resolve: from a print, a blank, a press and the house to the worked-out card. */

import { heatOf, heatReasons } from '../bond';
import { clearanceOf, type Draft, FIELDS, layersOf, layIn, prepared, pressOf, type Reason, type ResolveInput } from '../draft';
import { judge, LAW, type Lamp, type Law } from '../judgement';
import { describeMaterial, isSided, sidedWords } from '../materials';
import { bandOf } from '../press';
import { FAMILIES } from '../sheet';
import { phrase } from '../units';
import { withOwn } from './closings';
import { closingReasons, layerReasons, lowerMirrorReasons, pressureReasons, temperatureReasons } from './reasons';
import { CARD_SCHEMA_VERSION, type Card } from './schema';
import { minutesOf, stagesOf } from './stages';
import { STEPS, stepsOf } from './steps';
import type { StepRule } from './steps/step';

/** All that a card is worked out by: what a piece is judged by, and the steps of the hands. */
export interface Trade extends Law {
  steps: readonly StepRule[];
}
export const TRADE: Trade = { ...LAW, steps: STEPS };

/** What a queue needs of a card: its lamp, and the minutes of a piece. */
export function lampAndMinutes(original: ResolveInput): { lamp: Lamp; minutesPerPiece: number } {
  const input = prepared(original);
  const { lamp, draft, values } = judge(input);
  return { lamp, minutesPerPiece: minutesOf(stagesOf(input, draft, values)) };
}

const namesOf = (input: ResolveInput, draft: Draft): Card['of'] => {
  const { tempC, timeS } = pressOf(draft);
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
    familyId: product.familyId,
    familyName: FAMILIES[product.familyId].name,
    layers: layersOf(input).map((layer, i) => {
      const under = draft.under[i];
      return { ...layer, mirror: under?.mirror ?? draft.mirror, peel: under?.press.peel ?? draft.peel };
    }),
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
    sheet: { name: product.source.sheet, on: product.source.on, tempC: tempC.written, timeS: timeS.written },
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
 * @returns the card; its lamp weighs the chances of each side, and is Clear only where no rule was met
 */
export function resolve(original: ResolveInput, trade: Trade = TRADE): Card {
  const input = prepared(original);
  const judged = judge(input, trade);
  const { draft, window, set, values, margins, smallestMarginK, lamp, soundChance } = judged;
  const { print, product } = input;
  const of = namesOf(input, draft);
  const stages = withOwn(input, draft, set, stagesOf(input, draft, values));
  const heat = judged.bonds && heatOf(input, draft, window, set, judged.bonds);
  const reasons: Reason[] = [
    ...judged.reasons,
    ...temperatureReasons(input, draft, window, set.tempC, judged).map((say) => ({ field: 'temperature' as const, ...say })),
    ...(heat ? heatReasons(heat, draft.timeS) : []),
    ...pressureReasons(input, set).map((say) => ({ field: 'pressure' as const, ...say })),
    ...lowerMirrorReasons(draft),
    ...closingReasons(input, draft),
    ...layerReasons(input, draft, values.tack, values.press).map((say) => ({ field: 'layers' as const, ...say })),
    { field: 'art', source: 'operator', says: phrase`${print.artName}, ${sidedWords(print)}.` },
  ];
  return {
    schemaVersion: CARD_SCHEMA_VERSION,
    of,
    set,
    window,
    delivered: bandOf(window, set.tempC),
    margins,
    smallestMarginK,
    judgedBy: 'chance',
    soundChance,
    lamp,
    ...(input.pose.placement && {
      laid: {
        lay: layIn(input),
        loading: input.pose.loading,
        clearanceMm: clearanceOf(input.pose),
      },
    }),
    ...(heat && { heat }),
    stages,
    ...(new Set(stages.flatMap(({ setC }) => setC ?? [])).size > 1 && {
      turning: { heater: input.press.heater ?? null, roomC: input.house.room.tempC },
    }),
    steps: stepsOf({ input, draft, set, values, layers: of.layers }, trade.steps),
    reasons: inOrder(reasons),
    care: product.care,
    minutesPerPiece: minutesOf(stages),
  };
}
