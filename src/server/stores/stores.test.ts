/** The demo shop and the stores over it, on a database in memory. */
import { join } from 'node:path';
import { beforeAll, describe, expect, it } from 'vitest';
import { CardSchema } from '../../core/card';
import { cueOf, factOf, type RunEvent } from '../../core/run';
import { toInside } from '../../core/units';
import { dayOf } from '../day';
import { openShop, type Shop } from '../db';
import { bench, orderReply } from './bench';
import { cardsOf, cardsOfOrder, judgedOrder, readFacts } from './cards';
import { loadDemoShop } from './demoShop';
import { freezeCard, frozenCard } from './frozenCards';
import { putHouse, readHouse } from './house';
import { beginShop } from './newShop';
import { openRun } from './openedRun';
import { findOrder, putOrder, removeOrder } from './orders';
import { addPressing, logNames, searchLog } from './pressings';
import { readRail } from './rail';
import { startRun, takeEvent } from './runs';
import { listPresses, putPress, readShelf } from './shelf';
import { usesSince } from './uses';

/** Nine in the morning of the day the test runs: what was measured long ago is known less well. */
const TODAY = new Date(new Date().setHours(9, 0, 0, 0));
let shop: Shop;

function fresh(fill: (shop: Shop) => void): Shop {
  const opened = openShop(':memory:', 'drizzle');
  fill(opened);
  return opened;
}

beforeAll(() => {
  shop = fresh(({ db }) => loadDemoShop(db, join(process.cwd(), 'demo'), TODAY));
});

