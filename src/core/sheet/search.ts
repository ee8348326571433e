/** What a thing of the shelf can be found by: the words people know it by, never the names of its fields. */

import { type Aid, type Blank, describeMaterial, type Fabric } from '../materials';
import { FAMILIES } from './families';
import type { Product } from './product';
import type { Tested } from './tested';

/** The kinds of things on the shelf, as they are called everywhere. */
export const SHELF_KINDS = ['fabrics', 'blanks', 'products', 'aids', 'tested'] as const;
export type ShelfKind = (typeof SHELF_KINDS)[number];

/** Things of each kind. */
export interface ShelfThings {
  products: Product;
  fabrics: Fabric;
  blanks: Blank;
  aids: Aid;
  tested: Tested;
}

const KNOWN_BY: { [K in keyof ShelfThings]: (thing: ShelfThings[K]) => (string | undefined)[] } = {
  products: (entry) => [
    entry.name,
    entry.maker,
    FAMILIES[entry.familyId].name,
    entry.source.sheet,
    entry.care,
    ...entry.colours.flatMap(({ name, group }) => [name, group]),
  ],
  fabrics: (entry) => [
    entry.name,
    describeMaterial(entry),
    entry.substrate,
    entry.construction,
    entry.texture,
    entry.coating === 'none' ? '' : entry.coating,
  ],
  blanks: (entry) => [entry.name, entry.kind, entry.colour, entry.shade, entry.duty, ...entry.sizes, ...entry.notices],
  aids: (entry) => [entry.name, entry.serves, entry.note, entry.wear],
  tested: (entry) => [entry.name, entry.result, entry.note, entry.by, entry.testedOn],
};

const wordsIn = (text: string): string[] => text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [];

/** Whether every word that was typed begins a word the thing is known by. */
export function isFoundBy<K extends keyof ShelfThings>(kind: K, thing: ShelfThings[K], typed: string): boolean {
  const known = KNOWN_BY[kind](thing).flatMap((text) => wordsIn(text ?? ''));
  return wordsIn(typed).every((word) => known.some((candidate) => candidate.startsWith(word)));
}
