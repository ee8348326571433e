/** How long an import of five thousand lines takes over the wire, read and applied, and how often it says how far it is. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const folder = mkdtempSync(join(tmpdir(), 'beacon-import-'));
process.env.TIDY_BEACON_DB = join(folder, 'shop.sqlite');
process.env.TIDY_BEACON_LOG = 'silent';
const { importReply } = await import('../src/server/http/exchange');
const { builtInProducts } = await import('../src/core/sheet');
const { shelfCsv } = await import('../src/core/formats');
const { closeShop, shop } = await import('../src/server/shop');

shop();
const [product] = builtInProducts('2026-01-01');
if (!product) throw new Error('there is a first family');
const csv = shelfCsv(
  'products',
  Array.from({ length: 5000 }, (_, i) => ({ ...product, id: `film-${i}`, name: `Film ${i}` })),
);
const url = new URL('http://127.0.0.1:4321/api/v1/import?kind=products&apply=true');
const start = performance.now();
const reply = await importReply(new Request(url, { method: 'POST', body: csv, headers: { 'content-type': 'text/csv' } }), url);
const told = (await reply.text()).trim().split('\n');
const last = JSON.parse(told.at(-1) ?? '{}') as { result?: { applied: boolean; changes: unknown[] } };
const took = performance.now() - start;
console.log(
  `import of 5000 lines, read and applied (${last.result?.applied}, ${last.result?.changes.length} changes), with ${told.length - 1} words of progress: ${took.toFixed(0)} ms (wanted: at most 3000)`,
);
closeShop();
rmSync(folder, { recursive: true, force: true });
