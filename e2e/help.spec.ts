/** Help over every page, by key and by touch; the words of the trade explained where they stand. */
import { expect, test } from './shop';

test('a question mark tells what a page is for and its keys; a word of it is explained, and all of them stand in one place', async ({
  page,
}) => {
  await page.goto('/orders/order-guide-tees/card');
  await expect(page.getByRole('article', { name: 'Card' })).toBeVisible();
  await page.keyboard.press('?');
  const help = page.getByRole('dialog', { name: 'Help' });
  await expect(help.getByRole('heading', { name: 'Card' })).toBeVisible();
  await expect(help).toContainText('undo what was done last');
  // a key under it does nothing
  await page.keyboard.press('6');
  await expect(help).toBeVisible();
  await help.getByRole('button', { name: 'window' }).click();
  await expect(help.getByRole('heading', { name: 'window' })).toBeVisible();
  await help.getByRole('button', { name: 'Back' }).click();
  await expect(help.getByRole('heading', { name: 'Card' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(help).toHaveCount(0);

  await page.getByRole('button', { name: 'what is peel?' }).click();
  await expect(help.getByRole('heading', { name: /^peel/ })).toBeVisible();
  await help.getByRole('link', { name: 'All words' }).click();
  await expect(page.getByRole('heading', { name: 'Words', exact: true })).toBeVisible();
  await expect(page.locator('#peel')).toBeInViewport();

  // a word is found like anything else
  await page.keyboard.press('/');
  await expect(page.getByRole('dialog', { name: 'Find' }).getByRole('searchbox')).toBeFocused();
  await page.keyboard.type('marry');
  await page.getByRole('option', { name: /^marry/ }).click();
  await expect(page.locator('#marry')).toBeInViewport();
});

test('in a field a question mark is a letter; in a run help lies over it and keys in it are no steps', async ({ page }) => {
  await page.goto('/orders');
  await page.getByLabel('What it is for').fill('');
  await page.getByLabel('What it is for').press('?');
  await expect(page.getByLabel('What it is for')).toHaveValue('?');
  await expect(page.getByRole('dialog', { name: 'Help' })).toHaveCount(0);

  await page.goto('/orders/order-members/card');
  await page.getByRole('button', { name: 'Help' }).click();
  await expect(page.getByRole('dialog', { name: 'Help' })).toBeVisible();
  await page.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByRole('dialog', { name: 'Help' })).toHaveCount(0);
});
