import { describe, expect, it } from 'vitest';
import { type Case, inputOf } from '../../../test/trade/check';
import { benchStack } from '../advice';
import { press } from '../heat';
import { judge } from '../judgement';
import type { PreparedInput } from './input';
import { prepared } from './measured';
import { adhesiveOf, driedIn, learnedOf, meantCloth, pieceOf, referenceOf } from './stack';

const input = (change: Partial<Case> = {}) => prepared(inputOf({ says: 'a stack', on: 'cotton-tee', with: 'cut-film', ...change }));
const draftOf = (own: PreparedInput) => judge(own).draft;
const roles = (own: PreparedInput) => pieceOf(own, draftOf(own)).stack.map(({ role }) => role);

describe('a card as the heat model sees it', () => {
  it('has every layer of the press stage, the cloth as damp as the room makes it', () => {
    expect(roles(input())).toEqual(['carrier', 'transfer', 'fabric', 'pad']);
    expect(roles(input({ choices: { cover: true, base: 'pillow' } }))).toEqual([
      'cover',
      'carrier',
      'transfer',
      'fabric',
      'underlay',
      'pad',
    ]);
    expect(roles(input({ under: ['cut-film'] })).filter((role) => role === 'transfer')).toHaveLength(2);
    const water = (humidity: number) =>
      pieceOf(input({ humidity }), draftOf(input({ humidity }))).stack.find((candidate) => candidate.waterKgM2)?.waterKgM2 ?? 0;
    expect(water(85)).toBeGreaterThan(1.3 * water(50));
  });
  it('both panels lie under the heat when the garment is laid flat', () => {
    expect(roles(input({ rules: { loading: 'flat' } })).filter((role) => role === 'fabric')).toHaveLength(2);
  });
  it('a heated base stands in place of the pad, at what it was set to', () => {
    const split = input({ on: 'three-fibre-tee', press: 'twoSided', choices: { heat: 'split' } });
    const { draft, set } = judge(split);
    const piece = pieceOf(split, draft, undefined, set.lowerC);
    expect(piece.lowerC).toBe(set.lowerC);
    expect(piece.stack.map(({ role }) => role)).not.toContain('pad');
  });
  it('hard goods bring no water and are meant as they are; cloth is meant as dry jersey', () => {
    const glass = input({ on: 'glass-coaster', with: 'hard-paper-smooth' });
    expect(meantCloth({ ...glass, product: input().product }).k).toBe(glass.fabric.thermal.k);
    expect(meantCloth(input({ on: 'fleece-hoodie' }))).toMatchObject({ name: 'cotton jersey', thicknessMm: 0.4 });
  });
  it('the supplier’s own piece at the supplier’s own setting has a bond of 1', () => {
    const own = input();
    const reference = referenceOf(own, draftOf(own));
    expect(reference.timeS).toBe(12);
    const { piece, surfaceC, timeS } = reference;
    const passage = { surfaceC, timeS, prePressS: 0, finish: null, cooling: null };
    const { read } = press(piece, passage, adhesiveOf(own, draftOf(own)), { markC: null, damageC: null, dyeC: null });
    expect(Math.abs(read.bond - 1)).toBeLessThan(0.005);
    const asked = benchStack(own)?.query;
    expect(asked?.adhesive.reference.surfaceC).toBe(reference.surfaceC);
  });
  it('a platen whose heater is known gives way under a cold piece and costs some bond; a strong heavy one less', () => {
    // the time stands, or it would be moved to bring the bond back
    const own = input({ choices: { timeS: 12 } });
    const bond = (heater: PreparedInput['press']['heater']) => judge({ ...own, press: { ...own.press, heater } }).bonds?.[1]?.bond ?? 0;
    const [weak, strong] = [bond({ powerW: 900, massKg: 4, lossWK: null }), bond({ powerW: 2600, massKg: 14, lossWK: null })];
    expect(weak).toBeLessThan(strong);
    expect(strong).toBeLessThan(judge(own).bonds?.[1]?.bond ?? 0);
    expect(weak).toBeGreaterThan(0.8 * strong);
  });
  it('what the log has learned is found by press and transfer', () => {
    const own = { ...input(), learned: [{ pressId: 'true', productId: 'other', shift: 0.9, sd: 0.1, n: 9 }] };
    expect(learnedOf(own)).toBeNull();
    expect(learnedOf({ ...own, product: { ...own.product, id: 'other' } })?.n).toBe(9);
  });
  it('a computed pre-press lies between 3 and 30 s, longer in a damp room', () => {
    const times = [20, 60, 95].map((humidity) =>
      driedIn(input({ humidity, on: 'fleece-hoodie' }), draftOf(input({ humidity, on: 'fleece-hoodie' }))),
    );
    expect(times).toEqual([...times].sort((a, b) => a - b));
    for (const timeS of times) expect(timeS >= 3 && timeS <= 30 && Number.isInteger(timeS)).toBe(true);
  });
});
