/** The log: pressings are only ever added; what came later is read beside them. */
import { addDays, parseISO } from 'date-fns';
import { and, count, desc, eq, gte, lt, type SQL, sql } from 'drizzle-orm';
import type { z } from 'zod';
import type { LogQuerySchema, Unreadable } from '../../contract/schemas';
import { PRESSING_READER } from '../../core/formats';
import { type Amendment, AmendmentSchema, type PressedFor, type Pressing } from '../../core/log';
import { amendments, pressings } from '../db/schema';
import { notFound } from '../refusal';
import type { Db } from './perShop';
import { cannotBeRead, read, readAll, textOf } from './readable';

export type LogQuery = z.output<typeof LogQuerySchema>;

export type Logged = Pressing & { withdrawn: boolean; amendments: Amendment[] };

/** Adds a pressing. A second one with the same id is the same pressing and is left alone. */
export function addPressing(db: Db, pressing: Pressing, hasRun = true): void {
  const { id, runId, orderId, lineId, printKey, outcome, endedAt } = pressing;
  db.insert(pressings)
    .values({
      id,
      runId: hasRun ? runId : null,
      orderId,
      lineId,
      printKey,
      outcome,
      fabric: pressing.fabricName,
      product: pressing.productName,
      press: pressing.pressName,
      endedAt,
      words: wordsOf(pressing),
      doc: pressing,
    })
    .onConflictDoNothing()
    .run();
}

export function addAmendment(db: Db, amendment: Amendment): void {
  const { id, pressingId, field, to, at } = amendment;
  db.insert(amendments).values({ id, pressingId, field, to, at, doc: amendment }).onConflictDoNothing().run();
}

/** Lower-case words of a text, as records are found by. */
export const wordsIn = (text: string): string[] => text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [];

const wordsOf = (p: Pressing): string =>
  ` ${wordsIn(
    [
      p.orderName,
      p.blankName,
      p.fabricName,
      p.size,
      ...p.layerNames,
      p.pressName,
      p.position,
      p.artName,
      ...(p.parcels ?? []),
      p.person?.number ?? '',
      p.person?.name ?? '',
      p.outcome,
      p.reason ?? '',
      p.note,
      p.operator,
      p.laidBack > 0 ? 'laid back' : '',
    ].join(' '),
  ).join(' ')} `;

/** Midnight a day begins, or the one after it, in the server's own time. */
const dayStart = (iso: string, days = 0): number => addDays(parseISO(iso), days).getTime();

/** Everything asked for but the words. */
function filters({ orderId, outcome, fabric, product, press, from, to, before, beforeId }: Omit<LogQuery, 'limit'>): SQL[] {
  const parts = [
    orderId && eq(pressings.orderId, orderId),
    outcome && eq(pressings.outcome, outcome),
    fabric && eq(pressings.fabric, fabric),
    product && eq(pressings.product, product),
    press && eq(pressings.press, press),
    from && gte(pressings.endedAt, dayStart(from)),
    to && lt(pressings.endedAt, dayStart(to, 1)),
    // pieces of one closing may have ended in the same instant: they are told apart by the order they were written in
    before &&
      sql`(${pressings.endedAt}, ${pressings.seq}) < (${before}, coalesce((SELECT seq FROM pressings WHERE id = ${beforeId ?? ''}), 0))`,
  ];
  return parts.filter((part): part is SQL => typeof part === 'object');
}

/** Beyond this many the log says “more than”; nobody reads on, and counting a million takes longer than finding. */
const MOST_COUNTED = 10_000;

/** Words as the full-text index takes them: each must begin a word of the record. */
const matchOf = (asked: readonly string[]): string => asked.map((word) => `"${word}"*`).join(' ');

/** Records looked at to tell common words from rare ones, and the share of them that makes a word common. */
const SAMPLED = 400;
const COMMON_SHARE = 0.05;

