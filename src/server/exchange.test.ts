/** Lists in and out: round trips to the byte, every bad line named, all or nothing; and pressings done again. */
import { parse } from 'csv-parse/sync';
import { describe, expect, it } from 'vitest';
import { ownShop, put, request, send } from '../../test/api';
import type { ImportReply } from '../contract/schemas';
import { pressingsCsv, shelfCsv, shopJsonSchema } from '../core/formats';
import { STARTING_HOUSE } from '../core/house';
import { phraseText } from '../core/units';
import * as importRoute from '../pages/api/v1/import';
import * as pressRoute from '../pages/api/v1/presses/[id]';
import * as againRoute from '../pages/api/v1/pressings/[id]/again';
import * as pressingRoute from '../pages/api/v1/pressings/[id]/index';
import * as csvRoute from '../pages/api/v1/pressings.csv';
import * as shelfCsvRoute from '../pages/api/v1/shelf/[kind].csv';
import * as shopRoute from '../pages/api/v1/shop.json';
import * as schemaRoute from '../pages/api/v1/shop.schema.json';
import { openShop } from './db';
import { shop } from './shop';
import { freezeCard, frozenCard } from './stores/frozenCards';
import { addPressing, searchLog } from './stores/pressings';
import { listPresses, readShelf } from './stores/shelf';
import { shopJson } from './stores/shopExport';
import { planCsv, planJson, planPressingsCsv } from './stores/shopImport';

ownShop();

type Told = { done: number; of: number } | { result: ImportReply } | { problem: { detail: string; status: number } };
/** An import over the wire: every line it told. */
async function bringIn(kind: string, text: string, apply: boolean, type = 'text/csv'): Promise<Told[]> {
  const reply = await request(
    importRoute.POST,
    `/import?kind=${kind}&apply=${apply}`,
    {},
    { method: 'POST', body: text, headers: { 'content-type': type } },
  );
  return (await reply.text())
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as Told);
}
const resultOf = (told: Told[]): ImportReply => {
  const last = told.at(-1);
  if (!last || !('result' in last)) throw new Error(JSON.stringify(last));
  return last.result;
};
const empty = () => openShop(':memory:', 'drizzle');
const text = (db: Parameters<typeof shopJson>[0]) => [...shopJson(db)].join('');
const shelfCsvOf = async (kind: string) => (await request(shelfCsvRoute.GET, `/shelf/${kind}.csv`, { kind })).text();

/** Runs a plan to its end without a word of its progress. */
function planOf(reading: ReturnType<typeof planCsv>) {
  let step = reading.next();
  while (!step.done) step = reading.next();
  return step.value;
}

