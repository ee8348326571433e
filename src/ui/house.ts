/** The house's units for every view: as they were fetched, until then as the page was served with them. */
import { createContext, useContext } from 'react';
import type { HouseUnits } from '../core/units';

const STARTING: HouseUnits = { temperature: 'C', length: 'mm', linePressure: 'bar' };

/** Figures must not stand, nor be read as they are typed, in other units for the moment until the house is fetched. */
export function servedUnits(): HouseUnits {
  const written = document.documentElement.dataset.units;
  return written ? (JSON.parse(written) as HouseUnits) : STARTING;
}

/** Watched once by each island, for all the figures in it. */
export const Units = createContext<HouseUnits>(STARTING);

export const useUnits = (): HouseUnits => useContext(Units);
