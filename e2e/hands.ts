/** Hands at the press for journeys: they go by the cue that is seen, so that a slow machine changes nothing. */
import type { Page } from '@playwright/test';

const theCue = (page: Page, words: RegExp) => page.locator('button[data-cue]').filter({ hasText: words });
const seen = (page: Page, words: RegExp) => theCue(page, words).isVisible();

/** Advances by Space, once the hand is no slip of the last press. */
async function space(page: Page): Promise<void> {
  await page.waitForTimeout(650);
  await page.keyboard.press('Space');
}

/** Waits for a cue; a heat that is waited for on the way is passed over, and a press turned to another. */
export async function cue(page: Page, words: RegExp): Promise<void> {
  while (!(await seen(page, words))) {
    if (await seen(page, HEAT)) await page.keyboard.press((await seen(page, /^Turn to/)) ? 'Space' : 'o');
    await theCue(page, words)
      .first()
      .waitFor({ timeout: 700 })
      .catch(() => undefined);
  }
}

/** Cues about the press's heat. */
const HEAT = /^(Turn to|Press heats|Press cools)/;

/** Starts pressing from a card by a click, past the points of the set-up. */
export async function start(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Start pressing' }).click();
  await page.getByRole('button', { name: 'Press without the rest' }).click();
}

/** Waits for a cue, and advances from it. */
export async function advance(page: Page, from: RegExp): Promise<void> {
  await cue(page, from);
  await space(page);
}

/** Ends a running clock, early if it still runs, and comes to the next cue. */
export async function endClock(page: Page, next: RegExp): Promise<void> {
  while (!(await seen(page, next))) {
    if (await seen(page, /^(Open now|Cool enough|Turn to)/)) await space(page);
    else if (await seen(page, /^(Pressing|Cooling|Press heats|Press cools)/)) await page.keyboard.press('o');
    await page.waitForTimeout(100);
  }
}

interface Acts {
  /** What the cue asks is done. */
  cue: (page: Page) => Promise<void>;
  /** A clock is ended before its time. */
  early: (page: Page) => Promise<void>;
}
const byKeys: Acts = { cue: (page) => page.keyboard.press('Space'), early: (page) => page.keyboard.press('o') };
export const byTouch: Acts = {
  cue: (page) => page.locator('button[data-cue]').tap(),
  early: (page) => page.getByRole('button', { name: /^(Open early|Cool enough already|Close it all the same)/ }).tap(),
};

export interface Seen {
  /** What the cue asks, as `Load`, and for which piece, as `piece 2`. */
  verb: string;
  piece: string;
}

/**
 * Works on by the cue, to the end of the run at most: Space for what is asked, and clocks ended early.
 *
 * @param on what the hands do instead at a cue; null: as the cue says; `wait`: nothing yet; `stop`: no more
 * @param acts how they do it: by keys, or by touch
 */
export async function work(page: Page, on: (seen: Seen) => string | null | Promise<string | null>, acts: Acts = byKeys): Promise<void> {
  const button = page.locator('button[data-cue]');
  const look = () =>
    button.evaluate((b) => [b.getAttribute('data-cue') ?? '', b.textContent ?? '', b.querySelector('[data-piece]')?.textContent ?? '']);
  for (let i = 0; i < 400; i++) {
    await page.locator('button[data-cue], [data-done]').first().waitFor();
    if (await page.locator('[data-done]').isVisible()) return;
    const [state, words, piece] = await look();
    const verb = VERBS.find((verb) => words?.startsWith(verb)) ?? words ?? '';
    const key = await on({ verb, piece: piece ?? '' });
    if (key === 'stop') return;
    if (key === 'wait') await page.waitForTimeout(200);
    else if (key !== null) await page.keyboard.press(key);
    else if (state === 'running') await acts.early(page);
    else if (verb === 'Open now') await acts.cue(page);
    else {
      // a clock may have turned the cue to other work meanwhile: hands look before they act
      await page.waitForTimeout(650);
      const now = await look();
      if (VERBS.find((verb) => now[1]?.startsWith(verb)) === verb && now[2] === piece) await acts.cue(page);
    }
    await page.waitForTimeout(120);
  }
  throw new Error('the work came to no end');
}

/** Whether a press is to be left shut for its time, as hands that mean it do. */
export const patient = ({ verb }: Seen): 'wait' | null => (verb === 'Pressing' ? 'wait' : null);

const VERBS = [
  'Load',
  'Close to marry',
  'Close to pre-press',
  'Close to tack',
  'Close to finish',
  'Close',
  'Pressing',
  'Cooling',
  'Open now',
  'Cool enough',
  'Place',
  'Trim',
  'Rub it down',
  'Peel now',
  'Peeling',
  'Peel',
  'Turn to',
  'Press heats',
  'Press cools',
  'Read the heat',
  'Look it over',
  'Paused',
];
