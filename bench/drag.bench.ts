/** Dragging the art on the placement sheet in Chromium, its processor slowed to a quarter: how long frames take. Run by `npm run bench`. */
import { chromium } from '@playwright/test';
import { Shop } from '../e2e/shop';

const SLOWED = 4;
const STEPS = 90;

const shop = await Shop.open();
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  // the runner of this file names functions by a helper that a page does not have
  await page.addInitScript('globalThis.__name = (named) => named');
  for (const order of ['order-guide-tees', 'order-windbreakers']) {
    await page.goto(`${shop.address}/orders/${order}/place`);
    const box = await page.locator('[data-art]').boundingBox();
    if (!box) throw new Error('the art is nowhere');
    const wire = await page.context().newCDPSession(page);
    await wire.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    // what the page itself needs for one move, from the event to the painted frame, asked for frame by frame
    const frames = await page.evaluate(
      ({ fromX, fromY, steps }) =>
        new Promise<number[]>((done) => {
          const art = document.querySelector('[data-art]')?.closest('g');
          const times: number[] = [];
          let last = performance.now();
          let i = 0;
          const step = (now: number) => {
            if (i > 5) times.push(now - last);
            last = now;
            if (i++ >= steps) return done(times);
            const at = { bubbles: true, pointerId: 1, clientX: fromX + 20 * Math.sin(i / 6), clientY: fromY + i / 3 };
            art?.dispatchEvent(new PointerEvent('pointermove', at));
            requestAnimationFrame(step);
          };
          requestAnimationFrame(step);
        }),
      { fromX: x, fromY: y, steps: STEPS },
    );
    await page.mouse.up();
    await wire.send('Emulation.setCPUThrottlingRate', { rate: 1 });
    const sorted = [...frames].sort((a, b) => a - b);
    const at = (share: number) => (sorted[Math.floor(share * (sorted.length - 1))] ?? 0).toFixed(1);
    console.log(
      `drag, ${order}, processor slowed ${SLOWED}×: median frame ${at(0.5)} ms, 95th percentile ${at(0.95)} ms (33 wanted), longest ${at(1)} ms`,
    );
  }
} finally {
  await browser.close();
  await shop.close();
}
