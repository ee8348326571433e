/** At the press: a run led by Space through a restart and a reload, a trial on scrap, sounds on time, a due press that takes over, a device without a server. */
import type { Page } from '@playwright/test';
import { advance, cue, patient, start, work } from './hands';
import { expect, ownTest, test } from './shop';

/** What the server has of the one run that is open. */
async function stored(page: Page): Promise<string[]> {
  const { runs } = await (await page.request.get('/api/v1/rail')).json();
  const { events } = await (await page.request.get(`/api/v1/runs/${runs[0].runId}`)).json();
  return events.map(({ kind }: { kind: string }) => kind);
}

interface Pressed {
  runId: string;
  timeS: number;
  closings: { closedAt: number; openedAt: number; plannedS: number }[];
}

const counts = (page: Page) => page.getByRole('status').filter({ hasText: 'left' });

ownTest(
  'six two-sheet toner tees step by step, by Space: one laid back, one spoiled, through a server that restarts and a reload',
  async ({ page, shop }) => {
    test.setTimeout(600_000);
    await page.goto('/orders/order-nebula/card');
    await start(page);
    await expect(page.getByRole('button', { name: /Step by step/ })).toBeVisible();
    const once = new Set<string>();
    const first = (what: string, when: boolean) => when && !once.has(what) && Boolean(once.add(what));
    const married: string[] = [];
    await work(page, async ({ verb, piece }) => {
      if (verb === 'Close to marry') married.push(piece);
      if (first('restart', verb === 'Trim' && piece === 'piece 2')) {
        await shop.kill();
        await page.waitForTimeout(650);
        await page.keyboard.press('Space');
        await expect(page.getByText('The app’s server does not answer.')).toBeVisible();
        await shop.start();
        await expect(page.getByText('The app’s server does not answer.')).toHaveCount(0);
        return 'Shift';
      }
      if (first('reload', verb === 'Place' && piece === 'piece 3')) {
        const before = await counts(page).textContent();
        await page.reload();
        await cue(page, /^Place/);
        expect(await counts(page).textContent()).toBe(before);
        return 'Shift';
      }
      if (first('laid back', (verb === 'Peel' || verb === 'Cooling') && piece === 'piece 2' && once.has('reload'))) return 'l';
      if (first('spoiled', verb === 'Look it over' && piece === 'piece 5')) {
        await page.keyboard.press('x');
        await expect(page.getByRole('heading', { name: /Piece 5 is spoiled, because/ })).toBeVisible();
        return '2';
      }
      return null;
    });
    await expect(page.getByRole('heading', { name: /All pressed: 5 good, 1 spoiled/ })).toBeVisible();
    expect([...new Set(married)]).toEqual(['piece 1', 'piece 2', 'piece 3', 'piece 4', 'piece 5', 'piece 6']);
    expect([...once].sort()).toEqual(['laid back', 'reload', 'restart', 'spoiled']);
    await expect(page.getByText('would not peel clean: piece 5')).toBeVisible();
    await expect(page.getByText('laid back and pressed again: piece 2')).toBeVisible();
    const log = await (await page.request.get('/api/v1/pressings?orderId=order-nebula&limit=50')).json();
    const mine = log.pressings.filter((pressing: { startedAt: number }) => pressing.startedAt > Date.now() - 900_000);
    expect(mine.map(({ piece, outcome }: { piece: number; outcome: string }) => [piece, outcome]).sort()).toEqual([
      [1, 'good'],
      [2, 'good'],
      [3, 'good'],
      [4, 'good'],
      [5, 'spoiled'],
      [6, 'good'],
    ]);
  },
);

test('while sheets are married the large figures are those of the marrying; before the press, the press’s own', async ({ page }) => {
  await page.goto('/orders/order-nebula/card');
  await start(page);
  await cue(page, /^Close to marry/);
  const figures = page.locator('[data-closing]');
  await expect(figures).toHaveAttribute('data-closing', 'marry');
  await expect(figures).toContainText(/30[67].*°F.*1:45.*marry.*hot peel/);
  const rail = page.getByRole('complementary', { name: 'Rail' });
  await expect(rail).toContainText(/30[67]\s*°F\s*in use/);
  await work(page, async () => ((await figures.getAttribute('data-closing')) === 'press' ? 'stop' : null));
  await expect(figures).toContainText(/28[45].*°F.*30.*s.*press.*cold peel/);
});

