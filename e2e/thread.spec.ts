/** One thread by keyboard only: a new order, its card with reasons, three pressings, the log, and the CSV. */
import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { parse } from 'csv-parse/sync';
import { advance, cue, endClock } from './hands';
import { expect, test } from './shop';

/** Tab, or Shift and Tab, until something is focused that matches, as hands without a mouse do. */
async function tabTo(page: Page, role: Parameters<Page['getByRole']>[0], name: string | RegExp, key = 'Tab') {
  const wanted = page.getByRole(role, { name }).first();
  await wanted.waitFor();
  for (let i = 0; i < 60; i++) {
    if (await wanted.evaluate((element) => element === document.activeElement)) return;
    await page.keyboard.press(key);
  }
  throw new Error(`Tab never came to ${role} ${name}`);
}

async function pick(page: Page, name: string, letters: string) {
  await tabTo(page, 'combobox', name);
  await page.keyboard.type(letters);
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
}

/** From load to the peel; the pre-press and the wait are ended early, the press itself too unless it is to be waited for. */
async function toPeel(page: Page, waitForPress: boolean) {
  await advance(page, /^Load/);
  await advance(page, /^Close to pre-press/);
  await endClock(page, /^Place/);
  await advance(page, /^Place/);
  await pressAgain(page, waitForPress);
}

async function pressAgain(page: Page, waitForPress: boolean) {
  await advance(page, /^Close/);
  if (waitForPress) await cue(page, /^Open now/);
  await endClock(page, /^Cooling|^Cool enough/);
  await endClock(page, /^Peel/);
}

test('twelve three-fibre tees with stretch film on the swing-away, by keyboard only', async ({ page }) => {
  test.setTimeout(600_000);
  await page.goto('/');
  await expect(page.getByRole('heading', { name: /orders on the bench/ })).toBeVisible();
  await page.keyboard.press('2');
  await expect(page.getByLabel('What it is for')).toBeFocused();
  await page.keyboard.type('Comet walk tees');
  await page.keyboard.press('Enter');

  await expect(page.getByLabel('Pieces')).toBeFocused();
  await page.keyboard.type('12');
  await pick(page, 'Blank', 'guide');
  await tabTo(page, 'combobox', 'Size');
  await page.keyboard.type('M');
  await pick(page, 'Transfer', 'wren');
  await tabTo(page, 'textbox', 'Art');
  await page.keyboard.type('comet');
  await tabTo(page, 'textbox', 'Art width');
  await page.keyboard.type('254mm');
  await tabTo(page, 'textbox', 'Art height');
  await page.keyboard.type('8 in');
  await page.keyboard.press('Enter');

  await expect(page.getByRole('button', { name: /^Temperature: 275 °F/ })).toBeVisible();
  await expect(page.getByRole('article', { name: 'Card' }).locator('[data-lamp="clear"]')).toBeVisible();
  await tabTo(page, 'button', /^Temperature: 275 °F/);
  await page.keyboard.press('Enter');
  const why = page.getByRole('region', { name: 'Why this temperature' });
  await expect(why).toContainText('Wren Stretch, sheet of 2026-02-10: 270 °F to 298 °F');
  await expect(why).toContainText(/viscose.*may shine or yellow/);
  await expect(why).toContainText('Swing-away measured on 2026-03-02: surface 9 °F hotter');
  await tabTo(page, 'button', 'Start pressing', 'Shift+Tab');
  await page.keyboard.press('Enter');

  await toPeel(page, true);
  await advance(page, /^Peel/);
  await advance(page, /^Look it over/);

  await toPeel(page, false);
  await page.keyboard.press('l');
  await pressAgain(page, false);
  await advance(page, /^Peel/);
  await advance(page, /^Look it over/);

  await toPeel(page, false);
  await page.keyboard.press('x');
  await expect(page.getByText('Spoiled, because')).toBeVisible();
  await page.keyboard.press('3');
  await cue(page, /^Load/);
  const counts = page.getByRole('status').filter({ hasText: 'left' });
  await expect(counts).toHaveText(/2 good.*1 again.*1 spoiled.*9 left/);

  await tabTo(page, 'link', '6 Log');
  await page.keyboard.press('Enter');
  await page.getByLabel(/Find by any words/).waitFor();
  await page.keyboard.press('/');
  await page.keyboard.type('comet walk');
  await page.keyboard.press('Enter');
  await expect(page.getByText('3 pressings', { exact: true })).toBeVisible();
  await expect(page.getByRole('row').filter({ hasText: 'laid back once' })).toHaveCount(1);
  await expect(page.getByRole('row').filter({ hasText: 'shine or press mark' })).toHaveCount(1);

  const download = page.waitForEvent('download');
  await tabTo(page, 'link', 'Take out as CSV');
  await page.keyboard.press('Enter');
  const rows = parse(readFileSync(await (await download).path()), { columns: true, bom: true }) as Record<string, string>[];
  expect(
    rows.map(({ piece, outcome, reason, laid_back, set_c, time_s, transfer, size }) => ({
      piece,
      outcome,
      reason,
      laid_back,
      set_c,
      time_s,
      transfer,
      size,
    })),
  ).toEqual([
    {
      piece: '3',
      outcome: 'spoiled',
      reason: 'shine or press mark',
      laid_back: '0',
      set_c: '135',
      time_s: '9',
      transfer: 'Wren Stretch',
      size: 'M',
    },
    { piece: '2', outcome: 'good', reason: '', laid_back: '1', set_c: '135', time_s: '9', transfer: 'Wren Stretch', size: 'M' },
    { piece: '1', outcome: 'good', reason: '', laid_back: '0', set_c: '135', time_s: '9', transfer: 'Wren Stretch', size: 'M' },
  ]);
  expect(Number(rows[2]?.pressed_s)).toBeGreaterThanOrEqual(9);
});
