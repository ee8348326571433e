import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { inputOf } from '../../../test/trade/check';
import { benchStack } from '../../core/advice';
import { SWEPT, SweepQuerySchema, type Swept } from '../../core/heatBench';
import { toShown } from '../../core/units';
import { classOf, reachOf, roundValues, valueNow } from './axes';
import { variantOf, withPassage } from './variant';

const stack = benchStack(inputOf({ says: 'a map', on: 'cotton-tee', with: 'cut-film' }));
if (!stack) throw new TypeError('no stack');
const own = variantOf(stack);
const every = Object.keys(SWEPT) as Swept[];
const HOUSE = { temperature: 'F', length: 'in', linePressure: 'psi' } as const;

describe('the axes of a map', () => {
  it('any two of them make a sweep that can be reckoned with, however odd the setting in hand', () => {
    for (const variant of [own, withPassage(own, { timeS: 500 }), withPassage(own, { surfaceC: 250 }), withPassage(own, { timeS: 0.6 })])
      for (const x of every)
        for (const y of every.filter((word) => word !== x)) {
          const axes = { x: { of: x, ...reachOf(x, variant, stack), steps: 60 }, y: { of: y, ...reachOf(y, variant, stack), steps: 60 } };
          expect(SweepQuerySchema.safeParse({ ...variant.query, ...axes }).error?.issues).toBeUndefined();
        }
  });
  it('hold the setting in hand and the whole of the sheet', () => {
    for (const of of every) {
      const { from, to } = reachOf(of, own, stack);
      expect(valueNow(of, own)).toBeGreaterThanOrEqual(from);
      expect(valueNow(of, own)).toBeLessThanOrEqual(to);
    }
    expect(reachOf('time', own, stack).from).toBeLessThan(stack.allowed.timeS.min);
    expect(reachOf('temperature', own, stack).to).toBeGreaterThan(stack.allowed.surfaceC.max);
  });
  it('are marked by a few round figures within, evenly apart, in the unit they are shown in', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...every),
        fc.double({ min: 0.05, max: 0.4, noNaN: true }),
        fc.double({ min: 0.6, max: 1, noNaN: true }),
        (of, a, b) => {
          const { low, high } = SWEPT[of];
          const axis = { of, from: low + a * (high - low), to: low + b * (high - low), steps: 60 };
          const inside = roundValues(axis, HOUSE);
          const shown = inside.map((value) => (of === 'temperature' || of === 'base' ? toShown(value, 'F') : value));
          expect(inside.length).toBeGreaterThanOrEqual(2);
          expect(inside.length).toBeLessThanOrEqual(8);
          for (const value of inside) expect(value >= axis.from - 1e-6 && value <= axis.to + 1e-6).toBe(true);
          const step = (shown[1] ?? 0) - (shown[0] ?? 0);
          const leading = step / 10 ** Math.floor(Math.log10(step) + 1e-9);
          expect([1, 2, 5, 10].some((value) => Math.abs(leading - value) < 1e-6)).toBe(true);
          shown.slice(1).forEach((value, i) => {
            expect(value - (shown[i] ?? 0)).toBeCloseTo(step, 6);
          });
        },
      ),
    );
  });
  it('a bond is under, sound or over by the same figures as everywhere', () => {
    expect([0.89, 0.9, 1, 1.35, 1.36].map(classOf)).toEqual(['under', 'sound', 'sound', 'sound', 'over']);
  });
});
