/** Parcels over the wire: a run goes by them, takes from them, and records them; what was counted, tried and looked over is told at its set-up. */
import { randomUUID } from 'node:crypto';
import { beforeEach, describe, expect, it } from 'vitest';
import { chanceFrom } from '../../bench/requests';
import { ownShop, put, request, send } from '../../test/api';
import { RunOver } from '../../test/runOver';
import type { ParcelsReply } from '../contract';
import { gateOf, type RunFact } from '../core/run';
import type { Parcel } from '../core/sheet';
import * as parcelsRoute from '../pages/api/v1/parcels';
import * as pressingsRoute from '../pages/api/v1/pressings';
import * as csvRoute from '../pages/api/v1/pressings.csv';
import * as runRoute from '../pages/api/v1/runs/[id]';
import * as shelfRoute from '../pages/api/v1/shelf';
import * as parcelRoute from '../pages/api/v1/shelf/parcels/[id]';
import { openShop } from './db';
import { shop } from './shop';
import { readShelf } from './stores/shelf';
import { shopJson } from './stores/shopExport';
import { planJson } from './stores/shopImport';

ownShop();
beforeEach(async () => {
  // the same as came for the members, of the guides' art
  const { id: _, ...doc } = await parcelDoc('parcel-members-ring');
  const reply = await save({ ...doc, id: COMET, name: 'Comets of May', productId: 'product-wren', art: 'Comet over  hill' });
  expect(reply.status).toBe(200);
});

const COMET = 'parcel-comet';
const stateOf = async (id: string): Promise<ParcelsReply['parcels'][number]> => {
  const { parcels } = (await send(parcelsRoute.GET, '/parcels')).body as ParcelsReply;
  const found = parcels.find((parcel) => parcel.id === id);
  if (!found) throw new Error(`no parcel ${id}`);
  return found;
};
const parcelDoc = async (id: string): Promise<Parcel> =>
  (await send(shelfRoute.GET, '/shelf')).body.parcels.find((parcel: Parcel) => parcel.id === id);
const save = async (doc: Parcel, ifMatch?: string) => put(parcelRoute.PUT, `/shelf/parcels/${doc.id}`, { id: doc.id }, doc, ifMatch);
async function change(id: string, part: Partial<Parcel>): Promise<void> {
  const { body } = await send(shelfRoute.GET, '/shelf');
  const reply = await save({ ...(await parcelDoc(id)), ...part }, `"${body.versions[id]}"`);
  expect([reply.status, reply.body.detail]).toEqual([200, undefined]);
}
const startGuides = async () => {
  const reply = await put(
    runRoute.PUT,
    '/runs/run-comet',
    { id: 'run-comet' },
    { orderId: 'order-guide-tees', lineId: 'line-guide-m', operator: 'TO' },
  );
  expect(reply.body.detail).toBeUndefined();
  return reply;
};

/** Mostly as cued, now and then taken back or spoiled; what cannot be just then is refused, and nothing happens. */
async function anyStep(run: RunOver, roll: number): Promise<void> {
  const last = (await run.opened()).body.events.at(-1);
  const spoiled = { kind: 'spoiled', reason: 'scorched', note: '' } as const;
  const facts: [number, RunFact | null][] = [
    [0.08, last ? { kind: 'undone', of: last.id } : null],
    [0.12, { ...spoiled, lost: 'blank' }],
    [0.16, { ...spoiled, lost: 'transfer' }],
    [0.2, spoiled],
  ];
  const fact = facts.find(([upTo]) => roll < upTo)?.[1];
  const step = fact ? run.tell(fact) : run.until(() => true).then((cue) => run.next(cue));
  await step.catch(() => undefined);
}

