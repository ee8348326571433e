/** A run as it is read back: its row, its frozen card, all its events and the state they add up to, followed as it grows. */
import { and, asc, eq, getTableColumns, gt, isNull, sql } from 'drizzle-orm';
import type { Card } from '../../core/card';
import {
  DoesNotAddUp,
  planOf,
  type Run,
  type RunEvent,
  RunEventSchema,
  type RunPart,
  type RunPlan,
  RunSchema,
  type RunState,
  replay,
  replayFrom,
  UnknownMachine,
} from '../../core/run';
import { runEvents, runs } from '../db/schema';
import { notFound } from '../refusal';
import { frozenCard } from './frozenCards';
import { type Db, perShop, remember } from './perShop';
import { cannotBeRead, read, textOf } from './readable';

type RunRow = typeof runs.$inferSelect;

export interface OpenedRun {
  row: RunRow;
  run: Run;
  card: Card;
  /** Cards of the other prints pressed in it, as `run.also` has them. */
  alsoCards: readonly Card[];
  plan: RunPlan;
  events: readonly RunEvent[];
  state: RunState;
}

/** Runs read before, by id. Their events only grow, so what came since is enough. */
const knownOf = perShop(() => new Map<string, { seq: number; opened: OpenedRun }>());
const MOST_KNOWN = 400;

const newest = sql<number>`coalesce((SELECT max(seq) FROM run_events WHERE run_events.run_id = runs.id), 0)`;

/** Asked at every step of every run. */
const asked = perShop((db) => {
  const rows = () => db.select({ row: getTableColumns(runs), newest }).from(runs);
  const since = and(eq(runEvents.runId, sql.placeholder('id')), gt(runEvents.seq, sql.placeholder('seq')));
  return {
    one: rows()
      .where(eq(runs.id, sql.placeholder('id')))
      .prepare(),
    steps: db
      .select({ text: textOf(runEvents.doc) })
      .from(runEvents)
      .where(since)
      .orderBy(asc(runEvents.seq))
      .prepare(),
    open: rows().where(isNull(runs.endedAt)).orderBy(asc(runs.startedAt)).prepare(),
  };
});

/** @throws {Refusal} 404; 409 its card or an event cannot be read, or its events do not add up */
export function openRun(db: Db, id: string): OpenedRun {
  const found = asked(db).one.get({ id });
  if (!found) throw notFound('run', id);
  return openedUpTo(db, found.row, found.newest);
}

/** The same of a row that was just read, with the number of its newest event. */
export function openedUpTo(db: Db, row: RunRow, newest: number): OpenedRun {
  const { id } = row;
  const known = knownOf(db);
  const before = known.get(id);
  if (before?.seq === newest) return { ...before.opened, row };
  const opened = grown(db, row, before ?? null);
  return remember(db, known, id, { seq: newest, opened }, MOST_KNOWN).opened;
}

/** A run with the events that came since it was read. */
function grown(db: Db, row: RunRow, before: { seq: number; opened: OpenedRun } | null): OpenedRun {
  const { id, orderId, lineId, printKey, cardHash, pieces, perClosing, startedAt, holds, machine, also, parcels, pace } = row;
  const run = { id, orderId, lineId, printKey, cardHash, pieces, perClosing, startedAt, holds, machine, also, parcels, pace };
  const card = before?.opened.card ?? frozenCard(db, cardHash);
  if (!RunSchema.shape.parcels.safeParse(parcels).success) throw cannotBeRead('run', id, 'the parcels it is pressed from');
  if (!RunSchema.shape.also.safeParse(also).success) throw cannotBeRead('run', id, 'the other prints pressed in it');
  const alsoCards = before?.opened.alsoCards ?? also.map((part) => frozenCard(db, part.cardHash));
  const plan = planOf(run, card, alsoCards);
  const fresh = asked(db)
    .steps.all({ id, seq: before?.seq ?? 0 })
    .map(({ text }) => {
      const result = read<RunEvent>(RunEventSchema, text);
      if ('why' in result) throw cannotBeRead('run', id, `a step of it: ${result.why}`);
      return result.doc;
    });
  const events = [...(before?.opened.events ?? []), ...fresh];
  const known = before && { events: before.opened.events, run: before.opened.state };
  try {
    const state = known ? replayFrom(known, plan, startedAt, events) : replay(plan, startedAt, events);
    return { row, run, card, alsoCards, plan, events, state };
  } catch (error) {
    if (error instanceof DoesNotAddUp || error instanceof UnknownMachine) throw cannotBeRead('run', id, error.message);
    throw error;
  }
}

/** The newest instant that is stored of a run that is open, ms; 0: none. */
export function newestStep(db: Db): number {
  const row = db.get<{ at: number | null }>(sql`
    SELECT max(coalesce((SELECT json_extract(doc, '$.at') FROM run_events e WHERE e.run_id = runs.id AND json_valid(doc) ORDER BY seq DESC LIMIT 1), started_at)) AS at
    FROM runs WHERE ended_at IS NULL`);
  return Number(row.at ?? 0);
}

/** Open runs with the number of the newest event of each: one question however many there are. */
export const openRunsNow = (db: Db): { row: RunRow; newest: number }[] => asked(db).open.all();

/** Whether a run presses a print, its own or another of its batch. */
export const pressesPrint = (
  run: Pick<RunRow, 'orderId' | 'lineId' | 'printKey' | 'also'>,
  print: Pick<RunPart, 'orderId' | 'lineId' | 'printKey'>,
): boolean =>
  [run, ...run.also].some(
    ({ orderId, lineId, printKey }) => orderId === print.orderId && lineId === print.lineId && printKey === print.printKey,
  );

export const listOpenRuns = (db: Db): RunRow[] => db.select().from(runs).where(isNull(runs.endedAt)).orderBy(asc(runs.startedAt)).all();
