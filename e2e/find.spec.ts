/** Find anywhere by keyboard alone: from any page, the run among them, to an order, a person, an act at a press, a setting. */
import type { Page } from '@playwright/test';
import { advance, cue } from './hands';
import { expect, test } from './shop';

const box = (page: Page) => page.getByRole('searchbox', { name: 'Find', exact: true });
const answers = (page: Page) => page.getByRole('listbox', { name: 'Found' }).getByRole('option');

async function find(page: Page, words: string, key = '/') {
  await page.keyboard.press(key);
  await expect(box(page)).toBeFocused();
  await page.keyboard.type(words);
}

test('an act, an order, a piece and a setting, from page to page, without the mouse', async ({ page }) => {
  await page.goto('/heat-bench');
  await page.getByRole('heading', { name: 'Under the press' }).waitFor();
  // before anything is typed there is something to do
  await page.keyboard.press('/');
  await expect(answers(page).first()).toContainText('New order');
  await page.keyboard.press('Escape');
  await expect(box(page)).toHaveCount(0);

  await find(page, 'survey clam');
  await expect(answers(page).first()).toContainText('Survey: Old clamshell');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/presses\/[^/]+\/survey/);

  // a slip in a word is forgiven, and arrows go on to the next answer
  await find(page, 'nebla');
  await expect(answers(page).first()).toContainText('Nebula tees');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Nebula tees' })).toBeVisible();

  // a field has the letters there
  await find(page, 'spoiled fault blank', 'Control+/');
  await expect(answers(page).first()).toContainText('spoiled');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/log\/[0-9a-f-]{36}/);

  await find(page, 'dark');
  await expect(answers(page).filter({ hasText: 'Light or dark' })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/house#this-device/);
  // the setting itself is in hand, and what is chosen holds on the next page as it is served
  const look = page.getByLabel('Light or dark');
  await expect(look).toBeFocused();
  await look.selectOption('dark');
  await page.goto('/log');
  await expect(page.locator('html')).toHaveAttribute('data-look', 'dark');
  expect(await page.evaluate(() => getComputedStyle(document.documentElement).backgroundColor)).toBe('rgb(18, 25, 31)');
});

test('Find opens over a run, and what is typed in it is no step of the run', async ({ page }) => {
  await page.goto('/orders/order-guide-tees/card?line=line-guide-m');
  await page.getByRole('button', { name: 'Start pressing' }).click();
  await page.getByRole('button', { name: 'Press without the rest' }).click();
  const cue = page.locator('button[data-cue]');
  await cue.waitFor();
  const counts = page.getByText(/^\d+ good/);
  const before = await counts.textContent();
  // letters that are keys of the run, and a person of another order
  await find(page, 'oxulwilke');
  await expect(page.getByText('Nothing has all of these words.')).toBeVisible();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('wilke');
  await expect(answers(page).first()).toContainText('Telescope-crew vests');
  await page.keyboard.press('Escape');
  await expect(counts).toHaveText(before ?? '');
  // no step was taken by them: the run can take its first one back, and no more
  const runs = await (await page.request.get('/api/v1/rail')).json();
  const run = await (await page.request.get(`/api/v1/runs/${runs.runs[0].runId}/events?since=0`)).json();
  expect(run.events.filter(({ kind }: { kind: string }) => kind !== 'checked')).toEqual([]);
});

test('a press whose time is up sends Find away, on any page and on its own', async ({ page }) => {
  await page.goto('/orders/order-guide-tees/card?line=line-guide-m');
  await page.getByRole('button', { name: 'Start pressing' }).click();
  await page.getByRole('button', { name: 'Press without the rest' }).click();
  await advance(page, /^Load/);
  await advance(page, /^Close to pre-press/);
  await page.keyboard.press('/');
  await expect(box(page)).toBeFocused();
  await cue(page, /^Open now/);
  await expect(box(page)).toHaveCount(0);
  // pressed on, from another page
  await advance(page, /^Open now/);
  await advance(page, /^Place/);
  await advance(page, /^Close/);
  await page.goto('/shelf');
  await page.getByRole('heading', { name: 'Shelf' }).waitFor();
  await page.keyboard.press('/');
  await expect(box(page)).toBeFocused();
  await expect(page.getByRole('alertdialog', { name: /^Open the press now/ })).toBeVisible();
  await expect(box(page)).toHaveCount(0);
  await expect(page.getByRole('link', { name: /^Go to it/ })).toBeFocused();
});
