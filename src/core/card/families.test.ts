import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { inputOf } from '../../../test/trade/check';
import { STARTING_HOUSE } from '../house';
import { type Press, PressSchema, setForMiddle } from '../press';
import { at, FAMILIES, FAMILY_IDS, type FamilyId, type Figure, productFromFamily } from '../sheet';
import { phraseText } from '../units';
import { settable } from '../window';
import { resolve } from './resolve';

/** A cloth or blank each family is made for. */
const ON: Partial<Record<FamilyId, string>> = {
  'coated-fabric-film': 'nylon-jacket',
  'one-sheet-laser-paper': 'canvas-tote',
  'hard-paper-porous': 'wooden-tag',
  'hard-paper-smooth': 'glass-coaster',
  'low-cure-screen-printed': 'polyester-tee',
  'dye-paper': 'polyester-tee',
  'heat-glued-patch': 'canvas-cap',
};
/** Suppliers of films for repellent nylon write the low end of what the family does. */
const FIGURE_C: Partial<Record<FamilyId, number>> = { 'coated-fabric-film': 148 };
const presses = (JSON.parse(readFileSync('demo/presses.json', 'utf8')) as { calibration: object | null }[]).map(
  ({ calibration, ...press }) => ({ ...press, calibration: calibration && { ...calibration, on: '2026-01-01' } }),
);
const pressOfKind = (kind: string) => presses.map((press) => PressSchema.parse(press)).find((press) => press.kind === kind) as Press;
const middle = (figure: Figure | undefined): Figure => ({
  form: 'one',
  value: figure?.form === 'range' ? Math.round((figure.min + figure.max) / 2) : (figure?.value ?? 0),
});

describe('a sheet that gives one figure, of every family, on what it is made for', () => {
  it.each(FAMILY_IDS)('%s is not on Hold on the demo shop’s press for it, and is set to that figure through its offset', (id) => {
    const general = productFromFamily(FAMILIES[id], '2026-01-01');
    const product = {
      ...general,
      stages: general.stages.map((stage) => ({
        ...stage,
        tempC: FIGURE_C[id] ? at(FIGURE_C[id]) : middle(stage.tempC),
        timeS: middle(stage.timeS),
      })),
    };
    const on = ON[id] ?? 'cotton-tee';
    const swing = pressOfKind('swing-away');
    // the demo shop’s cap press was never measured: here it was, and found as the swing-away is
    const press = id === 'heat-glued-patch' ? { ...pressOfKind('cap'), calibration: swing.calibration } : swing;
    const blank = {
      ...(id === 'dye-paper' && { shade: 'light' as const }),
      ...(id === 'coated-fabric-film' && { kind: 'tee' as const, obstructions: [], lined: false }),
    };
    const input = {
      ...inputOf({ says: id, on, with: id, blank, ...(id === 'heat-glued-patch' && { print: { widthMm: 60, heightMm: 40 } }) }),
      product,
      press,
    };
    const card = resolve(input);
    const says = card.lamp.findings.map((finding) => `${finding.level}: ${phraseText(finding.says, STARTING_HOUSE.units)}`).join('\n');
    expect(card.lamp.state, says).not.toBe('hold');
    const written = product.stages.find(({ kind }) => kind === 'press')?.tempC;
    const named = written?.form === 'one' ? written.value : Number.NaN;
    expect(card.set.tempC).toBe(settable(press, setForMiddle(card.window, named)));
    expect(card.window.bounds.find(({ side }) => side === 'sheet low')?.surfaceC).toBeCloseTo(named - FAMILIES[id].allowance.tempK);
  });
});
