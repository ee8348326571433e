/** Find anywhere: what of the whole shop answers a few letters. Orders are narrowed by their text and the log by the database first, the rest is small. */
import { desc, inArray, sql } from 'drizzle-orm';
import {
  actEntries,
  type Findable,
  type FoundGroup,
  finder,
  offered,
  orderEntries,
  pieceEntry,
  pressEntries,
  shelfEntries,
} from '../../core/find';
import type { Blank } from '../../core/materials';
import { orders } from '../db/schema';
import { type Db, perShop } from './perShop';
import { newestFound, wordsIn } from './pressings';
import { markOf, whileSame } from './revisions';
import { listPresses, readShelf } from './shelf';
import { readRows, rowColumns } from './versioned';

/** A shop with no more orders is looked at whole, so that a slip in a word is forgiven. */
const FEW_ORDERS = 60;
/** Of more, so many that hold every word are ranked, the latest due first. */
const MOST_ORDERS = 24;
/** Pieces of the log that are ranked, the newest first. */
const MOST_PIECES = 20;

const standingBefore = perShop(() => new Map<string, { mark: string; value: Standing }>());

interface Standing {
  acts: Findable[];
  blanks: readonly Blank[];
  find: ReturnType<typeof finder>;
}

/** What stays from one question to the next: acts, settings, words, presses and the shelf. */
function standing(db: Db): Standing {
  return whileSame(db, standingBefore(db), '', markOf(db, 'shelf', 'presses'), () => {
    const presses = listPresses(db).rows.map(({ doc }) => doc);
    const shelf = readShelf(db);
    const acts = actEntries(presses);
    return { acts, blanks: shelf.blanks, find: finder([...acts, ...pressEntries(presses), ...shelfEntries(shelf)]) };
  });
}

/** @param today as an ISO day */
export function findAnywhere(db: Db, typed: string, today: string): { groups: FoundGroup[] } {
  const { acts, blanks, find } = standing(db);
  const asked = wordsIn(typed);
  if (asked.length === 0) return { groups: offered(acts) };
  const pieces = newestFound(db, { q: typed, limit: MOST_PIECES }).map(pieceEntry);
  return { groups: find([...orderThings(db, asked, blanks, today), ...pieces], typed) };
}

interface OrderText {
  version: number;
  text: string;
}
const textsBefore = perShop(() => new Map<string, { mark: string; value: Map<string, OrderText> }>());

/** The text of every order by its id, the latest due first; of those that have changed it is read anew. */
function textsOf(db: Db): Map<string, OrderText> {
  const memory = textsBefore(db);
  return whileSame(db, memory, '', markOf(db, 'orders'), () => {
    const before = memory.get('')?.value;
    const standing = db.select({ id: orders.id, version: orders.version }).from(orders).orderBy(desc(orders.due)).all();
    const changed = standing.filter(({ id, version }) => before?.get(id)?.version !== version).map(({ id }) => id);
    const read = db
      .select({ id: orders.id, text: sql<string>`lower(${orders.doc})` })
      .from(orders)
      .where(sql`${orders.id} IN (SELECT value FROM json_each(${JSON.stringify(changed)}))`)
      .all();
    const anew = new Map(read.map(({ id, text }) => [id, text]));
    return new Map(standing.map(({ id, version }) => [id, { version, text: anew.get(id) ?? before?.get(id)?.text ?? '' }]));
  });
}

/** Texts of which one stands in an order that a word is of: the word itself, or a blank that a word of begins with it. */
function textsFor(word: string, blanks: readonly Pick<Blank, 'id' | 'name'>[]): string[] {
  const named = blanks.filter(({ name }) => wordsIn(name).some((own) => own.startsWith(word)));
  return [word, ...named.map(({ id }) => `"blankid":"${id.toLowerCase()}"`)];
}

/** Orders and their people that can be meant. */
function orderThings(db: Db, asked: readonly string[], blanks: readonly Blank[], today: string): Findable[] {
  const texts = [...textsOf(db)];
  const byId = new Map(blanks.map((blank) => [blank.id, blank]));
  const entriesOf = (ids: string[]) => {
    const stored = db.select(rowColumns('orders')).from(orders).where(inArray(orders.id, ids)).orderBy(desc(orders.due)).all();
    return readRows(db, 'orders', stored as never).rows.flatMap(({ doc }) => orderEntries(doc, byId, today));
  };
  if (texts.length <= FEW_ORDERS) return entriesOf(texts.map(([id]) => id));
  const wanted = asked.map((word) => textsFor(word, blanks));
  const found = texts.filter(([, { text }]) => wanted.every((one) => one.some((part) => text.includes(part)))).slice(0, MOST_ORDERS);
  // no slip is forgiven here, so who lacks a word is not meant
  return entriesOf(found.map(([id]) => id)).filter(({ title, detail, also }) => {
    const text = `${title} ${detail} ${also}`.toLowerCase();
    return asked.every((word) => text.includes(word));
  });
}
