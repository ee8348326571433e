/** Heat over the wire: stacks of the shop, what the model says of them, what the log teaches, and practice kept. */
import { describe, expect, it } from 'vitest';
import { ownShop, put, send } from '../../test/api';
import { passage, pieceOf } from '../../test/columns';
import { correctQuery, type HeatQuery, simulate } from '../core/heatBench';
import * as heatRoute from '../pages/api/v1/compute/heat';
import * as correctRoute from '../pages/api/v1/compute/heat/correct';
import * as sweepRoute from '../pages/api/v1/compute/heat/sweep';
import * as peelRoute from '../pages/api/v1/compute/peel';
import * as stackRoute from '../pages/api/v1/heat-stack';
import * as houseRoute from '../pages/api/v1/house';
import * as learnedRoute from '../pages/api/v1/learned';
import * as cardsRoute from '../pages/api/v1/orders/[id]/cards';
import * as orderHeatRoute from '../pages/api/v1/orders/[id]/heat';
import * as practiceRoute from '../pages/api/v1/practice';
import * as roundRoute from '../pages/api/v1/practice/[id]';
import { shop } from './shop';
import { readHouse } from './stores/house';
import { learnedShifts } from './stores/learned';
import { addAmendment, addPressing, findPressing } from './stores/pressings';

ownShop();

const post = (route: { POST: Parameters<typeof send>[0] }, address: string, body: unknown) =>
  send(route.POST, address, {}, { method: 'POST', body: JSON.stringify(body) });

const asked: HeatQuery = {
  piece: pieceOf('cotton jersey', { cover: true, damp: true }),
  passage: { ...passage({ prePressS: 4 }), cooling: { where: 'air', forS: 120 } },
  adhesive: { softenC: 105, reference: { piece: pieceOf('cotton jersey'), surfaceC: 150, timeS: 10 }, shift: 1 },
  limits: { markC: 175, damageC: 200, dyeC: null },
};
const allowed = { timeS: { min: 8, max: 20 }, surfaceC: { min: 145, max: 160 } };

describe('the heat endpoints', () => {
  it('press, correct and tell the peel as the model does', async () => {
    const pressed = await post(heatRoute, '/compute/heat', asked);
    expect(pressed.status).toBe(200);
    expect(pressed.body.seen.read.bond).toBeCloseTo(simulate(asked).read.bond, 6);
    expect(pressed.body.band.low).toBeLessThan(pressed.body.band.high);
    const corrected = await post(correctRoute, '/compute/heat/correct', { ...asked, allowed });
    expect(corrected.body).toEqual(JSON.parse(JSON.stringify(correctQuery(asked, allowed))));
    const peel = await post(peelRoute, '/compute/peel', { piece: asked.piece, passage: asked.passage, where: 'air' });
    expect(peel.body.warmS).toBeLessThan(30);
  });
  it('sweep two inputs: bonds rise with time and with temperature', async () => {
    const { status, body } = await post(sweepRoute, '/compute/heat/sweep', {
      ...asked,
      x: { of: 'time', from: 4, to: 16, steps: 4 },
      y: { of: 'temperature', from: 140, to: 160, steps: 3 },
    });
    expect(status).toBe(200);
    const rows = body.rows.map((row: { bonds: number[] }) => row.bonds) as number[][];
    for (const bonds of rows) expect(bonds).toEqual([...bonds].sort((a, b) => a - b));
    expect(rows[2]?.[0]).toBeGreaterThan(rows[0]?.[0] ?? 9);
  });
  it.each([
    [
      'a thickness of nothing',
      { piece: { ...asked.piece, stack: [{ ...asked.piece.stack[0], thicknessMm: 0 }] } },
      'piece.stack.0.thicknessMm',
    ],
    ['a million seconds', { passage: { ...asked.passage, timeS: 1e6 } }, 'passage.timeS'],
    ['a thousand degrees', { passage: { ...asked.passage, surfaceC: 1000 } }, 'passage.surfaceC'],
  ])('%s is refused by its field', async (_, change, field) => {
    const { status, body } = await post(heatRoute, '/compute/heat', { ...asked, ...change });
    expect(status).toBe(422);
    expect(body.errors.map((error: { field: string }) => error.field)).toContain(field);
  });
});

