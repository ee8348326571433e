/** From a press of Space to the painted next cue on the run's page in Chromium, its processor slowed to a quarter: as a run begins, and 400 steps into it. */
import { randomUUID } from 'node:crypto';
import { type Browser, chromium } from '@playwright/test';
import { Shop } from '../e2e/shop';
import { cooling, cueOf, factOf, planOf, type RunEvent, replay } from '../src/core/run';

const SLOWED = 4;
const STEPS = 30;
const ORDER = '/api/v1/orders/order-crew-tees';

const send = async (address: string, method: string, body: unknown, ifMatch?: number) => {
  const headers = { 'content-type': 'application/json', ...(ifMatch !== undefined && { 'if-match': `"${ifMatch}"` }) };
  const reply = await fetch(address, { method, headers, body: JSON.stringify(body) });
  if (!reply.ok) throw new Error(`${address}: ${reply.status} ${await reply.text()}`);
  return reply.json();
};

/** Starts a run of 100 pieces and goes by its cues for so many steps. */
async function runAfter(shop: Shop, steps: number): Promise<string> {
  const { order, version } = await (await fetch(`${shop.address}${ORDER}`)).json();
  const lines = order.lines.map((line: object) => ({ ...line, count: 100 }));
  await send(`${shop.address}${ORDER}`, 'PUT', { ...order, lines }, version);
  const id = `run-space-${steps}`;
  const at = `${shop.address}/api/v1/runs/${id}`;
  const { run, card, now } = await send(at, 'PUT', { orderId: 'order-crew-tees', lineId: 'line-crew-m', operator: '' });
  const plan = planOf(run, card);
  const events: RunEvent[] = [{ id: randomUUID(), at: now, kind: 'checked', check: 'rest' }];
  while (events.length < steps) {
    const state = replay(plan, run.startedAt, events);
    // no time passes here: what cools beside the press is turned to once two pieces lie there
    const [first, , third] = cooling(plan, state);
    const cue = cueOf(plan, state, now, third && first ? first.lot.first : null);
    const kind = cue.act ?? cue.early;
    if (!kind) throw new Error(`no way on from ${cue.verb}`);
    events.push({ ...factOf(cue, kind), id: randomUUID(), at: now } as RunEvent);
  }
  for (const event of events) await send(`${at}/events/${event.id}`, 'PUT', event);
  return id;
}

async function measure(browser: Browser, shop: Shop, runId: string): Promise<number[]> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  // the runner of this file names functions by a helper that a page does not have
  await page.addInitScript('globalThis.__name = (named) => named');
  await page.goto(`${shop.address}/orders/order-crew-tees/run?line=line-crew-m&run=${runId}`);
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
  await page.close();
  return times.sort((a, b) => a - b);
}

const browser = await chromium.launch({ executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args: ['--no-sandbox'] });
try {
  for (const steps of [1, 400]) {
    const shop = await Shop.open();
    const sorted = await measure(browser, shop, await runAfter(shop, steps)).finally(() => shop.close());
    const at = (share: number) => (sorted[Math.floor(share * (sorted.length - 1))] ?? 0).toFixed(0);
    const when = steps === 1 ? 'as a run begins' : `${steps} steps into it`;
    console.log(
      `Space to the painted cue, processor slowed ${SLOWED}×, ${when}: median ${at(0.5)} ms, 95th percentile ${at(0.95)} ms (50 wanted)`,
    );
  }
} finally {
  await browser.close();
}
