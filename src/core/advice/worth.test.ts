/** What measuring is worth, held against presses that are drawn, surveyed and judged again. */
import { describe, expect, it } from 'vitest';
import { EVERYDAY, inputFor } from '../../../test/everyday';
import { isWhole } from '../../../test/runs';
import { inputOf, PRESSES } from '../../../test/trade/check';
import { outcomeBySimulation, shopsToMeasure } from '../../../test/worth';
import { prepared } from '../draft';
import { judge, LAW } from '../judgement';
import { fixedNormals } from '../numerics';
import { commonDoubt, correctedBy, instrumentError } from '../press';
import { MEASURINGS, worthOf } from './worth';

const tee = (known: 2 | 5 | null) => inputFor(EVERYDAY[0] as (typeof EVERYDAY)[number], known);

describe('what measuring is worth', () => {
  it.runIf(isWhole).each(shopsToMeasure(6).map((shop, n) => [n + 1, shop] as const))(
    'shop %i: what is reckoned beforehand is what it comes to over drawn presses',
    (_, shop) => {
      const { reckoned, simulated, se } = outcomeBySimulation(shop, 60);
      expect(simulated).toBeGreaterThan(0);
      expect(Math.abs(reckoned - simulated)).toBeLessThan(Math.max(0.02, 0.1 * simulated) + 3 * se);
    },
  );

  it('grows with the pieces that are left, and the better survey is worth more than the same places by a gun', () => {
    const worth = (pieces: number) => worthOf([{ input: tee(null), pieces }]);
    const [one, ten] = [worth(1), worth(10)];
    expect(ten.map(({ saved }) => saved)).toEqual(one.map(({ saved }) => expect.closeTo(10 * saved, 6)));
    const by = (instrument: string) =>
      one.find(({ measure }) => measure.kind === 'survey' && measure.plan === 'five' && measure.instrument === instrument);
    expect(by('probe')?.saved).toBeGreaterThan(by('infrared')?.saved ?? Number.POSITIVE_INFINITY);
    expect(one.map(({ saved }) => saved)).toEqual(one.map(({ saved }) => saved).sort((a, b) => b - a));
  });

  it('a press nobody measured has lamps to win, one that is known as well already nothing', () => {
    const [best] = worthOf([{ input: tee(null), pieces: 12 }]);
    expect(best).toMatchObject({ prints: 1, pieces: 12, lampsBetter: expect.closeTo(1, 1) });
    expect(worthOf([{ input: tee(2), pieces: 12 }])).toEqual([]);
    expect(worthOf([{ input: tee(null), pieces: 0 }])).toEqual([]);
    expect(worthOf([])).toEqual([]);
    // what something else holds is not pressed, whatever the press does
    const held = inputOf({ says: 'held', on: 'glass-coaster', with: 'cut-film', press: 'unmeasured' });
    expect(worthOf([{ input: held, pieces: 12 }])).toEqual([]);
  });

  it('a gauge nobody tied is worth tying where nothing else speaks against a print', () => {
    const input = inputOf({ says: 'a guess', on: 'cotton-tee', with: 'cut-film', press: 'untied' });
    const [only] = worthOf([{ input, pieces: 5 }], []);
    expect(only).toMatchObject({ pressId: PRESSES.untied.id, measure: { kind: 'pressure pairs' }, saved: 0, lampsBetter: 1 });
  });

  it.runIf(isWhole)('a quick check is worth what it comes to over many presses that have wandered since their survey', () => {
    const plain = tee(null);
    const press = { ...plain.press, calibration: { offsetK: 0, spreadK: 5, on: '2020-01-01', how: 'survey, contact probe' } };
    const old = { ...plain, press, today: '2026-01-01' };
    const check = MEASURINGS.filter(({ plan }) => plan === 'check');
    const [worth] = worthOf([{ input: old, pieces: 20 }], check);
    const input = prepared(old);
    const { commonK, scatterK } = instrumentError({ kind: 'probe' });
    const sdK = Math.hypot(commonK, scatterK / Math.sqrt(3));
    const beforeK = commonDoubt(input.surface);
    const spoiled = (entry: typeof input) => 20 * (1 - judge(entry, LAW).soundChance);
    const after = fixedNormals(2, 400).map(([wandered = 0, error = 0]) => {
      const foundK = beforeK * wandered + sdK * error;
      return spoiled({ ...input, surface: correctedBy(input.surface, (foundK * beforeK ** 2) / (beforeK ** 2 + sdK ** 2), { sdK }) });
    });
    const saved = spoiled(input) - after.reduce((sum, value) => sum + value, 0) / after.length;
    expect(saved).toBeGreaterThan(0.05);
    expect(Math.abs((worth?.saved ?? 0) - saved)).toBeLessThan(Math.max(0.1 * saved, 0.02));
  });
  it('a quick check is nothing to a press nobody surveyed, nor to one that was surveyed today', () => {
    const check = MEASURINGS.filter(({ plan }) => plan === 'check');
    expect(worthOf([{ input: tee(null), pieces: 20 }], check)).toEqual([]);
    const today = { offsetK: 0, spreadK: 2, on: '2026-01-01', how: 'survey, contact probe' };
    expect(
      worthOf([{ input: { ...tee(null), press: { ...tee(null).press, calibration: today }, today: '2026-01-01' }, pieces: 20 }], check),
    ).toEqual([]);
  });

  it('each press has a line of its own for every measurement', () => {
    const worth = worthOf([
      { input: tee(null), pieces: 3 },
      { input: { ...tee(null), press: { ...PRESSES.unmeasured, id: 'other', name: 'another' } }, pieces: 3 },
    ]);
    expect(worth).toHaveLength(2 * (MEASURINGS.length - 1));
    expect(new Set(worth.map(({ pressId }) => pressId)).size).toBe(2);
  });
});
