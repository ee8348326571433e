/** Find anywhere: what of the whole shop answers a few letters. Orders and the log are narrowed by the database first, the rest is small. */
import { count, desc, type SQL, sql } from 'drizzle-orm';
import { actEntries, type FoundGroup, offered, orderEntries, pieceEntry, pressEntries, search, shelfEntries } from '../../core/find';
import type { Blank } from '../../core/materials';
import { orders } from '../db/schema';
import type { Db } from './perShop';
import { searchLog, wordsIn } from './pressings';
import { listPresses, readShelf } from './shelf';
import { readRows, rowColumns } from './versioned';

/** Orders that are ranked, the latest due first; a shop with no more is looked at whole, so that a slip in a word is forgiven. */
const MOST_ORDERS = 60;
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

/** A word stands in the order's own text, or begins a word of a blank that the order is for. */
function has(word: string, blanks: readonly Pick<Blank, 'id' | 'name'>[]): SQL {
  const named = blanks.filter(({ name }) => wordsIn(name).some((own) => own.startsWith(word)));
  const inText = (text: string) => sql`instr(lower(${orders.doc}), ${text}) > 0`;
  return sql.join([inText(word), ...named.map(({ id }) => inText(`"blankid":"${id.toLowerCase()}"`))], sql` OR `);
}

function ordersFor(db: Db, asked: readonly string[], blanks: readonly Pick<Blank, 'id' | 'name'>[]) {
  const few = (db.select({ n: count() }).from(orders).get()?.n ?? 0) <= MOST_ORDERS;
  const every = sql.join(
    asked.map((word) => sql`(${has(word, blanks)})`),
    sql` AND `,
  );
  const stored = db
    .select(rowColumns('orders'))
    .from(orders)
    .where(few ? undefined : every)
    .orderBy(desc(orders.due))
    .limit(MOST_ORDERS)
    .all();
  return readRows(db, 'orders', stored as never).rows.map(({ doc }) => doc);
}
