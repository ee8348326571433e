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
const OF_THE_SETTING = ['setC', 'timeS', 'stageS', 'peel', 'cover', 'alternative', 'heat'] as const;
/** What was chosen by the sheet of a transfer, and what by the press: it goes with them. */
const OF_THE_SHEET = ['setC', 'timeS', 'stageS', 'peel', 'alternative'] as const;
const OF_THE_PRESS = ['setC', 'heat', 'platenId'] as const;

/** Choices of a print after a change: what was chosen stays, but for what belonged to the transfer or press that is given up. */
function choicesAfter(choices: Choices, change: Change): Choices {
  const given = [
    ...(change.ownSetting ? OF_THE_SETTING : []),
    ...(change.productId === undefined ? [] : OF_THE_SHEET),
    ...(change.pressId === undefined ? [] : OF_THE_PRESS),
  ];
  const stay = Object.fromEntries(Object.entries(choices).filter(([key]) => !given.some((one) => one === key))) as Choices;
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

function printAfter(print: Print, change: Change): Print {
  const { productId, pressId } = change;
  const top = topLayer(print);
  const layers =
    productId === undefined
      ? print.layers
      : print.layers.map((layer) => (layer.key === top.key ? { key: layer.key, productId, over: layer.over } : layer));
  // a lay belongs to its platen and its place: another of either is laid anew
  const anew = pressId !== undefined || change.platenId !== undefined || change.moved !== undefined;
  const { lay, ...free } = print;
  const kept = change.lay ?? (anew ? undefined : lay);
  return {
    ...free,
    layers,
    pressId: pressId ?? print.pressId,
    ...(kept && { lay: kept }),
    ...(change.moved && { moved: change.moved }),
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

/** The input with a change made; null when it names something that is not there. */
export function inputAfter(input: ResolveInput, change: Change, stock: Stock): ResolveInput | null {
  const product = change.productId === undefined ? input.product : stock.products.find((one) => one.id === change.productId);
  const press = change.pressId === undefined ? input.press : stock.presses.find((one) => one.id === change.pressId);
  if (!product || !press) return null;
  return {
    ...input,
    product,
    press,
    print: printAfter(input.print, change),
    item: change.perClosing === undefined ? input.item : { ...input.item, perClosing: change.perClosing, together: [] },
    blank: change.testPiece ? blankAfterTest(input.blank, input.fabric, change.testPiece, SUPPOSED.on, SUPPOSED.how) : input.blank,
  };
}

/** A line with a way out taken on one of its prints. */
export function lineAfter(line: Line, printKey: string, change: Change): Line {
  const { perClosing } = change;
  const { sharesWith: _, ...alone } = line;
  return {
    ...(perClosing === undefined ? line : { ...alone, perClosing }),
    prints: line.prints.map((print) => (print.key === printKey ? printAfter(print, change) : print)),
  };
}
