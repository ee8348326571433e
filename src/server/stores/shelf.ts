/** The shelf: fabrics, blanks, transfer products, aids; and the presses beside it. */
import { eq } from 'drizzle-orm';
import type { ShelfKind } from '../../contract/schemas';
import { type Aid, type Blank, type Fabric, OlderSheet, type Product, withRevision } from '../../core/materials';
import type { Press } from '../../core/press';
import { aids, blanks, fabrics, orders, presses, products } from '../db/schema';
import { notFound, Refusal } from '../http/problem';
import { type Db, list, put, type Versioned } from './versioned';

export interface Shelf {
  fabrics: Fabric[];
  blanks: Blank[];
  products: Product[];
  aids: Aid[];
}

/** The things of each kind, by what they are called on the wire. */
export interface ShelfThings {
  fabrics: Fabric;
  blanks: Blank;
  products: Product;
  aids: Aid;
}

const SHELF_TABLES = { fabrics, blanks, products, aids } as const;
const CALLED = { fabrics: 'fabric', blanks: 'blank', products: 'transfer', aids: 'cover or pad' } as const;

const docs = <T>(rows: Versioned<T>[]): T[] => rows.map((row) => row.doc);

export const readShelf = (db: Db): Shelf => ({
  fabrics: docs(list<Fabric>(db, fabrics)),
  blanks: docs(list<Blank>(db, blanks)),
  products: docs(list<Product>(db, products)),
  aids: docs(list<Aid>(db, aids)),
});

/** The whole shelf with the version of each thing, by its id. */
export function shelfReply(db: Db) {
  const versions: Record<string, number> = {};
  for (const table of Object.values(SHELF_TABLES))
    for (const row of db.select({ id: table.id, version: table.version }).from(table).all()) versions[row.id] = row.version;
  return { ...readShelf(db), versions };
}

/**
 * Creates or changes a thing of the shelf. A product whose sheet is newer keeps the one it replaces.
 *
 * @throws {Refusal} 422 a blank of a fabric that is not there, or a sheet older than the current one; 412 and 428 as `put` has them
 */
export function putShelfThing<K extends ShelfKind>(
  db: Db,
  kind: K,
  doc: ShelfThings[K],
  ifMatch: number | null,
): Versioned<ShelfThings[K]> {
  return db.transaction(
    () => {
      if (kind === 'blanks') mustHaveFabric(db, doc as Blank);
      const kept = kind === 'products' ? revised(db, doc as Product) : doc;
      return put(db, SHELF_TABLES[kind], kept, ifMatch, CALLED[kind]) as Versioned<ShelfThings[K]>;
    },
    { behavior: 'immediate' },
  );
}

function mustHaveFabric(db: Db, blank: Blank): void {
  if (!db.select({ id: fabrics.id }).from(fabrics).where(eq(fabrics.id, blank.fabricId)).get())
    throw new Refusal(422, 'Not valid', `There is no fabric with the id “${blank.fabricId}”. Add the fabric first.`, [
      { field: 'fabricId', message: 'unknown fabric' },
    ]);
}

function revised(db: Db, product: Product): Product {
  const before = db.select().from(products).where(eq(products.id, product.id)).get();
  if (!before) return product;
  try {
    return withRevision(before.doc, product);
  } catch (error) {
    if (error instanceof OlderSheet) throw new Refusal(422, 'Not valid', error.message, [{ field: 'source.on', message: error.message }]);
    throw error;
  }
}

/** Names of what refers to a thing of the shelf: orders, blanks, records. */
function namedBy(db: Db, kind: ShelfKind, id: string): string[] {
  const all = db.select({ doc: orders.doc }).from(orders).all();
  const inOrders = all.filter(({ doc }) =>
    doc.lines.some((line) =>
      kind === 'blanks' ? line.blankId === id : line.prints.some((print) => print.layers.some((layer) => layer.productId === id)),
    ),
  );
  const names = kind === 'blanks' || kind === 'products' ? inOrders.map(({ doc }) => `order ${doc.name}`) : [];
  if (kind === 'fabrics') for (const blank of readShelf(db).blanks) if (blank.fabricId === id) names.push(`blank ${blank.name}`);
  return names;
}

/**
 * Takes a thing off the shelf for good, as the undo of having added it.
 *
 * @throws {Refusal} 409 something names it: it can be retired, not removed; 404 there is none
 */
export function removeShelfThing(db: Db, kind: ShelfKind, id: string): void {
  const names = namedBy(db, kind, id);
  if (names.length > 0)
    throw new Refusal(
      409,
      'In use',
      `It is named by ${names.slice(0, 3).join(', ')}${names.length > 3 ? ` and ${names.length - 3} more` : ''}. Retire it instead: records keep it.`,
      [{ field: 'id', message: 'in use' }],
    );
  const { changes } = db.delete(SHELF_TABLES[kind]).where(eq(SHELF_TABLES[kind].id, id)).run();
  if (changes === 0) throw notFound(CALLED[kind], id);
}

export const listPresses = (db: Db): Versioned<Press>[] => list<Press>(db, presses);

export const putPress = (db: Db, press: Press, ifMatch: number | null): Versioned<Press> => put(db, presses, press, ifMatch, 'press');
