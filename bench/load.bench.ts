/**
 * A hundred stations at a hundred open runs over a hundred thousand pressings, then the log of a million taken out while they go on:
 * how long steps and reads take, and whether memory and open files stay where they are.
 */
import { execFile } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { promisify } from 'node:util';
import Sqlite from 'better-sqlite3';
import { json } from '../e2e/faults';
import { Shop } from '../e2e/shop';
import { apply, cueOf, factOf, planOf, type RunEvent, type RunState, replay } from '../src/core/run';
import { percentile } from './bear';
import { fillPressings } from './manyPressings';
import { chanceFrom } from './requests';

const STATIONS = Number(process.env.STATIONS ?? 100);
const SECONDS = Number(process.env.SECONDS ?? 120);
const PRESSINGS = Number(process.env.PRESSINGS ?? 100_000);
const FORMATS = (process.env.FORMATS ?? 'csv,json').split(',');
const EXPORTED = Number(process.env.EXPORTED ?? 1_000_000);
/** A station goes on to the next step, and looks at a page, after about so long, ms. */
const STEP_MS = 8000;
const PAGE_MS = 10_000;
/** A page asks for the rail at most so often, ms, as the app's own pages do. */
const RAIL_MS = 1000;

const chance = chanceFrom(22);
const nap = (ms: number) => new Promise((go) => setTimeout(go, ms));
const shop = await Shop.open();
const headers = { 'content-type': 'application/json', origin: shop.address };

async function must(method: string, path: string, body: unknown): Promise<unknown> {
  const reply = await fetch(`${shop.address}/api/v1/${path}`, { method, headers, body: JSON.stringify(body) });
  if (!reply.ok) throw new Error(`${method} ${path}: ${await reply.text()}`);
  return reply.json();
}

/** Writes pressings into the file while no server has it. */
async function fill(from: number, to: number): Promise<void> {
  await shop.kill();
  const sqlite = new Sqlite(shop.database);
  const { hash } = sqlite.prepare('SELECT hash FROM cards LIMIT 1').get() as { hash: string };
  sqlite.pragma('synchronous = OFF');
  fillPressings(sqlite, from, to, hash);
  sqlite.pragma('wal_checkpoint(TRUNCATE)');
  sqlite.close();
  await shop.start();
}

