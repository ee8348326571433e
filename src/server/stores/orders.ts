/** Orders: documents with a version. Taking one off the bench is a change like any other, so a stale edit cannot bring it back. */
import { eq } from 'drizzle-orm';
import type { Order } from '../../core/order';
import { orders } from '../db/schema';
import { notFound, Refusal } from '../refusal';
import { inputOf, readFacts } from './cards';
import { type Db, write } from './perShop';
import { find, put, type Versioned } from './versioned';

export const findOrder = (db: Db, id: string): Versioned<Order> => find(db, 'orders', id);

/**
 * Creates, changes, or brings back an order.
 *
 * @throws {Refusal} unknown shelf ids, stale or missing version
 */
export function putOrder(db: Db, order: Order, ifMatch: number | null): Versioned<Order> {
  const facts = readFacts(db);
  for (const line of order.lines) for (const print of line.prints) inputOf(facts, order, line, print);
  return write(db, () => {
    const row = db.select({ version: orders.version, removedAt: orders.removedAt }).from(orders).where(eq(orders.id, order.id)).get();
    const removed = row !== undefined && row.removedAt !== null;
    if (removed && ifMatch !== row.version)
      throw new Refusal(
        'changed meanwhile',
        'Changed meanwhile',
        'This order was taken off the bench somewhere else. Bring it back there first, or start a new one.',
      );
    const stored = put(db, 'orders', order, ifMatch, { due: order.due });
    if (removed) db.update(orders).set({ removedAt: null }).where(eq(orders.id, order.id)).run();
    return stored;
  });
}

/** Takes an order off the bench. Its document and its pressings stay. @returns its version now, by which it can be brought back */
export function removeOrder(db: Db, id: string, now: number): number {
  return write(db, () => {
    const row = db.select({ version: orders.version, removedAt: orders.removedAt }).from(orders).where(eq(orders.id, id)).get();
    if (!row) throw notFound('order', id);
    if (row.removedAt !== null) return row.version;
    const version = row.version + 1;
    db.update(orders).set({ removedAt: now, version }).where(eq(orders.id, id)).run();
    return version;
  });
}
