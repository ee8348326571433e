/** Tested settings: kept from a pressing, written by hand, seen by the next card and on the sheet of transfers on fabrics. */
import { expect, test } from './shop';

test('a good piece is kept as tested from the log: the matrix has it, undo takes it back', async ({ page }) => {
  await page.goto('/log');
  await page.getByLabel('Transfer', { exact: true }).selectOption('Curlew Two-Sheet');
  const row = page.getByRole('row').filter({ hasText: 'Curlew Two-Sheet' }).filter({ hasText: /good/i }).first();
  await row.getByRole('link').first().click();
  await page.getByRole('heading', { name: 'The card as it was when it was pressed' }).waitFor();
  await page.getByRole('button', { name: 'Save as tested' }).click();
  await page.getByRole('link', { name: 'tested setting' }).click();
  const detail = page.getByRole('complementary', { name: 'Detail' });
  await expect(detail).toContainText('Curlew Two-Sheet');
  await expect(detail).toContainText('good');
  await page.getByRole('link', { name: 'Transfers on fabrics' }).click();
  const tested = page.getByRole('button', { name: /^Curlew Two-Sheet on .*, tested$/ });
  await expect(tested.first()).toBeVisible();
  await tested.first().click();
  await expect(page.getByText(/It starts from a test of \d{4}-\d\d-\d\d/)).toBeVisible();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await page.reload();
  await expect(page.getByRole('button', { name: /^Curlew Two-Sheet on cotton jersey/ })).toBeVisible();
  await expect(tested).toHaveCount(0);
});

test('a test is written by hand; outside its sheet it is asked about, and the card of that piece begins with it', async ({ page }) => {
  await page.goto('/shelf?kind=tested');
  await page.getByRole('link', { name: 'New tested setting' }).click();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('combobox', { name: 'Transfer' })).toHaveAttribute('aria-invalid', 'true');
  await page.getByRole('combobox', { name: 'Transfer' }).fill('dunlin');
  await page.getByRole('option', { name: /Dunlin Solid/ }).click();
  await page.getByRole('combobox', { name: 'Blank' }).fill('crew tee');
  await page.getByRole('option', { name: /^crew tee/ }).click();
  await page.getByLabel('Press', { exact: true }).selectOption('Swing-away');
  await page.getByLabel('Set to').fill('375');
  await page.keyboard.press('Tab');
  await page.getByLabel('Time').fill('12');
  await page.keyboard.press('Tab');
  await page.getByLabel('By, initials').fill('mb');
  await expect(page.getByLabel('Called')).toHaveValue('Dunlin Solid on crew tee at Swing-away');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText(/If it was pressed so, say that it lies outside the sheet/).first()).toBeVisible();
  await page.getByLabel('Set to').fill('298');
  await page.keyboard.press('Tab');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('complementary', { name: 'Detail' })).toContainText('298 °F');
  await page.goto('/orders/order-crew-tees');
  const { cards } = await (await page.request.get('/api/v1/orders/order-crew-tees/cards')).json();
  const at = cards.find(({ card }: { card: { of: { productId: string } } }) => card.of.productId === 'product-dunlin');
  await page.goto(`/orders/order-crew-tees/card?line=${at.lineId}&print=${at.printKey}`);
  const card = page.getByRole('article', { name: 'Card' });
  await expect(card).toContainText('298 °F');
  await page.getByRole('button', { name: /^Temperature/ }).click();
  await expect(page.getByRole('region', { name: 'Why this temperature' })).toContainText(/Tested good on crew tee on .* by MB/);
});

test('what measuring is worth is asked on the bench and told of each press', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Which press is worth measuring first?' }).click();
  await page.getByRole('link', { name: /^Measuring Cap press/ }).click();
  const worth = page.getByRole('region', { name: 'What measuring is worth' });
  await expect(worth.getByRole('listitem').first()).toContainText(/Saves about \d\.\d pieces from being spoiled/);
  await expect(worth).toContainText('8 pieces left');
  await page.getByRole('button', { name: /^Swing-away/ }).click();
  await expect(page.getByRole('region', { name: 'What measuring is worth' })).toContainText(
    /Nothing that is open on this press|Saves about/,
  );
});
