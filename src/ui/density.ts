/** How close the rows of long lists stand, as it is chosen in this browser. */
import { useState } from 'react';
import { remember, remembered } from './browserMemory';

export type Density = 'roomy' | 'compact';

export function useDensity(): [Density, (density: Density) => void] {
  const [density, setDensity] = useState<Density>(() => (remembered('density') === 'roomy' ? 'roomy' : 'compact'));
  return [
    density,
    (next) => {
      setDensity(next);
      remember('density', next);
    },
  ];
}
