/** What a run takes over from the one before: of the set-up and a trial at the same press, and how fast the same hands are. */
import { and, desc, eq, gte, lte } from 'drizzle-orm';
import type { Card } from '../../core/card';
import { carriedPace, FOLLOWS_MS, type Pace, stillHolds, TRIAL } from '../../core/run';
import { runs } from '../db/schema';
import { unlessRefused } from '../refusal';
import { listOpenRuns, type OpenedRun, openRun } from './openedRun';
import type { Db } from './perShop';

export interface FollowOn {
  holds: string[];
  /** Seconds the trial of the run before had come to; null: no trial is taken over. */
  triedS: number | null;
}

/** The run that ended last at a press, and not long ago; null also where another is open there, for it may have set the press otherwise. */
function runBefore(db: Db, pressId: string, now: number): OpenedRun | null {
  if (listOpenRuns(db).some((run) => run.pressId === pressId)) return null;
  const row = db
    .select({ id: runs.id })
    .from(runs)
    .where(and(eq(runs.pressId, pressId), gte(runs.endedAt, now - FOLLOWS_MS), lte(runs.endedAt, now)))
    .orderBy(desc(runs.endedAt))
    .limit(1)
    .get();
  return row ? openRun(db, row.id) : null;
}

/** What the last run of an operator says of these hands; null: there is none, or nobody said who pressed. */
export function paceBefore(db: Db, operator: string, now: number): Pace | null {
  if (operator === '') return null;
  const row = db
    .select({ id: runs.id })
    .from(runs)
    .where(and(eq(runs.operator, operator), lte(runs.endedAt, now)))
    .orderBy(desc(runs.endedAt))
    .limit(1)
    .get();
  if (!row) return null;
  const pace = unlessRefused(() => openRun(db, row.id).state.pace, null);
  return pace && pace.n > 0 ? carriedPace(pace) : null;
}

/** @param now ms since the epoch, when the run begins */
export function followOn(db: Db, card: Card, now: number): FollowOn {
  const before = runBefore(db, card.of.pressId, now);
  const state = before?.state;
  // a press that was not closed is not known to be hot
  if (!before || !state || state.results.length === 0) return { holds: [], triedS: null };
  const tried = state.tries.length > 0 && state.setS !== null;
  const looked = [...new Set([...before.run.holds, ...Object.keys(state.checks), ...(tried ? [TRIAL] : [])])];
  const holds = stillHolds(card, before.card, looked, state);
  return { holds, triedS: holds.includes(TRIAL) ? state.setS : null };
}
