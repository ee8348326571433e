/** Ends the server at random instants of a first start, an import and the putting back of a backup, and looks whether what is there then is whole. Takes some minutes. */
import { randomUUID } from 'node:crypto';
import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import { json } from '../e2e/faults';
import { Shop } from '../e2e/shop';
import { unreadableAfter } from './bear';
import { chanceFrom } from './requests';

/** `starts`, `import`, `restore`; unset: all of them. */
const ONLY = process.env.ONLY ?? '';
const asked = (what: string) => ONLY === '' || ONLY.split(' ').includes(what);
const STARTS = Number(process.env.STARTS ?? 100);
const TIMES = Number(process.env.TIMES ?? 50);
const chance = chanceFrom(Number(process.env.SEED ?? 21));
const nap = (ms: number) => new Promise((go) => setTimeout(go, ms));
const say = (what: string, wrong: readonly string[]) => console.log(`${what}: ${wrong.length === 0 ? 'nothing wrong' : wrong.join('; ')}`);

/** What a whole demo shop holds. */
async function counted(shop: Shop): Promise<string> {
  const [bench, shelf, presses, log] = await Promise.all(
    ['bench', 'shelf', 'presses', 'pressings?limit=200'].map((path) => json(shop, path)),
  );
  return [bench.orders, shelf.fabrics, shelf.blanks, shelf.products, shelf.aids, presses.presses, log.pressings]
    .map((list: unknown[]) => list.length)
    .join(' ');
}

// a first start, cut off anywhere between the first instant and the first answer
if (asked('starts')) {
  const wrong: string[] = [];
  const sound = await Shop.open();
  const whole = await counted(sound);
  /** When the first file of the shop is there, and when the server answers, ms from the start. */
  const began = (shop: Shop) =>
    (async () => {
      while (readdirSync(shop.folder).length === 0) await nap(2);
    })();
  const [first, took] = await (async () => {
    const other = await Shop.aside();
    const begun = performance.now();
    const starting = other.start();
    await began(other);
    const at = performance.now() - begun;
    await starting;
    const all = performance.now() - begun;
    await other.close();
    return [at, all] as const;
  })();
  let before = 0;
  for (let i = 0; i < STARTS; i++) {
    const shop = await Shop.aside();
    const starting = shop.start().then(
      () => undefined,
      () => undefined,
    );
    // a half of them anywhere, a half while the shop is being made
    if (i % 4 < 2) await nap(chance() * took);
    else {
      await began(shop);
      await nap(chance() * (took - first));
    }
    await shop.kill(i % 2 === 0 ? 'SIGKILL' : 'SIGINT');
    await starting;
    if (!existsSync(shop.database)) before++;
    await shop.start();
    const found = await counted(shop);
    if (found !== whole) wrong.push(`start ${i}: ${found} where ${whole} belong`);
    if (i % 10 === 0) wrong.push(...(await unreadableAfter(shop)));
    const left = readdirSync(shop.folder).filter((name) => name.includes('.begun'));
    if (left.length > 0) wrong.push(`start ${i} leaves ${left.join(' ')}`);
    await shop.close();
  }
  await sound.close();
  say(
    `${STARTS} first starts cut off within ${took.toFixed(0)} ms, half of them while the shop is made, ${first.toFixed(0)} to ${took.toFixed(0)} ms, ${before} of them before there was a shop`,
    wrong,
  );
}

const order = (id: string, name: string) => ({ id, name, customer: '', due: '2026-12-24', note: '', lines: [] });
const headersOf = (shop: Shop) => ({ 'content-type': 'application/json', origin: shop.address });
const ordersNamed = (file: string, name: string): number => {
  const sqlite = new Sqlite(file, { readonly: true });
  const { n } = sqlite.prepare("SELECT count(*) AS n FROM orders WHERE json_extract(doc, '$.name') = ?").get(name) as { n: number };
  sqlite.close();
  return n;
};

/** Puts practice rounds, one after the other, until the server is gone; notes each that was acknowledged. */
async function playOn(shop: Shop, kept: string[]): Promise<void> {
  for (;;) {
    const id = randomUUID();
    const body = JSON.stringify({ operator: 'QA', situation: 'cold base', mistakes: [], score: 50, at: 1 });
    try {
      const reply = await fetch(`${shop.address}/api/v1/practice/${id}`, { method: 'PUT', headers: headersOf(shop), body });
      await reply.text();
      if (reply.ok) kept.push(id);
    } catch {
      return;
    }
    await nap(2);
  }
}
const rounds = (file: string): Set<string> => {
  const sqlite = new Sqlite(file, { readonly: true });
  const ids = (sqlite.prepare('SELECT id FROM practice_rounds').all() as { id: string }[]).map(({ id }) => id);
  sqlite.close();
  return new Set(ids);
};

