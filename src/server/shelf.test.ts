/** The shelf over the wire: changed by one, told to the other, retired, and which transfer suits. */
import { describe, expect, it } from 'vitest';
import { ownShop, put, send } from '../../test/api';
import type { Product } from '../core/sheet';
import * as rosterRoute from '../pages/api/v1/compute/roster';
import * as eventRoute from '../pages/api/v1/runs/[id]/events/[eventId]';
import * as blankRoute from '../pages/api/v1/shelf/blanks/[id]';
import * as fabricRoute from '../pages/api/v1/shelf/fabrics/[id]';
import * as shelfRoute from '../pages/api/v1/shelf/index';
import * as productRoute from '../pages/api/v1/shelf/products/[id]';
import * as whichRoute from '../pages/api/v1/which-transfer';
import { shop } from './shop';
import { startRun } from './stores/runs';

ownShop();

const shelf = async () => (await send(shelfRoute.GET, '/shelf')).body;
const product = async (id: string): Promise<{ doc: Product; version: string }> => {
  const all = await shelf();
  return { doc: all.products.find((product: Product) => product.id === id), version: `"${all.versions[id]}"` };
};
const putProduct = (doc: Product, ifMatch?: string) => put(productRoute.PUT, `/shelf/products/${doc.id}`, { id: doc.id }, doc, ifMatch);

describe('a thing of the shelf', () => {
  it('is changed by who has seen the newest; the second is told, and nothing of the first is lost', async () => {
    const { doc, version } = await product('product-wren');
    expect(await putProduct({ ...doc, care: 'Cool wash.' }, version)).toMatchObject({ status: 200, etag: '"2"' });
    expect(await putProduct({ ...doc, name: 'Wren Extra' }, version)).toMatchObject({ status: 412 });
    expect((await product('product-wren')).doc).toMatchObject({ name: 'Wren Stretch', care: 'Cool wash.' });
  });
  it('that was removed and added anew with the same id is the new one, though its version is the first again', async () => {
    const fabric = { ...(await shelf()).fabrics[0], id: 'cloth-new', name: 'the first' };
    const putCloth = (name: string) => put(fabricRoute.PUT, '/shelf/fabrics/cloth-new', { id: 'cloth-new' }, { ...fabric, name });
    const nameNow = async () => (await shelf()).fabrics.find(({ id }: { id: string }) => id === 'cloth-new')?.name;
    await putCloth('the first');
    expect(await nameNow()).toBe('the first');
    const params = { id: 'cloth-new' };
    const gone = await send(fabricRoute.DELETE, '/shelf/fabrics/cloth-new', params, { method: 'DELETE', headers: { 'if-match': '"1"' } });
    expect(gone.status).toBe(200);
    await putCloth('the second');
    expect(await nameNow()).toBe('the second');
  });
  it('a newer sheet keeps the older; an older one is refused by name', async () => {
    const { doc, version } = await product('product-wren');
    const newer = await putProduct({ ...doc, source: { sheet: 'Plover sheet 14', on: '2026-09-01' } }, version);
    expect(newer.body.doc.earlier).toMatchObject([{ source: { sheet: 'Plover sheet 12', on: '2026-02-10' } }]);
    const older = await putProduct({ ...doc, source: { sheet: 'an old leaflet', on: '2025-01-01' } }, newer.etag ?? '');
    expect(older).toMatchObject({ status: 422, body: { errors: [{ field: 'source.on' }] } });
    expect(older.body.detail).toMatch(/holds the sheet of 2026-09-01; this one is of 2025-01-01, which is older/);
  });
  it.each([
    ['without stages', { stages: [] }, 'stages'],
    [
      'with a minimum over its maximum',
      {
        stages: [
          {
            kind: 'press',
            tempC: { form: 'range', min: 170, max: 150 },
            timeS: { form: 'range', min: 5, max: 9 },
            pressure: { asStated: 'x', band: 'firm' },
            cover: 'avoid',
            coverKind: 'ptfe',
            peel: 'hot',
            timer: 1,
          },
        ],
      },
      'stages.0.tempC.min',
    ],
    ['with an unknown fibre', { fibresAllowed: ['straw'] }, 'fibresAllowed.0'],
  ])('%s is refused, naming the field', async (_, change, field) => {
    const { doc, version } = await product('product-wren');
    const reply = await putProduct({ ...doc, ...change } as Product, version);
    expect(reply.status).toBe(422);
    expect(reply.body.errors.map((error: { field: string }) => error.field)).toContain(field);
    expect((await product('product-wren')).doc).toEqual(doc);
  });
  it('what an order names can be retired, not removed; what nothing names can go again', async () => {
    const gone = await send(productRoute.DELETE, '/shelf/products/product-wren', { id: 'product-wren' }, { method: 'DELETE' });
    expect(gone).toMatchObject({ status: 409 });
    expect(gone.body.detail).toMatch(/named by order Guide tees.*Retire it instead/);
    const { doc, version } = await product('product-wren');
    expect((await putProduct({ ...doc, retiredOn: '2026-11-25' }, version)).status).toBe(200);
    const copy = { ...doc, id: 'product-copy', name: 'a copy' };
    expect((await putProduct(copy)).status).toBe(200);
    expect((await send(productRoute.DELETE, '/shelf/products/product-copy', { id: 'product-copy' }, { method: 'DELETE' })).status).toBe(
      200,
    );
    expect((await product('product-copy')).doc).toBeUndefined();
  });
  it('a blank of a fabric that is not there, and an acrylic of which nobody said how it was made', async () => {
    const { blanks, fabrics, versions } = await shelf();
    const blank = { ...blanks[0], fabricId: 'fabric-moonlight' };
    expect(await put(blankRoute.PUT, `/shelf/blanks/${blank.id}`, { id: blank.id }, blank, `"${versions[blank.id]}"`)).toMatchObject({
      status: 422,
      body: { errors: [{ field: 'fabricId' }] },
    });
    const { acrylic: _, ...unsaid } = fabrics.find((fabric: { id: string }) => fabric.id === 'fabric-clear');
    const reply = await put(fabricRoute.PUT, '/shelf/fabrics/fabric-clear', { id: 'fabric-clear' }, unsaid, '"1"');
    expect(reply.body.errors).toMatchObject([{ field: 'acrylic', message: expect.stringMatching(/Cast, extruded or unknown/) }]);
  });
});

