/** A run whose server is ended at a chosen point of storing an event, again and again; every event must be there once, in order. */
import { randomUUID } from 'node:crypto';
import { cueOf, factOf, planOf, REST, type RunEvent, replay } from '../src/core/run';
import type { Shop } from './shop';

export const POINTS = ['before', 'inside', 'after', 'during'] as const;
export type Point = (typeof POINTS)[number];

export const FAULTS = `--import ${new URL('../test/faults.mjs', import.meta.url).href}`;

/** Sends an event until it is acknowledged; false: the server is gone. */
async function sent(shop: Shop, runId: string, event: RunEvent): Promise<boolean> {
  try {
    const reply = await fetch(`${shop.address}/api/v1/runs/${runId}/events/${event.id}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json', origin: shop.address },
      body: JSON.stringify(event),
    });
    if (reply.status !== 200) throw new Error(`refused: ${await reply.text()}`);
    await reply.json();
    return true;
  } catch (error) {
    if (error instanceof Error && error.message.startsWith('refused')) throw error;
    return false;
  }
}

export const json = async (shop: Shop, path: string) => (await fetch(`${shop.address}/api/v1/${path}`)).json();

/**
 * Presses on by the cue while the server is ended `times` times at a point, each after some more events.
 *
 * @returns what is wrong afterwards; empty: nothing
 */
export async function pressThrough(shop: Shop, runId: string, point: Point, times: number): Promise<string[]> {
  const started = await json(shop, `runs/${runId}`);
  const plan = planOf(started.run, started.card);
  const mine: RunEvent[] = [...started.events];
  const wrong: string[] = [];
  const next = (): RunEvent => {
    const state = replay(plan, started.run.startedAt, mine);
    const cue = cueOf(plan, state, Date.now());
    const kind = cue.act ?? cue.early;
    if (!kind) throw new Error(`nothing to do: ${cue.verb}`);
    return { ...factOf(cue, kind), id: randomUUID(), at: Date.now() } as RunEvent;
  };
  for (let i = 0; i < times; i++) {
    await shop.kill();
    await shop.start({ NODE_OPTIONS: FAULTS, FAULT_AT: point, FAULT_AFTER: String(i % 4) });
    let event = next();
    while (await sent(shop, runId, event)) {
      mine.push(event);
      event = next();
    }
    await shop.gone();
    await shop.start();
    // the outbox sends the same event again, and the server knows it by its id
    if (!(await sent(shop, runId, event))) wrong.push('a sound server did not answer');
    mine.push(event);
  }
  const { events } = await json(shop, `runs/${runId}`);
  const ids = (list: RunEvent[]) => list.map(({ id }) => id).join(' ');
  if (ids(events) !== ids(mine))
    wrong.push(`${point}: ${events.length} events are stored, ${mine.length} were sent, or their order differs`);
  const { results } = replay(plan, started.run.startedAt, mine);
  const log = await json(shop, `pressings?orderId=${started.run.orderId}&limit=200`);
  const pressings = log.pressings.filter((pressing: { runId: string }) => pressing.runId === runId);
  if (pressings.length !== results.length) wrong.push(`${point}: ${pressings.length} pressings for ${results.length} verdicts`);
  return wrong;
}

/** Starts a run of the crew tees, past its set-up. */
export async function startRun(shop: Shop, runId: string): Promise<void> {
  const body = JSON.stringify({ orderId: 'order-crew-tees', lineId: 'line-crew-m', operator: 'QA' });
  const headers = { 'content-type': 'application/json', origin: shop.address };
  const reply = await fetch(`${shop.address}/api/v1/runs/${runId}`, { method: 'PUT', headers, body });
  if (!reply.ok) throw new Error(await reply.text());
  const past = { id: randomUUID(), at: Date.now(), kind: 'checked', check: REST } as const;
  if (!(await sent(shop, runId, past))) throw new Error('the server is gone');
}

/** Changes how many crew tees are ordered. */
export async function wantPieces(shop: Shop, count: number): Promise<void> {
  const { order, version } = await json(shop, 'orders/order-crew-tees');
  const lines = order.lines.map((line: { id: string }) => (line.id === 'line-crew-m' ? { ...line, count } : line));
  const headers = { 'content-type': 'application/json', origin: shop.address, 'if-match': `"${version}"` };
  const body = JSON.stringify({ ...order, lines });
  const reply = await fetch(`${shop.address}/api/v1/orders/order-crew-tees`, { method: 'PUT', headers, body });
  if (!reply.ok) throw new Error(await reply.text());
}
