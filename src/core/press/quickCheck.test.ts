import { describe, expect, it } from 'vitest';
import { fixedNormals } from '../numerics';
import {
  afterCheck,
  aged,
  checkFound,
  commonDoubt,
  contradiction,
  isAsItWas,
  PLANS,
  PressRecordSchema,
  placeName,
  platenMap,
  type QuickCheck,
  type Survey,
  surfaceOver,
} from './index';

const PLATEN = { widthMm: 400, heightMm: 500 };
const AREA = { xMm: 0, yMm: 0, widthMm: 250, heightMm: 300 };
const MADE = {
  pressId: 'press-a',
  platen: 'upper',
  by: '',
  note: '',
  instrument: { kind: 'probe' },
  finish: 'dark coated',
  roomC: 21,
} as const;
/** A platen three kelvin hot, four cooler at the front. */
const trueAt = ({ yMm }: { yMm: number }) => 3 - (4 * (yMm + 250)) / 500;
const survey: Survey = {
  ...MADE,
  id: 'survey-a',
  kind: 'survey',
  at: 1,
  readings: PLANS.nine(PLATEN).map((place) => ({ ...place, setC: 150, readC: 150 + trueAt(place) })),
};
const map = platenMap(survey, PLATEN, '2026-01-01');
const check = (movedK: number, places = PLANS.five(PLATEN).slice(0, 3)): QuickCheck => ({
  ...MADE,
  id: 'check-a',
  kind: 'quick check',
  at: 2,
  readings: places.map((place) => ({ ...place, setC: 160, readC: 160 + trueAt(place) + movedK })),
});
const mapSdK = (map.offset.high - map.offset.low) / 4;

describe('a quick check', () => {
  it('of a press that is as it was finds no difference, wherever it is held', () => {
    for (const places of [PLANS.five(PLATEN), PLANS.five(PLATEN).slice(1, 2), PLANS.nine(PLATEN).slice(0, 4)]) {
      const found = checkFound(check(0, places), map, '2026-06-01');
      expect(Math.abs(found.differenceK)).toBeLessThan(1);
      expect(isAsItWas(found, mapSdK)).toBe(true);
    }
  });
  it('of a press that has changed says so, and the more places the surer', () => {
    const found = checkFound(check(8), map, '2026-06-01');
    expect(found.differenceK).toBeGreaterThan(7);
    expect(isAsItWas(found, mapSdK)).toBe(false);
    const [one, five] = [1, 5].map((n) => checkFound(check(8, PLANS.five(PLATEN).slice(0, n)), map, '2026-06-01').sdK);
    expect(five).toBeLessThan(one ?? 0);
    // what is common to its readings does not average out
    expect(five).toBeGreaterThan(1);
  });
  it('makes an old survey surer again, follows a press that moved, and never makes either worse', () => {
    const mapped = surfaceOver(map, AREA);
    const old = aged(mapped, { days: 1500, closings: 0 });
    const still = afterCheck(mapped, old, checkFound(check(0), map, '2030-01-01'));
    expect(still.spreadK).toBeLessThan(old.spreadK - 1);
    expect(still.spreadK).toBeGreaterThanOrEqual(mapped.spreadK - 0.5);
    const moved = afterCheck(mapped, old, checkFound(check(6), map, '2030-01-01'));
    expect(moved.offsetK - still.offsetK).toBeGreaterThan(4);
    expect(moved.offsetK - still.offsetK).toBeLessThan(6.5);
    // a new survey that is contradicted is doubted as far as it is contradicted: the check is followed
    const contradicted = afterCheck(mapped, mapped, checkFound(check(12), map, '2026-01-02'));
    expect(contradicted.offsetK - mapped.offsetK).toBeGreaterThan(10.5);
    expect(contradicted.spreadK).toBeLessThan(mapped.spreadK + 2);
  });
  it('is weighed honestly: of presses that wandered the truth lies as far off as is said', () => {
    const mapped = surfaceOver(map, AREA);
    const old = aged(mapped, { days: 1200, closings: 3000 });
    const beforeK = commonDoubt(old);
    const back = (old.coolest.meanK + old.hottest.meanK - mapped.coolest.meanK - mapped.hottest.meanK) / 2;
    const zs = fixedNormals(2, 1500).map(([wandered = 0, error = 0]) => {
      const { sdK } = checkFound(check(0), map, '2029-01-01');
      const truth = back + beforeK * wandered;
      const told = afterCheck(mapped, old, {
        pressId: 'press-a',
        platen: 'upper',
        on: '2029-01-01',
        differenceK: truth + sdK * error,
        sdK,
      });
      const leftK = Math.sqrt(beforeK ** 2 - (old.coolest.sdK ** 2 - told.coolest.sdK ** 2));
      return (truth - (told.coolest.meanK - mapped.coolest.meanK)) / leftK;
    });
    const mean = zs.reduce((sum, z) => sum + z, 0) / zs.length;
    const sd = Math.sqrt(zs.reduce((sum, z) => sum + (z - mean) ** 2, 0) / zs.length);
    expect(Math.abs(mean)).toBeLessThan(0.08);
    expect(Math.abs(sd - 1)).toBeLessThan(0.06);
  });
  it('takes one to five places; more are a survey, and a gun on bare metal is refused', () => {
    const said = (record: unknown) =>
      PressRecordSchema.safeParse(record).error?.issues.map(({ path, message }) => `${path.join('.')}: ${message}`);
    expect(said(check(0))).toBeUndefined();
    expect(said({ ...check(0), readings: [] })?.[0]).toMatch(/^readings: A quick check needs a reading/);
    expect(said(check(0, PLANS.nine(PLATEN)))?.[0]).toMatch(/^readings: More than 5 places are a survey/);
    expect(said({ ...check(0), instrument: { kind: 'infrared', emissivitySet: 0.95 }, finish: 'bare metal' })?.[0]).toMatch(
      /^instrument: Bare metal/,
    );
  });
});

describe('two surveys of one platen', () => {
  const later = (change: (place: { xMm: number; yMm: number }) => number) =>
    platenMap(
      { ...survey, id: 'survey-b', readings: survey.readings.map((reading) => ({ ...reading, readC: reading.readC + change(reading) })) },
      PLATEN,
      '2026-03-01',
    );
  const soon = { days: 59, closings: 400 };
  it('agree where the press drifted as presses do', () => {
    expect(
      contradiction(
        map,
        later(() => 0),
        soon,
      ),
    ).toBeNull();
    expect(
      contradiction(
        map,
        later(() => 2),
        soon,
      ),
    ).toBeNull();
  });
  it('contradict each other all over, or in one corner, and where is told', () => {
    expect(
      contradiction(
        map,
        later(() => 14),
        soon,
      ),
    ).toMatchObject({ on: '2026-01-01', allOver: true, byK: expect.closeTo(14, -1) });
    const corner = contradiction(
      map,
      later(({ xMm, yMm }) => (xMm < 0 && yMm < 0 ? -22 : 0)),
      soon,
    );
    expect(corner).toMatchObject({ allOver: false });
    expect(corner && placeName(corner, PLATEN)).toBe('back left');
    expect(corner?.byK).toBeLessThan(-10);
  });
  it('contradict each other less after years', () => {
    expect(
      contradiction(
        map,
        later(() => 11),
        { days: 20, closings: 0 },
      ),
    ).not.toBeNull();
    expect(
      contradiction(
        map,
        later(() => 11),
        { days: 9000, closings: 0 },
      ),
    ).toBeNull();
  });
});