// an import of two thousand orders: all of them or none, and all where it was acknowledged
if (asked('import')) {
  const wrong: string[] = [];
  const ORDERS = 2000;
  const shop = await Shop.open();
  const kept: string[] = [];
  let [all, none, took] = [0, 0, 0];
  // the first is left to its end, to know how long one takes
  for (let i = -1; i < TIMES; i++) {
    const name = `brought in ${i}`;
    const orders = Array.from({ length: ORDERS }, (_, n) => order(`order-${i}-${n}`, name));
    const body = JSON.stringify({ format: 'tidy-beacon shop', version: 2, orders });
    let told = false;
    const playing = playOn(shop, kept);
    const begun = performance.now();
    const importing = (async () => {
      const reply = await fetch(`${shop.address}/api/v1/import?kind=shop&apply=true`, { method: 'POST', headers: headersOf(shop), body });
      told = (await reply.text()).includes('"result"');
      took = Math.max(took, performance.now() - begun);
    })().catch(() => undefined);
    await (i < 0 ? importing : Promise.race([importing, nap((0.3 + 1.2 * chance()) * took)]));
    await shop.kill();
    await Promise.all([importing, playing]);
    await shop.start();
    const n = ordersNamed(shop.database, name);
    if (n !== 0 && n !== ORDERS) wrong.push(`import ${i}: ${n} of ${ORDERS} orders`);
    if (told && n === 0) wrong.push(`import ${i} was acknowledged and is lost`);
    if (n === 0) none++;
    else all++;
  }
  const there = rounds(shop.database);
  const lost = kept.filter((id) => !there.has(id));
  if (lost.length > 0) wrong.push(`${lost.length} acknowledged writes beside it are lost`);
  wrong.push(...(await unreadableAfter(shop)));
  await shop.close();
  say(`kill -9 ${TIMES} times in an import of ${ORDERS} orders, ${all} whole, ${none} not begun, ${kept.length} writes beside it`, wrong);
}

/** Names the order that says which shop this is. */
async function putMark(shop: Shop, name: string): Promise<void> {
  const { version } = await json(shop, 'orders/order-mark');
  const headers = { ...headersOf(shop), ...(version !== undefined && { 'if-match': `"${version}"` }) };
  const body = JSON.stringify(order('order-mark', name));
  const reply = await fetch(`${shop.address}/api/v1/orders/order-mark`, { method: 'PUT', headers, body });
  if (!reply.ok) throw new Error(await reply.text());
}

// a backup put back: the old shop or the new one, and every write that was acknowledged in it or in the copy kept of before
if (asked('restore')) {
  const wrong: string[] = [];
  const shop = await Shop.open();
  let [old, fresh, written, took] = [0, 0, 0, 0];
  for (let i = -1; i < TIMES; i++) {
    const name = `of before ${i}`;
    await putMark(shop, name);
    const backup = new Uint8Array(await (await fetch(`${shop.address}/api/v1/backup`)).arrayBuffer());
    const now = `of now ${i}`;
    await putMark(shop, now);
    const kept: string[] = [];
    const playing = playOn(shop, kept);
    let told = false;
    const begun = performance.now();
    const restoring = (async () => {
      const reply = await fetch(`${shop.address}/api/v1/restore`, { method: 'PUT', headers: { origin: shop.address }, body: backup });
      told = reply.ok && ((await reply.json()) as { restored: boolean }).restored;
      took = Math.max(took, performance.now() - begun);
    })().catch(() => undefined);
    await (i < 0 ? restoring : Promise.race([restoring, nap((0.3 + 1.2 * chance()) * took)]));
    await shop.kill();
    await Promise.all([restoring, playing]);
    await shop.start();
    const [isOld, isNew] = [ordersNamed(shop.database, now) === 1, ordersNamed(shop.database, name) === 1];
    if (isOld === isNew) wrong.push(`restore ${i}: neither shop`);
    if (told && isOld) wrong.push(`restore ${i} was acknowledged and is lost`);
    if (isOld) old++;
    else fresh++;
    const there = rounds(shop.database);
    for (const copy of readdirSync(shop.folder).filter((file) => /\.before-restore-\d+$/.test(file)))
      for (const id of rounds(join(shop.folder, copy))) there.add(id);
    const lost = kept.filter((id) => !there.has(id));
    written += kept.length;
    if (lost.length > 0) wrong.push(`restore ${i}: ${lost.length} acknowledged writes are in neither shop`);
    if (i % 10 === 0) wrong.push(...(await unreadableAfter(shop)));
  }
  await shop.close();
  say(`kill -9 ${TIMES} times in a restore, ${old} the old shop, ${fresh} the new one, ${written} writes meanwhile`, wrong);
}
