/** Loads the demo shop from its folder into a new database; due days and past runs are offsets from the day it is loaded. */

import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { addDays, addHours, startOfDay, subDays } from 'date-fns';
import { z } from 'zod';
import type { Stage } from '../../core/card';
import { HouseSchema } from '../../core/house';
import { pressingOf } from '../../core/log';
import { AidSchema, BlankSchema, FabricSchema } from '../../core/materials';
import { OrderSchema } from '../../core/order';
import { PressSchema } from '../../core/press';
import { apply, heatFor, type Lot, lotOf, planOf, type RunEvent, type RunFact, replay, SPOIL_REASONS } from '../../core/run';
import { type Parcel, ParcelSchema, ProductSchema, TestedSchema } from '../../core/sheet';
import { dayOf } from '../day';
import { aids, blanks, fabrics, house, parcels, presses, products, tested } from '../db/schema';
import { readHouse } from './house';
import { findOrder, putOrder, removeOrder } from './orders';
import { addPressing } from './pressings';
import { addPlayedEvents, startRun } from './runs';
import type { Db } from './versioned';

const DemoOrder = OrderSchema.omit({ due: true }).extend({ dueInDays: z.number().int(), removed: z.boolean().default(false) });
/** A press, with how long ago it was measured. */
const DemoPress = z.looseObject({ calibration: z.looseObject({ daysAgo: z.number().int() }).nullable() });
const DemoRun = z.object({
  id: z.string(),
  orderId: z.string(),
  lineId: z.string(),
  printKey: z.string().optional(),
  daysAgo: z.number().int(),
  hour: z.number().int(),
  operator: z.string(),
  pieces: z.array(
    z.object({
      outcome: z.enum(['good', 'spoiled']),
      laidBack: z.number().int().default(0),
      reason: z.enum(SPOIL_REASONS).default('something else'),
      note: z.string().default(''),
    }),
  ),
});

/** A parcel whose days count from today. */
const DemoParcel = z.looseObject({
  id: z.string(),
  expectedInDays: z.number().int(),
  arrivedDaysAgo: z.number().int().nullable(),
  counted: z.number().int().nullable(),
  trial: z.looseObject({}).nullable(),
});

/**
 * Fills an empty database with the demo shop. Runs are played through the run machine event by event, so that their
 * pressings are made as any other.
 *
 * @param today the day offsets count from
 * @throws {z.ZodError} a file does not hold what it should
 */
export function loadDemoShop(db: Db, folder: string, today: Date): void {
  const read = <T extends z.ZodType>(name: string, schema: T): z.output<T> =>
    schema.parse(JSON.parse(readFileSync(join(folder, `${name}.json`), 'utf8')));
  db.insert(house)
    .values({ id: 'house', version: 1, doc: { ...read('house', HouseSchema), id: 'house' } })
    .run();
  for (const doc of read('fabrics', z.array(FabricSchema))) db.insert(fabrics).values({ id: doc.id, version: 1, doc }).run();
  for (const doc of read('blanks', z.array(BlankSchema))) db.insert(blanks).values({ id: doc.id, version: 1, doc }).run();
  for (const doc of read('products', z.array(ProductSchema))) db.insert(products).values({ id: doc.id, version: 1, doc }).run();
  for (const doc of read('aids', z.array(AidSchema))) db.insert(aids).values({ id: doc.id, version: 1, doc }).run();
  for (const { calibration, ...press } of read('presses', z.array(DemoPress))) {
    const { daysAgo, ...found } = calibration ?? { daysAgo: 0 };
    const doc = PressSchema.parse({ ...press, calibration: calibration && { ...found, on: dayFrom(today, -daysAgo) } });
    db.insert(presses).values({ id: doc.id, version: 1, doc }).run();
  }
  const demoTested = z.array(TestedSchema.omit({ testedOn: true }).extend({ daysAgo: z.number().int() }));
  for (const { daysAgo, ...one } of read('tested', demoTested))
    db.insert(tested)
      .values({ id: one.id, version: 1, doc: { ...one, testedOn: dayFrom(today, -daysAgo) } })
      .run();
  for (const doc of read('parcels', z.array(DemoParcel)))
    db.insert(parcels)
      .values({ id: doc.id, version: 1, doc: parcelFrom(doc, today) })
      .run();
  const demoOrders = read('orders', z.array(DemoOrder));
  for (const { dueInDays, removed: _, ...order } of demoOrders) putOrder(db, { ...order, due: dayFrom(today, dueInDays) }, null);
  for (const run of read('runs', z.array(DemoRun))) playRun(db, run, today);
  for (const order of demoOrders.filter((order) => order.removed)) removeOrder(db, order.id, today.getTime());
}

