/** How long the log takes to answer over a hundred thousand and a million pressings, by words, by filters and by pages. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { SPOIL_REASONS } from '../src/core/run';
import { openShop } from '../src/server/db';
import { type LogQuery, searchLog } from '../src/server/stores/pressings';

const median = (times: number[]) => [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? 0;
const pick = <T>(all: readonly T[], n: number): T => all[n % all.length] as T;
const BLANKS = ['guide tee', 'crew tee', 'canvas tote', 'observer cap', 'wooden tag', 'wall tile'];
const PRODUCTS = [
  'Wren Stretch',
  'Dunlin Solid',
  'Curlew Two-Sheet',
  'Heron Hot Split',
  'Kittiwake Clear',
  'Tern Full Colour',
  'Marl Rise',
];
const FABRICS = ['heather jersey', 'cotton jersey', 'fleece', 'glass', 'basswood'];
const PRESSES = ['Swing-away', 'Old clamshell', 'Cap press'];

const folder = mkdtempSync(join(tmpdir(), 'beacon-log-'));
const { db, sqlite } = openShop(join(folder, 'shop.sqlite'), 'drizzle');
// the figures are for reading; how safely these rows were written is no part of them
sqlite.pragma('synchronous = OFF');
const insert = sqlite.prepare(
  'INSERT INTO pressings (id, order_id, line_id, print_key, outcome, fabric, product, press, ended_at, words, doc) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)',
);

function fill(from: number, to: number): void {
  sqlite.transaction(() => {
    for (let i = from; i < to; i++) {
      const id = `00000000-0000-4000-8000-${i.toString(16).padStart(12, '0')}`;
      const spoiled = i % 17 === 0;
      const [blankName, productName, fabricName, pressName] = [
        pick(BLANKS, i * 7),
        pick(PRODUCTS, i * 5 + (i >> 4)),
        pick(FABRICS, i * 3),
        pick(PRESSES, i >> 3),
      ];
      const orderName = `Order ${i >> 4} of night ${(i >> 9) % 900}`;
      const note = i % 1013 === 0 ? 'sat low beside the seam' : '';
      const reason = spoiled ? pick(SPOIL_REASONS, i) : null;
      const endedAt = 1_700_000_000_000 + i * 41_000;
      const doc = {
        ...{
          id,
          runId: `run-${i >> 3}`,
          orderId: `order-${i >> 4}`,
          orderName,
          lineId: 'line',
          printKey: 'a',
          piece: i % 16,
          person: null,
          cardHash: 'a'.repeat(64),
        },
        ...{
          blankName,
          fabricName,
          size: 'M',
          productName,
          layerNames: [productName],
          pressName,
          position: 'full front',
          artName: 'star',
          setC: 140,
          lowerC: null,
          timeS: 9,
        },
        ...{
          pressureBand: 'medium',
          peel: 'warm',
          pressedS: 9.2,
          closings: [],
          outcome: spoiled ? 'spoiled' : 'good',
          reason,
          laidBack: 0,
          note,
          operator: 'QA',
        },
        ...{ roomC: 21, humidityPercent: 45, startedAt: endedAt - 60_000, endedAt },
      };
      const words = ` ${[orderName, blankName, fabricName, 'm', productName, pressName, doc.outcome, reason ?? '', note]
        .join(' ')
        .toLowerCase()
        .replace(/[^a-z0-9]+/g, ' ')} `;
      insert.run(id, doc.orderId, 'line', 'a', doc.outcome, fabricName, productName, pressName, endedAt, words, JSON.stringify(doc));
    }
  })();
}

const QUERIES: [string, LogQuery][] = [
  ['newest page', { limit: 200 }],
  ['a far page', { limit: 200, before: 1_700_000_000_000 + 5_000 * 41_000 }],
  ['one rare word', { q: 'seam', limit: 200 }],
  ['an order by its number', { q: 'order 4711', limit: 200 }],
  ['two common words', { q: 'wren good', limit: 200 }],
  ['a common and a rare word', { q: 'curlew beside', limit: 200 }],
  ['spoiled', { outcome: 'spoiled', limit: 200 }],
  ['one transfer', { product: 'Marl Rise', limit: 200 }],
  ['one press, spoiled', { press: 'Cap press', outcome: 'spoiled', limit: 200 }],
  ['one fabric in a month', { fabric: 'glass', from: '2023-12-01', to: '2023-12-31', limit: 200 }],
];

let filled = 0;
for (const [size, wanted] of [
  [100_000, 30],
  [1_000_000, 50],
] as const) {
  fill(filled, size);
  filled = size;
  sqlite.exec("INSERT INTO pressing_words(pressing_words) VALUES ('optimize')");
  const all: number[] = [];
  const each = QUERIES.map(([name, query]) => {
    const times = Array.from({ length: 7 }, () => {
      const start = performance.now();
      searchLog(db, query);
      return performance.now() - start;
    });
    all.push(...times);
    return `${name} ${median(times).toFixed(1)}`;
  });
  console.log(
    `log over ${size} pressings, median of all queries: ${median(all).toFixed(1)} ms (wanted: at most ${wanted}); each: ${each.join(', ')}`,
  );
}
sqlite.close();
rmSync(folder, { recursive: true, force: true });