/** Tells, from records spread evenly over the whole log, which words many of them have. Only speed hangs on it. */
function commonAmong(db: Db, asked: readonly string[]): string[] {
  // written out, not bound: a bound figure would be a real number, and the division no longer a whole one
  const sample = db.all<{ words: string }>(
    sql.raw(`WITH RECURSIVE k(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM k WHERE i < ${SAMPLED})
      SELECT words FROM k JOIN pressings ON seq = 1 + (i * (SELECT max(seq) FROM pressings)) / ${SAMPLED + 1}`),
  );
  return asked.filter((word) => sample.filter((row) => row.words.includes(` ${word}`)).length > COMMON_SHARE * sample.length);
}

/** Records that have all of some words, at most one past `MOST_COUNTED`. */
const countOfWords = (db: Db, asked: readonly string[]): number =>
  db.get<{ n: number }>(
    sql`SELECT count(*) AS n FROM (SELECT rowid FROM pressing_words WHERE pressing_words MATCH ${matchOf(asked)} LIMIT ${MOST_COUNTED + 1})`,
  ).n;

/** How the words of a query are looked for. */
interface WordSearch {
  where: SQL[];
  /** Every record is read on the way back from the newest; else the index gives those that can be meant. */
  walked: boolean;
}

/**
 * The condition for words.
 *
 * Words that few records have are found through the full-text index and sorted; words that many have are met often on
 * the way back from the newest, so for those the records are walked instead.
 */
function wordSearch(db: Db, { q = '' }: Pick<LogQuery, 'q'>): WordSearch {
  const asked = wordsIn(q);
  // signs alone are no words, and no record has them
  if (asked.length === 0) return { where: q.trim() === '' ? [] : [sql`0`], walked: false };
  const common = commonAmong(db, asked);
  const walked = (some: readonly string[]) => some.map((word) => sql`instr(${pressings.words}, ${` ${word}`}) > 0`);
  const rare = asked.filter((word) => !common.includes(word));
  if (rare.length === 0 || countOfWords(db, rare) > MOST_COUNTED) return { where: walked(asked), walked: true };
  const found = sql`pressings.seq IN (SELECT rowid FROM pressing_words WHERE pressing_words MATCH ${matchOf(rare)})`;
  return { where: [found, ...walked(common)], walked: false };
}

/** Amendments of a record in the order they came, as one JSON list. */
const LATER = sql<string>`(SELECT json_group_array(json(a.doc)) FROM (SELECT doc FROM amendments WHERE pressing_id = pressings.id AND json_valid(doc) ORDER BY rowid) a)`;

/** The walk through every record that is asked for, newest first, as SQL: for lists that are sent as they are read. */
export function logWalk(db: Db, query: Omit<LogQuery, 'limit'>): { sql: string; params: unknown[] } {
  return db
    .select({ id: pressings.id, text: sql<string>`pressings.doc`.as('text'), later: LATER.as('later') })
    .from(pressings)
    .where(and(...wordSearch(db, query).where, ...filters(query)))
    .orderBy(desc(pressings.endedAt), desc(pressings.seq))
    .toSQL();
}

/** How many records a query finds, at most one past `MOST_COUNTED`. Common words alone are counted in their index: a walk would read every record. */
function countFound(db: Db, query: LogQuery, { where, walked }: WordSearch): number {
  const narrowed = filters(query);
  if (walked && narrowed.length === 0) return countOfWords(db, wordsIn(query.q ?? ''));
  const counted = db
    .select({ one: sql`1` })
    .from(pressings)
    .where(and(...where, ...narrowed))
    .limit(MOST_COUNTED + 1)
    .as('counted');
  return db.select({ n: count() }).from(counted).get()?.n ?? 0;
}

interface LogPage {
  pressings: Logged[];
  more: boolean;
  unreadable: Unreadable[];
}

/** A page of what is asked for, newest first; `more` says whether older ones are left. */
function pageOf(db: Db, query: LogQuery, { where }: WordSearch): LogPage {
  const rows = db
    .select({ id: pressings.id, text: textOf(pressings.doc) })
    .from(pressings)
    .where(and(...where, ...filters(query)))
    .orderBy(desc(pressings.endedAt), desc(pressings.seq))
    .limit(query.limit + 1)
    .all();
  const page = readAll<Pressing>(PRESSING_READER, 'pressing', rows.slice(0, query.limit));
  return { pressings: withAmendments(db, page.docs), more: rows.length > query.limit, unreadable: page.unreadable };
}

