/** The tour of the sample shop, as somebody takes it who does what it says. */
import { work } from './hands';
import { expect, test } from './shop';

test('the tour leads from the bench to a recorded piece, step by step as each is done', async ({ page }) => {
  test.setTimeout(300_000);
  await page.goto('/log');
  await page.getByRole('button', { name: 'Help' }).click();
  await page.getByRole('link', { name: /^Take the tour/ }).click();
  const tour = page.getByRole('region', { name: 'Tour' });
  await expect(tour).toContainText('1 of 7');
  await page.getByRole('link', { name: 'Open the card' }).first().click();
  await expect(tour).toContainText('2 of 7');
  await page.getByRole('button', { name: /^Temperature/ }).click();
  await expect(tour).toContainText('3 of 7');
  // it outlives a reload
  await page.reload();
  await expect(tour).toContainText('3 of 7');
  await page.getByRole('button', { name: 'Start pressing' }).click();
  await expect(tour).toContainText('4 of 7');
  await page.getByRole('button', { name: 'Press without the rest' }).click();
  await expect(tour).toContainText('5 of 7');
  await work(page, async () => ((await tour.getByText('6').count()) > 0 ? 'stop' : null));
  await expect(tour).toContainText('6 of 7');
  await page.getByRole('link', { name: '6 Log' }).click();
  await expect(tour).toContainText('7 of 7');
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(tour).toHaveCount(0);
});
