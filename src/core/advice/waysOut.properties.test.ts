/** What is true of ways out of a Hold, and of which transfer for this, in any shop. */

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../../test/runs';
import { inputs, presses, products } from '../../../test/shops';
import { resolve } from '../card';
import { prepared, type ResolveInput } from '../draft';
import { judge } from '../judgement';
import { DUTIES } from '../materials';
import { topLayer } from '../order';
import { ART_KINDS } from '../sheet';
import type { LampState } from '../window';
import { inputsAfter, lineAfter, type Stock } from './change';
import type { Change } from './wayOut';
import { waysOut } from './waysOut';
import { whichTransfer } from './whichTransfer';

const RUNS = runs(2000);
const RANK: Record<LampState, number> = { clear: 0, care: 1, hold: 2 };
const shelves = fc.record({
  products: fc.uniqueArray(products, { minLength: 0, maxLength: 4, selector: (p) => p.id }),
  presses: fc.uniqueArray(presses, { minLength: 1, maxLength: 3, selector: (p) => p.id }),
});

describe('over random cases and shelves', () => {
  it('every Hold names a reason; every way out is a card of its own that is not Hold; the best stand first', () => {
    fc.assert(
      fc.property(inputs, shelves, (input, shelf) => {
        const card = resolve(input);
        const ways = waysOut(input, card, shelf);
        if (card.lamp.state !== 'hold') {
          // what lies better is offered for a Care, and never the same again
          expect(ways.length === 0 || (card.lamp.state === 'care' && ways.every(({ change }) => change.lay))).toBe(true);
          return;
        }
        expect(card.lamp.findings[0]?.level).toBe('hold');
        expect(card.lamp.findings[0]?.says.length).toBeGreaterThan(0);
        for (const way of ways) {
          const lamps = taken(input, shelf, way.change).map((input) => RANK[judge(prepared(input)).lamp.state]);
          expect(Math.max(...lamps)).toBe(RANK[way.lamp]);
        }
        const ranks = ways.map(
          (way) =>
            [
              16 * (way.unlike < 2 ? 0 : way.unlike) + 4 * RANK[way.lamp] + (way.change.testPiece ? 2 : 0) + Math.min(1, way.unlike),
              way.minutesPerPiece,
            ] as const,
        );
        for (let i = 1; i < ranks.length; i++) {
          const [a, b] = [ranks[i - 1], ranks[i]];
          expect(a && b && (a[0] < b[0] || (a[0] === b[0] && a[1] <= b[1] + 1e-9))).toBe(true);
        }
      }),
      RUNS,
    );
  });

  it('which transfer: never a Hold above what is not, every product of the shelf once, every lamp as its card has it', () => {
    const wishes = fc.record({
      artKind: fc.constantFrom(...ART_KINDS),
      duty: fc.constantFrom(...DUTIES),
      shade: fc.constantFrom('light' as const, 'dark' as const),
      count: fc.integer({ min: 1, max: 60 }),
    });
    fc.assert(
      fc.property(inputs, shelves, wishes, ({ blank, fabric, house, aids }, shelf, wish) => {
        const ranked = whichTransfer({ ...wish, blank, fabric, size: 'M', widthMm: 90, heightMm: 90 }, { ...shelf, house, aids });
        const ranks = ranked.map((suited) => RANK[suited.lamp]);
        expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
        expect(
          ranked
            .filter((suited) => suited.onShelf)
            .map((suited) => suited.productId)
            .sort(),
        ).toEqual(shelf.products.map((product) => product.id).sort());
        for (const suited of ranked) expect(suited.lamp === 'clear' ? suited.cautions : suited.reasons.length).toBe(suited.cautions);
      }),
      RUNS,
    );
  });
});

/** The input with a way out taken, the way the order page takes it: through the line. */
function taken(input: ResolveInput, shelf: Stock, change: Change): ResolveInput[] {
  const line = { id: 'l', blankId: 'b', size: 'M', count: 1, prints: [input.print], roster: [], perClosing: input.item.perClosing };
  const after = lineAfter(line, input.print.key, change);
  const changed = inputsAfter(input, change, shelf);
  expect(changed.length, 'a way out names something that is not on the shelf').toBeGreaterThan(0);
  expect(after.prints).toEqual(changed.map(({ print }) => print));
  return changed.map((input, i) => {
    const print = after.prints[i] ?? input.print;
    expect([topLayer(print).productId, print.pressId]).toEqual([input.product.id, input.press.id]);
    return { ...input, print, item: { ...input.item, perClosing: after.perClosing } };
  });
}
