/** What was found out about presses over the wire: kept once, refused by its field, and felt by every card. */
import { describe, expect, it } from 'vitest';
import { ownShop, put, request, send } from '../../test/api';
import { PLANS, type QuickCheck, type Survey } from '../core/press';
import * as pressureRoute from '../pages/api/v1/compute/pressure';
import * as surveyRoute from '../pages/api/v1/compute/survey';
import * as warmUpRoute from '../pages/api/v1/compute/warm-up';
import * as cardsRoute from '../pages/api/v1/orders/[id]/cards';
import * as recordsRoute from '../pages/api/v1/presses/[id]/records';
import * as recordRoute from '../pages/api/v1/presses/[id]/records/[recordId]/index';
import * as standingRoute from '../pages/api/v1/presses/[id]/records/[recordId]/standing/[amendmentId]';
import * as shopRoute from '../pages/api/v1/shop.json';
import { openShop } from './db';
import { shop } from './shop';
import { shopJson } from './stores/shopExport';
import { planJson } from './stores/shopImport';

ownShop();

const PLATEN = { widthMm: 380, heightMm: 380 };
const id = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const survey = (n: number, change: Partial<Survey> = {}, cornerK = 0): Survey => ({
  id: id(n),
  kind: 'survey',
  pressId: 'press-clamshell',
  platen: 'upper',
  at: Date.now() - 1000 + n,
  by: 'MB',
  instrument: { kind: 'probe' },
  finish: 'dark coated',
  roomC: 21,
  readings: PLANS.five(PLATEN).map((place, i) => ({ ...place, setC: 150, readC: 147 - (i === 1 ? cornerK : 0) })),
  note: '',
  ...change,
});
const keep = (record: Survey | QuickCheck) =>
  put(recordRoute.PUT, `/presses/${record.pressId}/records/${record.id}`, { id: record.pressId, recordId: record.id }, record);
const report = () => send(recordsRoute.GET, '/presses/press-clamshell/records', { id: 'press-clamshell' });

const check = (n: number, readC: number, change: Partial<QuickCheck> = {}): QuickCheck => {
  const { readings, ...made } = survey(n);
  return { ...made, kind: 'quick check', readings: readings.slice(0, 3).map((reading) => ({ ...reading, readC })), ...change };
};

describe('two surveys that cannot both be right', () => {
  it('are told with the day and the place, until one is withdrawn', async () => {
    await keep(survey(1));
    const hotter = survey(2).readings.map((reading) => ({ ...reading, readC: reading.readC + 15 }));
    const second = await keep(survey(2, { readings: hotter }));
    expect(second.body.contradicts).toMatchObject({ allOver: true, byK: expect.closeTo(15, -1) });
    await put(
      standingRoute.PUT,
      `/presses/press-clamshell/records/${id(2)}/standing/${id(9)}`,
      { id: 'press-clamshell', recordId: id(2), amendmentId: id(9) },
      { to: 'withdrawn', by: 'MB', why: 'read wrong' },
    );
    expect((await report()).body.contradicts).toBeNull();
  });
});

describe('a quick check', () => {
  it('is refused without a survey to tell it against, and beyond the platen', async () => {
    const first = await keep(check(1, 147));
    expect([first.status, first.body.errors[0].field]).toEqual([422, 'platen']);
    expect(first.body.errors[0].message).toMatch(/told against a survey, and this platen of Old clamshell has none yet/);
    await keep(survey(2));
    const [one] = check(3, 147).readings;
    const beyond = await keep(check(3, 147, { readings: [{ ...one, xMm: 900 } as QuickCheck['readings'][number]] }));
    expect([beyond.status, beyond.body.errors[0].field]).toEqual([422, 'readings.0']);
  });
  it('says how the press differs from its survey, is felt by cards, and by none once it is withdrawn or a new survey made', async () => {
    const surfaceOf = async () => {
      const { body } = await send(cardsRoute.GET, '/orders/order-hoodies/cards', { id: 'order-hoodies' });
      return body.cards[0].card.window.offsetK as number;
    };
    await keep(survey(1));
    const before = await surfaceOf();
    const kept = await keep(check(2, 157));
    expect(kept.body.checks).toMatchObject([{ platen: 'upper', differenceK: expect.closeTo(10, 0) }]);
    const after = await surfaceOf();
    expect(after).toBeGreaterThan(before + 0.3);
    await put(
      standingRoute.PUT,
      `/presses/press-clamshell/records/${id(2)}/standing/${id(9)}`,
      { id: 'press-clamshell', recordId: id(2), amendmentId: id(9) },
      { to: 'withdrawn', by: 'MB', why: 'read wrong' },
    );
    expect((await report()).body.checks).toEqual([]);
    expect(await surfaceOf()).toBeCloseTo(before, 9);
    await keep(check(3, 157));
    await keep(survey(4));
    expect((await report()).body.checks).toEqual([]);
  });
});

