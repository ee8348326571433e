/**
 * What is asked of the log again and again, followed as it grows instead of counted anew: good and spoiled pieces of every
 * print, and the latest pressings that press and transfer are learned from. The log only grows, so what came since is enough.
 */
import { type SQL, sql } from 'drizzle-orm';
import type { Pressing } from '../../core/log';
import { type Db, perShop, remember } from './perShop';
import { COUNTING } from './pressings';

/** Older pressings than these tell of another season’s press. */
const LATEST = 2000;

export interface Tally {
  good: number;
  spoiled: number;
}

/** What learning needs of a pressing. */
export interface LatestPressing {
  id: string;
  hash: string;
  outcome: Pressing['outcome'];
  reason: Pressing['reason'];
  laidBack: number;
  endedAt: number;
}

interface Tail {
  /** The last pressing and amendment that were followed. */
  seq: number;
  amended: number;
  tallies: Map<string, Tally>;
  latest: LatestPressing[];
  withdrawn: Set<string>;
}

const tailOf = perShop(() => new Map<'tail', Tail>());

export const progressKey = (orderId: string, lineId: string, printKey: string): string => `${orderId}/${lineId}/${printKey}`;

/** Counts the pieces of all lines, or of some orders, anew. */
function count(db: Db, tallies: Map<string, Tally>, orderIds: readonly string[] | null): void {
  const among = orderIds === null ? sql`1` : sql`order_id IN (SELECT value FROM json_each(${JSON.stringify(orderIds)}))`;
  const grouped = (where: SQL) =>
    db.all<{ orderId: string; lineId: string; printKey: string; outcome: keyof Tally; n: number }>(sql`
      SELECT order_id AS orderId, line_id AS lineId, print_key AS printKey, outcome, count(*) AS n
      FROM pressings WHERE ${among} AND ${where} GROUP BY order_id, line_id, print_key, outcome`);
  for (const orderId of orderIds ?? []) for (const key of tallies.keys()) if (key.startsWith(`${orderId}/`)) tallies.delete(key);
  const add = (row: ReturnType<typeof grouped>[number], sign: 1 | -1) => {
    const key = progressKey(row.orderId, row.lineId, row.printKey);
    const tally = tallies.get(key) ?? { good: 0, spoiled: 0 };
    tallies.set(key, { ...tally, [row.outcome]: tally[row.outcome] + sign * row.n });
  };
  // all of them from an index alone; the few that were withdrawn are looked up and taken off again
  for (const row of grouped(sql`1`)) add(row, 1);
  for (const row of grouped(sql`id IN (SELECT pressing_id FROM amendments WHERE field = 'standing') AND NOT ${COUNTING}`)) add(row, -1);
}

/** Pressings that came with a run, newest first, since one. */
const latestSince = (db: Db, seq: number): LatestPressing[] =>
  db.all<LatestPressing>(sql`
    SELECT id, json_extract(doc, '$.cardHash') AS hash, outcome, json_extract(doc, '$.reason') AS reason,
      json_extract(doc, '$.laidBack') AS laidBack, ended_at AS endedAt
    FROM pressings WHERE seq > ${seq} AND run_id IS NOT NULL AND json_valid(doc) ORDER BY seq DESC LIMIT ${LATEST}`);

/** The log followed up to now. */
function followed(db: Db): Tail {
  const memory = tailOf(db);
  const tail = memory.get('tail') ?? { seq: 0, amended: 0, tallies: new Map(), latest: [], withdrawn: new Set() };
  const now = db.get<{ seq: number; amended: number }>(
    sql`SELECT coalesce((SELECT max(seq) FROM pressings), 0) AS seq, coalesce((SELECT max(rowid) FROM amendments), 0) AS amended`,
  );
  if (now.seq === tail.seq && now.amended === tail.amended && memory.has('tail')) return tail;
  const said = db.all<{ pressingId: string; orderId: string; to: string }>(sql`
    SELECT pressing_id AS pressingId, order_id AS orderId, to_value AS "to"
    FROM amendments JOIN pressings ON pressings.id = pressing_id
    WHERE amendments.rowid > ${tail.amended} AND field = 'standing' ORDER BY amendments.rowid`);
  const grown =
    tail.seq === 0 ? [] : db.all<{ orderId: string }>(sql`SELECT DISTINCT order_id AS orderId FROM pressings WHERE seq > ${tail.seq}`);
  count(db, tail.tallies, tail.seq === 0 ? null : [...new Set([...grown, ...said].map(({ orderId }) => orderId))]);
  for (const { pressingId, to } of said)
    if (to === 'withdrawn') tail.withdrawn.add(pressingId);
    else tail.withdrawn.delete(pressingId);
  const latest = [...latestSince(db, tail.seq), ...tail.latest].slice(0, LATEST);
  return remember(db, memory, 'tail', { ...tail, ...now, latest });
}

/** Good and spoiled pieces of every print, withdrawn ones left out. Keyed by order, line and print. */
export const progress = (db: Db): ReadonlyMap<string, Tally> => followed(db).tallies;

/** The latest pressings that still count, newest first. */
export function latestPressings(db: Db): LatestPressing[] {
  const { latest, withdrawn } = followed(db);
  return latest.filter(({ id }) => !withdrawn.has(id));
}
