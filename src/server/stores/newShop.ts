/** What a new shop begins with: the starting house rules and the built-in shelf. Presses are the shop's own to add. */
import { STARTING_HOUSE } from '../../core/house';
import { BUILT_IN_AIDS, BUILT_IN_BLANKS, BUILT_IN_FABRICS } from '../../core/materials';
import { builtInProducts } from '../../core/sheet';
import { aids, blanks, fabrics, house, products } from '../db/schema';
import type { Db } from './perShop';

export const beginHouse = (db: Db): void =>
  void db
    .insert(house)
    .values({ id: 'house', version: 1, doc: { ...STARTING_HOUSE, id: 'house' } })
    .run();

/** @param today ISO day the built-in products are dated with */
export function beginShop(db: Db, today: string): void {
  beginHouse(db);
  for (const doc of BUILT_IN_FABRICS) db.insert(fabrics).values({ id: doc.id, version: 1, doc }).run();
  for (const doc of BUILT_IN_BLANKS) db.insert(blanks).values({ id: doc.id, version: 1, doc }).run();
  for (const doc of builtInProducts(today)) db.insert(products).values({ id: doc.id, version: 1, doc }).run();
  for (const doc of BUILT_IN_AIDS) db.insert(aids).values({ id: doc.id, version: 1, doc }).run();
}
