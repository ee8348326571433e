/** Orders: documents with a version. */
import { eq } from 'drizzle-orm';
import type { Order } from '../../core/card';
import { orders } from '../db/schema';
import { notFound } from '../http/problem';
import { inputOf, readFacts } from './cards';
import { type Db, find, put, type Versioned } from './versioned';

export const findOrder = (db: Db, id: string): Versioned<Order> => find<Order>(db, orders, id, 'order');

/** Creates, changes, or brings back an order. @throws {Refusal} unknown shelf ids, stale or missing version */
export function putOrder(db: Db, order: Order, ifMatch: number | null): Versioned<Order> {
  const facts = readFacts(db);
  for (const line of order.lines) for (const print of line.prints) inputOf(facts, order, line, print);
  return put(db, orders, order, ifMatch, 'order', { due: order.due, removedAt: null });
}

/** Takes an order off the bench. Its document and its pressings stay. */
export function removeOrder(db: Db, id: string, now: number): void {
  const { changes } = db.update(orders).set({ removedAt: now }).where(eq(orders.id, id)).run();
  if (changes === 0) throw notFound('order', id);
}
