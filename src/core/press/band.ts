/** What a press delivers for what it is set to, as a band of temperatures. Without schemas: the heat worker loads it. */
import type { Band } from './bandSchema';

/** How a press stands to what it is set to: offset and 95 % spread at a setting, K, and how both change away from it. */
export interface Offset {
  offsetK: number;
  spreadK: number;
  slope: number;
  spreadPerK: number;
  refC: number;
}

/**
 * What the platen's surface really reaches over the art for a set value.
 *
 * @param offset surface minus set at `refC`, K, its 95 % spread, K, and how both change with the setting, K per K
 * @param setC as the press is set, °C
 * @returns lowest, middle and highest, °C
 * @example bandOf({ offsetK: -4, spreadK: 5, slope: 0.1, spreadPerK: 0, refC: 150 }, 160) // { lowC: 152, midC: 157, highC: 162 }
 */
export function bandOf({ offsetK, spreadK, slope, spreadPerK, refC }: Offset, setC: number): Band {
  const midC = setC + offsetK + slope * (setC - refC);
  const half = spreadK + spreadPerK * Math.abs(setC - refC);
  return { lowC: midC - half, midC, highC: midC + half };
}