/** The newest that are asked for, uncounted: of words that many records have, counting takes longer than finding. */
export const newestFound = (db: Db, query: LogQuery): Logged[] => pageOf(db, query, wordSearch(db, query)).pressings;

/** A page of the log, and how many there are in all: `total` stops one past `MOST_COUNTED`. */
export function searchLog(db: Db, query: LogQuery): LogPage & { total: number } {
  const search = wordSearch(db, query);
  return { ...pageOf(db, query, search), total: countFound(db, { ...query, before: undefined, beforeId: undefined }, search) };
}

/** What the log may be narrowed by: the names that stand in it. */
export function logNames(db: Db): { fabrics: string[]; products: string[]; presses: string[] } {
  // a walk of each index from name to name: a million records hold a few dozen names
  const names = (column: 'fabric' | 'product' | 'press'): string[] =>
    db
      .all<{ name: string | null }>(
        sql.raw(
          `WITH RECURSIVE t(name) AS (SELECT min(${column}) FROM pressings UNION ALL SELECT (SELECT min(${column}) FROM pressings WHERE ${column} > t.name) FROM t WHERE t.name IS NOT NULL) SELECT name FROM t WHERE name IS NOT NULL`,
        ),
      )
      .flatMap((row) => row.name ?? []);
  return { fabrics: names('fabric'), products: names('product'), presses: names('press') };
}

/** One pressing with what came later. @throws {Refusal} 404; 409 it cannot be read */
export function findPressing(db: Db, id: string): Logged {
  const row = db
    .select({ text: textOf(pressings.doc) })
    .from(pressings)
    .where(eq(pressings.id, id))
    .get();
  if (!row) throw notFound('pressing', id);
  const result = read<Pressing>(PRESSING_READER, row.text);
  if ('why' in result) throw cannotBeRead('pressing', id, result.why);
  const [found] = withAmendments(db, [result.doc]);
  if (!found) throw notFound('pressing', id);
  return found;
}

/** Pressings of an order that count, and whom they are for. @param print of this print alone */
export function pressedFor(db: Db, orderId: string, print?: { lineId: string; printKey: string }): PressedFor[] {
  const rows = db
    .select({ id: pressings.id, text: textOf(pressings.doc) })
    .from(pressings)
    .where(
      and(
        COUNTING,
        eq(pressings.orderId, orderId),
        print && eq(pressings.lineId, print.lineId),
        print && eq(pressings.printKey, print.printKey),
      ),
    )
    .all();
  return readAll<Pressing>(PRESSING_READER, 'pressing', rows).docs;
}

function withAmendments(db: Db, page: Pressing[]): Logged[] {
  const ids = JSON.stringify(page.map((p) => p.id));
  const stored =
    page.length === 0
      ? []
      : db
          .select({ id: amendments.id, text: textOf(amendments.doc) })
          .from(amendments)
          .where(sql`${amendments.pressingId} IN (SELECT value FROM json_each(${ids}))`)
          .orderBy(sql`amendments.rowid`)
          .all();
  const later = new Map<string, Amendment[]>();
  for (const doc of readAll<Amendment>(AmendmentSchema, 'amendment', stored).docs)
    later.set(doc.pressingId, [...(later.get(doc.pressingId) ?? []), doc]);
  return page.map((pressing) => {
    const own = later.get(pressing.id) ?? [];
    return { ...pressing, amendments: own, withdrawn: own.filter((a) => a.field === 'standing').at(-1)?.to === 'withdrawn' };
  });
}

/** The last word on a record is not that it was withdrawn. */
export const COUNTING = sql`(SELECT a.to_value FROM amendments a WHERE a.pressing_id = pressings.id AND a.field = 'standing' ORDER BY a.rowid DESC LIMIT 1) IS NOT 'withdrawn'`;
