/** The parcels a run goes by: chosen as it starts, told at its set-up, and counted down by what it takes from them. */
import type { Card } from '../card';
import { isOfParcel, type Parcel, type Product, unlooked } from '../sheet';
import { type Phrase, phrase } from '../units';
import type { Run, RunEvent, RunParcel } from './events';
import { standing } from './machine';
import { partOf, type partsOf } from './parts';
import type { RunState } from './state';

/** A parcel and what is left in it; `left` null: it was never counted. */
export interface ParcelStock {
  parcel: Parcel;
  left: number | null;
}

type Pressed = Pick<Card['of'], 'layers' | 'artName'>;

/** How many of a transfer one piece of a card takes. */
const perPiece = (of: Pressed, parcel: Pick<Parcel, 'productId' | 'art'>): number =>
  of.layers.filter(({ productId }) => isOfParcel(parcel, { productId, artName: of.artName })).length;

/** Older parcels first, because adhesive ages; of one day by their names. */
const byAge = (a: ParcelStock, b: ParcelStock): number =>
  (a.parcel.arrivedOn ?? '').localeCompare(b.parcel.arrivedOn ?? '') || a.parcel.name.localeCompare(b.parcel.name);

/**
 * The parcels that transfers are taken from: the oldest that came and has any left, and further ones until there are enough. One
 * that was never counted is taken to have enough.
 *
 * @param count transfers wanted
 * @param stock parcels of that art and transfer
 */
export function takenFrom(count: number, stock: readonly ParcelStock[]): ParcelStock[] {
  const there = stock.filter(({ parcel, left }) => parcel.arrivedOn !== null && !parcel.retiredOn && (left ?? 1) > 0).sort(byAge);
  let wanted = count;
  return there.filter(({ left }) => {
    const isWanted = wanted > 0;
    wanted -= left ?? Number.POSITIVE_INFINITY;
    return isWanted;
  });
}

/**
 * The parcels that pieces of a card are pressed from, as they are when a run begins.
 *
 * @param stock all parcels of the shop
 * @param products by which the sheet of a parcel is held against the one on the shelf
 */
export function parcelsFor(
  of: Pressed,
  pieces: number,
  stock: readonly ParcelStock[],
  products: readonly Pick<Product, 'id' | 'source'>[],
): RunParcel[] {
  return [...new Set(of.layers.map(({ productId }) => productId))].flatMap((productId) => {
    const own = stock.filter(({ parcel }) => isOfParcel(parcel, { productId, artName: of.artName }));
    const sheet = products.find(({ id }) => id === productId)?.source;
    return takenFrom(pieces * perPiece(of, { productId, art: of.artName }), own).map(({ parcel, left }): RunParcel => {
      const { id, name, art, lies, perSheet, sheetOn, trial } = parcel;
      const newerSheet = sheet && sheetOn !== null && sheetOn > sheet.on ? { on: sheetOn, than: sheet.on } : null;
      return { id, name, productId, art, lies, left, perSheet, unlooked: unlooked(parcel), newerSheet, trial: trial?.result ?? null };
    });
  });
}

/** Names of those of a run's parcels that pieces of a card are pressed from. */
export const parcelNames = (parcels: readonly Pick<RunParcel, 'name' | 'productId' | 'art'>[], of: Pressed): string[] =>
  parcels.flatMap((parcel) => (perPiece(of, parcel) > 0 ? [parcel.name] : []));

const andWords = (words: readonly string[]): string =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;

/** What is to be known of a parcel before its first piece, the gravest first; none: nothing. */
export function parcelCautions({ name, unlooked, newerSheet, trial }: Omit<RunParcel, 'left'>): Phrase[] {
  return [
    ...(trial !== null && trial !== 'good' ? [phrase`The trial of ${name} came out ${trial}: press no good piece from it yet.`] : []),
    ...(newerSheet
      ? [
          phrase`Its sheet of instructions is of ${newerSheet.on}, later than the one on the shelf of ${newerSheet.than}: type it in before you press.`,
        ]
      : []),
    ...(unlooked.length > 0 ? [phrase`Nobody has checked its ${andWords(unlooked)} against the order yet.`] : []),
    ...(trial === null ? [phrase`None of it was tried on scrap yet.`] : []),
  ];
}

/**
 * How many pieces the parcels of a run are enough for: of several transfers to a piece, the one there is least of.
 *
 * @returns null: it has none, or one was never counted
 */
