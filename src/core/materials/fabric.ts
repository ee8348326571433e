/** Fabrics and the other materials blanks are made of, and the limits their weakest fibre sets. */
import { z } from 'zod';
import { FIBRE_IDS, FIBRES, type FibreId, LEAST_SHARE_PERCENT } from './fibres';
import { Id, Name, RetiredOn } from './fields';

export const CompositionSchema = z
  .array(z.object({ fibre: z.enum(FIBRE_IDS), percent: z.number().positive().max(100) }))
  .superRefine((parts, ctx) => {
    if (parts.length === 0) return;
    const sum = parts.reduce((total, part) => total + part.percent, 0);
    if (Math.abs(sum - 100) > 0.01) {
      ctx.addIssue({ code: 'custom', message: `The fibres add up to ${Number(sum.toFixed(2))} %; they must make 100 %.` });
    }
    const seen = new Set(parts.map((part) => part.fibre));
    if (seen.size !== parts.length) ctx.addIssue({ code: 'custom', message: 'A fibre is named twice; add its shares together.' });
  });
export type Composition = z.infer<typeof CompositionSchema>;

/** What a blank is made of, as far as a press is concerned. */
export const SUBSTRATES = [
  'cloth',
  'leather',
  'leather-look',
  'book cloth',
  'wood',
  'board',
  'card',
  'cork',
  'glass',
  'mirror',
  'ceramic',
  'acrylic',
  'metal',
  // with a polyester skin that takes dye
  'coated ceramic',
  'coated metal',
] as const;
export type Substrate = (typeof SUBSTRATES)[number];

/** Substrates made of fibres: their limits come from the fibre table. */
const FIBROUS: readonly Substrate[] = ['cloth', 'leather', 'leather-look', 'book cloth'];
const HARD: readonly Substrate[] = SUBSTRATES.filter((substrate) => !FIBROUS.includes(substrate));
const BRITTLE: readonly Substrate[] = ['glass', 'mirror', 'ceramic', 'coated ceramic', 'acrylic'];

export const COATINGS = ['none', 'water-repellent', 'silicone', 'back-coated', 'unknown'] as const;
export type Coating = (typeof COATINGS)[number];

export const TEXTURES = ['smooth', 'ribbed', 'slubby', 'canvas', 'fleece', 'terry', 'corduroy'] as const;
/** Textures whose threads stand up off the cloth. */
const PILES: readonly (typeof TEXTURES)[number][] = ['terry', 'corduroy'];

export const FabricSchema = z
  .object({
    id: Id,
    name: Name,
    substrate: z.enum(SUBSTRATES),
    /** Empty only for what has no fibres. */
    composition: CompositionSchema,
    construction: z.enum(['knit', 'woven', 'non-woven', 'solid']),
    texture: z.enum(TEXTURES),
    massGsm: z.number().min(10).max(40_000),
    /** Thickness under the press, mm. */
    thicknessMm: z.number().min(0.02).max(30),
    /** How far it stretches in use, %. */
    stretchPercent: z.number().min(0).max(300),
    coating: z.enum(COATINGS),
    dyeRisk: z.enum(['none', 'dyed-polyester', 'sublimation-dyed']),
    /** One can look through it. */
    clear: z.boolean(),
    /** How a clear plastic was made; asked for acrylic. */
    acrylic: z.enum(['cast', 'extruded', 'unknown']).optional(),
    /** Asked for leather: undyed takes marks from tape and water; the tanning decides whether it may be laser-cut. */
    leather: z.object({ undyed: z.boolean(), tanning: z.enum(['vegetable', 'chrome', 'unknown']) }).optional(),
    /** Conductivity W/mK, density kg/m³, heat capacity J/kgK. */
    thermal: z.object({ k: z.number().min(0.01).max(500), rho: z.number().min(20).max(9000), c: z.number().min(100).max(5000) }),
    retiredOn: RetiredOn,
  })
  .superRefine((fabric, ctx) => {
    const say = (path: string, message: string) => ctx.addIssue({ code: 'custom', path: [path], message });
    if (FIBROUS.includes(fabric.substrate) && fabric.composition.length === 0) say('composition', 'Name at least one fibre.');
    if (HARD.includes(fabric.substrate) && fabric.composition.length > 0)
      say('composition', `${fabric.substrate} has no fibres: leave this empty.`);
    if (fabric.substrate === 'acrylic' && !fabric.acrylic)
      say('acrylic', 'Cast, extruded or unknown? Cast stands the press, extruded warps; say unknown if the supplier does not tell.');
    if (fabric.substrate === 'leather' && !fabric.leather)
      say('leather', 'Is it dyed, and how was it tanned? Say unknown if nobody knows.');
  });
export type Fabric = z.infer<typeof FabricSchema>;

export const isHard = (fabric: Pick<Fabric, 'substrate'>): boolean => HARD.includes(fabric.substrate);
/** Cracks where it cools all at once, as on cold metal; acrylic does not. */
export const cracksByShock = (fabric: Pick<Fabric, 'substrate'>): boolean => isBrittle(fabric) && fabric.substrate !== 'acrylic';
/** Breaks rather than bends. */
export const isBrittle = (fabric: Pick<Fabric, 'substrate'>): boolean => BRITTLE.includes(fabric.substrate);

/** Loops or ribs stand up from the face, so that a thin print lies on their tips. */
export const hasPile = (fabric: Pick<Fabric, 'texture'>): boolean => PILES.includes(fabric.texture);
export const isFibrous = (substrate: Substrate): boolean => FIBROUS.includes(substrate);

/** A temperature the fabric itself must stay under, and whose it is. */
export interface FabricLimit {
  limitC: number;
  fibre: FibreId;
}

