/** Chances held against presses and limits that were drawn, and against a judge who knows how. */
import { describe, expect, it } from 'vitest';
import { AS_STATED, chanceOver, type Drawing, drawn, OTHERWISE, shareOf, surfacesKnown, surfaceUnder } from '../../../test/drawnPresses';
import { cardOf, EVERYDAY, everyday, inputFor, REFUSED } from '../../../test/everyday';
import { Chance, PLATEN } from '../../../test/platens';
import { isWhole } from '../../../test/runs';
import { resolve } from '../card';
import { STARTING_HOUSE } from '../house';
import { type Area, type Instrument, platenMap, priorTenths, type Surface, surfaceOver } from '../press';
import { phraseText } from '../units';
import type { BareBound, Side } from './bound';
import { chanceAt, MANNERS } from './chance';

const INSTRUMENTS: (Instrument | null)[] = [null, { kind: 'probe' }, { kind: 'strip', stepK: 6 }, { kind: 'infrared', emissivitySet: 0.9 }];
const SIDES: readonly (readonly [Side, number])[] = [
  ['sheet low', 0],
  ['sheet high', 0],
  ['sheet low', 2.7],
  ['mark', 5],
  ['damage', 5],
  ['mark', 2],
];
const SHARE = { coolest: 0.1, hottest: 0.9, most: 1 } as const;

interface Judged {
  said: number;
  /** By one who knows how the press was drawn; null: not asked. */
  known: number | null;
  passed: boolean;
}

/** Judges bounds at chance places beside the surface of drawn presses. @param asked of so many presses one of each instrument is also judged by one who knows its drawing */
function judgedBounds(drawing: Drawing, presses: number, seed: number, asked: number | null): Judged[] {
  const chance = new Chance(seed);
  return Array.from({ length: presses }, (_, n) => n).flatMap((n) => {
    const instrument = INSTRUMENTS[n % INSTRUMENTS.length] ?? null;
    const press = drawn(chance, drawing, instrument, chance.pick(['five', 'nine'] as const));
    const [widthMm, heightMm] = [chance.uniform(90, 300), chance.uniform(90, 350)];
    const area: Area = {
      widthMm,
      heightMm,
      xMm: chance.uniform(-1, 1) * ((PLATEN.widthMm - widthMm) / 2),
      yMm: chance.uniform(-1, 1) * ((PLATEN.heightMm - heightMm) / 2),
    };
    const flat = { offsetK: 0, spreadK: 0, slope: 0, spreadPerK: 0, refC: 150 };
    const surface: Surface = press.survey
      ? surfaceOver(platenMap(press.survey, PLATEN, '2026-01-01'), area)
      : { ...flat, ...priorTenths(area, PLATEN) };
    const truth = surfaceUnder(press, area);
    const likely =
      asked && Math.floor(n / INSTRUMENTS.length) % (asked / INSTRUMENTS.length) === 0 ? surfacesKnown(press, drawing, area, chance) : null;
    return SIDES.map(([side, sdK]): Judged => {
      const { whose } = MANNERS[side];
      const keep = side === 'sheet low' ? 'above' : 'below';
      const { meanK, sdK: surfaceSd } = surface[whose];
      const boundK = meanK + chance.normal(1.3) * Math.hypot(surfaceSd, sdK);
      const bound: BareBound = { side, keep, surfaceC: 150 + boundK, sdK, ours: false, eased: false };
      const limit = boundK + chance.normal(sdK);
      const really = shareOf(truth, SHARE[whose]);
      return {
        said: chanceAt(surface, bound, 150),
        known:
          likely &&
          chanceOver(
            likely.map((entry) => shareOf(entry, SHARE[whose])),
            keep,
            boundK,
            sdK,
          ),
        passed: keep === 'above' ? really < limit : really > limit,
      };
    });
  });
}

/** Each tenth of what was said, with how often it came so. */
function deciles(judged: readonly Judged[]): { said: number; came: number; n: number }[] {
  return Array.from({ length: 10 }, (_, d) => {
    const within = judged.filter(({ said }) => Math.min(9, Math.floor(10 * said)) === d);
    const mean = (of: (judged: Judged) => number) => within.reduce((sum, judged) => sum + of(judged), 0) / within.length;
    return { said: mean(({ said }) => said), came: mean(({ passed }) => Number(passed)), n: within.length };
  });
}
const table = (rows: ReturnType<typeof deciles>) =>
  rows.map(({ said, came, n }) => `${(100 * said).toFixed(1)} % said, ${(100 * came).toFixed(1)} % came (${n})`).join('\n');
const brier = (judged: readonly Judged[], of: 'said' | 'known') =>
  judged.reduce((sum, judged) => sum + ((judged[of] ?? 0) - Number(judged.passed)) ** 2, 0) / judged.length;

