/** A batch: prints of several orders in one run, each piece recorded under its own order with its own card. */
import { join } from 'node:path';
import { beforeEach, describe, expect, it } from 'vitest';
import { ownShop, put, send } from '../../test/api';
import { RunOver } from '../../test/runOver';
import * as benchRoute from '../pages/api/v1/bench';
import * as orderRoute from '../pages/api/v1/orders/[id]';
import * as togetherRoute from '../pages/api/v1/orders/[id]/together';
import * as logRoute from '../pages/api/v1/pressings';
import * as runRoute from '../pages/api/v1/runs/[id]';
import { migrationsFolder } from './app';
import { takeBackup } from './backup';
import { openShop } from './db';
import { proveBackup } from './proof';
import { shop } from './shop';
import { shopJson } from './stores/shopExport';
import { planJson } from './stores/shopImport';

const { folder } = ownShop();

const RUN = 'run-batch';
const own = { orderId: 'order-nebula', lineId: 'line-nebula-m', printKey: 'a' };
const other = { orderId: 'order-late', lineId: 'line-late', printKey: 'a' };

/** A second order of the same two-sheet print, three in L with numbers. */
async function addOrder(): Promise<void> {
  const { order } = (await send(orderRoute.GET, '/orders/order-nebula', { id: 'order-nebula' })).body;
  const [line] = order.lines;
  const roster = ['7', '9', '11'].map((number) => ({ number, name: '' }));
  const doc = { ...order, id: other.orderId, name: 'Late tees', lines: [{ ...line, id: other.lineId, size: 'L', count: 3, roster }] };
  expect((await put(orderRoute.PUT, `/orders/${doc.id}`, { id: doc.id }, doc)).status).toBe(200);
}
const start = (also: object[], id = RUN) => put(runRoute.PUT, `/runs/${id}`, { id }, { ...own, operator: 'TO', also });
const together = async (print = own) =>
  (await send(togetherRoute.GET, `/orders/${print.orderId}/together?line=${print.lineId}&print=${print.printKey}`, { id: print.orderId }))
    .body.prints;

let run: RunOver;
const pressed = async () =>
  (await send(logRoute.GET, '/pressings?limit=50')).body.pressings.filter((p: { runId: string }) => p.runId === RUN).reverse();

beforeEach(async () => {
  run = new RunOver(RUN);
  await addOrder();
});

describe('a batch of two orders', () => {
  it('is offered where the press is set alike, and to no other', async () => {
    expect(await together()).toMatchObject([{ ...other, orderName: 'Late tees', left: 3, what: expect.stringContaining('nebula') }]);
    // the sizes of one order are one as well
    expect(await together({ orderId: 'order-guide-tees', lineId: 'line-guide-m', printKey: 'a' })).toMatchObject([
      { orderId: 'order-guide-tees', lineId: 'line-guide-l' },
    ]);
  });

  it('keeps each piece under its own order, by its own card, with its own number; one taken back leaves its order', async () => {
    expect((await start([other])).status).toBe(200);
    const { body } = await run.opened();
    expect(body.run).toMatchObject({ ...own, pieces: 9, also: [{ ...other, pieces: 3 }] });
    await run.until((_, state) => state.results.length >= 9);
    const all = await pressed();
    const of = (orderId: string) => all.filter((p: { orderId: string }) => p.orderId === orderId);
    expect(of(own.orderId).map((p: { piece: number }) => p.piece)).toEqual([1, 2, 3, 4, 5, 6]);
    expect(of(other.orderId).map((p: { piece: number; person: { number: string } }) => [p.piece, p.person.number])).toEqual([
      [1, '7'],
      [2, '9'],
      [3, '11'],
    ]);
    expect(new Set(of(other.orderId).map((p: { orderName: string }) => p.orderName))).toEqual(new Set(['Late tees']));
    expect(
      of(other.orderId).every((p: { size: string; cardHash: string }) => p.size === 'L' && p.cardHash === body.run.also[0].cardHash),
    ).toBe(true);
    const bench = async () =>
      (await send(benchRoute.GET, '/bench')).body.orders.find((row: { orderId: string }) => row.orderId === other.orderId).good;
    expect(await bench()).toBe(3);
    const { state } = await run.opened();
    const last = (await run.opened()).body.events.at(-1);
    expect(state.done).toBe(true);
    await run.tell({ kind: 'undone', of: last.id });
    expect(await bench()).toBe(2);
    // a backup of it is sound, and the shop as a file comes in whole
    const copy = join(folder(), 'copy.beacon');
    await takeBackup(shop(), copy);
    expect(proveBackup(copy, migrationsFolder())).toEqual({ sealed: true });
    const file = [...shopJson(shop().db)].join('');
    const fresh = openShop(':memory:', 'drizzle');
    const plan = planJson(fresh.db, file);
    expect(plan.faults.list).toEqual([]);
    plan.apply();
    expect([...shopJson(fresh.db)].join('')).toBe(file);
  });

  it('while it goes on, both orders are at the press; neither is begun a second time', async () => {
    await start([other]);
    const { orders } = (await send(benchRoute.GET, '/bench')).body;
    for (const { orderId } of [own, other])
      expect(orders.find((row: { orderId: string }) => row.orderId === orderId).next).toMatchObject({ station: 'run' });
    const again = await put(runRoute.PUT, '/runs/run-second', { id: 'run-second' }, { ...other, operator: 'TO' });
    expect([again.status, again.body.title]).toEqual([409, 'Already being pressed']);
    expect(await together()).toEqual([]);
  });

  it('a print that wants the press otherwise, one named twice, one that is not there: said which, and nothing is begun', async () => {
    const vests = { orderId: 'order-vests', lineId: 'line-vest-m', printKey: 'a' };
    for (const [also, status, field] of [
      [[other, vests], 409, 'also.1'],
      [[other, other], 422, 'also'],
      [[own], 422, 'also'],
    ] as const) {
      const reply = await start([...also]);
      expect([reply.status, reply.body.errors[0].field]).toEqual([status, field]);
    }
    expect((await start([{ ...other, lineId: 'nowhere' }])).status).toBe(404);
    expect((await send(runRoute.GET, `/runs/${RUN}`, { id: RUN })).status).toBe(404);
  });
});
