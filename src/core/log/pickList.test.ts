/** The pick list: what is left of each print, summed where it is the same thing, and nothing for what is on Hold. */
import { describe, expect, it } from 'vitest';
import { type Case, inputOf } from '../../../test/trade/check';
import { resolve } from '../card';
import type { Line } from '../order';
import { pickList } from './pickList';
import { line } from './test/progress';

const card = (change: Partial<Case> = {}) =>
  resolve(
    inputOf({ says: 'a tee', on: 'cotton-tee', with: 'cut-film', item: { size: 'M' }, print: { position: 'full front' }, ...change }),
  );
const doc = (id: string, size: string, count: number, ...keys: string[]) =>
  ({ id, size, count, prints: keys.map((key) => ({ key })) }) as unknown as Line;

describe('what to lay out', () => {
  const film = card();
  const toner = card({ with: 'two-sheet-toner' });
  it('blanks that are not finished, transfers for every piece that lacks them, what lies under and over them by press', () => {
    const lines = [doc('m', 'M', 10, 'a', 'b'), doc('m2', 'M', 10, 'a')];
    const cards = [
      { lineId: 'm', printKey: 'a', card: film },
      { lineId: 'm', printKey: 'b', card: toner },
      { lineId: 'm2', printKey: 'a', card: film },
    ];
    const progress = [line('m', { printKey: 'a', good: 7 }, { printKey: 'b', good: 2 }), line('m2')];
    const list = pickList(lines, progress, cards);
    // two of ten have both their prints; the other line is of the same blank
    expect(list.blanks).toMatchObject([{ size: 'M', count: 18 }]);
    const of = (product: string) => list.transfers.filter((transfer) => transfer.product === product).map(({ count }) => count);
    expect(of(film.of.productName)).toEqual([13]);
    expect(of(toner.of.productName)).toEqual([8]);
    expect(list.presses).toHaveLength(1);
    expect(list.presses[0]?.covers).toEqual(expect.arrayContaining(toner.stages.flatMap(({ set }) => set?.cover ?? [])));
    expect(list.held).toEqual([]);
  });

  it('what is pressed needs nothing; what is on Hold is named and not laid out', () => {
    const held = { ...film, lamp: { ...film.lamp, state: 'hold' as const } };
    const list = pickList(
      [doc('m', 'M', 10, 'a'), doc('l', 'L', 10, 'a')],
      [line('m', { good: 10 }), line('l')],
      [
        { lineId: 'm', printKey: 'a', card: film },
        { lineId: 'l', printKey: 'a', card: held },
      ],
    );
    expect(list).toMatchObject({ blanks: [], transfers: [], presses: [], held: [expect.stringContaining(film.of.artName)] });
  });
});
