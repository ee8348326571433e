/** Settings the house keeps: what a card takes up of them, and that they never harm. */

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../../test/runs';
import { inputs } from '../../../test/shops';
import { HouseSchema, type HouseSetting, houseSetting, STARTING_HOUSE, withoutSetting, withSetting } from '../house';
import { judge } from '../judgement';
import { PRESSURE_BANDS, type PressureBand } from '../materials';
import type { ResolveInput } from './input';
import { prepared } from './measured';

const setting = (change: Partial<Record<keyof HouseSetting, string | number>> = {}): HouseSetting => ({
  pressId: 'wren',
  productId: 'film',
  of: 'time',
  value: 14,
  on: '2026-03-02',
  good: 9,
  spoiled: 1,
  ...(change as object),
});
const keeping = (input: ResolveInput, ...settings: HouseSetting[]): ResolveInput => ({ ...input, house: { ...input.house, settings } });

describe('the list of settings', () => {
  it('has one of a kind for each press with each transfer; the newest stands', () => {
    const both = withSetting(withSetting(STARTING_HOUSE, setting()), setting({ of: 'temperature', value: 155 }));
    const anew = withSetting(both, setting({ value: 16, good: 20 }));
    expect(anew.settings).toHaveLength(2);
    expect(houseSetting(anew, setting())).toMatchObject({ value: 16, good: 20 });
    expect(houseSetting(anew, setting({ pressId: 'swing' }))).toBeNull();
    expect(withoutSetting(anew, setting()).settings).toEqual([setting({ of: 'temperature', value: 155 })]);
  });
  it.each([
    ['a time of none', { value: 0 }, false],
    ['an hour and more', { value: 3601 }, false],
    ['a temperature as a time', { value: 155 }, true],
    ['a press at room heat', { of: 'temperature', value: 15 }, false],
    ['a press at 155 °C', { of: 'temperature', value: 155 }, true],
    ['a press at firm', { of: 'pressure', value: 'firm' }, true],
    ['a pressure nobody knows', { of: 'pressure', value: 'hard' }, false],
    ['a pressure in figures', { of: 'pressure', value: 3 }, false],
    ['no such day', { on: '2026-02-30' }, false],
  ] as const)('%s', (_, change, taken) => {
    expect(HouseSchema.safeParse({ ...STARTING_HOUSE, settings: [setting(change)] }).success).toBe(taken);
  });
});

describe('over random shops', () => {
  const wanted = fc.record({
    input: inputs,
    timeS: fc.integer({ min: 1, max: 120 }),
    setC: fc.integer({ min: 60, max: 230 }),
    band: fc.constantFrom(...PRESSURE_BANDS),
  });
  const all = ({ input, timeS, setC, band }: { input: ResolveInput; timeS: number; setC: number; band: PressureBand }) => {
    const use = { pressId: input.press.id, productId: input.product.id };
    const kept = [setting({ ...use, value: timeS }), setting({ ...use, of: 'temperature', value: setC })];
    return keeping(input, ...kept, setting({ ...use, of: 'pressure', value: band }));
  };
  it('none puts a piece on Hold that was not, and what was chosen for the print stands', () => {
    fc.assert(
      fc.property(wanted, (entry) => {
        const [plain, kept] = [judge(prepared(keeping(entry.input))), judge(prepared(all(entry)))];
        if (plain.lamp.state !== 'hold') expect(kept.lamp.state).not.toBe('hold');
        const { timeS, setC, band } = entry.input.print.choices;
        if (timeS !== undefined) expect(kept.draft.timeS).toBe(plain.draft.timeS);
        if (setC !== undefined) expect(kept.set.tempC).toBe(plain.set.tempC);
        if (band !== undefined) expect(kept.draft.band).toBe(band);
      }),
      runs(600),
    );
  });
  it('one of another press or another transfer changes nothing', () => {
    fc.assert(
      fc.property(wanted, ({ input, timeS }) => {
        const others = [setting({ pressId: input.press.id, value: timeS }), setting({ productId: input.product.id, value: timeS })];
        expect(judge(prepared(keeping(input, ...others)))).toEqual(judge(prepared(keeping(input))));
      }),
      runs(400),
    );
  });
});
