/** A shop of one's own from nothing: what stands there. And a start that cannot be. */
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ownTest as base, expect, freePort, Shop } from './shop';

const test = base.extend({
  // biome-ignore lint/correctness/noEmptyPattern: the runner wants a pattern here
  shop: async ({}, use) => {
    const shop = await Shop.open({ demo: false });
    await use(shop);
    await shop.close();
  },
});

test('an empty shop says what to do first; a press is added, and is told to be unmeasured', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Nothing on the bench.' })).toBeVisible();
  await page.keyboard.press('6');
  await expect(page.getByText('No pressing yet.')).toBeVisible();
  await page.keyboard.press('3');
  await expect(page.getByText('No press yet.')).toBeVisible();
  await page.getByRole('button', { name: 'Add a press' }).click();
  await page.getByLabel('Name').fill('The draw press');
  await page.getByLabel('Kind').selectOption('draw');
  await page.getByRole('button', { name: 'Save the press' }).click();
  await expect(page.getByRole('button', { name: /^The draw press draw, set in °C by 1 not measured: ±14 K assumed/ })).toBeVisible();
});

test('a second server on a shop that is served already says so and ends', async ({ shop }) => {
  const env = {
    ...process.env,
    PORT: String(await freePort()),
    TIDY_BEACON_DEVICES: '0',
    TIDY_BEACON_DB: shop.database,
    TIDY_BEACON_LOG: 'silent',
  };
  const second = spawnSync(process.execPath, ['-e', "import('./scripts/serve.mjs').then((s) => s.serve())"], {
    env,
    encoding: 'utf8',
    timeout: 120_000,
  });
  expect(second.status).toBe(1);
  expect(second.stderr).toMatch(/Another Tidy Beacon/i);
});

test('a file that is no database ends the start with words and code 1', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'beacon-start-'));
  const file = join(folder, 'holiday.sqlite');
  writeFileSync(file, 'not a database, but long enough to be read as the header of one '.repeat(30));
  const env = { ...process.env, PORT: String(await freePort()), TIDY_BEACON_DB: file, TIDY_BEACON_LOG: 'silent' };
  const { status, stderr } = spawnSync(process.execPath, ['-e', "import('./scripts/serve.mjs').then((s) => s.serve())"], {
    env,
    encoding: 'utf8',
    timeout: 120_000,
  });
  rmSync(folder, { recursive: true, force: true });
  expect(status).toBe(1);
  expect(stderr).toContain('is not a Tidy Beacon database. Set TIDY_BEACON_DB to the right file');
});