test('a raised film is tried on scrap, the best time is kept for the run, and after it by the house, in place of a trial', async ({
  page,
}) => {
  test.setTimeout(600_000);
  await page.goto('/orders/order-workshop/card');
  await start(page);
  const look = async (key: string) => {
    await cue(page, /^Try a scrap/);
    await page.keyboard.press('Space');
    await cue(page, /^Open now/);
    await page.keyboard.press('Space');
    await cue(page, /^How does it look/);
    await page.keyboard.press(key);
  };
  await look('1');
  await look('2');
  await look('3');
  const keep = page.getByRole('heading', { name: /^Keep \d+ s for this run\?/ });
  await expect(keep).toBeVisible();
  const best = (await keep.textContent())?.match(/\d+/)?.[0] ?? '';
  await page.keyboard.press('Space');
  await cue(page, /^Load/);
  await expect(page.getByText('not as carded')).toBeVisible();
  const { runs } = await (await page.request.get('/api/v1/rail')).json();
  /** Pieces that had the time they were set to; a busy machine may open one late, and that one then says nothing of the time. */
  const onTime = async () => {
    const log = await (await page.request.get('/api/v1/pressings?orderId=order-workshop&limit=20')).json();
    const own: Pressed[] = log.pressings.filter((pressing: Pressed) => pressing.runId === runs[0].runId);
    for (const pressing of own) expect(pressing.timeS).toBe(Number(best));
    return own.filter(({ closings: [first] }) => first && Math.abs((first.openedAt - first.closedAt) / 1000 - first.plannedS) < 2).length;
  };
  await work(page, async (seen) => (seen.verb === 'Load' && (await onTime()) > 0 ? 'stop' : patient(seen)));
  await page.getByRole('button', { name: 'Stop the run' }).click();
  await page.getByRole('button', { name: /^Save it for .* on / }).click();
  await expect(page.getByText('The house keeps it.')).toBeVisible();
  await page.goto('/orders/order-workshop/card');
  const time = page.getByRole('button', { name: new RegExp(`^Time: ${best} s`) });
  await time.click();
  const why = page.getByRole('region', { name: 'Why this time' });
  await expect(why).toContainText(/House setting for .* kept on .* after \d+ good and 0 spoiled/);
  await expect(why).toContainText('No trial');
});

/** Notes when every note of a sound is to begin, by the page's own clock. */
const HEAR = () => {
  const heard: { hertz: number; at: number }[] = [];
  Object.assign(window, { heard });
  const { start } = OscillatorNode.prototype;
  OscillatorNode.prototype.start = function started(when = 0) {
    heard.push({ hertz: this.frequency.value, at: performance.now() + (when - this.context.currentTime) * 1000 });
    return start.call(this, when);
  };
};

