/** What a file may bring of the past, and what it may not: everything is read, referenced, named and counted before anything is written. */

import { describe, expect, it } from 'vitest';
import { ownShop, request, send } from '../../test/api';
import { fileOfOrders, impossibleHeating } from '../../test/hard';
import { isWhole } from '../../test/runs';
import type { ImportReply } from '../contract/schemas';
import * as benchRoute from '../pages/api/v1/bench';
import * as importRoute from '../pages/api/v1/import';
import * as logRoute from '../pages/api/v1/pressings/index';
import * as railRoute from '../pages/api/v1/rail/index';
import { openShop } from './db';
import { shop } from './shop';
import { readShelf } from './stores/shelf';
import { shopJson } from './stores/shopExport';
import { planJson } from './stores/shopImport';

ownShop();

// biome-ignore lint/suspicious/noExplicitAny: documents that are spoiled on purpose
type Doc = any;
const whole = (): Doc => JSON.parse([...shopJson(shop().db)].join(''));
async function bringIn(kind: string, body: string | Uint8Array, apply: boolean, type = 'application/json'): Promise<ImportReply> {
  const init = {
    method: 'POST',
    body: typeof body === 'string' ? body : new Blob([body as BlobPart]),
    headers: { 'content-type': type },
    duplex: 'half',
  };
  const reply = await request(importRoute.POST, `/import?kind=${kind}&apply=${apply}`, {}, init as RequestInit);
  const last = JSON.parse((await reply.text()).trim().split('\n').at(-1) ?? '{}');
  if (!last.result) throw new Error(JSON.stringify(last));
  return last.result;
}
const spoiled = (change: (doc: Doc) => void): string => {
  const doc = whole();
  change(doc);
  return JSON.stringify(doc);
};
const stands = async () => {
  for (const [route, address] of [
    [benchRoute, '/bench'],
    [railRoute, '/rail'],
    [logRoute, '/pressings'],
  ] as const)
    expect(await send(route.GET, address)).toMatchObject({ status: 200, body: { unreadable: [] } });
};
const id = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;

