/** What a new shop's shelf begins with: general fabrics, a tee and a hoodie, and one product a family, all to be replaced by the shop's own. */
import type { Blank } from './blank';
import type { Fabric } from './fabric';
import { FAMILIES, type Family } from './family';
import type { Product } from './product';

const jersey = { construction: 'knit', texture: 'smooth', stretchPercent: 20, coating: 'none', dyeRisk: 'none' } as const;

/** General layer figures: conductivity W/mK, density kg/m³, heat capacity J/kgK, thickness under the press mm. */
export const BUILT_IN_FABRICS: readonly Fabric[] = [
  {
    ...jersey,
    id: 'cotton-jersey',
    name: 'cotton jersey',
    composition: [{ fibre: 'cotton', percent: 100 }],
    massGsm: 180,
    thicknessMm: 0.4,
    thermal: { k: 0.07, rho: 450, c: 1340 },
  },
  {
    ...jersey,
    id: 'polyester-jersey',
    name: 'polyester jersey',
    composition: [{ fibre: 'polyester', percent: 100 }],
    massGsm: 150,
    thicknessMm: 0.36,
    dyeRisk: 'dyed-polyester',
    thermal: { k: 0.06, rho: 420, c: 1250 },
  },
  {
    ...jersey,
    id: 'three-fibre-jersey',
    name: 'three-fibre jersey',
    massGsm: 150,
    thicknessMm: 0.38,
    thermal: { k: 0.065, rho: 435, c: 1300 },
    composition: [
      { fibre: 'polyester', percent: 50 },
      { fibre: 'cotton', percent: 25 },
      { fibre: 'viscose', percent: 25 },
    ],
  },
  {
    ...jersey,
    id: 'fleece',
    name: 'cotton-rich fleece',
    texture: 'fleece',
    massGsm: 280,
    thicknessMm: 1.1,
    thermal: { k: 0.05, rho: 250, c: 1340 },
    composition: [
      { fibre: 'cotton', percent: 80 },
      { fibre: 'polyester', percent: 20 },
    ],
  },
  {
    ...jersey,
    id: 'canvas',
    name: 'canvas or denim',
    construction: 'woven',
    texture: 'canvas',
    stretchPercent: 0,
    composition: [{ fibre: 'cotton', percent: 100 }],
    massGsm: 340,
    thicknessMm: 0.57,
    thermal: { k: 0.08, rho: 600, c: 1340 },
  },
  {
    ...jersey,
    id: 'coated-nylon',
    name: 'nylon, finish unknown',
    construction: 'woven',
    stretchPercent: 0,
    coating: 'unknown',
    composition: [{ fibre: 'nylon', percent: 100 }],
    massGsm: 70,
    thicknessMm: 0.09,
    thermal: { k: 0.12, rho: 780, c: 1500 },
  },
];

const SIZES = ['XS', 'S', 'M', 'L', 'XL', '2XL', '3XL'];
const blank = (id: string, kind: Blank['kind'], fabricId: string, name: string): Blank => ({
  id,
  name,
  kind,
  fabricId,
  colour: 'any dark',
  shade: 'dark',
  sizes: SIZES,
});

export const BUILT_IN_BLANKS: readonly Blank[] = [
  blank('cotton-tee', 'tee', 'cotton-jersey', 'cotton tee'),
  blank('polyester-tee', 'tee', 'polyester-jersey', 'polyester tee'),
  blank('three-fibre-tee', 'tee', 'three-fibre-jersey', 'three-fibre tee'),
  blank('fleece-hoodie', 'hoodie', 'fleece', 'fleece hoodie'),
];

/** A family's general figures as a product to start from; it says of itself that it is no supplier's sheet. */
function productFromFamily(family: Family, on: string): Product {
  const { id, name, press, peel, cover, base, faceDown, mirroredBySupplier, stretches, care } = family;
  return {
    id: `general-${id}`,
    name: `${name}, general figures`,
    maker: 'no maker: replace by your sheet',
    familyId: id,
    press: { tempC: press.tempC, timeS: press.timeS, pressure: { asStated: press.pressure, band: press.pressure } },
    peel,
    cover,
    base,
    faceDown,
    mirroredBySupplier,
    stretches,
    forCoated: false,
    fibresAllowed: [],
    filmMm: 0.09,
    carrier: mirroredBySupplier ? 'paper' : 'film',
    pricePerSheetMinor: 0,
    source: { sheet: 'general figures of the family, no supplier’s sheet', on },
    care,
  };
}

export const builtInProducts = (on: string): Product[] => Object.values(FAMILIES).map((family) => productFromFamily(family, on));