describe('a survey', () => {
  it('is kept once, makes a map with its cold corner, and a second sending is the same one', async () => {
    const first = await keep(survey(1, {}, 14));
    expect(first.status).toBe(200);
    expect(first.body.maps[0].cold).toMatchObject([{ xMm: -152, yMm: -152 }]);
    expect(first.body.due).toMatchObject({ isDue: false, daysLeft: 90 });
    await keep(survey(1, {}, 14));
    expect((await report()).body.records).toHaveLength(1);
  });
  it('the database itself refuses to change or delete it', async () => {
    await keep(survey(1));
    const { sqlite } = shop();
    expect(() => sqlite.exec("UPDATE press_records SET kind = 'paper pull'")).toThrow(/written once/);
    expect(() => sqlite.exec('DELETE FROM press_records')).toThrow(/never deleted/);
  });
  it.each<[string, Partial<Survey>, string, RegExp]>([
    [
      'infrared on bare metal',
      { instrument: { kind: 'infrared', emissivitySet: 0.95 }, finish: 'bare metal' },
      'instrument',
      /mirrors the room/,
    ],
    ['three places', { readings: survey(1).readings.slice(0, 3) }, 'readings', /3 places make no map/],
    [
      'all on one line',
      { readings: [-150, -50, 50, 150].map((xMm) => ({ xMm, yMm: 0, setC: 150, readC: 147 })) },
      'readings',
      /on one line/,
    ],
    [
      'beyond the platen',
      { readings: survey(1).readings.map((reading) => ({ ...reading, xMm: reading.xMm * 1.4 })) },
      'readings.1',
      /beyond the platen/,
    ],
    ['a platen it has not', { platen: 'sleeve' }, 'platen', /no such platen/],
    [
      'a reading that is a fault',
      { readings: survey(1).readings.map((reading) => ({ ...reading, readC: 900 })) },
      'readings.0.readC',
      /350/,
    ],
  ])('%s is refused by its field, and nothing is kept', async (_, change, field, words) => {
    const reply = await keep(survey(2, change));
    expect(reply.status).toBe(422);
    expect(reply.body.errors[0]).toMatchObject({ field, message: expect.stringMatching(words) });
    expect((await report()).body.records).toEqual([]);
  });
  it('of a press that is not there, and under another address, is refused', async () => {
    expect((await keep(survey(1, { pressId: 'press-gone' }))).status).toBe(404);
    const wrong = await put(recordRoute.PUT, '/presses/press-swing/records/x', { id: 'press-swing', recordId: id(1) }, survey(1));
    expect(wrong.status).toBe(422);
  });
  it('five make a baseline, and a press that drifts is due at once', async () => {
    for (let n = 1; n <= 12; n++)
      await keep(
        survey(n, { readings: survey(n).readings.map((reading) => ({ ...reading, readC: reading.readC + (n % 2 ? 0.5 : -0.5) })) }),
      );
    expect((await report()).body).toMatchObject({ chart: { outside: [] }, due: { isDue: false } });
    for (let n = 13; n <= 26; n++)
      await keep(
        survey(n, { readings: survey(n).readings.map((reading) => ({ ...reading, readC: reading.readC + (n % 2 ? 0.5 : -0.5) })) }),
      );
    const { body } = await keep(survey(27, { readings: survey(27).readings.map((reading) => ({ ...reading, readC: reading.readC + 6 })) }));
    expect(body.chart.outside).toEqual([26]);
    expect(body.due.isDue).toBe(true);
  });
  it('goes out with the whole shop and comes in again, to the byte', async () => {
    await keep(survey(1, {}, 14));
    const first = await (await request(shopRoute.GET, '/shop.json')).text();
    expect(first).toContain('"kind":"survey"');
    const other = openShop(':memory:', 'drizzle');
    planJson(other.db, first).apply();
    expect([...shopJson(other.db)].join('')).toBe(first);
  });
});

