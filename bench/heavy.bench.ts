/** Each request that once stopped the server, sent again and again while steps of a run go on beside it. */
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { json, startRun } from '../e2e/faults';
import { Shop } from '../e2e/shop';
import { fileOfOrders } from '../test/hard';
import { percentile } from './bear';

const shop = await Shop.open();
await startRun(shop, 'run-heavy');
const headers = { 'content-type': 'application/json', origin: shop.address };
const send = (method: string, path: string, body?: string) =>
  fetch(`${shop.address}/api/v1/${path}`, { method, headers, ...(body !== undefined && { body }) });
const memory = () => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${shop.pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;

const shelf = await json(shop, 'shelf');
const { house } = await json(shop, 'house');
const press = (await json(shop, 'presses')).presses.find(
  (candidate: { press: { id: string } }) => candidate.press.id === 'press-clamshell',
).press;
const members = await json(shop, 'orders/order-members');
const line = members.order?.lines?.[0] ?? (await json(shop, 'orders/order-guide-tees')).order.lines[0];
const blank = shelf.blanks.find((blank: { id: string }) => blank.id === line.blankId);
const fabric = shelf.fabrics.find((fabric: { id: string }) => fabric.id === blank.fabricId);
const hold = shelf.products.find((product: { familyId: string }) => product.familyId === 'screen-printed') ?? shelf.products[0];
const print = { ...line.prints[0], layers: [{ key: 'a', productId: hold.id, over: [] }], choices: { setC: 205 } };

// two hundred lines whose cards hold
const big = {
  id: 'order-heavy',
  name: 'two hundred on Hold',
  customer: '',
  due: '2026-12-24',
  note: '',
  lines: Array.from({ length: 200 }, (_, i) => ({
    ...line,
    id: `line-${i}`,
    count: 1 + (i % 7),
    roster: [],
    prints: [{ ...print, pressId: press.id, widthMm: 100 + i }],
  })),
};
await send('PUT', 'orders/order-heavy', JSON.stringify(big));
const names = {
  ...big,
  id: 'order-names',
  name: 'a thousand names',
  lines: [
    {
      ...line,
      id: 'line-n',
      count: 1000,
      roster: Array.from({ length: 1000 }, (_, i) => ({ number: String(i), name: `Somebody of the crew ${i}` })),
    },
  ],
};
await send('PUT', 'orders/order-names', JSON.stringify(names));
const layers = shelf.products.filter((product: { familyId: string }) => product.familyId === 'cut-film').slice(0, 1);
const eight = {
  print: {
    ...print,
    layers: Array.from({ length: 8 }, (_, i) => ({
      key: `l${i}`,
      productId: layers[0]?.id ?? hold.id,
      over: i === 0 ? [] : [`l${i - 1}`],
    })),
  },
  size: line.size,
  blank,
  fabric,
  products: [layers[0] ?? hold],
  press,
  house,
  shelf: {
    products: Array.from({ length: 300 }, (_, i) => ({ ...(shelf.products[i % shelf.products.length] as object), id: `p-${i}` })),
    presses: [press],
  },
};
const orders = fileOfOrders(150_000);

const HEAVY: [string, () => Promise<Response>][] = [
  [
    'closing of small pieces',
    () =>
      send(
        'POST',
        'compute/closing',
        JSON.stringify({ room: { widthMm: 2000, heightMm: 2000 }, piece: { widthMm: 5, heightMm: 7, round: false }, gapMm: 0 }),
      ),
  ],
  [
    'closing of as many as are taken',
    () =>
      send(
        'POST',
        'compute/closing',
        JSON.stringify({ room: { widthMm: 460, heightMm: 381 }, piece: { widthMm: 36, heightMm: 41.5, round: false }, gapMm: 0 }),
      ),
  ],
  ['18 MB of empty orders', () => send('POST', 'import?kind=shop&apply=true', orders)],
  ['200 cards on Hold', () => send('GET', 'orders/order-heavy/cards')],
  ['8 layers and 300 transfers', () => send('POST', 'compute/card', JSON.stringify(eight))],
  ['a card of 1,000 names', () => send('GET', 'orders/order-names/card.pdf?line=line-n&print=a')],
  ['a body nested deep', () => send('POST', 'compute/card', `${'['.repeat(400_000)}`)],
];

for (const [name, ask] of HEAVY) {
  let going = true;
  const steps: number[] = [];
  const pressing = (async () => {
    while (going) {
      const event = { id: randomUUID(), at: Date.now(), kind: 'checked', check: 'rest' };
      const begun = performance.now();
      const reply = await send('PUT', `runs/run-heavy/events/${event.id}?since=100000`, JSON.stringify(event));
      await reply.text();
      if (!reply.ok) throw new Error(`a step was refused: ${reply.status}`);
      steps.push(performance.now() - begun);
      await new Promise((go) => setTimeout(go, 20));
    }
  })();
  const times: number[] = [];
  const answers: number[] = [];
  const until = performance.now() + 12_000;
  const entry = async () => {
    while (performance.now() < until) {
      const begun = performance.now();
      const reply = await ask();
      await reply.arrayBuffer();
      answers.push(reply.status);
      times.push(performance.now() - begun);
    }
  };
  await Promise.all([entry(), entry(), entry()]);
  going = false;
  await pressing;
  steps.sort((a, b) => a - b);
  times.sort((a, b) => a - b);
  console.log(
    `${name}: answers ${[...new Set(answers)].join(', ')} in ${percentile(times, 0.5).toFixed(0)} ms (median of ${times.length}); steps of a run meanwhile p99 ${percentile(steps, 0.99).toFixed(0)} ms of ${steps.length} (wanted: at most 250); server ${memory().toFixed(0)} MB`,
  );
}
await shop.close();
