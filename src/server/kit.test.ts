/** Progress by person over the wire, against a judge that keeps each piece by itself while runs of three lines go on at random. */
import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { chanceFrom } from '../../bench/requests';
import { ownShop, put, send } from '../../test/api';
import { cueOf, factOf, planOf, type RunEvent, type RunFact, replay } from '../core/run';
import * as orderRoute from '../pages/api/v1/orders/[id]';
import * as kitRoute from '../pages/api/v1/orders/[id]/kit';
import * as runRoute from '../pages/api/v1/runs/[id]';
import * as eventRoute from '../pages/api/v1/runs/[id]/events/[eventId]';

ownShop();

const who = (number: string, name = '') => ({ number, name });
const TWELVE = Array.from({ length: 12 }, (_, i) => who(String(i + 1), `N${i + 1}`));
const ID = 'order-kit';
/** A line of the demo shop in the part of each garment. */
const GARMENTS = [
  { from: 'order-vests', id: 'line-shirt', roster: TWELVE },
  { from: 'order-guide-tees', id: 'line-shorts', roster: TWELVE.map(({ number }) => who(number)) },
  { from: 'order-caps', id: 'line-cap', roster: TWELVE.map(({ name }) => who('', name)) },
];

async function makeOrder(): Promise<void> {
  const lines = await Promise.all(
    GARMENTS.map(async ({ from, id, roster }) => {
      const { order } = (await send(orderRoute.GET, `/orders/${from}`, { id: from })).body;
      return { ...order.lines[0], id, count: 12, roster };
    }),
  );
  const doc = { id: ID, name: 'Kits', customer: '', due: '2027-01-08', note: '', lines };
  const saved = await put(orderRoute.PUT, `/orders/${ID}`, { id: ID }, doc);
  expect([saved.status, saved.body.detail]).toEqual([200, undefined]);
}
const kits = async () => (await send(kitRoute.GET, `/orders/${ID}/kit`, { id: ID })).body.people;
const start = (id: string, lineId: string, person?: object) =>
  put(runRoute.PUT, `/runs/${id}`, { id }, { orderId: ID, lineId, operator: 'TO', ...(person && { person }) });

let at = Date.now() - 900_000_000;
async function opened(id: string) {
  const { body } = await send(runRoute.GET, `/runs/${id}`, { id });
  const plan = planOf(body.run, body.card);
  return { body, plan, state: replay(plan, body.run.startedAt, body.events as RunEvent[]) };
}
async function tell(run: string, fact: RunFact): Promise<string | null> {
  at += 400_000;
  const id = randomUUID();
  const reply = await put(eventRoute.PUT, `/runs/${run}/events/${id}`, { id: run, eventId: id }, { ...fact, id, at });
  return reply.status === 200 ? id : null;
}

interface Verdict {
  id: string;
  good: boolean;
  owner: number;
}

/** A step of a run, by luck: mostly as cued, now and then a slip or an undo. @param verdicts those that stand, kept up to date */
async function anyStep(run: string, luck: number, verdicts: Verdict[]): Promise<void> {
  const { plan, state, body } = await opened(run);
  if (state.done) return;
  const cue = cueOf(plan, state, at + 400_000);
  const piece = cue.pieces[0] ?? 1;
  const last = body.events.at(-1);
  const act = cue.act ?? cue.early;
  let fact: RunFact | null = act && factOf(cue, act);
  if (luck < 0.06 && last && last.kind !== 'undone') fact = { kind: 'undone', of: last.id };
  else if (luck < 0.12) fact = { kind: 'spoiled', piece, reason: 'scorched', note: '', lost: 'piece' };
  const id = fact && (await tell(run, fact));
  if (!fact || !id) return;
  if (fact.kind === 'kept' || fact.kind === 'spoiled') verdicts.push({ id, good: fact.kind === 'kept', owner: piece });
  if (fact.kind === 'undone' && verdicts.at(-1)?.id === fact.of) verdicts.pop();
}

describe('a kit of shirt, shorts and cap for twelve', () => {
  it('after any of 200 random steps, what each misses is what has no good piece', async () => {
    await makeOrder();
    const chance = chanceFrom(18);
    for (const { id } of GARMENTS) expect((await start(`run-${id}`, id)).status).toBe(200);
    // of each run the verdicts that stand, as they were told
    const standing = new Map<string, Verdict[]>(GARMENTS.map(({ id }) => [id, []]));
    for (let i = 0; i < 200; i++) {
      const garment = GARMENTS[Math.floor(chance() * 3)]?.id ?? '';
      await anyStep(`run-${garment}`, chance(), standing.get(garment) ?? []);
      if (i % 20 !== 0 && i !== 199) continue;
      const all = [...standing.values()].flat();
      expect((await kits()).map(({ missing }: { missing: number }) => missing)).toEqual(
        TWELVE.map((_, n) => 3 - all.filter(({ good, owner }) => good && owner === n + 1).length),
      );
    }
    expect([...standing.values()].flat().length).toBeGreaterThan(10);
  });

  it('one person’s pieces alone are pressed; a spoiled one is still missing; a number two share is asked about, then taken', async () => {
    await makeOrder();
    const seven = who('7', 'N7');
    expect((await start('run-seven', 'line-shorts', seven)).status).toBe(200);
    const { body } = await opened('run-seven');
    expect([body.run.pieces, body.card.of.roster]).toEqual([1, [who('7')]]);
    expect(await tell('run-seven', { kind: 'spoiled', piece: 1, reason: 'scorched', note: '', lost: 'piece' })).not.toBeNull();
    const kit = (await kits())[6];
    expect(kit).toMatchObject({ person: seven, missing: 3 });
    expect(kit.items.find(({ lineId }: { lineId: string }) => lineId === 'line-shorts')).toMatchObject({ good: 0, spoiled: 1 });
    const nobody = await start('run-nobody', 'line-shorts', who('99'));
    expect([nobody.status, nobody.body.detail]).toEqual([409, 'Nothing of this print is missing for that person.']);
    const { order, version } = (await send(orderRoute.GET, `/orders/${ID}`, { id: ID })).body;
    const [shirts, ...rest] = order.lines;
    const roster = [...TWELVE.slice(0, 11), who('7', 'Other')];
    const save = (line: object) => put(orderRoute.PUT, `/orders/${ID}`, { id: ID }, { ...order, lines: [line, ...rest] }, `"${version}"`);
    const refused = await save({ ...shirts, roster });
    expect([refused.status, refused.body.errors[0].message]).toEqual([422, expect.stringMatching(/Number 7 is already on piece 7/)]);
    expect((await save({ ...shirts, roster, sharedNumbers: ['7'] })).status).toBe(200);
    // a number alone is nobody's of the two any more
    expect((await kits()).map(({ person }: { person: { number: string } }) => person.number).filter((n: string) => n === '7')).toHaveLength(
      3,
    );
  });
});
