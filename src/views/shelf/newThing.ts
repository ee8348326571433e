/** A thing of the shelf to start from: a copy of one that is there, a family's general figures, or a plain one. */

import type { ShelfReply } from '../../contract';
import { type Aid, type Blank, BUILT_IN_FABRICS, type Fabric } from '../../core/materials';
import type { ShelfKind } from '../../core/sheet';
import {
  FAMILIES,
  FAMILY_IDS,
  type FamilyId,
  type Parcel,
  type Product,
  productFromFamily,
  type Tested,
  UNTOLD_PARCEL,
} from '../../core/sheet';
import { isoDay } from '../../ui/days';
import { newId } from '../../ui/newId';
import type { Things } from './kinds';

const isFamily = (id: string): id is FamilyId => (FAMILY_IDS as readonly string[]).includes(id);

function newProduct(from: string | null): Product {
  const family = FAMILIES[from !== null && isFamily(from) ? from : 'cut-film'];
  return { ...productFromFamily(family, isoDay(new Date())), name: '', maker: '', source: { sheet: '', on: isoDay(new Date()) } };
}

const newFabric = (): Fabric => ({ ...(BUILT_IN_FABRICS[0] as Fabric), name: '' });

const newBlank = (shelf: ShelfReply): Blank => ({
  id: '',
  name: '',
  kind: 'tee',
  fabricId: shelf.fabrics.find((fabric) => !fabric.retiredOn)?.id ?? '',
  colour: '',
  shade: 'dark',
  sizes: ['S', 'M', 'L', 'XL'],
  thicknessSpreadMm: 0,
  obstructions: [],
  lined: false,
  printable: 'outside',
  lookedAt: 'the printed side',
  duty: 'laundered',
  notices: [],
  testPieces: [],
});

const newAid = (): Aid => ({ id: '', name: '', serves: 'ptfe', thicknessMm: 0.13, wear: 'sound', substitutes: [], note: '' });

const newTested = (): Tested => ({
  id: '',
  name: '',
  productId: '',
  pressId: '',
  on: { kind: 'blank', id: '' },
  setC: 150,
  readC: null,
  timeS: 10,
  peel: 'warm',
  result: 'good',
  note: '',
  by: '',
  testedOn: isoDay(new Date()),
  offSheet: false,
});

const newParcel = (): Parcel => ({ ...UNTOLD_PARCEL, id: '', name: '', productId: '', art: '', ordered: 25 });

/** @param from the id of a thing to copy, a family to start from, or null */
export function newThing<K extends ShelfKind>(kind: K, shelf: ShelfReply, from: string | null): Things[K] {
  const copied = (shelf[kind] as unknown as Things[K][]).find((candidate) => candidate.id === from);
  const fresh = {
    products: () => newProduct(from),
    fabrics: newFabric,
    blanks: () => newBlank(shelf),
    aids: newAid,
    tested: newTested,
    parcels: newParcel,
  };
  const { retiredOn: _, ...start } = (copied ? { ...copied, name: `${copied.name}, copy` } : fresh[kind]()) as Things[K];
  return { ...start, id: newId() } as Things[K];
}
