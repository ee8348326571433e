/** Tables. Documents are kept whole as JSON beside the columns they are found by; pressings, cards and events are written once. */
import { blob, index, integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { PracticeRound } from '../../contract/heat';
import type { Card } from '../../core/card';
import type { House } from '../../core/house';
import type { Amendment, Pressing } from '../../core/log';
import type { Aid, Blank, Fabric } from '../../core/materials';
import type { Order } from '../../core/order';
import type { Press, PressAmendment, PressRecord } from '../../core/press';
import type { Pace, RunEvent, RunParcel, RunPart } from '../../core/run';
import type { Parcel, Product, Tested } from '../../core/sheet';

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
export const aids = shelfTable<Aid>('aids');
export const tested = shelfTable<Tested>('tested');
export const parcels = shelfTable<Parcel>('parcels');
export const presses = shelfTable<Press>('presses');
export const house = shelfTable<House & { id: string }>('house');

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
    printKey: text('print_key').notNull().default('a'),
    pressId: text('press_id').notNull(),
    cardHash: text('card_hash')
      .notNull()
      .references(() => cards.hash),
    pieces: integer('pieces').notNull(),
    perClosing: integer('per_closing').notNull().default(1),
    operator: text('operator').notNull(),
    startedAt: integer('started_at').notNull(),
    /** When its last piece had its verdict, or it was stopped. */
    endedAt: integer('ended_at'),
    /** Version of the run machine its events were taken by. */
    machine: integer('machine').notNull().default(1),
    /** Points of the set-up that held from the run before at this press as it began. */
    holds: text('holds', { mode: 'json' }).$type<string[]>().notNull().default([]),
    /** Other prints pressed in it, after its own. */
    also: text('also', { mode: 'json' }).$type<RunPart[]>().notNull().default([]),
    /** What was known of its hands as it began. */
    pace: text('pace', { mode: 'json' }).$type<Pace>(),
    /** What its transfers are taken from, as it was when it began. */
    parcels: text('parcels', { mode: 'json' }).$type<RunParcel[]>().notNull().default([]),
  },
  (t) => [index('runs_by_line').on(t.orderId, t.lineId), index('runs_open').on(t.endedAt), index('runs_by_press').on(t.pressId, t.endedAt)],
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
    /** Order of arrival; the full-text index goes by it. */
    seq: integer('seq').primaryKey(),
    id: text('id').notNull().unique(),
    /** Null when it came in from a list without its run. */
    runId: text('run_id').references(() => runs.id),
    orderId: text('order_id').notNull(),
    lineId: text('line_id').notNull(),
    printKey: text('print_key').notNull(),
    outcome: text('outcome').notNull(),
    fabric: text('fabric').notNull(),
    product: text('product').notNull(),
    press: text('press').notNull(),
    endedAt: integer('ended_at').notNull(),
    /** Lower-case words to search in, each between spaces. */
    words: text('words').notNull(),
    doc: text('doc', { mode: 'json' }).$type<Pressing>().notNull(),
  },
  (t) => [
    index('pressings_by_end').on(t.endedAt),
    index('pressings_by_line').on(t.orderId, t.lineId, t.printKey, t.outcome),
    index('pressings_by_outcome').on(t.outcome, t.endedAt),
    // the outcome beside the day, so that spoiled ones are counted without reading a record
    index('pressings_by_fabric').on(t.fabric, t.endedAt, t.outcome),
    index('pressings_by_product').on(t.product, t.endedAt, t.outcome),
    index('pressings_by_press').on(t.press, t.endedAt, t.outcome),
  ],
);

/** How often each part of the shop has changed, counted by the database itself: what is remembered of a part holds until then. */
export const revisions = sqliteTable('revisions', { of: text('of').primaryKey(), n: integer('n').notNull() });

/** Practice rounds as they were played; written once. */
export const practiceRounds = sqliteTable('practice_rounds', {
  id: text('id').primaryKey(),
  operator: text('operator').notNull(),
  doc: text('doc', { mode: 'json' }).$type<PracticeRound>().notNull(),
});

/** Photos of pieces, small and without their metadata; written once. */
export const photos = sqliteTable('photos', {
  id: text('id').primaryKey(),
  at: integer('at').notNull(),
  jpeg: blob('jpeg', { mode: 'buffer' }).notNull(),
});

/** Surveys, rotate tests, paper pulls and heating times of a press; written once. */
export const pressRecords = sqliteTable(
  'press_records',
  {
    id: text('id').primaryKey(),
    pressId: text('press_id')
      .notNull()
      .references(() => presses.id),
    kind: text('kind').notNull(),
    at: integer('at').notNull(),
    doc: text('doc', { mode: 'json' }).$type<PressRecord>().notNull(),
  },
  (t) => [index('press_records_by_press').on(t.pressId, t.kind, t.at)],
);

/** Whether a record of a press counts, as it was said later; written once. */
export const pressAmendments = sqliteTable(
  'press_amendments',
  {
    /** Order of arrival: the last word on a record holds. */
    seq: integer('seq').primaryKey(),
    id: text('id').notNull().unique(),
    recordId: text('record_id')
      .notNull()
      .references(() => pressRecords.id),
    to: text('to_value').notNull(),
    doc: text('doc', { mode: 'json' }).$type<PressAmendment>().notNull(),
  },
  (t) => [index('press_amendments_by_record').on(t.recordId)],
);

/** When a backup was taken away; written once. */
export const backups = sqliteTable('backups', { at: integer('at').primaryKey() });

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