describe('which transfer', () => {
  const wish = {
    blankId: 'blank-crew-tee',
    shade: 'dark',
    size: '',
    artKind: 'full colour',
    widthMm: 200,
    heightMm: 200,
    count: 12,
    duty: 'laundered',
  };
  const rank = (body: object) => send(whichRoute.POST, '/which-transfer', {}, { method: 'POST', body: JSON.stringify(body) });
  it('ranks the whole shelf for a blank', async () => {
    const { ranked } = (await rank(wish)).body;
    expect(ranked.length).toBe(24);
    expect(ranked[0]).toMatchObject({ lamp: 'clear', suitsArt: true, onShelf: true });
    expect(ranked.map((entry: { lamp: string }) => entry.lamp).lastIndexOf('care')).toBeLessThan(
      ranked.findIndex((candidate: { lamp: string }) => candidate.lamp === 'hold'),
    );
  });
  it('art of no size and a blank nobody knows are refused', async () => {
    expect((await rank({ ...wish, widthMm: 0 })).body.errors[0].field).toBe('widthMm');
    expect((await rank({ ...wish, blankId: 'blank-moon' })).status).toBe(404);
  });
});

describe('a roster', () => {
  const read = async (text: string, pieces: number) =>
    (await send(rosterRoute.POST, '/compute/roster', {}, { method: 'POST', body: JSON.stringify({ text, pieces }) })).body;
  it.each([
    [
      'number and name',
      '7, Ines\n9, Bao',
      [
        { number: '7', name: 'Ines' },
        { number: '9', name: 'Bao' },
      ],
    ],
    [
      'a heading in any order, semicolons',
      'Name;No\nInes;7\nBao;9',
      [
        { number: '7', name: 'Ines' },
        { number: '9', name: 'Bao' },
      ],
    ],
    [
      'numbers alone',
      '7\n9',
      [
        { number: '7', name: '' },
        { number: '9', name: '' },
      ],
    ],
    [
      'names alone',
      'Ines\nBao',
      [
        { number: '', name: 'Ines' },
        { number: '', name: 'Bao' },
      ],
    ],
  ])('is read: %s', async (_, text, roster) => expect(await read(text, 2)).toEqual({ roster, faults: [] }));
  it.each([
    ['fewer entries than pieces', '7\n9', 3, { line: 0, message: 'The list has 2 entries for 3 pieces. Every piece needs its own.' }],
    ['a number twice', '7, Ines\n9, Bao\n7, Oda', 3, { line: 3, message: 'Number 7 stands already on line 1.', number: '7' }],
    ['broken quotes', '"7, Ines\n9', 2, { line: 0, message: expect.stringMatching(/cannot be read as a list/) }],
  ])('is refused: %s', async (_, text, pieces, fault) => expect((await read(text, pieces)).faults).toContainEqual(fault));
});

