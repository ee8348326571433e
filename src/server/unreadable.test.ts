/** A stored document that cannot be read is told, and takes none of its neighbours with it. */
import { describe, expect, it } from 'vitest';
import { ownShop, put, send } from '../../test/api';
import { impossibleHeating } from '../../test/hard';
import type { RunEvent } from '../core/run';
import * as benchRoute from '../pages/api/v1/bench';
import * as orderRoute from '../pages/api/v1/orders/[id]/index';
import * as recordsRoute from '../pages/api/v1/presses/[id]/records';
import * as pressesRoute from '../pages/api/v1/presses/index';
import * as logRoute from '../pages/api/v1/pressings/index';
import * as railRoute from '../pages/api/v1/rail/index';
import * as runRoute from '../pages/api/v1/runs/[id]/index';
import * as shelfRoute from '../pages/api/v1/shelf/index';
import * as productRoute from '../pages/api/v1/shelf/products/[id]';
import { shop } from './shop';
import { startRun, takeEvent } from './stores/runs';
import { shopJson } from './stores/shopExport';

ownShop();

/** Writes past the app, as a fault of an older version or of the disk would; write-once tables are opened for it. */
function spoil(sql: string, ...values: string[]): void {
  const { sqlite } = shop();
  for (const table of ['pressings', 'run_events', 'cards', 'press_records']) sqlite.exec(`DROP TRIGGER IF EXISTS ${table}_refuse_update`);
  sqlite.prepare(sql).run(...values);
}
const get = async (route: { GET: Parameters<typeof send>[0] }, address: string, params = {}) => send(route.GET, address, params);

describe('a list', () => {
  it.each([
    [
      'bench',
      benchRoute,
      '/bench',
      "UPDATE orders SET doc = json_set(doc, '$.lines', 'none'), version = 9 WHERE id = 'order-guide-tees'",
      'orders',
    ],
    [
      'bench, not even JSON',
      benchRoute,
      '/bench',
      "UPDATE orders SET doc = '{broken', version = 9 WHERE id = 'order-guide-tees'",
      'orders',
    ],
    [
      'shelf',
      shelfRoute,
      '/shelf',
      "UPDATE products SET doc = json_set(doc, '$.familyId', 'moss'), version = 9 WHERE id = 'product-tern'",
      'products',
    ],
    [
      'presses',
      pressesRoute,
      '/presses',
      "UPDATE presses SET doc = json_set(doc, '$.set', 5), version = 9 WHERE id = 'press-cap'",
      'presses',
    ],
    ['log', logRoute, '/pressings', "UPDATE pressings SET doc = json_set(doc, '$.setC', 'hot') WHERE seq = 50", 'pressings'],
  ] as const)('%s leaves out what cannot be read, and tells it', async (_, route, address, sql, section) => {
    const before = (await get(route, address)).body[section].length;
    spoil(sql);
    const { status, body } = await get(route, address);
    expect(status).toBe(200);
    expect(body.unreadable).toHaveLength(1);
    expect(body.unreadable[0]).toMatchObject({ why: expect.stringMatching(/\w/), id: expect.stringMatching(/\w/) });
    // the log tells a page less
    expect(body[section].length).toBeGreaterThanOrEqual(before - 1);
  });
  it('the rail leaves out a run whose steps do not add up, and the run itself says so', async () => {
    const { db } = shop();
    startRun(db, 'run-broken', { orderId: 'order-crew-tees', lineId: 'line-crew-m', operator: 'QA' }, Date.now());
    const event = { id: crypto.randomUUID(), at: Date.now(), kind: 'next' } as RunEvent;
    takeEvent(db, 'run-broken', event, Date.now());
    spoil("UPDATE run_events SET doc = json_set(doc, '$.kind', 'opened') WHERE id = ?", event.id);
    // a server that starts anew has not remembered it sound
    const path = shop().path;
    const { closeShop } = await import('./shop');
    closeShop();
    expect(shop().path).toBe(path);
    const rail = await get(railRoute, '/rail');
    expect(rail.status).toBe(200);
    expect(rail.body.unreadable).toMatchObject([{ what: 'run', id: 'run-broken', why: expect.stringMatching(/cannot have happened/) }]);
    expect(await get(runRoute, '/runs/run-broken', { id: 'run-broken' })).toMatchObject({ status: 409, body: { title: 'Cannot be read' } });
    expect(() => takeEvent(shop().db, 'run-broken', { ...event, id: crypto.randomUUID() }, Date.now())).toThrow(/cannot have happened/);
  });
  it('records of a press outlive one among them that cannot be read, and a heating time that cannot be true', async () => {
    const { sqlite } = shop();
    const add = sqlite.prepare('INSERT INTO press_records (id, press_id, kind, at, doc) VALUES (?, ?, ?, ?, ?)');
    add.run('time-mad', 'press-clamshell', 'heating time', 1, JSON.stringify(impossibleHeating('time-mad')));
    add.run('torn', 'press-clamshell', 'survey', 2, '{"id":"torn","read');
    const { status, body } = await get(recordsRoute, '/presses/press-clamshell/records', { id: 'press-clamshell' });
    expect(status).toBe(200);
    expect(body.unreadable.map(({ id }: { id: string }) => id)).toEqual(expect.arrayContaining(['torn', 'time-mad']));
    expect((await get(benchRoute, '/bench')).status).toBe(200);
  });
});

