import { describe, expect, it } from 'vitest';
import { inputOf } from '../../../test/trade/check';
import { type Blank, BUILT_IN_BLANKS } from '../materials';
import { cutsOf, splitAfter, splitRun } from '../placement';
import { type Line, LineSchema } from './order';
import { runSizes, withPrintWidths } from './printRun';

const tee = BUILT_IN_BLANKS.find((blank) => blank.id === 'cotton-tee') as Blank;
const { print } = inputOf({ says: 'a tee', on: 'cotton-tee', with: 'cut-film', print: { widthMm: 250, heightMm: 100 } });
const line = (id: string, size: string, count: number, change: Partial<Line> = {}): Line =>
  LineSchema.parse({ id: `line-${id}`, blankId: 'tee-one', size, count, prints: [print], roster: [], perClosing: 1, ...change });
const lines = [line('c', 'L', 4), line('a', 'YM', 6), line('b', 'M', 2), line('d', 'M', 3), line('e', 'ladies 12', 1)];
const FRONT = { min: 0.42, max: 0.6 };

describe('a run of sizes in an order', () => {
  it('is every line with the same art on the same blank, small to large, its pieces added up; a size nobody reads is left out', () => {
    const other = [line('x', 'S', 9, { blankId: 'another' }), line('y', 'S', 9, { prints: [{ ...print, artName: 'moon' }] })];
    const sizes = runSizes({ lines: [...lines, ...other] }, lines[0] as Line, print, tee);
    expect(sizes.map(({ size, pieces, chestMm }) => [size, pieces, chestMm])).toEqual([
      ['YM', 6, 430],
      ['M', 5, 520],
      ['L', 4, 570],
    ]);
  });

  it('takes the widths of a split, height in proportion; other lines stay as they are', () => {
    const order = { lines: [...lines, line('x', 'M', 9, { blankId: 'another' })] };
    const split = splitAfter(runSizes(order, lines[0] as Line, print, tee), [1], FRONT, 400, 5);
    expect([cutsOf(split), split.groups.map((group) => group.widthMm)]).toEqual([[1], [220, 265]]);
    const after = withPrintWidths(order, lines[0] as Line, print, split);
    expect(after.lines.map((line) => [line.id, line.prints[0]?.widthMm, line.prints[0]?.heightMm])).toEqual([
      ['line-c', 265, 106],
      ['line-a', 220, 88],
      ['line-b', 265, 106],
      ['line-d', 265, 106],
      ['line-e', 250, 100],
      ['line-x', 250, 100],
    ]);
  });

  it('that one print suits has no cut', () => {
    const sizes = runSizes({ lines }, lines[0] as Line, print, tee);
    expect(cutsOf(splitRun(sizes.slice(1), FRONT, 400, 5))).toEqual([]);
  });
});
