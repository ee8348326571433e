/** What a thing of the shelf can be found by: the words people know it by, never the names of its fields. */

import { type Aid, type Blank, describeMaterial, type Fabric } from '../materials';
import { FAMILIES } from './families';
import type { Parcel } from './parcel';
import type { Product } from './product';
import type { Tested } from './tested';

/** The kinds of things on the shelf, as they are called everywhere. */
export const SHELF_KINDS = ['fabrics', 'blanks', 'products', 'aids', 'tested', 'parcels'] as const;
export type ShelfKind = (typeof SHELF_KINDS)[number];

/** Things of each kind. */
export interface ShelfThings {
  products: Product;
  fabrics: Fabric;
  blanks: Blank;
  aids: Aid;
  tested: Tested;
  parcels: Parcel;
}

const KNOWN_BY: { [K in keyof ShelfThings]: (thing: ShelfThings[K]) => (string | undefined)[] } = {
  products: (product) => [
    product.name,
    product.maker,
    FAMILIES[product.familyId].name,
    product.source.sheet,
    product.care,
    ...product.colours.flatMap(({ name, group }) => [name, group]),
  ],
  fabrics: (fabric) => [
    fabric.name,
    describeMaterial(fabric),
    fabric.substrate,
    fabric.construction,
    fabric.texture,
    fabric.coating === 'none' ? '' : fabric.coating,
  ],
  blanks: (blank) => [blank.name, blank.kind, blank.colour, blank.shade, blank.duty, ...blank.sizes, ...blank.notices],
  aids: (aid) => [aid.name, aid.serves, aid.note, aid.wear],
  parcels: (parcel) => [parcel.name, parcel.art, parcel.supplier, parcel.colour, parcel.lies, parcel.note],
  tested: (tested) => [tested.name, tested.result, tested.note, tested.by, tested.testedOn],
};

/** Everything a thing is known by, as one text. */
export const knownBy = <K extends keyof ShelfThings>(kind: K, thing: ShelfThings[K]): string =>
  KNOWN_BY[kind](thing).filter(Boolean).join(' ');

const wordsIn = (text: string): string[] => text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [];

/** Whether every word that was typed begins a word the thing is known by. */
export function isFoundBy<K extends keyof ShelfThings>(kind: K, thing: ShelfThings[K], typed: string): boolean {
  const known = wordsIn(knownBy(kind, thing));
  return wordsIn(typed).every((word) => known.some((text) => text.startsWith(word)));
}
