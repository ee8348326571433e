/** What stands on the axis for a thing of the shelf: a window, a setting, or the walls of a fabric. */
import { type Blank, blendLimits, type Fabric } from '../../core/materials';
import { type Product, pressStage } from '../../core/sheet';

export type Mark =
  | { kind: 'window'; lowC: number; highC: number }
  | { kind: 'point'; tempC: number; says: string }
  | { kind: 'walls'; markC: number; damageC: number; tested: boolean }
  | null;

export function productMark(product: Product): Mark {
  const { tempC } = pressStage(product);
  return { kind: 'window', lowC: tempC.min, highC: tempC.max };
}

export function fabricMark(fabric: Fabric | undefined, blank?: Blank): Mark {
  if (blank?.tested) return { kind: 'walls', markC: blank.tested.markC, damageC: blank.tested.damageC, tested: true };
  if (!fabric) return null;
  const { mark, damage } = blendLimits(fabric.composition);
  return mark && damage ? { kind: 'walls', markC: mark.limitC, damageC: damage.limitC, tested: false } : null;
}

const least = (product: Product) => pressStage(product).tempC.min;
/** What has no fibres bears most. */
const bears = (fabric: Fabric) => blendLimits(fabric.composition).mark?.limitC ?? Number.POSITIVE_INFINITY;

/** Coolest window first, so that the shelf reads along the axis. */
export const byWindow = (products: readonly Product[]): Product[] =>
  [...products].sort((a, b) => least(a) - least(b) || a.name.localeCompare(b.name));

/** Most heat-shy first. */
export const byMark = (fabrics: readonly Fabric[]): Fabric[] =>
  [...fabrics].sort((a, b) => (bears(a) === bears(b) ? a.name.localeCompare(b.name) : bears(a) < bears(b) ? -1 : 1));
