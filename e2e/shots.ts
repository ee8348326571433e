/** One current picture of each main view, from the demo shop, into docs/screenshots. Run by `npm run shots`. */
import { mkdirSync } from 'node:fs';
import { chromium, type Page } from '@playwright/test';
import { Shop } from './shop';

const FOLDER = 'docs/screenshots';

interface Shot {
  name: string;
  path: string;
  before?: (page: Page) => Promise<void>;
}

const SHOTS: Shot[] = [
  { name: 'bench', path: '/' },
  { name: 'orders', path: '/orders' },
  { name: 'lines', path: '/orders/order-guide-tees?line=line-guide-m' },
  { name: 'card-clear', path: '/orders/order-guide-tees/card?line=line-guide-m' },
  {
    name: 'card-care-why',
    path: '/orders/order-hoodies/card',
    before: (page) => page.getByRole('button', { name: /^Temperature/ }).click(),
  },
  { name: 'card-hold', path: '/orders/order-members/card' },
  { name: 'shelf', path: '/shelf' },
  { name: 'presses', path: '/presses', before: (page) => page.getByRole('button', { name: /^Swing-away/ }).click() },
  { name: 'log', path: '/log' },
  { name: 'house', path: '/house' },
  { name: 'run-pressing', path: '/orders/order-guide-tees/card?line=line-guide-m', before: toPressing },
];

/** Starts the run and goes on to the press stage, some seconds in. */
async function toPressing(page: Page) {
  const step = async (key: string, then: RegExp) => {
    await page.waitForTimeout(650);
    await page.keyboard.press(key);
    await page.getByRole('button', { name: then }).waitFor();
  };
  await page.getByRole('button', { name: 'Start pressing' }).click();
  await page.getByRole('button', { name: /^Load/ }).waitFor();
  await step('Space', /^Close to pre-press/);
  await step('Space', /^Pressing/);
  await step('o', /^Place/);
  await step('Space', /^Close/);
  await step('Space', /^Pressing/);
  await page.waitForTimeout(2600);
}

mkdirSync(FOLDER, { recursive: true });
const shop = await Shop.open();
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
for (const { name, path, before } of SHOTS) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(shop.address + path);
  await page.locator('aside').getByText('Old clamshell').waitFor();
  await page.waitForTimeout(600);
  await before?.(page);
  await page.waitForTimeout(300);
  await page.screenshot({ path: `${FOLDER}/${name}.png` });
  console.log(`${FOLDER}/${name}.png`);
  await page.close();
}
await browser.close();
await shop.close();