export function parcelsReach(parcels: readonly Pick<RunParcel, 'productId' | 'left'>[]): number | null {
  if (parcels.length === 0 || parcels.some(({ left }) => left === null)) return null;
  const sums = parcels.reduce(
    (of, { productId, left }) => of.set(productId, (of.get(productId) ?? 0) + (left ?? 0)),
    new Map<string, number>(),
  );
  return Math.min(...sums.values());
}

/** Transfers gone at an instant, ms. */
export interface Use {
  n: number;
  at: number;
}

type Batch = Parameters<typeof partsOf>[0] & Pick<Run, 'parcels'>;

/**
 * What a run takes from its parcels: one for each piece that has one on it, for each lost beside it, and for each scrap. A blank that
 * was lost alone leaves its transfer. Of several parcels of one transfer the earlier is used up before the next.
 *
 * @param cards of the parts of the run, in their order
 * @param events all of the run: scraps are told by them
 * @returns uses by the id of the parcel
 */
export function usesOf(
  run: Batch,
  cards: readonly Pick<Card, 'of'>[],
  { results, lost, active }: Pick<RunState, 'results' | 'lost' | 'active'>,
  events: readonly RunEvent[],
): Map<string, Use[]> {
  const gone = [
    ...results.filter((result) => result.lost !== 'blank').map(({ piece, endedAt }) => ({ piece, at: endedAt })),
    ...lost.map(({ piece, at }) => ({ piece, at })),
    ...active.flatMap((lot) => lot.pieces.map((piece) => ({ piece, at: lot.startedAt }))),
    ...standing(events).flatMap(({ kind, at }) => (kind === 'trying' ? [{ piece: 1, at }] : [])),
  ].sort((a, b) => a.at - b.at);
  const left = run.parcels.map((parcel) => parcel.left ?? Number.POSITIVE_INFINITY);
  const uses = new Map(run.parcels.map(({ id }): [string, Use[]] => [id, []]));
  for (const { piece, at } of gone) {
    const of = cards[partOf(run, piece).index]?.of;
    if (!of) continue;
    for (const productId of new Set(run.parcels.map((parcel) => parcel.productId))) {
      const own = run.parcels.flatMap((parcel, i) => (parcel.productId === productId && perPiece(of, parcel) > 0 ? [i] : []));
      for (let n = own.length > 0 ? perPiece(of, run.parcels[own[0] as number] as RunParcel) : 0; n > 0; n--) {
        // more than was counted comes off the last
        const from = own.find((i) => (left[i] as number) > 0) ?? (own.at(-1) as number);
        left[from] = (left[from] as number) - 1;
        uses.get((run.parcels[from] as RunParcel).id)?.push({ n: 1, at });
      }
    }
  }
  return uses;
}

/** What was counted at the set-up of a run that goes by one parcel; null: nothing was, or it goes by several. */
export function countedAtGate({ parcels }: Pick<Run, 'parcels'>, events: readonly RunEvent[]): { n: number; at: number } | null {
  if (parcels.length !== 1) return null;
  const counts = standing(events).flatMap((event) =>
    event.kind === 'checked' && event.check === 'parcel' && event.found !== undefined ? [{ n: event.found, at: event.at }] : [],
  );
  return counts.at(-1) ?? null;
}

/**
 * What is left in a parcel: as counted last, less what was taken since.
 *
 * @param counts by hand and at set-ups
 * @param uses by every run that went by it
 * @returns below 0: so many more were taken than had been counted; null: it was never counted
 */
export function leftInParcel(counts: readonly Use[], uses: readonly Use[]): number | null {
  const last = counts.reduce<Use | null>((latest, count) => (latest === null || count.at >= latest.at ? count : latest), null);
  return last === null ? null : uses.reduce((left, use) => (use.at > last.at ? left - use.n : left), last.n);
}

/**
 * How many transfers of a parcel's art are wanted and not there.
 *
 * @param wanted by prints that have pieces left
 * @param stock all parcels of the shop
 * @returns 0: there are enough; null: one of them was never counted, so nobody knows
 */
export function shortOf(
  { productId, art }: Pick<Parcel, 'productId' | 'art'>,
  wanted: number,
  stock: readonly ParcelStock[],
): number | null {
  const there = stock.filter(
    ({ parcel }) => parcel.arrivedOn !== null && !parcel.retiredOn && isOfParcel(parcel, { productId, artName: art }),
  );
  if (there.some(({ left }) => left === null)) return null;
  return Math.max(0, wanted - there.reduce((sum, { left }) => sum + Math.max(0, left ?? 0), 0));
}
