/** Two motifs on a log book: laid beside each other by hand in the line, carded together, pressed at once, each with its own verdict. */
import { expect } from '@playwright/test';
import { cue, work } from './hands';
import { test } from './shop';

test('two designs in one closing: one is spoiled, the other good, and the record has both', async ({ page }) => {
  const { order } = await (await page.request.get('/api/v1/orders/order-spring-tees')).json();
  const { choices: _, ...like } = order.lines[1].prints[0];
  const print = {
    ...like,
    key: 'a',
    artName: 'moon',
    position: 'face',
    widthMm: 40,
    heightMm: 50,
    moved: { xMm: -30, yMm: 0 },
    choices: {},
  };
  const line = { id: 'line-cover', blankId: 'blank-log-book', size: 'A5', count: 1, roster: [], perClosing: 1, prints: [print] };
  const doc = { ...order, id: 'order-cover', name: 'Log books', lines: [line] };
  expect((await page.request.put('/api/v1/orders/order-cover', { data: doc })).ok()).toBe(true);

  await page.goto('/orders/order-cover?line=line-cover');
  await page.getByRole('button', { name: '+ another print on it' }).click();
  await page.getByLabel('Art', { exact: true }).fill('owl');
  await page.getByLabel('Art width').fill('40 mm');
  await page.getByLabel('Art height').fill('50 mm');
  await page.getByRole('checkbox', { name: 'In one closing with moon' }).check();
  await expect(page.getByLabel('Position', { exact: true })).toHaveValue('face');
  // over the other it is refused where it is said; beside it, taken
  const right = page.getByLabel('Right of its usual place');
  await right.fill('0 mm');
  await page.getByRole('button', { name: 'Save the line' }).click();
  await expect(page.getByText('Two prints are meant for the face.', { exact: true })).toBeVisible();
  await right.fill('25 mm');
  await page.getByRole('button', { name: 'Save the line' }).click();
  await page.getByRole('link', { name: 'Open the card' }).click();
  const designs = page.getByRole('navigation', { name: 'In one closing' });
  await expect(designs.getByRole('link')).toHaveText([/^moon/, /^owl/]);
  await page.goto('/orders/order-cover/place?line=line-cover&print=b');
  await expect(page.locator('[data-beside="moon"]')).toBeVisible();

  await page.goto('/orders/order-cover/card');
  await page.getByRole('button', { name: 'Start pressing' }).click();
  await page.getByRole('button', { name: 'Press without the rest' }).click();
  await work(page, ({ verb }) => (verb === 'Look it over' ? 'stop' : null));
  await cue(page, /^Look it over/);
  await expect(page.locator('[data-piece]')).toHaveText('moon · piece 1 of 1, then owl');
  await page.keyboard.press('x');
  await page.getByRole('button', { name: 'owl', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Owl is spoiled, because …' })).toBeVisible();
  await page.keyboard.press('1');
  await expect(page.locator('[data-piece]')).toHaveText('moon · piece 1 of 1');
  await work(page, () => null);
  await expect(page.getByRole('list', { name: 'By design' }).getByRole('listitem')).toHaveText([
    /^moon: 1 good/,
    /^owl: 0 good, 1 spoiled/,
  ]);
  const { pressings } = await (await page.request.get('/api/v1/pressings?orderId=order-cover&limit=10')).json();
  expect(pressings.map((p: { artName: string; outcome: string }) => `${p.artName} ${p.outcome}`).sort()).toEqual([
    'moon good',
    'owl spoiled',
  ]);
  expect(new Set(pressings.map((p: { closings: object[] }) => JSON.stringify(p.closings))).size).toBe(1);
});