describe('the demo shop', () => {
  it('has three presses, every family and kind of blank, and orders that hold and warn for good, different reasons', () => {
    expect(listPresses(shop.db).rows).toHaveLength(3);
    const { products, blanks } = readShelf(shop.db);
    expect(new Set(products.map((product) => product.familyId)).size).toBe(20);
    expect(new Set(blanks.map((blank) => blank.kind)).size).toBe(15);
    const rows = bench(shop.db).orders;
    expect(rows).toHaveLength(13);
    const of = (lamp: string) => rows.filter((row) => row.lamp === lamp).map((row) => row.name);
    expect(of('hold')).toEqual(['Members’ evening tees', 'Marshal windbreakers', 'Wooden tags']);
    expect(of('care')).toEqual(['Telescope-crew vests', 'Observer caps']);
    const facts = readFacts(shop.db);
    const held = rows
      .filter((row) => row.lamp === 'hold')
      .map((row) => cardsOfOrder(facts, findOrder(shop.db, row.orderId).doc)[0]?.card.lamp.findings[0]?.rule);
    expect(new Set(held).size).toBe(3);
  });
  it('counts what each press went through since the day it was measured', () => {
    const { presses, maps, today } = readFacts(shop.db);
    expect(today).toBe(dayOf(TODAY.getTime()));
    const { on } = presses.find(({ name }) => name === 'Swing-away')?.calibration ?? { on: '' };
    const since = searchLog(shop.db, { press: 'Swing-away', from: on, limit: 1 }).total;
    expect(since).toBeGreaterThan(10);
    expect(usesSince(shop.db, presses, maps).find((use) => use.pressId === 'press-swing')).toEqual({
      pressId: 'press-swing',
      on,
      closings: 2 * since,
    });
    // counted on from there as the log grows, and each day for itself
    const { db } = fresh((shop) => loadDemoShop(shop.db, join(process.cwd(), 'demo'), TODAY));
    const closings = () => usesSince(db, presses, maps).map((use) => use.closings);
    const before = closings();
    const [known] = searchLog(db, { press: 'Swing-away', limit: 1 }).pressings;
    if (!known) throw new Error('the demo log has no pressing on the swing-away');
    const { amendments: _, withdrawn: __, ...pressing } = known;
    ['Swing-away', 'Swing-away', 'another press'].forEach((pressName, i) => {
      addPressing(db, { ...pressing, pressName, id: `00000000-0000-4000-8000-00000000000${i}`, endedAt: TODAY.getTime() }, false);
    });
    const pressIds = usesSince(db, presses, maps).map((use) => use.pressId);
    expect(closings()).toEqual(before.map((n, i) => n + (pressIds[i] === 'press-swing' ? 4 : 0)));
  });
  it('whose house changes while cards are judged gives cards of the new house to who asks next', () => {
    const { db } = fresh((shop) => loadDemoShop(shop.db, join(process.cwd(), 'demo'), TODAY));
    const stored = findOrder(db, 'order-guide-tees');
    const facts = readFacts(db);
    const { doc, version } = readHouse(db);
    putHouse(db, { ...doc, rules: { ...doc.rules, coverWhenAllowed: 'always' } }, version);
    // another thread judged by what it had read before
    const [cards, judged] = [cardsOf(db, facts, stored), judgedOrder(db, facts, stored)];
    const after = readFacts(db);
    expect(cardsOf(db, after, stored)).toEqual(cardsOfOrder(after, stored.doc));
    expect(cardsOf(db, after, stored)).not.toEqual(cards);
    expect(judgedOrder(db, after, stored)).not.toBe(judged);
  });
  it('tells the rail a renamed order at once, and a step at once', () => {
    const { db } = fresh((shop) => loadDemoShop(shop.db, join(process.cwd(), 'demo'), TODAY));
    const now = TODAY.getTime();
    const { run } = startRun(db, 'run-rail', { orderId: 'order-crew-tees', lineId: 'line-crew-m', operator: 'QA' }, now);
    const here = () => readRail(db, now).runs.find((candidate) => candidate.runId === run.id);
    expect(here()?.verb).toBe('Load');
    const { doc, version } = findOrder(db, 'order-crew-tees');
    putOrder(db, { ...doc, name: 'Night crew' }, version);
    expect(here()?.label).toMatch(/^Night crew, /);
    const { plan, state } = openRun(db, run.id);
    const cue = cueOf(plan, state, now);
    const event = { ...factOf(cue, cue.act ?? 'next'), id: 'b7a0c1de-0000-4000-8000-000000000001', at: now } as RunEvent;
    takeEvent(db, run.id, event, now);
    expect(here()?.verb).not.toBe('Load');
  });
  it('says on the rail what a press is set to for the closing in hand: sheets are married hotter than they are pressed', () => {
    const { db } = fresh((shop) => loadDemoShop(shop.db, join(process.cwd(), 'demo'), TODAY));
    const now = TODAY.getTime();
    const order = findOrder(db, 'order-nebula').doc;
    const { card } = startRun(db, 'run-marry', { orderId: order.id, lineId: order.lines[0]?.id ?? '', operator: 'QA' }, now);
    const marry = card.stages.find(({ kind }) => kind === 'marry');
    const press = readRail(db, now).presses.find(({ id }) => id === card.of.pressId);
    expect(press?.setC).toBe(marry?.setC);
    expect(press?.setC).toBeGreaterThan(card.set.tempC + 5);
  });
  it('has a hundred pressings with honest failures', () => {
    const log = searchLog(shop.db, { limit: 200 });
    expect(log.total).toBe(101);
    expect(log.pressings.filter((p) => p.outcome === 'spoiled').length).toBeGreaterThan(10);
    expect(new Set(log.pressings.map((p) => p.reason)).size).toBeGreaterThan(5);
    expect(log.pressings.filter((p) => p.laidBack > 0).length).toBeGreaterThan(5);
    expect(log.pressings.filter((p) => p.person !== null)).toHaveLength(6);
  });
  it('is the same every time it is loaded on the same day', () => {
    const again = fresh(({ db }) => loadDemoShop(db, join(process.cwd(), 'demo'), TODAY));
    expect(searchLog(again.db, { limit: 200 })).toEqual(searchLog(shop.db, { limit: 200 }));
    expect(bench(again.db)).toEqual(bench(shop.db));
  });
  it('an order on Hold has ways out, and each takes it off Hold', () => {
    const facts = readFacts(shop.db);
    const [held] = cardsOfOrder(facts, findOrder(shop.db, 'order-members').doc);
    expect(held?.card.lamp.state).toBe('hold');
    expect(held?.waysOut.length).toBeGreaterThan(0);
    expect(held?.waysOut.map((way) => way.lamp)).not.toContain('hold');
  });
});

