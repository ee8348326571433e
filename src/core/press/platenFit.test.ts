/** A platen fitted from its readings, held against presses whose truth it does not assume. */
import { describe, expect, it } from 'vitest';
import { bestError, Chance, FIVE, NINE, PLATEN, survey, trueMean, trueOffset, truth, waveAt, waveOver } from '../../../test/platens';
import { isWhole } from '../../../test/runs';
import { type Area, fitPlaten, type Instrument, instrumentError, meanOffset, offsetAt, slopeOf } from './index';

const WHOLE: Area = { xMm: 0, yMm: 0, ...PLATEN };
const SET_C = 150;
const PRESSES = 2000;

/** Where a piece of art may lie on the platen. */
function anyArea(chance: Chance): Area {
  const [widthMm, heightMm] = [chance.uniform(60, 300), chance.uniform(60, 350)];
  const room = (whole: number, side: number) => chance.uniform(-(whole - side) / 2, (whole - side) / 2);
  return { widthMm, heightMm, xMm: room(PLATEN.widthMm, widthMm), yMm: room(PLATEN.heightMm, heightMm) };
}

describe.runIf(isWhole)('intervals over two thousand presses of another kind than the fit assumes', () => {
  it.each<[string, Instrument]>([
    ['probe', { kind: 'probe' }],
    ['strip of 6 K', { kind: 'strip', stepK: 6 }],
    ['infrared gun on a dark coating', { kind: 'infrared', emissivitySet: 0.95 }],
  ])('%s: each holds the truth in 93 to 98.5 %, and is at most twice as wide as the best there can be', (_, instrument) => {
    const chance = new Chance(5);
    const asked = ['offset', 'point', 'area'] as const;
    const held = { offset: 0, point: 0, area: 0 };
    const width = { offset: 0, point: 0, area: 0 };
    const least = { offset: 0, point: 0, area: 0 };
    for (let n = 0; n < PRESSES; n++) {
      const press = truth(chance);
      const readings = survey(press, chance.pick([FIVE, NINE]), [SET_C], instrument, chance, SET_C);
      const fit = fitPlaten(readings, PLATEN, instrumentError(instrument));
      const place = { xMm: chance.uniform(-200, 200), yMm: chance.uniform(-250, 250) };
      const area = anyArea(chance);
      const stated = { offset: meanOffset(fit, WHOLE, SET_C), point: offsetAt(fit, place, SET_C), area: meanOffset(fit, area, SET_C) };
      const really = {
        offset: trueMean(press, WHOLE, SET_C, SET_C),
        point: trueOffset(press, place, SET_C, SET_C),
        area: trueMean(press, area, SET_C, SET_C),
      };
      const best = {
        offset: bestError(press, readings, instrument, waveOver(WHOLE)),
        point: bestError(press, readings, instrument, waveAt(place)),
        area: bestError(press, readings, instrument, waveOver(area)),
      };
      for (const figure of asked) {
        if (stated[figure].low <= really[figure] && really[figure] <= stated[figure].high) held[figure]++;
        width[figure] += stated[figure].high - stated[figure].low;
        least[figure] += 2 * 1.96 * best[figure];
      }
    }
    for (const figure of asked) {
      const share = held[figure] / PRESSES;
      expect(share, figure).toBeGreaterThanOrEqual(0.93);
      expect(share, figure).toBeLessThanOrEqual(0.985);
      expect(width[figure] / least[figure], figure).toBeLessThanOrEqual(2);
    }
    console.log(
      `${instrument.kind}: held ${asked.map((figure) => `${figure} ${((100 * held[figure]) / PRESSES).toFixed(1)} %`).join(', ')}; as wide as the best: ${asked.map((figure) => (width[figure] / least[figure]).toFixed(2)).join(', ')}`,
    );
  });
});

describe('a line through several settings', () => {
  it('finds offset and slope, and at a setting never measured is less sure', () => {
    const chance = new Chance(11);
    let held = 0;
    for (let n = 0; n < 400; n++) {
      const press = truth(chance);
      const fit = fitPlaten(
        survey(press, FIVE, [120, 150, 180], { kind: 'probe' }, chance, 150),
        PLATEN,
        instrumentError({ kind: 'probe' }),
      );
      const slope = slopeOf(fit);
      if (slope.low <= press.slope && press.slope <= slope.high) held++;
      expect(slope.sd).toBeLessThan(0.02);
      expect(meanOffset(fit, WHOLE, 210).sd).toBeGreaterThan(meanOffset(fit, WHOLE, 150).sd);
    }
    expect(held / 400).toBeGreaterThan(0.92);
  });
  it('with one setting the slope is only what is usual', () => {
    const fit = fitPlaten(
      FIVE.map((place) => ({ ...place, setC: 150, surfaceC: 155 })),
      PLATEN,
      instrumentError({ kind: 'probe' }),
    );
    expect(slopeOf(fit)).toMatchObject({ mean: 0, sd: expect.closeTo(0.04, 6) });
    expect(meanOffset(fit, WHOLE, 150).mean).toBeCloseTo(5, 0);
  });
});

describe('what must hold of any fit', () => {
  const flat = (surfaceC: number) =>
    fitPlaten(
      NINE.map((place) => ({ ...place, setC: 150, surfaceC })),
      PLATEN,
      instrumentError({ kind: 'probe' }),
    );
  it('a common error is not shrunk by more readings', () => {
    expect(meanOffset(flat(158), WHOLE, 150).sd).toBeGreaterThan(0.98);
  });
  it('shifts with its readings, and forgets in which order they came', () => {
    const press = truth(new Chance(3));
    const readings = survey(press, NINE, [150], { kind: 'probe' }, new Chance(4), 150);
    const at = { xMm: 40, yMm: -90 };
    const fitted = (some: typeof readings) => offsetAt(fitPlaten(some, PLATEN, instrumentError({ kind: 'probe' })), at, 150);
    expect(fitted([...readings].reverse()).mean).toBeCloseTo(fitted(readings).mean, 8);
    expect(fitted([...readings].reverse()).high).toBeCloseTo(fitted(readings).high, 5);
  });
  it('is surer at a measured place than between the places', () => {
    const fit = flat(150);
    expect(offsetAt(fit, { xMm: 160, yMm: 200 }, 150).sd).toBeLessThan(offsetAt(fit, { xMm: 200, yMm: 100 }, 150).sd);
  });
  it('wants at least one reading', () => {
    expect(() => fitPlaten([], PLATEN, { commonK: 1, scatterK: 1 })).toThrow(RangeError);
  });
});
