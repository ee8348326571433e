/** Parcels of transfers as they stand: what is left in each, which runs took from it, and how many are wanted of its art. */
import { ne, sql } from 'drizzle-orm';
import type { ParcelsReply } from '../../contract/schemas';
import type { Card } from '../../core/card';
import { countedAtGate, leftInParcel, type ParcelStock, parcelsFor, type RunParcel, shortOf, type Use, usesOf } from '../../core/run';
import { isOfParcel, type Parcel } from '../../core/sheet';
import { runs } from '../db/schema';
import { unlessRefused } from '../refusal';
import type { Facts } from './cards';
import { type OpenedRun, openRun } from './openedRun';
import { printsLeft } from './openPrints';
import type { Db } from './perShop';
import { list } from './versioned';

interface Taken {
  opened: OpenedRun;
  /** Transfers, by the id of the parcel. */
  uses: Map<string, Use[]>;
  counted: Use | null;
}

/** Every run that goes by parcels; one that cannot be read takes nothing. */
function takings(db: Db): Taken[] {
  const rows = db.select({ id: runs.id }).from(runs).where(ne(runs.parcels, sql`'[]'`)).all();
  return rows.flatMap(({ id }) => {
    const opened = unlessRefused(() => openRun(db, id), null);
    if (!opened) return [];
    const { run, card, alsoCards, state, events } = opened;
    return [{ opened, uses: usesOf(run, [card, ...alsoCards], state, events), counted: countedAtGate(run, events) }];
  });
}

const inStock = (parcel: Parcel, taken: readonly Taken[]): ParcelStock => {
  const own = taken.filter(({ uses }) => uses.has(parcel.id));
  const counts = [...(parcel.counted ? [parcel.counted] : []), ...own.flatMap(({ counted }) => counted ?? [])];
  return {
    parcel,
    left: leftInParcel(
      counts,
      own.flatMap(({ uses }) => uses.get(parcel.id) ?? []),
    ),
  };
};

/** Every parcel and what is left in it. */
function parcelStock(db: Db): ParcelStock[] {
  const taken = takings(db);
  return list(db, 'parcels').rows.map(({ doc }) => inStock(doc, taken));
}

/** What each part of a new run is taken from; of a parcel that serves several parts, once. */
export function parcelsOf(
  db: Db,
  { products }: Pick<Facts, 'products'>,
  parts: readonly { card: Pick<Card, 'of'>; pieces: number }[],
): RunParcel[] {
  const arts = new Map<string, { of: Card['of']; pieces: number }>();
  for (const { card, pieces } of parts) {
    const key = JSON.stringify([card.of.artName, card.of.layers.map(({ productId }) => productId)]);
    arts.set(key, { of: card.of, pieces: pieces + (arts.get(key)?.pieces ?? 0) });
  }
  const stock = parcelStock(db);
  const all = [...arts.values()].flatMap(({ of, pieces }) => parcelsFor(of, pieces, stock, products));
  return [...new Map(all.map((parcel) => [parcel.id, parcel])).values()];
}

/** As the wire has it. */
export function parcelsReply(db: Db): ParcelsReply {
  const taken = takings(db);
  const stock = list(db, 'parcels').rows.map(({ doc }) => inStock(doc, taken));
  const arts = new Map<string, ParcelsReply['arts'][number]>();
  for (const { print, left } of printsLeft(db))
    for (const { productId } of print.layers) {
      const key = JSON.stringify([productId, print.artName]);
      arts.set(key, { productId, art: print.artName, wanted: left + (arts.get(key)?.wanted ?? 0) });
    }
  const wantedOf = (parcel: Parcel): number =>
    [...arts.values()].reduce(
      (sum, { productId, art, wanted }) => (isOfParcel(parcel, { productId, artName: art }) ? sum + wanted : sum),
      0,
    );
  return {
    parcels: stock.map(({ parcel, left }) => ({
      id: parcel.id,
      left,
      wanted: wantedOf(parcel),
      short: shortOf(parcel, wantedOf(parcel), stock),
      runs: taken.flatMap(({ opened: { run }, uses }) => {
        const own = uses.get(parcel.id);
        return own ? [{ runId: run.id, orderId: run.orderId, startedAt: run.startedAt, used: own.length }] : [];
      }),
    })),
    arts: [...arts.values()],
  };
}
