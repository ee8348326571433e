import { defineConfig } from '@playwright/test';

/** Journeys run against the built app, each file on a server and a demo database of its own (see e2e/shop.ts). */
export default defineConfig({
  testDir: 'e2e',
  globalSetup: './e2e/template.ts',
  outputDir: 'test-results/journeys',
  workers: 2,
  // no journey needs another, in its file or out of it: they end together
  fullyParallel: true,
  retries: 0,
  // generous, because speed is not what journeys measure
  timeout: 300_000,
  expect: { timeout: 90_000 },
  reporter: [['list'], ['json']],
  use: {
    viewport: { width: 1280, height: 800 },
    // what a journey fetches is seen by it; what the service worker is for has a journey of its own
    serviceWorkers: 'block',
    timezoneId: 'UTC',
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
