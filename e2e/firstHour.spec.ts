/** The first hour as somebody goes through it who has nothing but the screen; and the sample shop beside the own one. */
import type { Locator, Page } from '@playwright/test';
import { start, work } from './hands';
import { ownTest as base, expect, Shop } from './shop';

const test = base.extend({
  // biome-ignore lint/correctness/noEmptyPattern: the runner wants a pattern here
  shop: async ({}, use) => {
    const shop = await Shop.open({ demo: false });
    await use(shop);
    await shop.close();
  },
});

/** Every touch, field filled and choice made counts one. */
class Hand {
  acts = 0;
  constructor(private readonly page: Page) {}
  async touch(role: Parameters<Page['getByRole']>[0], name: string | RegExp): Promise<void> {
    this.acts++;
    await this.page.getByRole(role, { name }).click();
  }
  async type(field: string, words: string): Promise<void> {
    this.acts++;
    await this.page.getByLabel(field, { exact: true }).fill(words);
  }
  async choose(field: string, what: string | { label: RegExp }): Promise<void> {
    this.acts++;
    const select = this.page.getByLabel(field, { exact: true });
    await select.selectOption(typeof what === 'string' ? what : await optionOf(select, what.label));
  }
  async pick(field: string, letters: string, option: RegExp): Promise<void> {
    this.acts += 2;
    await this.page.getByRole('combobox', { name: field }).fill(letters);
    await this.page.getByRole('option', { name: option }).click();
  }
  async press(key: string): Promise<void> {
    this.acts++;
    await this.page.keyboard.press(key);
  }
}
const optionOf = async (select: Locator, label: RegExp) =>
  (await select.locator('option').filter({ hasText: label }).first().getAttribute('value')) ?? '';

test('from an empty database to the first card and the first piece, by the screen alone', async ({ page }) => {
  test.setTimeout(400_000);
  const hand = new Hand(page);
  const began = Date.now();
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Nothing on the bench.' })).toBeVisible();
  await hand.touch('link', 'Set up the shop, step by step');
  await hand.type('Your initials', 'QA');
  await hand.touch('button', /^°F, inches, psi/);
  await hand.touch('button', /^draw/);
  await hand.type('Name', 'The draw press');
  await hand.choose('Its pressure is set by', 'dial');
  await hand.touch('button', 'Save the press');
  await expect(page.getByRole('link', { name: 'Survey it, five minutes' })).toBeVisible();
  await hand.touch('button', 'Not now');

  // a sheet that lies there is typed in, and the rail leads back
  await hand.choose('Type in the sheet of a transfer you have: what kind is it?', { label: /^stretch film$/ });
  await hand.touch('button', 'Type in its sheet');
  await hand.type('Name', 'Soft stretch');
  await hand.type('Maker', 'on the sheet');
  await hand.type('Which sheet', 'in the box');
  await hand.touch('button', /^Save/);
  await expect(page.getByRole('link', { name: /First hour, 4 of 7 next: the first order/ })).toBeVisible();
  await hand.touch('link', /First hour, 4 of 7/);

  await hand.touch('link', 'Start the first order');
  await hand.type('What it is for', 'First tees');
  await hand.press('Enter');
  await hand.type('Pieces', '3');
  await hand.pick('Blank', 'three', /three-fibre tee/);
  await hand.choose('Size', 'L');
  await hand.pick('Transfer', 'soft', /Soft stretch/);
  await hand.type('Art', 'star');
  await hand.type('Art width', '8');
  await hand.type('Art height', '20cm');
  await hand.press('Enter');
  await expect(page.getByRole('article', { name: 'Card' }).locator('[data-lamp="care"]').first()).toBeVisible();
  console.log(`first card after ${hand.acts} acts and ${((Date.now() - began) / 1000).toFixed(0)} s`);
  expect(hand.acts).toBeLessThanOrEqual(40);
  await expect(page.getByText('The draw press was never measured')).toBeVisible();

  await start(page);
  await work(page, async () => ((await page.getByText(/\b1 good\b/).count()) > 0 ? 'stop' : null));
  await page.goto('/log');
  await expect(page.getByRole('link', { name: /open the record/ })).toHaveCount(1);
  await expect(page.getByRole('link', { name: /^First hour/ })).toHaveCount(0);
});

test('it is left and taken up again, steps are undone, and it can be closed for good', async ({ page }) => {
  await page.goto('/first-hour');
  const steps = page.getByRole('list', { name: 'Steps' });
  await page.getByRole('button', { name: /^°C, millimetres/ }).click();
  await expect(steps.getByRole('button', { name: 'Your units done' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(steps.getByRole('button', { name: 'Your units next' })).toBeVisible();
  await page.getByRole('button', { name: 'Not now' }).click();
  await expect(steps.getByRole('button', { name: 'Your press next' })).toBeVisible();
  await page.reload();
  await expect(steps.getByRole('button', { name: 'Your units left out' })).toBeVisible();
  await steps.getByRole('button', { name: 'Your units left out' }).click();
  await page.getByRole('button', { name: /^°C, millimetres/ }).click();
  await expect(steps.getByRole('button', { name: 'Your units done' })).toBeVisible();
  await page.getByRole('button', { name: 'I know my way' }).click();
  await expect(page.getByRole('heading', { name: 'Nothing on the bench.' })).toBeVisible();
  await expect(page.getByRole('link', { name: /^First hour/ })).toHaveCount(0);
  await expect(page.getByRole('link', { name: 'Set up the shop, step by step' })).toHaveCount(0);
});

test('a sample shop is looked round in and left; nothing of it is in the own one', async ({ page, shop }) => {
  test.setTimeout(200_000);
  await page.goto('/first-hour');
  await page.getByRole('button', { name: 'Look round a sample shop' }).click();
  await expect(page.getByText('Nothing here is yours')).toBeVisible({ timeout: 120_000 });
  expect(new URL(page.url()).port).not.toBe(String(shop.port));
  await expect(page.getByRole('link', { name: /Guide tees/ }).first()).toBeVisible();
  const again = await page.request.put('/api/v1/sample', { data: {} });
  expect(again.status()).toBe(200);
  await page.getByRole('link', { name: 'Back to your shop' }).click();
  await expect(page.getByRole('heading', { name: 'Nothing on the bench.' })).toBeVisible();
  expect(new URL(page.url()).port).toBe(String(shop.port));
});
