/** Instruments, cold spots and the chart over time. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Chance, FIVE, NINE, survey, truth } from '../../../test/platens';
import {
  coldSpots,
  controlChart,
  coverageFault,
  type Instrument,
  infraredReading,
  instrumentError,
  isSettled,
  nextSurvey,
  oddReading,
  PLANS,
  surfaceFromInfrared,
  takeReading,
} from './index';

const PROBE: Instrument = { kind: 'probe' };

describe('infrared', () => {
  const gun: Instrument = { kind: 'infrared', emissivitySet: 0.95 };
  it('on a dark coating is corrected for emissivity and room: the closed form to 0.01 K', () => {
    // 150 °C read by a gun set to 0.95 where the coating has 0.9: (0.95·423.15⁴ − 0.05·295.15⁴) / 0.9
    const byHand = ((0.95 * 423.15 ** 4 - 0.05 * 295.15 ** 4) / 0.9) ** 0.25 - 273.15;
    const taken = takeReading(150, gun, { finish: 'dark coated', roomC: 22, setC: 150 });
    expect(taken).toEqual({ surfaceC: expect.closeTo(byHand, 2) });
    expect(byHand).toBeCloseTo(154.43, 1);
  });
  it('on bare metal is refused, with the figure it would show', () => {
    const taken = takeReading(43, gun, { finish: 'bare metal', roomC: 22, setC: 150 });
    expect(taken).toMatchObject({ refused: 'infrared on bare metal' });
    const byHand = ((0.1 * 423.15 ** 4 + 0.85 * 295.15 ** 4) / 0.95) ** 0.25 - 273.15;
    expect('wouldShowC' in taken && Math.abs(taken.wouldShowC - byHand)).toBeLessThan(0.01);
    expect(byHand).toBeGreaterThan(40);
    expect(byHand).toBeLessThan(48);
  });
  it('there and back is the same, over every emissivity, room and surface', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 1, noNaN: true }),
        fc.double({ min: 0.3, max: 1, noNaN: true }),
        fc.integer({ min: 5, max: 40 }),
        fc.integer({ min: 60, max: 230 }),
        (emissivity, emissivitySet, roomC, surfaceC) => {
          const radiation = { emissivity, emissivitySet, roomC };
          expect(surfaceFromInfrared(infraredReading(surfaceC, radiation), radiation)).toBeCloseTo(surfaceC, 6);
        },
      ),
    );
  });
  it('each instrument’s errors add up to what it is known for', () => {
    const total = (instrument: Instrument) => Math.hypot(instrumentError(instrument).commonK, instrumentError(instrument).scatterK);
    expect(total(PROBE)).toBeCloseTo(1.5, 9);
    expect(instrumentError({ kind: 'strip', stepK: 6 }).scatterK).toBeCloseTo(1.732, 3);
    expect(instrumentError(gun).commonK).toBe(5.5);
    expect(instrumentError(gun).scatterK * Math.SQRT2).toBeCloseTo(2, 9);
  });
});

describe('cold spots', () => {
  const error = instrumentError(PROBE);
  /** A flat platen but for a corner, read by a probe. */
  const read = (chance: Chance, cornerK: number, places = FIVE) => {
    const common = chance.normal(error.commonK);
    return places.map((place, i) => ({
      ...place,
      setC: 150,
      surfaceC: 157 + common + chance.normal(error.scatterK) - (i === 1 ? cornerK : 0),
    }));
  };
  it('a corner 8 K colder than the rest is found in at least 95 %, by five points and by nine', () => {
    for (const places of [FIVE, NINE]) {
      const chance = new Chance(21);
      let found = 0;
      for (let n = 0; n < 2000; n++) if (coldSpots(read(chance, 8, places), error)[0]?.xMm === places[1]?.xMm) found++;
      console.log(`a cold spot of 8 K by ${places.length} places: found in ${((100 * found) / 2000).toFixed(1)} %`);
      expect(found / 2000).toBeGreaterThanOrEqual(0.95);
    }
  });
  it('and where there is none, none is found in at least 95 % of surveys, uneven platens among them', () => {
    const chance = new Chance(22);
    let [surveys, falseFinds] = [0, 0];
    while (surveys < 2000) {
      const press = truth(chance);
      const readings = survey(press, FIVE, [150], PROBE, chance, 150);
      const exact = survey(press, FIVE, [150], { kind: 'strip', stepK: 1e-6 } as Instrument, chance, 150);
      if (coldSpots(exact, { scatterK: 0 }).length > 0) continue; // this one has a cold spot in truth
      surveys++;
      if (coldSpots(readings, error).length > 0) falseFinds++;
    }
    console.log(`false cold spots: ${((100 * falseFinds) / surveys).toFixed(1)} % of surveys`);
    expect(falseFinds / surveys).toBeLessThanOrEqual(0.05);
  });
  it('says by how much, give or take the scatter alone', () => {
    const readings = FIVE.map((place, i) => ({ ...place, setC: 150, surfaceC: i === 3 ? 140 : 150 }));
    const [spot] = coldSpots(readings, error);
    expect(spot).toMatchObject({ xMm: -160, yMm: 200, byK: 10 });
    expect(spot?.giveOrTakeK).toBeCloseTo(1.96 * error.scatterK * Math.sqrt(1.25), 6);
    expect(coldSpots(readings.slice(0, 2), error)).toEqual([]);
  });
});