describe('a run from a parcel', () => {
  it('knows where it lies and what is left, takes one a piece, and names it in record and list', async () => {
    expect(await stateOf(COMET)).toMatchObject({ left: 10, wanted: 15, short: 5, runs: [] });
    const { body, status } = await startGuides();
    expect([status, body.run.parcels]).toMatchObject([
      200,
      [{ id: COMET, left: 10, lies: 'rack 1, drawer 2', unlooked: [], trial: 'good' }],
    ]);
    const run = new RunOver('run-comet', body.run.startedAt);
    await run.until((_, { results }) => results.length === 2);
    const { state } = await run.opened();
    const inHand = state.active.flatMap(({ pieces }) => pieces).length;
    expect(await stateOf(COMET)).toMatchObject({ left: 8 - inHand, runs: [{ runId: 'run-comet', used: 2 + inHand }] });
    const { body: log } = await send(pressingsRoute.GET, '/pressings?orderId=order-guide-tees&limit=1');
    expect(log.pressings[0].parcels).toEqual(['Comets of May']);
    expect(await (await request(csvRoute.GET, '/pressings.csv?orderId=order-guide-tees&limit=1')).text()).toContain('Comets of May');
    const { body: found } = await send(pressingsRoute.GET, '/pressings?q=comets%20may');
    expect(found.total).toBeGreaterThanOrEqual(2);
  });

  it('conserves: whatever happens, what is left, lies on pieces, or is lost adds up to what was counted', async () => {
    const { body } = await startGuides();
    const run = new RunOver('run-comet', body.run.startedAt);
    const luck = chanceFrom(11);
    for (let i = 0; i < 120; i++) {
      await anyStep(run, luck());
      const { state } = await run.opened();
      const onPieces = state.active.flatMap(({ pieces }) => pieces).length;
      const kept = state.results.filter((result) => result.lost !== 'blank').length;
      const { left } = await stateOf(COMET);
      expect((left ?? 0) + onPieces + kept + state.lost.length).toBe(10);
      if (state.done) break;
    }
  });

  it('counted at its set-up, that is what is in it; taken back, it is not', async () => {
    const { body } = await startGuides();
    const run = new RunOver('run-comet', body.run.startedAt);
    await run.tell({ kind: 'checked', check: 'parcel', found: 9 });
    expect((await stateOf(COMET)).left).toBe(9);
    const { body: counted } = await run.opened();
    await run.tell({ kind: 'undone', of: counted.events.at(-1).id });
    expect((await stateOf(COMET)).left).toBe(10);
  });

  it('one counted short, not looked over and not tried is said so before the first piece; a later sheet too', async () => {
    expect(await stateOf('parcel-dome-patch')).toMatchObject({ left: 7, wanted: 8, short: 1 });
    await change(COMET, { counted: { n: 5, at: Date.now() - 1000 }, agrees: ['art'], trial: null, sheetOn: '2026-09-01' });
    const { body } = await startGuides();
    const check = gateOf(body.card, { pieces: 8, parcels: body.run.parcels }).find(({ key }) => key === 'parcel');
    expect(check?.cautions).toHaveLength(3);
    expect(JSON.stringify(check?.look)).toContain('3 short');
  });

  it('what has not come is gone by in no run, and is wanted all the same', async () => {
    expect(await stateOf('parcel-lens')).toMatchObject({ left: null, wanted: 5, short: 5 });
    await change('parcel-lens', { arrivedOn: '2026-11-30', counted: { n: 6, at: Date.now() - 1000 } });
    expect(await stateOf('parcel-lens')).toMatchObject({ left: 6, short: 0 });
  });
});

describe('a parcel on the shelf', () => {
  it('of a transfer that is not there is refused by name; one a run was pressed from is retired, not removed', async () => {
    const doc = await parcelDoc(COMET);
    const refused = await save({ ...doc, id: randomUUID(), productId: 'product-none' });
    expect([refused.status, refused.body.errors]).toMatchObject([422, [{ field: 'productId' }]]);
    await startGuides();
    const { status, body } = await send(parcelRoute.DELETE, `/shelf/parcels/${COMET}`, { id: COMET }, { method: 'DELETE' });
    expect([status, body.detail]).toEqual([409, expect.stringContaining('a run')]);
  });

  it('a run keeps its parcels through a list out and in', async () => {
    await startGuides();
    const text = [...shopJson(shop().db)].join('');
    const other = openShop(':memory:', 'drizzle');
    const plan = planJson(other.db, text);
    expect(plan.faults.list).toEqual([]);
    plan.apply();
    expect(readShelf(other.db).parcels).toEqual(readShelf(shop().db).parcels);
    expect([...shopJson(other.db)].join('')).toBe(text);
    // a parcel of a transfer that is nowhere is a fault of its line
    const doc = JSON.parse(text);
    doc.parcels[1].productId = 'product-none';
    expect(planJson(openShop(':memory:', 'drizzle').db, JSON.stringify(doc)).faults.list).toMatchObject([{ field: 'parcels.1.productId' }]);
  });
});
