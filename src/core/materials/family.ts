/** Built-in transfer families: general starting points that a product's own sheet always replaces. */

import type { Duty } from './blank';
import type { Coating, Substrate } from './fabric';
import type { FibreId } from './fibres';
import type { PressureBand, Range } from './fields';
import type { StageKind } from './stage';
import type { Peel, Traits } from './traits';

export const FAMILY_IDS = [
  'cut-film',
  'stretch-film',
  'coated-fabric-film',
  'raised-film',
  'high-build-film',
  'textured-film',
  'print-and-cut-film',
  'one-sheet-laser-paper',
  'two-sheet-toner',
  'two-sheet-colour',
  'opaque-inkjet-paper',
  'hard-paper-porous',
  'hard-paper-smooth',
  'screen-printed',
  'low-cure-screen-printed',
  'raised-screen-printed',
  'film-printed',
  'stones',
  'heat-glued-patch',
  'dye-paper',
] as const;
export type FamilyId = (typeof FAMILY_IDS)[number];

/** A stage of a family: its window at the platen, and what lies over it. */
export interface FamilyStage {
  kind: StageKind;
  tempC: Range;
  timeS: Range;
  pressure: PressureBand;
  cover: 'required' | 'allowed' | 'avoid';
  peel: Peel;
}

export interface Family extends Traits {
  id: FamilyId;
  name: string;
  what: string;
  stages: readonly FamilyStage[];
  filmMm: number;
  carrier: 'film' | 'paper' | 'none';
  /** Hands' time to make one ready, minutes: cut, weed, print, marry. A starting figure to be replaced. */
  minutesToMake: number;
  care: string;
}

const CLOTHS: readonly Substrate[] = ['cloth'];
const SOFT: readonly Substrate[] = ['cloth', 'leather', 'leather-look', 'book cloth'];
const ALL_DUTIES: readonly Duty[] = ['laundered', 'handled', 'looked at'];
const NEVER_WASHED: readonly Duty[] = ['handled', 'looked at'];
const REPELLENT: readonly Coating[] = ['water-repellent'];
const POLYESTER: readonly FibreId[] = ['polyester'];
const WASH_COOL = 'Wash inside out, cool, no softener; dry low.';
const WASH_WARM = 'Wash inside out, warm at most, no softener; do not iron the print.';
const WIPE = 'Wipe with a soft damp cloth; no scouring, no dishwasher.';

const range = (min: number, max: number): Range => ({ min, max });
const stage = (
  kind: StageKind,
  tempC: Range,
  timeS: Range,
  pressure: PressureBand,
  cover: FamilyStage['cover'],
  peel: Peel,
): FamilyStage => ({ kind, tempC, timeS, pressure, cover, peel });
const pressed = (tempC: Range, timeS: Range, pressure: PressureBand, cover: FamilyStage['cover'], peel: Peel) =>
  stage('press', tempC, timeS, pressure, cover, peel);

/** A film laid face down on cloth, mirrored in the art: what most families differ from. */
const film = {
  facing: 'face down',
  mirroring: 'in the art',
  base: 'any',
  pad: 'none',
  stretches: false,
  bridgesSeams: false,
  static: true,
  mask: false,
  layer: 'any',
  embossBase: false,
  trialFirst: false,
  rub: false,
  trim: 'nothing',
  timeByMass: false,
  passesMark: false,
  madeFor: [],
  shades: 'any',
  leastFibre: null,
  substrates: SOFT,
  duties: ALL_DUTIES,
  artKinds: ['one colour', 'few flat colours'],
  filmMm: 0.09,
  carrier: 'film',
  minutesToMake: 6,
  care: WASH_COOL,
} as const satisfies Omit<Family, 'id' | 'name' | 'what' | 'stages'>;

const bought = {
  mirroring: 'by the supplier',
  static: false,
  minutesToMake: 1,
  carrier: 'paper',
  care: WASH_WARM,
  substrates: CLOTHS,
} as const;
const paper = {
  static: false,
  carrier: 'paper',
  layer: 'alone',
  filmMm: 0.05,
  artKinds: ['full colour', 'fine detail', 'few flat colours', 'one colour'],
} as const;

