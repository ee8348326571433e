/** The bench page with two hundred open orders: the first time it is asked for, and after that. */
import { join } from 'node:path';
import { openShop } from '../src/server/db';
import { bench } from '../src/server/stores/bench';
import { loadDemoShop } from '../src/server/stores/demoShop';
import { findOrder, putOrder } from '../src/server/stores/orders';

const ORDERS = 200;
const AGAIN = 20;

const { db } = openShop(':memory:', 'drizzle');
loadDemoShop(db, join(process.cwd(), 'demo'), new Date());
const ids = bench(db).orders.map(({ orderId }) => orderId);
for (let i = ids.length; i < ORDERS; i++) {
  const { doc } = findOrder(db, ids[i % ids.length] ?? '');
  putOrder(db, { ...doc, id: `order-more-${i}`, name: `Order ${i}`, again: undefined }, null);
}
const timed = (): number => {
  const begun = performance.now();
  if (bench(db).orders.length !== ORDERS) throw new Error('an order is missing');
  return performance.now() - begun;
};
const first = timed();
const later = Array.from({ length: AGAIN }, timed).sort((a, b) => a - b);
console.log(`bench page, ${ORDERS} open orders: first ${first.toFixed(0)} ms (1000 wanted)`);
console.log(`bench page, ${ORDERS} open orders: again ${(later[AGAIN / 2] ?? 0).toFixed(1)} ms, median of ${AGAIN} (150 wanted)`);
