/** How long the log takes to answer over a hundred thousand and a million pressings, by words, by filters and by pages. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openShop } from '../src/server/db';
import { type LogQuery, searchLog } from '../src/server/stores/pressings';
import { fillPressings } from './manyPressings';

const median = (times: number[]) => [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? 0;
const folder = mkdtempSync(join(tmpdir(), 'beacon-log-'));
const { db, sqlite } = openShop(join(folder, 'shop.sqlite'), 'drizzle');
// the figures are for reading; how safely these rows were written is no part of them
sqlite.pragma('synchronous = OFF');
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
  fillPressings(sqlite, filled, size);
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
