/** The house's units for every view: as the server has them, until then as they were last seen here, else the app's own. */
import { useEffect } from 'react';
import type { HouseUnits } from '../core/units';
import { useRoute } from './query';

const KEY = 'tidy-beacon.units';
const STARTING: HouseUnits = { temperature: 'C', length: 'mm', linePressure: 'bar' };

/** Figures must not stand in other units for the moment until the house is fetched. */
function lastSeen(): HouseUnits {
  try {
    return { ...STARTING, ...(JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<HouseUnits>) };
  } catch {
    return STARTING;
  }
}

export function useUnits(): HouseUnits {
  const units = useRoute('house', {}).data?.house.units;
  useEffect(() => {
    if (!units) return;
    try {
      localStorage.setItem(KEY, JSON.stringify(units));
    } catch {
      // a private window keeps nothing; the first moment of a page is then in the app’s own units
    }
  }, [units]);
  return units ?? lastSeen();
}
