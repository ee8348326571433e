import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bondOf, flowOf, flowOver, harmOf, harmOver, peelClockOf, tempAt, within } from './indices';

/** A curve that stands at one temperature, in steps of any size. */
const flat = (tempC: number, untilS: number, n = 7) => ({
  timeS: Float64Array.from({ length: n }, (_, i) => (untilS * i) / (n - 1)),
  tempC: new Float64Array(n).fill(tempC),
});
const curve = (points: [number, number][]) => ({
  timeS: Float64Array.from(points, ([t]) => t),
  tempC: Float64Array.from(points, ([, c]) => c),
});
const REF_K = 150 + 273.15;

describe('flow of an adhesive', () => {
  it('at 150 °C and 20 kPa, far over its softening point, is counted second for second', () => {
    expect(flowOver(flat(150, 12), 20, 60).at(-1)).toBeCloseTo(12, 6);
  });
  it('grows with pressure, and with temperature as its activation energy says', () => {
    expect(flowOver(flat(150, 12), 40, 60).at(-1)).toBeCloseTo(24, 6);
    const k = 165 + 273.15;
    expect(flowOver(flat(165, 12), 20, 60).at(-1)).toBeCloseTo(12 * Math.exp((-90_000 / 8.314) * (1 / k - 1 / REF_K)), 6);
  });
  it('is half at the softening point and next to nothing 20 K under it', () => {
    expect(flowOver(flat(150, 10), 20, 150).at(-1)).toBeCloseTo(5, 6);
    expect(flowOver(flat(130, 10), 20, 150).at(-1)).toBeLessThan(0.01);
  });
  it('of a rising temperature does not depend on how often it was sampled', () => {
    const rising = (n: number) => curve(Array.from({ length: n }, (_, i) => [(10 * i) / (n - 1), 120 + (30 * i) / (n - 1)]));
    const [coarse, fine] = [20, 2000].map((n) => flowOver(rising(n), 20, 60).at(-1) ?? 0);
    expect(Math.abs((coarse ?? 0) / (fine ?? 1) - 1)).toBeLessThan(2e-3);
  });
  it('counts only while the press is shut, each shutting at its own pressure', () => {
    const shut = [
      { fromS: 2, toS: 5, pressureKPa: 20 },
      { fromS: 10, toS: 12, pressureKPa: 60 },
    ];
    expect(flowOf(flat(150, 20, 41), shut, 60)).toBeCloseTo(3 + 2 * 3, 6);
  });
  it('a bond is the root of the flow: four times the flow is twice the depth', () => {
    expect(bondOf(8, 2)).toBeCloseTo(2);
    expect(bondOf(2, 2)).toBe(1);
  });
});

describe('harm', () => {
  it('15 s at the limit is 1, 8 K more halves the time, 8 K less doubles it', () => {
    for (const [tempC, seconds] of [
      [175, 15],
      [183, 7.5],
      [167, 30],
    ] as const)
      expect(harmOf(flat(tempC, seconds), 175)).toBeCloseTo(1, 9);
  });
  it('only ever grows, and its parts add up to the whole', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 20, max: 220 }), { minLength: 3, maxLength: 30 }), (temps) => {
        const own = curve(temps.map((c, i) => [i, c]));
        const harm = harmOver(own, 160);
        for (let i = 1; i < harm.length; i++) expect(harm[i]).toBeGreaterThanOrEqual(harm[i - 1] ?? 0);
        const middle = Math.floor(temps.length / 2);
        const parts = harmOf(within(own, 0, middle), 160) + harmOf(within(own, middle, temps.length), 160);
        expect(parts).toBeCloseTo(harmOf(own, 160), 9);
      }),
    );
  });
});

describe('reading a curve', () => {
  const jump = curve([
    [0, 20],
    [5, 40],
    [5, 100],
    [10, 120],
  ]);
  it('between samples on a straight line, beyond its ends at its ends', () => {
    expect(tempAt(jump, 2.5)).toBeCloseTo(30);
    expect(tempAt(jump, 7.5)).toBeCloseTo(110);
    expect(tempAt(jump, -3)).toBe(20);
    expect(tempAt(jump, 99)).toBe(120);
  });
  it('at an instant where one stage ends and the next begins, each stage has its own sample', () => {
    expect(Array.from(within(jump, 0, 5).tempC)).toEqual([20, 40]);
    expect(Array.from(within(jump, 5, 10).tempC)).toEqual([100, 120]);
  });
  it('a piece is warm once it has fallen under 60 °C for good, and cold within 5 K of the room', () => {
    const cooling = curve([
      [0, 100],
      [10, 60],
      [12, 70],
      [22, 50],
      [32, 20],
    ]);
    const clock = peelClockOf(cooling, 22);
    expect(clock.warmS).toBeCloseTo(17);
    expect(clock.warmUntilS).toBeCloseTo(22 + 10 / 3);
    expect(clock.coldS).toBeCloseTo(22 + (10 * 23) / 30);
    expect(
      peelClockOf(
        curve([
          [0, 100],
          [10, 90],
        ]),
        22,
      ),
    ).toEqual({ warmS: null, warmUntilS: null, coldS: null });
  });
});
