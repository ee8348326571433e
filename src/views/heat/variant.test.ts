import { describe, expect, it } from 'vitest';
import { inputOf } from '../../../test/trade/check';
import { benchStack } from '../../core/advice';
import { faultOfQuery } from '../../core/heatBench';
import { atSet, changed, isCovered, moved, PALETTE, takenOut, variantOf, withLayer, withPassage } from './variant';

const stack = benchStack(inputOf({ says: 'a variant', on: 'cotton-tee', with: 'cut-film', press: 'hot' }));
if (!stack) throw new TypeError('no stack');
const own = variantOf(stack);
const roles = (variant: typeof own) => variant.query.piece.stack.map(({ role }) => role);
const layer = (role: string) => {
  const found = PALETTE.find((candidate) => candidate.role === role);
  if (!found) throw new TypeError(role);
  return found;
};

describe('a variant on the Heat bench', () => {
  it('begins as the card has it', () => {
    expect(own.setC).toBe(stack.set.tempC);
    expect(own.query.passage.timeS).toBe(stack.set.timeS);
    expect(faultOfQuery(own.query)).toBeNull();
  });
  it('another set value is what the press delivers for it, not what it shows', () => {
    expect(atSet(own, stack, 150).query.passage.surfaceC).toBeCloseTo(162, 6);
  });
  it('every sheet, pad and pillow of the palette is laid where it belongs, and the stack can be reckoned with', () => {
    for (const entry of PALETTE) {
      const after = withLayer(own, entry);
      expect(faultOfQuery(after.query)).toBeNull();
      expect(roles(after)).toHaveLength(roles(own).length + 1);
    }
    expect(roles(withLayer(own, layer('cover')))[0]).toBe('cover');
    expect(roles(withLayer(withLayer(own, layer('cover')), layer('pad over'))).slice(0, 2)).toEqual(['pad over', 'cover']);
    expect(roles(withLayer(own, layer('underlay'))).slice(-2)).toEqual(['underlay', 'pad']);
    expect(isCovered(withLayer(own, layer('cover')))).toBe(true);
    expect(isCovered(own)).toBe(false);
  });
  it('a layer is moved, changed and taken out without touching the variant it came from', () => {
    const before = JSON.stringify(own);
    expect(roles(moved(own, 0, 1)).slice(0, 2)).toEqual([...roles(own).slice(0, 2)].reverse());
    expect(roles(moved(own, 0, 99)).at(-1)).toBe(roles(own)[0]);
    expect(roles(takenOut(own, 0))).toEqual(roles(own).slice(1));
    expect(changed(own, 1, { thicknessMm: 0.5 }).query.piece.stack[1]?.thicknessMm).toBe(0.5);
    expect(JSON.stringify(own)).toBe(before);
  });
  it('what cannot be is said in words', () => {
    expect(faultOfQuery(changed(own, 0, { thicknessMm: 0 }).query)).toMatch(/at least 0.002/);
    expect(faultOfQuery(withPassage(own, { timeS: 1e6 }).query)).toMatch(/over 3600/);
    const cloth = roles(own).indexOf('fabric');
    expect(faultOfQuery(takenOut(own, cloth).query)).toMatch(/nothing to press on/);
    expect(faultOfQuery(moved(own, roles(own).length - 1, 0).query)).toMatch(/lies on the base/);
  });
});
