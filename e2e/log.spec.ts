/** The log at length: narrowed by what a pressing was, ten thousand of them scrolled to the last, brought in from a list. */
import { writeFileSync } from 'node:fs';
import { expect, test } from './shop';

test('narrowed by outcome, transfer, press, fabric and days; what is narrowed is what is taken out', async ({ page, request }) => {
  await page.goto('/log');
  const told = page.getByRole('status').filter({ hasText: /pressing/ });
  await expect(told).toHaveText('101 pressings');
  await page.getByLabel('Came out').selectOption('spoiled');
  await page.getByLabel('Transfer', { exact: true }).selectOption('Curlew Two-Sheet');
  await expect(told).toHaveText('2 pressings');
  const rows = page.getByRole('row').filter({ hasText: 'Curlew Two-Sheet' });
  await expect(rows).toHaveCount(2);
  const href = await page.getByRole('link', { name: 'Export CSV' }).getAttribute('href');
  const csv = await (await request.get(href ?? '')).text();
  expect(csv.trim().split('\r\n')).toHaveLength(3);

  await page.getByLabel('Came out').selectOption('good or spoiled');
  await page.getByLabel('Transfer', { exact: true }).selectOption('any transfer');
  await page.getByLabel('Press', { exact: true }).selectOption('Cap press');
  await expect(told).not.toHaveText('101 pressings');
  await page.getByLabel('From', { exact: true }).fill('2031-01-01');
  await expect(page.getByText('No pressing is all of this. Try fewer words, or take a filter off.')).toBeVisible();
  await expect(page.getByRole('link', { name: 'Export CSV' })).toBeHidden();
});

test('ten thousand pressings are brought in from a list and scrolled to the last, a few rows drawn at a time', async ({
  page,
  request,
}, info) => {
  test.setTimeout(900_000);
  // lists are brought in by a thread that stands back for all others: on a busy machine it takes its time
  const told = { timeout: 400_000 };
  const [heading = '', model = ''] = (await (await request.get('/api/v1/pressings.csv')).text()).split('\r\n');
  const cells = model.split(',');
  const lines = Array.from({ length: 10_000 }, (_, i) => {
    const ended = new Date(Date.UTC(2024, 0, 1) + i * 60_000).toISOString();
    return [`10000000-0000-4000-8000-${String(i).padStart(12, '0')}`, ended, ...cells.slice(2)].join(',');
  });
  const path = info.outputPath('many.csv');
  writeFileSync(path, [heading, ...lines.reverse()].join('\r\n'));

  await page.goto('/log');
  await page.getByRole('button', { name: 'Import' }).click();
  await page.getByLabel('Import a CSV or JSON file').setInputFiles(path);
  await expect(page.getByText('many.csv would bring: 10000 pressings new')).toBeVisible(told);
  await page.getByRole('button', { name: 'Do it' }).click();
  await expect(page.getByText('Done: 10000 pressings new')).toBeVisible(told);
  await page.getByRole('button', { name: 'Import', exact: true }).click();

  await page.getByLabel('To', { exact: true }).fill('2024-12-31');
  await expect(page.getByRole('status').filter({ hasText: '10000 pressings' })).toBeVisible();
  const table = page.getByRole('table');
  const drawn = () => table.getByRole('row').count();
  for (let turns = 0; turns < 400 && (await table.getAttribute('aria-rowcount')) !== '10001'; turns++) {
    await page.evaluate(() => window.scrollTo(0, document.documentElement.scrollHeight));
    await page.waitForTimeout(60);
    expect(await drawn()).toBeLessThan(80);
  }
  await page.evaluate(() => window.scrollTo(0, document.documentElement.scrollHeight));
  await expect(table.locator('[aria-rowindex="10001"]')).toBeVisible();
  await table.locator('[aria-rowindex="10001"]').getByRole('link').click();
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
});

test('columns are chosen and kept by the browser, what is all there is sorted by a heading, rows are walked by keys', async ({ page }) => {
  await page.goto('/log?q=nebula');
  const heads = () => page.getByRole('columnheader').allTextContents();
  await expect(page.getByRole('columnheader', { name: /^Piece/ })).toBeVisible();
  await page.getByRole('button', { name: 'Columns' }).click();
  await page.getByRole('group', { name: 'Columns' }).getByLabel('Order').uncheck();
  expect((await heads()).join()).not.toContain('Order');
  await page.reload();
  await expect(page.getByRole('columnheader', { name: /^Piece/ })).toBeVisible();
  expect((await heads()).join()).not.toContain('Order');

  const times = () => page.getByRole('link', { name: /open the record/ }).allTextContents();
  const before = await times();
  expect(before.length).toBeGreaterThan(2);
  await page.getByRole('button', { name: /^When/ }).click();
  await expect(page.getByRole('columnheader', { name: /^When/ })).toHaveAttribute('aria-sort', 'ascending');
  expect(await times()).toEqual([...before].reverse());

  const links = page.getByRole('link', { name: /open the record/ });
  await links.first().focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('j');
  await expect(links.nth(2)).toBeFocused();
});
