/** Tested settings over the wire: what is refused and where, what a card makes of one, the matrix and its paper. */

import { describe, expect, it } from 'vitest';
import { ownShop, put, request, send } from '../../test/api';
import { isWhole } from '../../test/runs';
import { resolve } from '../core/card';
import type { Tested } from '../core/sheet';
import * as worthRoute from '../pages/api/v1/measuring-worth';
import * as cardsRoute from '../pages/api/v1/orders/[id]/cards';
import * as csvRoute from '../pages/api/v1/shelf/[kind].csv';
import * as blankRoute from '../pages/api/v1/shelf/blanks/[id]';
import * as testedRoute from '../pages/api/v1/shelf/tested/[id]';
import * as matrixRoute from '../pages/api/v1/tested-matrix';
import * as paperRoute from '../pages/api/v1/tested-matrix.pdf';
import { dayOf } from './day';
import { shop } from './shop';
import { inputOf, readFacts } from './stores/cards';
import { findOrder } from './stores/orders';
import { readShelf } from './stores/shelf';
import { testFaults } from './stores/tested';

ownShop();

const test = (change: Partial<Tested> = {}): Tested => ({
  id: 'tested-new',
  name: 'Dunlin on the crew tee',
  productId: 'product-dunlin',
  pressId: 'press-swing',
  on: { kind: 'blank', id: 'blank-crew-tee' },
  setC: 148.88888888888889,
  readC: null,
  timeS: 11,
  peel: 'warm',
  result: 'good',
  note: '',
  by: 'MB',
  testedOn: '2026-05-04',
  offSheet: false,
  ...change,
});
const keep = (change: Partial<Tested> = {}, ifMatch?: string) => {
  const doc = test(change);
  return put(testedRoute.PUT, `/shelf/tested/${doc.id}`, { id: doc.id }, doc, ifMatch);
};

describe('a tested setting', () => {
  it('the demo shop’s own lie within their sheets', () => {
    const { db } = shop();
    const all = readShelf(db).tested;
    expect(all.length).toBeGreaterThan(3);
    expect(all.flatMap((tested) => testFaults(db, tested))).toEqual([]);
  });

  it.each([
    ['a transfer that is not there', { productId: 'product-nobody' }, 'productId', /There is no transfer with the id “product-nobody”/],
    ['a press that is not there', { pressId: 'press-nobody' }, 'pressId', /There is no press/],
    ['a fabric that is not there', { on: { kind: 'fabric' as const, id: 'blank-crew-tee' } }, 'on.id', /There is no fabric/],
    ['hotter than its sheet', { setC: 190 }, 'setC', /the sheet of Dunlin Solid has .* If it was pressed so, say that it lies outside/],
    ['longer than its sheet', { timeS: 90 }, 'timeS', /The sheet of Dunlin Solid has \d+.s to \d+.s/],
    ['nobody’s', { by: '' }, 'by', /initials/],
    ['on no day', { testedOn: 'yesterday' }, 'testedOn', /2026-05-31/],
  ])('%s is refused at its field', async (_, change, field, message) => {
    const { status, body } = await keep(change);
    expect(status).toBe(422);
    expect(body.errors).toContainEqual({ field, message: expect.stringMatching(message) });
    expect(readShelf(shop().db).tested.map(({ id }) => id)).not.toContain('tested-new');
  });

  it('outside its sheet it is kept once that is said', async () => {
    expect((await keep({ setC: 190, timeS: 90, offSheet: true })).status).toBe(200);
  });

  it('of a transfer that was retired since it stands, is begun from no more, and a new one is refused by name', async () => {
    expect((await keep()).status).toBe(200);
    const { db, sqlite } = shop();
    sqlite.exec("UPDATE products SET doc = json_set(doc, '$.retiredOn', '2026-06-01') WHERE id = 'product-dunlin'");
    expect(readShelf(db).tested.map(({ id }) => id)).toContain('tested-new');
    const { status, body } = await keep({ id: 'tested-later' });
    expect([status, body.detail]).toEqual([422, expect.stringMatching(/Dunlin Solid was retired on 2026-06-01/)]);
  });

  it('is what the next card of that transfer on that blank starts from; removed, the sheet is', async () => {
    const { db } = shop();
    const order = findOrder(db, 'order-crew-tees').doc;
    const cards = async () => (await send(cardsRoute.GET, '/orders/order-crew-tees/cards', { id: 'order-crew-tees' })).body.cards;
    const isDunlin = ({ card }: { card: { of: { productId: string; blankId: string } } }) =>
      card.of.productId === 'product-dunlin' && card.of.blankId === 'blank-crew-tee';
    const before = (await cards()).find(isDunlin);
    await keep({ setC: 147.77777777777777, timeS: 13 });
    const after = (await cards()).find(isDunlin);
    expect([after.card.set.tempC, after.card.set.timeS]).toEqual([147.77777777777777, 13]);
    const line = order.lines.find(({ id }) => id === after.lineId) ?? order.lines[0];
    const print = line?.prints.find(({ key }) => key === after.printKey) ?? line?.prints[0];
    if (!line || !print) throw new Error('the order has no such print');
    expect(resolve(inputOf(readFacts(db), order, line, print)).set.timeS).toBe(13);
    expect((await send(testedRoute.DELETE, '/shelf/tested/tested-new', { id: 'tested-new' }, { method: 'DELETE' })).status).toBe(200);
    expect((await cards()).find(isDunlin).card.set).toEqual(before.card.set);
  });

  it('keeps what it names on the shelf', async () => {
    await keep({ on: { kind: 'blank', id: 'blank-give-away-bag' }, offSheet: true });
    const { status, body } = await send(
      blankRoute.DELETE,
      '/shelf/blanks/blank-give-away-bag',
      { id: 'blank-give-away-bag' },
      { method: 'DELETE' },
    );
    expect([status, body.detail]).toEqual([409, expect.stringMatching(/tested setting Dunlin on the crew tee/)]);
  });

  it('goes out as a list with what was read left empty where nothing was', async () => {
    await keep();
    const csv = await (await request(csvRoute.GET, '/shelf/tested.csv', { kind: 'tested' })).text();
    expect(csv).toMatch(
      /tested-new,Dunlin on the crew tee,product-dunlin,press-swing,blank,blank-crew-tee,148\.88888888888889,,11,warm,good,MB,2026-05-04,no,,/,
    );
  });
});

