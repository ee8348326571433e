import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../../test/runs';
import { inputs } from '../../../test/shops';
import { type Case, inputOf } from '../../../test/trade/check';
import { benchStack } from '../advice';
import { prepared } from '../draft';
import { STARTING_HOUSE } from '../house';
import { judge } from '../judgement';
import { BUILT_IN_FABRICS } from '../materials';
import { phraseText } from '../units';
import { resolve } from './resolve';

const input = (change: Partial<Case> = {}) => inputOf({ says: 'a case', on: 'cotton-tee', with: 'cut-film', ...change });
const reasons = (card: ReturnType<typeof resolve>, source: string) =>
  card.reasons
    .filter((reason) => reason.field === 'time' && reason.source === source)
    .map(({ says }) => phraseText(says, STARTING_HOUSE.units))
    .join('\n');

describe('the bond on a card', () => {
  it('a cover put over one print says what it takes at the glue, and lowers the bond; a house cover that the sheet leaves open does not', () => {
    const [bare, covered] = [resolve(input()), resolve(input({ choices: { cover: true, timeS: 12 } }))];
    expect(reasons(covered, 'physics')).toMatch(/PTFE-coated sheet over it takes \d+\sK at the glue/);
    expect(covered.heat?.bond).toBeLessThan(bare.heat?.bond ?? 0);
    expect(covered.heat?.correction?.timeS).toBeGreaterThan(12);
    expect(reasons(covered, 'physics')).toMatch(/more, \d+\ss in all, bring the bond to/);
    const byHouse = resolve(input({ rules: { coverWhenAllowed: 'always' } }));
    expect(byHouse.set.cover).toBe('ptfe');
    expect(Math.abs((byHouse.heat?.bond ?? 0) - (bare.heat?.bond ?? 0))).toBeLessThan(0.02);
  });
  it('is told as a band with its chance, never as one figure alone', () => {
    const { heat } = resolve(input());
    expect(heat && heat.low < heat.bond && heat.bond < heat.high).toBe(true);
    expect(heat?.soundChance).toBeGreaterThan(0.5);
    expect(reasons(resolve(input()), 'physics')).toMatch(/nine pieces in ten between/);
  });
  it.each([
    [1.6, 'over', /over 1\.35.*it may sink in, spread/],
    [0.6, 'short', /under 0\.90.*it may lift or crack/],
  ] as const)('a press and a time known to give × %s are Care for the bond: %s', (shift, rule, words) => {
    const own = input({ choices: { timeS: 12, setC: 152 } });
    const card = resolve({ ...own, learned: [{ pressId: own.press.id, productId: own.product.id, shift, sd: 0.05, n: 40 }] });
    const found = card.lamp.findings.filter(({ from }) => from === 'bond');
    expect(found.map((entry) => [entry.rule, entry.level])).toEqual([[rule, 'care']]);
    expect(found.map(({ says }) => phraseText(says, STARTING_HOUSE.units)).join()).toMatch(words);
    expect(card.lamp.state).not.toBe('clear');
  });
  it('where it falls short and nobody chose the time, seconds are added within the sheet, with the reason', () => {
    const learned = (own: ReturnType<typeof input>) => [{ pressId: own.press.id, productId: own.product.id, shift: 0.85, sd: 0.05, n: 31 }];
    const card = resolve({ ...input(), learned: learned(input()) });
    expect(card.set.timeS).toBeGreaterThan(12);
    expect(reasons(card, 'physics')).toMatch(/are added, within the sheet/);
  });
  it('a shift the log has taught is counted in, named with its pressings, and gone when it is left out', () => {
    const own = input({ choices: { timeS: 12 } });
    const shifted = { ...own, learned: [{ pressId: own.press.id, productId: own.product.id, shift: 0.8, sd: 0.05, n: 31 }] };
    expect((resolve(shifted).heat?.bonds[1]?.bond ?? 0) / (resolve(own).heat?.bonds[1]?.bond ?? 1)).toBeCloseTo(0.8, 2);
    expect(reasons(resolve(shifted), 'log')).toMatch(/31 pressings.*0\.80 times/);
    expect(reasons(resolve(own), 'log')).toBe('');
  });
  it('never holds a card by itself, over random shops', () => {
    fc.assert(
      fc.property(inputs, (random) => {
        const { lamp } = judge(prepared(random));
        for (const { from, level } of lamp.findings) if (from === 'bond') expect(level).toBe('care');
      }),
      runs(1000),
    );
  });
  it('the Heat bench takes up the very stack, setting and limits of the card', () => {
    const own = input({ on: 'fleece-hoodie', with: 'screen-printed' });
    const [card, stack] = [resolve(own), benchStack(own)];
    expect(stack?.set).toEqual({ tempC: card.set.tempC, timeS: card.set.timeS });
    expect(stack?.query.limits).toEqual({ markC: 175, damageC: 215, dyeC: null });
    const fleece = BUILT_IN_FABRICS.find(({ id }) => id === own.fabric.id);
    expect(stack?.query.piece.stack.find(({ role }) => role === 'fabric')?.thicknessMm).toBe(fleece?.thicknessMm);
    expect(benchStack({ ...own, print: { ...own.print, embossed: true } })).toBeNull();
  });
});

describe('a computed pre-press', () => {
  const prePress = (humidity: number, on = 'cotton-tee') =>
    resolve(input({ on, humidity, rules: { prePress: 'computed' } })).stages.find(({ kind }) => kind === 'pre-press')?.timeS ?? 0;
  it('grows with the damp in the room, and polyester needs next to none', () => {
    expect(prePress(90)).toBeGreaterThan(prePress(40));
    expect(prePress(90, 'polyester-tee')).toBeLessThan(prePress(90));
  });
});