describe('the whole shop as JSON', () => {
  it('out, into an empty database, and out again: the same to the byte', async () => {
    const first = await (await request(shopRoute.GET, '/shop.json')).text();
    const other = empty();
    const plan = planJson(other.db, first);
    expect(plan.faults.list).toEqual([]);
    plan.apply();
    expect(text(other.db)).toBe(first);
    expect(searchLog(other.db, { q: 'curlew', limit: 50 }).total).toBe(searchLog(shop().db, { q: 'curlew', limit: 50 }).total);
    // the same file once more changes nothing
    const twice = planJson(other.db, first);
    expect(twice.changes).toEqual([]);
    twice.apply();
    expect(text(other.db)).toBe(first);
  });
  it('is what its published schema says, for all that a schema can say', async () => {
    const published = await (await request(schemaRoute.GET, '/shop.schema.json')).json();
    expect(published).toEqual(JSON.parse(JSON.stringify(shopJsonSchema())));
    const doc = JSON.parse(text(shop().db));
    expect(Object.keys(doc).every((key) => key in published.properties)).toBe(true);
    expect(published.required).toEqual(expect.arrayContaining(['format', 'version']));
  });
  it.each([
    ['cut short', (whole: string) => whole.slice(0, whole.length / 2), /This file is not whole/],
    ['some other JSON', () => '{"orders": []}', /not a Tidy Beacon shop/],
    ['of a newer app', (whole: string) => whole.replace('"version": 3', '"version": 9'), /version 9; this app reads up to 3/],
  ])('a file that is %s is refused in words', async (_, spoil, words) => {
    const told = await bringIn('shop', spoil(text(shop().db)), true, 'application/json');
    expect(told.at(-1)).toMatchObject({ problem: { status: 422, detail: expect.stringMatching(words) } });
  });
  it('one bad record refuses the whole file, named by its place; a card changed by hand is found out', async () => {
    const before = text(shop().db);
    const doc = JSON.parse(before);
    doc.products[3].stages = [];
    doc.fabrics[1].composition = [{ fibre: 'straw', percent: 100 }];
    doc.house.room.tempC = 30;
    const { faults, applied } = resultOf(await bringIn('shop', JSON.stringify(doc), true, 'application/json'));
    expect(applied).toBe(false);
    expect(faults).toMatchObject(
      expect.arrayContaining([
        { line: 4, field: 'products.3.stages', message: expect.stringMatching(/needs a press stage/) },
        expect.objectContaining({ line: 2, field: 'fabrics.1.composition.0.fibre' }),
      ]),
    );
    expect(text(shop().db)).toBe(before);
    const forged = JSON.parse(before);
    forged.cards[0].card.set.tempC += 5;
    expect(resultOf(await bringIn('shop', JSON.stringify(forged), true, 'application/json')).faults).toMatchObject([
      { field: 'cards.0.hash' },
    ]);
    const dangling = JSON.parse(before);
    dangling.blanks[0].fabricId = 'fabric-moonlight';
    expect(resultOf(await bringIn('shop', JSON.stringify(dangling), false, 'application/json')).faults[0]?.message).toMatch(
      /neither on the shelf nor in this file/,
    );
  });
  it('says what would change before it does', async () => {
    const doc = JSON.parse(text(shop().db));
    doc.fabrics[0].massGsm += 20;
    doc.aids.push({ ...doc.aids[0], id: 'aid-new', name: 'a new sheet' });
    const asked = resultOf(await bringIn('shop', JSON.stringify(doc), false, 'application/json'));
    expect(asked).toMatchObject({ applied: false, faults: [] });
    expect(asked.changes).toMatchObject([
      { kind: 'fabric', what: 'changed', fields: ['massGsm'] },
      { kind: 'cover or pad', what: 'added', name: 'a new sheet' },
    ]);
    expect(readShelf(shop().db).aids).toHaveLength(doc.aids.length - 1);
    expect(resultOf(await bringIn('shop', JSON.stringify(doc), true, 'application/json')).applied).toBe(true);
    expect(readShelf(shop().db).aids).toHaveLength(doc.aids.length);
  });
});

