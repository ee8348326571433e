/** Whole jobs on a phone by touch alone: an order to three pressings, a survey by hand, a placement moved, a record found and reordered. */
import type { Page } from '@playwright/test';
import { byTouch, work } from './hands';
import { expect, test } from './shop';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

/** A list that has just opened takes no touch yet, so that none goes through it by accident. */
async function pick(page: Page, field: string, letters: string, option: RegExp): Promise<void> {
  await page.getByRole('combobox', { name: field }).fill(letters);
  await page.getByRole('option', { name: option }).waitFor();
  const box = await page.getByRole('option', { name: option }).boundingBox();
  if (!box) throw new Error('the list is nowhere');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await expect
    .poll(() => page.evaluate(([x, y]) => document.elementFromPoint(x, y)?.closest('[role=option]') !== null, [x, y] as const))
    .toBe(true);
  await page.touchscreen.tap(x, y);
  await expect(page.getByRole('option', { name: option })).toHaveCount(0);
}

test('a new order comes to three pressings', async ({ page }) => {
  test.setTimeout(150_000);
  await page.goto('/');
  await page.getByRole('link', { name: 'New order' }).tap();
  await page.getByLabel('What it is for').fill('Comet walk');
  await page.getByRole('button', { name: 'Start the order' }).tap();
  await page.getByLabel('Pieces').fill('3');
  await pick(page, 'Blank', 'guide', /^guide tee/);
  await page.getByLabel('Size').selectOption('M');
  await pick(page, 'Transfer', 'wren', /Wren Stretch/);
  await page.getByLabel('Art', { exact: true }).fill('comet');
  await page.getByLabel('Art width').fill('8');
  await page.getByLabel('Art height').fill('8');
  await page.getByRole('button', { name: 'Add the line, see its card' }).tap();
  await expect(page.getByRole('article', { name: 'Card' }).locator('[data-lamp="clear"]').first()).toBeVisible();
  await page.getByRole('button', { name: 'Start pressing' }).tap();
  await page.getByRole('button', { name: 'Press without the rest' }).tap();
  await work(page, () => null, byTouch);
  await expect(page.locator('[data-done]')).toBeVisible();
  await page.getByRole('link', { name: 'Log', exact: true }).tap();
  await expect(page.getByText(/Comet walk|comet/).first()).toBeVisible();
  const rows = page.getByRole('table').getByRole('row').filter({ hasText: 'guide tee M' }).filter({ hasText: 'good' });
  await expect(rows.nth(2)).toBeVisible();
});

test('a press is surveyed by hand', async ({ page }) => {
  await page.goto('/presses');
  await page.getByRole('button', { name: /^Old clamshell/ }).tap();
  await page.getByRole('link', { name: 'Survey the upper platen' }).tap();
  await page.getByLabel('Places').selectOption('five');
  await page.getByLabel('Press set to').fill('300');
  for (const [i, reading] of ['297', '295', '296', '294', '298'].entries()) {
    await page.getByLabel(`Place ${i + 1}: reads`).fill(reading);
    await page.getByRole('button', { name: 'Add reading', exact: true }).tap();
  }
  await page.getByRole('button', { name: 'Save the survey' }).tap();
  await expect(page.getByRole('img', { name: /^Platen map/ })).toBeVisible();
});

test('the art is moved by a finger, and the measures follow', async ({ page }) => {
  await page.goto('/orders/order-guide-tees/card');
  await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Place' }).tap();
  const art = page.getByRole('slider', { name: /comet over hill/ });
  const centre = page.locator('[data-measure="centre line"]');
  await expect(centre).toContainText('centred');
  await art.scrollIntoViewIfNeeded();
  const box = await art.boundingBox();
  if (!box) throw new Error('the art is nowhere');
  const finger = await page.context().newCDPSession(page);
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', x: number, y: number) =>
    finger.send('Input.dispatchTouchEvent', { type, touchPoints: type === 'touchEnd' ? [] : [{ x, y }] });
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await touch('touchStart', x, y);
  for (let i = 1; i <= 8; i++) await touch('touchMove', x + 4 * i, y);
  await touch('touchEnd', x + 32, y);
  await expect(centre).not.toContainText('centred');
  await expect(page.getByRole('button', { name: 'Back to the usual place' })).toBeVisible();
});

test('a record is found and reordered', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Find' }).tap();
  await page.getByRole('searchbox', { name: 'Find', exact: true }).fill('guide tee good');
  await page
    .getByRole('listbox', { name: 'Found' })
    .getByRole('option', { name: /guide tee/i })
    .first()
    .tap();
  await expect(page.getByRole('dialog', { name: 'Find' })).toHaveCount(0);
  await page.getByRole('link', { name: 'Log', exact: true }).tap();
  await page.getByRole('searchbox').first().fill('guide');
  await page
    .getByRole('link', { name: /open the record/ })
    .first()
    .tap();
  await page.getByRole('button', { name: 'Reorder' }).tap();
  await page
    .getByRole('region', { name: 'Reorder' })
    .getByRole('button', { name: /^Start the order/ })
    .tap();
  await expect(page.getByRole('article', { name: 'Card' })).toBeVisible();
});
