import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { erfcx, interpolate } from './index';

describe('erfcx', () => {
  it.each([
    [0, 1],
    [0.1, 0.8964569799691268],
    [0.5, 0.6156903441929259],
    [1, 0.427583576155807],
    [2, 0.2553956763105057],
    [5, 0.1107046377330686],
    [10, 0.05614099274382259],
    [100, 0.005641613782989433],
  ])('at %s is the tabulated value', (x, expected) => {
    expect(erfcx(x)).toBeCloseTo(expected, 12);
  });
  it('joins its two methods without a step', () => {
    expect(erfcx(2 - 1e-9) - erfcx(2 + 1e-9)).toBeLessThan(1e-9);
  });
  it('falls, and lies between its known bounds', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 300, noNaN: true }), fc.double({ min: 0.001, max: 10, noNaN: true }), (x, dx) => {
        const y = erfcx(x);
        expect(erfcx(x + dx)).toBeLessThan(y);
        const bound = (c: number) => 2 / Math.sqrt(Math.PI) / (x + Math.sqrt(x * x + c));
        expect(y).toBeGreaterThan(bound(2) * (1 - 1e-12));
        expect(y).toBeLessThanOrEqual(bound(4 / Math.PI) * (1 + 1e-12));
      }),
    );
  });
  it('refuses what it cannot do', () => {
    expect(() => erfcx(-1)).toThrow(RangeError);
    expect(() => erfcx(Number.NaN)).toThrow(RangeError);
    expect(erfcx(Number.POSITIVE_INFINITY)).toBe(0);
  });
});

describe('interpolate', () => {
  it('runs straight between points and keeps the ends', () => {
    const line = [
      [2, 8],
      [4, 15],
      [8, 40],
    ] as const;
    expect([0, 2, 3, 6, 9].map((x) => interpolate(line, x))).toEqual([8, 8, 11.5, 27.5, 40]);
    expect(() => interpolate([], 1)).toThrow(RangeError);
  });
});