test('the sound for opening is set on the audio clock for the instant the time is up; a reload shows the same time left', async ({
  page,
}) => {
  await page.addInitScript(HEAR);
  await page.goto('/orders/order-guide-tees/card');
  await start(page);
  await cue(page, /^Load/);
  await page.waitForTimeout(650);
  await page.keyboard.press('Space');
  await cue(page, /^Close to pre-press/);
  await page.waitForTimeout(650);
  await page.keyboard.press('Space');
  await cue(page, /^Pressing/);
  const clocks = async () => (await (await page.request.get('/api/v1/rail')).json()).runs[0].clocks as { dueAt: number; timeS: number }[];
  // from the instant at which the bar that is seen runs out to that of the last sound for opening, ms
  const apart = (lasts: number) =>
    page.evaluate((lasts) => {
      const { heard } = window as unknown as { heard: { hertz: number; at: number }[] };
      const bar = document.querySelector('[data-bar]');
      const share = bar ? new DOMMatrix(getComputedStyle(bar).transform).a : 0;
      const runsOut = Number(document.timeline.currentTime ?? 0) + share * lasts;
      return Math.abs((heard.findLast(({ hertz }) => hertz === 660)?.at ?? 0) - runsOut);
    }, lasts);
  const late: number[] = [];
  for (let closing = 1; closing <= 3; closing++) {
    if (closing > 1) {
      await page.keyboard.press('u');
      await advance(page, /^Close to pre-press/);
      await cue(page, /^Pressing/);
    }
    await expect.poll(async () => (await clocks()).length).toBe(1);
    // the server's answer is in, and the sound set for good
    await page.waitForTimeout(500);
    late.push(await apart(((await clocks())[0]?.timeS ?? 0) * 1000));
  }
  // the one in the middle: a hand that was held up while it measured says nothing of the sound
  expect(late.sort((a, b) => a - b)[1]).toBeLessThan(50);
  const [{ dueAt: due, timeS } = { dueAt: 0, timeS: 0 }] = await clocks();
  const lasts = timeS * 1000;

  await page.reload();
  await page.locator('[data-bar]').waitFor();
  const off = () =>
    page.evaluate(
      ([due, lasts]) => {
        const bar = document.querySelector('[data-bar]');
        const share = bar ? new DOMMatrix(getComputedStyle(bar).transform).a : 0;
        const { turned = 0 } = window as { turned?: number };
        // a bar is where it was in the frame that is seen, however slow the frames of this machine are
        const frameAgo = performance.now() - Number(document.timeline.currentTime ?? 0);
        return Math.abs(share * lasts - Math.max(0, due - (Date.now() - turned - frameAgo)));
      },
      [due, lasts] as const,
    );
  await expect.poll(off).toBeLessThan(100);
  // the wall clock is set back an hour: nothing moves
  await page.evaluate(TURN, -3_600_000);
  await page.waitForTimeout(600);
  await expect.poll(off).toBeLessThan(100);
});

/** The wall clock of the page runs on from here as if it had been turned by so much, ms. */
const TURN = (ms: number) => {
  const { now } = Date;
  Date.now = () => now() + ms;
  Object.assign(window, { turned: ms });
};

test('a laptop that slept ten minutes away from the server wakes with the press due, and the server’s word puts it right', async ({
  page,
}) => {
  // a marrying lasts long enough for the slowest of machines
  await page.goto('/orders/order-nebula/card');
  await start(page);
  await advance(page, /^Close to marry/);
  await cue(page, /^Pressing/);
  // no answer is on its way any more
  await expect.poll(async () => (await (await page.request.get('/api/v1/rail')).json()).runs[0].clocks.length).toBe(1);
  await page.waitForTimeout(500);
  await page.context().setOffline(true);
  await page.evaluate(TURN, 600_000);
  await cue(page, /^Open now/);
  // here it was only the wall clock that was wrong: once the server is heard, the seconds that are left stand again
  await page.context().setOffline(false);
  await cue(page, /^Pressing/);
});

test('a press whose time is up takes over another page; a key leads to it, and it opens there', async ({ page }) => {
  await page.goto('/orders/order-guide-tees/card');
  await start(page);
  for (const words of [/^Load/, /^Close to pre-press/]) {
    await cue(page, words);
    await page.waitForTimeout(650);
    await page.keyboard.press('Space');
  }
  await cue(page, /^Pressing/);
  await page.getByRole('link', { name: '7 House' }).click();
  await page.getByRole('heading', { name: 'House' }).first().waitFor();
  const operators = page.getByLabel('Who presses here, initials');
  await operators.focus();
  const due = page.getByRole('alertdialog', { name: /Open the press now/ });
  await expect(due.getByRole('link', { name: /Go to it/ })).toBeFocused();
  // keys stay in it however often one goes on, and come back to where they were
  for (const key of ['Tab', 'Tab', 'Tab', 'Shift+Tab', 'Shift+Tab', 'Shift+Tab']) {
    await page.keyboard.press(key);
    await expect(due.locator(':focus')).toHaveCount(1);
  }
  await page.keyboard.press('Escape');
  await expect(due).toHaveCount(0);
  await expect(operators).toBeFocused();
  await page.getByRole('link', { name: /piece 1 open now/ }).click();
  await cue(page, /^Open now/);
  await page.waitForTimeout(650);
  await page.keyboard.press('Space');
  await cue(page, /^Place/);
});

