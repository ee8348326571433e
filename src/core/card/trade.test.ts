import { describe, expect, it } from 'vitest';
import { isWhole } from '../../../test/runs';
import { mismatches } from '../../../test/trade/check';
import { removeEach } from '../../../test/trade/removeEach';
import { CASES } from '../../../test/trade/table';

describe('what an experienced operator would expect', () => {
  it('is asked in at least 120 cases, none twice', () => {
    expect(new Set(CASES.map((example) => example.says)).size).toBe(CASES.length);
    expect(CASES.length).toBeGreaterThanOrEqual(120);
  });
  it.each(CASES.map((example) => [example.says, example] as const))('%s', (_, entry) => expect(mismatches(entry)).toEqual([]));
  it.runIf(isWhole)('every rule, decision and step is missed when it is taken out', () => {
    expect(removeEach().filter((removal) => removal.caught === null)).toEqual([]);
  });
});
