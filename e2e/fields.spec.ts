/** Typing in either system, being asked about a figure that only makes sense in the other, and clear words for what cannot be. */
import { expect, test } from './shop';

test('a 320 where Celsius is meant is asked about, and taken as Fahrenheit at a word', async ({ page }) => {
  await page.goto('/presses');
  await page.getByRole('button', { name: /^Swing-away/ }).click();
  await page.getByRole('tab', { name: 'Facts' }).click();
  await page.getByLabel('Set in').selectOption('C');
  const highest = page.getByLabel('Highest setting');
  await highest.fill('410');
  await highest.press('Tab');
  await expect(page.getByRole('alert')).toContainText('410 °C, or did you mean 410 °F?');
  await page.getByRole('alert').getByRole('button', { name: '410 °F' }).click();
  await expect(highest).toHaveValue('210');
  await highest.fill('300f');
  await highest.press('Tab');
  await expect(highest).toHaveValue('149');
});

test('the lowest setting over the highest is named at its field, nothing is saved, and put back on request', async ({ page }) => {
  await page.goto('/presses');
  await page.getByRole('button', { name: /^Old clamshell/ }).click();
  await page.getByRole('tab', { name: 'Facts' }).click();
  const lowest = page.getByLabel('Lowest setting');
  await lowest.fill('450f');
  await page.getByRole('button', { name: 'Save the press' }).click();
  await expect(page.getByText('The lowest setting is not under the highest.', { exact: true })).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: /^Old clamshell/ }).click();
  await page.getByRole('tab', { name: 'Facts' }).click();
  await expect(page.getByLabel('Lowest setting')).toHaveValue('200');
});

test('a line with nothing in it says what each field wants', async ({ page }) => {
  await page.goto('/orders');
  await page.getByLabel('What it is for').fill('<b>Tees</b>');
  await page.getByRole('button', { name: 'Start the order' }).click();
  await expect(page.getByText('A name cannot hold < or >')).toBeVisible();
  await page.getByLabel('What it is for').fill('Tees & more');
  await page.getByRole('button', { name: 'Start the order' }).click();
  await page.getByRole('button', { name: 'Add the line, see its card' }).click();
  for (const words of ['How many pieces?', 'Pick a blank from', 'Pick a size.', 'Pick a transfer', 'Name the art', 'How wide', 'How tall'])
    await expect(page.getByText(words)).toBeVisible();
});

test('the house reads Celsius from the moment it is saved, and undo gives Fahrenheit back', async ({ page }) => {
  await page.goto('/house');
  await page.getByLabel('Temperature', { exact: true }).selectOption('C');
  await page.getByRole('button', { name: 'Save the house' }).click();
  await expect(page.getByText('house changed')).toBeVisible();
  await page.keyboard.press('6');
  await expect(page.getByRole('cell', { name: '133 °C 9 s' }).first()).toBeVisible();
  await page.getByRole('button', { name: /Undo/ }).click();
  await expect(page.getByRole('cell', { name: '272 °F 9 s' }).first()).toBeVisible();
});

test('a base found to heat and a platen to put in are kept', async ({ page, request }) => {
  await page.goto('/presses');
  await page.getByRole('button', { name: /^Old clamshell/ }).click();
  await page.getByRole('tab', { name: 'Facts' }).click();
  await page.getByLabel(/The lower platen is heated/).check();
  await page.getByLabel('Its spread, ±').fill('200');
  await page.getByRole('button', { name: 'Save the press' }).click();
  await expect(page.getByText(/^Too high: 108.0/)).toBeVisible();
  await page.getByLabel('Its spread, ±').fill('4');
  await page.getByRole('button', { name: '+ a platen to put in' }).click();
  await page.getByLabel('A platen to put in').last().fill('sleeve platen');
  await page.getByLabel('Width').last().fill('10cm');
  await page.getByRole('button', { name: 'Save the press' }).click();
  const saved = async () => {
    const { presses } = await (await request.get('/api/v1/presses')).json();
    return presses.find(({ press }: { press: { name: string } }) => press.name === 'Old clamshell').press;
  };
  await expect.poll(async () => (await saved()).lower?.spreadK ?? 0).toBeCloseTo(4 / 1.8, 3);
  expect((await saved()).swapPlatens).toMatchObject([{ name: 'sleeve platen', widthMm: 100 }]);
});

test('a house two people change: what only one of them touched is joined, what both did is told and not undone', async ({ page }) => {
  await page.goto('/house');
  const other = async (change: object) => {
    const { house, version } = await (await page.request.get('/api/v1/house')).json();
    const data = { ...house, ...change };
    expect((await page.request.put('/api/v1/house', { data, headers: { 'if-match': `"${version}"` } })).ok()).toBe(true);
    // the page hears of it as it comes back to the front
    await page.evaluate(() => document.dispatchEvent(new Event('visibilitychange')));
  };
  await page.getByLabel('Humidity, %').fill('61');
  await other({ operators: ['MB', 'ZZ'] });
  await expect(page.getByLabel('Who presses here')).toHaveValue('MB, ZZ');
  await expect(page.getByLabel('Humidity, %')).toHaveValue('61');
  await other({ room: { tempC: 25, humidityPercent: 30 } });
  await page.waitForTimeout(2500);
  await page.getByRole('button', { name: 'Save the house' }).click();
  await expect(page.getByRole('alert').first()).toBeVisible();
  await expect(page.getByLabel('Humidity, %')).toHaveValue('61');
  expect((await (await page.request.get('/api/v1/house')).json()).house.room.humidityPercent).toBe(30);
  await page.getByRole('button', { name: 'Cancel changes' }).click();
  await expect(page.getByLabel('Humidity, %')).toHaveValue('30');
});
