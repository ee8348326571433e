/** Warm-up and recovery, held against the equation stepped through time and against the balance of heat. */

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../../test/runs';
import {
  canBeTrue,
  dropOfClosing,
  type Heater,
  HeaterSchema,
  heatOfClosing,
  lossOf,
  refined,
  shortestCycle,
  temperatureAfter,
  timeBetween,
} from './index';

const heater: Heater = { powerW: 1800, massKg: 9, lossWK: 3.2 };
const CAPACITY = 9 * 900;

/** The same lump, stepped. */
function stepped(fromC: number, toC: number, heating: boolean, roomC = 21): number {
  const dt = 0.01;
  let [tempC, t] = [fromC, 0];
  while (heating ? tempC < toC : tempC > toC) {
    tempC += (((heating ? heater.powerW : 0) - 3.2 * (tempC - roomC)) / CAPACITY) * dt;
    t += dt;
  }
  return t;
}

describe('from one temperature to another', () => {
  it('agrees with the equation stepped through time to 1 %, heating and cooling', () => {
    for (const [from, to] of [
      [21, 150],
      [130, 180],
      [180, 140],
      [160, 60],
    ] as const)
      expect(Math.abs(timeBetween(heater, from, to, 21) / stepped(from, to, to > from) - 1)).toBeLessThan(0.01);
  });
  it('heats ten to fifteen kelvin a minute and cools three to six, as presses of the trade do', () => {
    const press: Heater = { powerW: 1800, massKg: 9, lossWK: null };
    const heating = (150 - 100) / (timeBetween(press, 100, 150, 21) / 60);
    const cooling = (170 - 150) / (timeBetween(press, 170, 150, 21) / 60);
    expect(heating).toBeGreaterThan(7);
    expect(heating).toBeLessThan(15);
    expect(cooling).toBeGreaterThan(3);
    expect(cooling).toBeLessThan(6);
  });
  it('never reaches what the heater cannot hold, nor cools under the room', () => {
    expect(timeBetween({ ...heater, powerW: 300 }, 21, 180, 21)).toBe(Number.POSITIVE_INFINITY);
    expect(timeBetween(heater, 60, 15, 21)).toBe(Number.POSITIVE_INFINITY);
    expect(timeBetween(heater, 150, 150, 21)).toBe(0);
  });
  it('there and back is the same, and what the heater gives is what is stored and lost', () => {
    fc.assert(
      fc.property(fc.integer({ min: 30, max: 120 }), fc.integer({ min: 130, max: 200 }), (from, to) => {
        const seconds = timeBetween(heater, from, to, 21);
        expect(temperatureAfter(heater, from, seconds, 21, true)).toBeCloseTo(to, 6);
        const steps = 4000;
        let lost = 0;
        for (let i = 0; i < steps; i++)
          lost += ((3.2 * seconds) / steps) * (temperatureAfter(heater, from, (seconds * (i + 0.5)) / steps, 21, true) - 21);
        expect(Math.abs((heater.powerW * seconds) / (CAPACITY * (to - from) + lost) - 1)).toBeLessThan(1e-4);
      }),
      runs(200),
    );
  });
});

describe('refined from logged times', () => {
  it('finds power and loss again from what was logged, and leaves alone what was not', () => {
    const time = (fromC: number, toC: number) => ({ fromC, toC, roomC: 21, seconds: timeBetween(heater, fromC, toC, 21) });
    const guess: Heater = { powerW: 1200, massKg: 9, lossWK: null };
    const found = refined(guess, [time(21, 150), time(100, 170), time(170, 120), time(160, 130)]);
    expect(found.powerW).toBeCloseTo(1800, 3);
    expect(found.lossWK).toBeCloseTo(3.2, 6);
    expect(refined(guess, [])).toEqual(guess);
  });
  it('passes over a time that cannot be true, and whatever is logged it stays a heater', () => {
    const old: Heater = { powerW: 1400, massKg: 8, lossWK: null };
    const mistyped = { fromC: 20, toC: 180, seconds: 30, roomC: 21 };
    expect(canBeTrue(old, mistyped)).toBe(false);
    expect(refined(old, [mistyped])).toEqual(old);
    const any = fc.record({
      fromC: fc.double({ min: 0, max: 260, noNaN: true }),
      toC: fc.double({ min: 0, max: 260, noNaN: true }),
      seconds: fc.double({ min: 0.01, max: 7200, noNaN: true }),
      roomC: fc.double({ min: -10, max: 50, noNaN: true }),
    });
    const heaters = fc.record({
      powerW: fc.double({ min: 50, max: 20_000, noNaN: true }),
      massKg: fc.double({ min: 0.2, max: 200, noNaN: true }),
      lossWK: fc.constant(null),
    });
    fc.assert(
      fc.property(heaters, fc.array(any, { maxLength: 6 }), (entry, times) => {
        expect(HeaterSchema.safeParse(refined(entry, times)).success).toBe(true);
      }),
    );
  });
});

describe('a closing', () => {
  const closing = { areaMm2: 200_000, effusivity: 205, seconds: 12, setC: 150, startC: 22 };
  it('takes what a deep body takes: the flux e·ΔT/√(πt) summed over the time, to 1 %', () => {
    let sum = 0;
    const dt = 1e-4;
    for (let t = dt / 2; t < 12; t += dt) sum += ((205 * 128) / Math.sqrt(Math.PI * t)) * dt;
    expect(Math.abs(heatOfClosing(closing) / (sum * 0.2) - 1)).toBeLessThan(0.01);
  });
  it('costs a platen a few kelvin', () => {
    expect(dropOfClosing(heater, closing)).toBeGreaterThan(1);
    expect(dropOfClosing(heater, closing)).toBeLessThan(6);
    expect(dropOfClosing(heater, closing) * CAPACITY).toBeCloseTo(heatOfClosing(closing), 6);
  });
  it('at the shortest cycle the heater gives back just what was taken and lost', () => {
    const heavy = { ...closing, effusivity: 1400, seconds: 6 };
    const cycle = shortestCycle(heater, heavy, 21);
    expect(cycle).toBeGreaterThan(6);
    expect(heater.powerW * cycle).toBeCloseTo(heatOfClosing(heavy) + lossOf(heater) * (150 - 21) * cycle, 3);
    expect(shortestCycle({ ...heater, powerW: 300 }, closing, 21)).toBe(Number.POSITIVE_INFINITY);
  });
});
