import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { share } from '../../../test/runs';
import { type RunSize, splitAfter, splitRun } from './sizeRun';

const FULL_FRONT = { min: 0.42, max: 0.6 };
const tees: RunSize[] = [
  { size: 'YS', chestMm: 390, pieces: 4 },
  { size: 'YM', chestMm: 430, pieces: 6 },
  { size: 'S', chestMm: 470, pieces: 3 },
  { size: 'M', chestMm: 520, pieces: 8 },
  { size: 'L', chestMm: 570, pieces: 8 },
  { size: 'XL', chestMm: 620, pieces: 5 },
  { size: '2XL', chestMm: 670, pieces: 2 },
  { size: '3XL', chestMm: 720, pieces: 1 },
];

/** Every way to part a list into groups. */
function* partitions<T>(list: readonly T[]): Generator<T[][]> {
  const [first, ...rest] = list;
  if (first === undefined) {
    yield [];
    return;
  }
  for (const groups of partitions(rest)) {
    yield [[first], ...groups];
    for (let i = 0; i < groups.length; i++) yield groups.map((group, k) => (k === i ? [first, ...group] : group));
  }
}

/** The best over every partition and every width on the tape: fewest groups, then nearest to the middle of the share. */
function exhaustive(sizes: readonly RunSize[], share: { min: number; max: number }, mostMm: number, stepMm: number) {
  const middle = (share.min + share.max) / 2;
  const suits = (runSize: RunSize, w: number) =>
    w <= mostMm + 1e-9 && w >= share.min * runSize.chestMm - 1e-9 && w <= share.max * runSize.chestMm + 1e-9;
  const widths = Array.from({ length: Math.floor(mostMm / stepMm) }, (_, i) => (i + 1) * stepMm);
  const possible = sizes.filter((size) => widths.some((w) => suits(size, w)));
  const known = new Map<string, number>();
  const offOf = (part: RunSize[]): number => {
    const key = part.map((runSize) => runSize.size).join();
    const before = known.get(key);
    if (before !== undefined) return before;
    const off = Math.min(
      ...widths
        .filter((w) => part.every((runSize) => suits(runSize, w)))
        .map((w) => part.reduce((sum, runSize) => sum + runSize.pieces * Math.abs(w / runSize.chestMm - middle), 0)),
      Number.POSITIVE_INFINITY,
    );
    known.set(key, off);
    return off;
  };
  let best = { count: Number.POSITIVE_INFINITY, off: Number.POSITIVE_INFINITY };
  for (const groups of partitions(possible)) {
    const off = groups.reduce((sum, part) => sum + offOf(part), 0);
    if (off === Number.POSITIVE_INFINITY) continue;
    if (groups.length < best.count || (groups.length === best.count && off < best.off)) best = { count: groups.length, off };
  }
  return { ...best, outside: sizes.length - possible.length };
}

const runs = fc
  .uniqueArray(fc.integer({ min: 300, max: 900 }), { minLength: 1, maxLength: 8 })
  .chain((chests) =>
    fc
      .array(fc.integer({ min: 1, max: 30 }), { minLength: chests.length, maxLength: chests.length })
      .map((pieces) => chests.map((chestMm, i): RunSize => ({ size: `c${chestMm}`, chestMm, pieces: pieces[i] ?? 1 }))),
  );

describe('print sizes of a run', () => {
  it('is as good as the best of every partition and every width (120 runs of up to 8 sizes)', () => {
    fc.assert(
      fc.property(runs, fc.constantFrom(FULL_FRONT, { min: 0.15, max: 0.2 }), fc.constantFrom(250, 330, 600), (sizes, share, most) => {
        const split = splitRun(sizes, share, most, 5);
        const best = exhaustive(sizes, share, most, 5);
        expect(split.outside).toHaveLength(best.outside);
        expect(split.groups).toHaveLength(sizes.length === best.outside ? 0 : best.count);
        if (split.groups.length > 0) expect(split.off).toBeCloseTo(best.off, 9);
      }),
      { numRuns: share(240) },
    );
  });

  it('and of ten sizes, from a youth S to a 5XL', () => {
    const ten = [...tees, { size: '4XL', chestMm: 770, pieces: 2 }, { size: '5XL', chestMm: 820, pieces: 1 }];
    const best = exhaustive(ten, FULL_FRONT, 400, 5);
    const split = splitRun(ten, FULL_FRONT, 400, 5);
    expect([split.groups.length, split.off]).toEqual([best.count, expect.closeTo(best.off, 9)]);
  });

  it('youth S to 3XL needs two print sizes; a run of adult M to 2XL one', () => {
    const split = splitRun(tees, FULL_FRONT, 400, 5);
    expect(split.groups.map((group) => group.sizes[0])).toEqual(['YS', split.groups[1]?.sizes[0]]);
    for (const { widthMm, sizes } of split.groups)
      for (const size of sizes) {
        const share = widthMm / (tees.find((tee) => tee.size === size)?.chestMm ?? 0);
        expect(share).toBeGreaterThanOrEqual(0.42);
        expect(share).toBeLessThanOrEqual(0.6);
      }
    expect(splitRun(tees.slice(3, 7), FULL_FRONT, 400, 5).groups).toHaveLength(1);
  });

  it('a size whose chest no print of the press suits is named, and the rest stand', () => {
    const split = splitRun(tees, FULL_FRONT, 280, 5);
    expect(split.outside).toEqual(['2XL', '3XL']);
    expect(split.groups.flatMap((group) => group.sizes)).toHaveLength(6);
  });

  it('a split drawn by hand names the sizes that its prints do not suit', () => {
    expect(splitAfter(tees, [], FULL_FRONT, 400, 5).outside).not.toEqual([]);
    const drawn = splitAfter(tees, [3, 3, 0, 99], FULL_FRONT, 400, 5);
    expect(drawn.groups.map((group) => group.sizes.length)).toEqual([3, 5]);
    expect(drawn.outside).toEqual([]);
  });
});