const LIST: readonly Family[] = [
  {
    ...film,
    id: 'cut-film',
    name: 'cut film',
    what: 'Solid film, cut and weeded.',
    mask: true,
    stages: [pressed(range(145, 160), range(8, 16), 'medium', 'allowed', 'warm')],
  },
  {
    ...film,
    id: 'stretch-film',
    name: 'stretch film',
    what: 'Elastic film for blends and sportswear.',
    stretches: true,
    bridgesSeams: true,
    mask: true,
    stages: [pressed(range(130, 150), range(7, 12), 'medium', 'allowed', 'warm')],
  },
  {
    ...film,
    id: 'coated-fabric-film',
    name: 'coated-fabric film',
    what: 'Thick adhesive for repellent nylon.',
    madeFor: REPELLENT,
    stages: [pressed(range(148, 166), range(6, 16), 'medium', 'allowed', 'warm')],
  },
  {
    ...film,
    id: 'raised-film',
    name: 'raised film',
    what: 'Foams up as it heats; its window may differ by colour.',
    layer: 'top only',
    trialFirst: true,
    substrates: CLOTHS,
    artKinds: ['raised', 'one colour'],
    stages: [pressed(range(132, 155), range(6, 13), 'medium', 'allowed', 'hot')],
  },
  {
    ...film,
    id: 'high-build-film',
    name: 'high-build film',
    what: 'Stands proud by itself; the base layer for embossing.',
    embossBase: true,
    filmMm: 0.5,
    artKinds: ['raised', 'one colour'],
    stages: [pressed(range(143, 160), range(6, 14), 'medium', 'allowed', 'warm')],
  },
  {
    ...film,
    id: 'textured-film',
    name: 'flock or glitter film',
    what: 'Velvety or sparkling film, cut and weeded.',
    layer: 'top only',
    filmMm: 0.4,
    minutesToMake: 8,
    artKinds: ['one colour', 'metallic', 'raised'],
    stages: [pressed(range(155, 168), range(12, 18), 'firm', 'allowed', 'warm')],
  },
  {
    ...film,
    id: 'print-and-cut-film',
    name: 'print-and-cut film',
    what: 'Printed by inkjet, cut round, its backing taken off.',
    facing: 'face up',
    static: false,
    carrier: 'none',
    mask: true,
    artKinds: ['full colour', 'few flat colours'],
    stages: [pressed(range(145, 158), range(9, 16), 'medium', 'required', 'none')],
  },
  {
    ...film,
    ...paper,
    id: 'one-sheet-laser-paper',
    name: 'one-sheet laser paper',
    what: 'Toner paper for light cloth.',
    shades: 'light',
    minutesToMake: 3,
    care: WASH_COOL,
    stages: [pressed(range(160, 180), range(15, 30), 'medium', 'required', 'hot')],
  },
  {
    ...film,
    ...paper,
    id: 'two-sheet-toner',
    name: 'two-sheet toner',
    what: 'A printed sheet married to an adhesive sheet; any colour of cloth.',
    mirroring: 'by the printer path',
    rub: true,
    trim: 'rim',
    minutesToMake: 6,
    stages: [
      stage('marry', range(145, 170), range(60, 150), 'medium', 'required', 'hot'),
      pressed(range(130, 160), range(15, 45), 'medium', 'required', 'cold'),
      stage('finish', range(140, 165), range(6, 25), 'medium', 'required', 'none'),
    ],
  },
  {
    ...film,
    ...paper,
    id: 'two-sheet-colour',
    name: 'two-sheet colour sheet',
    what: 'A one-colour coated sheet; the toner is its mask.',
    rub: true,
    trim: 'rim',
    minutesToMake: 6,
    artKinds: ['one colour', 'fine detail', 'metallic'],
    stages: [
      stage('marry', range(145, 170), range(60, 150), 'medium', 'required', 'hot'),
      pressed(range(140, 165), range(15, 45), 'medium', 'required', 'cold'),
      stage('finish', range(140, 165), range(5, 15), 'medium', 'required', 'none'),
    ],
  },
  {
    ...film,
    ...paper,
    id: 'opaque-inkjet-paper',
    name: 'opaque inkjet paper',
    what: 'For dark cloth; its backing is taken off.',
    facing: 'face up',
    carrier: 'none',
    filmMm: 0.15,
    minutesToMake: 4,
    artKinds: ['full colour', 'few flat colours'],
    substrates: CLOTHS,
    stages: [pressed(range(168, 185), range(22, 36), 'firm', 'required', 'none')],
  },
  {
    ...film,
    ...paper,
    id: 'hard-paper-porous',
    name: 'hard paper, porous',
    what: 'Toner paper for wood, board, leather and book cloth.',
    pad: 'soft pad over',
    timeByMass: true,
    substrates: ['wood', 'board', 'leather', 'book cloth'],
    shades: 'light',
    duties: NEVER_WASHED,
    minutesToMake: 3,
    care: WIPE,
    stages: [pressed(range(130, 155), range(25, 70), 'medium', 'required', 'hot')],
  },
  {
    ...film,
    ...paper,
    id: 'hard-paper-smooth',
    name: 'hard paper, smooth',
    what: 'Toner paper for glass, mirror, cast acrylic, tile and metal.',
    pad: 'foam over',
    timeByMass: true,
    substrates: ['glass', 'mirror', 'acrylic', 'metal', 'ceramic'],
    duties: NEVER_WASHED,
    minutesToMake: 3,
    care: WIPE,
    stages: [pressed(range(145, 155), range(60, 160), 'firm', 'required', 'cold')],
  },
  {
    ...film,
    ...bought,
    id: 'screen-printed',
    name: 'screen-printed transfer',
    what: 'Bought plastisol ink on paper; splits hot.',
    base: 'firm',
    layer: 'alone',
    artKinds: ['one colour', 'few flat colours', 'fine detail'],
    stages: [pressed(range(172, 190), range(4, 9), 'firm', 'avoid', 'hot')],
  },
  {
    ...film,
    ...bought,
    id: 'low-cure-screen-printed',
    name: 'low-cure screen-printed transfer',
    what: 'Bought; an ink that cures cooler, for polyester.',
    base: 'firm',
    layer: 'alone',
    artKinds: ['one colour', 'few flat colours', 'fine detail'],
    stages: [pressed(range(140, 158), range(5, 10), 'medium', 'avoid', 'warm')],
  },
  {
    ...film,
    ...bought,
    id: 'raised-screen-printed',
    name: 'raised screen-printed transfer',
    what: 'Bought; an ink that rises as it heats.',
    base: 'firm',
    layer: 'alone',
    trialFirst: true,
    filmMm: 0.3,
    artKinds: ['raised', 'one colour'],
    stages: [pressed(range(150, 165), range(3, 7), 'medium', 'allowed', 'hot')],
  },
  {
    ...film,
    ...bought,
    id: 'film-printed',
    name: 'film-printed transfer',
    what: 'Bought; ink with powder adhesive on film.',
    carrier: 'film',
    static: true,
    layer: 'alone',
    filmMm: 0.1,
    trim: 'two-up',
    substrates: SOFT,
    artKinds: ['full colour', 'few flat colours', 'fine detail', 'one colour'],
    stages: [
      pressed(range(140, 160), range(8, 16), 'medium', 'allowed', 'warm'),
      stage('finish', range(140, 160), range(4, 10), 'medium', 'required', 'none'),
    ],
  },
  {
    ...film,
    id: 'stones',
    name: 'stones or sequins on tape',
    what: 'Set in-house or bought, glue side down under a clear tape.',
    facing: 'face up',
    pad: 'felt under',
    static: false,
    layer: 'top only',
    trim: 'carrier',
    filmMm: 1.5,
    minutesToMake: 12,
    substrates: CLOTHS,
    artKinds: ['metallic', 'raised', 'one colour'],
    stages: [pressed(range(140, 155), range(10, 16), 'firm', 'allowed', 'warm')],
  },
  {
    ...film,
    id: 'heat-glued-patch',
    name: 'heat-glued patch',
    what: 'Leather-look or woven patch with heat adhesive on its back.',
    facing: 'face up',
    pad: 'foam behind',
    static: false,
    carrier: 'none',
    layer: 'alone',
    bridgesSeams: true,
    filmMm: 1.2,
    minutesToMake: 5,
    artKinds: ['one colour', 'raised', 'fine detail'],
    care: 'Spot clean; do not tumble dry.',
    stages: [pressed(range(95, 155), range(15, 45), 'firm', 'required', 'none')],
  },
  {
    ...film,
    ...paper,
    id: 'dye-paper',
    name: 'dye paper',
    what: 'Sublimation paper; the dye goes into light polyester.',
    passesMark: true,
    shades: 'light',
    leastFibre: { fibres: POLYESTER, percent: 65 },
    substrates: CLOTHS,
    minutesToMake: 2,
    care: WASH_COOL,
    stages: [pressed(range(190, 205), range(40, 70), 'light', 'required', 'none')],
  },
];

export const FAMILIES = Object.fromEntries(LIST.map((family) => [family.id, family])) as Record<FamilyId, Family>;
