/** Ways out of a Hold: each one change a shop can make, worked out as a card of its own and offered only if that card is not Hold. */
import { FAMILIES, type Product } from '../materials';
import type { Press } from '../press';
import { type Phrase, phrase, seconds } from '../units';
import type { ResolveInput } from './input';
import { resolve } from './resolve';
import type { Card, WayOut } from './schema';

/** What the shop has to choose from. */
export interface Shelf {
  products: readonly Product[];
  presses: readonly Press[];
}

const MOST_OFFERED = 6;

interface Candidate {
  input: ResolveInput;
  change: WayOut['change'];
  says: Phrase;
}

const withChoices = (input: ResolveInput, choices: { timeS?: number; cover?: boolean }): ResolveInput => ({
  ...input,
  print: { ...input.print, choices },
});

function candidates(input: ResolveInput, shelf: Shelf): Candidate[] {
  const { product, press } = input;
  const fresh = withChoices(input, {});
  const shortest = product.press.timeS.min;
  const same: Candidate[] = [
    { input: fresh, change: {}, says: phrase`Go back to the card’s own setting.` },
    {
      input: withChoices(input, { timeS: shortest }),
      change: { timeS: shortest },
      says: phrase`Press only ${seconds(shortest)}, the least the sheet allows.`,
    },
  ];
  if (product.cover === 'allowed') {
    same.push({ input: withChoices(input, { cover: true }), change: { cover: true }, says: phrase`Put a cover sheet over it.` });
    same.push({
      input: withChoices(input, { cover: true, timeS: shortest }),
      change: { cover: true, timeS: shortest },
      says: phrase`Put a cover sheet over it and press only ${seconds(shortest)}.`,
    });
  }
  const others = shelf.presses
    .filter((p) => p.id !== press.id)
    .map((p) => ({ input: { ...fresh, press: p }, change: { pressId: p.id }, says: phrase`Press it on ${p.name}.` }));
  const products = shelf.products.filter((p) => p.id !== product.id);
  const swapped = products.map((p) => ({
    input: { ...fresh, product: p },
    change: { productId: p.id },
    says: phrase`Use ${p.name} (${FAMILIES[p.familyId].name}).`,
  }));
  const both = products.flatMap((p) =>
    others.map(({ input: { press: q } }) => ({
      input: { ...fresh, product: p, press: q },
      change: { productId: p.id, pressId: q.id },
      says: phrase`Use ${p.name} on ${q.name}.`,
    })),
  );
  return [...same, ...others, ...swapped, ...both];
}

const QUALITY = { clear: 0, care: 1, hold: 2 } as const;
const changes = (way: WayOut) => Object.keys(way.change).length;

/** Better first: lamp, then minutes, then money, then fewer things changed, then margin. */
const better = (a: WayOut, b: WayOut): number =>
  QUALITY[a.lamp] - QUALITY[b.lamp] ||
  a.minutesPerPiece - b.minutesPerPiece ||
  a.costMinor - b.costMinor ||
  changes(a) - changes(b) ||
  b.smallestMarginK - a.smallestMarginK;

/**
 * Ways out for a card on Hold, best first, at most six; none for a card that is not.
 *
 * Each is resolved like any other card. Products of the same family stand only once per lamp, so that six offers are six ideas.
 */
export function waysOut(input: ResolveInput, card: Card, shelf: Shelf): WayOut[] {
  if (card.lamp.state !== 'hold') return [];
  const ways = candidates(input, shelf).flatMap(({ input: changed, change, says }): WayOut[] => {
    const { lamp, set, window, smallestMarginK, minutesPerPiece } = resolve(changed);
    if (lamp.state === 'hold') return [];
    return [
      {
        says,
        change,
        lamp: lamp.state,
        set: { tempC: set.tempC, unit: window.settable.unit, timeS: set.timeS },
        smallestMarginK,
        minutesPerPiece,
        costMinor: changed.product.pricePerSheetMinor,
      },
    ];
  });
  const chosen: WayOut[] = [];
  for (const way of ways.sort(better)) {
    const single = chosen.some((c) => c.change.productId === way.change.productId && way.change.productId !== undefined);
    if (!single) chosen.push(way);
  }
  return chosen.slice(0, MOST_OFFERED);
}

/** A print with a way out taken. A new product or press starts from that card's own settings. */
export function takeWayOut<T extends { pressId: string; print: ResolveInput['print'] }>(line: T, { change }: Pick<WayOut, 'change'>): T {
  const { timeS, cover } = change;
  return {
    ...line,
    pressId: change.pressId ?? line.pressId,
    print: {
      ...line.print,
      productId: change.productId ?? line.print.productId,
      choices: { ...(timeS === undefined ? {} : { timeS }), ...(cover === undefined ? {} : { cover }) },
    },
  };
}
