/** Batches: every piece of a run is of exactly one print, in the order they are pressed, and nothing is counted twice. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../../test/runs';
import type { RunPart } from './events';
import { partCounts, partOf, partsOf } from './parts';
import { planOf } from './plan';

const part = (orderId: string, pieces: number): RunPart => ({ orderId, lineId: 'l', printKey: 'a', cardHash: '0'.repeat(64), pieces });
const batch = (...many: number[]) => {
  const [own = part('o0', 1), ...also] = many.map((pieces, i) => part(`o${i}`, pieces));
  return { ...own, pieces: many.reduce((sum, n) => sum + n, 0), also };
};

describe('the parts of a batch', () => {
  it('six tees of two orders: the first three are the one’s, the last three the other’s', () => {
    const run = batch(3, 3);
    expect([1, 3, 4, 6].map((piece) => [partOf(run, piece).part.orderId, partOf(run, piece).nth])).toEqual([
      ['o0', 1],
      ['o0', 3],
      ['o1', 1],
      ['o1', 3],
    ]);
    expect(() => partOf(run, 7)).toThrow(RangeError);
    expect(() => partOf(run, 0)).toThrow(RangeError);
  });

  it('every piece is in one part, each part has all of its pieces, verdicts conserve', () =>
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 40 }), { minLength: 1, maxLength: 12 }),
        fc.infiniteStream(fc.nat(2)),
        (many, luck) => {
          const run = batch(...many);
          const dice = luck[Symbol.iterator]();
          const pieces = Array.from({ length: run.pieces }, (_, i) => i + 1);
          const seen = pieces.map((piece) => `${partOf(run, piece).index}:${partOf(run, piece).nth}`);
          expect(new Set(seen).size).toBe(run.pieces);
          expect(partsOf(run).map(({ pieces }) => pieces)).toEqual(many);
          const verdicts = pieces.flatMap((piece) => {
            const drawn = dice.next().value;
            return drawn === 0 ? [] : [{ piece, outcome: drawn === 1 ? ('good' as const) : ('spoiled' as const) }];
          });
          const counts = partCounts(run, verdicts);
          counts.forEach(({ good, spoiled, left }, i) => {
            expect(good + spoiled + left).toBe(many[i]);
          });
          expect(counts.reduce((sum, { good }) => sum + good, 0)).toBe(verdicts.filter(({ outcome }) => outcome === 'good').length);
        },
      ),
      runs(200),
    ));

  it('a wait is the longest of any print, and over as soon as any would be', () => {
    const wait = (timeS: number, toS: number | null) => [
      { kind: 'press', by: 'press' as const, timeS: 12 },
      { kind: 'wait', by: 'clock' as const, timeS, span: { fromS: timeS, toS } },
    ];
    const stages = planOf(
      { pieces: 2, perClosing: 1, machine: 2 },
      { stages: wait(20, 60) } as never,
      [{ stages: wait(30, 50) }, { stages: wait(10, null) }] as never,
    ).stages;
    expect(stages[1]).toMatchObject({ timeS: 30, span: { fromS: 30, toS: 50 } });
    expect(stages[0]).toMatchObject({ timeS: 12 });
  });
});
