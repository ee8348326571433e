/** Hands at the press for journeys: they go by the cue that is seen, so that a slow machine changes nothing. */
import type { Page } from '@playwright/test';

const theCue = (page: Page, words: RegExp) => page.locator('button[data-cue]').filter({ hasText: words });
const seen = (page: Page, words: RegExp) => theCue(page, words).isVisible();

/** Advances by Space, once the hand is no slip of the last press. */
async function space(page: Page): Promise<void> {
  await page.waitForTimeout(650);
  await page.keyboard.press('Space');
}

export const cue = (page: Page, words: RegExp): Promise<void> => theCue(page, words).waitFor();

/** Waits for a cue, and advances from it. */
export async function advance(page: Page, from: RegExp): Promise<void> {
  await cue(page, from);
  await space(page);
}

/** Ends a running clock, early if it still runs, and comes to the next cue. */
export async function endClock(page: Page, next: RegExp): Promise<void> {
  while (!(await seen(page, next))) {
    if (await seen(page, /^(Open now|Cool enough)/)) await space(page);
    else if (await seen(page, /^(Pressing|Cooling)/)) await page.keyboard.press('o');
    await page.waitForTimeout(100);
  }
}
