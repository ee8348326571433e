/** A pressing that was acknowledged outlives the server's sudden end. */
import { randomUUID } from 'node:crypto';
import { POINTS, pressThrough, startRun } from './faults';
import { expect, test } from './shop';

const TO_INSPECT = ['next', 'closed', 'opened', 'next', 'closed', 'opened', 'next', 'peeled'] as const;

test('kill -9 straight after each acknowledged pressing loses none of them', async ({ shop, request }) => {
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
  test(`the server is ended ${point} an event is stored or answered: sent again, it stands once and in order`, async ({ shop }) => {
    test.setTimeout(180_000);
    await startRun(shop, `run-${point}`);
    expect(await pressThrough(shop, `run-${point}`, point, 3)).toEqual([]);
  });
