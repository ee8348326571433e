/** Where it goes and how it lies: a zip that holds a full platen off, the art moved by hand, a run in two print sizes, small pieces together. */
import { expect, test } from './shop';

test('windbreaker, left chest: the full platen is refused, the small one offered and taken, the card follows, the guide is printed', async ({
  page,
}) => {
  await page.goto('/orders/order-windbreakers?line=line-wind-m');
  await page.getByRole('combobox', { name: 'Transfer' }).fill('Obsidian');
  await page.getByRole('option', { name: /Obsidian Hold/ }).click();
  await page.getByRole('button', { name: /^Save/ }).click();
  await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Place' }).click();
  const sheet = page.getByRole('region', { name: 'Placement sheet' });
  await sheet.getByRole('button', { name: 'full platen' }).click();
  await expect(sheet.locator('[data-platen]')).toHaveAttribute('data-platen', 'held off');
  await expect(sheet.getByRole('status')).toHaveText(/comes under the platen: .*zip/);
  await expect(sheet.locator('[data-measure="centre line"]')).toContainText('4 in');
  await sheet.getByRole('button', { name: 'Put the small platen in' }).click();
  await expect(sheet.locator('[data-platen]')).toHaveAttribute('data-platen', 'works');
  const guide = page.waitForEvent('download');
  await sheet.getByRole('link', { name: 'A4' }).click();
  expect((await guide).suggestedFilename()).toBe('guide-M-left-chest.pdf');
  await page.getByRole('link', { name: 'To its card' }).click();
  await expect(page.getByText(/Put the small platen in/).first()).toBeVisible();
  await expect(page.getByRole('article', { name: 'Card' }).locator('[data-lamp]').first()).not.toHaveAttribute('data-lamp', 'hold');
  await page.keyboard.press('Control+z');
  await expect(page.getByText(/holds? it off the print, and cannot hang off/).first()).toBeVisible();
});

test('the art is nudged by arrow keys and dragged; the measures follow, and undo puts it back', async ({ page }) => {
  await page.goto('/orders/order-guide-tees/place');
  const art = page.getByRole('slider', { name: /comet over hill/ });
  const down = page.locator('[data-measure="front collar seam"]');
  await expect(down).toContainText('2 3/8 in');
  await art.focus();
  for (let i = 0; i < 10; i++) await page.keyboard.press('ArrowDown');
  await expect(down).toContainText('2 5/8 in');
  await expect(page.getByRole('button', { name: 'Back to the usual place' })).toBeVisible();
  const box = await art.boundingBox();
  if (!box) throw new Error('the art is nowhere');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 40, box.y + box.height / 2, { steps: 6 });
  await page.mouse.up();
  await expect(page.locator('[data-held]')).toHaveAttribute('data-held', 'false');
  await expect(page.locator('[data-measure="centre line"]')).toContainText(/^2\s/);
  await page.keyboard.press('Control+z');
  await expect(page.locator('[data-measure="centre line"]')).toContainText('centred');
});

test('a run of tees is split in two print sizes, the split dragged, and each line gets its own', async ({ page, request }) => {
  const order = await (await request.get('/api/v1/orders/order-guide-tees')).json();
  const [first] = order.order.lines;
  const sizes = ['S', 'M', 'L', 'XL', '2XL', '3XL'];
  const lines = sizes.map((size, i) => ({ ...first, id: `line-run-${i}`, size, count: 2 + i }));
  const put = await request.put('/api/v1/orders/order-run', { data: { ...order.order, id: 'order-run', name: 'Run of tees', lines } });
  expect(put.ok()).toBe(true);
  await page.goto('/orders/order-run/place');
  const run = page.getByRole('region', { name: 'Print sizes for the run' });
  await expect(run.getByRole('button', { name: 'Use these 2 print sizes' })).toBeVisible();
  await page.evaluate(() => window.scrollTo(0, document.body.scrollHeight));
  const mark = run.getByRole('button', { pressed: true });
  await expect(mark).toHaveCount(1);
  const before = await mark.getAttribute('aria-label');
  const from = await mark.boundingBox();
  const next = await run
    .getByRole('button', { name: before?.includes('L and XL') ? /between XL and 2XL/ : /between L and XL/ })
    .boundingBox();
  if (!from || !next) throw new Error('no marks');
  await page.mouse.move(from.x + from.width / 2, from.y + 60);
  await page.mouse.down();
  await page.mouse.move(next.x + next.width / 2, next.y + 60, { steps: 5 });
  await page.mouse.up();
  await expect(mark).not.toHaveAttribute('aria-label', before ?? '');
  // a click in the very moment the hand lets go belongs to the drag
  const again = run.getByRole('button', { name: 'Fewest again' });
  await expect(async () => {
    if (await again.isVisible()) await again.click({ timeout: 2_000 });
    await expect(mark).toHaveAttribute('aria-label', before ?? '', { timeout: 2_000 });
  }).toPass();
  await run.getByRole('button', { name: 'Use these 2 print sizes' }).click();
  await expect
    .poll(async () => {
      const after = await (await request.get('/api/v1/orders/order-run')).json();
      return new Set(after.order.lines.map((line: { prints: { widthMm: number }[] }) => line.prints[0]?.widthMm)).size;
    })
    .toBe(2);
});

