/** Typing in either system, being asked about a figure that only makes sense in the other, and clear words for what cannot be. */
import { expect, test } from './shop';

test('a 320 where Celsius is meant is asked about, and taken as Fahrenheit at a word', async ({ page }) => {
  await page.goto('/presses');
  await page.getByRole('button', { name: /^Swing-away/ }).click();
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
  const lowest = page.getByLabel('Lowest setting');
  await lowest.fill('450f');
  await page.getByRole('button', { name: 'Save the press' }).click();
  await expect(page.getByText('The lowest setting is not under the highest.', { exact: true })).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: /^Old clamshell/ }).click();
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
  await expect(page.getByRole('cell', { name: '135 °C 9 s' }).first()).toBeVisible();
  await page.getByRole('button', { name: /Undo/ }).click();
  await expect(page.getByRole('cell', { name: '275 °F 9 s' }).first()).toBeVisible();
});