describe('a card on a surveyed press', () => {
  const windowOf = async () => {
    const { body } = await send(cardsRoute.GET, '/orders/order-crew-tees/cards', { id: 'order-crew-tees' });
    return body.cards[0].card;
  };
  it('is set by the survey under its art', async () => {
    const before = await windowOf();
    await keep({
      ...survey(1),
      pressId: before.of.pressId,
      readings: PLANS.five({ widthMm: 380, heightMm: 380 }).map((place) => ({ ...place, setC: 150, readC: 162 })),
    });
    const after = await windowOf();
    expect(after.set.tempC).toBeLessThan(before.set.tempC);
    expect(after.window.offsetK).toBeCloseTo(12, 0);
    expect(after.reasons.map((reason: { says: unknown }) => JSON.stringify(reason.says)).join()).toContain('measured on');
  });
});

describe('figures worked out from a body alone', () => {
  const compute = (route: { POST: Parameters<typeof send>[0] }, body: unknown) =>
    send(route.POST, '/compute', {}, { method: 'POST', body: JSON.stringify(body) });
  it('a survey to its map', async () => {
    const { body } = await compute(surveyRoute, { survey: survey(1), platen: PLATEN, on: '2026-11-01' });
    expect(body.map.offset.mean).toBeCloseTo(-2.9, 1);
  });
  it('line to contact pressure and back; neither or both is asked about', async () => {
    const drive = { cylinders: 1, boreMm: 80, ratio: 1.5, springN: 200 };
    const there = await compute(pressureRoute, { drive, areaMm2: 200_000, lineKPa: 400 });
    expect(there.body).toMatchObject({ contactKPa: expect.closeTo(14.08, 2), crushes: false, ratioGuessed: false });
    const back = await compute(pressureRoute, { drive, areaMm2: 200_000, contactKPa: there.body.contactKPa });
    expect(back.body.lineKPa).toBeCloseTo(400, 6);
    expect((await compute(pressureRoute, { drive, areaMm2: 200_000 })).status).toBe(422);
    const zero = await compute(pressureRoute, { drive, areaMm2: 0, lineKPa: 400 });
    expect(zero.body.errors[0]).toMatchObject({ field: 'areaMm2', message: expect.stringMatching(/area must be over zero/) });
    expect((await compute(pressureRoute, { drive, areaMm2: 7854, lineKPa: 400 })).body.crushes).toBe(true);
  });
  it('warm-up, and never where the heater cannot hold it', async () => {
    const heater = { powerW: 1800, massKg: 9, lossWK: 3.2 };
    const { body } = await compute(warmUpRoute, {
      heater,
      fromC: 21,
      toC: 150,
      roomC: 21,
      closing: { areaMm2: 2e5, effusivity: 205, seconds: 12, setC: 150, startC: 22 },
    });
    expect(body.seconds).toBeGreaterThan(500);
    expect(body.dropK).toBeGreaterThan(1);
    expect((await compute(warmUpRoute, { heater: { ...heater, powerW: 100 }, fromC: 21, toC: 150, roomC: 21 })).body.seconds).toBeNull();
  });
});

