/** The Heat bench and the card: what a cover takes at the glue, the seconds that bring it back, and practice. */
import { expect, test } from './shop';

test('from an order’s card to its stack: a cover is added, its loss seen, the seconds taken, and the card shows them with the reason', async ({
  page,
}) => {
  await page.goto('/orders/order-guide-tees/card?line=line-guide-m&print=a');
  await page.getByRole('link', { name: 'On the Heat bench' }).click();
  await expect(page.getByRole('heading', { name: 'Heat bench' })).toBeVisible();
  const says = page.getByRole('region', { name: 'What to do' });
  await expect(says).toContainText('Sound');
  await expect(page.getByRole('img', { name: /^As the press opens: glue/ })).toBeVisible();

  await page.getByLabel('PTFE-coated sheet over it').check();
  await expect(page.getByRole('list', { name: 'Layers, from the top' }).getByRole('listitem').first()).toContainText('PTFE-coated sheet');
  await expect(says).toContainText(/takes \d+.°F at the glue in 9.s/);
  const take = says.getByRole('button', { name: /^Take \d+/ });
  const seconds = Number(/\d+/.exec((await take.textContent()) ?? '')?.[0]);
  expect(seconds).toBeGreaterThan(9);
  await take.click();
  await expect(page.getByLabel('Time', { exact: true })).toHaveValue(String(seconds));
  await page.getByRole('button', { name: new RegExp(`^Take the cover and ${seconds}.s to the card`) }).click();

  const card = page.getByRole('article', { name: 'Card' });
  await expect(card.getByRole('button', { name: /^Time:/ })).toContainText(String(seconds));
  await expect(card.getByRole('button', { name: /^Peel:/ })).toContainText('cover over the print');
  await card.getByRole('button', { name: /^Time:/ }).click();
  const why = page.getByRole('region', { name: 'Why this time' });
  await expect(why).toContainText(`Chosen for this print: ${seconds}`);
  await expect(why).toContainText(/PTFE-coated sheet over it takes \d+.°F at the glue/);
  await page.keyboard.press('Control+z');
  await expect(card.getByRole('button', { name: /^Time:/ })).toContainText('9');
});

