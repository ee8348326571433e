/** Every page, in its main states, under axe: nothing serious. */

import type { Page } from '@playwright/test';
import axe from 'axe-core';
import { advance, cue, endClock } from './hands';
import { expect, test } from './shop';

async function look(page: Page) {
  await page.evaluate(axe.source);
  const found = await page.evaluate(() => (window as unknown as { axe: typeof axe }).axe.run(document, { resultTypes: ['violations'] }));
  return found.violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`);
}

const PAGES: [string, string, string][] = [
  ['bench', '/', 'orders on the bench'],
  ['orders', '/orders', 'New order'],
  ['lines', '/orders/order-guide-tees?line=line-guide-m', 'This line'],
  ['a new line', '/orders/order-guide-tees?line=new', 'A new line'],
  ['card, Clear', '/orders/order-guide-tees/card', 'By hand, in this order'],
  ['card, Care', '/orders/order-hoodies/card', 'By hand, in this order'],
  ['card, Hold', '/orders/order-members/card', 'Ways out'],
  ['place', '/orders/order-guide-tees/place', 'Print sizes for the run'],
  ['place, a zip in the way', '/orders/order-windbreakers/place', 'left chest'],
  ['nothing runs', '/orders/order-members/run', 'Nothing is being pressed'],
  ['record', '/orders/order-guide-tees/record', 'Guide tees'],
  ['presses', '/presses', 'Presses'],
  ['shelf', '/shelf', 'Shelf'],
  ['Heat bench from the shelf', '/heat-bench', 'Under the press'],
  ['Heat bench from a card', '/heat-bench?order=order-guide-tees&line=line-guide-m&print=a', 'Under the press'],
  ['practice', '/heat-bench?practice=1', 'Practice'],
  ['log', '/log', 'Log'],
  ['house', '/house', 'House'],
  ['no such page', '/attic', 'There is no such page'],
];

test('every page', async ({ page }) => {
  const found: Record<string, string[]> = {};
  for (const [name, path, heading] of PAGES) {
    await page.goto(path);
    await expect(page.getByRole('heading', { name: heading }).first()).toBeVisible();
    await page.locator('aside').getByText('Old clamshell', { exact: true }).waitFor();
    const violations = await look(page);
    if (violations.length > 0) found[name] = violations;
  }
  expect(found).toEqual({});
});

test('run, from load to the spoiled choice, and reasons unfolded', async ({ page }) => {
  await page.goto('/orders/order-guide-tees/card');
  await page.getByRole('button', { name: /^Temperature/ }).click();
  expect(await look(page)).toEqual([]);
  await page.getByRole('button', { name: 'Start pressing' }).click();
  await page.getByRole('heading', { name: 'Count the transfers' }).waitFor();
  expect(await look(page)).toEqual([]);
  await page.getByRole('button', { name: 'Press without the rest' }).click();
  await cue(page, /^Load/);
  expect(await look(page)).toEqual([]);
  await advance(page, /^Load/);
  await advance(page, /^Close to pre-press/);
  await cue(page, /^(Pressing|Open now)/);
  expect(await look(page)).toEqual([]);
  await endClock(page, /^Place/);
  await page.keyboard.press('x');
  await expect(page.getByText('is spoiled, because')).toBeVisible();
  expect(await look(page)).toEqual([]);
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
