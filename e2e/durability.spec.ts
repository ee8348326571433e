/** A pressing that was acknowledged outlives the server's sudden end. */
import { randomUUID } from 'node:crypto';
import { faultRound, twoPages } from './browserFaults';
import { POINTS, pressThrough, startRun, wantPieces } from './faults';
import { expect, ownTest } from './shop';

const TO_INSPECT = ['next', 'closed', 'opened', 'next', 'closed', 'opened', 'next', 'peeled'] as const;

ownTest('kill -9 straight after each acknowledged pressing loses none of them', async ({ shop, request }) => {
  const started = await request.put('/api/v1/runs/run-power-cut', {
    data: { orderId: 'order-guide-tees', lineId: 'line-guide-l', operator: 'KC' },
  });
  expect(started.status()).toBe(200);
  const send = async (kind: string) => {
    const id = randomUUID();
    const reply = await request.put(`/api/v1/runs/run-power-cut/events/${id}`, { data: { id, at: Date.now(), kind } });
    expect(reply.status()).toBe(200);
    return id;
  };
  const acknowledged: string[] = [];
  for (let piece = 0; piece < 6; piece++) {
    for (const kind of TO_INSPECT) await send(kind);
    acknowledged.unshift(await send('kept'));
    await shop.kill();
    await shop.start();
    const log = await (await request.get('/api/v1/pressings?q=comet&orderId=order-guide-tees&limit=50')).json();
    expect(log.pressings.filter((p: { runId: string }) => p.runId === 'run-power-cut').map((p: { id: string }) => p.id)).toEqual(
      acknowledged,
    );
  }
  const run = await (await request.get('/api/v1/runs/run-power-cut')).json();
  expect(run.events).toHaveLength(6 * (TO_INSPECT.length + 1));
});

for (const point of POINTS)
  ownTest(`the server is ended ${point} an event is stored or answered: sent again, it stands once and in order`, async ({ shop }) => {
    await startRun(shop, `run-${point}`);
    expect(await pressThrough(shop, `run-${point}`, point, 3)).toEqual([]);
  });

ownTest(
  'a browser at the press while the server dies, the network is cut and the page is loaded anew: every step stands once',
  async ({ shop, context }) => {
    await startRun(shop, 'run-browser');
    let made = 1;
    for (const [round, point] of POINTS.entries()) {
      const entry = await faultRound(context, shop, 'run-browser', { point, round, made });
      expect(entry.wrong).toEqual([]);
      made = entry.made;
    }
  },
);

ownTest('two browsers press one run, now and then at once: the same end on both, and nothing pressed twice', async ({ shop, browser }) => {
  const contexts = [await browser.newContext(), await browser.newContext()] as const;
  const pages = [await contexts[0].newPage(), await contexts[1].newPage()] as const;
  // the turns of a pair of hands that often meet
  const turns = [0.1, 0.9, 0.5, 0.8, 0.3, 0.95, 0.6, 0.2, 0.75];
  let turn = 0;
  for (const n of [1, 2]) {
    await wantPieces(shop, n * 2);
    await startRun(shop, `run-two-${n}`);
    expect(await twoPages(pages, shop, `run-two-${n}`, () => turns[turn++ % turns.length] ?? 0.5)).toEqual([]);
  }
  for (const context of contexts) await context.close();
});