describe('the chart of surveys', () => {
  /** Five-point means of a press that stays as it is: the probe’s common error afresh, the scatter averaged over five. */
  const sd = Math.hypot(instrumentError(PROBE).commonK, instrumentError(PROBE).scatterK / Math.sqrt(5));
  const means = (chance: Chance, n: number, shiftK = 0) =>
    Array.from({ length: n }, () => ({ on: '2026-01-01', meanK: 5 + shiftK + chance.normal(sd) }));
  it('twenty surveys in the baseline: false alarms at most 1.5 % a survey', () => {
    const chance = new Chance(31);
    let [alarms, later] = [0, 0];
    for (let n = 0; n < 1000; n++) {
      const { baseline, outside } = controlChart([...means(chance, 20), ...means(chance, 20)]);
      alarms += outside.filter((i) => i >= baseline).length;
      later += 20;
    }
    console.log(`chart: false alarms ${((100 * alarms) / later).toFixed(2)} % a survey`);
    expect(alarms / later).toBeLessThanOrEqual(0.015);
  });
  it('a step of 4 K is flagged within five surveys in at least 95 %', () => {
    const chance = new Chance(32);
    let flagged = 0;
    for (let n = 0; n < 1000; n++) {
      const { outside } = controlChart([...means(chance, 20), ...means(chance, 5, 4)]);
      if (outside.some((i) => i >= 20)) flagged++;
    }
    console.log(`chart: a step of 4 K flagged within five surveys in ${((100 * flagged) / 1000).toFixed(1)} %`);
    expect(flagged / 1000).toBeGreaterThanOrEqual(0.95);
  });
  it('limits are three standard deviations from the moving range, and none are drawn from a few surveys', () => {
    const points = [4, 6, 4, 6, 4, 6].map((meanK) => ({ on: '2026-01-01', meanK }));
    const { limits } = controlChart(points);
    expect(limits?.centreK).toBe(5);
    expect(limits?.sdK).toBeCloseTo((2 * Math.sqrt(Math.PI)) / 2, 9);
    expect(controlChart(points.slice(0, 4)).limits).toBeNull();
  });
  it('is due by closings or by days, whichever ends first, and at once after a drift', () => {
    expect(nextSurvey({ closings: 400, days: 20, drifted: false })).toMatchObject({
      isDue: false,
      closingsLeft: 600,
      daysLeft: 70,
      used: 0.4,
    });
    expect(nextSurvey({ closings: 40, days: 91, drifted: false })).toMatchObject({ isDue: true, daysLeft: 0 });
    expect(nextSurvey({ closings: 0, days: 0, drifted: true }).isDue).toBe(true);
  });
});

describe('what is asked about while a survey is made', () => {
  const at = (readC: number, xMm = 0) => ({ xMm, yMm: 0, setC: 150, readC });
  it('a reading far from the setting, and one unlike the others; not what is merely uneven', () => {
    expect(oddReading(at(120), [], PROBE)).toMatchObject({ kind: 'far from the setting', byK: -30 });
    expect(oddReading(at(140), [], PROBE)).toBeNull();
    const before = [at(148), at(149), at(147)];
    expect(oddReading(at(125), before, PROBE)).toMatchObject({ kind: 'unlike the others', byK: -23 });
    expect(oddReading(at(138), before, PROBE)).toBeNull();
    expect(oddReading(at(125), before, { kind: 'strip', stepK: 10 })).toBeNull();
  });
  it('a readout is at rest once it has kept within 1.5 K for half a minute', () => {
    const history = (of: (t: number) => number) => Array.from({ length: 90 }, (_, t) => ({ at: t * 1000, readC: of(t) }));
    expect(
      isSettled(
        history(() => 150),
        89_000,
      ),
    ).toBe(true);
    expect(
      isSettled(
        history((t) => 140 + t * 0.2),
        89_000,
      ),
    ).toBe(false);
    expect(isSettled(history(() => 150).slice(70), 89_000)).toBe(false);
    expect(isSettled([], 0)).toBe(false);
  });
  it.each([
    ['nothing but one place', [[0, 0]], /One place makes no map/],
    [
      'three corners',
      [
        [0, 0],
        [9, 0],
        [0, 9],
      ],
      /3 places make no map/,
    ],
    [
      'a row',
      [
        [-9, 1],
        [-3, 0],
        [3, 0],
        [9, 1],
      ],
      /on one line/,
    ],
    [
      'the same place again and again',
      [
        [0, 0],
        [0, 0],
        [0, 0],
        [0, 0],
        [9, 9],
      ],
      /2 places make no map/,
    ],
  ] as const)('%s makes no map', (_, places, words) => {
    expect(coverageFault(places.map(([xMm, yMm]) => ({ xMm, yMm })))).toMatch(words);
  });
  it('the usual plans do', () => {
    for (const plan of Object.values(PLANS)) expect(coverageFault(plan({ widthMm: 400, heightMm: 500 }))).toBeNull();
  });
});
