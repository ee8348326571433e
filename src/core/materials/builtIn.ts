/** What a new shop's shelf begins with: general fabrics, blanks, aids, and one product a family, all to be replaced by the shop's own. */
import type { Aid, CoverKind } from './aid';
import { type Blank, type BlankKind, USUAL_POSITIONS } from './blank';
import type { Composition, Fabric } from './fabric';
import { FAMILIES, type Family, type FamilyStage } from './family';
import type { FibreId } from './fibres';
import type { Product } from './product';
import type { SheetStage } from './stage';

const all = (fibre: FibreId): Composition => [{ fibre, percent: 100 }];
const jersey = {
  substrate: 'cloth',
  construction: 'knit',
  texture: 'smooth',
  stretchPercent: 20,
  coating: 'none',
  dyeRisk: 'none',
  clear: false,
} as const;
const woven = { ...jersey, construction: 'woven', stretchPercent: 0 } as const;
const solid = {
  construction: 'solid',
  texture: 'smooth',
  stretchPercent: 0,
  coating: 'none',
  dyeRisk: 'none',
  clear: false,
  composition: [] as Composition,
} as const;

/** General layer figures: conductivity W/mK, density kg/m³, heat capacity J/kgK, thickness under the press mm. */
export const BUILT_IN_FABRICS: readonly Fabric[] = [
  {
    ...jersey,
    id: 'cotton-jersey',
    name: 'cotton jersey',
    composition: all('cotton'),
    massGsm: 180,
    thicknessMm: 0.4,
    thermal: { k: 0.07, rho: 450, c: 1340 },
  },
  {
    ...jersey,
    id: 'polyester-jersey',
    name: 'polyester jersey',
    composition: all('polyester'),
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
    ...woven,
    id: 'canvas',
    name: 'canvas or denim',
    texture: 'canvas',
    composition: all('cotton'),
    massGsm: 340,
    thicknessMm: 0.57,
    thermal: { k: 0.08, rho: 600, c: 1340 },
  },
  {
    ...woven,
    id: 'linen',
    name: 'linen',
    texture: 'slubby',
    composition: all('linen'),
    massGsm: 200,
    thicknessMm: 0.4,
    thermal: { k: 0.08, rho: 500, c: 1340 },
  },
  {
    ...woven,
    id: 'coated-nylon',
    name: 'nylon, finish unknown',
    coating: 'unknown',
    composition: all('nylon'),
    massGsm: 70,
    thicknessMm: 0.09,
    thermal: { k: 0.12, rho: 780, c: 1500 },
  },
  {
    ...jersey,
    id: 'acrylic-knit',
    name: 'acrylic knit',
    texture: 'ribbed',
    composition: all('acrylic'),
    massGsm: 300,
    thicknessMm: 1,
    thermal: { k: 0.05, rho: 300, c: 1400 },
  },
  {
    ...woven,
    id: 'wool-felt',
    name: 'wool felt',
    construction: 'non-woven',
    composition: all('wool'),
    massGsm: 320,
    thicknessMm: 1.2,
    thermal: { k: 0.05, rho: 270, c: 1360 },
  },
  {
    ...woven,
    id: 'non-woven',
    name: 'non-woven polypropylene',
    construction: 'non-woven',
    composition: all('polypropylene'),
    massGsm: 90,
    thicknessMm: 0.4,
    thermal: { k: 0.08, rho: 230, c: 1800 },
  },
  {
    ...solid,
    id: 'leather',
    name: 'leather, undyed',
    substrate: 'leather',
    leather: { undyed: true, tanning: 'vegetable' },
    composition: all('leather'),
    massGsm: 1500,
    thicknessMm: 1.8,
    thermal: { k: 0.15, rho: 860, c: 1500 },
  },
  {
    ...solid,
    id: 'leather-look',
    name: 'leather-look',
    substrate: 'leather-look',
    composition: all('pu-leather'),
    massGsm: 840,
    thicknessMm: 1.2,
    thermal: { k: 0.14, rho: 700, c: 1500 },
  },
  {
    ...woven,
    id: 'book-cloth',
    name: 'book cloth',
    substrate: 'book cloth',
    composition: all('cotton'),
    massGsm: 220,
    thicknessMm: 0.3,
    thermal: { k: 0.08, rho: 700, c: 1340 },
  },
  { ...solid, id: 'basswood', name: 'basswood', substrate: 'wood', massGsm: 2500, thicknessMm: 5, thermal: { k: 0.12, rho: 500, c: 1700 } },
  {
    ...solid,
    id: 'fibreboard',
    name: 'fibreboard',
    substrate: 'board',
    massGsm: 2250,
    thicknessMm: 3,
    thermal: { k: 0.12, rho: 750, c: 1700 },
  },
  {
    ...solid,
    id: 'glass',
    name: 'clear glass',
    substrate: 'glass',
    clear: true,
    massGsm: 10_000,
    thicknessMm: 4,
    thermal: { k: 1, rho: 2500, c: 840 },
  },
  {
    ...solid,
    id: 'mirror-glass',
    name: 'mirror',
    substrate: 'mirror',
    massGsm: 10_000,
    thicknessMm: 4,
    thermal: { k: 1, rho: 2500, c: 840 },
  },
  {
    ...solid,
    id: 'ceramic',
    name: 'coated ceramic',
    substrate: 'ceramic',
    massGsm: 12_000,
    thicknessMm: 6,
    thermal: { k: 1.2, rho: 2000, c: 850 },
  },
  {
    ...solid,
    id: 'cast-acrylic',
    name: 'cast acrylic',
    substrate: 'acrylic',
    acrylic: 'cast',
    clear: true,
    massGsm: 3540,
    thicknessMm: 3,
    thermal: { k: 0.19, rho: 1180, c: 1470 },
  },
  {
    ...solid,
    id: 'extruded-acrylic',
    name: 'extruded acrylic',
    substrate: 'acrylic',
    acrylic: 'extruded',
    clear: true,
    massGsm: 3540,
    thicknessMm: 3,
    thermal: { k: 0.19, rho: 1180, c: 1470 },
  },
  {
    ...solid,
    id: 'clear-plastic',
    name: 'clear plastic, kind unknown',
    substrate: 'acrylic',
    acrylic: 'unknown',
    clear: true,
    massGsm: 3540,
    thicknessMm: 3,
    thermal: { k: 0.19, rho: 1180, c: 1470 },
  },
  {
    ...solid,
    id: 'aluminium',
    name: 'aluminium panel',
    substrate: 'metal',
    massGsm: 2970,
    thicknessMm: 1.1,
    thermal: { k: 200, rho: 2700, c: 900 },
  },
];

