/** Sends a server requests it must bear, while steps of a run go on beside them; says what it did not bear. */
import { randomUUID } from 'node:crypto';
import { json, startRun } from '../e2e/faults';
import type { Shop } from '../e2e/shop';
import { type Asked, chanceFrom, Requests } from './requests';

/** A request that has no answer by then hangs, ms. */
const HANGS_MS = 90_000;
const AT_ONCE = 4;

export interface Borne {
  sent: number;
  /** Answers by their first figure. */
  answers: Record<string, number>;
  /** Server errors and hangs, a line each. */
  wrong: string[];
  /** How long steps of a run took meanwhile, ms, in order. */
  steps: number[];
  slowest: string;
}

/** What the shop holds, for requests that change it here and there. */
async function knownOf(shop: Shop) {
  const [shelf, presses, house, bench] = await Promise.all(['shelf', 'presses', 'house', 'bench'].map((path) => json(shop, path)));
  const orders = await Promise.all(bench.orders.map((row: { orderId: string }) => json(shop, `orders/${row.orderId}`)));
  const log = await json(shop, 'pressings?limit=20');
  const with_ = <T extends { id: string }>(docs: readonly T[]) => docs.map((body) => ({ params: { id: body.id }, body }));
  const known = {
    putFabric: with_(shelf.fabrics),
    putBlank: with_(shelf.blanks),
    putProduct: with_(shelf.products),
    putAid: with_(shelf.aids),
    putPress: with_(presses.presses.map((entry: { press: { id: string } }) => entry.press)),
    putHouse: [{ params: {}, body: house.house }],
    putOrder: with_(orders.map((entry: { order: { id: string } }) => entry.order)),
    order: orders.map((entry: { order: { id: string } }) => ({ params: { id: entry.order.id }, body: undefined })),
    orderCards: orders.map((entry: { order: { id: string } }) => ({ params: { id: entry.order.id }, body: undefined })),
    pressing: log.pressings.map((pressing: { id: string }) => ({ params: { id: pressing.id }, body: undefined })),
    again: log.pressings.map((pressing: { id: string }) => ({ params: { id: pressing.id }, body: undefined })),
  };
  const ids = [...Object.values(known).flatMap((list) => list.flatMap((entry: { params: { id?: string } }) => entry.params.id ?? []))];
  return { known, ids };
}

async function send(
  shop: Shop,
  { method, path, headers, body }: Asked,
): Promise<{ status: number; ms: number } | { hangs: string; ms: number }> {
  const begun = performance.now();
  try {
    const signal = AbortSignal.timeout(HANGS_MS);
    const init = {
      method,
      headers: { ...headers, origin: shop.address },
      signal,
      ...(body !== undefined && method !== 'GET' && method !== 'HEAD' && { body }),
    };
    const reply = await fetch(`${shop.address}${path}`, init);
    const text = await reply.text();
    // an import answers 200 and tells its problem in its last line
    const told = path.includes('/import') ? /"problem":\{[^}]*"status":(\d+)/.exec(text)?.[1] : undefined;
    return { status: Number(told ?? reply.status), ms: performance.now() - begun };
  } catch (error) {
    return { hangs: error instanceof Error ? `${error.name}: ${error.message}` : String(error), ms: performance.now() - begun };
  }
}

/** Steps of a run, one after the other, as long as something else goes on. */
async function press(shop: Shop, runId: string, going: () => boolean): Promise<number[]> {
  const times: number[] = [];
  for (let n = 0; going(); n++) {
    const event = { id: randomUUID(), at: Date.now(), kind: 'checked', check: `point ${n % 20}` };
    const begun = performance.now();
    const reply = await fetch(`${shop.address}/api/v1/runs/${runId}/events/${event.id}?since=100000`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json', origin: shop.address },
      body: JSON.stringify(event),
    });
    await reply.text();
    if (reply.status !== 200) throw new Error(`a step was refused: ${reply.status}`);
    times.push(performance.now() - begun);
    await new Promise((go) => setTimeout(go, 40));
  }
  return times;
}

