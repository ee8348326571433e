/** Tested settings: which of them a card starts from, moved to the press in hand, and what speaks against keeping one. */
import type { Blank, Fabric } from '../materials';
import { bandOf, type Press, setForMiddle, surfaceOf } from '../press';
import { type Product, pressStage, type Tested } from '../sheet';
import { type Phrase, phrase, seconds, setTemp, snap, temp } from '../units';
import type { PreparedInput, ResolveInput } from './input';

/** Tests this near to each other speak of the same setting, K. */
const SAME_SETTING_K = 3;
/** The art an offset is read over where a test does not say what was pressed, mm. */
const USUAL_ART = { widthMm: 100, heightMm: 100 };

/** A test a card starts from. */
export interface TestedStart {
  tested: Tested;
  /** Its set value on the press in hand, °C. */
  setC: number;
  /** The press it was made on, where that is another. */
  otherPress: string | null;
}

type Use = Pick<ResolveInput, 'print' | 'blank' | 'fabric' | 'product' | 'press' | 'tested' | 'presses'>;

const isOn = ({ on }: Tested, { blank, fabric }: Pick<Use, 'blank' | 'fabric'>): boolean =>
  on.kind === 'blank' ? on.id === blank.id : on.id === fabric.id;

/** Whether a later test of the same setting went wrong. */
const isOverruled = (good: Tested, all: readonly Tested[]): boolean =>
  all.some(
    (other) =>
      other.result !== 'good' &&
      other.testedOn >= good.testedOn &&
      other.pressId === good.pressId &&
      other.on.kind === good.on.kind &&
      other.on.id === good.on.id &&
      Math.abs(other.setC - good.setC) <= SAME_SETTING_K &&
      other.timeS === good.timeS,
  );

/** Tests of this transfer on this material that still count. */
const testsOf = (input: Use): Tested[] =>
  (input.tested ?? []).filter((tested) => tested.productId === input.product.id && !tested.retiredOn && isOn(tested, input));

/**
 * The tested setting nearest to a piece: on its press before another, on its blank before another of its fabric, the later before
 * the earlier. On another press it is moved so that the surface under the art comes to the same. Null: there is none, or the heat is
 * split: a test tells of one platen.
 */
export function testedStart(input: Use & Partial<Pick<PreparedInput, 'surface'>>): TestedStart | null {
  if (input.print.choices.heat === 'split') return null;
  const own = testsOf(input);
  const far = (tested: Tested) => 2 * Number(tested.pressId !== input.press.id) + Number(tested.on.kind === 'fabric');
  const good = own
    .filter((tested) => tested.result === 'good' && !isOverruled(tested, own))
    .sort((a, b) => far(a) - far(b) || b.testedOn.localeCompare(a.testedOn) || a.id.localeCompare(b.id));
  for (const tested of good) {
    if (tested.pressId === input.press.id) return { tested, setC: tested.setC, otherPress: null };
    const other = input.presses?.find(({ id }) => id === tested.pressId);
    if (!other) continue;
    const { unit, step, minC, maxC } = input.press.set;
    const surfaceC = bandOf(surfaceOf(other, input.print), tested.setC).midC;
    const setC = setForMiddle(input.surface ?? surfaceOf(input.press, input.print), surfaceC);
    return { tested, setC: snap(Math.min(maxC, Math.max(minC, setC)), unit, step), otherPress: other.name };
  }
  return null;
}

/** Whether a good test on this very blank says that it bears the transfer. */
export const testedOnBlank = (input: Use): boolean => {
  const own = testsOf(input);
  return own.some((tested) => tested.on.kind === 'blank' && tested.result === 'good' && !isOverruled(tested, own));
};

/** What was tested where, and how. */
export function testedWords(
  { tested, setC, otherPress }: TestedStart,
  { press, blank, fabric }: Pick<Use, 'press' | 'blank' | 'fabric'>,
): Phrase {
  const material = tested.on.kind === 'blank' ? blank.name : fabric.name;
  const what = phrase`Tested good on ${material} on ${tested.testedOn} by ${tested.by}`;
  return otherPress === null
    ? phrase`${what}: ${setTemp(tested.setC, press.set.unit)}, ${seconds(tested.timeS)}, peeled ${tested.peel}.`
    : phrase`${what}, on ${otherPress}: ${setTemp(tested.setC, press.set.unit)}, ${seconds(tested.timeS)}; for the same surface ${press.name} is set to ${setTemp(setC, press.set.unit)}.`;
}

/** Said where a card would be on Hold with it. */
export const testedLeftOut = (start: TestedStart, input: Use): Phrase =>
  phrase`${testedWords(start, input)} It is left out: this piece would be on Hold with it.`;

/** What the shop holds that a test may name. */
export interface TestedStock {
  products: readonly Product[];
  presses: readonly Press[];
  blanks: readonly Blank[];
  fabrics: readonly Fabric[];
}

export interface TestedFault {
  field: 'productId' | 'pressId' | 'on.id' | 'setC' | 'timeS';
  says: Phrase;
}

/** What speaks against keeping a test: it names what is not there or retired, or lies outside its sheet without that being said. */
export function testedFaults(tested: Tested, stock: TestedStock): TestedFault[] {
  const faults: TestedFault[] = [];
  const product = stock.products.find(({ id }) => id === tested.productId);
  const press = stock.presses.find(({ id }) => id === tested.pressId);
  const materials: readonly { id: string; name: string; retiredOn?: string | undefined }[] =
    stock[tested.on.kind === 'blank' ? 'blanks' : 'fabrics'];
  const material = materials.find(({ id }) => id === tested.on.id);
  const named = [
    ['productId', 'transfer', tested.productId, product],
    ['pressId', 'press', tested.pressId, press],
    ['on.id', tested.on.kind, tested.on.id, material],
  ] as const;
  for (const [field, what, id, thing] of named) {
    if (!thing) faults.push({ field, says: phrase`There is no ${what} with the id “${id}”.` });
    else if (thing.retiredOn && !tested.retiredOn)
      faults.push({
        field,
        says: phrase`${thing.name} was retired on ${thing.retiredOn}. Put it back in use first, or retire this test too.`,
      });
  }
  if (!product || !press || tested.offSheet) return faults;
  const { tempC, timeS } = pressStage(product);
  const { midC } = bandOf(surfaceOf(press, USUAL_ART), tested.setC);
  const ask = 'If it was pressed so, say that it lies outside the sheet.';
  if (midC < tempC.min || midC > tempC.max)
    faults.push({
      field: 'setC',
      says: phrase`${press.name} set to ${setTemp(tested.setC, press.set.unit)} has a surface at ${temp(midC)}; the sheet of ${product.name} has ${temp(tempC.min)} to ${temp(tempC.max)}. ${ask}`,
    });
  if (tested.timeS < timeS.min || tested.timeS > timeS.max)
    faults.push({ field: 'timeS', says: phrase`The sheet of ${product.name} has ${seconds(timeS.min)} to ${seconds(timeS.max)}. ${ask}` });
  return faults;
}