/** Fibres that are 5 % of the blend or more; in a blend without one, all of them. */
export function countedFibres(composition: Composition): Composition {
  const counted = composition.filter((part) => part.percent >= LEAST_SHARE_PERCENT);
  return counted.length > 0 ? counted : composition;
}

function weakest(composition: Composition, of: 'markC' | 'damageC'): FabricLimit | null {
  let lowest: FibreId | null = null;
  for (const { fibre } of countedFibres(composition)) if (lowest === null || FIBRES[fibre][of] < FIBRES[lowest][of]) lowest = fibre;
  return lowest === null ? null : { limitC: FIBRES[lowest][of], fibre: lowest };
}

/**
 * The lowest mark and damage limits of any fibre that is 5 % of the blend or more, °C for 15 s.
 * A blend with no fibre at 5 % takes the lowest of all; what has no fibres has no limit here, and gives null.
 */
export function blendLimits(composition: Composition): { mark: FabricLimit | null; damage: FabricLimit | null } {
  return { mark: weakest(composition, 'markC'), damage: weakest(composition, 'damageC') };
}

const LIMIT_TIME_S = 15;
const KELVIN_PER_HALVING = 8;
/** A limit moves at most so far with the time, K; that of viscose, which is marked quickly, less. */
const MOST_SHIFT_K = 16;
const MOST_SHIFT_VISCOSE_K = 4;

/**
 * How far the limit of a fibre moves with the time at most.
 *
 * @param fibre null: of what has no fibre
 * @returns K
 */
export const mostShiftOf = (fibre: FibreId | null): number => (fibre === 'viscose' ? MOST_SHIFT_VISCOSE_K : MOST_SHIFT_K);

/** A limit for 15 s, °C, and how far it moves with the time at most, K. */
export interface TimedLimit {
  limitC: number;
  mostK: number;
}

/** Limits of every fibre that counts in a blend: which of them is the lowest may depend on the time. */
export const fibreLimits = (composition: Composition, of: 'markC' | 'damageC'): TimedLimit[] =>
  countedFibres(composition).map(({ fibre }) => ({ limitC: FIBRES[fibre][of], mostK: mostShiftOf(fibre) }));

/**
 * What bears heat for a time as the first of its limits does.
 *
 * @param limits °C for 15 s, each with how far it moves with the time at most, K
 * @param timeS under heat, s
 * @returns °C; without limits infinite
 */
export const lowestForTime = (limits: readonly TimedLimit[], timeS: number): number =>
  limits.reduce((low, { limitC, mostK }) => Math.min(low, limitForTime(limitC, timeS, mostK)), Number.POSITIVE_INFINITY);

/**
 * A 15 s limit moved to another time under heat: 8 K higher for each halving of the time, and no further either way than it may.
 *
 * @param limitC °C for 15 s
 * @param timeS time under heat, s, above 0
 * @param mostK how far it moves at most, K
 * @returns °C for that time
 * @example limitForTime(160, 30) // 152
 */
export function limitForTime(limitC: number, timeS: number, mostK: number = MOST_SHIFT_K): number {
  const shift = KELVIN_PER_HALVING * Math.log2(LIMIT_TIME_S / timeS);
  return limitC + Math.max(-mostK, Math.min(mostK, shift));
}

/** The composition as a label would print it, largest share first: `50 % polyester, 25 % cotton, 25 % viscose`. */
export function describeComposition(composition: Composition): string {
  return [...composition]
    .sort((a, b) => b.percent - a.percent)
    .map((part) => `${Number(part.percent.toFixed(1))} % ${FIBRES[part.fibre].name}`)
    .join(', ');
}

/** What a material is, in one line: its composition, or the substance itself with what is known of it. */
export function describeMaterial(fabric: Fabric): string {
  if (fabric.composition.length > 0) return describeComposition(fabric.composition);
  return fabric.acrylic
    ? `${fabric.acrylic === 'unknown' ? 'clear plastic, kind unknown' : `${fabric.acrylic} acrylic`}`
    : fabric.substrate;
}

/** Groups of material a supplier's sheet may give settings for. */
export const FABRIC_GROUPS = [
  'cotton and blends',
  'polyester',
  'nylon',
  'leather',
  'leather-look',
  'book cloth',
  'wood',
  'board',
  'card',
  'cork',
  'clear',
  'mirror',
  'metal',
  'ceramic',
  'coated metal',
  'coated ceramic',
] as const;
export type FabricGroup = (typeof FABRIC_GROUPS)[number];

/** From this share on, sheets speak of polyester (or nylon) and no longer of a blend, %. */
const POLYESTER_FROM_PERCENT = 80;
const NYLON_FROM_PERCENT = 50;

/** The group of a sheet that a material falls into. */
export function groupOf(fabric: Pick<Fabric, 'substrate' | 'composition'>): FabricGroup {
  switch (fabric.substrate) {
    case 'cloth': {
      const share = (fibre: FibreId) => fabric.composition.find((part) => part.fibre === fibre)?.percent ?? 0;
      if (share('polyester') >= POLYESTER_FROM_PERCENT) return 'polyester';
      return share('nylon') >= NYLON_FROM_PERCENT ? 'nylon' : 'cotton and blends';
    }
    case 'glass':
    case 'acrylic':
      return 'clear';
    default:
      return fabric.substrate;
  }
}

/**
 * Heat a square metre of material takes up per kelvin, J/m²K: what a hard blank's time grows with.
 *
 * @param thermal density in kg/m³, heat in J/kgK
 * @param thicknessMm mm
 * @example thermalMass({ k: 1, rho: 2500, c: 800 }, 4) // 8000
 */
export const thermalMass = (thermal: Fabric['thermal'], thicknessMm: number): number => (thermal.rho * thermal.c * thicknessMm) / 1000;
