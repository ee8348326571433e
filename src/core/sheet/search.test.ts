/** The shelf is searched by the words people know its things by. */
import { describe, expect, it } from 'vitest';
import { BUILT_IN_AIDS, BUILT_IN_BLANKS, BUILT_IN_FABRICS } from '../materials';
import { builtInProducts } from './builtInProducts';
import { isFoundBy } from './search';

const products = builtInProducts('2026-01-01');
const found = (typed: string) => products.filter((product) => isFoundBy('products', product, typed)).map((product) => product.familyId);

describe('searching the shelf', () => {
  it('a film is one by its name or family, not because it has a film’s thickness or a film carrier', () => {
    expect(found('film')).toContain('stretch-film');
    expect(found('film')).not.toContain('one-sheet-laser');
    expect(found('film').length).toBeLessThan(products.length / 1.5);
  });
  it.each(['cover', 'pricePerSheetMinor', 'stages', 'nominal', 'required', 'familyId'])(
    '“%s” is the name of a field or a value of one, and finds nothing',
    (typed) => {
      expect(found(typed)).toEqual([]);
    },
  );
  it('every word must begin one of its own, whatever the case', () => {
    expect(BUILT_IN_FABRICS.filter((fabric) => isFoundBy('fabrics', fabric, 'COT jer')).map(({ name }) => name)).toEqual(
      BUILT_IN_FABRICS.filter(({ name, composition }) => /jersey/i.test(name) && composition.some(({ fibre }) => fibre === 'cotton')).map(
        ({ name }) => name,
      ),
    );
    expect(BUILT_IN_BLANKS.some((blank) => isFoundBy('blanks', blank, 'tee'))).toBe(true);
    expect(BUILT_IN_AIDS.every((aid) => isFoundBy('aids', aid, ''))).toBe(true);
    expect(BUILT_IN_AIDS.some((aid) => isFoundBy('aids', aid, 'thicknessMm'))).toBe(false);
  });
});
