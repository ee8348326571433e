/** Whether the app can be put on this device with an icon of its own, and asking the browser to do so. */
import { useSyncExternalStore } from 'react';

/** What a browser offers that can install; not every browser has it. */
interface InstallOffer extends Event {
  prompt: () => Promise<unknown>;
}

export type Installable = 'installed' | 'offered' | 'by its menu' | 'not here';

let offer: InstallOffer | null = null;
const listeners = new Set<() => void>();
const tell = () => {
  for (const listener of listeners) listener();
};

/** Once a document: hears the browser’s offer, and brings what is needed while the server is away. */
export function beginInstall(): void {
  addEventListener('beforeinstallprompt', (event) => {
    event.preventDefault();
    offer = event as InstallOffer;
    tell();
  });
  addEventListener('appinstalled', () => {
    offer = null;
    tell();
  });
  // a browser that forbids it works as before
  if ('serviceWorker' in navigator) navigator.serviceWorker.register('/sw.js').catch(() => undefined);
}

function state(): Installable {
  if (matchMedia('(display-mode: standalone)').matches) return 'installed';
  if (!isSecureContext) return 'not here';
  return offer ? 'offered' : 'by its menu';
}

export const useInstallable = (): Installable =>
  useSyncExternalStore(
    (changed) => {
      listeners.add(changed);
      return () => listeners.delete(changed);
    },
    state,
    () => 'not here',
  );

export async function install(): Promise<void> {
  await offer?.prompt();
  offer = null;
  tell();
}