ownTest('with the server away the run goes on, outlives a closed tab, and comes back complete', async ({ page, shop, context }) => {
  await page.goto('/orders/order-guide-tees/card');
  await start(page);
  await cue(page, /^Load/);
  const { runs } = await (await page.request.get('/api/v1/rail')).json();
  await shop.kill();
  for (const words of [/^Load/, /^Close to pre-press/]) {
    await cue(page, words);
    await page.waitForTimeout(650);
    await page.keyboard.press('Space');
  }
  await page.keyboard.press('n');
  await page.getByLabel(/A note about piece 1/).fill('a thread on the hem');
  await page.keyboard.press('Enter');
  await page.keyboard.press('o');
  await cue(page, /^Place/);
  await page.waitForTimeout(300);
  await page.close();
  await shop.start();
  const again = await context.newPage();
  await again.goto(shop.address);
  const events = async () => (await (await again.request.get(`${shop.address}/api/v1/runs/${runs[0].runId}`)).json()).events;
  await expect
    // a press that is not at its heat is passed over by these hands
    .poll(async () => (await events()).flatMap(({ kind }: { kind: string }) => (kind === 'heat passed over' ? [] : kind)).join(', '))
    .toBe('checked, next, closed, noted, opened');
});

test('keys mashed and Space held press one step; a piece is never spoiled by one slip; odd settings are asked about', async ({ page }) => {
  await page.goto('/orders/order-guide-tees/card');
  await start(page);
  await cue(page, /^Load/);
  await page.waitForTimeout(650);
  for (let i = 0; i < 8; i++) await page.keyboard.press('Space');
  await cue(page, /^Close to pre-press/);
  await page.keyboard.press('x');
  await page.keyboard.press('Space');
  await page.keyboard.press('Escape');
  await cue(page, /^Close to pre-press/);
  await expect(counts(page)).toHaveText(/0 spoiled/);
  await page.keyboard.press('t');
  await expect(page.getByLabel(/Seconds of the pre-press/)).toBeVisible();
  await page.getByRole('button', { name: 'full press' }).click();
  await page.getByLabel(/Seconds of the full press/).fill('ninety');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('Time: “ninety”');
  await page.getByLabel(/Seconds of the full press/).fill('90');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('1:30 is far from the carded 9 s');
  await page.getByLabel(/Seconds of the full press/).fill('10');
  await page.keyboard.press('Enter');
  await expect(page.getByText('not as carded')).toBeVisible();
  await page.keyboard.press('u');
  await expect(page.getByText('not as carded')).toHaveCount(0);
});

/** A large picture as a camera would write it, with where it was taken. */
const SHOT = async (): Promise<number[]> => {
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [3000, 2000];
  canvas.getContext('2d')?.fillRect(200, 200, 900, 900);
  const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg'));
  const plain = [...new Uint8Array((await blob?.arrayBuffer()) ?? new ArrayBuffer(0))];
  const where = [...'Exif..GPS 48.1 N 11.5 E'].map((letter) => letter.charCodeAt(0));
  return [...plain.slice(0, 2), 0xff, 0xe1, 0, where.length + 2, ...where, ...plain.slice(2)];
};

test('a photo of a piece is on its record, small and without its place; what is no picture is said', async ({ page }) => {
  const shot = { name: 'shot.jpg', mimeType: 'image/jpeg', buffer: Buffer.from(await page.evaluate(SHOT)) };
  // listened for from the start: a browser that was only just told to would open a chooser of its own
  page.on('filechooser', (chooser) => void chooser.setFiles(shot));
  await page.goto('/orders/order-guide-tees/card');
  await start(page);
  await cue(page, /^Load/);
  await page.keyboard.press('c');
  await expect.poll(() => stored(page)).toContain('photographed');
  await page.getByLabel('Photo of the piece').setInputFiles({ name: 'x.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture') });
  await expect(page.getByText('This file is no picture')).toBeVisible();
  await work(page, async () => ((await counts(page).textContent())?.includes('1 good') ? 'stop' : null));
  const log = await (await page.request.get('/api/v1/pressings?orderId=order-guide-tees&limit=1')).json();
  const { id, photos } = log.pressings[0];
  expect(photos).toHaveLength(1);
  const kept = await (await page.request.get(`/api/v1/photos/${photos[0]}`)).body();
  expect(kept.includes('GPS')).toBe(false);
  await page.goto(`/log/${id}`);
  const picture = page.getByAltText('1 of piece 1');
  await expect.poll(() => picture.evaluate((img: HTMLImageElement) => [img.naturalWidth, img.naturalHeight])).toEqual([1280, 853]);
});