/** A parcel as it stands today. */
function parcelFrom({ expectedInDays, arrivedDaysAgo, counted, trial, ...rest }: z.output<typeof DemoParcel>, today: Date): Parcel {
  const cameAt = arrivedDaysAgo === null ? null : addHours(startOfDay(subDays(today, arrivedDaysAgo)), 8);
  return ParcelSchema.parse({
    ...rest,
    expectedOn: dayFrom(today, expectedInDays),
    arrivedOn: cameAt && dayOf(cameAt),
    counted: cameAt && counted !== null ? { n: counted, at: cameAt.getTime() } : null,
    trial: cameAt && trial && { ...trial, on: dayOf(cameAt) },
  });
}

const dayFrom = (today: Date, days: number): string => dayOf(addDays(today, days));

/** A fixed id from words, so that the demo is the same every time. */
const idFrom = (words: string): string => {
  const h = createHash('sha256').update(words).digest('hex');
  return `${h.slice(0, 8)}-${h.slice(8, 12)}-4${h.slice(13, 16)}-8${h.slice(17, 20)}-${h.slice(20, 32)}`;
};

type DemoPiece = z.output<typeof DemoRun>['pieces'][number];
/** Plays a past run to its end, or stops it after the pieces it names; its events and pressings are stored once it is over. */
function playRun(db: Db, demo: z.output<typeof DemoRun>, today: Date): void {
  let at = addHours(startOfDay(subDays(today, demo.daysAgo)), demo.hour).getTime();
  const { run, card } = startRun(db, demo.id, demo, at);
  const plan = planOf(run, card);
  const events: RunEvent[] = [];
  let state = replay(plan, run.startedAt, []);
  const happen = (fact: RunFact, seconds: number) => {
    at += Math.round(seconds * 1000);
    const event = { ...fact, id: idFrom(`${demo.id} ${events.length}`), at } as RunEvent;
    const applied = apply(plan, run.startedAt, events, event);
    if (applied.state === 'refused') throw new Error(`${demo.id}: ${applied.message}`);
    events.push(event);
    state = applied.run;
  };
  for (const piece of demo.pieces) {
    const before = state.results.length;
    while (state.results.length === before) {
      const lot = lotOf(plan, state, undefined);
      const stage = lot && card.stages[lot.stage];
      if (!stage) throw new Error(`${demo.id}: no stage left`);
      const heat = stage.by === 'press' && lot.phase === 'ready' ? heatFor(plan, state, stage) : null;
      if (heat?.state === 'turn') {
        happen({ kind: 'turned', tempC: heat.toC }, 4);
        // read once it is there, a degree off at most
        happen({ kind: 'read', by: 'panel', value: Math.round(heat.toC + ((events.length % 3) - 1)) }, heat.timeS);
      }
      const byHand = stage.by === 'hands' || lot.phase === 'ready';
      happen(nextFact(card.stages.slice(lot.stage + 1), stage, lot, piece), byHand ? 4 + (events.length % 5) : stage.timeS + 0.4);
    }
  }
  if (!state.done) happen({ kind: 'stopped' }, 30);
  addPlayedEvents(db, demo.id, events, at);
  const { room } = readHouse(db).doc;
  const context = {
    orderName: findOrder(db, demo.orderId).doc.name,
    operator: demo.operator,
    roomC: room.tempC,
    humidityPercent: room.humidityPercent,
  };
  for (const result of state.results) addPressing(db, pressingOf(run, card, result, context));
}

/** What the hands did next, on the way to the verdict the demo gives this piece. */
function nextFact(later: readonly Stage[], { kind, by }: Stage, lot: Lot, piece: DemoPiece): RunFact {
  if (by === 'press') return { kind: lot.phase === 'closed' ? 'opened' : 'closed' };
  // a transfer that lifts is laid back at its last peel
  const lifts = lot.laidBack < piece.laidBack && !later.some((stage) => stage.kind === 'peel');
  if (kind === 'peel') return { kind: lifts ? 'laid back' : 'peeled' };
  if (kind !== 'inspect') return { kind: 'next' };
  if (lifts) return { kind: 'laid back' };
  return piece.outcome === 'good' ? { kind: 'kept' } : { kind: 'spoiled', reason: piece.reason, note: piece.note };
}
