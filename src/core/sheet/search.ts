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
  products: (one) => [
    one.name,
    one.maker,
    FAMILIES[one.familyId].name,
    one.source.sheet,
    one.care,
    ...one.colours.flatMap(({ name, group }) => [name, group]),
  ],
  fabrics: (one) => [
    one.name,
    describeMaterial(one),
    one.substrate,
    one.construction,
    one.texture,
    one.coating === 'none' ? '' : one.coating,
  ],
  blanks: (one) => [one.name, one.kind, one.colour, one.shade, one.duty, ...one.sizes, ...one.notices],
  aids: (one) => [one.name, one.serves, one.note, one.wear],
  tested: (one) => [one.name, one.result, one.note, one.by, one.testedOn],
};

const wordsIn = (text: string): string[] => text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [];

/** Whether every word that was typed begins a word the thing is known by. */
export function isFoundBy<K extends keyof ShelfThings>(kind: K, thing: ShelfThings[K], typed: string): boolean {
  const known = KNOWN_BY[kind](thing).flatMap((text) => wordsIn(text ?? ''));
  return wordsIn(typed).every((word) => known.some((one) => one.startsWith(word)));
}
