/** The chain of reasons behind every value of a card: the decisions that were taken, and how the temperature was found. */

import { type Draft, keptWords, type PreparedInput, pressOf, type Reason } from '../draft';
import type { HouseSetting } from '../house';
import { marginsAt, smallestMargin, type Window } from '../judgement';
import { BAND_KPA, pressOffset } from '../press';
import { pressStage } from '../sheet';
import { contact, phrase, setTemp, temp, tempDiff } from '../units';
import type { Card } from './schema';
import { pressureWords } from './steps/words';

type Say = Pick<Reason, 'source' | 'says'>;

const WHOSE: Partial<Record<Window['bounds'][number]['side'], string>> = {
  mark: 'To stay unmarked',
  damage: 'To stay whole',
  'under the art': 'To stay whole under the art',
  inside: 'To stay whole inside',
  dye: 'To keep its dye',
};

/** How the set temperature was found, after what the decisions said of it. */
export function temperatureReasons(input: PreparedInput, draft: Draft, window: Window, setC: number, kept: HouseSetting | null): Say[] {
  const { product, press, print, blank } = input;
  const { min, max } = pressOf(draft).tempC;
  const { offsetK, spreadK, measured } = pressOffset(press);
  const best = smallestMargin(marginsAt(window, window.bestSetC));
  const here = smallestMargin(marginsAt(window, setC));
  const says: Say[] = [
    {
      source: 'sheet',
      says: phrase`${product.name}, sheet of ${product.source.on}: ${temp(min)} to ${temp(max)} at the platen’s surface.`,
    },
    ...window.bounds.flatMap((bound): Say[] => {
      const whose = WHOSE[bound.side];
      return whose ? [{ source: blank.tested ? 'blank' : 'fabric', says: phrase`${whose}: ${bound.says}.` }] : [];
    }),
    {
      source: 'press',
      says: measured
        ? phrase`${press.name} measured on ${press.calibration?.on ?? ''}: surface ${tempDiff(Math.abs(offsetK))} ${offsetK < 0 ? 'cooler' : 'hotter'} than it shows, give or take ${tempDiff(spreadK)} over the art.`
        : phrase`${press.name} was never measured: taken as it shows, give or take ${tempDiff(spreadK)}.`,
    },
    {
      source: 'physics',
      says: phrase`Of all it can be set to, ${setTemp(window.bestSetC, press.set.unit)} keeps farthest from the nearest side: ${tempDiff(best)}.`,
    },
  ];
  if (kept) says.push({ source: 'house', says: phrase`${keptWords(kept, input)} The nearest side is ${tempDiff(here)} away.` });
  if (print.choices.setC !== undefined)
    says.push({
      source: 'operator',
      says: phrase`Set by hand to ${setTemp(setC, press.set.unit)}: the nearest side is ${tempDiff(here)} away.`,
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

/** A word on each layer's own setting where it differs from the press stage's. */
export function layerReasons({ under, press }: PreparedInput, tackC: readonly number[], pressC: number): Say[] {
  return under.flatMap((product, i): Say[] => {
    const setC = tackC[i];
    if (setC === undefined || setC === pressC) return [];
    const { min, max } = pressStage(product).tempC;
    return [
      {
        source: 'sheet',
        says: phrase`${product.name} is tacked at ${setTemp(setC, press.set.unit)}: its sheet says ${temp(min)} to ${temp(max)}.`,
      },
    ];
  });
}
