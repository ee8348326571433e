import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { inputs } from '../../../test/shops';
import { eachPhase } from '../../../test/trade/removeEach';
import { decided } from './decide';
import { DECISIONS } from './decisions';
import { prepared } from './measured';

describe('what is decided of a piece', () => {
  it('does not hang on where a decision stands in its table, over random shops', () => {
    fc.assert(
      fc.property(inputs, fc.array(fc.nat(), { minLength: 60, maxLength: 60 }), (random, keys) => {
        const input = prepared(random);
        const shuffled = eachPhase((table) => {
          const order = table.map((one, i) => ({ one, key: keys[i] ?? 0 }));
          return order.sort((a, b) => a.key - b.key).map(({ one }) => one);
        }, DECISIONS);
        expect(decided(input, shuffled).draft).toEqual(decided(input).draft);
      }),
      { numRuns: 1000 },
    );
  });
  it('leaves a reason for every value that is not as usual', () => {
    const input = prepared(fc.sample(inputs, { numRuns: 1, seed: 3 })[0] as Parameters<typeof prepared>[0]);
    const none = eachPhase(() => [], DECISIONS);
    expect(decided(input, none).reasons).toEqual([]);
    expect(decided(input).reasons.length).toBeGreaterThan(3);
  });
});
