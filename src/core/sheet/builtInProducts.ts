/** One product a family that a new shop's shelf begins with, to be replaced by the shop's own sheets. */
import type { CoverKind } from '../materials';
import { FAMILIES } from './families';
import type { Family, FamilyStage } from './family';
import type { Product } from './product';
import type { WrittenStage } from './stage';

/** The sheet a family usually takes where one is called for. */
const USUAL_COVER: Partial<Record<FamilyStage['kind'], CoverKind>> = { finish: 'matte' };

const written = (stage: FamilyStage): WrittenStage => ({
  ...stage,
  pressure: { asStated: stage.pressure, band: stage.pressure },
  coverKind: USUAL_COVER[stage.kind] ?? 'ptfe',
  timer: stage.kind === 'finish' ? 2 : 1,
});

/** A family's general figures as a product to start from; it says of itself that it is no supplier's sheet. */
export function productFromFamily(family: Family, on: string): Product {
  // what stays the family's own is left out
  const { what: _, allowance: __, never: ___, preWarmS: ____, ...kept } = family;
  const { id, name, overrides, stages, filmMm, carrier, minutesToMake, care, ...traits } = kept;
  return {
    id: `general-${id}`,
    name: `${name}, general figures`,
    maker: 'no maker: replace by your sheet',
    familyId: id,
    stages: stages.map(written),
    overrides: overrides.map(({ group, pressure, ...own }) => ({
      ...own,
      fabricGroup: group,
      stage: 'press',
      ...(pressure && { pressure: { asStated: pressure, band: pressure } }),
    })),
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