describe('a file with a fault in its past', () => {
  const run = (doc: Doc, over: object) => doc.runs.push({ ...doc.runs[0], id: 'run-new', ...over });
  it.each<[string, (doc: Doc) => void, RegExp]>([
    [
      'a pressing of a known run with an unknown card',
      (doc) => doc.pressings.push({ ...doc.pressings[0], id: id(1), cardHash: 'f'.repeat(64) }),
      /another card than its run/,
    ],
    [
      'a pressing whose verdict its run does not have',
      (doc) => doc.pressings.push({ ...doc.pressings[0], id: id(1) }),
      /not among the steps of its run/,
    ],
    [
      'a card that is none',
      (doc) => doc.cards.push({ hash: '44136fa355b3678a1146ad16f7e8649e94fb4fc21fe77e8310c060f61caaff8a', version: 2, card: {} }),
      /no card of version 2/,
    ],
    ['an open run of an unknown order', (doc) => run(doc, { orderId: 'order-moon', endedAt: null }), /names the order order-moon/],
    ['a run of an unknown card', (doc) => run(doc, { cardHash: 'e'.repeat(64) }), /names the card e{64}/],
    ['a run on an unknown press', (doc) => run(doc, { pressId: 'press-moon' }), /names the press press-moon/],
    ['a run of no pieces', (doc) => run(doc, { pieces: 0 }), /at least 1/],
    ['a run of a thousand million pieces', (doc) => run(doc, { pieces: 1e9 }), /at most 1000/],
    ['a run of a machine nobody has', (doc) => run(doc, { machine: 7 }), /pressed with a newer app/],
    [
      'steps of a run that is not there',
      (doc) => doc.events.push({ ...doc.events[0], runId: 'run-moon', event: { ...doc.events[0].event, id: id(2) } }),
      /run-moon, which is not in this file/,
    ],
    ['steps with a gap', (doc) => doc.events.splice(3, 1), /have a gap|cannot have happened|not among the steps/],
    [
      'steps in another order',
      (doc) => {
        [doc.events[0].event, doc.events[1].event] = [doc.events[1].event, doc.events[0].event];
      },
      /its steps are others|cannot have happened/,
    ],
    [
      'an amendment of a pressing nobody has',
      (doc) => doc.amendments.push({ id: id(3), pressingId: id(4), field: 'note', from: '', to: 'x', by: '', why: '', at: 1 }),
      /neither here nor in this file/,
    ],
    [
      'a record of a press nobody has',
      (doc) =>
        doc.pressRecords.push({
          id: 'r1',
          pressId: 'press-moon',
          kind: 'heating time',
          at: 1,
          by: '',
          note: '',
          fromC: 20,
          toC: 150,
          seconds: 900,
          roomC: 20,
        }),
      /press-moon/,
    ],
    ['a heating time that cannot be', (doc) => doc.pressRecords.push(impossibleHeating('r1')), /^No press heats so fast/],
    ['an order taken off that is not there', (doc) => doc.removed.push({ id: 'order-moon', at: 1 }), /no order order-moon/],
    ['the same id twice', (doc) => doc.fabrics.push(doc.fabrics[0]), /stands already at place 1/],
    ['nothing where a record should be', (doc) => doc.fabrics.push(null), /must be a record/],
    [
      'a word where a list should be',
      (doc) => {
        doc.orders = 'none';
      },
      /must be a list/,
    ],
  ])('%s is refused by its place, nothing is written, and every page stands', async (_, spoil, words) => {
    const before = [...shopJson(shop().db)].join('');
    const { faults, faultCount, applied } = await bringIn('shop', spoiled(spoil), true);
    expect(applied).toBe(false);
    expect(faultCount).toBeGreaterThan(0);
    expect(faults.map(({ message }) => message).join(' | ')).toMatch(words);
    expect([...shopJson(shop().db)].join('')).toBe(before);
    await stands();
  });
  it.runIf(isWhole)('a hundred thousand bad records are counted, and the first of them named', async () => {
    const doc = { format: 'tidy-beacon shop', version: 2, amendments: Array.from({ length: 100_000 }, () => ({})) };
    const { faults, faultCount } = await bringIn('shop', JSON.stringify(doc), true);
    expect(faults).toHaveLength(200);
    expect(faultCount).toBeGreaterThanOrEqual(100_000);
  });
  it.runIf(isWhole)('eighteen megabytes of empty orders are more than a file may hold', async () => {
    const { faults } = await bringIn('shop', fileOfOrders(150_000), true);
    expect(faults[0]?.message).toMatch(/A file may hold 100000 orders; this one has 150000/);
    await stands();
  });
});

