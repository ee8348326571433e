/** The house: one document. */
import type { House } from '../../core/house';
import { type Db, find, put, type Versioned } from './versioned';

const ID = 'house';

/** @throws {Refusal} 404 there is none, 409 it cannot be read */
export function readHouse(db: Db): Versioned<House> {
  return find(db, 'house', ID);
}

export const putHouse = (db: Db, doc: House, ifMatch: number | null): Versioned<House> => put(db, 'house', { ...doc, id: ID }, ifMatch);