test('layers are moved and taken out by key, bad figures are named and nothing is lost; a second variant stands beside the first', async ({
  page,
}) => {
  await page.goto('/heat-bench?order=order-guide-tees&line=line-guide-m&print=a');
  const layers = page.getByRole('list', { name: 'Layers, from the top' }).getByRole('button', { expanded: false });
  await expect(page.getByRole('table', { name: 'What it comes to' })).toBeVisible();
  await page.getByRole('combobox', { name: 'Lay in' }).selectOption({ label: 'pillow, under it' });
  await expect(page.getByRole('listitem').filter({ hasText: 'pillow' })).toBeVisible();
  await layers.filter({ hasText: 'pillow' }).focus();
  await page.keyboard.press('Alt+ArrowDown');
  await expect(layers.last()).toContainText('pillow');
  await expect(layers.last()).toBeFocused();
  await page.keyboard.press('Delete');
  await expect(page.getByRole('listitem').filter({ hasText: 'pillow' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(layers.last()).toContainText('pillow');

  await layers.filter({ hasText: 'heather jersey' }).click();
  await page.getByLabel('Thickness, mm').fill('0');
  await expect(page.getByText('From 0.002 to 200 mm.')).toBeVisible();
  await expect(page.getByRole('list', { name: 'Layers, from the top' })).toContainText('0.38 mm');
  await page.getByLabel('Set to').fill('1000');
  await page.getByLabel('Set to').blur();
  await expect(page.getByRole('alert').first()).toBeVisible();

  await page.getByRole('button', { name: 'Try another' }).click();
  await page.getByLabel('Time', { exact: true }).fill('11');
  const table = page.getByRole('table', { name: 'What it comes to' });
  await expect(table.getByRole('columnheader')).toHaveText(['', 'A', 'B']);
  await expect(table.getByRole('row', { name: /^Set/ })).toContainText('11');
});

test('a map is drawn rough at once and then fine, can be stopped, and the first pieces of a cold day are told', async ({ page }) => {
  await page.goto('/heat-bench?order=order-guide-tees&line=line-guide-m&print=a');
  await page.getByRole('tab', { name: 'Map of two inputs' }).click();
  await page.getByLabel('Across').selectOption('damp');
  await page.getByLabel('Up').selectOption('base');
  await page.getByRole('button', { name: 'Draw the map' }).click();
  const map = page.getByRole('img', { name: /of the map is sound/ });
  await expect(map).toHaveAttribute('data-steps', '10');
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByText('Stopped. What stands here is the rough map.')).toBeVisible();
  await page.getByLabel('Across').selectOption('time');
  await page.getByLabel('Up').selectOption('temperature');
  await page.getByRole('button', { name: 'Draw the map' }).click();
  await expect(map).toHaveAttribute('data-steps', '60');
  await page.getByRole('tab', { name: 'First pieces of a day' }).click();
  await expect(page.getByRole('region', { name: 'First pieces' }).getByRole('row')).toHaveCount(9);
});

test('a practice round is played to its score, which is kept by operator', async ({ page }) => {
  await page.goto('/heat-bench');
  await page.getByRole('link', { name: 'Practice' }).click();
  const operator = page.getByRole('combobox', { name: 'Played by' });
  await operator.selectOption({ index: 1 });
  const initials = await operator.inputValue();
  await page.getByRole('button', { name: 'New piece' }).click();
  await expect(page.getByText(/Its sheet says/)).toBeVisible();
  await page.getByLabel('Set to').fill('300');
  await page.getByLabel('Time', { exact: true }).fill('12');
  await page.getByLabel('Pre-press').fill('5');
  await page.getByRole('button', { name: 'Press it' }).click();
  const peel = page.getByRole('button', { name: 'Peel now' });
  const outcome = page.getByRole('region', { name: 'What came of it' });
  await expect(peel.or(outcome)).toBeVisible();
  if (await peel.isVisible()) await page.keyboard.press('Enter');
  await expect(outcome).toContainText('The glue reached');
  await expect(page.getByRole('region', { name: 'Scores' })).toContainText(`${initials}: `);
  await page.reload();
  await expect(page.getByRole('region', { name: 'Scores' })).toContainText('1 round');
});

test('what the log says is left out by one click, and undo brings it back', async ({ page }) => {
  await page.goto('/orders/order-guide-tees/card?line=line-guide-m&print=a');
  const leave = page.getByRole('button', { name: /^Leave out what \d+ pressings say/ });
  await leave.click();
  await expect(leave).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(leave).toBeVisible();
});

test('the House lists what the log has taught, and each of it can be left out', async ({ page }) => {
  await page.goto('/house');
  const taught = page.getByRole('region', { name: 'What the log has taught' });
  const row = taught.getByRole('listitem').filter({ hasText: 'Dunlin Solid on Swing-away' });
  await expect(row).toContainText(/bond × \d\.\d\d ± \d\.\d\d, from \d+ pressings/);
  await row.getByRole('button', { name: 'Do not use it' }).click();
  await expect(row).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(row).toBeVisible();
});

test('on a tablet: three are tried side by side, one is dropped and brought back, and the set value is kept to the press', async ({
  page,
}) => {
  await page.setViewportSize({ width: 1024, height: 768 });
  await page.goto('/heat-bench?order=order-guide-tees&line=line-guide-m&print=a');
  const table = page.getByRole('table', { name: 'What it comes to' });
  await expect(table).toBeVisible();
  for (const time of ['10', '11']) {
    await page.getByRole('button', { name: 'Try another' }).click();
    await page.getByLabel('Time', { exact: true }).fill(time);
  }
  await expect(page.getByRole('button', { name: 'Try another' })).toHaveCount(0);
  await expect(table.getByRole('columnheader')).toHaveText(['', 'A', 'B', 'C']);
  await expect(table.getByRole('row', { name: /^Set/ })).toContainText('10');
  await page.getByRole('button', { name: 'Delete C' }).click();
  await expect(table.getByRole('columnheader')).toHaveText(['', 'A', 'B']);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(table.getByRole('columnheader')).toHaveText(['', 'A', 'B', 'C']);
  await page.getByRole('button', { name: 'B', exact: true }).click();
  await expect(page.getByLabel('Time', { exact: true })).toHaveValue('10');
  await page.getByLabel('Set to').fill('290');
  await page.getByLabel('Set to').blur();
  await expect(page.getByText(/Surface at this setting: 29\d.°F/)).toBeVisible();
  await page.getByRole('button', { name: /^Take 10.s and 290.°F to the card/ }).click();
  const card = page.getByRole('article', { name: 'Card' });
  await expect(card.getByRole('button', { name: /^Temperature:/ })).toContainText('290');
  await expect(card.getByText('Set by hand.')).toBeVisible();
});
