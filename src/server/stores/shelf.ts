/** The shelf: fabrics, blanks, transfer products, aids; and the presses beside it. */

import { eq, sql } from 'drizzle-orm';
import type { Unreadable } from '../../contract/schemas';
import type { Aid, Blank, Fabric } from '../../core/materials';
import type { Press } from '../../core/press';
import type { ShelfKind, ShelfThings } from '../../core/sheet';
import { OlderSheet, type Parcel, type Product, SHELF_KINDS, type Tested, withRevision } from '../../core/sheet';
import { fabrics, house, orders, pressRecords, runs } from '../db/schema';
import { notFound, Refusal } from '../refusal';
import { DOCS } from './docTables';
import { type Db, write } from './perShop';
import { findReadable, list, put, type Versioned } from './versioned';

export interface Shelf {
  fabrics: Fabric[];
  blanks: Blank[];
  products: Product[];
  aids: Aid[];
  tested: Tested[];
  parcels: Parcel[];
}

const docs = <T>(rows: Versioned<T>[]): T[] => rows.map((row) => row.doc);

export const readShelf = (db: Db): Shelf => ({
  fabrics: docs(list(db, 'fabrics').rows),
  blanks: docs(list(db, 'blanks').rows),
  products: docs(list(db, 'products').rows),
  aids: docs(list(db, 'aids').rows),
  tested: docs(list(db, 'tested').rows),
  parcels: docs(list(db, 'parcels').rows),
});

/** The whole shelf with the version of each thing, by its id; what cannot be read is told. */
export function shelfReply(db: Db) {
  const versions: Record<string, number> = {};
  const unreadable: Unreadable[] = [];
  for (const kind of SHELF_KINDS) {
    const all = list(db, kind);
    unreadable.push(...all.unreadable);
    for (const { doc, version } of all.rows) versions[doc.id] = version;
  }
  return { ...readShelf(db), versions, unreadable };
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
  return write(db, () => {
    if (kind === 'blanks') mustHaveFabric(db, doc as Blank);
    if (kind === 'parcels') mustHaveTransfer(db, doc as Parcel);
    const kept = kind === 'products' ? revised(db, doc as Product) : doc;
    return put(db, kind, kept as never, ifMatch) as Versioned<ShelfThings[K]>;
  });
}

function mustHaveFabric(db: Db, blank: Blank): void {
  if (!db.select({ id: fabrics.id }).from(fabrics).where(eq(fabrics.id, blank.fabricId)).get())
    throw new Refusal('not valid', 'Not valid', `There is no fabric with the id “${blank.fabricId}”. Add the fabric first.`, [
      { field: 'fabricId', message: 'unknown fabric' },
    ]);
}

function mustHaveTransfer(db: Db, parcel: Parcel): void {
  if (!findReadable(db, 'products', parcel.productId))
    throw new Refusal('not valid', 'Not valid', 'Choose the transfer this parcel holds; it must be on the shelf.', [
      { field: 'productId', message: 'choose a transfer of the shelf' },
    ]);
}

function revised(db: Db, product: Product): Product {
  const before = findReadable(db, 'products', product.id);
  if (!before) return product;
  try {
    return withRevision(before.doc, product);
  } catch (error) {
    if (error instanceof OlderSheet)
      throw new Refusal('not valid', 'Not valid', error.message, [{ field: 'source.on', message: error.message }]);
    throw error;
  }
}

/** Whether an id stands as a value anywhere in a document's text, as JSON writes it. */
const holds = (column: Parameters<typeof sql>[1], id: string) => sql<number>`instr(${column}, ${JSON.stringify(id)}) > 0`;

/**
 * Names of what refers to a thing of the shelf: orders, blanks, settings of the house, records of presses, transfers that
 * name it as their substitute, runs that are open. Looked for by its id in their texts, so that those that cannot be read count too.
 */
function namedBy(db: Db, kind: ShelfKind, id: string): string[] {
  const named: string[] = [];
  const nameOf = sql<string>`coalesce(json_extract(doc, '$.name'), id)`;
  const look = (table: typeof orders | (typeof DOCS)['blanks']['table'], what: string, but = '') => {
    const rows = db.select({ id: table.id, name: nameOf }).from(table).where(holds(table.doc, id)).all() as { id: string; name: string }[];
    named.push(...rows.filter((row) => row.id !== but).map(({ name }) => `${what} ${name}`));
  };
  look(orders, 'order');
  for (const other of SHELF_KINDS) if (other !== 'fabrics') look(DOCS[other].table, DOCS[other].what, other === kind ? id : '');
  const rules = db.select({ id: house.id }).from(house).where(holds(house.doc, id)).get();
  if (rules) named.push('a setting of the house');
  const record = db.select({ id: pressRecords.id }).from(pressRecords).where(holds(pressRecords.doc, id)).get();
  if (record) named.push('a record of a press');
  const open = db.get<{ n: number }>(
    sql`SELECT count(*) AS n FROM ${runs} JOIN cards ON cards.hash = ${runs.cardHash} WHERE ${runs.endedAt} IS NULL AND instr(cards.doc, ${JSON.stringify(id)}) > 0`,
  );
  if (open.n > 0) named.push('a run that is open');
  const taken = db.select({ id: runs.id }).from(runs).where(holds(runs.parcels, id)).get();
  if (taken) named.push('a run that was pressed from it');
  return named;
}

/**
 * Takes a thing off the shelf for good, as the undo of having added it.
 *
 * @throws {Refusal} 409 something names it: it can be retired, not removed; 404 there is none
 */
export function removeShelfThing(db: Db, kind: ShelfKind, id: string): void {
  write(db, () => {
    const names = namedBy(db, kind, id);
    if (names.length > 0)
      throw new Refusal(
        'conflict',
        'In use',
        `It is named by ${names.slice(0, 3).join(', ')}${names.length > 3 ? ` and ${names.length - 3} more` : ''}. Retire it instead: records keep it.`,
        [{ field: 'id', message: 'in use' }],
      );
    const { table, what } = DOCS[kind];
    const { changes } = db.delete(table).where(eq(table.id, id)).run();
    if (changes === 0) throw notFound(what, id);
  });
}

export const listPresses = (db: Db) => list(db, 'presses');

export const putPress = (db: Db, press: Press, ifMatch: number | null): Versioned<Press> => put(db, 'presses', press, ifMatch);
