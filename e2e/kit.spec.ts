/** A kit: one list of people makes the lines, one person's pieces are pressed one after the other, and what is missing is told. */
import { expect } from '@playwright/test';
import { cue, work } from './hands';
import { test } from './shop';

interface Order {
  lines: { id: string; count: number; roster: object[] }[];
}

test('a list of four makes the lines of two garments; a number two share is asked about; one person is pressed whole', async ({ page }) => {
  const get = async (id: string) => (await (await page.request.get(`/api/v1/orders/${id}`)).json()).order as Order;
  const [vests, tees] = [await get('order-vests'), await get('order-guide-tees')];
  const lines = [
    { ...vests.lines[0], id: 'kit-vest', count: 1, roster: [] },
    { ...tees.lines[0], id: 'kit-tee', count: 1, roster: [] },
  ];
  const order = { ...vests, id: 'order-kit', name: 'Night-watch kits', lines };
  expect((await page.request.put('/api/v1/orders/order-kit', { data: order })).ok()).toBe(true);
  await page.goto('/orders/order-kit');
  await page.getByRole('link', { name: '+ lines from a list of people' }).click();
  const list = page.getByRole('textbox', { name: /^One line a person/ });
  await list.fill('7, Ines, M, S\n14, Ada, M, 4XL\n14, Jory, L, -');
  await list.press('Tab');
  await expect(page.getByRole('alert')).toContainText('Line 2: 4XL is no size of guide tee');
  await list.fill('7, Ines, M, S\n14, Ada, M, M\n14, Jory, L, -');
  await list.press('Tab');
  await expect(page.getByRole('button', { name: 'Make 4 lines' })).toBeDisabled();
  await page.getByRole('checkbox', { name: '14 is on lines 2 and 3. They share it.' }).check();
  await expect(page.getByRole('list', { name: 'Lines it makes' }).getByRole('listitem')).toHaveText([
    /^2 telescope-crew vest M 7 Ines, 14 Ada/,
    /^1 telescope-crew vest L 14 Jory/,
    /^1 guide tee S 7 Ines/,
    /^1 guide tee M 14 Ada/,
  ]);
  await page.getByRole('button', { name: 'Make 4 lines' }).click();
  // what to lay out for it all, on a page of its own
  await page.goto('/orders/order-kit?line=pick');
  const pick = page.getByRole('region', { name: 'Pick list' });
  await expect(pick.getByRole('list', { name: 'Blanks' }).getByRole('listitem')).toHaveText([
    /^2telescope-crew vest M/,
    /^1telescope-crew vest L/,
    /^1guide tee S/,
    /^1guide tee M/,
  ]);
  await expect(pick.getByRole('list', { name: 'Transfers' })).toContainText('comet over hill');
  await page.goto('/orders/order-kit/record');
  // who is missing what, found by number
  const people = page.getByRole('region', { name: 'By person' });
  await expect(people.getByRole('heading')).toHaveText('By person: 0 of 3 complete');
  await people.getByLabel('After a run comes').selectOption('the same person');
  await people.getByLabel('Number or name').fill('14');
  await expect(people.getByRole('row').filter({ hasText: '14' })).toHaveCount(2);
  const ada = people.getByRole('row').filter({ hasText: 'Ada' });
  await expect(ada.getByRole('img', { name: 'missing' })).toHaveCount(2);
  await ada.getByRole('button', { name: 'Press 2 missing' }).click();
  await page.getByRole('button', { name: 'Press without the rest' }).click();
  await cue(page, /^(Load|Place|Close)/);
  await expect(page.locator('[data-piece]')).toContainText('14 Ada');
  await work(page, () => null);
  await expect(page.getByRole('heading', { name: /All pressed: 1 good/ })).toBeVisible();
  await expect(page.getByRole('heading', { name: /^Next for 14 Ada: 1 × guide tee M/ })).toBeVisible();
  await page.waitForTimeout(1600);
  await page.getByRole('button', { name: /^Go on with it/ }).click();
  await page.getByRole('button', { name: 'Press without the rest' }).click();
  await work(page, () => null);
  await expect(page.getByRole('heading', { name: /^Next for 14 Jory|^Next for 7 Ines/ })).toBeVisible();
  await page.getByRole('link', { name: 'See the record' }).click();
  await expect(people.getByRole('heading')).toHaveText('By person: 1 of 3 complete');
  await expect(people.getByRole('row').filter({ hasText: 'Ada' })).toContainText('nothing');
});
