import { describe, expect, it } from 'vitest';
import { builtInProducts } from './builtInProducts';
import { between } from './figure';
import { OlderSheet, type Product, ProductSchema, sheetFor, withRevision } from './product';
import type { WrittenStage } from './stage';

const faults = (result: { error?: { issues: { message: string }[] } | undefined }) =>
  result.error?.issues.map((i) => i.message).join(' ') ?? '';

describe('a supplier’s sheet', () => {
  const cut = builtInProducts('2026-01-01')[0] as Product;
  const said = (change: Partial<Product>) => faults(ProductSchema.safeParse({ ...cut, ...change }));
  const press = { stage: 'press' as const, tempC: between(140, 150) };
  it.each([
    ['without stages', { stages: [] }, /needs a press stage/],
    [
      'with its stages out of order',
      { stages: [...cut.stages, { ...(cut.stages[0] as WrittenStage), kind: 'tack' as const }] },
      /tack stands too late/,
    ],
    ['with a stage twice', { stages: [...cut.stages, ...cut.stages] }, /press stage is there twice/],
    [
      'with the same group twice',
      {
        overrides: [
          { ...press, fabricGroup: 'polyester' as const },
          { ...press, fabricGroup: 'polyester' as const, tempC: between(130, 135) },
        ],
      },
      /polyester, any colour contradict those for polyester/,
    ],
    [
      'with a fabric and a colour that contradict',
      {
        colours: [{ name: 'neon', group: 'bright' }],
        overrides: [
          { ...press, fabricGroup: 'polyester' as const },
          { ...press, colourGroup: 'bright', tempC: between(130, 135) },
        ],
      },
      /contradict.*say which holds where both apply/,
    ],
    [
      'with a pre-press longer than its press',
      {
        stages: [
          { ...(cut.stages[0] as WrittenStage), kind: 'pre-press' as const, timeS: { form: 'one' as const, value: 20 } },
          ...cut.stages,
        ],
      },
      /pre-press of 20 s is longer than the press of 16 s/,
    ],
    [
      'for a colour group it does not have',
      { overrides: [{ ...press, colourGroup: 'bright' }] },
      /No colour of this product is in the group “bright”/,
    ],
    [
      'for a stage it does not have',
      { alternatives: [{ name: 'x', changes: [{ ...press, stage: 'marry' as const }] }] },
      /has no marry stage/,
    ],
    [
      'with an earlier sheet that is newer',
      { earlier: [{ source: { sheet: 'x', on: '2027-01-01' }, stages: cut.stages, overrides: [], alternatives: [], care: '' }] },
      /is newer than the one after it/,
    ],
  ])('%s is refused', (_, change, words) => expect(said(change)).toMatch(words));
  it('that says what holds for both is no contradiction', () => {
    const both = { ...press, fabricGroup: 'polyester' as const, colourGroup: 'bright', tempC: between(128, 133) };
    const colours = [{ name: 'neon', group: 'bright' }];
    const product = ProductSchema.parse({
      ...cut,
      colours,
      overrides: [{ ...press, fabricGroup: 'polyester' }, { ...press, colourGroup: 'bright', tempC: between(130, 135) }, both],
    });
    const at = (group: 'polyester' | 'nylon', colour?: string) =>
      sheetFor(product, undefined, { group, colour, alternative: undefined }).stages.find(({ kind }) => kind === 'press')?.tempC.written;
    expect([at('polyester', 'neon'), at('polyester'), at('nylon', 'neon'), at('nylon')]).toEqual([
      both.tempC,
      press.tempC,
      between(130, 135),
      cut.stages[0]?.tempC,
    ]);
  });
  it('a newer one keeps the one it replaces; an older one is refused; a correction keeps nothing', () => {
    const newer = { ...cut, source: { sheet: 'second', on: '2026-06-01' } };
    expect(withRevision(cut, newer).earlier).toMatchObject([{ source: { on: '2026-01-01' } }]);
    expect(withRevision(cut, { ...cut, care: 'other' }).earlier).toEqual([]);
    expect(() => withRevision(newer, cut)).toThrow(OlderSheet);
  });
});
