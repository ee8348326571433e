/** The edges a sheet sets itself, as bounds; and a platen's temperature in words. */
import type { Press } from '../press';
import type { Allowed } from '../sheet';
import { type Phrase, phrase, temp } from '../units';
import type { Bound } from './bound';

/** An edge that is our allowance has a third of it for its doubt. */
export const EDGE_SDS = 3;

/** The two sides of a sheet's window. */
export function sheetBounds({ min, max, ours, nominal }: Allowed): Bound[] {
  const [low, high] = ours
    ? [
        phrase`round the sheet’s ${temp(nominal)} we allow no less than ${temp(min)}`,
        phrase`round the sheet’s ${temp(nominal)} we allow no more than ${temp(max)}`,
      ]
    : [phrase`the sheet asks for at least ${temp(min)}`, phrase`the sheet allows at most ${temp(max)}`];
  return [
    { side: 'sheet low', keep: 'above', surfaceC: min, sdK: ours ? (nominal - min) / EDGE_SDS : 0, ours, eased: false, says: low },
    { side: 'sheet high', keep: 'below', surfaceC: max, sdK: ours ? (max - nominal) / EDGE_SDS : 0, ours, eased: false, says: high },
  ];
}

/** A press shows so much more or less than its surface has at most, K. */
export const SHOWS_WITHIN_K = 40;

/** A platen at a temperature, in words; one that no setting of the press comes near is not given a figure it cannot have. */
export function platenWords({ set }: Press, surfaceC: number, name: 'platen' | 'upper platen'): Phrase {
  if (surfaceC > set.maxC + SHOWS_WITHIN_K) return phrase`hotter than its ${name} goes`;
  if (surfaceC < Math.min(set.minC, 0) - SHOWS_WITHIN_K || !Number.isFinite(surfaceC)) return phrase`colder than any ${name}`;
  return phrase`${name === 'platen' ? 'a' : 'an'} ${name} at ${temp(surfaceC)}`;
}
