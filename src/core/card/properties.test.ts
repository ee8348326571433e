import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { inputs, presses, products } from '../../../test/shops';
import { blendLimits, FIBRE_IDS, FIBRES } from '../materials';
import { CardSchema, type LampState, lampAt, marginsAt, resolve, smallestMargin, waysOut } from './index';
import type { ResolveInput } from './input';
import { takeWayOut } from './waysOut';

const RUNS = { numRuns: 2000 };
const RANK: Record<LampState, number> = { clear: 0, care: 1, hold: 2 };
const shelves = fc.record({
  products: fc.uniqueArray(products, { minLength: 0, maxLength: 4, selector: (p) => p.id }),
  presses: fc.uniqueArray(presses, { minLength: 1, maxLength: 3, selector: (p) => p.id }),
});

describe('over random fabrics, products and presses', () => {
  it('the random shop meets every lamp often enough to mean something', () => {
    const seen = { clear: 0, care: 0, hold: 0 };
    for (const input of fc.sample(inputs, 1000)) seen[resolve(input).lamp.state]++;
    expect(Math.min(seen.clear, seen.care, seen.hold)).toBeGreaterThan(50);
  });

  it('a card is a card: its own schema takes it unchanged', () => {
    fc.assert(
      fc.property(inputs, (input) => {
        const card = resolve(input);
        expect(CardSchema.parse(JSON.parse(JSON.stringify(card)))).toEqual(card);
      }),
      { numRuns: 300 },
    );
  });

  it('a fibre with lower limits never raises the set temperature', () => {
    fc.assert(
      fc.property(inputs, fc.constantFrom(...FIBRE_IDS), (input, fibre) => {
        const before = blendLimits(input.fabric.composition);
        fc.pre(FIBRES[fibre].markC <= before.mark.limitC && FIBRES[fibre].damageC <= before.damage.limitC);
        const blended = input.fabric.composition
          .filter((part) => part.fibre !== fibre)
          .map((part) => ({ ...part, percent: part.percent * 0.8 }));
        const share = 100 - blended.reduce((sum, part) => sum + part.percent, 0);
        const weaker = { ...input, fabric: { ...input.fabric, composition: [...blended, { fibre, percent: share }] } };
        expect(resolve(weaker).set.tempC).toBeLessThanOrEqual(resolve(input).set.tempC + 1e-9);
      }),
      RUNS,
    );
  });

  it('a wider spread never betters the lamp', () => {
    fc.assert(
      fc.property(inputs, fc.double({ min: 0, max: 10, noNaN: true }), (input, more) => {
        const { calibration } = input.press;
        fc.pre(calibration !== null);
        if (!calibration) return;
        const wider = { ...input, press: { ...input.press, calibration: { ...calibration, spreadK: calibration.spreadK + more } } };
        expect(RANK[resolve(wider).lamp.state]).toBeGreaterThanOrEqual(RANK[resolve(input).lamp.state]);
      }),
      RUNS,
    );
  });

  it('whenever the lamp is Clear the whole delivered band lies inside sheet and limits by the stated margin', () => {
    fc.assert(
      fc.property(inputs, (input) => {
        const { lamp, delivered, window, smallestMarginK } = resolve(input);
        fc.pre(lamp.state === 'clear');
        const { min, max } = input.product.press.tempC;
        expect(smallestMarginK).toBeGreaterThanOrEqual(2);
        expect(delivered.lowC - min).toBeGreaterThanOrEqual(smallestMarginK - 1e-9);
        expect(max - delivered.highC).toBeGreaterThanOrEqual(smallestMarginK - 1e-9);
        for (const bound of window.bounds.filter((b) => b.keep === 'below')) {
          expect(bound.surfaceC - delivered.highC).toBeGreaterThanOrEqual(bound.breach === 'hold' ? smallestMarginK - 1e-9 : 0);
        }
      }),
      RUNS,
    );
  });

  it('moving the handle off the chosen value never raises the smaller margin, and the lamp follows the handle', () => {
    fc.assert(
      fc.property(inputs, fc.integer({ min: -200, max: 200 }), (input, steps) => {
        const card = resolve(input);
        const { settable, bestSetC } = card.window;
        const moved = bestSetC + (steps * settable.step * (settable.unit === 'F' ? 5 : 9)) / 9;
        fc.pre(moved >= settable.minC && moved <= settable.maxC);
        expect(smallestMargin(marginsAt(card.window, moved))).toBeLessThanOrEqual(card.smallestMarginK + 1e-9);
        const byHand = resolve({ ...input, print: { ...input.print, choices: { ...input.print.choices, setC: moved } } });
        expect(byHand.set.tempC).toBeCloseTo(moved, 6);
        expect(lampAt(card, byHand.set.tempC).state).toBe(byHand.lamp.state);
      }),
      RUNS,
    );
  });

  it('every Hold names a reason; every way out is a card of its own that is not Hold', () => {
    fc.assert(
      fc.property(inputs, shelves, (input, shelf) => {
        const card = resolve(input);
        const ways = waysOut(input, card, shelf);
        if (card.lamp.state !== 'hold') {
          expect(ways).toEqual([]);
          return;
        }
        expect(card.lamp.findings[0]?.level).toBe('hold');
        expect(card.lamp.findings[0]?.says.length).toBeGreaterThan(0);
        for (const way of ways) expect(resolve(taken(input, shelf, way.change)).lamp.state).toBe(way.lamp);
      }),
      RUNS,
    );
  });

  it('ways out stand best first', () => {
    fc.assert(
      fc.property(inputs, shelves, (input, shelf) => {
        const ways = waysOut(input, resolve(input), shelf);
        const ranks = ways.map((way) => [RANK[way.lamp], way.minutesPerPiece] as const);
        for (let i = 1; i < ranks.length; i++) {
          const [a, b] = [ranks[i - 1], ranks[i]];
          expect(a && b && (a[0] < b[0] || (a[0] === b[0] && a[1] <= b[1] + 1e-9))).toBe(true);
        }
      }),
      { numRuns: 500 },
    );
  });
});

/** The input with a way out taken, the way the order page takes it: through the line. */
function taken(
  input: ResolveInput,
  shelf: { products: ResolveInput['product'][]; presses: ResolveInput['press'][] },
  change: Parameters<typeof takeWayOut>[1]['change'],
): ResolveInput {
  const line = takeWayOut({ pressId: input.press.id, print: { ...input.print, productId: input.product.id } }, { change });
  const product = change.productId ? shelf.products.find((p) => p.id === change.productId) : input.product;
  const press = change.pressId ? shelf.presses.find((p) => p.id === change.pressId) : input.press;
  if (!product || !press) throw new Error('a way out names something that is not on the shelf');
  return { ...input, product, press, print: line.print };
}
