/** Covers, pads and one product a family that a new shop's shelf begins with, all to be replaced by the shop's own. */
import type { Aid, CoverKind } from './aid';
import { FAMILIES } from './families';
import type { Family, FamilyStage } from './family';
import type { Product } from './product';
import type { SheetStage } from './stage';

const aid = (id: string, name: string, serves: Aid['serves'], thicknessMm: number, substitutes: string[] = []): Aid => ({
  id,
  name,
  serves,
  thicknessMm,
  wear: 'sound',
  substitutes,
  note: '',
});

export const BUILT_IN_AIDS: readonly Aid[] = [
  aid('ptfe-sheet', 'PTFE-coated sheet', 'ptfe', 0.13, ['baking-paper']),
  aid('baking-paper', 'baking paper', 'paper', 0.08, ['ptfe-sheet']),
  aid('matte-paper', 'matte finishing paper', 'matte', 0.1, ['baking-paper']),
  aid('silicone-sheet', 'silicone sheet', 'silicone', 0.3, ['ptfe-sheet']),
  aid('firm-pad', 'firm rubber pad', 'firm pad', 3),
  aid('felt-pad', 'felt pad', 'felt', 4),
  aid('soft-pad', 'soft silicone pad', 'soft pad', 6, ['felt-pad']),
  aid('foam-pad', 'heat-proof foam', 'foam', 8, ['soft-pad']),
  aid('pillow', 'press pillow', 'pillow', 8),
];

/** The sheet a family usually takes where one is called for. */
const USUAL_COVER: Partial<Record<FamilyStage['kind'], CoverKind>> = { finish: 'matte' };

const sheetStage = (stage: FamilyStage): SheetStage => ({
  ...stage,
  pressure: { asStated: stage.pressure, band: stage.pressure },
  coverKind: USUAL_COVER[stage.kind] ?? 'ptfe',
  timer: stage.kind === 'finish' ? 2 : 1,
});

/** A family's general figures as a product to start from; it says of itself that it is no supplier's sheet. */
export function productFromFamily(family: Family, on: string): Product {
  const { id, name, what: _, stages, filmMm, carrier, minutesToMake, care, ...traits } = family;
  return {
    id: `general-${id}`,
    name: `${name}, general figures`,
    maker: 'no maker: replace by your sheet',
    familyId: id,
    stages: stages.map(sheetStage),
    overrides: [],
    alternatives: [],
    otherPeels: [],
    colours: [],
    ...traits,
    fibresAllowed: [],
    filmMm,
    carrier,
    pricePerSheetMinor: 0,
    minutesToMake,
    source: { sheet: 'general figures of the family, no supplier’s sheet', on },
    earlier: [],
    care,
  };
}

export const builtInProducts = (on: string): Product[] => Object.values(FAMILIES).map((family) => productFromFamily(family, on));
