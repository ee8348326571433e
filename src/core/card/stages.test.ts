import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../../test/runs';
import { inputs } from '../../../test/shops';
import { type Case, inputOf } from '../../../test/trade/check';
import type { HouseRules } from '../house';
import { isHard } from '../materials';
import { coolingTimeS } from './peelWait';
import { resolve } from './resolve';
import type { Stage } from './schema';
import { minutesOf } from './stages';

const roles = (stage: Stage | undefined) => stage?.stack.map((layer) => layer.role) ?? [];

describe('the stages of a piece, over random shops', () => {
  it('begin where the hands can begin, end with a look, and are each worth doing', () => {
    fc.assert(
      fc.property(inputs, (input) => {
        const { stages } = resolve(input);
        expect(stages.at(-1)?.kind).toBe('inspect');
        expect(['load', 'marry', 'trim', 'place', 'wait']).toContain(stages[0]?.kind);
        for (const stage of stages) {
          expect(stage.timeS).toBeGreaterThan(0);
          expect(stage.setC === null).toBe(stage.by !== 'press');
        }
      }),
      runs(1000),
    );
  });
  it('the upper platen is on the stack when the press is shut, and at no other time', () => {
    fc.assert(
      fc.property(inputs, (input) => {
        for (const stage of resolve(input).stages)
          expect(roles(stage).filter((role) => role === 'upper platen')).toHaveLength(stage.by === 'press' ? 1 : 0);
      }),
      runs(1000),
    );
  });
  it('the blank is under the press at every closing but a marry', () => {
    fc.assert(
      fc.property(inputs, (input) => {
        for (const stage of resolve(input).stages)
          if (stage.by === 'press') expect(roles(stage).includes('fabric')).toBe(stage.kind !== 'marry');
      }),
      runs(1000),
    );
  });
  it('no carrier is left on the piece that is looked at, and every layer of film is', () => {
    fc.assert(
      fc.property(inputs, (input) => {
        const last = roles(resolve(input).stages.at(-1));
        expect(last).not.toContain('carrier');
        expect(last.filter((role) => role === 'transfer')).toHaveLength(1 + input.under.length);
      }),
      runs(1000),
    );
  });
  it('a sheet marked as new was not there at the stage before', () => {
    fc.assert(
      fc.property(inputs, (input) => {
        const { stages } = resolve(input);
        stages.slice(1).forEach((stage, i) => {
          const before = stages[i]?.stack ?? [];
          for (const layer of stage.stack.filter((candidate) => candidate.fresh))
            expect(before.some((candidate) => candidate.role === layer.role && candidate.name === layer.name)).toBe(false);
        });
      }),
      runs(1000),
    );
  });
});

describe('particular pieces', () => {
  const stagesFor = (change: Partial<Parameters<typeof inputOf>[0]>) =>
    resolve(inputOf({ says: 'a case', on: 'cotton-tee', with: 'cut-film', ...change })).stages;
  it('two layers: the lower is tacked and freed before the last one is laid and pressed over it', () => {
    const stages = stagesFor({ under: ['cut-film'] });
    const kinds = stages.map((stage) => stage.kind);
    expect(kinds.indexOf('tack')).toBeGreaterThan(0);
    expect(kinds.indexOf('tack')).toBeLessThan(kinds.indexOf('press'));
    expect(roles(stages[kinds.indexOf('press')]).filter((role) => role === 'transfer')).toHaveLength(2);
    expect(roles(stages[kinds.indexOf('tack')]).filter((role) => role === 'transfer')).toHaveLength(1);
  });
  it('two sheets: married with no blank in the press, trimmed or laid only afterwards', () => {
    const stages = stagesFor({ with: 'two-sheet-toner' });
    const marry = stages.findIndex((stage) => stage.kind === 'marry');
    expect(roles(stages[marry])).toEqual(expect.arrayContaining(['transfer', 'adhesive']));
    expect(stages.findIndex((stage) => stage.kind === 'press')).toBeGreaterThan(marry);
  });
  it('an iron smaller than the art presses it in spots, each as long as the sheet says', () => {
    const spots = stagesFor({ press: 'iron', print: { widthMm: 280, heightMm: 200 } }).filter((stage) => stage.kind === 'press');
    expect(spots.length).toBeGreaterThan(1);
    expect(new Set(spots.map((stage) => stage.timeS)).size).toBe(1);
  });
});

describe('minutes', () => {
  it('count hands and closings in full and a long wait only as far as it keeps the piece at the press', () => {
    expect(
      minutesOf([
        { by: 'hands', timeS: 30 },
        { by: 'press', timeS: 15 },
      ]),
    ).toBeCloseTo(0.75);
    expect(minutesOf([{ by: 'clock', timeS: 20 }])).toBeCloseTo(20 / 60);
    expect(minutesOf([{ by: 'clock', timeS: 3600 }])).toBeCloseTo(0.75);
  });
  it('cooling agrees with the body’s own equation stepped through time', () => {
    const [massJm2K, fromC, roomC, dt] = [10_000, 170, 21, 0.05];
    let [tempC, t] = [fromC, 0];
    while (tempC > roomC + 5) {
      tempC -= ((2 * 12 * (tempC - roomC)) / massJm2K) * dt;
      t += dt;
    }
    expect(Math.abs(coolingTimeS(massJm2K, fromC, roomC, 5) - t)).toBeLessThan(1);
  });
});

