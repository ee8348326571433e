/**
 * What is remembered of a shop in memory, and the one way to write to a shop.
 *
 * A memory goes with the shop's connection, so that a shop put in another's place begins with nothing. What is remembered
 * inside a write that comes to nothing is forgotten with it.
 */
import type { Shop } from '../db/connection';

export type Db = Shop['db'];

/** Makes a memory, or a statement made ready, that every shop has one of, begun when first asked for. */
export function perShop<T>(begin: (db: Db) => T): (db: Db) => T {
  const known = new WeakMap<object, T>();
  return (db) => {
    const own = known.get(db) ?? begin(db);
    known.set(db, own);
    return own;
  };
}

/** How to forget what was remembered since the write that runs now began. */
const undosOf = perShop<(() => void)[]>(() => []);

/** Remembers a value under a key. A memory that has grown over `most` keys begins anew. */
export function remember<K, V>(db: Db, memory: Map<K, V>, key: K, value: V, most = Number.POSITIVE_INFINITY): V {
  if (memory.size >= most && !memory.has(key)) memory.clear();
  memory.set(key, value);
  if (db.$client.inTransaction) undosOf(db).push(() => memory.delete(key));
  return value;
}

/**
 * Runs work as one immediate transaction, or as a part of the one that runs already. What it throws undoes it whole.
 *
 * @throws {SqliteError} SQLITE_BUSY at once where another program is writing: who can wait tries again
 */
export function write<T>(db: Db, work: () => T): T {
  const undos = undosOf(db);
  const before = undos.length;
  try {
    const result = db.transaction(work, { behavior: 'immediate' });
    if (!db.$client.inTransaction) undos.length = 0;
    return result;
  } catch (error) {
    for (const undo of undos.splice(before).reverse()) undo();
    throw error;
  }
}

/** How long a write waits for another program that is writing, and between two tries, ms. */
const PATIENCE_MS = 5000;
const PAUSE_MS = 20;

const isBusy = (error: unknown): boolean => /^SQLITE_(BUSY|LOCKED)/.test((error as { code?: string }).code ?? '');

/** The same, tried again while another program is writing; nobody else waits meanwhile. @throws {SqliteError} it still is after five seconds */
export async function writeSoon<T>(db: Db, work: () => T): Promise<T> {
  const until = performance.now() + PATIENCE_MS;
  for (;;) {
    try {
      return write(db, work);
    } catch (error) {
      if (!isBusy(error) || performance.now() > until) throw error;
      await new Promise((go) => setTimeout(go, PAUSE_MS));
    }
  }
}
