/** Reads stored pressings, also those from before prints had keys and layers. */
import type { Pressing } from '../log';
import { FIRST_PRINT } from './cardV1';

/** A stored pressing in today's shape; what an older one never said is filled with what it meant. */
export function readPressing(doc: Pressing): Pressing {
  const older: Partial<Pressing> = doc;
  if (older.printKey !== undefined) return doc;
  return { ...doc, printKey: FIRST_PRINT, person: null, layerNames: [doc.productName], lowerC: null };
}
