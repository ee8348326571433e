/** Tables. Documents are kept whole as JSON beside the columns they are found by; pressings, cards and events are written once. */
import { index, integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { Card, House, Order } from '../../core/card';
import type { Amendment, Pressing } from '../../core/log';
import type { Blank, Fabric, Product } from '../../core/materials';
import type { Press } from '../../core/press';
import type { RunEvent } from '../../core/run';

export const orders = sqliteTable('orders', {
  id: text('id').primaryKey(),
  version: integer('version').notNull(),
  due: text('due').notNull(),
  doc: text('doc', { mode: 'json' }).$type<Order>().notNull(),
  removedAt: integer('removed_at'),
});

const shelfTable = <T>(name: string) =>
  sqliteTable(name, {
    id: text('id').primaryKey(),
    version: integer('version').notNull(),
    doc: text('doc', { mode: 'json' }).$type<T>().notNull(),
  });

export const fabrics = shelfTable<Fabric>('fabrics');
export const blanks = shelfTable<Blank>('blanks');
export const products = shelfTable<Product>('products');
export const presses = shelfTable<Press>('presses');
export const house = shelfTable<House>('house');

export const cards = sqliteTable('cards', {
  /** SHA-256 of the card's canonical JSON. */
  hash: text('hash').primaryKey(),
  schemaVersion: integer('schema_version').notNull(),
  doc: text('doc', { mode: 'json' }).$type<Card>().notNull(),
});

export const runs = sqliteTable(
  'runs',
  {
    id: text('id').primaryKey(),
    orderId: text('order_id').notNull(),
    lineId: text('line_id').notNull(),
    pressId: text('press_id').notNull(),
    cardHash: text('card_hash')
      .notNull()
      .references(() => cards.hash),
    pieces: integer('pieces').notNull(),
    operator: text('operator').notNull(),
    startedAt: integer('started_at').notNull(),
    /** When its last piece had its verdict, or it was stopped. */
    endedAt: integer('ended_at'),
  },
  (t) => [index('runs_by_line').on(t.orderId, t.lineId), index('runs_open').on(t.endedAt)],
);

export const runEvents = sqliteTable(
  'run_events',
  {
    id: text('id').primaryKey(),
    runId: text('run_id')
      .notNull()
      .references(() => runs.id),
    seq: integer('seq').notNull(),
    doc: text('doc', { mode: 'json' }).$type<RunEvent>().notNull(),
  },
  (t) => [uniqueIndex('run_events_in_order').on(t.runId, t.seq)],
);

export const pressings = sqliteTable(
  'pressings',
  {
    id: text('id').primaryKey(),
    runId: text('run_id')
      .notNull()
      .references(() => runs.id),
    orderId: text('order_id').notNull(),
    lineId: text('line_id').notNull(),
    outcome: text('outcome').notNull(),
    endedAt: integer('ended_at').notNull(),
    /** Lower-case words to search in. */
    words: text('words').notNull(),
    doc: text('doc', { mode: 'json' }).$type<Pressing>().notNull(),
  },
  (t) => [index('pressings_by_end').on(t.endedAt), index('pressings_by_line').on(t.orderId, t.lineId)],
);

export const amendments = sqliteTable(
  'amendments',
  {
    id: text('id').primaryKey(),
    pressingId: text('pressing_id')
      .notNull()
      .references(() => pressings.id),
    field: text('field').notNull(),
    to: text('to_value').notNull(),
    at: integer('at').notNull(),
    doc: text('doc', { mode: 'json' }).$type<Amendment>().notNull(),
  },
  (t) => [index('amendments_by_pressing').on(t.pressingId)],
);
