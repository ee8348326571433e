/** What to lay out before an order is begun: presses, blanks, transfers, and what goes under and over them, for what is left to press. */
import type { Card } from '../card';
import type { Line } from '../order';
import { type ParcelStock, takenFrom } from '../run';
import { isOfParcel } from '../sheet';
import type { LineProgress } from './progress';
import { finishedPieces, printLeft } from './queue';

export interface PickedBlank {
  name: string;
  colour: string;
  size: string;
  count: number;
}

/** One art of one transfer, once for each piece it goes on. */
export interface PickedTransfer {
  product: string;
  /** Its colour on the sheet; null: it has none of its own. */
  colour: string | null;
  art: string;
  widthMm: number;
  heightMm: number;
  count: number;
  /** The parcels it is taken from, with what is in each; none: it comes in none. */
  from: { name: string; lies: string; left: number | null }[];
  /** So many more than its parcels have. */
  short: number;
}

export interface PickList {
  blanks: PickedBlank[];
  transfers: PickedTransfer[];
  /** Of each press what is laid under and over the piece, and what is swapped in. */
  presses: { name: string; covers: NonNullable<Card['set']['cover']>[]; bases: Card['set']['base'][]; pads: string[]; platens: string[] }[];
  /** Prints on Hold: they are not laid out. */
  held: string[];
}

interface LaidOut {
  line: Line;
  card: Card;
  left: number;
}

/** Sums what is alike but for its count. */
function summed<T extends { count: number }>(all: readonly T[]): T[] {
  const sums = new Map<string, T>();
  for (const one of all) {
    const key = JSON.stringify({ ...one, count: 0 });
    const before = sums.get(key);
    sums.set(key, before ? { ...before, count: before.count + one.count } : one);
  }
  return [...sums.values()];
}
const distinct = <T>(values: readonly T[]): T[] => [...new Set(values)];

/** Where each transfer is taken from. */
function withParcels(
  transfers: readonly (Omit<PickedTransfer, 'from' | 'short'> & { productId: string })[],
  stock: readonly ParcelStock[],
): PickedTransfer[] {
  return transfers.map(({ productId, ...transfer }) => {
    const own = stock.filter(({ parcel }) => isOfParcel(parcel, { productId, artName: transfer.art }));
    const from = takenFrom(transfer.count, own).map(({ parcel: { name, lies }, left }) => ({ name, lies, left }));
    const there = from.reduce((sum, { left }) => sum + (left ?? transfer.count), 0);
    return { ...transfer, from, short: from.length > 0 ? Math.max(0, transfer.count - there) : 0 };
  });
}

/** Of a stage of the press, with what it is covered. */
const coversOf = ({ set, stages }: Card) =>
  distinct([set.cover, ...stages.map((stage) => stage.set?.cover ?? null)]).filter((cover) => cover !== null);

/**
 * @param cards of each print of each line
 * @param stock all parcels of the shop
 */
export function pickList(
  lines: readonly Line[],
  progress: readonly LineProgress[],
  cards: readonly { lineId: string; printKey: string; card: Card }[],
  stock: readonly ParcelStock[] = [],
): PickList {
  const prints = lines.flatMap((line) =>
    line.prints.flatMap((print): LaidOut[] => {
      const card = cards.find(({ lineId, printKey }) => lineId === line.id && printKey === print.key)?.card;
      const state = progress.find(({ lineId }) => lineId === line.id);
      const left = state ? printLeft(state, print.key) : line.count;
      return card && left > 0 ? [{ line, card, left }] : [];
    }),
  );
  const ready = prints.filter(({ card }) => card.lamp.state !== 'hold');
  const blanks = distinct(ready.map(({ line }) => line)).flatMap((line): PickedBlank[] => {
    const of = ready.find((print) => print.line === line)?.card.of;
    const state = progress.find(({ lineId }) => lineId === line.id);
    return of ? [{ name: of.blankName, colour: of.colour, size: line.size, count: line.count - (state ? finishedPieces(state) : 0) }] : [];
  });
  return {
    blanks: summed(blanks),
    transfers: withParcels(
      summed(
        ready.flatMap(({ card: { of }, left }) =>
          of.layers.map(({ productId, productName, colour }) => ({
            productId,
            product: productName,
            colour,
            art: of.artName,
            widthMm: of.widthMm,
            heightMm: of.heightMm,
            count: left,
          })),
        ),
      ),
      stock,
    ),
    presses: distinct(ready.map(({ card }) => card.of.pressName)).map((name) => {
      const here = ready.flatMap(({ card }) => (card.of.pressName === name ? [card] : []));
      return {
        name,
        covers: distinct(here.flatMap(coversOf)),
        bases: distinct(here.map(({ set }) => set.base)),
        pads: distinct(here.flatMap(({ set }) => (set.pad === 'none' ? [] : [set.pad]))),
        platens: distinct(here.flatMap(({ set }) => set.platen ?? [])),
      };
    }),
    held: distinct(
      prints.flatMap(({ card }) => (card.lamp.state === 'hold' ? [`${card.of.artName}, ${card.of.blankName} ${card.of.size}`] : [])),
    ),
  };
}