describe('the wait before a peel', () => {
  const waitOf = (coolsOn: HouseRules['coolsOn'], change: Partial<Case> = {}) => {
    const input = inputOf({ says: 'peel', on: 'cotton-tee', with: 'cut-film', ...change });
    const { stages } = resolve({ ...input, house: { ...input.house, rules: { ...input.house.rules, coolsOn } } });
    return stages.find(({ kind }) => kind === 'wait');
  };
  const cold = { with: 'two-sheet-toner' as const };
  it('is a span by where the piece is laid: soonest on a table, last on a rack, a minute and more on the base', () => {
    const spans = (['table', 'air', 'rack', 'base'] as const).map((where) => waitOf(where)?.span ?? { fromS: Number.NaN, toS: null });
    const from = spans.map(({ fromS }) => fromS);
    expect([...from].sort((a, b) => a - b)).toEqual(from);
    // a shirt with its carrier: about half a minute in air, a third of that on a cool table
    expect(from[0]).toBeGreaterThanOrEqual(6);
    expect(from[0]).toBeLessThanOrEqual(14);
    expect(from[1]).toBeGreaterThanOrEqual(22);
    expect(from[1]).toBeLessThanOrEqual(40);
    expect(from[3]).toBeGreaterThan(45);
    for (const { fromS, toS } of spans) expect(toS).toBeGreaterThan(fromS + 5);
  });
  it('to cold takes two or three minutes and keeps; on a warm base it is laid on a table instead', () => {
    for (const where of ['table', 'air', 'rack'] as const) {
      const { span, timeS } = waitOf(where, cold) ?? {};
      expect(span?.toS).toBeNull();
      expect(timeS).toBe(span?.fromS);
      expect(timeS).toBeGreaterThan(60);
      expect(timeS).toBeLessThan(240);
    }
    expect(waitOf('base', cold)?.span).toEqual(waitOf('table', cold)?.span);
  });
  it('of glass takes minutes, of thick glass tens of them, whatever pad lay over it', () => {
    const glass = (thicknessMm: number) =>
      waitOf('table', { on: 'glass-coaster', with: 'hard-paper-smooth', blank: { thicknessMm } })?.timeS ?? 0;
    expect(glass(4)).toBeGreaterThan(5 * 60);
    expect(glass(10)).toBeGreaterThan(20 * 60);
    expect(glass(10)).toBeLessThan(60 * 60);
  });
  it('is as the house is told of each place: warm on a table soonest, cold in the air hardly later, on a rack last', () => {
    const [table, air, rack] = (['table', 'air', 'rack'] as const).map((where) => ({
      warm: waitOf(where)?.timeS ?? 0,
      cold: waitOf(where, cold)?.timeS ?? 0,
    }));
    expect((air?.warm ?? 0) / (table?.warm ?? 1)).toBeGreaterThan(1.8);
    expect((air?.warm ?? 0) / (table?.warm ?? 1)).toBeLessThan(3.3);
    expect(Math.abs((air?.cold ?? 0) / (table?.cold ?? 1) - 1)).toBeLessThan(0.25);
    expect(rack?.warm).toBeGreaterThan(air?.warm ?? 0);
    expect(rack?.cold).toBeGreaterThan(air?.cold ?? 0);
  });
  it('is longer for a hotter press, and leaves the piece on the press where it cools there', () => {
    expect(waitOf('air', { choices: { setC: 159 } })?.timeS).toBeGreaterThan(waitOf('air', { choices: { setC: 146 } })?.timeS ?? 0);
    expect(waitOf('base')?.span?.onBase).toBe(true);
    expect(waitOf('table')?.span?.onBase).toBeUndefined();
  });
  it('stands before every warm or cold peel of a piece, embossed ones and lower layers too', () => {
    fc.assert(
      fc.property(inputs, (input) => {
        const { stages, lamp } = resolve(input);
        stages.forEach(({ kind, says }, i) => {
          const words = says.filter((part) => typeof part === 'string').join('');
          if (kind !== 'peel' || !/warm|cold/.test(words)) return;
          const before = stages[i - 1];
          // what is no warmer than that as the press opens needs no wait: of cloth, a print so cold is a Hold
          if (before?.kind === 'wait') expect(before.span?.fromS).toBe(before.timeS);
          else expect(isHard(input.fabric) || lamp.state === 'hold').toBe(true);
        });
      }),
      runs(1000),
    );
  });
});
