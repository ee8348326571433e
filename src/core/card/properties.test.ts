import fc from 'fast-check';
import { describe, expect, it, vi } from 'vitest';
import { inputs, plainCloth, presses, products } from '../../../test/shops';
import { ART_KINDS, blendLimits, DUTIES, FIBRE_IDS, FIBRES } from '../materials';
import { bandOf } from '../press';
import {
  CardSchema,
  type Change,
  inputAfter,
  judge,
  type LampState,
  lampAt,
  lineAfter,
  marginsAt,
  QUICK,
  type ResolveInput,
  resolve,
  type Stock,
  smallestMargin,
  topLayer,
  waysOut,
  whichTransfer,
} from './index';

const RUNS = { numRuns: 2000 };
const RANK: Record<LampState, number> = { clear: 0, care: 1, hold: 2 };
const shelves = fc.record({
  products: fc.uniqueArray(products, { minLength: 0, maxLength: 4, selector: (p) => p.id }),
  presses: fc.uniqueArray(presses, { minLength: 1, maxLength: 3, selector: (p) => p.id }),
});

// two thousand random shops take longer than a unit test does
vi.setConfig({ testTimeout: 300_000 });

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
      RUNS,
    );
  });

  it('a fibre with lower limits never raises the set temperature', () => {
    fc.assert(
      fc.property(plainCloth, fc.constantFrom(...FIBRE_IDS), (input, fibre) => {
        const { mark, damage } = blendLimits(input.fabric.composition);
        // wool is dried for longer, which is a rule of its own
        fc.pre(
          mark !== null &&
            damage !== null &&
            fibre !== 'wool' &&
            FIBRES[fibre].markC <= mark.limitC &&
            FIBRES[fibre].damageC <= damage.limitC,
        );
        // a fibre that the mixing thins to under 5 % no longer counts, and its limit goes with it: that is another rule
        fc.pre(input.fabric.composition.every(({ percent }) => percent < 5 || percent * 0.8 >= 5));
        const house = { ...input.house, rules: { ...input.house.rules, prePress: 'short' as const } };
        const blended = input.fabric.composition
          .filter((part) => part.fibre !== fibre)
          .map((part) => ({ ...part, percent: part.percent * 0.8 }));
        const share = 100 - blended.reduce((sum, part) => sum + part.percent, 0);
        const weaker = { ...input, house, fabric: { ...input.fabric, composition: [...blended, { fibre, percent: share }] } };
        expect(judge(weaker).set.tempC).toBeLessThanOrEqual(judge({ ...input, house }).set.tempC + 1e-9);
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
        expect(RANK[judge(wider).lamp.state]).toBeGreaterThanOrEqual(RANK[judge(input).lamp.state]);
      }),
      RUNS,
    );
  });

  it('whenever the lamp is Clear the whole delivered band lies inside sheet and limits by the stated margin', () => {
    fc.assert(
      fc.property(inputs, (input) => {
        // without the bond more cards are Clear: it must hold for all of them
        const { lamp, set, window, smallestMarginK } = judge(input, QUICK);
        const delivered = bandOf(window, set.tempC);
        fc.pre(lamp.state === 'clear');
        expect(smallestMarginK).toBeGreaterThanOrEqual(2);
        expect(window.bounds.map((bound) => bound.side)).toEqual(expect.arrayContaining(['sheet low', 'sheet high']));
        for (const { keep, surfaceC, breach } of window.bounds) {
          const room = keep === 'above' ? delivered.lowC - surfaceC : surfaceC - delivered.highC;
          expect(room).toBeGreaterThanOrEqual(breach === 'hold' ? smallestMarginK - 1e-9 : 0);
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
        for (const way of ways) expect(judge(taken(input, shelf, way.change)).lamp.state).toBe(way.lamp);
      }),
      RUNS,
    );
  });

  it('ways out stand best first', () => {
    fc.assert(
      fc.property(inputs, shelves, (input, shelf) => {
        const ways = waysOut(input, resolve(input), shelf);
        const ranks = ways.map((way) => [2 * RANK[way.lamp] + (way.change.testPiece ? 1 : 0), way.minutesPerPiece] as const);
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
        const ranks = ranked.map((one) => RANK[one.lamp]);
        expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
        expect(
          ranked
            .filter((one) => one.onShelf)
            .map((one) => one.productId)
            .sort(),
        ).toEqual(shelf.products.map((product) => product.id).sort());
        for (const one of ranked) expect(one.lamp === 'clear' ? one.cautions : one.reasons.length).toBe(one.cautions);
      }),
      RUNS,
    );
  });
});

/** The input with a way out taken, the way the order page takes it: through the line. */
function taken(input: ResolveInput, shelf: Stock, change: Change): ResolveInput {
  const line = { id: 'l', blankId: 'b', size: 'M', count: 1, prints: [input.print], roster: [], perClosing: input.item.perClosing };
  const after = lineAfter(line, input.print.key, change);
  const print = after.prints[0] ?? input.print;
  const changed = inputAfter(input, change, shelf);
  if (!changed) throw new Error('a way out names something that is not on the shelf');
  expect([topLayer(print).productId, print.pressId]).toEqual([changed.product.id, changed.press.id]);
  expect(print).toEqual(changed.print);
  return { ...changed, print, item: { ...changed.item, perClosing: after.perClosing } };
}
