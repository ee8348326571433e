/** Air, dial and paper: hand-worked cases, and the way back from each. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type AirDrive,
  CORNERS,
  contactAtReading,
  contactFromLine,
  faceMm2,
  forceAt,
  lineForContact,
  overlapMm2,
  type PULLS,
  paperPullDue,
  pullAt,
  ratioFrom,
  readingForContact,
  readPaperPull,
  touchingMm2,
} from './index';

const drive = (change: Partial<AirDrive> = {}): AirDrive => ({ cylinders: 1, boreMm: 80, ratio: 1.5, springN: 200, ...change });
const UPPER = { widthMm: 400, heightMm: 500 };
const SMALL = { widthMm: 150, heightMm: 150 };

describe('air, worked by hand', () => {
  it('one 80 mm cylinder at 400 kPa, linkage 1.5, spring 200 N: 2816 N, 14.1 kPa on 400 by 500', () => {
    // π/4 · 0.08² = 5.0265e-3 m²; × 400 000 Pa = 2010.6 N; × 1.5 = 3015.9 N; − 200 N
    expect(forceAt(drive(), 400)).toBeCloseTo(2815.9, 1);
    expect(contactFromLine(drive(), 400, overlapMm2(UPPER, UPPER))).toBeCloseTo(14.08, 2);
  });
  it('the same line on the small platen: 125 kPa, nine times as much', () => {
    expect(contactFromLine(drive(), 400, overlapMm2(SMALL, UPPER))).toBeCloseTo(125.2, 1);
  });
  it('two cylinders push twice as hard before the one spring', () => {
    expect(forceAt(drive({ cylinders: 2 }), 400)).toBeCloseTo(5831.9, 1);
  });
  it('a lone 100 mm coaster: 359 kPa; four of them share it: 90 kPa', () => {
    const coaster = faceMm2({ widthMm: 100, heightMm: 100, round: true });
    expect(coaster).toBeCloseTo(7854, 0);
    const whole = overlapMm2(UPPER, UPPER);
    expect(contactFromLine(drive(), 400, touchingMm2(whole, { faceMm2: coaster, pieces: 1 }))).toBeCloseTo(358.5, 1);
    expect(contactFromLine(drive(), 400, touchingMm2(whole, { faceMm2: coaster, pieces: 4 }))).toBeCloseTo(89.6, 1);
  });
  it('hard pieces touch no more than the platens reach', () => {
    expect(touchingMm2(overlapMm2(SMALL, UPPER), { faceMm2: 40_000, pieces: 2 })).toBe(22_500);
    expect(touchingMm2(overlapMm2(UPPER, SMALL), null)).toBe(22_500);
  });
  it('the spring holds the platen up until the line overcomes it', () => {
    expect(forceAt(drive(), 20)).toBe(0);
    expect(forceAt(drive({ springN: 0 }), 20)).toBeCloseTo(150.8, 1);
  });
  it('one load cell reading shows the linkage', () => {
    expect(ratioFrom(drive(), 400, 2815.9)).toBeCloseTo(1.5, 4);
  });
  it('nothing touching is refused', () => {
    expect(() => contactFromLine(drive(), 400, 0)).toThrow(/area must be over zero/);
    expect(() => lineForContact(drive(), 20, Number.NaN)).toThrow(RangeError);
  });
  it('there and back to 0.1 %, over every drive, area and pressure', () => {
    fc.assert(
      fc.property(
        fc.record({
          cylinders: fc.integer({ min: 1, max: 4 }),
          boreMm: fc.integer({ min: 20, max: 200 }),
          ratio: fc.option(fc.double({ min: 0.5, max: 6, noNaN: true }), { nil: null }),
          springN: fc.integer({ min: 0, max: 2000 }),
        }),
        fc.integer({ min: 2000, max: 400_000 }),
        fc.double({ min: 5, max: 80, noNaN: true }),
        (air, areaMm2, contactKPa) => {
          const back = contactFromLine(air, lineForContact(air, contactKPa, areaMm2), areaMm2);
          expect(Math.abs(back / contactKPa - 1)).toBeLessThan(0.001);
          const ratio = ratioFrom(air, 300, forceAt({ ...air, springN: 0 }, 300) - air.springN);
          expect(ratio).toBeCloseTo(air.ratio ?? 1, 6);
        },
      ),
    );
  });
});

describe('a dial tied to pairs', () => {
  const pairs = [
    { reading: 6, contactKPa: 28 },
    { reading: 2, contactKPa: 8 },
    { reading: 4, contactKPa: 14 },
  ];
  it('lies on straight lines between them', () => {
    expect(contactAtReading(pairs, 5)).toMatchObject({ contactKPa: 21, beyond: false });
    expect(contactAtReading(pairs, 3).contactKPa).toBeCloseTo(11);
    expect(readingForContact(pairs, 21)).toBeCloseTo(5);
  });
  it('beyond them goes on by the end line, and is trusted less the further it goes', () => {
    const [near, far, inside] = [contactAtReading(pairs, 7), contactAtReading(pairs, 9), contactAtReading(pairs, 5.9)];
    expect(near).toMatchObject({ contactKPa: 35, beyond: true });
    expect(far.sdKPa / far.contactKPa).toBeGreaterThan(near.sdKPa / near.contactKPa);
    expect(near.sdKPa).toBeGreaterThan(2 * inside.sdKPa - 1);
    expect(contactAtReading(pairs, 0)).toMatchObject({ contactKPa: 2, beyond: true });
  });
  it('more on the dial is never less pressure, and there and back is the same', () => {
    const climbing = fc
      .array(fc.tuple(fc.double({ min: 0.2, max: 2, noNaN: true }), fc.double({ min: 0.5, max: 12, noNaN: true })), {
        minLength: 2,
        maxLength: 6,
      })
      .map((steps) => {
        const pairs = [{ reading: 0, contactKPa: 3 }];
        for (const [dr, dp] of steps) {
          const last = pairs.at(-1) ?? { reading: 0, contactKPa: 3 };
          pairs.push({ reading: last.reading + dr, contactKPa: last.contactKPa + dp });
        }
        return pairs;
      });
    fc.assert(
      fc.property(
        climbing,
        fc.double({ min: 0, max: 10, noNaN: true }),
        fc.double({ min: 0.01, max: 2, noNaN: true }),
        (some, reading, more) => {
          expect(contactAtReading(some, reading + more).contactKPa).toBeGreaterThanOrEqual(contactAtReading(some, reading).contactKPa);
          const { contactKPa } = contactAtReading(some, reading);
          if (contactKPa > 0) expect(readingForContact(some, contactKPa)).toBeCloseTo(reading, 6);
        },
      ),
    );
  });
  it('one pair, or pairs all of one pressure, set nothing', () => {
    expect(() => contactAtReading([{ reading: 3, contactKPa: 9 }], 3)).toThrow(/two pairs/);
    expect(() =>
      readingForContact(
        [
          { reading: 3, contactKPa: 9 },
          { reading: 5, contactKPa: 9 },
        ],
        9,
      ),
    ).toThrow(/different pressure/);
  });
});

describe('the paper-pull test', () => {
  const all = (pull: (typeof PULLS)[number]) =>
    Object.fromEntries(CORNERS.map((corner) => [corner, pull])) as Record<(typeof CORNERS)[number], (typeof PULLS)[number]>;
  it.each([
    ['slides free', 'under light'],
    ['drags', 'light to medium'],
    ['moves by a steady pull', 'medium to firm'],
    ['will not move', 'firm or more'],
  ] as const)('%s at every corner: %s, and parallel', (pull, words) => {
    expect(readPaperPull(all(pull))).toMatchObject({ words, parallel: true, loose: [], side: null });
  });
  it('a loose side is named, and the loosest corner gives the band', () => {
    const back = { ...all('will not move'), 'back left': 'drags', 'back right': 'drags' } as const;
    expect(readPaperPull(back)).toMatchObject({
      words: 'light to medium',
      parallel: false,
      side: 'back',
      loose: ['back left', 'back right'],
    });
    const corner = { ...all('will not move'), 'front left': 'moves by a steady pull' } as const;
    expect(readPaperPull(corner)).toMatchObject({ words: 'medium to firm', parallel: false, side: null, loose: ['front left'] });
  });
});

describe('when slips are to be pulled, and what they do', () => {
  it('once never done and every 90 days, at presses that have corners', () => {
    const due = (kind: 'clamshell' | 'cap' | 'iron', days: number | null) => paperPullDue({ kind }, days);
    expect([due('clamshell', null), due('clamshell', 91), due('clamshell', 90)]).toEqual([true, true, false]);
    expect([due('cap', null), due('iron', null)]).toEqual([false, false]);
  });
  it.each([
    [4, 'slides free'],
    [11, 'drags'],
    [20, 'moves by a steady pull'],
    [36, 'will not move'],
    [90, 'will not move'],
  ] as const)('at %d kPa a slip %s', (kPa, pull) => expect(pullAt(kPa)).toBe(pull));
});