describe.runIf(isWhole)('chances over drawn presses, surveys and limits', () => {
  it('come as they are said, within four points in each tenth, and are nearly as sharp as of a judge who knows the drawing', () => {
    const judged = judgedBounds(AS_STATED, 4000, 7, 16);
    const rows = deciles(judged);
    const both = judged.filter(({ known }) => known !== null);
    const [ours, best] = [brier(both, 'said'), brier(both, 'known')];
    console.log(
      `${table(rows)}\nBrier score ${ours.toFixed(4)}, of one who knows the drawing ${best.toFixed(4)}: ${(ours / best).toFixed(3)}`,
    );
    expect(judged.length).toBeGreaterThanOrEqual(20_000);
    for (const { said, came, n } of rows) {
      expect(n).toBeGreaterThanOrEqual(1000);
      expect(Math.abs(said - came)).toBeLessThanOrEqual(0.04);
    }
    expect(ours).toBeLessThanOrEqual(1.05 * best);
  });
  it('and within ten points where presses are drawn with heavy tails and another kernel', () => {
    const rows = deciles(judgedBounds(OTHERWISE, 4000, 8, null));
    console.log(table(rows));
    for (const { said, came, n } of rows) if (n >= 1000) expect(Math.abs(said - came)).toBeLessThanOrEqual(0.1);
    expect(rows.filter(({ n }) => n >= 1000).length).toBeGreaterThanOrEqual(8);
  });
});

describe('everyday jobs, and those a master refuses', () => {
  it.runIf(isWhole)('on a press good to 2 K at least 85 in 100 are Clear and one at most is on Hold; to 5 K two at most', () => {
    const [two, five] = [everyday(2), everyday(5)];
    expect(two.clear).toBeGreaterThanOrEqual(0.85 * EVERYDAY.length);
    expect(two.hold).toBeLessThanOrEqual(1);
    expect(five.hold).toBeLessThanOrEqual(2);
  });
  it('on one that was never measured none is Clear, and three at most are on Hold', () => {
    const { clear, hold } = everyday(null);
    expect(clear).toBe(0);
    expect(hold).toBeLessThanOrEqual(3);
  });
  it('what a master refuses is on Hold for his reason, and never Clear', () => {
    const lamps = REFUSED.map((job) => {
      const { lamp } = cardOf(job, 2, false);
      const why = lamp.findings.map(({ says }) => phraseText(says, STARTING_HOUSE.units)).join(' | ');
      if (lamp.state === 'hold') expect(why).toMatch(job.because);
      return lamp.state;
    });
    expect(lamps).not.toContain('clear');
    expect(lamps.filter((state) => state === 'hold').length).toBeGreaterThanOrEqual(23);
  });
});

describe('a press that is even, surveyed by probe at five places', () => {
  it('is known to ±4.5 K over a large piece of art, and plain film on cotton is never on Hold there, a hundred times in a hundred', () => {
    const chance = new Chance(3);
    const even: Drawing = { ...AS_STATED, roughness: [[1, 1]] };
    const area: Area = { xMm: 0, yMm: 0, widthMm: 250, heightMm: 300 };
    const bands: number[] = [];
    const lamps: string[] = [];
    while (bands.length < 100) {
      const press = drawn(chance, even, { kind: 'probe' }, 'five');
      const truth = surfaceUnder(press, area);
      if (!press.survey || Math.max(...truth) - Math.min(...truth) > 4) continue;
      const map = platenMap({ ...press.survey, pressId: 'true' }, PLATEN, '2026-03-01');
      bands.push(surfaceOver(map, area).spreadK);
      const job = EVERYDAY[1] as (typeof EVERYDAY)[number];
      lamps.push(resolve({ ...inputFor(job, null), maps: [map] }).lamp.state);
    }
    expect(bands.sort((a, b) => a - b)[50]).toBeLessThan(4.5);
    expect(lamps).not.toContain('hold');
  });

  it.runIf(isWhole).each([
    ['probe', { kind: 'probe' }],
    ['strip', { kind: 'strip', stepK: 6 }],
  ] as const)('a survey by %s has 93 to 98 in a hundred of the places under the art within its band', (_, instrument) => {
    const chance = new Chance(8);
    const area: Area = { xMm: 40, yMm: -60, widthMm: 220, heightMm: 260 };
    let within = 0;
    const presses = 400;
    for (let n = 0; n < presses; n++) {
      const press = drawn(chance, AS_STATED, instrument, n % 2 === 0 ? 'five' : 'nine');
      if (!press.survey) continue;
      const surface = surfaceOver(platenMap(press.survey, PLATEN, '2026-03-01'), area);
      const truth = surfaceUnder(press, area);
      within += truth.filter((offsetK) => Math.abs(offsetK - surface.offsetK) <= surface.spreadK).length / truth.length;
    }
    expect(within / presses).toBeGreaterThan(0.93);
    expect(within / presses).toBeLessThan(0.98);
  });
});