describe('the bench', () => {
  it('says what each order needs next, and counts what is left', () => {
    const [guide, members] = bench(shop.db).orders;
    expect(guide).toMatchObject({
      pieces: 20,
      good: 5,
      spoiled: 1,
      what: '12 guide tee M, 8 guide tee L',
      next: { station: 'card', lineId: 'line-guide-m', verb: 'Open the card' },
    });
    expect(guide?.minutesLeft).toBeGreaterThan(15);
    expect(members?.next).toMatchObject({ verb: 'Find a way out' });
  });
  it('an order taken off is gone from it, and back when it is put again', () => {
    const copy = fresh(({ db }) => loadDemoShop(db, join(process.cwd(), 'demo'), TODAY));
    const { doc } = findOrder(copy.db, 'order-hoodies');
    const version = removeOrder(copy.db, 'order-hoodies', 1);
    expect(bench(copy.db).orders.map((row) => row.orderId)).not.toContain('order-hoodies');
    expect(putOrder(copy.db, doc, version).version).toBe(version);
    expect(bench(copy.db).orders.map((row) => row.orderId)).toContain('order-hoodies');
    expect(() => removeOrder(copy.db, 'order-moon', 1)).toThrow(/no order with the id/);
  });
});

describe('the log', () => {
  it('every word must be found, whatever the case and order', () => {
    const found = (q: string) => searchLog(shop.db, { q, limit: 100 }).total;
    expect(found('WREN guide comet')).toBe(6);
    expect(found('comet guide wren')).toBe(6);
    expect(found('laid back')).toBe(7);
    expect(found('feldspar spoiled')).toBe(1);
    expect(found('pulled thread')).toBe(1);
    expect(found("'; DROP TABLE pressings; --")).toBe(0);
    expect(found('%')).toBe(0);
  });
  it('comes in pages, newest first, without gap or repeat', () => {
    const ids: string[] = [];
    let before: number | undefined;
    for (let page = 0; page < 20; page++) {
      const { pressings, more } = searchLog(shop.db, { limit: 7, before });
      ids.push(...pressings.map((p) => p.id));
      before = pressings.at(-1)?.endedAt;
      if (!more) break;
    }
    expect(new Set(ids).size).toBe(101);
    expect(ids).toEqual(searchLog(shop.db, { limit: 200 }).pressings.map((p) => p.id));
  });
  it('pieces of one closing, ended in the same instant, are each on one page only', () => {
    const { db } = fresh((opened) => loadDemoShop(opened.db, join(process.cwd(), 'demo'), TODAY));
    const [model] = searchLog(db, { limit: 1 }).pressings;
    if (!model) throw new Error('the demo shop has pressings');
    const { withdrawn: _, amendments: __, ...pressing } = model;
    for (let i = 0; i < 9; i++) addPressing(db, { ...pressing, id: `00000000-0000-4000-8000-00000000000${i}`, note: 'one instant' }, false);
    const seen: string[] = [];
    let from: { before?: number; beforeId?: string } = {};
    for (let page = 0; page < 5; page++) {
      const { pressings, more } = searchLog(db, { q: 'one instant', limit: 2, ...from });
      seen.push(...pressings.map((p) => p.id));
      const last = pressings.at(-1);
      if (!more || !last) break;
      from = { before: last.endedAt, beforeId: last.id };
    }
    expect(seen).toHaveLength(9);
    expect(new Set(seen).size).toBe(9);
  });
  it('is narrowed by fabric, transfer, press, outcome and days', () => {
    const total = (query: Parameters<typeof searchLog>[1]) => searchLog(shop.db, query).total;
    const { fabrics, products, presses } = logNames(shop.db);
    expect(presses).toEqual(['Cap press', 'Old clamshell', 'Swing-away']);
    for (const [field, names] of [
      ['fabric', fabrics],
      ['product', products],
      ['press', presses],
    ] as const)
      expect(names.reduce((sum, name) => sum + total({ [field]: name, limit: 1 }), 0)).toBe(101);
    expect(total({ product: 'Curlew Two-Sheet', outcome: 'spoiled', limit: 1 })).toBe(2);
    const daysAgo = (n: number) => dayOf(TODAY.getTime() - n * 24 * 3_600_000);
    expect(total({ from: daysAgo(1), limit: 1 }) + total({ to: daysAgo(2), limit: 1 })).toBe(101);
    expect(total({ from: daysAgo(1), to: daysAgo(1), limit: 1 })).toBe(6);
  });
  it('a pressing says what was carded and what was done', () => {
    const [last] = searchLog(shop.db, { orderId: 'order-guide-tees', limit: 1 }).pressings;
    expect(last?.setC).toBeCloseTo(toInside(272, 'F'), 6);
    expect(last).toMatchObject({ timeS: 9, pressedS: 9.4, peel: 'warm', pressureBand: 'medium', operator: 'MB', roomC: 21 });
    expect(last?.closings.map((closing) => closing.stage)).toEqual(['pre-press', 'press']);
  });
});

