/** The end of the day: what is not finished at the presses, which of them were hot today, whether a backup is due, and what comes next. */
import { startOfDay } from 'date-fns';
import { and, desc, eq, gte, sql } from 'drizzle-orm';
import type { DayEnd } from '../../contract/schemas';
import { leftOver } from '../../core/run';
import { dayOf } from '../day';
import { backups, pressings } from '../db/schema';
import { Refusal } from '../refusal';
import { bench } from './bench';
import { openedUpTo, openRunsNow } from './openedRun';
import type { Db } from './perShop';
import { orderNameOf } from './runs';
import { listPresses } from './shelf';

/** A backup is due again after so long, ms, where something was pressed since. */
const DUE_AFTER_MS = 20 * 3_600_000;
/** Orders that are due within so many days come next. */
const NEXT_DAYS = 1;
const DAY_MS = 24 * 3_600_000;

/** Keeps that a backup was taken away. */
export const noteBackup = (db: Db, at: number): void => void db.insert(backups).values({ at }).onConflictDoNothing().run();

/** Runs with pieces that have no verdict; one that cannot be read is told by its name alone. */
function unfinished(db: Db, now: number): DayEnd['runs'] {
  return openRunsNow(db).flatMap(({ row, newest }): DayEnd['runs'] => {
    const { id: runId, orderId, lineId } = row;
    const at = { runId, orderId, lineId, pressId: row.pressId, name: orderNameOf(db, orderId) };
    try {
      const { plan, state, card } = openedUpTo(db, row, newest);
      const left = leftOver(plan, state, now);
      return left ? [{ ...at, name: `${at.name}, ${card.of.size}`, left }] : [];
    } catch (error) {
      if (error instanceof Refusal) return [{ ...at, left: null }];
      throw error;
    }
  });
}

/** When a piece last had its verdict at a press today, ms; null: at no time. */
function lastToday(db: Db, press: string, now: number): number | null {
  const from = startOfDay(now).getTime();
  const row = db
    .select({ endedAt: pressings.endedAt })
    .from(pressings)
    .where(and(eq(pressings.press, press), gte(pressings.endedAt, from)))
    .orderBy(desc(pressings.endedAt))
    .limit(1)
    .get();
  return row?.endedAt ?? null;
}

function backupState(db: Db, now: number): DayEnd['backup'] {
  const at = db.select({ at: backups.at }).from(backups).orderBy(desc(backups.at)).limit(1).get()?.at ?? null;
  const { n } = db.get<{ n: number }>(sql`SELECT count(*) AS n FROM pressings WHERE ended_at > ${at ?? 0}`);
  return { at, pressedSince: n, isDue: n > 0 && (at === null || now - at > DUE_AFTER_MS) };
}

/** @param now ms since the epoch */
export function dayEnd(db: Db, now: number): DayEnd {
  const runs = unfinished(db, now);
  const soon = dayOf(now + NEXT_DAYS * DAY_MS);
  return {
    now,
    runs,
    presses: listPresses(db).rows.map(({ doc: press }) => {
      const lastAt = lastToday(db, press.name, now);
      return { id: press.id, name: press.name, lastAt, isUsed: lastAt !== null || runs.some((run) => run.pressId === press.id) };
    }),
    backup: backupState(db, now),
    next: bench(db)
      .orders.filter((row) => row.due <= soon && row.good < row.pieces)
      .map(({ orderId, name, due, pieces, good, next }) => ({ orderId, name, due, left: pieces - good, next })),
  };
}
