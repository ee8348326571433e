/** What stands on the axis for a thing of the shelf: a window, or the walls of a fabric. */
import { type Blank, blendLimits, type Fabric, type Product } from '../../core/materials';

export type Mark =
  | { kind: 'window'; lowC: number; highC: number }
  | { kind: 'walls'; markC: number; damageC: number; tested: boolean }
  | null;

export const productMark = ({ press }: Product): Mark => ({ kind: 'window', lowC: press.tempC.min, highC: press.tempC.max });

export function fabricMark(fabric: Fabric | undefined, blank?: Blank): Mark {
  if (blank?.tested) return { kind: 'walls', markC: blank.tested.markC, damageC: blank.tested.damageC, tested: true };
  if (!fabric) return null;
  const { mark, damage } = blendLimits(fabric.composition);
  return { kind: 'walls', markC: mark.limitC, damageC: damage.limitC, tested: false };
}

/** Coolest window first, so that the shelf reads along the axis. */
export const byWindow = (products: readonly Product[]): Product[] => [...products].sort((a, b) => a.press.tempC.min - b.press.tempC.min);

/** Most heat-shy first. */
export const byMark = (fabrics: readonly Fabric[]): Fabric[] =>
  [...fabrics].sort((a, b) => blendLimits(a.composition).mark.limitC - blendLimits(b.composition).mark.limitC);