describe('the shelf as CSV', () => {
  it.each(['fabrics', 'blanks', 'products', 'aids', 'tested', 'parcels'] as const)(
    '%s out, into an empty database, out again: the same for what CSV holds',
    async (kind) => {
      const first = await shelfCsvOf(kind);
      const other = empty();
      if (kind === 'blanks') planOf(planCsv(other.db, 'fabrics', await shelfCsvOf('fabrics'))).apply();
      // a test or a parcel names a transfer, a test a press and a material, which must be there
      const isNaming = kind === 'tested' || kind === 'parcels';
      if (isNaming) planJson(other.db, JSON.stringify({ ...JSON.parse(text(shop().db)), [kind]: [] })).apply();
      const plan = planOf(planCsv(other.db, kind, first));
      expect(plan.faults.list).toEqual([]);
      plan.apply();
      const again = planOf(planCsv(shop().db, kind, first));
      expect([again.changes, again.faults.list]).toEqual([[], []]);
      const rows = (csv: string) => parse(csv, { columns: true, bom: true }) as { id: string }[];
      const back = rows(shelfCsv(kind, readShelf(other.db)[kind] as never));
      expect(back).toEqual(rows(first));
    },
  );
  it('five thousand lines with every tenth bad: progress, every bad line named with its reason, nothing done', async () => {
    const [head = '', row = ''] = (await shelfCsvOf('fabrics'))
      .split('\r\n')
      .filter((line, i) => i === 0 || line.startsWith('fabric-cotton,'));
    const lines = Array.from({ length: 5000 }, (_, i) => {
      const good = row.replace('fabric-cotton', `fabric-${i}`);
      return i % 10 === 9 ? good.replace('100 cotton', '100 moonbeam') : good;
    });
    const told = await bringIn('fabrics', [head, ...lines].join('\r\n'), true);
    expect(told.filter((message) => 'done' in message).length).toBeGreaterThanOrEqual(19);
    const { faults, faultCount, applied } = resultOf(told);
    expect(applied).toBe(false);
    expect(faultCount).toBe(500);
    expect(faults).toHaveLength(200);
    expect(faults[0]).toEqual({ line: 11, field: 'composition', message: expect.stringMatching(/“moonbeam” is no fibre we know/) });
    expect(faults.at(-1)?.line).toBe(2001);
    expect(readShelf(shop().db).fabrics.some((fabric) => fabric.id === 'fabric-0')).toBe(false);
  });
  it.each([
    [
      'no heading for the id',
      (csv: string) => csv.replace('id,', 'key,'),
      { line: 1, field: 'id', message: expect.stringMatching(/must name the columns/) },
    ],
    [
      'a family nobody knows',
      (csv: string) => csv.replace(/(\r\nproduct-wren,[^,]*,[^,]*),stretch-film/, '$1,stretchy').replace('product-wren', 'product-new'),
      { line: expect.any(Number), field: 'family', message: expect.stringMatching(/is no family/) },
    ],
    [
      'a word for a figure',
      (csv: string) => csv.replace('132–148', 'warm'),
      { line: expect.any(Number), field: 'temp_c', message: expect.stringMatching(/“warm” is not a temperature/) },
    ],
    [
      'an older sheet',
      (csv: string) => csv.replace('Plover sheet 12,2026-02-10', 'Plover sheet 12,2024-02-10'),
      { line: expect.any(Number), field: 'sheet_date', message: expect.stringMatching(/which is older/) },
    ],
    [
      'an id twice',
      (csv: string) => `${csv}${csv.split('\r\n')[1]}\r\n`,
      { line: expect.any(Number), field: 'id', message: expect.stringMatching(/stands already on line 2/) },
    ],
  ])('%s', async (_, spoil, fault) => {
    expect(resultOf(await bringIn('products', spoil(await shelfCsvOf('products')), true)).faults).toContainEqual(fault);
  });
  it('a cell a spreadsheet would run is made harmless, and comes back as it was', async () => {
    const [aid] = readShelf(shop().db).aids;
    const note = '=HYPERLINK("http://x")';
    const csv = (await shelfCsvOf('aids')).replace(/(\r\n[^,]*,[^,]*,[^,]*,[^,]*,[^,]*),([^,\r]*),/, `$1,"${note.replaceAll('"', '""')}",`);
    resultOf(await bringIn('aids', csv, true));
    expect(readShelf(shop().db).aids.find((candidate) => candidate.id === aid?.id)?.note).toBe(note);
    expect(await shelfCsvOf('aids')).toContain("'=HYPERLINK");
    expect(resultOf(await bringIn('aids', await shelfCsvOf('aids'), false)).changes).toEqual([]);
  });
});

describe('the log as CSV', () => {
  it('out, into an empty database, out again: the same, and a pressing without its card still opens', async () => {
    const csv = async () => (await request(csvRoute.GET, '/pressings.csv')).text();
    const first = await csv();
    const other = empty();
    planOf(planPressingsCsv(other.db, first)).apply();
    const { pressings } = searchLog(other.db, { limit: 1000 });
    expect(pressingsCsv(pressings).slice(1)).toBe(first);
    expect(pressings.filter((p) => p.person).length).toBe(6);
    const again = resultOf(await bringIn('pressings', first, true));
    expect(again).toMatchObject({ changes: [], same: 101, faults: [] });
    const changed = resultOf(await bringIn('pressings', first.replace(',good,', ',spoiled,'), true));
    expect(changed.faults[0]?.message).toMatch(/written once/);
  });
  it('pieces that ended in one instant keep their order, out and in again', async () => {
    const { db } = shop();
    const [model] = searchLog(db, { limit: 1 }).pressings;
    if (!model) throw new Error('the demo shop has pressings');
    const { withdrawn: _, amendments: __, ...pressing } = model;
    for (let i = 1; i <= 5; i++)
      addPressing(db, { ...pressing, id: `00000000-0000-4000-8000-00000000000${i}`, piece: i, note: 'one instant' }, false);
    const first = await (await request(csvRoute.GET, '/pressings.csv')).text();
    const other = empty();
    planOf(planPressingsCsv(other.db, first)).apply();
    const { pressings } = searchLog(other.db, { q: 'one instant', limit: 10 });
    expect(pressings.map((pressing) => pressing.piece)).toEqual([5, 4, 3, 2, 1]);
  });
  it('a bad cell is named by the line it stands on, even after notes of several lines and empty lines', async () => {
    const first = await (await request(csvRoute.GET, '/pressings.csv')).text();
    const [heading = '', one = '', two = '', three = ''] = first.split('\r\n');
    const note = one.replace(',good,', ',"in two\nlines",');
    const told = resultOf(await bringIn('pressings', [heading, '', note, two, three.replace(',good,', ',splendid,')].join('\r\n'), false));
    expect(told.faults.map(({ line, field }) => [line, field])).toEqual([
      [4, 'outcome'],
      [6, 'outcome'],
    ]);
  });
  it('a list of something else is told by its missing columns, once', async () => {
    const told = resultOf(await bringIn('pressings', 'id,name\r\n1,one\r\n2,two\r\n', false));
    expect(told.faults).toEqual([
      { line: 1, field: 'pressing, ended', message: 'The first line must name the columns; pressing and ended are missing.' },
    ]);
  });
});

