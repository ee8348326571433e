/** The kinds of things on the shelf, what they are called, and the routes that change them. */
import type { ShelfReply } from '../../contract';
import { isFoundBy, type ShelfKind, type ShelfThings } from '../../core/sheet';

export type Things = ShelfThings;

export const KINDS = [
  { kind: 'products', many: 'Transfers', one: 'transfer', put: 'putProduct' },
  { kind: 'fabrics', many: 'Fabrics', one: 'fabric', put: 'putFabric' },
  { kind: 'blanks', many: 'Blanks', one: 'blank', put: 'putBlank' },
  { kind: 'aids', many: 'Covers and pads', one: 'cover or pad', put: 'putAid' },
  { kind: 'parcels', many: 'Parcels', one: 'parcel', put: 'putParcel' },
  { kind: 'tested', many: 'Tested settings', one: 'tested setting', put: 'putTested' },
] as const satisfies readonly { kind: ShelfKind; many: string; one: string; put: string }[];

export const isKind = (text: string | null | undefined): text is ShelfKind => KINDS.some((kind) => kind.kind === text);
export const kindOf = (kind: ShelfKind) => KINDS.find((listed) => listed.kind === kind) ?? KINDS[0];

/** Things of a kind that are known by every word. */
export function found<K extends ShelfKind>(shelf: ShelfReply, kind: K, words: string, retired: boolean): Things[K][] {
  const all = shelf[kind] as unknown as Things[K][];
  return all.filter((thing) => (retired || !thing.retiredOn) && isFoundBy(kind, thing, words));
}
