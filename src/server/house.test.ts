/** The house over the wire: settings it keeps, which cards start from and which go with the shop; and what its choices change. */
import { describe, expect, it } from 'vitest';
import { ownShop, put, send } from '../../test/api';
import { schoolExample } from '../core/advice';
import { type HouseSetting, STARTING_HOUSE } from '../core/house';
import { phraseText } from '../core/units';
import * as schoolRoute from '../pages/api/v1/compute/school';
import * as houseRoute from '../pages/api/v1/house';
import * as cardsRoute from '../pages/api/v1/orders/[id]/cards';
import { openShop } from './db';
import { shop } from './shop';
import { readHouse } from './stores/house';
import { startRun } from './stores/runs';
import { shopJson } from './stores/shopExport';
import { planJson } from './stores/shopImport';

ownShop();

const KEPT: HouseSetting = {
  pressId: 'press-swing',
  productId: 'product-wren',
  of: 'time',
  value: 10,
  on: '2026-11-26',
  good: 6,
  spoiled: 0,
};

async function keep(settings: unknown[]) {
  const { body } = await send(houseRoute.GET, '/house');
  return put(houseRoute.PUT, '/house', {}, { ...body.house, settings }, `"${body.version}"`);
}
async function cardOf(lineId: string) {
  const id = 'order-guide-tees';
  const { body } = await send(cardsRoute.GET, `/orders/${id}/cards`, { id });
  const { card } = body.cards.find((card: { lineId: string }) => card.lineId === lineId);
  const units = readHouse(shop().db).doc.units;
  return {
    timeS: card.set.timeS,
    why: card.reasons.map((reason: { says: Parameters<typeof phraseText>[0] }) => phraseText(reason.says, units)).join(' '),
  };
}

describe('a setting of the house', () => {
  it('is what every card of that press and transfer starts from, with its evidence, until it is kept no longer', async () => {
    const before = await cardOf('line-guide-l');
    expect(before.timeS).toBe(9);
    expect((await keep([KEPT])).status).toBe(200);
    const kept = await cardOf('line-guide-l');
    expect(kept.timeS).toBe(10);
    expect(kept.why).toMatch(/House setting for Wren Stretch on Swing-away: 10\ss, kept on 2026-11-26 after 6 good and 0 spoiled/);
    await keep([]);
    expect(await cardOf('line-guide-l')).toEqual(before);
  });

  it('that cannot be one is refused by its field, and the house stays as it was', async () => {
    const { status, body } = await keep([KEPT, { ...KEPT, of: 'temperature', value: 900 }]);
    expect(status).toBe(422);
    expect(body.errors).toEqual([
      {
        field: 'settings.1.value',
        message: 'A time is 1 to 3600 s, a temperature 20 to 260 °C; only a pre-press or a second press may be 0 s.',
      },
    ]);
    expect(readHouse(shop().db).doc.settings).toBeUndefined();
  });

  it('goes out and in with the shop, and so does what a run took over', async () => {
    await keep([KEPT]);
    const { run } = startRun(shop().db, 'run-a', { orderId: 'order-guide-tees', lineId: 'line-guide-m', operator: 'MB' }, Date.now());
    expect(run.holds).toEqual([]);
    const text = [...shopJson(shop().db)].join('');
    const other = openShop(':memory:', 'drizzle');
    planJson(other.db, text).apply();
    expect(readHouse(other.db).doc.settings).toEqual([KEPT]);
    expect([...shopJson(other.db)].join('')).toBe(text);
  });
});

describe('what a choice of the house changes', () => {
  const ask = (rule: string, house: object = STARTING_HOUSE) => put(schoolRoute.POST, '/compute/school', {}, { rule, house });
  it('is told for every answer, without the shop’s own facts', async () => {
    const { status, body } = await ask('coverWhenAllowed');
    expect(status).toBe(200);
    expect(body).toEqual(JSON.parse(JSON.stringify(schoolExample('coverWhenAllowed', STARTING_HOUSE))));
    expect(body.answers.map(({ value }: { value: string }) => value).sort()).toEqual(['always', 'never']);
  });
  it('of no such choice, or under no such house, is refused by its field', async () => {
    expect((await ask('peelWhen')).body.errors).toMatchObject([{ field: 'rule' }]);
    const far = { ...STARTING_HOUSE, room: { tempC: 90, humidityPercent: 50 } };
    expect((await ask('felt', far)).body.errors).toMatchObject([{ field: 'house.room.tempC' }]);
  });
});