describe('transfers on fabrics', () => {
  it.runIf(isWhole)('has every transfer and cloth in use once, with what was tested named, as its card has it', async () => {
    const { db } = shop();
    const shelf = readShelf(db);
    const { body } = await send(matrixRoute.GET, '/tested-matrix?press=press-swing');
    expect(body.rows.map(({ productId }: { productId: string }) => productId)).toEqual(
      shelf.products.filter((product) => !product.retiredOn).map(({ id }) => id),
    );
    const cloths = shelf.fabrics.filter((fabric) => !fabric.retiredOn && fabric.substrate === 'cloth').map(({ id }) => id);
    expect(
      body.fabrics
        .slice(0, cloths.length)
        .map(({ id }: { id: string }) => id)
        .sort(),
    ).toEqual([...cloths].sort());
    for (const row of body.rows) expect(row.cells).toHaveLength(body.fabrics.length);
    const column = body.fabrics.findIndex(
      ({ id }: { id: string }) => id === shelf.blanks.find((blank) => blank.id === 'blank-runner-tee')?.fabricId,
    );
    const cell = body.rows.find(({ productId }: { productId: string }) => productId === 'product-wren').cells[column];
    expect(cell).toMatchObject({ setC: 137.77777777777777, timeS: 9, peel: 'warm', testedOn: expect.any(String) });
  });

  it.runIf(isWhole)('is a page or two of A4 or Letter to hang up', async () => {
    for (const paper of ['A4', 'Letter']) {
      const reply = await request(paperRoute.GET, `/tested-matrix.pdf?press=press-swing&paper=${paper}`);
      expect(reply.headers.get('content-type')).toBe('application/pdf');
      const text = Buffer.from(await reply.arrayBuffer()).toString('latin1');
      expect(text.match(/\/Type \/Page\b/g)?.length).toBe(2);
    }
  });

  it('of a press that is not there is said to be', async () => {
    expect((await send(matrixRoute.GET, '/tested-matrix?press=nobody')).status).toBe(404);
    expect((await send(paperRoute.GET, '/tested-matrix.pdf?press=nobody')).status).toBe(404);
  });
});

describe('what measuring is worth, over the wire', () => {
  it.runIf(isWhole)('is told of the open work on one press or on all, and changes when the press is measured', async () => {
    const ofCap = async () => (await send(worthRoute.GET, '/measuring-worth?press=press-cap')).body.worth;
    const before = await ofCap();
    expect(before[0]).toMatchObject({ pressId: 'press-cap', measure: { kind: 'survey' } });
    expect(before[0].saved).toBeGreaterThan(0.5);
    const { sqlite } = shop();
    const calibration = JSON.stringify({ offsetK: 0, spreadK: 2, on: dayOf(Date.now()), how: 'probe' });
    sqlite.prepare("UPDATE presses SET doc = json_set(doc, '$.calibration', json(?)) WHERE id = 'press-cap'").run(calibration);
    expect((await ofCap()).filter(({ measure }: { measure: { kind: string } }) => measure.kind === 'survey')).toEqual([]);
  });
});
