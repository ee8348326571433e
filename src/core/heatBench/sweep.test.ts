import { describe, expect, it } from 'vitest';
import { passage, pieceOf } from '../../../test/columns';
import { press } from '../heat';
import { adhesiveOfQuery, type HeatQuery, HeatQuerySchema, type SweepQuery, SweepQuerySchema, sweepRows, valuesOf, withInput } from '.';

const own = pieceOf('cotton jersey');
const query: HeatQuery = {
  piece: pieceOf('fleece', { cover: true, damp: true, baseC: 30 }),
  passage: passage({ prePressS: 4 }),
  adhesive: { softenC: 105, reference: { piece: own, surfaceC: 150, timeS: 10 }, shift: 1 },
  limits: { markC: null, damageC: null, dyeC: null },
};
const table = (heatPiece: SweepQuery): number[][] => [...sweepRows(heatPiece)].flatMap(({ rows }) => rows.map(({ bonds }) => bonds));

describe('a sweep', () => {
  it.each([
    ['time', 4, 16, 'temperature', 140, 165],
    ['temperature', 140, 165, 'time', 4, 16],
    ['pressure', 10, 40, 'base', 15, 80],
    ['damp', 0, 2, 'pre-press', 0, 10],
    ['thickness', 0.5, 2, 'damp', 0, 2],
  ] as const)('%s from %f to %f by %s gives at every point what a fine press gives there, within 2 %', (x, x0, x1, y, y0, y1) => {
    const sweep: SweepQuery = { ...query, x: { of: x, from: x0, to: x1, steps: 3 }, y: { of: y, from: y0, to: y1, steps: 3 } };
    const rows = table(sweep);
    const adhesive = adhesiveOfQuery(query);
    valuesOf(sweep.y).forEach((b, j) => {
      valuesOf(sweep.x).forEach((a, i) => {
        const entry = withInput(query.piece, query.passage, x, a);
        const both = withInput(entry.piece, entry.passage, y, b);
        const fine = press(both.piece, both.passage, adhesive, query.limits, { resolution: 2, toleranceK: 0.005 }).read.bond;
        expect(Math.abs((rows[j]?.[i] ?? 0) / fine - 1)).toBeLessThan(0.02);
      });
    });
  });
  it('tells its progress row by row, and stops where it is left', () => {
    const rows = sweepRows({ ...query, x: { of: 'time', from: 4, to: 16, steps: 5 }, y: { of: 'base', from: 15, to: 80, steps: 4 } });
    expect(rows.next().value).toMatchObject({ done: 1, of: 4 });
    expect(rows.return(undefined).done).toBe(true);
  });
});

describe('what is asked is checked before anything is computed', () => {
  const said = (change: object): string[] => {
    const parsed = HeatQuerySchema.safeParse({ ...query, ...change });
    return parsed.success ? [] : parsed.error.issues.map((issue) => `${issue.path.join('.')}: ${issue.message}`);
  };
  const stack = (change: object) => ({
    piece: { ...query.piece, stack: query.piece.stack.map((entry, i) => (i === 0 ? { ...entry, ...change } : entry)) },
  });
  it.each([
    ['no thickness', stack({ thicknessMm: 0 }), /piece\.stack\.0\.thicknessMm: .*at least 0.002/],
    ['less than none', stack({ thicknessMm: -1 }), /piece\.stack\.0\.thicknessMm/],
    ['a word for a figure', stack({ k: 'warm' }), /piece\.stack\.0\.k: .*give a number/],
    [
      'ten thousand layers',
      { piece: { ...query.piece, stack: Array.from({ length: 10_000 }, () => query.piece.stack[0]) } },
      /piece\.stack: More than 24/,
    ],
    ['a million seconds', { passage: { ...query.passage, timeS: 1e6 } }, /passage\.timeS: .*over 3600/],
    ['a thousand degrees', { passage: { ...query.passage, surfaceC: 1000 } }, /passage\.surfaceC: .*over 260/],
    [
      'nothing to press on',
      { piece: { ...query.piece, stack: query.piece.stack.filter(({ role }) => role !== 'fabric') } },
      /piece\.stack: There is nothing/,
    ],
  ])('%s', (_, change, says) => {
    expect(said(change).join('; ')).toMatch(says);
  });
  it('a sweep of one thing twice, backwards, or out of reach', () => {
    const axis = { of: 'time', from: 4, to: 16, steps: 5 };
    const faults = (x: object, y: object) =>
      SweepQuerySchema.safeParse({ ...query, x, y }).error?.issues.map((issue) => issue.message) ?? [];
    expect(faults(axis, axis)).toEqual(['Sweep two different things.']);
    expect(faults(axis, { ...axis, of: 'base', from: 80, to: 20 })).toEqual(['A sweep ends above where it begins.']);
    expect(faults({ ...axis, to: 1e6 }, { ...axis, of: 'base' }).join()).toMatch(/swept from 0.5 to 600 s/);
    expect(faults({ ...axis, steps: 900 }, { ...axis, of: 'base' })).toEqual(['At most 60 steps.']);
  });
});
