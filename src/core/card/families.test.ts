import { describe, expect, it } from 'vitest';
import { familyInput } from '../../../test/trade/families';
import { STARTING_HOUSE } from '../house';
import { setForMiddle } from '../press';
import { FAMILIES, FAMILY_IDS } from '../sheet';
import { phraseText } from '../units';
import { settable } from '../window';
import { resolve } from './resolve';

describe('a sheet that gives one figure, of every family, on what it is made for', () => {
  it.each(FAMILY_IDS)('%s is not on Hold on the demo shop’s press for it, and is set to that figure through its offset', (id) => {
    const input = familyInput(id);
    const { product, press } = input;
    const card = resolve(input);
    const says = card.lamp.findings.map((finding) => `${finding.level}: ${phraseText(finding.says, STARTING_HOUSE.units)}`).join('\n');
    expect(card.lamp.state, says).not.toBe('hold');
    const written = product.stages.find(({ kind }) => kind === 'press')?.tempC;
    const named = written?.form === 'one' ? written.value : Number.NaN;
    expect(card.set.tempC).toBe(settable(press, setForMiddle(card.window, named)));
    expect(card.window.bounds.find(({ side }) => side === 'sheet low')?.surfaceC).toBeCloseTo(named - FAMILIES[id].allowance.tempK);
  });
});
