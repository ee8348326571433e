/** What a run of stages leaves in the shop: readings in the pressing, what was lost, and a print taken off again. */
import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { ownShop, put, request, send } from '../../test/api';
import { cueOf, factOf, type Lost, planOf, type RunEvent, type RunFact, replay } from '../core/run';
import * as logRoute from '../pages/api/v1/pressings';
import * as pressingRoute from '../pages/api/v1/pressings/[id]';
import * as rescuedRoute from '../pages/api/v1/pressings/[id]/rescued/[amendmentId]';
import * as csvRoute from '../pages/api/v1/pressings.csv';
import * as runRoute from '../pages/api/v1/runs/[id]';
import * as eventRoute from '../pages/api/v1/runs/[id]/events/[eventId]';

ownShop();

const RUN = 'run-stages';
let at = Date.now() - 3_000_000;

async function opened() {
  const { body } = await send(runRoute.GET, `/runs/${RUN}`, { id: RUN });
  const plan = planOf(body.run, body.card);
  return { plan, state: replay(plan, body.run.startedAt, body.events as RunEvent[]) };
}
async function tell(fact: RunFact, s = 5) {
  at += s * 1000;
  const id = randomUUID();
  return put(eventRoute.PUT, `/runs/${RUN}/events/${id}`, { id: RUN, eventId: id }, { ...fact, id, at });
}
/** Follows the cue until one is asked for, with readings that are as wanted. */
async function until(verb: string): Promise<number> {
  for (let i = 0; i < 120; i++) {
    const { plan, state } = await opened();
    const cue = cueOf(plan, state, at + 400_000);
    if (cue.verb === verb) return cue.pieces[0] ?? 0;
    const act = cue.act ?? cue.early;
    if (!act) throw new Error(`no way on from ${cue.verb}`);
    const reply = await tell(factOf(cue, act), 400);
    if (reply.status !== 200) throw new Error(JSON.stringify(reply.body));
  }
  throw new Error(`${verb} was never cued`);
}
const slip = (lost: Lost | undefined, piece: number): RunFact => ({
  kind: 'spoiled',
  reason: 'voids in the print',
  note: '',
  piece,
  ...(lost && { lost }),
});

describe('a run of two sheets over the wire', () => {
  it('keeps readings with their closings, in the record and in the list; a sheet lost is no piece', async () => {
    const started = await put(
      runRoute.PUT,
      `/runs/${RUN}`,
      { id: RUN },
      { orderId: 'order-nebula', lineId: 'line-nebula-m', operator: 'TO' },
    );
    expect(started.status).toBe(200);
    await until('Close to marry');
    expect((await tell({ kind: 'read', by: 'gun', value: 158.5 })).status).toBe(200);
    expect((await tell({ kind: 'read', by: 'gauge', value: 260 })).status).toBe(200);
    await until('Trim');
    const before = await tell(slip('piece', 1));
    expect([before.status, before.body.detail]).toEqual([409, 'This sheet has not met its blank yet: only the sheet is lost.']);
    expect((await tell(slip('sheet', 2))).status).toBe(409);
    const lost = await tell(slip('sheet', 1));
    expect([lost.status, lost.body.detail]).toEqual([200, undefined]);
    const piece = await until('Look it over');
    expect(
      (await tell({ kind: 'spot closed', piece, area: { x: 0.6, y: 0, width: 0.4, height: 0.4 }, timeS: 5, cover: null })).status,
    ).toBe(200);
    expect((await tell({ kind: 'opened', piece })).status).toBe(200);
    expect((await tell({ kind: 'kept', piece })).status).toBe(200);
    const { pressings } = (await send(logRoute.GET, '/pressings?limit=5')).body;
    const [mine] = pressings.filter((p: { runId: string }) => p.runId === RUN);
    expect(mine).toMatchObject({ outcome: 'good', piece });
    const stages = mine.closings.map(({ stage }: { stage: string }) => stage);
    expect(stages.at(-1)).toBe('spot repair');
    const marry = mine.closings.find(({ stage }: { stage: string }) => stage === 'marry');
    const press = mine.closings.find(({ stage }: { stage: string }) => stage === 'press');
    expect(marry.setC).toBeGreaterThan(press.setC + 5);
    expect(press.readings ?? mine.closings.find(({ stage }: { stage: string }) => stage === 'pre-press').readings).toMatchObject([
      { by: 'panel' },
    ]);
    const csv = await (await request(csvRoute.GET, '/pressings.csv')).text();
    expect(csv).toContain('pre-press panel');
    expect(csv).toMatch(/spot=0\.6,0,0\.4,0\.4,bare/);
  });
});

describe('a print taken off again', () => {
  const rescue = (id: string, amendmentId: string, body: object) =>
    put(rescuedRoute.PUT, `/pressings/${id}/rescued/${amendmentId}`, { id, amendmentId }, body);

  it('is noted beside the spoiled pressing, once for one id; a good one has nothing to take off', async () => {
    const all = (await send(logRoute.GET, '/pressings?limit=200')).body.pressings;
    const spoiled = all.find((p: { outcome: string }) => p.outcome === 'spoiled');
    const good = all.find((p: { outcome: string }) => p.outcome === 'good');
    const id = randomUUID();
    const body = { minutes: 12, by: 'citrus solvent', initials: 'TO' };
    for (let i = 0; i < 2; i++) expect((await rescue(spoiled.id, id, body)).status).toBe(200);
    const { pressing } = (await send(pressingRoute.GET, `/pressings/${spoiled.id}`, { id: spoiled.id })).body;
    expect(pressing.outcome).toBe('spoiled');
    expect(pressing.amendments.filter((a: { field: string }) => a.field === 'rescued')).toMatchObject([
      { to: '12 citrus solvent', by: 'TO', why: 'print taken off' },
    ]);
    expect((await rescue(good.id, randomUUID(), body)).status).toBe(409);
    const bad = await rescue(spoiled.id, randomUUID(), { ...body, minutes: 0 });
    expect([bad.status, bad.body.errors[0].field]).toEqual([422, 'minutes']);
    expect((await rescue(randomUUID(), randomUUID(), body)).status).toBe(404);
  });
});