describe('taking a thing off the shelf', () => {
  const remove = (kind: 'fabrics' | 'products' | 'blanks', id: string) =>
    send(
      { fabrics: fabricRoute, products: productRoute, blanks: blankRoute }[kind].DELETE,
      `/shelf/${kind}/${id}`,
      { id },
      { method: 'DELETE' },
    );
  const copyOf = async (id: string, as: string) => {
    const { doc } = await product(id);
    await putProduct({ ...doc, id: as, name: as });
  };
  it.each([
    [
      'a setting of the house',
      'a setting of the house',
      "UPDATE house SET doc = json_set(doc, '$.settings', json_array(json_object('pressId', 'press-swing', 'productId', 'product-x', 'of', 'time', 'value', 9, 'on', '2026-01-01', 'good', 1, 'spoiled', 0))), version = version + 1",
    ],
    [
      'a record of a press',
      'a record of a press',
      `INSERT INTO press_records VALUES ('rot', 'press-swing', 'rotate test', 1, '{"id":"rot","pressId":"press-swing","kind":"rotate test","at":1,"by":"","note":"","productId":"product-x","badStayedWith":"press"}')`,
    ],
    [
      'an order that cannot be read',
      'order',
      `INSERT INTO orders (id, version, due, doc) VALUES ('torn', 1, '2026-01-01', '{"lines":["product-x"]}')`,
    ],
  ])('that %s names is refused', async (_, words, sql) => {
    await copyOf('product-wren', 'product-x');
    shop().sqlite.exec(sql);
    expect(await remove('products', 'product-x')).toMatchObject({ status: 409, body: { detail: expect.stringContaining(words) } });
    expect((await product('product-x')).doc.name).toBe('product-x');
  });
  it('that nothing names goes, and an id that begins alike is no name of it', async () => {
    await copyOf('product-wren', 'product-x');
    await copyOf('product-wren', 'product');
    expect((await remove('products', 'product')).status).toBe(200);
    expect((await remove('products', 'product-x')).status).toBe(200);
  });
});

describe('an id that was used for something else', () => {
  it('of a step of a run is refused, not answered as if it were taken', async () => {
    const { db } = shop();
    startRun(db, 'run-twice', { orderId: 'order-crew-tees', lineId: 'line-crew-m', operator: 'QA' }, Date.now());
    const event = { id: '00000000-0000-4000-8000-0000000000aa', at: Date.now(), kind: 'checked', check: 'rest' } as const;
    const address = `/runs/run-twice/events/${event.id}`;
    const take = (body: object) => put(eventRoute.PUT, address, { id: 'run-twice', eventId: event.id }, body);
    expect((await take(event)).status).toBe(200);
    // dated anew by a device that was told the time is the same step
    expect((await take({ ...event, at: event.at + 5000 })).status).toBe(200);
    expect(await take({ ...event, check: 'another point' })).toMatchObject({
      status: 422,
      body: { detail: expect.stringMatching(/used for another step/) },
    });
  });
});
