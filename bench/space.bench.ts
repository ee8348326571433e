/** From a press of Space to the painted next cue on the run's page in Chromium, its processor slowed to a quarter. */
import { chromium } from '@playwright/test';
import { startRun } from '../e2e/faults';
import { Shop } from '../e2e/shop';

const SLOWED = 4;
const STEPS = 30;

const shop = await Shop.open();
const browser = await chromium.launch({ executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args: ['--no-sandbox'] });
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  // the runner of this file names functions by a helper that a page does not have
  await page.addInitScript('globalThis.__name = (named) => named');
  await startRun(shop, 'run-space');
  await page.goto(`${shop.address}/orders/order-crew-tees/run?line=line-crew-m&run=run-space`);
  await page.locator('button[data-cue=due]').waitFor();
  const wire = await page.context().newCDPSession(page);
  await wire.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
  const times: number[] = [];
  for (let i = 0; i < STEPS; i++) {
    await page.waitForTimeout(700);
    const running = (await page.locator('button[data-cue]').getAttribute('data-cue')) === 'running';
    times.push(
      await page.evaluate(
        (key) =>
          new Promise<number>((done) => {
            const began = performance.now();
            document.body.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
            // the frame after the one the change was drawn in has begun: it is painted
            requestAnimationFrame(() => {
              const painted = new MessageChannel();
              painted.port1.onmessage = () => done(performance.now() - began);
              painted.port2.postMessage(null);
            });
          }),
        running ? 'o' : ' ',
      ),
    );
  }
  const sorted = times.sort((a, b) => a - b);
  const at = (share: number) => (sorted[Math.floor(share * (sorted.length - 1))] ?? 0).toFixed(0);
  console.log(`Space to the painted cue, processor slowed ${SLOWED}×: median ${at(0.5)} ms, 95th percentile ${at(0.95)} ms (50 wanted)`);
} finally {
  await browser.close();
  await shop.close();
}
