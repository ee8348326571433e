/** A parcel: written down as it comes, counted and tried, gone by at the card, the set-up and the run, and counted down by it. */

import { cue, work } from './hands';
import { expect, test } from './shop';

const TRANSFERS = { name: 'Transfers', exact: true } as const;

test('a parcel is written down as it comes; card and set-up say where it lies; a pressed piece takes one from it', async ({ page }) => {
  await page.goto('/shelf?kind=parcels');
  // what is short stands first
  await expect(page.getByRole('button', { name: /Dome patches.*7 left, 8 wanted: 1 short/ })).toBeVisible();
  await page.getByRole('link', { name: 'New parcel' }).click();
  await page.getByRole('combobox', { name: 'Transfer' }).fill('wren');
  await page.getByRole('option', { name: /Wren Stretch/ }).click();
  await page.getByRole('button', { name: /^comet over hill/ }).click();
  await page.getByRole('textbox', { name: 'Ordered' }).fill('20');
  await page.getByLabel('Spares').fill('2');
  await page.getByRole('button', { name: 'It came today' }).click();
  await page.getByRole('button', { name: '22 are there' }).click();
  await page.getByLabel('the art is as ordered').check();
  await page.getByLabel('Where it lies').fill('rack 3');
  await page.getByRole('combobox', { name: 'Result' }).selectOption('good');
  // who tried it is asked for, and nothing is lost
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Whose trial it was: initials.').first()).toBeVisible();
  await page.getByLabel('By, initials').fill('mb');
  await expect(page.getByLabel('Called')).toHaveValue(/^comet over hill, Wren Stretch, \d{4}-\d\d-\d\d$/);
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('complementary', { name: 'Detail' })).toContainText('22 left, 15 wanted');
  await page.goto('/orders/order-guide-tees/card?line=line-guide-m');
  const from = page.getByRole('region', TRANSFERS);
  await expect(from).toContainText(/comet over hill.* rack 3, 22 in it/);
  await expect(from).toContainText('Nobody has checked its size, colour and count against the order yet.');
  await page.getByRole('button', { name: 'Start pressing' }).click();
  await expect(page.getByRole('heading', { name: /^Transfers from comet over hill/ })).toBeVisible();
  await expect(page.getByText(/They lie here: rack 3\. 7 are needed, 15 are spares\./)).toBeVisible();
  await expect(page.getByRole('note').filter({ hasText: 'size, colour and count' })).toBeVisible();
  // one fewer is found: that is what is in it from now on
  await page.getByLabel('There are').fill('21');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Press without the rest' }).click();
  await cue(page, /^Load/);
  let good = 0;
  await work(page, ({ verb }) => {
    if (verb === 'Look it over') good++;
    return good > 1 ? 'stop' : null;
  });
  await page.goto('/shelf?kind=parcels');
  await page.getByRole('button', { name: /^comet over hill/ }).click();
  await expect(page.getByRole('complementary', { name: 'Detail' })).toContainText(/Took \d+/);
  const { parcels } = await (await page.request.get('/api/v1/parcels')).json();
  const own = parcels.find(({ runs }: { runs: { orderId: string }[] }) => runs.some(({ orderId }) => orderId === 'order-guide-tees'));
  expect(own.left).toBe(21 - own.runs[0].used);
  await page.goto('/orders/order-guide-tees?line=pick');
  await expect(page.getByRole('list', { name: 'Transfers' })).toContainText(/from comet over hill.*rack 3.*in it/);
});

test('a parcel that is short or on its way is said on card and pick list', async ({ page }) => {
  await page.goto('/orders/order-caps/card');
  await expect(page.getByRole('region', TRANSFERS)).toContainText(/Dome patches tray by the cap press, 7 in it.*1 short/);
  await page.goto('/orders/order-caps?line=pick');
  await expect(page.getByRole('list', { name: 'Transfers' })).toContainText('1 short');
  await page.goto('/orders/order-rolls/card');
  await expect(page.getByRole('region', TRANSFERS)).toContainText(/Lens diagrams.*on its way, promised for/);
});
