/** A piece of every family: a sheet that gives one figure, on what the family is made for, at the demo shop's press for it. */
import { readFileSync } from 'node:fs';
import type { ResolveInput } from '../../src/core/draft';
import { type Press, PressSchema } from '../../src/core/press';
import { at, FAMILIES, type FamilyId, type Figure, productFromFamily } from '../../src/core/sheet';
import { inputOf } from './check';

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

/** What the demo shop would press of a family. */
export function familyInput(id: FamilyId): ResolveInput {
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
  return {
    ...inputOf({ says: id, on, with: id, blank, ...(id === 'heat-glued-patch' && { print: { widthMm: 60, heightMm: 40 } }) }),
    product,
    press,
  };
}