const status = () => {
  const rss = Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${shop.pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;
  return { rss, files: readdirSync(`/proc/${shop.pid}/fd`).length };
};

await fill(0, PRESSINGS);
const { order } = (await json(shop, 'orders/order-crew-tees')) as { order: { lines: { id: string }[] } };
for (let i = 0; i < STATIONS; i++) {
  const id = `order-station-${i}`;
  const lines = order.lines.slice(0, 1).map((line) => ({ ...line, count: 40, roster: [] }));
  await must('PUT', `orders/${id}`, { ...order, id, name: `Station ${i}`, lines });
  await must('PUT', `runs/run-station-${i}`, { orderId: id, lineId: lines[0]?.id, operator: 'QA' });
}
const mine = (await json(shop, 'bench')).orders.length;
const open = (await json(shop, 'rail')).runs.length;

let going = true;
let steps: number[] = [];
let reads: { path: string; ms: number; at: number }[] = [];
let workBegun = performance.now();
const wrong = new Map<string, number>();
const fault = (what: string) => wrong.set(what, (wrong.get(what) ?? 0) + 1);

async function read(path: string): Promise<void> {
  const begun = performance.now();
  try {
    const reply = await fetch(`${shop.address}/api/v1/${path}`);
    await reply.arrayBuffer();
    if (!reply.ok) fault(`${path} ${reply.status}`);
  } catch (error) {
    fault(`${path} ${error}`);
  }
  const now = performance.now();
  reads.push({ path, ms: now - begun, at: (begun - workBegun) / 1000 });
}

/** Hears the change stream as a page does, and asks for the rail, all changes of a second together. */
async function hear(stop: AbortSignal): Promise<void> {
  let asking = false;
  const reply = await fetch(`${shop.address}/api/v1/rail/stream`, { signal: stop });
  const decoder = new TextDecoder();
  for await (const chunk of reply.body as unknown as AsyncIterable<Uint8Array>) {
    if (!decoder.decode(chunk).includes('event: change') || asking) continue;
    asking = true;
    void read('rail').then(async () => {
      await nap(RAIL_MS);
      asking = false;
    });
  }
}

async function press(n: number): Promise<void> {
  const id = `run-station-${n}`;
  const { run, card, events } = await json(shop, `runs/${id}`);
  const plan = planOf(run, card);
  let state: RunState = replay(plan, run.startedAt, events);
  await nap(chance() * STEP_MS);
  while (going) {
    const at = Date.now();
    const cue = cueOf(plan, state, at);
    const kind = cue.act ?? cue.early;
    if (!kind) return;
    const event = { ...factOf(cue, kind), id: randomUUID(), at } as RunEvent;
    const begun = performance.now();
    const reply = await fetch(`${shop.address}/api/v1/runs/${id}/events/${event.id}?since=${events.length}`, {
      method: 'PUT',
      headers,
      body: JSON.stringify(event),
    });
    const text = await reply.text();
    if (!reply.ok) fault(`step ${reply.status} ${text.slice(0, 200)}`);
    steps.push(performance.now() - begun);
    const applied = apply(plan, run.startedAt, events, event, state);
    if (applied.state === 'refused') throw new Error(`a step that cannot be: ${event.kind}`);
    state = applied.run;
    events.push(event);
    await nap(STEP_MS * (0.5 + chance()));
  }
}

const WORDS = ['wren', 'spoiled', 'order 4711', 'seam', 'curlew beside'];
const pages = (n: number): string[] => [
  'bench',
  `orders/order-station-${n}`,
  `orders/order-station-${n}/cards`,
  `pressings?limit=50&q=${encodeURIComponent(WORDS[n % WORDS.length] ?? '')}`,
  'pressings?limit=50',
  'shelf',
  'presses',
  'presses/press-clamshell/records',
  'learned',
  `runs/run-station-${n}`,
];

async function look(n: number): Promise<void> {
  await nap(chance() * PAGE_MS);
  while (going) {
    const list = pages(n);
    await read(list[Math.floor(chance() * list.length)] ?? 'bench');
    await nap(PAGE_MS * (0.5 + chance()));
  }
}

/** Takes a file in a process of its own, as a browser elsewhere would. @returns its bytes, and ms to the first of them */
async function takenElsewhere(address: string): Promise<[number, number]> {
  const taking = `const begun = performance.now(); let bytes = 0, first = 0;
    for await (const chunk of (await fetch('${address}')).body) { first ||= performance.now() - begun; bytes += chunk.length; }
    console.log(JSON.stringify([bytes, first]));`;
  const { stdout } = await promisify(execFile)(process.execPath, ['--input-type=module', '-e', taking]);
  return JSON.parse(stdout) as [number, number];
}

const sorted = (list: readonly number[]) => [...list].sort((a, b) => a - b);
function say(what: string, seconds: number, wantedStep: number, wantedRead: number): void {
  const [s, r] = [sorted(steps), sorted(reads.map(({ ms }) => ms))];
  const figures = (list: number[]) => [0.5, 0.95, 0.99, 1].map((share) => percentile(list, share).toFixed(0)).join(' / ');
  console.log(
    `${what}, ${seconds.toFixed(0)} s: ${s.length} steps p50 / 95 / 99 / most ${figures(s)} ms (wanted p99: ${wantedStep}), ${r.length} reads ${figures(r)} ms (wanted p99: ${wantedRead})`,
  );
  const byPath = new Map<string, number[]>();
  for (const { path, ms } of reads) {
    const name = path.replaceAll(/-station-\d+/g, '-…').replaceAll(/q=.*/g, 'q=…');
    byPath.set(name, [...(byPath.get(name) ?? []), ms]);
  }
  console.log(`  ${[...byPath].map(([name, ms]) => `${name} ${percentile(sorted(ms), 0.99).toFixed(0)} of ${ms.length}`).join(', ')}`);
  const slowest = [...reads].sort((a, b) => b.ms - a.ms).slice(0, 6);
  console.log(`  slowest ${slowest.map(({ path, ms, at }) => `${path} ${ms.toFixed(0)} ms at ${at.toFixed(1)} s`).join(', ')}`);
  for (const [one, n] of wrong) console.log(`  wrong ${n} times: ${one}`);
}

async function work(during: () => Promise<void>): Promise<number> {
  going = true;
  [steps, reads] = [[], []];
  wrong.clear();
  const stop = new AbortController();
  const hearing = Array.from({ length: STATIONS }, () => hear(stop.signal).catch(() => undefined));
  const working = Array.from({ length: STATIONS }, (_, n) => [press(n), look(n)]).flat();
  const begun = performance.now();
  workBegun = begun;
  await during();
  const took = (performance.now() - begun) / 1000;
  going = false;
  await Promise.all(working);
  stop.abort();
  await Promise.all(hearing);
  return took;
}

{
  const samples: { rss: number; files: number }[] = [];
  const took = await work(async () => {
    for (let s = 0; s < SECONDS; s += 5) {
      await nap(5000);
      samples.push(status());
    }
  });
  say(`${STATIONS} stations, ${open} open runs, ${mine} orders, ${PRESSINGS} pressings`, took, 100, 500);
  const third = Math.floor(samples.length / 3);
  const mean = (list: typeof samples, of: 'rss' | 'files') => list.reduce((sum, entry) => sum + entry[of], 0) / Math.max(1, list.length);
  const parts = [samples.slice(0, third), samples.slice(third, 2 * third), samples.slice(2 * third)];
  console.log(
    `  memory in thirds ${parts.map((list) => mean(list, 'rss').toFixed(0)).join(' / ')} MB, open files ${parts.map((list) => mean(list, 'files').toFixed(0)).join(' / ')}`,
  );
}

if (EXPORTED > PRESSINGS) {
  await fill(PRESSINGS, EXPORTED);
  // a million records are counted once after a start; that is not the export's doing
  reads = [];
  for (const path of pages(0)) await read(path);
  console.log(
    `Each page once after the start with ${EXPORTED} pressings, the slowest in ${Math.max(...reads.map(({ ms }) => ms)).toFixed(0)} ms`,
  );
  for (const format of FORMATS) {
    const before = status();
    let [most, bytes, first] = [0, 0, 0];
    const took = await work(async () => {
      const watching = setInterval(() => {
        most = Math.max(most, status().rss);
      }, 500);
      [bytes, first] = await takenElsewhere(`${shop.address}/api/v1/pressings.${format}`);
      clearInterval(watching);
    });
    const after = status();
    say(
      `${EXPORTED} pressings out as ${format}, ${(bytes / 1e6).toFixed(0)} MB, first byte after ${first.toFixed(0)} ms, beside the stations`,
      took,
      50,
      50,
    );
    console.log(
      `  memory ${before.rss.toFixed(0)} before, ${most.toFixed(0)} at most, ${after.rss.toFixed(0)} MB after; open files ${before.files} and ${after.files}`,
    );
  }
}
await shop.close();
