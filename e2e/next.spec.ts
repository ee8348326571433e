/** Journeys from the end of one run on: to the next size with the set-up as it stands, and to a setting the house keeps. */
import type { Page } from '@playwright/test';
import { cue, patient, work } from './hands';
import { expect, ownTest, test } from './shop';

/** Leaves two pieces of the first size to press; the second size as it is, or with a choice of the operator's. */
async function fewLeft(page: Page, choices = {}): Promise<void> {
  const { order, version } = await (await page.request.get('/api/v1/orders/order-guide-tees')).json();
  const [m, l] = order.lines;
  const lines = [
    { ...m, count: 7 },
    { ...l, prints: [{ ...l.prints[0], choices }] },
  ];
  const headers = { 'if-match': `"${version}"` };
  const saved = await page.request.put('/api/v1/orders/order-guide-tees', { data: { ...order, lines }, headers });
  expect(saved.ok()).toBe(true);
}

const points = (page: Page) => page.locator('section[aria-label="Before the first closing"] ol li');

/** Goes through every point of the set-up; answers how many there were. */
async function setUp(page: Page): Promise<number> {
  const many = await points(page).count();
  // the base is warmed by a clock: shut, and warm enough once it has been counted
  const counted = page.getByRole('button', { name: /^Warm enough/ });
  for (let i = 1; i <= many; i++) {
    const point = points(page)
      .nth(i - 1)
      .and(page.locator('[aria-current="step"]'));
    await expect(point).toBeVisible();
    const field = page.getByRole('textbox', { name: /^It reads/ });
    const asked = /(\d+)\s°F/.exec((await point.textContent()) ?? '');
    if (await field.isVisible()) await field.fill(asked?.[1] ?? '275');
    await page.keyboard.press('Enter');
    await expect.poll(async () => (await point.count()) === 0 || (await counted.isVisible())).toBe(true);
    if (await counted.isVisible()) await counted.click();
    await expect(point).toHaveCount(0);
  }
  return many;
}

/** Presses on to the look at the last of two pieces. */
async function toLastLook(page: Page): Promise<void> {
  await page.goto('/orders');
  await fewLeft(page);
  await page.goto('/orders/order-guide-tees/card?line=line-guide-m');
  await page.getByRole('button', { name: 'Start pressing' }).click();
  await page.getByRole('button', { name: 'Press without the rest' }).click();
  await work(page, ({ verb, piece }) => (verb === 'Look it over' && piece.includes('2') ? 'stop' : null));
}

test('the next size goes on by Space: nothing that still stands is asked again, and the house keeps the time that was found', async ({
  page,
}) => {
  await page.goto('/orders');
  await fewLeft(page);
  await page.goto('/orders/order-guide-tees/card?line=line-guide-m');
  await page.getByRole('button', { name: 'Start pressing' }).click();
  await points(page).first().waitFor();
  expect(await setUp(page)).toBeGreaterThan(7);
  await cue(page, /^Load/);
  await page.keyboard.press('t');
  await page.getByRole('button', { name: 'full press' }).click();
  await page.getByLabel(/Seconds of the full press/).fill('11');
  await page.keyboard.press('Enter');
  await work(page, patient);
  await page.getByRole('button', { name: 'Save it for Wren Stretch on Swing-away' }).click();
  await expect(page.getByText('The house keeps it.')).toBeVisible();
  const next = page.getByRole('region', { name: 'Next' });
  await expect(next.getByRole('heading')).toHaveText('Next: 8 × guide tee L, full front');
  // pressed for longer it is set cooler, for the rayon; the time stands as the house keeps it now, and the place is another
  await expect(next.getByRole('listitem')).toHaveCount(2);
  await expect(next.getByRole('listitem').first()).toContainText(/Set it to 2(6[89]|7[0-3])\s°F/);
  await expect(next.getByRole('listitem').last()).toContainText('below the front collar seam');
  await page.waitForTimeout(1600);
  await page.keyboard.press('Space');
  await expect(page).toHaveURL(/line=line-guide-l/);
  await expect(page.getByRole('region', { name: 'Holds from the run before' }).getByRole('listitem')).toHaveCount(6);
  expect(await setUp(page)).toBe(3);
  await cue(page, /^Load/);
  await expect(page.getByText('not as carded')).toHaveCount(0);
  await page.goto('/house');
  const kept = page.getByRole('region', { name: 'Settings the house keeps' });
  await expect(kept.getByRole('listitem')).toContainText(/Wren Stretch on Swing-away: 11\ss/);
  // what is being typed on the page outlives a click beside it
  await page.getByLabel('Humidity, %').fill('61');
  await kept.getByRole('button', { name: 'Delete' }).click();
  await page.keyboard.press('Tab');
  await page.keyboard.press('Control+z');
  await expect(kept.getByRole('listitem')).toHaveCount(1);
  await expect(page.getByLabel('Humidity, %')).toHaveValue('61');
});

test('the last Space of a run, doubled by a slip, begins no other; what has cautions is looked at first', async ({ page }) => {
  await toLastLook(page);
  await page.waitForTimeout(650);
  for (let i = 0; i < 4; i++) await page.keyboard.press('Space');
  const next = page.getByRole('region', { name: 'Next' });
  await next.waitFor();
  await page.keyboard.press('Space');
  await page.waitForTimeout(500);
  await expect(page).toHaveURL(/line=line-guide-m/);
  expect((await (await page.request.get('/api/v1/rail')).json()).runs).toEqual([]);
  // set by hand to within a kelvin of its nearest limit, it has a caution: that is read before it is gone on with
  const { cards } = await (await page.request.get('/api/v1/orders/order-guide-tees/cards')).json();
  const { set, smallestMarginK } = cards.find((card: { lineId: string }) => card.lineId === 'line-guide-l').card;
  await fewLeft(page, { setC: set.tempC + smallestMarginK - 1 });
  await page.reload();
  await expect(next.getByRole('listitem').first()).toContainText(/^Set it to 2\d\d\s°F\./);
  await next.getByRole('link', { name: /^See its card first: \d cautions?/ }).click();
  await expect(page.getByRole('article', { name: 'Card' }).locator('[data-lamp]').first()).toHaveAttribute('data-lamp', 'care');
});

ownTest(
  'with the server away as the last piece is kept, the sheet is there; what is next comes with the server',
  async ({ page, shop }) => {
    await toLastLook(page);
    await shop.kill();
    await page.waitForTimeout(650);
    await page.keyboard.press('Space');
    const sheet = page.getByRole('region', { name: 'After the run' });
    await expect(sheet.getByRole('heading', { level: 1 })).toHaveText('All pressed: 2 good, 0 spoiled.');
    await expect(sheet.getByRole('table', { name: 'Closings' })).toBeVisible();
    await shop.start();
    await expect(page.getByRole('region', { name: 'Next' }).getByRole('heading')).toHaveText('Next: 8 × guide tee L, full front');
  },
);
