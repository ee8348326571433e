/** The chain of reasons behind every value of a card: the decisions that were taken, and how the temperature was found. */

import { type Draft, houseSettingWords, ownBand, ownSetC, type PreparedInput, pressOf, type Reason, testedWords } from '../draft';
import type { Judgement } from '../judgement';
import { BAND_KPA, daysBetween, pressOffset, setForMiddle } from '../press';
import { type Allowed, CHOSEN_STAGES, type ChosenStage, figurePhrase } from '../sheet';
import { contact, type Phrase, type PhrasePart, phrase, setTemp, temp, tempDiff } from '../units';
import { type Aim, aimOf, marginsAt, settable, smallestMargin, type Window } from '../window';
import type { Card } from './schema';
import { pressureWords } from './steps/words';

type Say = Pick<Reason, 'source' | 'says'>;

const WHOSE: Partial<Record<Window['bounds'][number]['side'], string>> = {
  mark: 'To stay unmarked',
  damage: 'To stay whole',
  'under the art': 'To stay whole under the art',
  inside: 'To stay whole inside',
  dye: 'To keep its dye',
  transfer: 'To keep the transfer whole',
  'transfer mark': 'To keep the transfer’s own face',
};

/** The sheet's temperature as it is written, and what of it is ours. */
function sheetWords({ name, source }: PreparedInput['product'], { written, ours, min, max }: Allowed): Phrase {
  const says = figurePhrase(
    written,
    (value) => phrase`${temp(value)}`,
    (by) => phrase`${tempDiff(by)}`,
  );
  const allowance = ours ? phrase` It gives one figure: ${temp(min)} to ${temp(max)} is our allowance round it.` : phrase``;
  return phrase`${name}, sheet of ${source.on}: ${says} at the platen’s surface.${allowance}`;
}

/** A setting this near to what the sheet aims at is it: the middle of a range may lie between two steps, K. */
const SAME_SETTING_K = 1.01;

/** Why the card begins at its set value. */
function pickWords({ press, print }: Pick<PreparedInput, 'press' | 'print'>, window: Window, aim: Aim | null, margin: PhrasePart): Phrase {
  const lowerByHand = print.choices.lowerC !== undefined;
  const shown = setTemp(window.bestSetC, press.set.unit);
  const least = phrase`of all it can be set to, ${shown} has the least risk, with ${margin} to the nearest limit.`;
  if (aim === null && lowerByHand)
    return phrase`Over the lower platen set by hand the upper one serves best at ${shown}, with ${margin} to the nearest limit.`;
  if (aim === null)
    return phrase`Of all pairs of platens that serve the glue, the one with the coolest face: the upper at ${shown}, with ${margin} to the nearest limit.`;
  const isTaken = Math.abs(window.bestSetC - settable(press, setForMiddle(window, aim.tempC))) < SAME_SETTING_K;
  const what = aim.named ? phrase`The sheet begins at ${temp(aim.tempC)}` : phrase`The middle of the sheet is ${temp(aim.tempC)}`;
  return isTaken
    ? phrase`${what}: on ${press.name} that is ${shown}, with ${margin} to the nearest limit.`
    : phrase`${what}, which risks too much here; ${least}`;
}

/** A measurement this old is told with its age, days. */
const OLD_DAYS = 60;

/** How long ago a press was measured, where that is long enough to have made it less sure. */
function agoWords({ press: { calibration }, today }: PreparedInput): string {
  if (!calibration || today === undefined) return '';
  const days = daysBetween(calibration.on, today);
  return days < OLD_DAYS ? '' : `: ${days} days and the closings since have made it less sure`;
}

