/** One current picture of each main view, from the demo shop, into docs/screenshots. Run by `npm run shots`. */
import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { PLANS } from '../src/core/press';
import { cue, patient, start, work } from './hands';
import { Shop } from './shop';

const FOLDER = 'docs/screenshots';

interface Shot {
  name: string;
  path: string;
  before?: (page: Page) => Promise<void>;
  /** On a phone. */
  phone?: boolean;
}

const HEAT = '/heat-bench?order=order-guide-tees&line=line-guide-m&print=a';

const SHOTS: Shot[] = [
  { name: 'bench', path: '/' },
  { name: 'card-clear', path: '/orders/order-guide-tees/card?line=line-guide-m' },
  {
    name: 'card-care-why',
    path: '/orders/order-vests/card',
    before: (page) => page.getByRole('button', { name: /^Temperature/ }).click(),
  },
  { name: 'card-hold', path: '/orders/order-members/card' },
  { name: 'shelf', path: '/shelf?on=product-curlew' },
  { name: 'presses', path: '/presses?on=press-clamshell', before: surveyed },
  { name: 'heat-bench', path: HEAT, before: compared },
  {
    name: 'transfers-on-fabrics',
    path: '/shelf/matrix?press=press-swing',
    before: (page) => page.getByRole('button', { name: /^Heron Hot Split on washed linen/ }).click(),
  },
  { name: 'log', path: '/log' },
  { name: 'place-tee', path: '/orders/order-guide-tees/place' },
  {
    name: 'place-zip',
    path: '/orders/order-windbreakers/place',
    before: (page) => page.getByRole('button', { name: 'full platen' }).click(),
  },
  { name: 'run-set-up', path: '/orders/order-totes/card', before: toSetUp },
  { name: 'first-hour', path: '/first-hour?step=press', before: (page) => page.getByRole('button', { name: /^swing-away/ }).click() },
  { name: 'phone-bench', path: '/', phone: true },
  { name: 'phone-card', path: '/orders/order-vests/card', phone: true },
  // the last three: their press comes due and would take over every page after it
  { name: 'run-pressing', path: '/orders/order-guide-tees/card?line=line-guide-m', before: toPressing },
  { name: 'phone-run', path: '/orders/order-guide-tees/run', phone: true, before: (page) => cue(page, /^(Pressing|Open now)/) },
  { name: 'run-after', path: '/orders/order-guide-tees/run', before: toAfter },
];

/** Nothing on the page is still being fetched or worked out. */
async function arrived(page: Page) {
  await page
    .getByText(/^Fetching .* …$|^Working it out/)
    .first()
    .waitFor({ state: 'hidden', timeout: 90_000 });
}

/** Eight surveys of the old clamshell, its corner growing colder, so that there is a map and a chart to see. */
async function surveyed(page: Page) {
  for (let n = 0; n < 8; n++) {
    const id = `00000000-0000-4000-8000-00000000010${n}`;
    const places = PLANS.nine({ widthMm: 380, heightMm: 380 });
    const off = [-13, -6, -4, -3, -2, -5, -4, -3, -4];
    const readings = places.map((place, i) => ({ ...place, setC: 150, readC: 150 + (off[i] ?? 0) + (((n * 7 + i * 3) % 5) - 2) * 0.4 }));
    const survey = {
      id,
      kind: 'survey',
      pressId: 'press-clamshell',
      platen: 'upper',
      at: Date.now() - (7 - n) * 40 * 86_400_000,
      by: 'MB',
    };
    await page.request.put(`${shop.address}/api/v1/presses/press-clamshell/records/${id}`, {
      data: { ...survey, instrument: { kind: 'probe' }, finish: 'dark coated', roomC: 21, readings, note: '' },
      headers: { origin: shop.address },
    });
  }
  await page.reload();
  await page.getByRole('img', { name: /^Platen map/ }).waitFor();
  await page.waitForTimeout(500);
}

/** A second variant with a cover beside the card’s own. */
async function compared(page: Page) {
  await page.getByRole('table', { name: 'What it comes to' }).waitFor();
  await page.getByRole('button', { name: 'Try another' }).click();
  await page.getByLabel('PTFE-coated sheet over it').check();
  await page.getByRole('region', { name: 'What to do' }).getByText('takes').waitFor();
  await page.waitForTimeout(800);
}

/** The set-up’s third point: the temperature, read or told by the press’s readout. */
async function toSetUp(page: Page) {
  await page.getByRole('button', { name: 'Start pressing' }).click();
  for (const point of [/^Count the transfers/, /^Pull paper slips/]) {
    await page.getByRole('heading', { name: point }).waitFor();
    await page.keyboard.press('Enter');
  }
  await page.getByRole('heading', { name: /^Let it settle/ }).waitFor();
}

/** Starts the run and goes on to the press stage, some seconds in. */
async function toPressing(page: Page) {
  const step = async (key: string, then: RegExp) => {
    await page.waitForTimeout(650);
    await page.keyboard.press(key);
    await cue(page, then);
  };
  await start(page);
  await cue(page, /^Load/);
  await step('Space', /^Close to pre-press/);
  await step('Space', /^Pressing/);
  await step('o', /^Place/);
  await step('Space', /^Close/);
  await step('Space', /^Pressing/);
  await page.waitForTimeout(2600);
}

/** Goes on from there at another time than carded, to its third good piece, and ends. */
async function toAfter(page: Page) {
  await page.keyboard.press('t');
  await page.getByLabel(/Seconds of the full press/).fill('10');
  await page.keyboard.press('Enter');
  await work(page, async (seen) => ((await page.getByRole('status').filter({ hasText: '3 good' }).count()) > 0 ? 'stop' : patient(seen)));
  // a press that is shut is opened before a run is ended
  await page.keyboard.press('o');
  await page.waitForTimeout(700);
  await page.getByRole('button', { name: 'Stop the run' }).click();
  await page.getByRole('button', { name: /^Save it for/ }).waitFor();
  await page.getByRole('region', { name: 'Next' }).waitFor();
}

mkdirSync(FOLDER, { recursive: true });
const shop = await Shop.open();
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
for (const { name, path, before, phone } of SHOTS) {
  const page = await browser.newPage(
    phone ? { viewport: { width: 390, height: 844 }, hasTouch: true } : { viewport: { width: 1280, height: 800 } },
  );
  await page.goto(shop.address + path);
  await page.locator('aside').getByText('Old clamshell', { exact: true }).waitFor({ state: 'attached' });
  await page.waitForTimeout(600);
  await arrived(page);
  await before?.(page);
  await arrived(page);
  await page.waitForTimeout(300);
  await page.screenshot({ path: `${FOLDER}/${name}.png` });
  console.log(`${FOLDER}/${name}.png`);
  await page.close();
}
await browser.close();
await paper();
await shop.close();

/** The card on paper, drawn by poppler where it is installed. */
async function paper() {
  const reply = await fetch(`${shop.address}/api/v1/orders/order-nebula/card.pdf?line=line-nebula-m&print=a&paper=A4`);
  const file = join(mkdtempSync(join(tmpdir(), 'beacon-paper-')), 'card.pdf');
  writeFileSync(file, new Uint8Array(await reply.arrayBuffer()));
  const drawn = spawnSync('pdftoppm', ['-r', '90', '-png', '-singlefile', file, `${FOLDER}/card-paper`]);
  console.log(drawn.status === 0 ? `${FOLDER}/card-paper.png` : 'card-paper.png left as it was: pdftoppm (poppler-utils) is not installed');
}
