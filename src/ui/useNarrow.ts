/** Whether the window is no wider than a phone: the same bound as `narrow:` in the look. */
import { useSyncExternalStore } from 'react';

const query = (): MediaQueryList => matchMedia('(width < 47.5rem)');

function subscribe(changed: () => void): () => void {
  const media = query();
  media.addEventListener('change', changed);
  return () => media.removeEventListener('change', changed);
}

export const useNarrow = (): boolean => useSyncExternalStore(subscribe, () => query().matches);
