/** What a parcel is looked over for, and whose prints are pressed from it; apart from its schema, which pages at the press do without. */

/** What of a parcel is checked against the order. */
export const PARCEL_LOOKS = ['art', 'size', 'colour', 'count'] as const;
export type ParcelLook = (typeof PARCEL_LOOKS)[number];

const plain = (words: string): string => words.trim().toLowerCase().replace(/\s+/g, ' ');

/** Whether prints of an art in a transfer are pressed from a parcel; letter case and spaces do not matter. */
export const isOfParcel = ({ productId, art }: { productId: string; art: string }, of: { productId: string; artName: string }): boolean =>
  productId === of.productId && plain(art) === plain(of.artName);

/** What of a parcel nobody has found as ordered yet; none of one that has not come. */
export const unlooked = ({ arrivedOn, agrees }: { arrivedOn: string | null; agrees: readonly ParcelLook[] }): ParcelLook[] =>
  arrivedOn === null ? [] : PARCEL_LOOKS.filter((look) => !agrees.includes(look));
