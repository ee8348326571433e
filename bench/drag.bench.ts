/**
 * Dragging the art on the placement sheet in Chromium, its processor slowed to a quarter: how long one frame takes.
 * The browser waits for no screen, so a frame counts as long as it took and not up to the next refresh.
 */
import { chromium, type Page } from '@playwright/test';
import { Shop } from '../e2e/shop';

const SLOWED = 4;
const STEPS = 120;
const DRAGS = 3;
/** The first frames, in which the code is still being compiled. */
const SETTLING = 10;

const shop = await Shop.open();
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-frame-rate-limit', '--disable-gpu-vsync'],
});
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  // the runner of this file names functions by a helper that a page does not have
  await page.addInitScript('globalThis.__name = (named) => named');
  for (const order of ['order-guide-tees', 'order-windbreakers']) {
    await page.goto(`${shop.address}/orders/${order}/place`);
    await alive(page);
    const times: number[] = [];
    for (let i = 0; i < DRAGS; i++) times.push(...(await dragged(page)));
    const frames = times.sort((a, b) => a - b);
    const at = (share: number) => (frames[Math.floor(share * (frames.length - 1))] ?? 0).toFixed(1);
    console.log(
      `drag, ${order}, processor slowed ${SLOWED}×: median frame ${at(0.5)} ms, 95th percentile ${at(0.95)} ms (33 wanted), longest ${at(1)} ms`,
    );
  }
} finally {
  await browser.close();
  await shop.close();
}

/** Waits until the sheet answers to a key, and the key is taken back. */
async function alive(page: Page) {
  const art = page.locator('[data-art]');
  const where = async () => (await art.boundingBox())?.y;
  const before = await where();
  for (let tries = 0; (await where()) === before; tries++) {
    if (tries > 50) throw new Error('the art takes no key');
    await art.press('ArrowDown');
  }
  await page.getByRole('button', { name: /^Undo/ }).click();
  while ((await where()) !== before) await page.waitForTimeout(50);
}

/** Times of the frames of one drag, each asked for by the frame before, ms; an error where the art did not follow. */
async function dragged(page: Page): Promise<number[]> {
  const box = await page.locator('[data-art]').boundingBox();
  if (!box) throw new Error('the art is nowhere');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  const wire = await page.context().newCDPSession(page);
  await wire.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
  await page.mouse.move(x, y);
  await page.mouse.down();
  const { frames, places } = await page.evaluate(
    ({ x, y, steps }) =>
      new Promise<{ frames: number[]; places: number }>((done) => {
        const art = document.querySelector<HTMLElement>('[data-art]');
        const frames: number[] = [];
        const places = new Set<string | null | undefined>();
        let last = performance.now();
        const step = (now: number) => {
          frames.push(now - last);
          places.add(art?.style.transform);
          last = now;
          const i = frames.length;
          if (i > steps) return done({ frames, places: places.size });
          const at = { bubbles: true, pointerId: 1, clientX: x + 20 * Math.sin(i / 6), clientY: y + i / 4 };
          art?.dispatchEvent(new PointerEvent('pointermove', at));
          requestAnimationFrame(step);
        };
        requestAnimationFrame(step);
      }),
    { x, y, steps: STEPS },
  );
  await page.mouse.up();
  // kept before the next begins
  await page.locator('[data-held=false]').waitFor();
  await wire.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  await wire.detach();
  if (places < 0.9 * STEPS) throw new Error(`the art followed in ${places} of ${STEPS} frames`);
  return frames.slice(SETTLING);
}
