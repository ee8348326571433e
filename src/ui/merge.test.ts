import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { saysTheSame } from './equal';
import { merge } from './merge';

const base = { name: 'Wren', care: 'cool', price: 300, layers: [{ a: 1 }] };

describe('two people at one thing', () => {
  it('what only one touched is taken from that one, without asking', () => {
    const { merged, conflicts, taken } = merge(base, { ...base, name: 'Wren Supple' }, { ...base, price: 400 });
    expect(merged).toEqual({ ...base, name: 'Wren Supple', price: 400 });
    expect([conflicts, taken]).toEqual([[], ['price']]);
  });
  it('what both touched is asked about, and stands as decided', () => {
    const mine = { ...base, care: 'warm', name: 'Mine' };
    const theirs = { ...base, care: 'hand', name: 'Theirs' };
    expect(merge(base, mine, theirs).conflicts).toEqual([
      { field: 'name', base: 'Wren', mine: 'Mine', theirs: 'Theirs' },
      { field: 'care', base: 'cool', mine: 'warm', theirs: 'hand' },
    ]);
    expect(merge(base, mine, theirs).merged).toMatchObject({ name: 'Theirs', care: 'hand' });
    expect(merge(base, mine, theirs, ['care']).merged).toMatchObject({ name: 'Theirs', care: 'warm' });
  });
  it('the same change by both is no conflict; a field taken out by one stays out', () => {
    const same = { ...base, care: 'hand' };
    expect(merge(base, same, { ...same }).conflicts).toEqual([]);
    const { price: _, ...without } = base;
    expect(merge<Partial<typeof base>>(base, without, base).merged).toEqual(without);
    expect(merge<Partial<typeof base>>(base, base, without).merged).toEqual(without);
  });
  it('with nobody else, mine is what comes out; with nothing of mine, theirs is', () => {
    const docs = fc.record({
      name: fc.string(),
      care: fc.string(),
      price: fc.integer(),
      layers: fc.array(fc.record({ a: fc.integer() }), { maxLength: 3 }),
    });
    fc.assert(
      fc.property(docs, docs, (entry, other) => {
        expect(merge(entry, other, entry)).toMatchObject({ merged: other, conflicts: [] });
        expect(merge(entry, entry, other)).toMatchObject({ merged: other, conflicts: [] });
        expect(saysTheSame(merge(entry, other, other).merged, other)).toBe(true);
      }),
    );
  });
});

describe('saying the same', () => {
  it.each([
    [{ a: [1, { b: null }] }, { a: [1, { b: null }] }, true],
    [{ a: 1, b: 2 }, { b: 2, a: 1 }, true],
    [{ a: undefined }, {}, false],
    [[1, 2], { 0: 1, 1: 2 }, false],
    [null, {}, false],
    [0, -0, false],
  ])('%j and %j: %s', (a, b, same) => expect(saysTheSame(a, b)).toBe(same));
});
