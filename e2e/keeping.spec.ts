/** What is kept: backup, wipe, restore; a pressing again; an ordinary order in few touches; the house's schools by example. */
import { readFileSync, writeFileSync } from 'node:fs';
import type { Locator, Page } from '@playwright/test';
import { expect, Shop, test } from './shop';

test('a backup is taken, the shop wiped, the backup put back: every order and record stands again', async ({ page }, info) => {
  await page.goto('/house');
  const download = page.waitForEvent('download');
  const asked: string[] = [];
  page.on('request', (request) => asked.push(new URL(request.url()).pathname));
  // pointing at it fetches nothing: it is the whole shop
  await page.getByRole('link', { name: 'Make a backup' }).hover();
  await page.waitForTimeout(300);
  expect(asked).not.toContain('/api/v1/backup');
  await page.getByRole('link', { name: 'Make a backup' }).click();
  const file = info.outputPath('shop.beacon');
  writeFileSync(file, readFileSync(await (await download).path()));

  const wiped = await Shop.open({ demo: false });
  try {
    await page.goto(`${wiped.address}/`);
    await expect(page.getByRole('heading', { name: 'Nothing on the bench.' })).toBeVisible();
    await page.goto(`${wiped.address}/house`);
    const letter = info.outputPath('letter.txt');
    writeFileSync(letter, 'This is a letter and no backup. '.repeat(60));
    await page.getByLabel('Restore a backup …').setInputFiles(letter);
    await page.getByRole('button', { name: 'Restore it' }).click();
    await expect(page.getByRole('alert')).toContainText('not a backup of Tidy Beacon');
    await page.getByLabel('Restore a backup …').setInputFiles(file);
    await page.getByRole('button', { name: 'Restore it' }).click();
    await expect(page.getByText('Restored. The shop as it was before is kept')).toBeVisible();
    await page.goto(`${wiped.address}/`);
    await expect(page.getByText('13 orders on the bench')).toBeVisible();
    await page.goto(`${wiped.address}/log`);
    await expect(page.getByText('101 pressings')).toBeVisible();
    // what was there before was kept, and is put back as well
    await page.goto(`${wiped.address}/house`);
    await page.getByRole('button', { name: 'Restore …' }).click();
    await page.getByRole('button', { name: 'Restore it in place of this shop' }).click();
    await expect(page.getByText('Restored. The shop as it was before is kept')).toBeVisible();
    await page.goto(`${wiped.address}/`);
    await expect(page.getByRole('heading', { name: 'Nothing on the bench.' })).toBeVisible();
  } finally {
    await wiped.close();
  }
});

/** Counts what the hands do. */
class Touches {
  count = 0;
  async click(target: Locator) {
    this.count++;
    await target.click();
  }
  async fill(target: Locator, text: string) {
    this.count++;
    await target.fill(text);
  }
  async choose(target: Locator, value: string) {
    this.count++;
    await target.selectOption(value);
  }
}

test('a past pressing is done again in three touches, with its card and word of what changed since', async ({ page, request }) => {
  const { presses } = await (await request.get('/api/v1/presses')).json();
  const swing = presses.find((candidate: { press: { id: string } }) => candidate.press.id === 'press-swing');
  const measured = { ...swing.press, calibration: { ...swing.press.calibration, offsetK: 2, on: '2026-11-20' } };
  await request.put('/api/v1/presses/press-swing', { data: measured, headers: { 'if-match': `"${swing.version}"` } });
  await page.goto('/log?q=first+nebula+good');
  const hands = new Touches();
  await hands.click(page.getByRole('row').filter({ hasText: 'First nebula tees' }).getByRole('link').first());
  await hands.click(page.getByRole('button', { name: 'Reorder' }));
  await expect(page.getByRole('region', { name: 'Reorder' })).toContainText('Swing-away ran');
  await hands.click(page.getByRole('button', { name: 'Start the order, set as it was' }));
  await expect(page.getByRole('button', { name: /^Temperature: 284 °F/ })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'First nebula tees, again' })).toBeVisible();
  expect(hands.count).toBeLessThanOrEqual(3);
});

test('from a new ordinary order to Start pressing in at most twelve touches', async ({ page }) => {
  await page.goto('/');
  const hands = new Touches();
  const pick = async (name: string, text: string, option: RegExp) => {
    await hands.fill(page.getByRole('combobox', { name }), text);
    await page.getByRole('option', { name: option }).click();
  };
  await hands.click(page.getByRole('link', { name: 'New order' }));
  await hands.fill(page.getByLabel('What it is for'), 'Quick tees');
  await hands.click(page.getByRole('button', { name: 'Start the order' }));
  await hands.fill(page.getByLabel('Pieces', { exact: true }), '4');
  await pick('Blank', 'guide', /guide tee/);
  await hands.choose(page.getByLabel('Size'), 'M');
  await pick('Transfer', 'wren', /Wren Stretch/);
  await hands.fill(page.getByLabel('Art', { exact: true }), 'owl');
  await hands.fill(page.getByLabel('Art width'), '8');
  await hands.fill(page.getByLabel('Art height'), '8');
  await hands.click(page.getByRole('button', { name: 'Add the line, see its card' }));
  await hands.click(page.getByRole('button', { name: 'Start pressing' }));
  await expect(page.getByRole('heading', { name: 'Count the transfers' })).toBeVisible();
  expect(hands.count).toBeLessThanOrEqual(12);
});

/** What a school's example says under an answer. */
const answer = (page: Page, words: string) =>
  page
    .getByRole('region', { name: 'Example' })
    .locator('div')
    .filter({ has: page.getByText(words, { exact: false }) })
    .first();

test('every school says what it changes, and shows it on a card', async ({ page }) => {
  await page.goto('/house');
  await page.getByRole('radio', { name: /^raise the print on a firm pad/ }).check();
  await expect(answer(page, 'raise the print')).toContainText('firm pad');
  await page.getByLabel('Pre-press, s').fill('10');
  await page.getByRole('radio', { name: /^our own seconds/ }).focus();
  await expect(page.getByRole('region', { name: 'Example' })).toContainText('pre-press 10 s');
  await page.getByLabel('Who presses here').fill('MB, ZZ');
  await page.getByRole('button', { name: 'Save the house' }).click();
  await expect(page.getByText('house changed')).toBeVisible();
  await page.goto('/orders/order-crew-tees/card');
  await expect(page.getByLabel('Pressed by').locator('option')).toHaveText(['by …', 'MB', 'ZZ']);
  await expect(page.getByText('Pre-press 10 s with nothing on it')).toBeVisible();
});
