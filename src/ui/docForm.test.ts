/** What a schema refuses, by the dotted path of its field. */
import { zodResolver } from '@hookform/resolvers/zod';
import { describe, expect, it } from 'vitest';
import { FAMILIES, ProductSchema, productFromFamily } from '../core/sheet';
import { flattened } from './docForm';

describe('what a schema refuses of a document', () => {
  it('stands at the field it is about, however deep, and beside what is wrong of the list itself', async () => {
    const product = { ...productFromFamily(FAMILIES['cut-film'], '2026-11-27'), id: 'p', name: '', filmMm: 9 };
    const [first, ...rest] = product.stages;
    const stages = [{ ...first, pressure: { band: 'medium', asStated: 'x'.repeat(5000) } }, ...rest, first];
    const judged = await zodResolver(ProductSchema as never)({ ...product, stages } as never, undefined, {
      fields: {},
      shouldUseNativeValidation: false,
    });
    const fields = flattened(judged.errors);
    expect(Object.keys(fields)).toEqual(expect.arrayContaining(['name', 'filmMm', 'stages.0.pressure.asStated']));
    for (const message of Object.values(fields)) expect(message).not.toMatch(/expected|invalid|zod/i);
    expect(flattened(undefined)).toEqual({});
  });
});
