/** The log: pressings are only ever added; what came later is read beside them. */
import { and, count, desc, eq, inArray, lt, type SQL, sql } from 'drizzle-orm';
import type { Amendment, Pressing } from '../../core/log';
import { amendments, pressings } from '../db/schema';
import type { Db } from './versioned';

export interface LogQuery {
  q?: string | undefined;
  orderId?: string | undefined;
  outcome?: 'good' | 'spoiled' | undefined;
  before?: number | undefined;
  limit: number;
}

export type Logged = Pressing & { withdrawn: boolean; amendments: Amendment[] };

/** Adds a pressing. A second one with the same id is the same pressing and is left alone. */
export function addPressing(db: Db, pressing: Pressing): void {
  const { id, runId, orderId, lineId, outcome, endedAt } = pressing;
  db.insert(pressings)
    .values({ id, runId, orderId, lineId, outcome, endedAt, words: wordsOf(pressing), doc: pressing })
    .onConflictDoNothing()
    .run();
}

export function addAmendment(db: Db, amendment: Amendment): void {
  const { id, pressingId, field, to, at } = amendment;
  db.insert(amendments).values({ id, pressingId, field, to, at, doc: amendment }).onConflictDoNothing().run();
}

const wordsOf = (p: Pressing): string =>
  [
    p.orderName,
    p.blankName,
    p.fabricName,
    p.size,
    p.productName,
    p.pressName,
    p.position,
    p.artName,
    p.outcome,
    p.reason ?? '',
    p.note,
    p.operator,
    p.laidBack > 0 ? 'laid back' : '',
  ]
    .join(' ')
    .toLowerCase();

/** Every word of the search must stand somewhere in the record. */
function conditions({ q, orderId, outcome, before }: Omit<LogQuery, 'limit'>): SQL | undefined {
  const words = (q ?? '').toLowerCase().split(/\s+/).filter(Boolean);
  return and(
    ...words.map((word) => sql`instr(${pressings.words}, ${word}) > 0`),
    orderId ? eq(pressings.orderId, orderId) : undefined,
    outcome ? eq(pressings.outcome, outcome) : undefined,
    before ? lt(pressings.endedAt, before) : undefined,
  );
}

/** Newest first; `more` says whether older ones are left. */
export function searchLog(db: Db, query: LogQuery): { pressings: Logged[]; total: number; more: boolean } {
  const rows = db
    .select({ doc: pressings.doc })
    .from(pressings)
    .where(conditions(query))
    .orderBy(desc(pressings.endedAt))
    .limit(query.limit + 1)
    .all();
  const total =
    db
      .select({ n: count() })
      .from(pressings)
      .where(conditions({ ...query, before: undefined }))
      .get()?.n ?? 0;
  const page = rows.slice(0, query.limit).map((row) => row.doc);
  return { pressings: withAmendments(db, page), total, more: rows.length > query.limit };
}

function withAmendments(db: Db, page: Pressing[]): Logged[] {
  const later =
    page.length === 0
      ? []
      : db
          .select({ doc: amendments.doc })
          .from(amendments)
          .where(
            inArray(
              amendments.pressingId,
              page.map((p) => p.id),
            ),
          )
          .orderBy(amendments.at)
          .all();
  return page.map((pressing) => {
    const own = later.map((row) => row.doc).filter((amendment) => amendment.pressingId === pressing.id);
    return { ...pressing, amendments: own, withdrawn: own.filter((a) => a.field === 'standing').at(-1)?.to === 'withdrawn' };
  });
}

const COUNTING = sql`NOT EXISTS (SELECT 1 FROM amendments a WHERE a.pressing_id = pressings.id AND a.field = 'standing' AND a.to_value = 'withdrawn')`;

/** Good and spoiled pieces of every line, withdrawn ones left out. Keyed by order and line. */
export function progress(db: Db, orderId?: string): Map<string, { good: number; spoiled: number }> {
  const rows = db
    .select({ orderId: pressings.orderId, lineId: pressings.lineId, outcome: pressings.outcome, n: count() })
    .from(pressings)
    .where(and(COUNTING, orderId ? eq(pressings.orderId, orderId) : undefined))
    .groupBy(pressings.orderId, pressings.lineId, pressings.outcome)
    .all();
  const lines = new Map<string, { good: number; spoiled: number }>();
  for (const row of rows) {
    const key = progressKey(row.orderId, row.lineId);
    const line = lines.get(key) ?? { good: 0, spoiled: 0 };
    lines.set(key, { ...line, [row.outcome]: row.n });
  }
  return lines;
}

export const progressKey = (orderId: string, lineId: string): string => `${orderId}/${lineId}`;
