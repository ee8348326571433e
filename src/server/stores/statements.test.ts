/** Statements a page costs: as many for many rows as for few, none a row. */
import { join } from 'node:path';
import type { Statement } from 'better-sqlite3';
import { describe, expect, it } from 'vitest';
import { openShop } from '../db';
import { bench, orderReply } from './bench';
import { loadDemoShop } from './demoShop';
import { findOrder, putOrder } from './orders';
import type { Db } from './perShop';
import { searchLog } from './pressings';
import { readRail } from './rail';
import { startRun } from './runs';
import { listPresses, readShelf } from './shelf';

const TODAY = new Date(new Date().setHours(9, 0, 0, 0));

const WAYS = ['all', 'get', 'run', 'iterate'] as const;
type Way = (typeof WAYS)[number];
type Asking = (this: Statement, ...values: unknown[]) => unknown;

/** How often the database is asked while something is done. */
function asked(db: Db, what: () => unknown): number {
  const prototype = Object.getPrototypeOf(db.$client.prepare('SELECT 1')) as Record<Way, Asking>;
  const own = Object.fromEntries(WAYS.map((way) => [way, prototype[way]])) as Record<Way, Asking>;
  let n = 0;
  for (const way of WAYS)
    prototype[way] = function (this: Statement, ...values: unknown[]) {
      n++;
      return own[way].apply(this, values);
    };
  try {
    what();
  } finally {
    Object.assign(prototype, own);
  }
  return n;
}

/** The demo shop with more orders like one it has, each with a run that is open. */
function shopWith(more: number): Db {
  const { db } = openShop(':memory:', 'drizzle');
  loadDemoShop(db, join(process.cwd(), 'demo'), TODAY);
  const { doc } = findOrder(db, 'order-crew-tees');
  for (let i = 0; i < more; i++) {
    const lines = doc.lines.slice(0, 1);
    putOrder(db, { ...doc, id: `order-more-${i}`, name: `More ${i}`, lines }, null);
    startRun(db, `run-more-${i}`, { orderId: `order-more-${i}`, lineId: lines[0]?.id ?? '', operator: '' }, TODAY.getTime());
  }
  return db;
}

const PAGES: Record<string, (db: Db) => unknown> = {
  bench: (db) => bench(db),
  order: (db) => orderReply(db, findOrder(db, 'order-crew-tees')),
  rail: (db) => readRail(db, TODAY.getTime()),
  shelf: (db) => readShelf(db),
  presses: (db) => listPresses(db),
  log: (db) => searchLog(db, { limit: 100 }),
};

describe('a page', () => {
  const [few, many] = [shopWith(2), shopWith(20)];
  it.each(Object.keys(PAGES))('%s asks the database as often for many orders as for few, once it was asked before', (name) => {
    const page = PAGES[name] as (db: Db) => unknown;
    for (const db of [few, many]) page(db);
    const [a, b] = [few, many].map((db) => asked(db, () => page(db)));
    expect(a).toBeGreaterThan(0);
    expect(b).toBe(a);
    expect(b).toBeLessThanOrEqual(25);
  });
});
