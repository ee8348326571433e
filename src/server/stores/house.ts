/** The house: one document. */
import type { House } from '../../core/card';
import { house } from '../db/schema';
import { type Db, find, put, type Versioned } from './versioned';

const ID = 'house';

export const readHouse = (db: Db): Versioned<House> => find<House>(db, house, ID, 'house');

export function putHouse(db: Db, doc: House, ifMatch: number | null): Versioned<House> {
  const { version, doc: kept } = put(db, house, { ...doc, id: ID }, ifMatch, 'house');
  return { version, doc: kept };
}
