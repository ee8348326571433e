/** Stores and endpoints on a real database file. */
import { rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import { describe, expect, it } from 'vitest';
import { BASE, ownShop, put, send } from '../../test/api';
import { PATHS, STALE_AFTER } from '../contract/paths';
import type { Order } from '../core/order';
import { toInside } from '../core/units';
import * as benchRoute from '../pages/api/v1/bench';
import * as healthRoute from '../pages/api/v1/health';
import * as houseRoute from '../pages/api/v1/house';
import * as orderRoute from '../pages/api/v1/orders/[id]/index';
import * as pressRoute from '../pages/api/v1/presses/[id]';
import * as eventRoute from '../pages/api/v1/runs/[id]/events/[eventId]';
import * as runRoute from '../pages/api/v1/runs/[id]/index';
import { changesSoFar } from './announce';
import { openShop } from './db';
import { changeStream } from './http/changes';
import { guard } from './http/guards';
import { closeShop, shop } from './shop';
import { searchLog } from './stores/pressings';
import { listPresses } from './stores/shelf';

const { folder, path } = ownShop();

const order = (change: Partial<Order> = {}): Order => ({
  id: 'order-new',
  name: 'Night walk tees',
  customer: '',
  due: '2026-12-12',
  note: '',
  lines: [],
  ...change,
});
const print = {
  key: 'a',
  position: 'full front' as const,
  artName: 'owl',
  artKind: 'one colour' as const,
  widthMm: 200,
  heightMm: 200,
  layers: [{ key: 'a', productId: 'product-wren', over: [] as string[] }],
  embossed: false,
  looseParts: false,
  smallType: false,
  crossesSeam: false,
  pressId: 'press-swing',
  choices: {},
};
const line = { id: 'line-new', blankId: 'blank-guide-tee', size: 'M', count: 2, prints: [print], roster: [], perClosing: 1 };
const putOrder = (doc: unknown, ifMatch?: string) => put(orderRoute.PUT, '/orders/order-new', { id: 'order-new' }, doc, ifMatch);

let serial = 0;
const uuid = () => `10000000-0000-4000-8000-${String(++serial).padStart(12, '0')}`;
async function startRun(id = 'run-new') {
  await putOrder(order({ lines: [line] }));
  return put(runRoute.PUT, `/runs/${id}`, { id }, { orderId: 'order-new', lineId: 'line-new', operator: 'QA' });
}
const event = (kind: string, more: object = {}) => ({ id: uuid(), at: Date.now(), kind, ...more });
const sendEvent = (e: { id: string }, run = 'run-new') => put(eventRoute.PUT, `/runs/${run}/events/${e.id}`, { id: run, eventId: e.id }, e);
const toInspect = ['next', 'closed', 'opened', 'next', 'closed', 'opened', 'next', 'peeled'];

describe('orders over the wire', () => {
  it('the same PUT twice is one order; a change needs the version last seen', async () => {
    expect(await putOrder(order())).toMatchObject({ status: 200, etag: '"1"' });
    expect(await putOrder(order())).toMatchObject({ status: 200, etag: '"1"' });
    expect(await putOrder(order({ name: 'Owl tees' }))).toMatchObject({ status: 428 });
    expect(await putOrder(order({ name: 'Owl tees' }), '"1"')).toMatchObject({ status: 200, etag: '"2"' });
    const stale = await putOrder(order({ name: 'Bat tees' }), '"1"');
    expect(stale).toMatchObject({ status: 412, type: 'application/problem+json' });
    expect(stale.body.detail).toMatch(/changed somewhere else/);
    expect((await send(orderRoute.GET, '/orders/order-new', { id: 'order-new' })).body.order.name).toBe('Owl tees');
  });
  it('taken off the bench and put back is the same order', async () => {
    await putOrder(order());
    const off = await send(orderRoute.DELETE, '/orders/order-new', { id: 'order-new' }, { method: 'DELETE' });
    expect(off.body).toEqual({ removed: 'order-new', version: 2 });
    expect(await putOrder(order(), '"2"')).toMatchObject({ status: 200, etag: '"2"' });
  });
  it('a stale edit does not bring back what was taken off meanwhile', async () => {
    await putOrder(order());
    await send(orderRoute.DELETE, '/orders/order-new', { id: 'order-new' }, { method: 'DELETE' });
    for (const edit of [order(), order({ note: 'typed in another tab' })])
      expect(await putOrder(edit, '"1"')).toMatchObject({ status: 412, body: { detail: expect.stringMatching(/taken off the bench/) } });
    expect((await send(benchRoute.GET, '/bench')).body.orders.map((order: { orderId: string }) => order.orderId)).not.toContain(
      'order-new',
    );
  });
  it.each([
    ['markup in a name', order({ name: '<script>alert(1)</script>' }), 422, 'name'],
    ['a count of zero', order({ lines: [{ ...line, count: 0 }] }), 422, 'lines.0.count'],
    ['half a piece', order({ lines: [{ ...line, count: 1.5 }] }), 422, 'lines.0.count'],
    ['art of no width', order({ lines: [{ ...line, prints: [{ ...print, widthMm: 0 }] }] }), 422, 'lines.0.prints.0.widthMm'],
    ['a blank nobody knows', order({ lines: [{ ...line, blankId: 'blank-moon' }] }), 404, 'id'],
    ['a day that is none', order({ due: '2026-02-31' }), 422, 'due'],
    ['an id that is not the address', order({ id: 'order-other' }), 422, 'id'],
  ])('%s: a problem naming the field, and nothing stored', async (_, doc, status, field) => {
    const reply = await putOrder(doc);
    expect(reply).toMatchObject({ status, type: 'application/problem+json' });
    expect(reply.body.errors[0].field).toBe(field);
    expect((await send(orderRoute.GET, '/orders/order-new', { id: 'order-new' })).status).toBe(404);
  });
  it.each([
    ['broken JSON', '{"id": ', {}, 400],
    ['not JSON by its type', '{}', { 'content-type': 'text/plain' }, 415],
    ['two megabytes', JSON.stringify({ id: 'x'.repeat(2_000_000) }), {}, 413],
    ['a version that is none', JSON.stringify(order()), { 'if-match': 'yesterday' }, 400],
  ])('%s is refused in words', async (_, body, headers, status) => {
    const reply = await send(orderRoute.PUT, '/orders/order-new', { id: 'order-new' }, { method: 'PUT', body, headers });
    expect(reply.status).toBe(status);
    expect(reply.body.detail.length).toBeGreaterThan(10);
  });
  it('a wrong method is told the right ones', async () => {
    expect(await send(houseRoute.ALL, '/house', {}, { method: 'PATCH' })).toMatchObject({
      status: 405,
      body: { detail: 'This address takes GET, PUT, not PATCH.' },
    });
  });
});

describe('what has changed', () => {
  /** What the stream of changes says is stale after a write that is taken. */
  const staleAfter = async (act: () => Promise<{ status: number }>): Promise<string[]> => {
    const stop = new AbortController();
    const reader = changeStream(stop.signal).body?.getReader();
    expect((await act()).status).toBe(200);
    for (;;) {
      const { value } = (await reader?.read()) ?? {};
      const said = /^event: change\ndata: (.*)$/m.exec(new TextDecoder().decode(value));
      if (!said?.[1]) continue;
      stop.abort();
      return (JSON.parse(said[1]) as { stale: string[] }).stale;
    }
  };
  it('is told to every open page by the reads it makes stale; what was refused changed nothing', async () => {
    expect(await staleAfter(() => putOrder(order()))).toEqual([
      'order',
      'orderKit',
      'orderCards',
      'pressTogether',
      'bench',
      'firstHour',
      'rail',
      'parcels',
    ]);
    const before = changesSoFar();
    expect((await putOrder(order({ name: 'Night walk caps' }), '"7"')).status).toBe(412);
    expect(changesSoFar()).toBe(before);
  });
  it('names reads only', () => {
    for (const names of Object.values(STALE_AFTER)) for (const name of names) expect(PATHS[name][0]).toBe('GET');
  });
});

describe('a press that cannot be', () => {
  it('lowest over highest and a huge offset are refused, and the press stays as it was', async () => {
    const stored = () => listPresses(shop().db).rows.find((row) => row.doc.id === 'press-swing');
    const before = stored();
    const bad = {
      ...before?.doc,
      set: { unit: 'C', step: 1, minC: 200, maxC: 100 },
      calibration: { offsetK: 400, spreadK: -1, on: '2026-01-01', how: '' },
    };
    const reply = await put(pressRoute.PUT, '/presses/press-swing', { id: 'press-swing' }, bad, `"${before?.version}"`);
    expect(reply.status).toBe(422);
    expect(reply.body.errors.map((e: { field: string }) => e.field)).toEqual(
      expect.arrayContaining(['set.minC', 'calibration.offsetK', 'calibration.spreadK']),
    );
    expect(stored()).toEqual(before);
  });
});

describe('a run over the wire', () => {
  it('a kept piece is one pressing, however often its event is sent', async () => {
    await startRun();
    for (const kind of toInspect) expect((await sendEvent(event(kind))).status).toBe(200);
    const stored = event('kept');
    for (let i = 0; i < 3; i++) expect((await sendEvent(stored)).body.events).toHaveLength(9);
    const { pressings } = searchLog(shop().db, { orderId: 'order-new', limit: 10 });
    expect(pressings).toMatchObject([{ id: stored.id, outcome: 'good', operator: 'QA', withdrawn: false, piece: 1 }]);
    expect(pressings[0]?.setC).toBeCloseTo(toInside(272, 'F'), 6);
  });
  it('an undone verdict is withdrawn by a record of its own; the pressing stays', async () => {
    await startRun();
    const spoiled = event('spoiled', { reason: 'scorched', note: 'the corner' });
    await sendEvent(event('next'));
    await sendEvent(spoiled);
    await sendEvent(event('undone', { of: spoiled.id }));
    const { pressings } = searchLog(shop().db, { orderId: 'order-new', limit: 10 });
    expect(pressings).toMatchObject([
      { id: spoiled.id, withdrawn: true, amendments: [{ field: 'standing', from: 'counts', to: 'withdrawn' }] },
    ]);
    expect(() => shop().sqlite.prepare("UPDATE amendments SET to_value = 'counts'").run()).toThrow(/written once/);
    expect(() => shop().sqlite.prepare('DELETE FROM amendments').run()).toThrow(/never deleted/);
    expect((await send(orderRoute.GET, '/orders/order-new', { id: 'order-new' })).body.lines).toMatchObject([
      { prints: [{ spoiled: 0, good: 0 }] },
    ]);
  });
  it('refuses what cannot have happened, and a line that is already being pressed', async () => {
    await startRun();
    expect(await sendEvent(event('kept'))).toMatchObject({ status: 409, body: { detail: 'A piece is kept once it has been looked at.' } });
    expect(await startRun('run-second')).toMatchObject({ status: 409 });
    expect((await startRun()).status).toBe(200);
    expect((await send(runRoute.GET, '/runs/run-new', { id: 'run-new' })).body.events).toEqual([]);
  });
  it('a step from a device whose clock is hours ahead is not lost: it counts as now', async () => {
    await startRun();
    expect(await sendEvent({ ...event('next'), at: Date.now() + 3_600_000 } as { id: string })).toMatchObject({ status: 200 });
    const { events } = (await send(runRoute.GET, '/runs/run-new', { id: 'run-new' })).body;
    expect(Math.abs(events[0].at - Date.now())).toBeLessThan(5_000);
  });
  it('a roster gives each piece its own; a spoiled one is still wanted in the next run', async () => {
    const roster = [
      { number: '7', name: 'Ines' },
      { number: '9', name: 'Bao' },
    ];
    await putOrder(order({ lines: [{ ...line, roster }] }));
    const start = (id: string) => put(runRoute.PUT, `/runs/${id}`, { id }, { orderId: 'order-new', lineId: 'line-new', operator: 'QA' });
    await start('run-new');
    await sendEvent(event('next'));
    await sendEvent(event('spoiled', { reason: 'scorched', note: '' }));
    for (const kind of [...toInspect, 'kept']) await sendEvent(event(kind));
    const persons = searchLog(shop().db, { orderId: 'order-new', limit: 10 }).pressings.map((p) => [p.person?.name, p.outcome]);
    expect(persons).toEqual(
      expect.arrayContaining([
        ['Ines', 'spoiled'],
        ['Bao', 'good'],
      ]),
    );
    expect((await start('run-second')).body).toMatchObject({
      run: { pieces: 1 },
      card: { of: { roster: [{ number: '7', name: 'Ines' }] } },
    });
  });
  it('a card on Hold cannot be started', async () => {
    await putOrder(order({ lines: [{ ...line, prints: [{ ...print, layers: [{ key: 'a', productId: 'product-heron', over: [] }] }] }] }));
    const reply = await put(runRoute.PUT, '/runs/run-new', { id: 'run-new' }, { orderId: 'order-new', lineId: 'line-new', operator: '' });
    expect(reply).toMatchObject({ status: 409, body: { title: 'On Hold' } });
  });
  it('editing the shelf afterwards does not rewrite a frozen card', async () => {
    const before = (await startRun()).body.card;
    shop().sqlite.prepare("UPDATE products SET doc = json_set(doc, '$.name', 'renamed') WHERE id = 'product-wren'").run();
    expect((await send(runRoute.GET, '/runs/run-new', { id: 'run-new' })).body.card).toEqual(before);
  });
});

describe('the database itself', () => {
  it('refuses UPDATE and DELETE on pressings, amendments, events and frozen cards', () => {
    const { sqlite } = shop();
    for (const table of ['pressings', 'run_events', 'cards']) {
      const count = () => (sqlite.prepare(`SELECT count(*) AS n FROM ${table}`).get() as { n: number }).n;
      const before = count();
      expect(before).toBeGreaterThan(0);
      expect(() => sqlite.prepare(`UPDATE ${table} SET doc = '{}'`).run()).toThrow(/written once|never changed/);
      expect(() => sqlite.prepare(`DELETE FROM ${table}`).run()).toThrow(/never deleted/);
      expect(count()).toBe(before);
    }
  });
  it('writes are synchronous and foreign keys are on', () => {
    const { sqlite } = shop();
    expect([
      sqlite.pragma('synchronous', { simple: true }),
      sqlite.pragma('journal_mode', { simple: true }),
      sqlite.pragma('foreign_keys', { simple: true }),
    ]).toEqual([2, 'wal', 1]);
  });
  it('from a newer version, not a database, or locked: says so and what to do', () => {
    shop();
    closeShop();
    const raw = new Sqlite(path());
    raw.prepare("INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('later', 9999999999999)").run();
    expect(() => shop()).toThrow(/newer version of Tidy Beacon/);
    raw.close();
    const other = join(folder(), 'letter.txt');
    writeFileSync(other, 'Dear shop, this is not a database, though it is long enough to be looked at as if it were one. '.repeat(20));
    expect(() => openShop(other, 'drizzle')).toThrow(/not a Tidy Beacon database/);
  });
  it('locked by another program', () => {
    const holder = new Sqlite(join(folder(), 'held.sqlite'));
    holder.pragma('locking_mode = EXCLUSIVE');
    holder.exec('BEGIN EXCLUSIVE; CREATE TABLE t (a)');
    expect(() => openShop(join(folder(), 'held.sqlite'), 'drizzle')).toThrow(/locked by another program/);
    holder.close();
  });
  it('moved away under the running server: refuses to write into nothing', async () => {
    expect((await send(healthRoute.GET, '/health')).status).toBe(200);
    rmSync(path());
    const reply = await putOrder(order());
    expect(reply).toMatchObject({ status: 503 });
    expect(reply.body.detail).toMatch(/moved or deleted/);
  });
});

describe('guards', () => {
  const request = (method: string, headers: Record<string, string>) =>
    new Request(`${BASE}/house`, { method, headers: { host: '127.0.0.1:4321', ...headers } });
  it('a host that is not ours, and writes from other pages, are refused', () => {
    expect(guard(request('GET', {}))).toBeNull();
    expect(guard(request('PUT', {}))).toBeNull();
    expect(guard(request('PUT', { origin: 'http://127.0.0.1:4321' }))).toBeNull();
    expect(guard(request('PUT', { origin: 'http://elsewhere.example' }))?.status).toBe(403);
    expect(guard(request('PUT', { 'sec-fetch-site': 'cross-site' }))?.status).toBe(403);
    expect(guard(request('GET', { host: 'rebound.example' }))?.status).toBe(421);
  });
  it('what the endpoints give is for our own pages: another site’s page cannot have the server take backups', () => {
    const get = (address: string, site: string) =>
      guard(new Request(`http://127.0.0.1:4321${address}`, { headers: { host: '127.0.0.1:4321', 'sec-fetch-site': site } }));
    for (const site of ['cross-site', 'same-site']) expect(get('/api/v1/backup', site)?.status).toBe(403);
    expect(get('/api/v1/backup', 'same-origin')).toBeNull();
    expect(get('/orders/order-guide-tees/card', 'cross-site')).toBeNull();
  });
  it('goes by the address a request came in on, and by no case of a name', () => {
    const as = (host: string, cameInOn: string) => guard(new Request(`${BASE}/house`, { headers: { host } }), cameInOn)?.status ?? 200;
    expect([as('127.0.0.1:4321', '127.0.0.1'), as('LOCALHOST:4321', '::1'), as('[::1]:4321', '::1')]).toEqual([200, 200, 200]);
    // from the network nobody calls us localhost, and a name that was bent to our address is none of ours
    expect([as('localhost:4321', '::ffff:192.168.1.5'), as('shop.example', '192.168.1.5'), as('192.168.1.6', '192.168.1.5')]).toEqual([
      421, 421, 421,
    ]);
    expect(as('192.168.1.5:4321', '::ffff:192.168.1.5')).toBe(200);
    process.env.TIDY_BEACON_HOSTS = 'Press-Room.local, other';
    expect(as('press-room.LOCAL:4321', '192.168.1.5')).toBe(200);
    delete process.env.TIDY_BEACON_HOSTS;
  });
});