describe('a pressing again', () => {
  const idOf = (q: string) => searchLog(shop().db, { q, outcome: 'good', limit: 1 }).pressings[0]?.id ?? '';
  const again = (id: string) => send(againRoute.GET, `/pressings/${id}/again`, { id });
  it('has its card as it was, and makes an order with the same card', async () => {
    const id = idOf('first nebula');
    const { body } = await send(pressingRoute.GET, `/pressings/${id}`, { id });
    expect(body.card.of).toMatchObject({ productName: 'Curlew Two-Sheet', printKey: 'a' });
    const { order, changes } = (await again(id)).body;
    expect(changes).toEqual([]);
    expect(order).toMatchObject({
      name: 'First nebula tees, again',
      again: 'order-past-nebula',
      lines: [{ count: 10, prints: [{ choices: {} }] }],
    });
  });
  it('tells what changed since on shelf and press, and keeps the set values', async () => {
    const id = idOf('first nebula');
    const before = (await send(pressingRoute.GET, `/pressings/${id}`, { id })).body.card.set;
    const press = listPresses(shop().db).rows.find((row) => row.doc.id === 'press-swing');
    const measured = { ...press?.doc, calibration: { offsetK: 1, spreadK: 3, on: '2026-11-20', how: 'probe' } };
    await put(pressRoute.PUT, '/presses/press-swing', { id: 'press-swing' }, measured, `"${press?.version}"`);
    const { order, changes } = (await again(id)).body;
    const words = changes.map((change: Parameters<typeof phraseText>[0]) => phraseText(change, STARTING_HOUSE.units));
    expect(words).toEqual(
      expect.arrayContaining([expect.stringMatching(/^Swing-away ran .* off its readout/), expect.stringMatching(/^It was set to 284/)]),
    );
    expect(order.lines[0].prints[0].choices).toMatchObject({ setC: before.tempC });
  });
  it('goes where its card says, whatever words a later version has for that', async () => {
    const db = shop().db;
    const [pressing] = searchLog(db, { q: 'first nebula', limit: 1 }).pressings;
    if (!pressing) throw new Error('the demo shop has none');
    const old = frozenCard(db, pressing.cardHash);
    const cardHash = freezeCard(db, { ...old, of: { ...old.of, place: 'sleeve', side: 'left', position: 'arm on the heart side' } });
    addPressing(db, { ...pressing, id: '00000000-0000-4000-8000-00000000000b', lineId: 'line-gone', cardHash }, false);
    const { order } = (await again('00000000-0000-4000-8000-00000000000b')).body;
    expect(order.lines[0].prints[0]).toMatchObject({ position: 'sleeve', side: 'left' });
  });
  it('a pressing nobody knows, and one without its card', async () => {
    expect((await again('00000000-0000-4000-8000-00000000ffff')).status).toBe(404);
    const csv = (await (await request(csvRoute.GET, '/pressings.csv')).text()).split('\r\n');
    const stray = csv[1]
      ?.replace(/^[^,]*/, '00000000-0000-4000-8000-00000000000a')
      .replace(/run-[a-z-]+,[0-9a-f]{64}/, `run-elsewhere,${'c'.repeat(64)}`);
    resultOf(await bringIn('pressings', [csv[0], stray].join('\r\n'), true));
    expect(await again('00000000-0000-4000-8000-00000000000a')).toMatchObject({ status: 409, body: { title: 'No card' } });
  });
});
