/** Tables of the documents a shop can be given in a file, by the name of their section. */
import { aids, blanks, fabrics, presses, products } from '../db/schema';

export const DOCS = { fabrics, blanks, products, aids, presses } as const;
export type DocKind = keyof typeof DOCS;
export const DOC_KINDS = Object.keys(DOCS) as DocKind[];