describe('one document', () => {
  it('asked for by itself is refused in words, and can be put anew by who names its version', async () => {
    const { doc, version } = {
      doc: (await get(shelfRoute, '/shelf')).body.products.find(({ id }: { id: string }) => id === 'product-tern'),
      version: 7,
    };
    spoil("UPDATE products SET doc = '[]', version = 7 WHERE id = 'product-tern'");
    expect((await get(shelfRoute, '/shelf')).body.unreadable).toMatchObject([{ what: 'transfer', id: 'product-tern' }]);
    expect(await put(productRoute.PUT, '/shelf/products/product-tern', { id: 'product-tern' }, doc, `"${version}"`)).toMatchObject({
      status: 409,
    });
    spoil("UPDATE orders SET doc = 'x', version = 7 WHERE id = 'order-guide-tees'");
    expect(await get(orderRoute, '/orders/order-guide-tees', { id: 'order-guide-tees' })).toMatchObject({
      status: 409,
      body: { detail: expect.stringMatching(/It is left as it is; a backup from before may hold it whole/) },
    });
  });
  it('is named in what is taken out, and not in it', () => {
    spoil("UPDATE orders SET doc = 'x', version = 7 WHERE id = 'order-guide-tees'");
    const doc = JSON.parse([...shopJson(shop().db)].join(''));
    expect(doc.leftOut).toEqual([{ of: 'orders', id: 'order-guide-tees', why: 'it is not whole' }]);
    expect(doc.orders.map(({ id }: { id: string }) => id)).not.toContain('order-guide-tees');
  });
});

describe('a write whose reply cannot be made', () => {
  it('saves nothing, as it says', async () => {
    const { endpoint } = await import('./http/endpoint');
    const { practiceRounds } = await import('./db/schema');
    const round = { operator: 'QA', situation: 'cold base', mistakes: [], score: 50, at: 1 };
    const id = '00000000-0000-4000-8000-000000000001';
    const broken = endpoint('putPractice', ({ db }) => {
      db.insert(practiceRounds)
        .values({ id, operator: 'QA', doc: round as never })
        .run();
      return { scores: [{ operator: 5 }] } as never;
    });
    expect(await put(broken, `/practice/${id}`, { id }, round)).toMatchObject({
      status: 500,
      body: { detail: expect.stringMatching(/nothing was saved/) },
    });
    expect(shop().sqlite.prepare('SELECT count(*) AS n FROM practice_rounds').get()).toEqual({ n: 0 });
  });
});
