/** A shop of the first version, opened by this one: documents brought up, frozen cards and pressings as they were written. */
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { HouseSchema } from '../core/house';
import { BlankSchema, FabricSchema } from '../core/materials';
import { OrderSchema } from '../core/order';
import { PressSchema } from '../core/press';
import { ProductSchema } from '../core/sheet';
import { openShop } from './db';
import { bench } from './stores/bench';
import { frozenCard } from './stores/frozenCards';
import { readHouse } from './stores/house';
import { findOrder } from './stores/orders';
import { searchLog } from './stores/pressings';
import { listPresses, readShelf } from './stores/shelf';

const kept = (name: string) => JSON.parse(readFileSync(join(process.cwd(), 'test/kept', name), 'utf8'));
let folder = '';
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'beacon-old-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const HASH = 'b'.repeat(64);

/** The database as the first version made and filled it. */
function oldShop(path: string): void {
  const old = new Sqlite(path);
  const journal = JSON.parse(readFileSync('drizzle/meta/_journal.json', 'utf8')) as { entries: { when: number; tag: string }[] };
  old.exec('CREATE TABLE __drizzle_migrations (id INTEGER PRIMARY KEY, hash text NOT NULL, created_at numeric)');
  for (const { tag, when } of journal.entries.slice(0, 2)) {
    old.exec(readFileSync(`drizzle/${tag}.sql`, 'utf8').replaceAll('--> statement-breakpoint', ''));
    old.prepare('INSERT INTO __drizzle_migrations (hash, created_at) VALUES (?, ?)').run(tag, when);
  }
  const shop = kept('shop-v1.json');
  for (const table of ['fabrics', 'blanks', 'products', 'presses'])
    for (const doc of shop[table]) old.prepare(`INSERT INTO ${table} (id, version, doc) VALUES (?, 3, ?)`).run(doc.id, JSON.stringify(doc));
  old.prepare("INSERT INTO house (id, version, doc) VALUES ('house', 1, ?)").run(JSON.stringify(shop.house));
  for (const doc of shop.orders)
    old.prepare('INSERT INTO orders (id, version, due, doc) VALUES (?, 1, ?, ?)').run(doc.id, doc.due, JSON.stringify(doc));
  const card = kept('card-v1.json');
  old.prepare('INSERT INTO cards (hash, schema_version, doc) VALUES (?, 1, ?)').run(HASH, JSON.stringify(card));
  old
    .prepare(
      "INSERT INTO runs (id, order_id, line_id, press_id, card_hash, pieces, operator, started_at, ended_at) VALUES ('run-old', 'order-guide-tees', 'line-guide-m', 'press-swing', ?, 12, 'MB', 1, 2)",
    )
    .run(HASH);
  const { of, set } = card;
  const pressing = {
    id: '00000000-0000-4000-8000-000000000001',
    runId: 'run-old',
    orderId: 'order-guide-tees',
    orderName: 'Guide tees',
    lineId: 'line-guide-m',
    piece: 1,
    cardHash: HASH,
    ...{
      blankName: of.blankName,
      fabricName: of.fabricName,
      size: of.size,
      productName: of.productName,
      pressName: of.pressName,
      position: of.position,
      artName: of.artName,
    },
    ...{
      setC: set.tempC,
      timeS: set.timeS,
      pressureBand: set.pressure.band,
      peel: set.peel,
      pressedS: 9.4,
      closings: [],
      outcome: 'good',
      reason: null,
      laidBack: 0,
      note: '',
      operator: 'MB',
    },
    ...{ roomC: 21, humidityPercent: 48, startedAt: 1, endedAt: 2 },
  };
  old
    .prepare(
      "INSERT INTO pressings (id, run_id, order_id, line_id, outcome, ended_at, words, doc) VALUES (?, 'run-old', 'order-guide-tees', 'line-guide-m', 'good', 2, ?, ?)",
    )
    .run(pressing.id, 'guide tees wren stretch good', JSON.stringify(pressing));
  old
    .prepare("INSERT INTO amendments (id, pressing_id, field, to_value, at, doc) VALUES ('a', ?, 'note', 'x', 3, ?)")
    .run(
      pressing.id,
      JSON.stringify({ id: pressing.id, pressingId: pressing.id, field: 'note', from: '', to: 'x', by: '', why: '', at: 3 }),
    );
  old.close();
}

it('a shop of the first version is backed up, then opened: every document valid, old cards and pressings still read', () => {
  const path = join(folder, 'shop.sqlite');
  oldShop(path);
  const { db, sqlite } = openShop(path, 'drizzle');
  const { fabrics, blanks, products, aids } = readShelf(db);
  for (const fabric of fabrics) expect(FabricSchema.parse(fabric)).toEqual(fabric);
  for (const blank of blanks) expect(BlankSchema.parse(blank)).toEqual(blank);
  for (const product of products) expect(ProductSchema.parse(product)).toEqual(product);
  for (const { doc } of listPresses(db).rows) expect(PressSchema.parse(doc)).toEqual(doc);
  expect(HouseSchema.parse(readHouse(db).doc).rules).toMatchObject({ prePress: 'seconds', layers: 'tack' });
  expect(OrderSchema.parse(findOrder(db, 'order-guide-tees').doc).lines[0]?.prints).toMatchObject([
    { key: 'a', layers: [{ productId: 'product-wren' }] },
  ]);
  expect(aids.length).toBeGreaterThan(5);
  // the finish of the old sheet is a stage of its own now
  expect(products.map((product) => product.stages.map((stage) => stage.kind))).toContainEqual(['press']);
  expect(bench(db).orders).toMatchObject([{ pieces: 20, good: 1, lamp: 'clear' }]);
  const card = frozenCard(db, HASH);
  expect(card).toMatchObject({
    schemaVersion: 3,
    of: { layers: [{ productName: 'Wren Stretch' }], roster: [] },
    set: { tempC: 135, lowerC: null, base: 'usual pad' },
  });
  expect(card.stages.filter((stage) => stage.setC !== null).map((stage) => stage.kind)).toEqual(['pre-press', 'press']);
  expect(searchLog(db, { q: 'wren', limit: 5 }).pressings).toMatchObject([
    { layerNames: ['Wren Stretch'], person: null, printKey: 'a', amendments: [{ field: 'note' }] },
  ]);
  expect(searchLog(db, { product: 'Wren Stretch', press: 'Swing-away', limit: 5 }).total).toBe(1);
  expect(() => sqlite.prepare('DELETE FROM pressings').run()).toThrow(/never deleted/);
  expect(sqlite.pragma('foreign_key_check')).toEqual([]);
  sqlite.close();
  const backup = readdirSync(folder).find((name) => name.includes('.before-'));
  const before = new Sqlite(join(folder, backup ?? 'none'), { readonly: true });
  expect((before.prepare('SELECT count(*) AS n FROM pressings').get() as { n: number }).n).toBe(1);
  before.close();
  // a second start changes nothing more
  const again = openShop(path, 'drizzle');
  expect(readShelf(again.db).products).toEqual(products);
  again.sqlite.close();
});
