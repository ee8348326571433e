/** Reads stored pressings, also those from before prints had keys and layers. */
import { z } from 'zod';
import { PressingSchema } from '../log';
import { FIRST_PRINT } from './cardV1';

/** What an older pressing never said is filled with what it meant. */
export function inTodaysShape(doc: unknown): unknown {
  if (typeof doc !== 'object' || doc === null || 'printKey' in doc) return doc;
  const { productName } = doc as { productName?: unknown };
  return { ...doc, printKey: FIRST_PRINT, person: null, layerNames: [productName], lowerC: null };
}

/** The one reader of stored pressings, of every shape that was ever written. */
export const PRESSING_READER = z.preprocess(inTodaysShape, PressingSchema);
