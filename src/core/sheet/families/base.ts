/** What families have in common: a film face down on cloth, and how bought transfers and papers differ from it. */
import { type Coating, type Duty, type FibreId, type PressureBand, SUBSTRATES, type Substrate } from '../../materials';
import type { Family, FamilyStage } from '../family';
import { type Allowance, between, type Figure } from '../figure';
import type { StageKind } from '../stage';
import type { Peel } from '../traits';

export const CLOTHS: readonly Substrate[] = ['cloth'];
export const SOFT: readonly Substrate[] = ['cloth', 'leather', 'leather-look', 'book cloth'];
const CLOSED: readonly Substrate[] = ['glass', 'mirror', 'ceramic', 'acrylic', 'metal', 'coated ceramic', 'coated metal'];
/** Holds by sinking into threads or pores. */
export const NEVER_CLOSED = { on: CLOSED, because: 'it holds by sinking in, and a closed face has nothing to sink into' } as const;
/** Stiff when cold. */
export const NEVER_BENDING = { on: SOFT, because: 'it sets stiff and cracks on what bends' } as const;
export const NEVER_UNCOATED = {
  on: SUBSTRATES.filter((substrate) => substrate !== 'cloth' && !substrate.startsWith('coated')),
  because: 'its dye goes into polyester alone, and there is none in it',
} as const;
const ALL_DUTIES: readonly Duty[] = ['laundered', 'handled', 'looked at'];
export const NEVER_WASHED: readonly Duty[] = ['handled', 'looked at'];
export const REPELLENT: readonly Coating[] = ['water-repellent'];
export const POLYESTER: readonly FibreId[] = ['polyester'];
export const WASH_COOL = 'Wash inside out, cool, no softener; dry low.';
const WASH_WARM = 'Wash inside out, warm at most, no softener; do not iron the print.';
export const WIPE = 'Wipe with a soft damp cloth; no scouring, no dishwasher.';

export const range = between;
export const exactly = (value: number): Figure => ({ form: 'one', value });

/** Our allowance round a single figure: the temperature a family bears more or less of, K, and 15 % of the time. */
export const allow = (tempK: number): Allowance => ({ tempK, timePercent: 15 });
export const stage = (
  kind: StageKind,
  tempC: Figure,
  timeS: Figure,
  pressure: PressureBand,
  cover: FamilyStage['cover'],
  peel: Peel,
): FamilyStage => ({ kind, tempC, timeS, pressure, cover, peel });
export const pressed = (tempC: Figure, timeS: Figure, pressure: PressureBand, cover: FamilyStage['cover'], peel: Peel) =>
  stage('press', tempC, timeS, pressure, cover, peel);

/** A film laid face down on cloth, mirrored in the art: what most families differ from. */
export const film = {
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
  secondPress: 'fine',
  rub: false,
  trim: 'nothing',
  timeByMass: false,
  preWarmS: null,
  passesMark: false,
  madeFor: [],
  shades: 'any',
  leastFibre: null,
  substrates: SOFT,
  never: { on: ['glass', 'mirror'], because: 'its glue finds nothing to sink into on so smooth a face' },
  overrides: [],
  duties: ALL_DUTIES,
  artKinds: ['one colour', 'few flat colours'],
  allowance: allow(8),
  filmMm: 0.09,
  carrier: 'film',
  minutesToMake: 6,
  care: WASH_COOL,
} as const satisfies Omit<Family, 'id' | 'name' | 'what' | 'stages'>;

export const bought = {
  mirroring: 'by the supplier',
  static: false,
  minutesToMake: 1,
  carrier: 'paper',
  care: WASH_WARM,
  substrates: CLOTHS,
  never: NEVER_CLOSED,
} as const;
export const paper = {
  static: false,
  carrier: 'paper',
  layer: 'alone',
  filmMm: 0.05,
  artKinds: ['full colour', 'fine detail', 'few flat colours', 'one colour'],
} as const;