describe('a heating time', () => {
  const time = (n: number, seconds: number, over = {}) => ({
    ...{ id: id(n), pressId: 'press-clamshell', kind: 'heating time' as const, at: Date.now(), by: 'MARGUERI', note: '' },
    ...{ fromC: 20, toC: 180, seconds, roomC: 21, ...over },
  });
  const keepTime = (record: ReturnType<typeof time>) =>
    put(recordRoute.PUT, `/presses/press-clamshell/records/${record.id}`, { id: 'press-clamshell', recordId: record.id }, record);
  const withdraw = (recordId: string, to: 'withdrawn' | 'counts', n: number) =>
    put(
      standingRoute.PUT,
      `/presses/press-clamshell/records/${recordId}/standing/${id(n)}`,
      { id: 'press-clamshell', recordId, amendmentId: id(n) },
      { to, by: 'MB', why: 'mistyped' },
    );

  it.each([
    ['of half a minute to 180 °C', time(1, 30), 'seconds', /^No press heats so fast/],
    ['that this heater cannot have taken', time(2, 100), 'seconds', /cannot be true of Old clamshell .* 1400 W and 8 kg/],
    ['down to under the room', time(3, 900, { fromC: 180, toC: 15 }), 'toC', /cools to the room or under it/],
    ['of no change to speak of', time(4, 900, { toC: 22 }), 'toC', /almost the same/],
  ] as const)('%s is refused in words, and the page of its press stays', async (_, record, field, words) => {
    expect(await keepTime(record)).toMatchObject({ status: 422, body: { errors: [{ field, message: expect.stringMatching(words) }] } });
    expect(await report()).toMatchObject({ status: 200, body: { records: [] } });
  });
  it('of eight initials is kept, refines the heater, and no longer does once it is withdrawn; counted again it does', async () => {
    const plain = (await report()).body.heater;
    const kept = await keepTime(time(5, 1100));
    expect(kept.status).toBe(200);
    expect(kept.body.heater.powerW).not.toBeCloseTo(plain.powerW, 0);
    const off = await withdraw(id(5), 'withdrawn', 90);
    expect(off).toMatchObject({ status: 200, body: { withdrawn: [id(5)], heater: plain } });
    expect(off.body.records).toHaveLength(1);
    expect((await withdraw(id(5), 'withdrawn', 90)).status).toBe(200);
    expect((await withdraw(id(5), 'counts', 90)).status).toBe(422);
    expect((await withdraw(id(5), 'counts', 91)).body).toMatchObject({ withdrawn: [], heater: kept.body.heater });
    expect((await withdraw(id(77), 'withdrawn', 92)).status).toBe(404);
    expect(() => shop().sqlite.exec('DELETE FROM press_amendments')).toThrow(/never deleted/);
  });
  it('withdrawn goes out with the whole shop and comes in again, to the byte', async () => {
    await keepTime(time(6, 1100));
    await withdraw(id(6), 'withdrawn', 93);
    const { db } = openShop(':memory:', 'drizzle');
    const text = [...shopJson(shop().db)].join('');
    const plan = planJson(db, text);
    expect(plan.faults.list).toEqual([]);
    plan.apply();
    expect([...shopJson(db)].join('')).toBe(text);
  });
  it('under an id that was used for another record is refused', async () => {
    await keepTime(time(7, 1100));
    expect(await keepTime(time(7, 1200))).toMatchObject({ status: 422, body: { errors: [{ field: 'id' }] } });
  });
});

describe('a survey that is withdrawn', () => {
  it('makes no map any more, and cards go by the one before', async () => {
    await keep(survey(1, { at: Date.now() - 5000 }, 0));
    await keep(survey(2, {}, 20));
    expect((await report()).body.maps[0].cold).toHaveLength(1);
    await put(
      standingRoute.PUT,
      `/presses/press-clamshell/records/${id(2)}/standing/${id(50)}`,
      { id: 'press-clamshell', recordId: id(2), amendmentId: id(50) },
      { to: 'withdrawn', by: '', why: '' },
    );
    expect((await report()).body.maps[0].cold).toHaveLength(0);
  });
});
