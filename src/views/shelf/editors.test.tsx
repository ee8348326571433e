// @vitest-environment happy-dom
/** The editors of the shelf as they are typed into: what a change takes along, what is refused and where, what is handed in. */
import { cleanup, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { z } from 'zod';
import { edit } from '../../../test/editing';
import { type Blank, BlankSchema, BUILT_IN_FABRICS, type Fabric, FabricSchema } from '../../core/materials';
import { FAMILIES, type Product, ProductSchema, productFromFamily } from '../../core/sheet';
import { BlankEditor } from './BlankEditor';
import { FabricEditor } from './FabricEditor';
import { ProductEditor } from './ProductEditor';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const cotton = BUILT_IN_FABRICS.find(({ composition }) => composition.length === 1 && composition[0]?.fibre === 'cotton') as Fabric;

describe('a fabric', () => {
  it('whose fibres do not come to 100 % is refused at its fibres, and taken once they do', async () => {
    const { user, taken, save } = edit(FabricEditor, FabricSchema as z.ZodType<Fabric>, cotton);
    await user.click(screen.getByRole('button', { name: '+ fibre' }));
    await save();
    expect(taken()).toBeNull();
    expect(screen.getByRole('alert').textContent).toMatch(/100/);
    const [first] = screen.getAllByLabelText('Share, %');
    await user.clear(first as HTMLElement);
    await user.type(first as HTMLElement, '95');
    expect(screen.queryByRole('alert')).toBeNull();
    await save();
    expect(taken()?.composition.map(({ percent }) => percent)).toEqual([95, 5]);
    // the fibre that came to it is another one
    expect(new Set(taken()?.composition.map(({ fibre }) => fibre)).size).toBe(2);
  });
  it('made into leather is asked how it is tanned, has leather alone for its fibre, and forgets that as cloth again', async () => {
    const { user, taken, save } = edit(FabricEditor, FabricSchema as z.ZodType<Fabric>, cotton);
    await user.selectOptions(screen.getByLabelText('Made of'), 'leather');
    await user.selectOptions(screen.getByLabelText('Tanned'), 'vegetable');
    await save();
    expect(taken()).toMatchObject({
      substrate: 'leather',
      composition: [{ fibre: 'leather', percent: 100 }],
      leather: { tanning: 'vegetable', undyed: false },
    });
    await user.selectOptions(screen.getByLabelText('Made of'), 'cloth');
    expect(screen.queryByLabelText('Tanned')).toBeNull();
    await save();
    expect(taken()).not.toHaveProperty('leather');
  });
  it('a figure that cannot be read is said at its field, and the last good one is handed in', async () => {
    const { user, taken, save } = edit(FabricEditor, FabricSchema as z.ZodType<Fabric>, cotton);
    const stretch = screen.getByLabelText('Stretches in use, %');
    await user.clear(stretch);
    await user.type(stretch, '12x');
    expect(screen.getByRole('alert').textContent).toBe('A number.');
    expect((stretch as HTMLInputElement).value).toBe('12x');
    await save();
    expect(taken()?.stretchPercent).toBe(12);
  });
  it('without a name is refused at its name', async () => {
    const { user, taken, save } = edit(FabricEditor, FabricSchema as z.ZodType<Fabric>, cotton);
    const name = screen.getByLabelText('Name');
    await user.clear(name);
    await save();
    expect(taken()).toBeNull();
    expect(name.getAttribute('aria-invalid')).toBe('true');
  });
});

describe('a transfer', () => {
  const film: Product = { ...productFromFamily(FAMILIES['cut-film'], '2026-11-27'), id: 'p1', name: 'Reed film', maker: 'Reed' };
  it('of another family has that family’s stages and figures, and its own name, maker and sheet', async () => {
    const { user, taken, save } = edit(ProductEditor, ProductSchema as z.ZodType<Product>, film);
    await user.selectOptions(screen.getByLabelText('Family'), 'screen-printed');
    await save();
    const other = productFromFamily(FAMILIES['screen-printed'], film.source.on);
    expect(taken()).toEqual({ ...other, id: 'p1', name: 'Reed film', maker: 'Reed', source: film.source, earlier: film.earlier });
    expect(taken()?.stages).not.toEqual(film.stages);
  });
});

describe('a blank', () => {
  const tee = BlankSchema.parse({
    ...{ id: 'b1', name: 'Reed tee', kind: 'tee', fabricId: cotton.id, colour: 'sand', shade: 'light', sizes: ['S', 'M'] },
    ...{ thicknessSpreadMm: 0, obstructions: [], lined: false, printable: 'outside', lookedAt: 'the printed side' },
    ...{ duty: 'laundered', notices: [], testPieces: [] },
  });
  it('takes its sizes by commas, and says at its sizes what is wrong with one', async () => {
    const { user, taken, save } = edit(BlankEditor, BlankSchema as z.ZodType<Blank>, tee);
    const sizes = screen.getByLabelText('Sizes, with commas between');
    await user.clear(sizes);
    await user.type(sizes, 'S, M, 2XL');
    await save();
    expect(taken()?.sizes).toEqual(['S', 'M', '2XL']);
    await user.clear(sizes);
    await user.type(sizes, `S, ${'X'.repeat(80)}`);
    await save();
    expect(taken()?.sizes).toEqual(['S', 'M', '2XL']);
    expect(sizes.getAttribute('aria-invalid')).toBe('true');
  });
});
