/**
 * The service worker: keeps what every page needs in the browser, so that a page asked for while the server is away says what
 * can still be done. Pages themselves, and all that is known of the shop, come from the server alone. Built into a file of its
 * own (scripts/worker.mjs), which puts the list of files in the place of `self.__SW_MANIFEST`.
 */
import { NetworkOnly, type PrecacheEntry, Serwist } from 'serwist';

declare const self: { __SW_MANIFEST: (PrecacheEntry | string)[] };

new Serwist({
  precacheEntries: self.__SW_MANIFEST,
  precacheOptions: { cleanupOutdatedCaches: true },
  skipWaiting: true,
  clientsClaim: true,
  runtimeCaching: [{ matcher: ({ request }) => request.mode === 'navigate', handler: new NetworkOnly() }],
  fallbacks: { entries: [{ url: '/offline', matcher: ({ request }) => request.mode === 'navigate' }] },
}).addEventListeners();
