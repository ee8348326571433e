/** Whether the tour is on in this tab. It is offered in a sample shop only: in one's own it would record a piece that never was. */
import { useSyncExternalStore } from 'react';
import { recall, remember } from '../../ui/tabMemory';

const ON = 'tidy-beacon.tour-on';
const listeners = new Set<() => void>();

const set = (on: boolean): void => {
  remember(ON, on ? 'yes' : null);
  for (const listener of listeners) listener();
};
export const beginTour = (): void => set(true);
export const endTour = (): void => set(false);

export const isSampleShop = (): boolean => 'sample' in document.documentElement.dataset;

export const useTour = (): boolean =>
  useSyncExternalStore(
    (changed) => {
      listeners.add(changed);
      return () => listeners.delete(changed);
    },
    () => recall(ON) === 'yes' && isSampleShop(),
  );
