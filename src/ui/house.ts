/** The house's units for every view, with the app's own starting ones until they are known. */
import type { HouseUnits } from '../core/units';
import { useRoute } from './query';

const UNTIL_KNOWN: HouseUnits = { temperature: 'C', length: 'mm', linePressure: 'bar' };

export function useUnits(): HouseUnits {
  return useRoute('house', {}).data?.house.units ?? UNTIL_KNOWN;
}
