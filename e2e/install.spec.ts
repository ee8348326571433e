/** The app on a device of its own: what a browser wants to install it, and what it says while the server is away. */
import { expect, ownTest as test } from './shop';

test.use({ serviceWorkers: 'allow' });

test('it can be installed: manifest, icons of their size, and House says how', async ({ page }) => {
  await page.goto('/house');
  const href = (await page.locator('link[rel=manifest]').getAttribute('href')) ?? '';
  const manifest = await (await page.request.get(href)).json();
  expect(manifest).toMatchObject({ start_url: '/', display: 'standalone' });
  for (const { src, sizes } of manifest.icons) {
    const width = await page.evaluate(async (src: string) => {
      const image = new Image();
      image.src = src;
      await image.decode();
      return image.naturalWidth;
    }, src);
    if (sizes !== 'any') expect(`${width}x${width}`).toBe(sizes);
  }
  await expect(page.getByRole('region', { name: 'This device' })).toContainText(/Install|icon of its own/);
});

test('with the server away a page says what goes on, and comes by itself once it is back', async ({ page, shop }) => {
  await page.goto('/');
  await page.evaluate(() => navigator.serviceWorker.ready.then(({ active }) => active?.state));
  await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
  await shop.kill();
  await page.goto('/log');
  await expect(page.getByRole('heading', { name: 'The app’s server does not answer' })).toBeVisible();
  await expect(page.getByText('Do not close that tab.')).toBeVisible();
  await shop.start();
  await expect(page.getByRole('heading', { name: 'Log' })).toBeVisible();
  await expect(page.getByRole('link', { name: /open the record/ }).first()).toBeVisible();
});
