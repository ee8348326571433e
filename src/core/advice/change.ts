/** A change a way out makes: to the input it is worked out from, and to the line it is taken on. */

import type { ResolveInput } from '../draft';
import { type Blank, blendLimits, type Fabric } from '../materials';
import { type Choices, type Line, type Print, topLayer } from '../order';
import type { Press } from '../press';
import type { Product } from '../sheet';
import type { Change } from './wayOut';

/** What the shop has to choose from. */
export interface Stock {
  products: readonly Product[];
  presses: readonly Press[];
}

/** What was chosen of a setting: what the card would find by itself. */
const OF_THE_SETTING = [
  'setC',
  'lowerC',
  'timeS',
  'stageS',
  'stageC',
  'band',
  'stageBand',
  'peel',
  'cover',
  'alternative',
  'heat',
] as const;
/** What was chosen by the sheet of a transfer, and what by the press: it goes with them. */
const OF_THE_SHEET = ['setC', 'lowerC', 'timeS', 'stageS', 'stageC', 'band', 'stageBand', 'peel', 'alternative'] as const;
const OF_THE_PRESS = ['setC', 'lowerC', 'stageC', 'heat', 'platenId'] as const;

/** Choices of a print after a change: what was chosen stays, but for what belonged to the transfer or press that is given up. */
function choicesAfter(choices: Choices, change: Change): Choices {
  const dropped = [
    ...(change.ownSetting ? OF_THE_SETTING : []),
    ...(change.productId === undefined ? [] : OF_THE_SHEET),
    ...(change.pressId === undefined ? [] : OF_THE_PRESS),
  ];
  const stay = Object.fromEntries(Object.entries(choices).filter(([key]) => !dropped.some((word) => word === key))) as Choices;
  const { timeS, cover, alternative, heat, base, platenId } = change;
  return {
    ...stay,
    ...(timeS !== undefined && { timeS }),
    ...(cover !== undefined && { cover }),
    ...(alternative !== undefined && { alternative }),
    ...(heat && { heat }),
    ...(base && { base }),
    ...(platenId && { platenId }),
  };
}

/**
 * A print on another platen or over another pad, null: the usual one.
 * A lay belongs to what it was laid on, so it is worked out anew.
 */
export function placedOn(print: Print, change: { platenId?: string | null; base?: Choices['base'] | null }): Print {
  const { lay: _, ...free } = print;
  const { platenId = null, base = null, ...others } = { ...print.choices, ...change };
  return { ...free, choices: { ...others, ...(platenId && { platenId }), ...(base && { base }) } };
}

/** A name of a print's other half that no print of its line has. */
function keyOfHalf(key: string, taken: readonly string[]): string {
  const stem = key.slice(0, 28);
  for (let n = 1; ; n++) {
    const free = n === 1 ? `${stem}-right` : `${stem}-right${n}`;
    if (!taken.includes(free)) return free;
  }
}

/** Both halves of a print that is cut down its middle. The first keeps its key. @param taken keys of the line's prints */
function halvesOf(print: Print, { apartMm }: NonNullable<Change['halves']>, taken: readonly string[]): Print[] {
  const { lay: _, ...free } = print;
  const widthMm = print.widthMm / 2;
  const from = print.moved ?? { xMm: 0, yMm: 0 };
  return ([-1, 1] as const).map((side) => ({
    ...free,
    key: side < 0 ? print.key : keyOfHalf(print.key, taken),
    artName: `${print.artName.slice(0, 60)}, ${side < 0 ? 'left' : 'right'} half`,
    widthMm,
    moved: { xMm: from.xMm + side * (widthMm / 2 + apartMm), yMm: from.yMm },
  }));
}

/** The prints that one becomes. */
const printsAfter = (print: Print, change: Change, taken: readonly string[] = []): Print[] =>
  change.halves ? halvesOf(print, change.halves, taken) : [printAfter(print, change)];

function printAfter(print: Print, change: Change): Print {
  const { productId, pressId } = change;
  const top = topLayer(print);
  const layers =
    productId === undefined
      ? print.layers
      : print.layers.map((layer) => (layer.key === top.key ? { key: layer.key, productId, over: layer.over } : layer));
  // a lay belongs to its platen and its place: another of either is laid anew
  const anew = pressId !== undefined || change.platenId !== undefined || change.moved !== undefined || change.size !== undefined;
  const { lay, ...free } = print;
  const nextLay = change.lay ?? (anew ? undefined : lay);
  return {
    ...free,
    layers,
    pressId: pressId ?? print.pressId,
    ...(nextLay && { lay: nextLay }),
    ...(change.moved && { moved: change.moved }),
    ...change.size,
    choices: choicesAfter(print.choices, change),
  };
}

/** The blank as it would stand once a test piece has held. Its damage limit stays the fibre's: a test never lifts that. */
export function blankAfterTest(blank: Blank, fabric: Fabric, test: NonNullable<Change['testPiece']>, on: string, how: string): Blank {
  const tested =
    test.markC === null
      ? blank.tested
      : { markC: test.markC, damageC: blank.tested?.damageC ?? blendLimits(fabric.composition).damage?.limitC ?? test.markC, on, how };
  return {
    ...blank,
    ...(tested && { tested }),
    testPieces: [...blank.testPieces.filter((piece) => piece.productId !== test.productId), { productId: test.productId, on, how }],
  };
}

/** The day a supposed test is dated; it never reaches a record. */
const SUPPOSED = { on: '2000-01-01', how: 'supposed' };

/** The input with a change made, one a print it becomes; none when it names something that is not there. */
export function inputsAfter(input: ResolveInput, change: Change, stock: Stock): ResolveInput[] {
  const product = change.productId === undefined ? input.product : stock.products.find((product) => product.id === change.productId);
  const press = change.pressId === undefined ? input.press : stock.presses.find((press) => press.id === change.pressId);
  if (!product || !press) return [];
  return printsAfter(input.print, change).map((print) => ({
    ...input,
    product,
    press,
    print,
    item: change.perClosing === undefined ? input.item : { ...input.item, perClosing: change.perClosing, together: [] },
    blank: change.testPiece ? blankAfterTest(input.blank, input.fabric, change.testPiece, SUPPOSED.on, SUPPOSED.how) : input.blank,
  }));
}

/** A line with a way out taken on one of its prints. */
export function lineAfter(line: Line, printKey: string, change: Change): Line {
  const { perClosing } = change;
  const { sharesWith: _, ...alone } = line;
  return {
    ...(perClosing === undefined ? line : { ...alone, perClosing }),
    prints: line.prints.flatMap((print) =>
      print.key === printKey
        ? printsAfter(
            print,
            change,
            line.prints.map(({ key }) => key),
          )
        : [print],
    ),
  };
}