test('keys are changed at the press, kept by the device, and put back', async ({ page }) => {
  await page.goto('/orders/order-guide-tees/card');
  await start(page);
  await cue(page, /^Load/);
  await page.keyboard.press('k');
  await page.getByRole('button', { name: 'pause and go on' }).click();
  await page.keyboard.press('v');
  await page.keyboard.press('Escape');
  await page.reload();
  await cue(page, /^Load/);
  await page.keyboard.press('p');
  await expect(page.locator('button[data-cue]')).toContainText('Load');
  await page.keyboard.press('v');
  await cue(page, /^Paused/);
  await page.keyboard.press('v');
  await cue(page, /^Load/);
  await page.getByRole('button', { name: 'Keys K' }).click();
  await page.getByRole('button', { name: 'The usual letters' }).click();
  await page.keyboard.press('Escape');
  await page.keyboard.press('p');
  await cue(page, /^Paused/);
});

/** Puts a step of a run that nobody knows into the browser's own store. */
const STRAY = () =>
  new Promise<void>((done, fail) => {
    const opening = indexedDB.open('tidy-beacon');
    opening.onerror = () => fail(opening.error);
    opening.onsuccess = () => {
      const put = opening.result.transaction('outbox', 'readwrite');
      const event = { id: crypto.randomUUID(), at: Date.now(), kind: 'next' };
      put.objectStore('outbox').add({ runId: 'run-of-another-shop', event });
      put.oncomplete = () => {
        opening.result.close();
        done();
      };
    };
  });

test('a kept step that cannot be taken is told on whatever page is open, until it is seen', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('heading', { name: 'Bench' }).first().waitFor();
  await page.evaluate(STRAY);
  await page.reload();
  const told = page.getByRole('alert').filter({ hasText: 'A step kept in this browser was not taken' });
  await expect(told).toBeVisible();
  await told.getByRole('button', { name: 'Seen' }).click();
  await expect(told).toHaveCount(0);
  await page.reload();
  await page.getByRole('heading', { name: 'Bench' }).first().waitFor();
  await page.waitForTimeout(800);
  await expect(told).toHaveCount(0);
});

test('a press of Space just as a clock turns the cue to other work does nothing; a moment later it does', async ({ page }) => {
  await page.goto('/orders/order-guide-tees/card?line=line-guide-m');
  await start(page);
  await work(page, ({ verb, piece }) => (verb === 'Load' && piece.includes('2') ? 'stop' : null));
  const button = page.locator('button[data-cue]');
  // hands that meant to load the second piece, at the very moment at which the first is warm
  const cued = await button.evaluate(
    (entry) =>
      new Promise<string>((seen) => {
        // on a slow machine it may be there already, and there is nothing to be seen
        if (entry.textContent?.startsWith('Peel')) return seen('Peel');
        new MutationObserver((_, watch) => {
          const is = document.querySelector('button[data-cue]')?.textContent ?? '';
          if (!is.startsWith('Peel')) return;
          watch.disconnect();
          document.body.dispatchEvent(new KeyboardEvent('keydown', { key: ' ', code: 'Space', bubbles: true }));
          setTimeout(() => seen(document.querySelector('button[data-cue]')?.textContent ?? ''), 300);
        }).observe(entry.ownerDocument.body, { subtree: true, childList: true, characterData: true });
      }),
  );
  expect(cued).toMatch(/^Peel/);
  await advance(page, /^Peel/);
  await cue(page, /^Look it over|^Load/);
});
