/** By mouse on a tablet: from the queue through a line, its card and a piece, with a second browser that sees it happen. */
import { start } from './hands';
import { expect, ownTest, test } from './shop';

test.use({ viewport: { width: 1024, height: 768 } });

ownTest(
  'a piece pressed by touch alone is seen on another browser’s rail, and undone there is none of it',
  async ({ page, browser, shop }) => {
    // no device tells of the heat: what is cued hangs on the hands alone
    await shop.kill();
    await shop.start({ TIDY_BEACON_DEVICES: '0' });
    const other = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await other.goto(shop.address);
    await page.goto('/');
    await page.getByRole('listitem').filter({ hasText: 'Crew hoodies' }).getByRole('link', { name: 'Open the card' }).click();
    await start(page);
    const cue = (words: RegExp) => page.getByRole('button', { name: words });
    const tap = async (words: RegExp, then: RegExp) => {
      await cue(words).waitFor();
      await page.waitForTimeout(650);
      await cue(words).click();
      await cue(then).waitFor();
    };
    await tap(/^Load/, /^Close to pre-press/);
    await expect(other.getByRole('link', { name: /Crew hoodies, L piece 1 Close to pre-press/ })).toBeVisible();
    await tap(/^Close to pre-press/, /^(Pressing|Open now)/);
    await expect(other.getByRole('link', { name: /Crew hoodies, L piece 1 (pressing|open now)/ })).toBeVisible();
    await expect(other.locator('aside').getByText(/316.°F closed/)).toBeVisible();
    await cue(/^Open now/).waitFor();
    await tap(/^Open now/, /^Place/);

    await page.getByRole('button', { name: /^Undo last step/ }).click();
    await cue(/^Open now/).waitFor();
    await page.getByRole('button', { name: /^Undo last step/ }).click();
    await cue(/^Close to pre-press/).waitFor();

    // keys on the rail are the rail's own, not the run's
    await page.getByRole('link', { name: /Crew hoodies, L piece 1/ }).focus();
    await page.keyboard.press('Space');
    await page.waitForTimeout(300);
    await expect(cue(/^Close to pre-press/)).toBeVisible();

    // a token keeps the focus when its piece goes on: else the next key would fall through to the run
    const token = page.getByRole('link', { name: /Crew hoodies, L piece 1/ });
    await token.focus();
    await page.waitForTimeout(650);
    await cue(/^Close to pre-press/).evaluate((button: HTMLElement) => button.dispatchEvent(new MouseEvent('click', { bubbles: true })));
    await expect(page.getByRole('link', { name: /Crew hoodies, L piece 1 (pressing|open now)/ })).toBeFocused();
    await page.getByRole('button', { name: /^Undo last step/ }).evaluate((button: HTMLElement) => button.click());
    await cue(/^Close to pre-press/).waitFor();
    await expect(page.getByRole('link', { name: /Crew hoodies, L piece 1 Close to pre-press/ })).toBeFocused();

    // the other device goes on with the same run
    await other.getByRole('link', { name: /Crew hoodies, L piece 1/ }).click();
    await other.getByRole('button', { name: /^Close to pre-press/ }).waitFor();
    await other.keyboard.press('x');
    await other.getByRole('button', { name: /fault in the blank/ }).click();
    await expect(cue(/^Load/)).toBeVisible();
    await expect(page.getByRole('status').filter({ hasText: 'left' })).toHaveText(/1 spoiled.*3 left/);
    await other.close();
  },
);

test('nothing is wider than the tablet', async ({ page }) => {
  for (const path of [
    '/',
    '/orders',
    '/orders/order-guide-tees?line=new',
    '/orders/order-members/card',
    '/orders/order-guide-tees/record',
    '/presses',
    '/shelf',
    '/heat-bench',
    '/heat-bench?order=order-guide-tees&line=line-guide-m&print=a',
    '/heat-bench?practice=1',
    '/log',
    '/house',
  ]) {
    await page.goto(path);
    await page.locator('aside').getByText('Old clamshell', { exact: true }).waitFor();
    await page.waitForTimeout(250);
    expect(await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth), path).toBe(0);
  }
});

test('a removed line comes back by the rail’s undo', async ({ page }) => {
  await page.goto('/orders/order-hoodies?line=line-hoodie-xl');
  const lines = page.getByRole('navigation', { name: 'Lines' }).getByRole('listitem');
  await expect(lines).toHaveCount(2);
  await page.getByRole('button', { name: 'Remove this line' }).click();
  await expect(lines).toHaveCount(1);
  await page.getByRole('link', { name: '4 Shelf' }).click();
  await page.getByRole('heading', { name: 'Shelf' }).waitFor();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await page.getByRole('link', { name: '1 Bench' }).click();
  await expect(page.getByText('4 crew hoodie L, 3 crew hoodie XL')).toBeVisible();
});