const GARMENT_SIZES = ['XS', 'S', 'M', 'L', 'XL', '2XL', '3XL'];
const ONE_SIZE = ['one size'];

const plain = {
  thicknessSpreadMm: 0,
  obstructions: [],
  lined: false,
  printable: 'outside',
  lookedAt: 'the printed side',
  duty: 'laundered',
  notices: [],
  testPieces: [],
} as const;
const COLLAR: Blank['obstructions'] = [{ kind: 'collar', heightMm: 2, at: ['neck label'] }];

const blank = (id: string, kind: BlankKind, fabricId: string, name: string, change: Partial<Blank> = {}): Blank => ({
  ...plain,
  obstructions: [],
  notices: [],
  testPieces: [],
  id,
  name,
  kind,
  fabricId,
  colour: 'any dark',
  shade: 'dark',
  sizes: GARMENT_SIZES,
  ...change,
});
const hard = (id: string, kind: BlankKind, fabricId: string, name: string, thicknessMm: number, change: Partial<Blank> = {}): Blank =>
  blank(id, kind, fabricId, name, {
    colour: 'plain',
    shade: 'light',
    sizes: ONE_SIZE,
    thicknessMm,
    printable: 'either face',
    duty: 'handled',
    ...change,
  });

export const BUILT_IN_BLANKS: readonly Blank[] = [
  blank('cotton-tee', 'tee', 'cotton-jersey', 'cotton tee', { obstructions: COLLAR }),
  blank('polyester-tee', 'tee', 'polyester-jersey', 'polyester tee', { obstructions: COLLAR }),
  blank('three-fibre-tee', 'tee', 'three-fibre-jersey', 'three-fibre tee', { obstructions: COLLAR }),
  blank('youth-cotton-tee', 'youth tee', 'cotton-jersey', 'youth cotton tee', {
    sizes: ['YS', 'YM', 'YL'],
    notices: ['for children'],
    obstructions: COLLAR,
  }),
  blank('fleece-hoodie', 'hoodie', 'fleece', 'fleece hoodie', { obstructions: [{ kind: 'drawcord', heightMm: 5, at: [] }] }),
  blank('nylon-jacket', 'jacket', 'coated-nylon', 'nylon jacket', {
    lined: true,
    obstructions: [{ kind: 'zip', heightMm: 4, at: ['full front'] }],
  }),
  blank('sport-shorts', 'shorts', 'polyester-jersey', 'sport shorts', { obstructions: [{ kind: 'seam', heightMm: 1.5, at: [] }] }),
  blank('canvas-apron', 'apron', 'canvas', 'canvas apron', { sizes: ONE_SIZE, obstructions: [{ kind: 'strap', heightMm: 3, at: [] }] }),
  blank('canvas-tote', 'tote', 'canvas', 'canvas tote', { sizes: ONE_SIZE, colour: 'natural', shade: 'light', duty: 'handled' }),
  blank('canvas-cap', 'cap', 'canvas', 'canvas cap', {
    sizes: ONE_SIZE,
    duty: 'handled',
    obstructions: [{ kind: 'seam', heightMm: 1, at: ['cap front'] }],
  }),
  hard('glass-coaster', 'coaster', 'glass', 'glass coaster', 4, { lookedAt: 'through the blank', notices: ['food or drink'] }),
  hard('ceramic-tile', 'tile', 'ceramic', 'ceramic tile', 6, { printable: 'the coated face', duty: 'looked at' }),
  hard('wooden-tag', 'tag', 'basswood', 'wooden tag', 5, {
    obstructions: [{ kind: 'hanging hole', heightMm: 0, at: [] }],
    thicknessSpreadMm: 0.3,
  }),
  hard('acrylic-block', 'panel', 'cast-acrylic', 'acrylic block', 6, { lookedAt: 'through the blank', duty: 'looked at' }),
  hard('metal-panel', 'panel', 'aluminium', 'aluminium panel', 1.1, { printable: 'the coated face', duty: 'looked at' }),
  hard('cloth-journal', 'journal', 'book-cloth', 'cloth journal', 3, { printable: 'outside' }),
];

export const usualPosition = (kind: BlankKind) => USUAL_POSITIONS[kind][0];

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
