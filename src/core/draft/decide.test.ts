import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../../test/runs';
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
          const order = table.map((decision, i) => ({ one: decision, key: keys[i] ?? 0 }));
          return order.sort((a, b) => a.key - b.key).map(({ one }) => one);
        }, DECISIONS);
        expect(decided(input, shuffled).draft).toEqual(decided(input).draft);
      }),
      runs(2000),
    );
  });
  it('leaves one reason for every decision that spoke, and none where nobody did', () => {
    for (const random of fc.sample(inputs, { ...runs(400), seed: 3 })) {
      const input = prepared(random);
      const spoke: string[] = [];
      const heard = eachPhase(
        (table) =>
          table.map((decision) => ({
            ...decision,
            decide: (own, known) => {
              const said = decision.decide(own, known);
              if (said) spoke.push(decision.field);
              return said;
            },
          })),
        DECISIONS,
      );
      expect(decided(input, heard).reasons.map(({ field }) => field)).toEqual(spoke);
      expect(
        decided(
          input,
          eachPhase(() => [], DECISIONS),
        ).reasons,
      ).toEqual([]);
    }
  });
});
