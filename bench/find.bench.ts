/** From a letter to the first answer of Find in Chromium, over a hundred thousand pressings and three thousand orders with their people. */
import { chromium } from '@playwright/test';
import { Shop } from '../e2e/shop';
import { openShop } from '../src/server/db';
import { findOrder } from '../src/server/stores/orders';
import { fillPressings } from './manyPressings';

const PRESSINGS = 100_000;
const ORDERS = 3_000;
const WANTED_MS = 100;
const WORDS = [
  'guide',
  'order 4711',
  'nkemi 1207',
  'survey clamshell',
  'spoiled',
  'wren good',
  'old clamshell',
  'units',
  'lantern 77',
  'zzzz',
];
const PATHS = ['/', '/log', '/shelf', '/heat-bench'];

function fill(database: string): void {
  const { db, sqlite } = openShop(database, 'drizzle');
  const { doc } = findOrder(db, 'order-vests');
  const insert = sqlite.prepare('INSERT INTO orders (id, version, due, doc) VALUES (?, 1, ?, ?)');
  sqlite.transaction(() => {
    for (let i = 0; i < ORDERS; i++) {
      const roster = Array.from({ length: 12 }, (_, n) => ({ number: String((i + n) % 99), name: `Nkemi ${i}${'abcdefghijkl'[n]}` }));
      const order = {
        ...doc,
        id: `order-${i}`,
        name: `Lantern walk ${i}`,
        due: `20${10 + (i % 16)}-05-04`,
        lines: doc.lines.map((line) => ({ ...line, roster })),
      };
      insert.run(order.id, order.due, JSON.stringify(order));
    }
    // all but the newest were taken off the bench long ago
    sqlite.prepare("UPDATE orders SET removed_at = 1 WHERE id GLOB 'order-[0-9]*' AND due < '2025'").run();
  })();
  const { hash } = sqlite.prepare('SELECT hash FROM cards LIMIT 1').get() as { hash: string };
  fillPressings(sqlite, 0, PRESSINGS, hash);
  sqlite.exec("INSERT INTO pressing_words(pressing_words) VALUES ('optimize')");
  sqlite.close();
}

const shop = await Shop.open();
await shop.kill();
fill(shop.database);
await shop.start();
const browser = await chromium.launch({ executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args: ['--no-sandbox'] });
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  // the runner of this file names functions by a helper that a page does not have
  await page.addInitScript('globalThis.__name = (named) => named');
  const times: number[] = [];
  for (const path of PATHS) {
    await page.goto(shop.address + path);
    await page.waitForTimeout(1500);
    for (const words of WORDS) {
      await page.keyboard.press('/');
      await page.getByRole('searchbox', { name: 'Find', exact: true }).waitFor();
      await page.getByRole('listbox', { name: 'Found' }).getByRole('option').first().waitFor();
      await page.keyboard.type(words.slice(0, -1));
      await page.waitForTimeout(900);
      // from the last letter, typed by the keyboard, to the drawing that follows its answer
      const took = page.evaluate(
        () =>
          new Promise<number>((done) => {
            let from = 0;
            addEventListener(
              'keydown',
              () => {
                from = performance.now();
              },
              { once: true, capture: true },
            );
            const seen = new PerformanceObserver((list) => {
              if (!list.getEntries().some((entry) => entry.name.includes('/find'))) return;
              seen.disconnect();
              requestAnimationFrame(() => requestAnimationFrame(() => done(performance.now() - from)));
            });
            seen.observe({ type: 'resource' });
          }),
      );
      await page.waitForTimeout(50);
      await page.keyboard.type(words.slice(-1));
      times.push(await took);
      await page.keyboard.press('Escape');
    }
  }
  const sorted = times.sort((a, b) => a - b);
  const at = (share: number) => (sorted[Math.floor(share * (sorted.length - 1))] ?? 0).toFixed(0);
  console.log(
    `Find over ${PRESSINGS} pressings and ${ORDERS} orders, from the last letter to its answer drawn: median ${at(0.5)} ms, 95th percentile ${at(0.95)} ms, worst ${at(1)} ms (${WANTED_MS} wanted)`,
  );
} finally {
  await browser.close();
  await shop.close();
}
