/** The shelf: fabrics, blanks and transfer products; and the presses beside it. */
import type { Blank, Fabric, Product } from '../../core/materials';
import type { Press } from '../../core/press';
import { blanks, fabrics, presses, products } from '../db/schema';
import { type Db, list, put, type Versioned } from './versioned';

export interface Shelf {
  fabrics: Fabric[];
  blanks: Blank[];
  products: Product[];
}

const docs = <T>(rows: Versioned<T>[]): T[] => rows.map((row) => row.doc);

export const readShelf = (db: Db): Shelf => ({
  fabrics: docs(list<Fabric>(db, fabrics)),
  blanks: docs(list<Blank>(db, blanks)),
  products: docs(list<Product>(db, products)),
});

export const listPresses = (db: Db): Versioned<Press>[] => list<Press>(db, presses);

export const putPress = (db: Db, press: Press, ifMatch: number | null): Versioned<Press> => put(db, presses, press, ifMatch, 'press');
