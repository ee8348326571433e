/** How close the rows of long lists stand, as it is chosen in this browser. */
import { useState } from 'react';

export type Density = 'roomy' | 'compact';

const KEY = 'tidy-beacon.density';

function stored(): Density {
  try {
    return localStorage.getItem(KEY) === 'compact' ? 'compact' : 'roomy';
  } catch {
    return 'roomy';
  }
}

export function useDensity(): [Density, (density: Density) => void] {
  const [density, setDensity] = useState(stored);
  return [
    density,
    (next) => {
      setDensity(next);
      try {
        localStorage.setItem(KEY, next);
      } catch {
        // a private window keeps nothing; it holds for this page
      }
    },
  ];
}