test('coasters: so many lie in one closing, and the line takes as many as it has', async ({ page }) => {
  await page.goto('/orders/order-hard/place?line=line-coasters');
  const plan = page.getByRole('region', { name: 'Several in one closing' });
  await plan.getByRole('button', { name: 'Press 8 a closing' }).click();
  await expect(plan).toContainText('Now 8 a closing, one closing for 8 pieces');
});

test('a blank is measured with a tape: a neck wider than the chest is named, and the placement follows the tape', async ({ page }) => {
  await page.goto('/shelf/blanks/blank-guide-tee');
  await expect(page.getByText('180 mm')).toBeVisible();
  const neck = page.getByRole('textbox', { name: /^Neck:/ });
  await neck.fill('30');
  await neck.blur();
  await expect(page.getByText('The neck is as wide as the chest or wider.')).toBeVisible();
  await neck.fill('7');
  await neck.blur();
  const drop = page.getByRole('textbox', { name: /^Front drop/ });
  await drop.fill('5');
  await drop.blur();
  await page.getByRole('button', { name: /^Save/ }).click();
  await page.goto('/orders/order-guide-tees/place');
  await expect(page.getByText('By the usual cut')).toHaveCount(0);
  await expect(page.locator('[data-measure="front collar seam"]')).toContainText('2 3/8 in');
});

test('the house prints lower: the rule is changed, the placement follows, undo brings the usual rule back', async ({ page }) => {
  await page.goto('/house');
  await page.getByText('Where prints go: the usual rules').click();
  const row = page.getByRole('group', { name: 'full front' });
  await row.getByLabel('Smallest size').fill('4in');
  await row.getByLabel('Largest size').fill('4in');
  await row.getByLabel('Largest size').blur();
  await page.getByRole('button', { name: 'Save the house' }).click();
  await expect(page.getByText('one position is the house’s own')).toBeVisible();
  await expect(page.locator('aside').getByText('house changed')).toBeVisible();
  await page.getByRole('navigation', { name: 'Sections' }).getByRole('link', { name: '1 Bench' }).click();
  await page
    .getByRole('link', { name: /Guide tees/ })
    .first()
    .click();
  await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Place' }).click();
  await expect(page.locator('[data-measure="front collar seam"]')).toContainText('4 in');
  await page.keyboard.press('Control+z');
  await expect(page.locator('[data-measure="front collar seam"]')).toContainText('2 3/8 in');
});

test('where a print came to lie is noted on its record, and the log tells the habit', async ({ page }) => {
  await page.goto('/log');
  const ids = await page.evaluate(async () => {
    const reply = await (await fetch('/api/v1/pressings?limit=200&outcome=good')).json();
    const mine = reply.pressings.filter((p: { operator: string; position: string }) => p.operator === 'MB' && p.position === 'full front');
    return mine.slice(0, 3).map((p: { id: string }) => p.id);
  });
  for (const [i, id] of ids.entries()) {
    await page.goto(`/log/${id}`);
    await page.getByText('Where it came to lie, measured after pressing').click();
    await page.getByLabel('Too low by').fill(`${5 + i} mm`);
    await page.getByLabel('Too low by').blur();
    await page.getByRole('button', { name: 'Save its place' }).click();
    await expect(page.getByText(/Where it came to lie: .* low/)).toBeVisible();
  }
  await page.goto('/log');
  await expect(page.getByRole('region', { name: 'Where prints came to lie' })).toContainText('1/4 in low');
});

test('a save that comes back while the hand moves on takes nothing from it', async ({ page }) => {
  let saves = 0;
  let release = () => {};
  const held = new Promise<void>((go) => {
    release = go;
  });
  await page.route('**/api/v1/orders/order-guide-tees', async (route) => {
    if (route.request().method() === 'PUT' && ++saves === 1) await held;
    await route.continue();
  });
  await page.goto('/orders/order-guide-tees/place');
  const art = page.getByRole('slider', { name: /comet over hill/ });
  await art.focus();
  for (let i = 0; i < 10; i++) await page.keyboard.press('ArrowDown');
  await expect.poll(() => saves).toBe(1);
  const box = await art.boundingBox();
  if (!box) throw new Error('the art is nowhere');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 24, y, { steps: 4 });
  const first = page.waitForResponse((reply) => reply.request().method() === 'PUT' && reply.url().endsWith('/orders/order-guide-tees'));
  release();
  await first;
  await expect(page.getByRole('button', { name: 'Back to the usual place' })).toBeVisible();
  await page.mouse.move(x + 40, y, { steps: 3 });
  await page.mouse.up();
  await expect(page.locator('[data-held]')).toHaveAttribute('data-held', 'false');
  await expect(page.locator('[data-measure="centre line"]')).toContainText(/^2\s/);
});