describe('the preview', () => {
  it('names and counts the past too: orders taken off, withdrawn pressings, runs, steps, cards, records', async () => {
    const other = openShop(':memory:', 'drizzle');
    const text = [...shopJson(shop().db)].join('');
    const { counts } = planJson(other.db, text);
    const n = (kind: string, what: string) => counts.find((count) => count.kind === kind && count.what === what)?.n ?? 0;
    const doc = whole();
    expect([
      n('run', 'added'),
      n('step of a run', 'added'),
      n('frozen card', 'added'),
      n('pressing', 'added'),
      n('order', 'taken off'),
    ]).toEqual([doc.runs.length, doc.events.length, doc.cards.length, 101, doc.removed.length]);
    const undone = spoiled((entry) => {
      entry.removed = entry.orders.map((order: { id: string }) => ({ id: order.id, at: 5 }));
      entry.amendments = entry.pressings.map((p: { id: string }, i: number) => ({
        id: id(i),
        pressingId: p.id,
        field: 'standing',
        from: 'counts',
        to: 'withdrawn',
        by: 'QA',
        why: 'x',
        at: 6,
      }));
    });
    const asked = await bringIn('shop', undone, false);
    expect(asked.counts).toEqual(
      expect.arrayContaining([
        { kind: 'order', what: 'taken off', n: 13 },
        { kind: 'pressing', what: 'withdrawn', n: 101 },
      ]),
    );
    expect(asked.changes).toContainEqual(expect.objectContaining({ what: 'taken off', name: 'Guide tees, open night' }));
  });
  it('a run that has gone on elsewhere brings only what is new of it', async () => {
    const behind = openShop(':memory:', 'drizzle');
    planJson(
      behind.db,
      spoiled((doc) => {
        const last = doc.events.findLastIndex(({ runId }: { runId: string }) => runId === 'run-guide-m');
        const [gone] = doc.events.splice(last, 1);
        doc.pressings = doc.pressings.filter((p: { id: string }) => p.id !== gone.event.id);
      }),
    ).apply();
    const plan = planJson(behind.db, [...shopJson(shop().db)].join(''));
    expect(plan.faults.list).toEqual([]);
    expect(plan.counts).toEqual(
      expect.arrayContaining([
        { kind: 'run', what: 'changed', n: 1 },
        { kind: 'step of a run', what: 'added', n: 1 },
      ]),
    );
    plan.apply();
    expect([...shopJson(behind.db)].join('')).toBe([...shopJson(shop().db)].join(''));
  });
});

describe('a list as spreadsheets of many countries write it', () => {
  const HEAD = 'id;name;material;composition;build;texture;mass_gsm;thickness_mm;stretch_percent;finish;dye_risk;clear';
  const row = (id: string, name: string) => `${id};${name};cloth;100 cotton;knit;smooth;180,5;0,45;5;none;none;no`;
  it('with semicolons and decimal commas is read', async () => {
    const reply = await bringIn('fabrics', `${HEAD}\r\n${row('fabric-komma', 'Jersey')}\r\n`, true, 'text/csv');
    expect(reply).toMatchObject({ applied: true, faults: [], counts: [{ kind: 'fabric', what: 'added', n: 1 }] });
    expect(readShelf(shop().db).fabrics.find((fabric) => fabric.id === 'fabric-komma')).toMatchObject({
      massGsm: 180.5,
      thicknessMm: 0.45,
    });
  });
  it('in Latin-1 has its letters right, and says so', async () => {
    const bytes = Buffer.from(`${HEAD}\n${row('fabric-latin', 'Flanell für Köln')}\n`, 'latin1');
    const reply = await bringIn('fabrics', bytes, true, 'text/csv');
    expect(reply.notes[0]).toMatch(/not in UTF-8; it was read as Windows-1252/);
    expect(readShelf(shop().db).fabrics.find((fabric) => fabric.id === 'fabric-latin')?.name).toBe('Flanell für Köln');
  });
  it('in UTF-16 is read as that', async () => {
    const bytes = Buffer.concat([Buffer.from([0xff, 0xfe]), Buffer.from(`${HEAD}\n${row('fabric-wide', 'Ўзбек жерси')}\n`, 'utf16le')]);
    await bringIn('fabrics', bytes, true, 'text/csv');
    expect(readShelf(shop().db).fabrics.find((fabric) => fabric.id === 'fabric-wide')?.name).toBe('Ўзбек жерси');
  });
  it('a full-width sign of a formula is guarded on the way out, and comes back as it was, however often', async () => {
    const { shelfCsv } = await import('../core/formats');
    const [aid] = readShelf(shop().db).aids;
    if (!aid) throw new Error('the demo has aids');
    let note = '＝1+1';
    for (let i = 0; i < 3; i++) {
      await bringIn('aids', shelfCsv('aids', [{ ...aid, note }]), true, 'text/csv');
      note = readShelf(shop().db).aids.find((candidate) => candidate.id === aid.id)?.note ?? '';
    }
    expect(note).toBe('＝1+1');
  });
});