describe('frozen cards', () => {
  it('the same card is stored once, whatever the order of its keys', () => {
    const { card } = openRun(shop.db, 'run-guide-m');
    const turned = Object.fromEntries(Object.entries(card).reverse()) as typeof card;
    expect(freezeCard(shop.db, turned)).toBe(freezeCard(shop.db, card));
    expect(CardSchema.parse(frozenCard(shop.db, freezeCard(shop.db, card)))).toEqual(card);
  });
  it('a card from a newer app is refused, not guessed at', () => {
    const copy = fresh(({ db }) => beginShop(db, '2026-01-01'));
    copy.sqlite.prepare("INSERT INTO cards (hash, schema_version, doc) VALUES ('later', 99, '{}')").run();
    expect(() => frozenCard(copy.db, 'later')).toThrow(/version 99/);
  });
});

describe('the rail', () => {
  it('shows a press in use, closed, and free again', () => {
    const copy = fresh(({ db }) => loadDemoShop(db, join(process.cwd(), 'demo'), TODAY));
    const now = TODAY.getTime();
    const swing = () => readRail(copy.db, now).presses.find((p) => p.id === 'press-swing');
    expect(swing()).toMatchObject({ state: 'free', setC: null });
    startRun(copy.db, 'run-x', { orderId: 'order-crew-tees', lineId: 'line-crew-m', operator: '' }, now);
    expect(swing()).toMatchObject({ state: 'in use' });
    const id = (n: number) => `30000000-0000-4000-8000-00000000000${n}`;
    takeEvent(copy.db, 'run-x', { id: id(1), at: now, kind: 'next' }, now);
    takeEvent(copy.db, 'run-x', { id: id(2), at: now, kind: 'closed' }, now);
    expect(swing()).toMatchObject({ state: 'closed' });
    expect(readRail(copy.db, now).runs).toMatchObject([
      {
        label: 'Dome crew tees, M',
        verb: 'Pressing',
        now: [1],
        pieces: 10,
        clocks: [{ pieces: [1], phase: 'closed', dueAt: now + 5000, timeS: 5 }],
      },
    ]);
    takeEvent(copy.db, 'run-x', { id: id(3), at: now + 5000, kind: 'opened' }, now + 5000);
    takeEvent(copy.db, 'run-x', { id: id(4), at: now + 6000, kind: 'stopped' }, now + 6000);
    expect(swing()).toMatchObject({ state: 'free', setC: null });
    expect(orderReply(copy.db, findOrder(copy.db, 'order-crew-tees')).lines).toMatchObject([{ prints: [{ openRunId: null, good: 0 }] }]);
    takeEvent(copy.db, 'run-x', { id: id(5), at: now + 7000, kind: 'undone', of: id(4) }, now + 7000);
    expect(swing()).toMatchObject({ state: 'in use' });
  });
});

describe('a new shop', () => {
  it('begins with the built-in shelf, starting rules and no press; a press can be added once and then wants its version', () => {
    const own = fresh(({ db }) => beginShop(db, '2026-01-01'));
    expect(readShelf(own.db).products).toHaveLength(20);
    expect(readHouse(own.db)).toMatchObject({ version: 1, doc: { rules: { prePress: 'seconds' } } });
    expect(bench(own.db).orders).toEqual([]);
    const [press] = listPresses(shop.db).rows;
    if (!press) throw new Error('the demo has a press');
    expect(putPress(own.db, press.doc, null).version).toBe(1);
    expect(() => putPress(own.db, { ...press.doc, name: 'Other' }, null)).toThrow(/If-Match/);
    expect(putPress(own.db, { ...press.doc, name: 'Other' }, 1).version).toBe(2);
    expect(() => putPress(own.db, { ...press.doc, id: 'press-ghost' }, 4)).toThrow(/no press/);
  });
});