/** How the set temperature was found, after what the decisions said of it. */
export function temperatureReasons(
  input: PreparedInput,
  draft: Draft,
  window: Window,
  setC: number,
  { houseTemp: houseSetting, testedTemp: tested }: Pick<Judgement, 'houseTemp' | 'testedTemp'>,
): Say[] {
  const { product, press, print, blank } = input;
  const { offsetK, spreadK, measured } = pressOffset(press);
  const best = smallestMargin(marginsAt(window, window.bestSetC));
  const aim = draft.split ? null : aimOf(pressOf(draft).tempC);
  const here = smallestMargin(marginsAt(window, setC));
  const says: Say[] = [
    { source: 'sheet', says: sheetWords(product, pressOf(draft).tempC) },
    ...window.bounds.flatMap((bound): Say[] => {
      const whose = WHOSE[bound.side];
      const eased = bound.eased ? '; a test piece held, so it does not steer the setting' : '';
      return whose ? [{ source: blank.tested ? 'blank' : 'fabric', says: phrase`${whose}: ${bound.says}${eased}.` }] : [];
    }),
    {
      source: 'press',
      says: measured
        ? phrase`${press.name} measured on ${press.calibration?.on ?? ''}: surface ${tempDiff(Math.abs(offsetK))} ${offsetK < 0 ? 'cooler' : 'hotter'} than it shows, give or take ${tempDiff(spreadK)} over the art${agoWords(input)}.`
        : phrase`${press.name} was never measured: taken as it shows, give or take ${tempDiff(spreadK)}.`,
    },
    { source: aim === null ? 'physics' : 'sheet', says: pickWords(input, window, aim, tempDiff(best)) },
  ];
  if (houseSetting)
    says.push({ source: 'house', says: phrase`${houseSettingWords(houseSetting, input)} The nearest limit is ${tempDiff(here)} away.` });
  if (tested) says.push({ source: 'blank', says: phrase`${testedWords(tested, input)} The nearest limit is ${tempDiff(here)} away.` });
  if (print.choices.setC !== undefined)
    says.push({
      source: 'operator',
      says: phrase`Set by hand to ${setTemp(setC, press.set.unit)}: the nearest limit is ${tempDiff(here)} away.`,
    });
  return says;
}

/** What the sheet says of pressure, our reading of it, and where that stands on the press's own gauge. */
export function pressureReasons({ press }: PreparedInput, set: Card['set']): Say[] {
  const { band, asStated } = set.pressure;
  return [
    {
      source: 'sheet',
      says: phrase`Sheet: “${asStated}”. Pressed ${band}: ${contact(BAND_KPA[band].low)} to ${contact(BAND_KPA[band].high)} of contact pressure.`,
    },
    { source: 'press', says: phrase`On ${press.name}: ${pressureWords(press.name, set.pressure)}.` },
  ];
}

/** How each lower layer's own art lies on its sheet. */
export const lowerMirrorReasons = ({ under }: Draft): Reason[] =>
  under.map(({ product, mirror }) => ({
    field: 'mirror',
    source: 'sheet',
    says: phrase`${product.name}, the layer under it, is laid ${product.facing}: its art is ${mirror === 'as read' ? 'not mirrored' : mirror === 'mirrored' ? 'mirrored' : `turned ${mirror}`}.`,
  }));

const CLOSING_FIELDS: Record<ChosenStage, Reason['field']> = {
  marry: 'layers',
  'pre-press': 'pre-press',
  tack: 'layers',
  finish: 'finish',
};

/** Whose word it is that another closing has a set value or a pressure of its own. */
export const closingReasons = (input: PreparedInput, draft: Draft): Reason[] =>
  CHOSEN_STAGES.flatMap((kind): Reason[] => {
    const own = ownSetC(input, kind);
    const isDone = {
      marry: draft.marry !== null,
      'pre-press': draft.prePressS > 0,
      tack: draft.under.length > 0,
      finish: draft.finish !== null,
    }[kind];
    const band = ownBand(input, kind);
    if (!isDone) return [];
    const field = CLOSING_FIELDS[kind];
    return [
      ...(own
        ? [
            {
              field,
              source: own.source,
              says: phrase`${own.whose}: the ${kind} at ${setTemp(settable(input.press, own.value), input.press.set.unit)}.`,
            },
          ]
        : []),
      ...(band ? [{ field, source: band.source, says: phrase`${band.whose}: the ${kind} pressed ${band.value}.` }] : []),
    ];
  });

/** A word on each layer's own setting where it differs from the press stage's. */
export function layerReasons({ press }: PreparedInput, { under }: Draft, tackC: readonly number[], pressC: number): Say[] {
  return under.flatMap(({ product, press: { tempC } }, i): Say[] => {
    const setC = tackC[i];
    if (setC === undefined || setC === pressC) return [];
    return [
      {
        source: 'sheet',
        says: phrase`${product.name} is tacked at ${setTemp(setC, press.set.unit)}: its sheet says ${figurePhrase(
          tempC.written,
          (value) => phrase`${temp(value)}`,
          (by) => phrase`${tempDiff(by)}`,
        )}.`,
      },
    ];
  });
}
