import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { inputs, plainCloth } from '../../../test/shops';
import { prepared } from '../draft';
import { judge, type LampState, lampAt, marginsAt, QUICK, smallestMargin } from '../judgement';
import { blendLimits, FIBRE_IDS, FIBRES } from '../materials';
import { bandOf } from '../press';
import { resolve } from './resolve';
import { CardSchema } from './schema';

const RUNS = { numRuns: 2000 };
const RANK: Record<LampState, number> = { clear: 0, care: 1, hold: 2 };

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
        const house = { ...input.house, rules: { ...input.house.rules, prePress: 'seconds' as const } };
        const blended = input.fabric.composition
          .filter((part) => part.fibre !== fibre)
          .map((part) => ({ ...part, percent: part.percent * 0.8 }));
        const share = 100 - blended.reduce((sum, part) => sum + part.percent, 0);
        const weaker = { ...input, house, fabric: { ...input.fabric, composition: [...blended, { fibre, percent: share }] } };
        expect(judge(prepared(weaker)).set.tempC).toBeLessThanOrEqual(judge(prepared({ ...input, house })).set.tempC + 1e-9);
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
        expect(RANK[judge(prepared(wider)).lamp.state]).toBeGreaterThanOrEqual(RANK[judge(prepared(input)).lamp.state]);
      }),
      RUNS,
    );
  });

  it('whenever the lamp is Clear the whole delivered band lies inside sheet and limits by the stated margin', () => {
    fc.assert(
      fc.property(inputs, (input) => {
        // without the bond more cards are Clear: it must hold for all of them
        const { lamp, set, window, smallestMarginK } = judge(prepared(input), QUICK);
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
});
