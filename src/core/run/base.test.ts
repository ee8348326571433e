import { describe, expect, it } from 'vitest';
import { baseHeat, baseShare, MARRIES_AT, marryInS, SHUT_TAU_S } from './base';
import { startRun } from './state';

const run = (base: [number, number | null][]) => ({ ...startRun(0), base });
const minutes = (n: number) => n * 60_000;

/** Mean of a slab heated on one face by its full series, of the way there. */
const slab = (s: number) =>
  1 -
  Array.from({ length: 200 }, (_, n) => (8 / ((2 * n + 1) ** 2 * Math.PI ** 2)) * Math.exp((-((2 * n + 1) ** 2) * s) / SHUT_TAU_S)).reduce(
    (a, b) => a + b,
    0,
  );

describe('the base as it warms', () => {
  it('shut empty it follows the mean of a heated slab, and is ready for a hot marry-peel after about five minutes', () => {
    for (const s of [60, 150, 300, 600]) expect(Math.abs(baseShare(run([[1, 1 + s * 1000]]), 1 + s * 1000) - slab(s))).toBeLessThan(0.13);
    expect(baseShare(run([[1, null]]), 1 + minutes(5))).toBeGreaterThan(MARRIES_AT);
    expect(baseShare(run([[1, null]]), 1 + minutes(3))).toBeLessThan(MARRIES_AT);
    expect(marryInS(0)).toBeGreaterThan(240);
    expect(marryInS(0)).toBeLessThan(330);
    const share = baseShare(run([[1, null]]), 1 + minutes(2));
    expect(baseShare(run([[1, null]]), 1 + minutes(2) + marryInS(share) * 1000)).toBeCloseTo(MARRIES_AT, 6);
  });
  it('loses it again while the press stands open, and never passes the platen', () => {
    const warm = run([[1, 1 + minutes(5)]]);
    const shares = [5, 8, 15, 60].map((n) => baseShare(warm, 1 + minutes(n)));
    expect([...shares].sort((a, b) => b - a)).toEqual(shares);
    expect(shares[3]).toBeLessThan(0.05);
    expect(baseShare(run([[1, 1 + minutes(400)]]), 1 + minutes(400))).toBeLessThanOrEqual(1);
    expect(baseShare(run([]), minutes(9))).toBe(0);
  });
  it('burns once it is over sixty degrees', () => {
    const plan = { heat: { offsetK: 0, heater: null, roomC: 20 } };
    expect(baseHeat(plan, 0.2, 150)).toEqual({ baseC: 46, burns: false });
    expect(baseHeat(plan, 0.5, 150)).toEqual({ baseC: 85, burns: true });
    expect(baseHeat(plan, 0.5, null)).toBeNull();
  });
});
