/** The house: one document. */
import { type House, STARTING_HOUSE } from '../../core/card';
import { house } from '../db/schema';
import { type Db, find, put, type Versioned } from './versioned';

const ID = 'house';

/** Gives a new shop its starting rules. */
export const beginHouse = (db: Db): void => {
  db.insert(house).values({ id: ID, version: 1, doc: STARTING_HOUSE }).onConflictDoNothing().run();
};

export const readHouse = (db: Db): Versioned<House> => find<House>(db, house, ID, 'house');

export function putHouse(db: Db, doc: House, ifMatch: number | null): Versioned<House> {
  const { version, doc: kept } = put(db, house, { ...doc, id: ID }, ifMatch, 'house');
  return { version, doc: kept };
}
