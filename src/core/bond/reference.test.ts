/** The bond at a supplier's own setting on his own cloth, against a reference that is coded apart from it. */
import { describe, expect, it } from 'vitest';
import { FOR_CLOTH, ownFlow } from '../../../test/ownReference';
import { inputOf } from '../../../test/trade/check';
import { adhesiveOf, prepared, pressOf } from '../draft';
import { judge, LAW } from '../judgement';
import { FAMILIES, FAMILY_IDS, productFromFamily } from '../sheet';
import { bondAt } from './bond';

const CLOTH = FAMILY_IDS.filter((id) => FOR_CLOTH(productFromFamily(FAMILIES[id], '2026-01-01')));

describe('at the supplier’s own setting on his own cloth', () => {
  it('most families are made for cloth', () => expect(CLOTH.length).toBeGreaterThan(15));

  it.each(CLOTH)('%s bonds 1.00 ± 0.02', (id) => {
    const jersey = { thermal: { k: 0.07, rho: 450, c: 1340 }, thicknessMm: 0.4, massGsm: 180 };
    const written = inputOf({
      says: id,
      on: 'cotton-tee',
      with: id,
      // a timer that can be set to the middle of any sheet
      press: 'halves',
      ...(id === 'one-sheet-laser-paper' && { blank: { shade: 'light' as const } }),
      ...(id === 'dye-paper' && { on: 'polyester-tee', blank: { shade: 'light' as const } }),
      fabric: jersey,
      humidity: 0,
      rules: { prePress: 'seconds' },
      figures: { prePressS: 0 },
    });
    const { stages } = written.product;
    // its own heat at a pre-press or a tack is no part of the press stage
    const product = { ...written.product, stages: stages.filter(({ kind }) => kind === 'press' || kind === 'marry') };
    // by itself a card may take another time within the sheet: here it is the supplier's own that is asked about
    const { timeS: meant } = pressOf(judge(prepared({ ...written, product }), LAW).draft);
    const input = prepared({ ...written, product, print: { ...written.print, choices: { timeS: meant.nominal } } });
    const { draft, bonds } = judge(input, LAW);
    const { tempC, timeS, pressure } = pressOf(draft);
    const adhesive = adhesiveOf(input, draft);
    const setting = {
      surfaceC: tempC.nominal,
      timeS: timeS.nominal,
      band: pressure.band,
      cover: draft.cover,
      softenC: tempC.min - 30,
    };
    const own = ownFlow(product, setting);
    expect(Math.sqrt(adhesive.referenceFlow / own)).toBeGreaterThan(0.98);
    expect(Math.sqrt(adhesive.referenceFlow / own)).toBeLessThan(1.02);
    expect(draft.timeS).toBe(timeS.nominal);
    const bond = bondAt(bonds ?? [], tempC.nominal) * Math.sqrt(adhesive.referenceFlow / own);
    expect(bond).toBeGreaterThan(0.98);
    expect(bond).toBeLessThan(1.02);
  });
});
