/** The first hour over the wire: from a shop that begins to its first piece, and a grown shop that is past it. */
import { describe, expect, it } from 'vitest';
import { ownShop, put, send } from '../../test/api';
import { newPress } from '../core/press';
import * as firstHourRoute from '../pages/api/v1/first-hour';
import * as houseRoute from '../pages/api/v1/house';
import * as orderRoute from '../pages/api/v1/orders/[id]/index';
import * as pressRoute from '../pages/api/v1/presses/[id]';
import { shop } from './shop';
import { readRail } from './stores/rail';

const US = { temperature: 'F', length: 'in', linePressure: 'psi' } as const;
const read = async () => (await send(firstHourRoute.GET, '/first-hour')).body;
const onRail = () => readRail(shop().db, 0).firstHour;

describe('a shop that begins', () => {
  ownShop(false);

  it('is told on every page what comes next, until somebody says it is enough', async () => {
    expect(onRail()).toEqual({ next: 'units', behind: 0, of: 7 });
    const press = { ...newPress('press-one', 'draw', US), gauge: { kind: 'dial', pairs: [] } };
    expect((await put(pressRoute.PUT, '/presses/press-one', { id: 'press-one' }, press)).status).toBe(200);
    const { house, version } = (await send(houseRoute.GET, '/house')).body;
    const say = (firstHour: object, ifMatch: number) => put(houseRoute.PUT, '/house', {}, { ...house, firstHour }, `"${ifMatch}"`);
    expect((await say({ done: ['units'], leftOut: ['measure'], isOver: false }, version)).status).toBe(200);
    expect(await read()).toMatchObject({ next: 'transfers', pressId: 'press-one', order: null, isOver: false });
    expect(onRail()).toEqual({ next: 'transfers', behind: 3, of: 7 });
    expect((await say({ done: ['tea'], leftOut: [], isOver: false }, version + 1)).body.errors[0].field).toContain('firstHour.done');
    await say({ done: ['units'], leftOut: [], isOver: true }, version + 1);
    expect(onRail()).toBeNull();
  });

  it('leads to the first line of the order that is due first', async () => {
    await put(pressRoute.PUT, '/presses/press-one', { id: 'press-one' }, newPress('press-one', 'clamshell', US));
    const blank = shop().sqlite.prepare("SELECT id FROM blanks WHERE id LIKE '%tee%' LIMIT 1").get() as { id: string };
    const print = {
      key: 'a',
      position: 'full front',
      artName: 'owl',
      artKind: 'one colour',
      widthMm: 200,
      heightMm: 200,
      layers: [{ key: 'a', productId: 'general-stretch-film', over: [] }],
      embossed: false,
      looseParts: false,
      smallType: false,
      crossesSeam: false,
      pressId: 'press-one',
      choices: {},
    };
    const line = { id: 'line-one', blankId: blank.id, size: 'M', count: 2, prints: [print], roster: [], perClosing: 1 };
    const order = { id: 'order-one', name: 'First tees', customer: '', due: '2026-12-12', note: '', lines: [line] };
    expect((await put(orderRoute.PUT, '/orders/order-one', { id: 'order-one' }, order)).status).toBe(200);
    expect((await read()).order).toEqual({ orderId: 'order-one', lineId: 'line-one' });
  });
});

describe('a shop with pieces in its log', () => {
  ownShop();
  it('is past it, whatever was never said', async () => {
    expect(onRail()).toBeNull();
    expect(await read()).toMatchObject({ isOver: true });
  });
});
