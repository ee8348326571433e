import { describe, expect, it } from 'vitest';
import { draftFrom, withLayer, withProduct } from './lineDraft';
import { storedDraft, textToKeep } from './storedDraft';

const start = () => draftFrom(undefined, true);

describe('a line being typed', () => {
  it('is kept once something was typed, and comes back as it was, under the id of its new beginning', () => {
    const begun = start();
    expect(textToKeep(begun, begun)).toBeNull();
    const text = textToKeep({ ...begun, count: '12' }, begun);
    const again = start();
    expect(storedDraft(text, again)).toEqual({ ...again, count: '12' });
  });
  it('is dropped when the line has changed meanwhile, and when what was kept cannot be read', () => {
    const begun = start();
    const text = textToKeep({ ...begun, count: '12' }, begun);
    expect(storedDraft(text, { ...start(), size: 'XL' })).toBeNull();
    expect(storedDraft('{"from"', begun)).toBeNull();
    expect(storedDraft(null, begun)).toBeNull();
  });
  it('a transfer found becomes the top layer of the print that asked, and of no other', () => {
    const begun = start();
    const [print] = begun.prints;
    if (!print) throw new Error('a new line has a print');
    const layered = { ...begun, prints: [withLayer({ ...print, layers: [{ key: 'a', productId: 'wren', colour: 'bone' }] })] };
    const taken = withProduct(layered, { productId: 'curlew', printKey: print.key });
    expect(taken.prints[0]?.layers.map((layer) => [layer.productId, layer.colour])).toEqual([
      ['wren', 'bone'],
      ['curlew', ''],
    ]);
    expect(withProduct(layered, { productId: 'curlew', printKey: 'zz' })).toEqual(layered);
  });
});
