/** The frame: one document for the whole visit, the rail that lives through it, and a server that goes away and comes back. */
import { start } from './hands';
import { expect, ownTest, test } from './shop';

test('going from page to page keeps the document and the rail', async ({ page }) => {
  await page.goto('/');
  await page.getByText('Old clamshell').waitFor();
  await page.evaluate(() => {
    (window as unknown as { mark: string }).mark = 'same document';
    document.querySelector('aside[aria-label="Rail"]')?.setAttribute('data-mark', 'same rail');
  });
  for (const [key, heading] of [
    ['2', 'New order'],
    ['3', 'Presses'],
    ['4', 'Shelf'],
    ['6', 'Log'],
    ['7', 'House'],
    ['1', 'on the bench'],
  ] as const) {
    await page.keyboard.press('Escape');
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await page.keyboard.press(key);
    await expect(page.getByRole('heading', { name: heading }).first()).toBeVisible();
  }
  expect(await page.evaluate(() => (window as unknown as { mark?: string }).mark)).toBe('same document');
  await expect(page.locator('aside[aria-label="Rail"]')).toHaveAttribute('data-mark', 'same rail');
});

ownTest(
  'with the server away a click holds the page and says so; it goes on by itself; a run keeps what was done meanwhile',
  async ({ page, shop }) => {
    await page.goto('/orders/order-crew-tees/card');
    await start(page);
    await page.getByRole('button', { name: /^Load/ }).waitFor();
    await shop.kill();
    await page.keyboard.press('Space');
    await expect(page.getByRole('button', { name: /^Close to pre-press/ })).toBeVisible();
    await expect(page.getByText('The app’s server does not answer.')).toBeVisible();
    await page.getByRole('link', { name: '6 Log' }).click();
    await page.waitForTimeout(1500);
    await expect(page.getByRole('button', { name: /^Close to pre-press/ })).toBeVisible();
    await shop.start();
    await expect(page.getByRole('heading', { name: 'Log' })).toBeVisible();
    await expect(page.getByText('The app’s server does not answer.')).toHaveCount(0);
    const runs = async () => (await (await page.request.get('/api/v1/rail')).json()).runs;
    await expect.poll(runs).toMatchObject([{ orderId: 'order-crew-tees', verb: 'Close to pre-press' }]);
    await page.getByRole('link', { name: /Dome crew tees, M piece 1/ }).click();
    await page.getByRole('button', { name: 'Stop the run' }).click();
    await expect(page.getByRole('heading', { name: /^Stopped/ })).toBeVisible();
  },
);

test('an unknown page and an unknown order say so', async ({ page }) => {
  await page.goto('/attic');
  await expect(page.getByRole('heading', { name: 'There is no such page.' })).toBeVisible();
  await page.goto('/orders/order-of-the-bath/card');
  await expect(page.getByRole('alert')).toContainText('There is no order with the id “order-of-the-bath”');
});

test('who goes to another page while a change is being kept stays there', async ({ page }) => {
  let release = () => {};
  const held = new Promise<void>((go) => {
    release = go;
  });
  await page.route('**/api/v1/orders/order-hoodies', async (route) => {
    if (route.request().method() === 'PUT') await held;
    await route.continue();
  });
  await page.goto('/orders/order-hoodies?line=line-hoodie-xl');
  await page.getByRole('button', { name: 'Remove this line' }).click();
  await page.getByRole('link', { name: '4 Shelf' }).click();
  await page.getByRole('heading', { name: 'Shelf' }).waitFor();
  release();
  await page.getByRole('button', { name: /^Undo/ }).waitFor();
  await page.waitForTimeout(1000);
  await expect(page.getByRole('heading', { name: 'Shelf' })).toBeVisible();
  expect(new URL(page.url()).pathname).toBe('/shelf');
});
