/** A run as it is read back: its row, its frozen card and all its events. */
import { asc, eq, isNull } from 'drizzle-orm';
import type { Card } from '../../core/card';
import { planOf, type Run, type RunEvent, type RunState, replay } from '../../core/run';
import { runEvents, runs } from '../db/schema';
import { notFound } from '../http/problem';
import { frozenCard } from './frozenCards';
import type { Db } from './versioned';

type RunRow = typeof runs.$inferSelect;

export interface OpenedRun {
  row: RunRow;
  run: Run;
  card: Card;
  events: RunEvent[];
}

/** @throws {Refusal} 404 */
export function openRun(db: Db, id: string): OpenedRun {
  const row = db.select().from(runs).where(eq(runs.id, id)).get();
  if (!row) throw notFound('run', id);
  const { orderId, lineId, printKey, cardHash, pieces, perClosing, startedAt, holds } = row;
  const events = db.select({ doc: runEvents.doc }).from(runEvents).where(eq(runEvents.runId, id)).orderBy(asc(runEvents.seq)).all();
  return {
    row,
    run: { id, orderId, lineId, printKey, cardHash, pieces, perClosing, startedAt, holds },
    card: frozenCard(db, cardHash),
    events: events.map((event) => event.doc),
  };
}

export const listOpenRuns = (db: Db): RunRow[] => db.select().from(runs).where(isNull(runs.endedAt)).orderBy(asc(runs.startedAt)).all();

export const stateOf = ({ run, card, events }: OpenedRun): RunState => replay(planOf(run, card), run.startedAt, events);
