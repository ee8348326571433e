/** What opens and unfolds, under axe: nothing serious. Pages as they stand: `walk.spec`. */

import { advance, cue, endClock } from './hands';
import { expect, test } from './shop';
import { serious } from './walk';

test('run, from load to the spoiled choice, and reasons unfolded', async ({ page }) => {
  await page.goto('/orders/order-guide-tees/card');
  await page.getByRole('button', { name: /^Temperature/ }).click();
  expect(await serious(page)).toEqual([]);
  await page.getByRole('button', { name: 'Start pressing' }).click();
  await page.getByRole('heading', { name: 'Count the transfers' }).waitFor();
  expect(await serious(page)).toEqual([]);
  await page.getByRole('button', { name: 'Press without the rest' }).click();
  await cue(page, /^Load/);
  expect(await serious(page)).toEqual([]);
  await advance(page, /^Load/);
  await advance(page, /^Close to pre-press/);
  await cue(page, /^(Pressing|Open now)/);
  expect(await serious(page)).toEqual([]);
  await endClock(page, /^Place/);
  await page.keyboard.press('x');
  await expect(page.getByText('is spoiled, because')).toBeVisible();
  expect(await serious(page)).toEqual([]);
});

test('by keys alone: tabs are walked by arrows, the set value goes to its ends, a list opens and is chosen from', async ({ page }) => {
  await page.goto('/presses?on=press-clamshell');
  const tab = (name: string) => page.getByRole('tab', { name });
  await tab('Surface').focus();
  await page.keyboard.press('ArrowRight');
  await expect(tab('Pressure')).toBeFocused();
  await expect(tab('Pressure')).toHaveAttribute('aria-selected', 'true');
  await expect(page.getByRole('tabpanel', { name: 'Pressure' })).toBeAttached();
  await page.keyboard.press('End');
  await expect(tab('Facts')).toHaveAttribute('aria-selected', 'true');
  await page.keyboard.press('ArrowRight');
  await expect(tab('Surface')).toHaveAttribute('aria-selected', 'true');
  // one stop for all tabs: the next Tab goes into the panel
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'Survey the upper platen' })).toBeFocused();

  await page.goto('/orders/order-guide-tees/card');
  const handle = page.getByRole('slider', { name: 'Set value' });
  await handle.focus();
  const valueNow = async () => Number(await handle.inputValue());
  const [least, most] = [Number(await handle.getAttribute('min')), Number(await handle.getAttribute('max'))];
  await page.keyboard.press('End');
  await expect.poll(valueNow).toBe(most);
  await page.keyboard.press('Home');
  await expect.poll(valueNow).toBe(least);

  await page.goto('/orders/order-guide-tees?line=new');
  const blank = page.getByRole('combobox', { name: 'Blank' });
  await blank.focus();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('canvas tote');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(blank).toHaveValue(/canvas tote/);
});
