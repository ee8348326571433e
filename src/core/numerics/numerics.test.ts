import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  cholesky,
  erfcx,
  forward,
  interpolate,
  logDeterminant,
  mixtureCdf,
  mixtureMoments,
  mixtureQuantile,
  normalCdf,
  quantileOfDensity,
  quantileOfSorted,
  remembered,
  rootOf,
} from './index';

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

describe('symmetric systems', () => {
  it('the factor times its own transpose is the matrix, and forward solving undoes it', () => {
    const a = [
      [4, 2, 0.6],
      [2, 5, 1],
      [0.6, 1, 3],
    ];
    const factor = cholesky(3, (i, j) => a[i]?.[j] as number);
    const at = (i: number, j: number) => (j <= i ? (factor[i]?.[j] as number) : 0);
    for (let i = 0; i < 3; i++)
      for (let j = 0; j < 3; j++) expect([0, 1, 2].reduce((sum, k) => sum + at(i, k) * at(j, k), 0)).toBeCloseTo(a[i]?.[j] as number, 12);
    const b = [1, -2, 3];
    const x = forward(factor, b);
    for (let i = 0; i < 3; i++) expect([0, 1, 2].reduce((sum, k) => sum + at(i, k) * (x[k] as number), 0)).toBeCloseTo(b[i] as number, 12);
    // 4·(5·3 − 1) − 2·(2·3 − 0.6) + 0.6·(2 − 3) = 42.8… by hand: 4·14 − 2·5.4 + 0.6·(2·1 − 5·0.6)
    expect(Math.exp(logDeterminant(factor))).toBeCloseTo(4 * 14 - 2 * 5.4 + 0.6 * (2 - 3), 9);
  });
  it('what is not positive definite is refused', () => {
    expect(() => cholesky(2, (i, j) => (i === j ? 1 : 2))).toThrow(RangeError);
  });
});

describe('normal distributions and mixtures of them', () => {
  it('agrees with the tables', () => {
    for (const [z, share] of [
      [0, 0.5],
      [1, 0.8413447461],
      [1.959963985, 0.975],
      [-3, 0.001349898],
    ] as const)
      expect(normalCdf(z)).toBeCloseTo(share, 8);
  });
  it('a quantile’s share is the share it was asked for; one part is the normal itself', () => {
    const parts = [
      { weight: 3, mean: -4, sd: 1 },
      { weight: 1, mean: 6, sd: 2.5 },
    ];
    for (const share of [0.025, 0.3, 0.75, 0.975]) expect(mixtureCdf(parts, mixtureQuantile(parts, share))).toBeCloseTo(share, 6);
    expect(mixtureQuantile([{ weight: 2, mean: 10, sd: 3 }], 0.975)).toBeCloseTo(10 + 3 * 1.959963985, 5);
    const { mean, sd } = mixtureMoments(parts);
    expect(mean).toBeCloseTo(-1.5, 12);
    expect(sd ** 2).toBeCloseTo(0.75 * (1 + 2.5 ** 2) + 0.25 * (2.5 ** 2 + 7.5 ** 2), 9);
  });
});

describe('quantiles', () => {
  it('of figures in order run from the least to the greatest, straight between two of them', () => {
    expect([0, 0.25, 0.5, 0.9, 1].map((share) => quantileOfSorted([1, 2, 4, 8, 16], share))).toEqual([1, 2, 4, 12.8, 16]);
    expect(quantileOfSorted([7], 0.3)).toBe(7);
  });
  it('of a density on a grid are those of the normal it stands for', () => {
    const [first, step] = [-5, 0.01];
    const heights = Array.from({ length: 1001 }, (_, i) => Math.exp(-((first + i * step) ** 2) / 2));
    const whole = heights.reduce((sum, height) => sum + height, 0);
    const weights = heights.map((height) => height / whole);
    for (const [share, z] of [
      [0.05, -1.6449],
      [0.5, 0],
      [0.95, 1.6449],
    ] as const)
      expect(quantileOfDensity(weights, share, { first, step })).toBeCloseTo(z, 3);
    expect(quantileOfDensity([0.5, 0.4], 0.95, { first, step })).toBeCloseTo(first + step, 9);
  });
});

describe('what is remembered', () => {
  it('is worked out once for a key, even where the answer is nothing, and the oldest makes room', () => {
    let worked = 0;
    const answers = remembered<number | null>(2);
    const ask = (key: string, answer: number | null) =>
      answers(key, () => {
        worked++;
        return answer;
      });
    expect([ask('a', 1), ask('a', 9), ask('b', null), ask('b', 9)]).toEqual([1, 1, null, null]);
    expect(worked).toBe(2);
    expect([ask('c', 3), ask('b', 9)]).toEqual([3, null]);
    expect(ask('a', 4)).toBe(4);
    expect(worked).toBe(4);
  });
  it('keeps nothing of work that failed', () => {
    const answers = remembered<number>(2);
    const fails = () => {
      throw new Error('no');
    };
    expect(() => answers('a', fails)).toThrow('no');
    expect(answers('a', () => 5)).toBe(5);
  });
});

describe('a root in a bracket', () => {
  it('is found of straight, bent and steep functions, rising or falling', () => {
    fc.assert(
      fc.property(fc.double({ min: -50, max: 50, noNaN: true }), fc.constantFrom(1, -1), fc.constantFrom(1, 3, 7), (root, sign, power) => {
        const f = (x: number) => sign * ((x - root) / 10) * (1 + Math.abs((x - root) / 10) ** (power - 1));
        expect(Math.abs(rootOf(f, -60, 60, 1e-6) - root)).toBeLessThan(1e-3);
      }),
    );
    expect(rootOf((x) => Math.exp(x) - 5, -3, 12, 1e-9)).toBeCloseTo(Math.log(5), 6);
  });
  it('where there is none, is the end that comes nearest', () => {
    expect(rootOf((x) => x + 10, -3, 12, 1e-6)).toBe(-3);
    expect(rootOf((x) => x - 100, -3, 12, 1e-6)).toBe(12);
  });
});
