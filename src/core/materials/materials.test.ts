import { describe, expect, it } from 'vitest';
import { builtInProducts, FAMILY_IDS, ProductSchema } from '../sheet';
import { type Aid, aidFor } from './aid';
import { BlankSchema } from './blank';
import { BUILT_IN_BLANKS } from './builtInBlanks';
import { BUILT_IN_FABRICS } from './builtInFabrics';
import { blendLimits, CompositionSchema, describeComposition, FabricSchema, limitForTime, mostShiftOf } from './fabric';
import { Name, nominalOf } from './fields';

const faults = (result: { error?: { issues: { message: string }[] } | undefined }) =>
  result.error?.issues.map((i) => i.message).join(' ') ?? '';

describe('a blend', () => {
  it('takes the lowest limits of any fibre that is 5 % or more', () => {
    const blend = [
      { fibre: 'polyester', percent: 60 },
      { fibre: 'cotton', percent: 36 },
      { fibre: 'viscose', percent: 4 },
    ] as const;
    expect(blendLimits([...blend])).toEqual({ mark: { limitC: 175, fibre: 'polyester' }, damage: { limitC: 215, fibre: 'polyester' } });
    expect(
      blendLimits([
        { fibre: 'cotton', percent: 95 },
        { fibre: 'elastane', percent: 5 },
      ]).mark,
    ).toEqual({ limitC: 165, fibre: 'elastane' });
  });
  it('must make 100 %, with each fibre once', () => {
    expect(
      faults(
        CompositionSchema.safeParse([
          { fibre: 'cotton', percent: 60 },
          { fibre: 'polyester', percent: 30 },
        ]),
      ),
    ).toBe('The fibres add up to 90 %; they must make 100 %.');
    expect(
      faults(
        CompositionSchema.safeParse([
          { fibre: 'cotton', percent: 50 },
          { fibre: 'cotton', percent: 50 },
        ]),
      ),
    ).toMatch(/named twice/);
    expect(CompositionSchema.safeParse([{ fibre: 'straw', percent: 100 }]).success).toBe(false);
  });
  it('reads like its label', () => {
    expect(
      describeComposition([
        { fibre: 'viscose', percent: 25 },
        { fibre: 'polyester', percent: 75 },
      ]),
    ).toBe('75 % polyester, 25 % viscose (rayon, modal)');
  });
});

describe('limits over time', () => {
  it('move 8 K a halving, at most 16 K', () => {
    expect([15, 7.5, 30, 60, 240, 1].map((t) => limitForTime(150, t))).toEqual([150, 158, 142, 134, 134, 166]);
    // viscose is marked quickly: its limit moves with the time by no more than 4 K
    expect([15, 12, 7.5, 60].map((t) => limitForTime(145, t, mostShiftOf('viscose')))).toEqual([145, 145 + 8 * Math.log2(1.25), 149, 141]);
    expect(mostShiftOf('cotton')).toBe(16);
  });
});

describe('shelf fields', () => {
  it('a range begins at its own figure, else in its middle', () => {
    expect(nominalOf({ min: 140, max: 150 })).toBe(145);
    expect(nominalOf({ min: 140, max: 150, nominal: 142 })).toBe(142);
  });
  it('a name cannot carry markup or be empty', () => {
    expect(faults(Name.safeParse('<img src=x onerror=alert(1)>'))).toMatch(/cannot hold </);
    expect(faults(Name.safeParse('   '))).toMatch(/Give it a name/);
    expect(Name.parse('  Æther & Sons “night” 50/50 ')).toBe('Æther & Sons “night” 50/50');
  });
});

describe('what a new shop begins with', () => {
  it('is valid by its own schemas, and every blank has its fabric', () => {
    const products = builtInProducts('2026-01-01');
    for (const fabric of BUILT_IN_FABRICS) expect(FabricSchema.parse(fabric)).toEqual(fabric);
    for (const product of products) expect(ProductSchema.parse(product)).toEqual(product);
    for (const blank of BUILT_IN_BLANKS) expect(BUILT_IN_FABRICS.map((f) => f.id)).toContain(BlankSchema.parse(blank).fabricId);
    expect(products.map((p) => p.familyId)).toEqual([...FAMILY_IDS]);
    expect(new Set(BUILT_IN_BLANKS.map((blank) => blank.fabricId)).size).toBeGreaterThan(10);
  });
});

describe('covers and pads', () => {
  const aid = (id: string, change: Partial<Aid> = {}): Aid => ({
    id,
    name: id,
    serves: 'matte',
    thicknessMm: 0.1,
    wear: 'sound',
    substitutes: [],
    note: '',
    ...change,
  });
  it('a sound one comes before a worn one, a spent one is stood in for, a retired one is not there', () => {
    expect(aidFor([aid('a1', { wear: 'worn' }), aid('b1')], 'matte')?.aid.id).toBe('b1');
    const swapped = aidFor([aid('a1', { wear: 'spent', substitutes: ['c1'] }), aid('c1', { serves: 'paper' })], 'matte');
    expect([swapped?.aid.id, swapped?.instead?.id]).toEqual(['c1', 'a1']);
    expect(aidFor([aid('a1', { retiredOn: '2026-01-01' })], 'matte')).toBeNull();
  });
});
