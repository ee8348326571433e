/** The house's units for every view: as they were fetched, until then as the page was served with them. */
import type { HouseUnits } from '../core/units';
import { useRoute } from './query';

const STARTING: HouseUnits = { temperature: 'C', length: 'mm', linePressure: 'bar' };

/** Figures must not stand, nor be read as they are typed, in other units for the moment until the house is fetched. */
function served(): HouseUnits {
  const written = document.documentElement.dataset.units;
  return written ? (JSON.parse(written) as HouseUnits) : STARTING;
}

export const useUnits = (): HouseUnits => useRoute('house', {}).data?.house.units ?? served();
