/** The chain of reasons behind every value of a card: sheet, fabric, press, house, physics, operator. */
import { COVER_SHEETS } from '../heat';
import { nominalOf } from '../materials';
import { BAND_KPA, pressOffset } from '../press';
import { contact, type Phrase, phrase, seconds, setTemp, temp, tempDiff } from '../units';
import type { ResolveInput } from './input';
import type { Card, Reason, Window } from './schema';
import type { Decisions } from './stages';
import { pressureWords } from './steps';
import { marginsAt, smallestMargin } from './window';

type Say = Pick<Reason, 'source' | 'says'>;
const SHEET = (says: Phrase): Say => ({ source: 'sheet', says });
const HOUSE = (says: Phrase): Say => ({ source: 'house', says });

function temperatureReasons({ product, press, print, blank }: ResolveInput, d: Decisions, window: Window): Say[] {
  const { min, max } = product.press.tempC;
  const { offsetK, spreadK, measured } = pressOffset(press);
  const bound = (side: string) => window.bounds.find((b) => b.side === side)?.says ?? phrase``;
  const best = smallestMargin(marginsAt(window, window.bestSetC));
  const here = smallestMargin(marginsAt(window, d.setC));
  const says: Say[] = [
    SHEET(phrase`${product.name}, sheet of ${product.source.on}: ${temp(min)} to ${temp(max)} at the platen’s surface.`),
    { source: blank.tested ? 'blank' : 'fabric', says: phrase`To stay unmarked: ${bound('mark')}.` },
    { source: blank.tested ? 'blank' : 'fabric', says: phrase`To stay whole: ${bound('damage')}.` },
  ];
  const dye = window.bounds.find((b) => b.side === 'dye');
  if (dye) says.push({ source: 'fabric', says: phrase`To keep its dye: ${dye.says}.` });
  says.push({
    source: 'press',
    says: measured
      ? phrase`${press.name} measured on ${press.calibration?.on ?? ''}: surface ${tempDiff(Math.abs(offsetK))} ${offsetK < 0 ? 'cooler' : 'hotter'} than it shows, give or take ${tempDiff(spreadK)} over the art.`
      : phrase`${press.name} was never measured: taken as it shows, give or take ${tempDiff(spreadK)}.`,
  });
  says.push({
    source: 'physics',
    says: phrase`Of all it can be set to, ${setTemp(window.bestSetC, press.set.unit)} keeps farthest from the nearest side: ${tempDiff(best)}.`,
  });
  if (print.choices.setC !== undefined)
    says.push({
      source: 'operator',
      says: phrase`Set by hand to ${setTemp(d.setC, press.set.unit)}: the nearest side is ${tempDiff(here)} away.`,
    });
  return says;
}

function timeReasons({ product, print }: ResolveInput): Say[] {
  const { min, max } = product.press.timeS;
  const nominal = phrase`Sheet: ${seconds(min)} to ${seconds(max)}, nominal ${seconds(nominalOf(product.press.timeS))}.`;
  const chosen = print.choices.timeS;
  return chosen === undefined
    ? [SHEET(nominal)]
    : [SHEET(nominal), { source: 'operator', says: phrase`Chosen for this line: ${seconds(chosen)}.` }];
}

function pressureReasons(input: ResolveInput, set: Card['set']): Say[] {
  const { band, asStated } = set.pressure;
  return [
    SHEET(
      phrase`Sheet: “${asStated}”. Read as ${band}: ${contact(BAND_KPA[band].low)} to ${contact(BAND_KPA[band].high)} of contact pressure.`,
    ),
    { source: 'press', says: phrase`On ${input.press.name}: ${pressureWords(input.press.name, set.pressure)}.` },
  ];
}

function coverReasons({ product, print, house }: ResolveInput, cover: Decisions['cover']): Say[] {
  const sheet = SHEET(phrase`Sheet: cover ${product.cover}.`);
  const thickness = cover ? phrase`${COVER_SHEETS[cover].name} over the print.` : phrase`No cover over the print.`;
  if (product.cover !== 'allowed') return [sheet, SHEET(phrase`The sheet beats the house rule. ${thickness}`)];
  if (print.choices.cover !== undefined) return [sheet, { source: 'operator', says: phrase`Chosen for this line. ${thickness}` }];
  return [sheet, HOUSE(phrase`House rule where the sheet allows it: ${house.rules.coverWhenAllowed}. ${thickness}`)];
}

function finishReasons({ product, house }: ResolveInput, finishS: number | null): Say[] {
  if (product.finish) return [SHEET(phrase`The sheet asks for a second press of ${seconds(finishS ?? 0)}.`)];
  return [HOUSE(phrase`House rule for a second press: ${house.rules.secondPress}.`)];
}

/** Every reason of a card, grouped by the value it is about, in the order in which each bears on it. */
export function reasonsOf(input: ResolveInput, d: Decisions, window: Window, set: Card['set']): Reason[] {
  const { product, house, print } = input;
  const mirror =
    set.mirror === 'by the supplier'
      ? phrase`Bought ready: the supplier has mirrored it as it must lie.`
      : phrase`Laid face ${product.faceDown ? 'down' : 'up'} and looked at from the side it was pressed on: ${set.mirror}.`;
  const chains: [Reason['field'], Say[]][] = [
    ['temperature', temperatureReasons(input, d, window)],
    ['time', timeReasons(input)],
    ['pressure', pressureReasons(input, set)],
    ['peel', [SHEET(phrase`Sheet: peel ${product.peel}.`)]],
    ['cover', coverReasons(input, d.cover)],
    ['base', [SHEET(product.base === 'firm' ? phrase`Sheet: firm base only.` : phrase`Sheet: any base.`)]],
    ['mirror', [SHEET(mirror)]],
    ['pre-press', [HOUSE(phrase`House rule: ${house.rules.prePress}, ${seconds(d.prePressS)}.`)]],
    ['finish', finishReasons(input, d.finishS)],
    ['art', [{ source: 'operator', says: phrase`${print.artName}, ${print.position}.` }]],
  ];
  return chains.flatMap(([field, says]) => says.map((say) => ({ field, ...say })));
}
