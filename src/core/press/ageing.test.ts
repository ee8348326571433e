import { describe, expect, it } from 'vitest';
import { fixedNormals } from '../numerics';
import { aged, bandOfTenths, daysBetween, type Press, surfaceOf } from './index';
import { PRIOR } from './platenFit';

const ART = { widthMm: 250, heightMm: 300 };
const press = (calibration: Press['calibration']) => ({ platen: { widthMm: 400, heightMm: 500 }, calibration }) as Press;
const MEASURED = surfaceOf(press({ offsetK: -6, spreadK: 3, on: '2026-01-01', how: 'probe' }), ART);
const NEVER = surfaceOf(press(null), ART);

describe('a measurement that grows old', () => {
  it('is what it was on its day, and in a year has drifted by two kelvins', () => {
    expect(aged(MEASURED, { days: 0, closings: 0 })).toEqual(MEASURED);
    const old = aged(MEASURED, { days: 365.25, closings: 0 });
    expect(old.coolest.sdK ** 2 - MEASURED.coolest.sdK ** 2).toBeCloseTo(4 * (1 - (MEASURED.coolest.sdK / PRIOR.offsetK) ** 2), 6);
    expect(old.offsetK).toBeGreaterThan(MEASURED.offsetK);
    expect(bandOfTenths(old).spreadK - bandOfTenths(MEASURED).spreadK).toBeCloseTo(old.spreadK - MEASURED.spreadK, 9);
  });
  it('grows less sure with every day and every closing, and never less sure than a press nobody measured', () => {
    const spreads = [0, 30, 200, 800, 4000, 40_000].map((days) => aged(MEASURED, { days, closings: 0 }).spreadK);
    expect([...spreads].sort((a, b) => a - b)).toEqual(spreads);
    expect(spreads.at(-1)).toBeLessThan(NEVER.spreadK);
    expect(aged(MEASURED, { days: 0, closings: 10_000 }).spreadK).toBeCloseTo(aged(MEASURED, { days: 365.25, closings: 0 }).spreadK, 9);
    expect(Math.abs(aged(MEASURED, { days: 40_000, closings: 0 }).offsetK)).toBeLessThan(0.1);
  });
  it('is as presses that wander do: a thousand of them walked in small steps', () => {
    // offset of each as it was found, then a month at a time drawn back and pushed about
    const [years, steps] = [2, 24];
    const back = Math.exp(Math.log(1 - (2 / PRIOR.offsetK) ** 2) / 2 / 12);
    const push = PRIOR.offsetK * Math.sqrt(1 - back ** 2);
    const foundSd = MEASURED.most.sdK;
    const ends = fixedNormals(steps + 1, 1000).map((draw) => {
      let offset = MEASURED.offsetK + foundSd * (draw[0] ?? 0);
      for (let i = 1; i <= steps; i++) offset = back * offset + push * (draw[i] ?? 0);
      return offset;
    });
    const mean = ends.reduce((sum, x) => sum + x, 0) / ends.length;
    const sd = Math.sqrt(ends.reduce((sum, x) => sum + (x - mean) ** 2, 0) / ends.length);
    const told = aged(MEASURED, { days: 365.25 * years, closings: 0 });
    expect(Math.abs(told.most.sdK - sd)).toBeLessThan(0.25);
    expect(Math.abs(told.offsetK - mean)).toBeLessThan(0.25);
  });
  it('counts whole days, and a day that lies ahead as none', () => {
    expect(daysBetween('2026-02-27', '2026-03-02')).toBe(3);
    expect(daysBetween('2026-03-02', '2026-02-27')).toBe(0);
  });
});
