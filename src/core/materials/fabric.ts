/** Fabrics: what a blank is made of, and the limits its weakest fibre sets. */
import { z } from 'zod';
import { FIBRE_IDS, FIBRES, type FibreId, LEAST_SHARE_PERCENT } from './fibres';
import { Id, Name } from './fields';

export const CompositionSchema = z
  .array(z.object({ fibre: z.enum(FIBRE_IDS), percent: z.number().positive().max(100) }))
  .min(1, 'Name at least one fibre.')
  .superRefine((parts, ctx) => {
    const sum = parts.reduce((total, part) => total + part.percent, 0);
    if (Math.abs(sum - 100) > 0.01) {
      ctx.addIssue({ code: 'custom', message: `The fibres add up to ${Number(sum.toFixed(2))} %; they must make 100 %.` });
    }
    const seen = new Set(parts.map((part) => part.fibre));
    if (seen.size !== parts.length) ctx.addIssue({ code: 'custom', message: 'A fibre is named twice; add its shares together.' });
  });
export type Composition = z.infer<typeof CompositionSchema>;

export const FabricSchema = z.object({
  id: Id,
  name: Name,
  composition: CompositionSchema,
  construction: z.enum(['knit', 'woven']),
  texture: z.enum(['smooth', 'ribbed', 'fleece', 'canvas']),
  massGsm: z.number().min(10).max(2000),
  /** Thickness under the press, mm. */
  thicknessMm: z.number().min(0.02).max(20),
  /** How far it stretches in use, %. */
  stretchPercent: z.number().min(0).max(300),
  coating: z.enum(['none', 'water-repellent', 'silicone', 'back-coated', 'unknown']),
  dyeRisk: z.enum(['none', 'dyed-polyester', 'sublimation-dyed']),
  /** Conductivity W/mK, density kg/m³, heat capacity J/kgK. */
  thermal: z.object({ k: z.number().min(0.01).max(500), rho: z.number().min(20).max(9000), c: z.number().min(100).max(5000) }),
});
export type Fabric = z.infer<typeof FabricSchema>;

/** A temperature the fabric itself must stay under, and whose it is. */
export interface FabricLimit {
  limitC: number;
  fibre: FibreId;
}

const weakest = (composition: Composition, of: 'markC' | 'damageC'): FabricLimit => {
  const counted = composition.filter((part) => part.percent >= LEAST_SHARE_PERCENT);
  const candidates = counted.length > 0 ? counted : composition;
  const fibre = candidates.reduce((low, part) => (FIBRES[part.fibre][of] < FIBRES[low.fibre][of] ? part : low)).fibre;
  return { limitC: FIBRES[fibre][of], fibre };
};

/**
 * The lowest mark and damage limits of any fibre that is 5 % of the blend or more, °C for 15 s.
 * A blend with no fibre at 5 % takes the lowest of all.
 */
export function blendLimits(composition: Composition): { mark: FabricLimit; damage: FabricLimit } {
  return { mark: weakest(composition, 'markC'), damage: weakest(composition, 'damageC') };
}

const LIMIT_TIME_S = 15;
const KELVIN_PER_HALVING = 8;
const MOST_SHIFT_K = 16;

/**
 * A 15 s limit moved to another time under heat: 8 K higher for each halving of the time, at most 16 K either way.
 *
 * @param limitC °C for 15 s
 * @param timeS time under heat, s, above 0
 */
export function limitForTime(limitC: number, timeS: number): number {
  const shift = KELVIN_PER_HALVING * Math.log2(LIMIT_TIME_S / timeS);
  return limitC + Math.max(-MOST_SHIFT_K, Math.min(MOST_SHIFT_K, shift));
}

/** The composition as a label would print it, largest share first: `50 % polyester, 25 % cotton, 25 % viscose`. */
export function describeComposition(composition: Composition): string {
  return [...composition]
    .sort((a, b) => b.percent - a.percent)
    .map((part) => `${part.percent} % ${FIBRES[part.fibre].name}`)
    .join(', ');
}
