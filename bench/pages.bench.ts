/** Script each page loads, gzipped, counted from what the built pages and their islands import. */
import { readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { chromium } from '@playwright/test';
import { Shop } from '../e2e/shop';

const PAGES: [string, string, number][] = [
  ['Bench', '/', 240],
  ['Orders', '/orders', 240],
  ['Lines', '/orders/order-guide-tees', 240],
  ['Card', '/orders/order-guide-tees/card', 240],
  ['Run', '/orders/order-guide-tees/run', 150],
  ['Record', '/orders/order-guide-tees/record', 240],
  ['Presses', '/presses', 240],
  ['Shelf', '/shelf', 240],
  ['Log', '/log', 240],
  ['Heat bench', '/heat-bench?order=order-guide-tees&line=line-guide-m&print=a', 280],
  ['House', '/house', 240],
];

const shop = await Shop.open();
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu'],
});
for (const [name, path, limit] of PAGES) {
  // what the service worker keeps for later is no part of a page
  const page = await browser.newPage({ serviceWorkers: 'block' });
  let bytes = 0;
  page.on('response', (response) => {
    const url = new URL(response.url());
    if (url.pathname.endsWith('.js')) bytes += gzipSync(readFileSync(`dist/client${url.pathname}`)).length;
  });
  await page.goto(shop.address + path);
  await page.waitForLoadState('networkidle');
  console.log(`script on ${name}, gzipped: ${(bytes / 1000).toFixed(1)} kB (wanted: at most ${limit})`);
  await page.close();
}
await browser.close();
await shop.close();
