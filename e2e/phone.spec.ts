/** The whole tool on a phone: every section is one touch away, the next act is under the thumb. */
import { expect, test } from './shop';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

test('sections stand at the foot, the next act over them, and an empty rail takes no room', async ({ page }) => {
  await page.goto('/orders/order-guide-tees/card?line=line-guide-m');
  const start = page.getByRole('button', { name: 'Start pressing' });
  await start.waitFor();
  const sections = page.getByRole('navigation', { name: 'Sections' });
  const [act, foot] = [await start.boundingBox(), await sections.boundingBox()];
  expect(Math.round((foot?.y ?? 0) + (foot?.height ?? 0))).toBe(844);
  // the act stands just over them
  expect((foot?.y ?? 0) - (act?.y ?? 0) - (act?.height ?? 0)).toBeLessThan(16);
  await expect(page.getByRole('complementary', { name: 'Rail' })).toBeHidden();
  for (const name of ['Bench', 'Orders', 'Presses', 'Shelf', 'Heat bench', 'Log', 'House']) {
    const box = await sections.getByRole('link', { name, exact: true }).boundingBox();
    expect(box?.height ?? 0).toBeGreaterThanOrEqual(44);
  }
  await sections.getByRole('link', { name: 'Log' }).tap();
  await expect(page.getByRole('heading', { name: 'Log' })).toBeVisible();
  // filters are folded, a piece is a block of its own
  await expect(page.getByLabel('Fabric')).toBeHidden();
  await page.getByRole('button', { name: 'Filters' }).tap();
  await page.getByLabel('Came out').selectOption('spoiled');
  await expect(page.getByRole('table').getByRole('row').nth(1)).not.toContainText('good');
  // what is under way is on the rail, over the sections
  await page.goto('/orders/order-guide-tees/card?line=line-guide-m');
  await start.tap();
  await page.getByRole('button', { name: 'Press without the rest' }).tap();
  await sections.getByRole('link', { name: 'Bench', exact: true }).tap();
  await expect(page.getByRole('complementary', { name: 'Rail' })).toContainText('Guide tees');
});

test('on the shelf the list comes first, and what is touched in it opens over it', async ({ page }) => {
  await page.goto('/shelf?kind=parcels');
  const detail = page.getByRole('complementary', { name: 'Detail' });
  await page.getByRole('button', { name: /^Dome patches/ }).waitFor();
  await expect(detail).toHaveCount(0);
  await page.getByRole('button', { name: /^Dome patches/ }).tap();
  await expect(detail).toContainText('tray by the cap press');
});
