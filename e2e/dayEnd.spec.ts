/** The end of the day by mouse: what still lies at a press is gone back to, presses are ticked off, a backup is taken. */
import { expect } from '@playwright/test';
import { advance, start } from './hands';
import { test } from './shop';

test('a piece left in the press is told and gone back to; the backup that was due is taken; what is late stands for tomorrow', async ({
  page,
}) => {
  await page.goto('/orders/order-guide-tees/card');
  await start(page);
  await advance(page, /^Load/);
  await page.goto('/');
  await page.getByRole('link', { name: 'End of the day' }).click();
  const point = (name: string) => page.getByRole('listitem', { name, exact: true });
  await expect(point('Pieces at the press')).toContainText('piece 1 on the press; 6 not begun');
  await expect(point('Pieces at the press').getByRole('img')).toHaveAccessibleName('to do');
  const presses = point('Presses off');
  await expect(presses).toContainText('Platen and base burn');
  for (const box of await presses.getByRole('checkbox').all()) await box.check();
  await expect(presses.getByRole('img')).toHaveAccessibleName('done');
  const backup = point('Backup');
  await expect(backup).toContainText(/None was made yet; \d+ pieces are on this computer alone/);
  const taken = page.waitForEvent('download');
  await backup.getByRole('link', { name: 'Make a backup' }).click();
  expect((await taken).suggestedFilename()).toMatch(/^tidy-beacon-.*\.beacon$/);
  // the sheet hears of it by itself once all of it is here
  await expect(backup).toContainText('The last was made');
  await expect(backup.getByRole('img')).toHaveAccessibleName('done');
  await point('Pieces at the press').getByRole('link', { name: 'Back to the press' }).click();
  await expect(page.locator('button[data-cue]')).toContainText(/pre-press|Place/i);
});
