import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../../test/runs';
import { inputs } from '../../../test/shops';
import { inputOf } from '../../../test/trade/check';
import { resolve } from '../card';
import { areaOfArt, prepared, type ResolveInput } from '../draft';
import { type Instrument, PLANS, platenMap, surfaceOver } from '../press';
import { STATE_RANK, worstAt } from '../window';
import { judge, QUICK } from '.';

/** Random shops whose press has a heated base, pressed with split heat. */
const splits = fc
  .tuple(inputs, fc.integer({ min: 60, max: 100 }), fc.integer({ min: 140, max: 190 }))
  .map(([input, minC, maxC]) => ({
    ...input,
    press: { ...input.press, kind: 'draw' as const, lower: { minC, maxC, offsetK: 3, spreadK: 2 } },
    print: { ...input.print, choices: { heat: 'split' as const } },
  }))
  .filter((input) => resolve(input).set.lowerC !== null);

/** The coolest upper platen that is looked for, °C. */
const NO_UPPER_C = -150;

describe('split heat over random shops', () => {
  it('the lower platen is set on its own step and within its own range', () => {
    fc.assert(
      fc.property(splits, (input) => {
        const { set } = resolve(input);
        const { unit, step } = input.press.set;
        const lowerC = set.lowerC ?? Number.NaN;
        const shown = unit === 'F' ? (lowerC * 9) / 5 + 32 : lowerC;
        expect(Math.abs(shown / step - Math.round(shown / step))).toBeLessThan(1e-6);
        const stepK = unit === 'F' ? (step * 5) / 9 : step;
        expect(lowerC).toBeGreaterThan((input.press.lower?.minC ?? 0) - stepK);
        expect(lowerC).toBeLessThan((input.press.lower?.maxC ?? 0) + stepK);
      }),
      runs(400),
    );
  });
  it('a wider spread below never betters what is expected of the window', () => {
    fc.assert(
      fc.property(splits, fc.integer({ min: 1, max: 6 }), (input, more) => {
        const lower = input.press.lower;
        if (!lower) return;
        const wider = { ...input, press: { ...input.press, lower: { ...lower, spreadK: lower.spreadK + more } } };
        const rank = (entry: typeof input) => {
          const { window, set } = resolve(entry);
          return STATE_RANK[worstAt(window, window.bounds, set.tempC)];
        };
        // what is expected inside grows less sure; what is expected outside is Hold either way
        fc.pre(resolve(input).smallestMarginK > 0 && resolve(wider).smallestMarginK > 0);
        expect(rank(wider)).toBeGreaterThanOrEqual(rank(input));
      }),
      runs(400),
    );
  });
  it('heat for the art comes from below: with a cooler base the same glue wants a hotter upper platen', () => {
    fc.assert(
      fc.property(splits, (input) => {
        // at one and the same time: by itself a card may take another for each
        const print = { ...input.print, choices: { ...input.print.choices, timeS: resolve(input).set.timeS } };
        const low = (maxC: number) => {
          const lower = { minC: maxC - 0.5, maxC, offsetK: 0, spreadK: 0 };
          const { window } = resolve({ ...input, print, press: { ...input.press, lower } });
          return window.bounds.find((bound) => bound.side === 'sheet low')?.surfaceC ?? Number.NaN;
        };
        // where the lower platen alone is more than enough, no upper one is cool enough
        if (low(100) === NO_UPPER_C) expect(low(160)).toBe(NO_UPPER_C);
        // through a thick pad hardly any of it comes, and the doses are told to a kelvin
        else expect(low(100)).toBeGreaterThan(low(160) - 1);
      }),
      runs(400),
    );
  });
});

describe('a survey of the heated lower platen', () => {
  it('is what split heat is judged by: a base found hotter than it shows is set lower', () => {
    const input = inputOf({ says: 'split', on: 'three-fibre-tee', with: 'cut-film', press: 'twoSided', choices: { heat: 'split' } });
    const readings = PLANS.nine(input.press.platen).map((place) => ({ ...place, setC: 150, readC: 162 }));
    const survey = { id: 's', kind: 'survey', pressId: input.press.id, platen: 'lower', at: 1, by: '', note: '' } as const;
    const map = platenMap(
      { ...survey, instrument: { kind: 'probe' }, finish: 'dark coated', roomC: 21, readings },
      input.press.platen,
      '2026-11-01',
    );
    const [before, after] = [resolve(input), resolve({ ...input, maps: [map] })];
    expect(after.set.lowerC ?? 0).toBeLessThan(before.set.lowerC ?? 0);
    const { offsetK, spreadK } = surfaceOver(
      map,
      areaOfArt(input.print, input.print.lay ?? resolve(input).laid?.lay ?? { xMm: 0, yMm: 0, turn: 0 }),
    );
    const typed = { ...input, press: { ...input.press, lower: { minC: 60, maxC: 220, offsetK, spreadK } } };
    expect(after.set).toEqual(resolve(typed).set);
    expect(after.window.offsetK).toBe(before.window.offsetK);
  });
});

describe('a pair that lies at the edge of a lamp', () => {
  type Expected = Record<'measured' | 'wider', { input: ResolveInput; instrument: Instrument; more: number }>;
  const { measured, wider } = JSON.parse(readFileSync('test/kept/split-edges.json', 'utf8')) as Expected;
  const rank = (input: ResolveInput) => STATE_RANK[judge(prepared(input), QUICK).lamp.state];
  it('is worked out by itself, so that measuring the press is no harm', () => {
    const { input, instrument } = measured;
    const { id: pressId, platen } = input.press;
    const readings = PLANS.five(platen).map((place) => ({ ...place, setC: 150, readC: 150 }));
    const survey = { id: 'flat', kind: 'survey', pressId, platen: 'upper', at: 1, by: '', note: '' } as const;
    const map = platenMap({ ...survey, instrument, finish: 'dark coated', roomC: 21, readings }, platen, '2026-03-01');
    expect(rank({ ...input, maps: [map] })).toBeLessThanOrEqual(rank(input));
  });
  it('nor is a sheet that allows more', () => {
    const { input, more } = wider;
    const stages = input.product.stages.map((stage) =>
      stage.kind === 'press' && stage.tempC?.form === 'range'
        ? { ...stage, tempC: { ...stage.tempC, min: stage.tempC.min - more, max: stage.tempC.max + more } }
        : stage,
    );
    expect(rank({ ...input, product: { ...input.product, stages } })).toBeLessThanOrEqual(rank(input));
  });
});