/** @returns what of the shop cannot be read afterwards; empty: all of it can */
export async function unreadableAfter(shop: Shop): Promise<string[]> {
  const wrong: string[] = [];
  for (const path of [
    'bench',
    'rail',
    'shelf',
    'presses',
    'house',
    'learned',
    'pressings?limit=500',
    'placement-bias',
    'practice',
    'log-names',
  ]) {
    const reply = await fetch(`${shop.address}/api/v1/${path}`);
    const body = (await reply.json()) as { unreadable?: unknown[]; presses?: { press: { id: string } }[] };
    if (reply.status !== 200) wrong.push(`${path} answers ${reply.status}`);
    if ((body.unreadable ?? []).length > 0) wrong.push(`${path} leaves out ${JSON.stringify(body.unreadable).slice(0, 300)}`);
    for (const { press } of path === 'presses' ? (body.presses ?? []) : []) {
      const report = await fetch(`${shop.address}/api/v1/presses/${press.id}/records`);
      if (report.status !== 200) wrong.push(`records of ${press.id} answer ${report.status}`);
    }
  }
  const text = await (await fetch(`${shop.address}/api/v1/shop.json`)).text();
  if ((JSON.parse(text) as { leftOut: unknown[] }).leftOut.length > 0) wrong.push('the shop is not taken out whole');
  const headers = { 'content-type': 'application/json', origin: shop.address };
  const back = await fetch(`${shop.address}/api/v1/import?kind=shop`, { method: 'POST', headers, body: text });
  const last = JSON.parse((await back.text()).trim().split('\n').at(-1) ?? '{}') as {
    result?: { faultCount: number; counts: unknown[]; faults: unknown[] };
  };
  if (!last.result || last.result.faultCount > 0 || last.result.counts.length > 0)
    wrong.push(`what the shop wrote it does not read back as it is: ${JSON.stringify(last).slice(0, 500)}`);
  return wrong;
}

/** Sends so many malformed and so many extreme requests from a seed. */
export async function bear(shop: Shop, malformed: number, extreme: number, seed: number): Promise<Borne> {
  await startRun(shop, `run-bear-${seed}`);
  const chance = chanceFrom(seed);
  const { known, ids } = await knownOf(shop);
  const requests = new Requests(chance, known, ids);
  const borne: Borne = { sent: 0, answers: {}, wrong: [], steps: [], slowest: '' };
  let slowest = 0;
  let going = true;
  const pressing = press(shop, `run-bear-${seed}`, () => going);
  const total = malformed + extreme;
  // biome-ignore lint/complexity/noExcessiveCognitiveComplexity: one session of attacks, told in order
  const worker = async () => {
    for (;;) {
      const n = borne.sent++;
      if (n >= total) return;
      const asked = n % total < malformed ? requests.malformed() : requests.extreme();
      const done = await send(shop, asked);
      const name = `${asked.method} ${asked.path.slice(0, 120)} ${(asked.body ?? '').slice(0, 160)}`;
      if (done.ms > slowest) {
        slowest = done.ms;
        borne.slowest = `${done.ms.toFixed(0)} ms ${name}`;
      }
      if ('hangs' in done) borne.wrong.push(`hangs: ${name}: ${done.hangs}`);
      else {
        const first = String(done.status).slice(0, 1);
        borne.answers[first] = (borne.answers[first] ?? 0) + 1;
        if (done.status >= 500) borne.wrong.push(`${done.status}: ${name}`);
      }
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, worker));
  going = false;
  borne.sent = total;
  borne.steps = (await pressing).sort((a, b) => a - b);
  borne.wrong.push(...(await unreadableAfter(shop)));
  return borne;
}

export const percentile = (sorted: readonly number[], share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0;