describe('stacks of the shop', () => {
  it('a print of an order and the same three things of the shelf have the same layers', async () => {
    const { body: cards } = await send(cardsRoute.GET, '/orders/order-guide-tees/cards', { id: 'order-guide-tees' });
    const { lineId, printKey, card } = cards.cards[0];
    const own = await send(orderHeatRoute.GET, `/orders/order-guide-tees/heat?line=${lineId}&print=${printKey}`, {
      id: 'order-guide-tees',
    });
    expect(own.status).toBe(200);
    expect(own.body.stack.set).toEqual({ tempC: card.set.tempC, timeS: card.set.timeS });
    const { blankId, productId, pressId } = card.of;
    const shelf = await send(stackRoute.GET, `/heat-stack?blank=${blankId}&product=${productId}&press=${pressId}`);
    expect(shelf.body.stack.query.piece.stack).toEqual(own.body.stack.query.piece.stack);
    expect((await send(stackRoute.GET, `/heat-stack?blank=${blankId}&product=nothing&press=${pressId}`)).status).toBe(404);
  });
});

describe('what the log has taught', () => {
  it('comes from the pressings of the shop, is named, and is forgotten when the house asks; undone, it is back', async () => {
    const { body } = await send(learnedRoute.GET, '/learned');
    const first = body.learned.find((candidate: { n: number }) => candidate.n >= 4);
    expect(first.pressName.length).toBeGreaterThan(0);
    const { doc: house, version } = readHouse(shop().db);
    const until = Date.now();
    const without = { ...house, forgotten: [{ pressId: first.pressId, productId: first.productId, until }] };
    expect((await put(houseRoute.PUT, '/house', {}, without, `"${version}"`)).status).toBe(200);
    const left = learnedShifts(shop().db, without);
    expect(left.some((shift) => shift.pressId === first.pressId && shift.productId === first.productId)).toBe(false);
    expect(learnedShifts(shop().db, house)).toHaveLength(body.learned.length);
  });
});

describe('what is counted', () => {
  it('a pressing that was withdrawn no longer teaches, nor one that came in from a list without its card', async () => {
    const { db, sqlite } = shop();
    const house = readHouse(db).doc;
    const count = () => learnedShifts(db, house).reduce((sum, { n }) => sum + n, 0);
    const before = count();
    const good = sqlite.prepare("SELECT id FROM pressings WHERE outcome = 'good' AND run_id IS NOT NULL LIMIT 1").get() as { id: string };
    addAmendment(db, {
      id: '00000000-0000-4000-8000-0000000000aa',
      pressingId: good.id,
      field: 'standing',
      from: 'counts',
      to: 'withdrawn',
      by: 'MB',
      why: 'a slip',
      at: 1,
    });
    expect(count()).toBe(before - 1);
    const { id, runId, ...rest } = findPressing(db, good.id);
    addPressing(db, { ...rest, runId, id: '00000000-0000-4000-8000-0000000000ab' }, false);
    expect(count()).toBe(before - 1);
    addPressing(db, { ...rest, runId, id: '00000000-0000-4000-8000-0000000000ac' });
    expect(count()).toBe(before);
  });
});

describe('practice', () => {
  const round = { operator: 'MB', situation: 'a cold morning', mistakes: ['too little'], score: 60, at: 1 };
  const keep = (n: number, body: unknown) => put(roundRoute.PUT, `/practice/${n}`, { id: `00000000-0000-4000-8000-00000000000${n}` }, body);
  it('is kept once and told by operator and kind of mistake', async () => {
    await keep(1, round);
    await keep(1, { ...round, score: 0 });
    await keep(2, { ...round, mistakes: [], score: 100 });
    const { body } = await send(practiceRoute.GET, '/practice');
    expect(body.scores).toMatchObject([{ operator: 'MB', rounds: 2, meanScore: 80, mistakes: { 'too little': 1, marked: 0 } }]);
    expect((await keep(3, { ...round, mistakes: ['bad luck'] })).status).toBe(422);
    expect(() => shop().sqlite.exec("UPDATE practice_rounds SET operator = 'X'")).toThrow(/written once/);
    expect(() => shop().sqlite.exec('DELETE FROM practice_rounds')).toThrow(/never deleted/);
  });
});
