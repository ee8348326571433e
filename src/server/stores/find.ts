/** Find anywhere: what of the whole shop answers a few letters. Orders are narrowed by their text and the log by the database first, the rest is small. */
import { desc, inArray, sql } from 'drizzle-orm';
import { actEntries, type FoundGroup, offered, orderEntries, pieceEntry, pressEntries, search, shelfEntries } from '../../core/find';
import type { Blank } from '../../core/materials';
import { orders } from '../db/schema';
import { type Db, perShop } from './perShop';
import { searchLog, wordsIn } from './pressings';
import { markOf, whileSame } from './revisions';
import { listPresses, readShelf } from './shelf';
import { readRows, rowColumns } from './versioned';

/** A shop with no more orders is looked at whole, so that a slip in a word is forgiven. */
const FEW_ORDERS = 60;
/** Of more, so many that hold every word are ranked, the latest due first. */
const MOST_ORDERS = 24;
/** Pieces of the log that are ranked, the newest first. */
const MOST_PIECES = 20;

/** @param today as an ISO day */
export function findAnywhere(db: Db, typed: string, today: string): { groups: FoundGroup[] } {
  const presses = listPresses(db).rows.map(({ doc }) => doc);
  const acts = actEntries(presses);
  const asked = wordsIn(typed);
  if (asked.length === 0) return { groups: offered(acts) };
  const shelf = readShelf(db);
  const blanks = new Map(shelf.blanks.map((blank) => [blank.id, blank]));
  const entries = [
    ...ordersFor(db, asked, shelf.blanks).flatMap((order) => orderEntries(order, blanks, today)),
    ...acts,
    ...pressEntries(presses),
    ...shelfEntries(shelf),
    ...searchLog(db, { q: typed, limit: MOST_PIECES }).pressings.map(pieceEntry),
  ];
  return { groups: search(entries, typed) };
}

interface OrderText {
  id: string;
  text: string;
}
const textsBefore = perShop(() => new Map<string, { mark: string; value: OrderText[] }>());

/** The text of every order, the latest due first; read anew only when an order has changed. */
const textsOf = (db: Db): OrderText[] =>
  whileSame(db, textsBefore(db), '', markOf(db, 'orders'), () =>
    db
      .select({ id: orders.id, text: sql<string>`lower(${orders.doc})` })
      .from(orders)
      .orderBy(desc(orders.due))
      .all(),
  );

/** Texts of which one stands in an order that a word is of: the word itself, or a blank that a word of begins with it. */
function textsFor(word: string, blanks: readonly Pick<Blank, 'id' | 'name'>[]): string[] {
  const named = blanks.filter(({ name }) => wordsIn(name).some((own) => own.startsWith(word)));
  return [word, ...named.map(({ id }) => `"blankid":"${id.toLowerCase()}"`)];
}

function ordersFor(db: Db, asked: readonly string[], blanks: readonly Pick<Blank, 'id' | 'name'>[]) {
  const every = textsOf(db);
  const wanted = asked.map((word) => textsFor(word, blanks));
  const found =
    every.length <= FEW_ORDERS
      ? every
      : every.filter(({ text }) => wanted.every((one) => one.some((part) => text.includes(part)))).slice(0, MOST_ORDERS);
  const ids = found.map(({ id }) => id);
  const stored = db.select(rowColumns('orders')).from(orders).where(inArray(orders.id, ids)).orderBy(desc(orders.due)).all();
  return readRows(db, 'orders', stored as never).rows.map(({ doc }) => doc);
}
