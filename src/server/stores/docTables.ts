/** The documents of a shop that have a version: the table of each, what it is called, and the schema it is read by. */
import type { SQLiteTableWithColumns } from 'drizzle-orm/sqlite-core';
import { z } from 'zod';
import { type House, HouseSchema } from '../../core/house';
import { type Aid, AidSchema, type Blank, BlankSchema, type Fabric, FabricSchema } from '../../core/materials';
import { type Order, OrderSchema } from '../../core/order';
import { type Press, PressSchema } from '../../core/press';
import { type Parcel, ParcelSchema, type Product, ProductSchema, type Tested, TestedSchema } from '../../core/sheet';
import { aids, blanks, fabrics, house, orders, parcels, presses, products, tested } from '../db/schema';

// biome-ignore lint/suspicious/noExplicitAny: the columns every versioned table shares are checked by the rows read from it
export type VersionedTable = SQLiteTableWithColumns<any>;

/** The document of each kind. */
export interface Docs {
  fabrics: Fabric;
  blanks: Blank;
  products: Product;
  aids: Aid;
  tested: Tested;
  parcels: Parcel;
  presses: Press;
  orders: Order;
  house: House & { id: string };
}
export type DocKind = keyof Docs;

export const DOCS: Record<DocKind, { table: VersionedTable; what: string; schema: z.ZodType }> = {
  fabrics: { table: fabrics, what: 'fabric', schema: FabricSchema },
  blanks: { table: blanks, what: 'blank', schema: BlankSchema },
  products: { table: products, what: 'transfer', schema: ProductSchema },
  aids: { table: aids, what: 'cover or pad', schema: AidSchema },
  tested: { table: tested, what: 'tested setting', schema: TestedSchema },
  parcels: { table: parcels, what: 'parcel', schema: ParcelSchema },
  presses: { table: presses, what: 'press', schema: PressSchema },
  orders: { table: orders, what: 'order', schema: OrderSchema },
  // it stood without its id once
  house: { table: house, what: 'house', schema: HouseSchema.extend({ id: z.string().default('house') }) },
};

/** Kinds of which a shop has many and a file may bring more. */
export const LISTED = ['fabrics', 'blanks', 'products', 'aids', 'presses', 'tested', 'parcels'] as const;
export type ListedKind = (typeof LISTED)[number];
