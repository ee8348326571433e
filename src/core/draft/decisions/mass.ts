/** What a blank's own heat asks for: its share of its sheet's time. */
import { massOf } from '../draft';
import type { PreparedInput } from '../input';

/** Thermal mass at which a hard blank takes the shortest and the longest time of its sheet, J/m²K: a thin metal panel, a thick glass block. */
const MASS_RANGE = { least: 2_500, most: 31_500 } as const;

/** Where a hard blank stands between the two, 0 to 1. */
export const massShare = (input: PreparedInput): number => {
  const { least, most } = MASS_RANGE;
  return Math.max(0, Math.min(1, (massOf(input) - least) / (most - least)));
};
