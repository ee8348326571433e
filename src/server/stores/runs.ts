/** Runs: a frozen card and a list of events. An event and the pressing it gives are one transaction. */
import { asc, eq, isNull } from 'drizzle-orm';
import type { Card } from '../../core/card';
import { pressingOf } from '../../core/log';
import { apply, type Run, type RunEvent, type RunPlan, type RunState, replay } from '../../core/run';
import { runEvents, runs } from '../db/schema';
import { notFound, Refusal } from '../http/problem';
import { cardOfLine, freezeCard, frozenCard, readFacts } from './cards';
import { findOrder } from './orders';
import { addAmendment, addPressing, progress, progressKey } from './pressings';
import type { Db } from './versioned';

/** How far a device's reckoning of our clock may run ahead, ms. */
const AHEAD_MS = 60_000;

type RunRow = typeof runs.$inferSelect;

export interface OpenedRun {
  row: RunRow;
  run: Run;
  card: Card;
  events: RunEvent[];
}

const planOf = (run: Run, card: Card): RunPlan => ({ pieces: run.pieces, stages: card.stages });

/** @throws {Refusal} 404 */
export function openRun(db: Db, id: string): OpenedRun {
  const row = db.select().from(runs).where(eq(runs.id, id)).get();
  if (!row) throw notFound('run', id);
  const { orderId, lineId, cardHash, pieces, startedAt } = row;
  const events = db.select({ doc: runEvents.doc }).from(runEvents).where(eq(runEvents.runId, id)).orderBy(asc(runEvents.seq)).all();
  return {
    row,
    run: { id, orderId, lineId, cardHash, pieces, startedAt },
    card: frozenCard(db, cardHash),
    events: events.map((event) => event.doc),
  };
}

export const listOpenRuns = (db: Db): RunRow[] => db.select().from(runs).where(isNull(runs.endedAt)).orderBy(asc(runs.startedAt)).all();

export const stateOf = ({ run, card, events }: OpenedRun): RunState => replay(planOf(run, card), run.startedAt, events);

/**
 * Starts a run of what is left of a line, freezing its card as it stands now. The same id again is the same run.
 *
 * @throws {Refusal} 404 unknown order or line; 409 the card is on Hold, nothing is left, or the line is already being pressed
 */
export function startRun(
  db: Db,
  id: string,
  { orderId, lineId, operator }: { orderId: string; lineId: string; operator: string },
  now: number,
): OpenedRun {
  return db.transaction(
    () => {
      if (db.select().from(runs).where(eq(runs.id, id)).get()) return openRun(db, id);
      const { doc: order } = findOrder(db, orderId);
      const line = order.lines.find((one) => one.id === lineId);
      if (!line) throw notFound('line', lineId);
      const card = cardOfLine(readFacts(db), line);
      if (card.lamp.state === 'hold')
        throw new Refusal(409, 'On Hold', 'This card is on Hold. Take one of its ways out first.', [
          { field: 'lineId', message: 'on Hold' },
        ]);
      const other = listOpenRuns(db).find((run) => run.orderId === orderId && run.lineId === lineId);
      if (other)
        throw new Refusal(409, 'Already being pressed', 'This line is already being pressed. Open its run, or stop it first.', [
          { field: 'lineId', message: `run ${other.id} is open` },
        ]);
      const pieces = line.count - (progress(db, orderId).get(progressKey(orderId, lineId))?.good ?? 0);
      if (pieces < 1)
        throw new Refusal(409, 'Nothing left', 'Every piece of this line has been pressed. Raise its count to press more.', [
          { field: 'lineId', message: 'nothing left' },
        ]);
      db.insert(runs)
        .values({ id, orderId, lineId, pressId: line.pressId, cardHash: freezeCard(db, card), pieces, operator, startedAt: now })
        .run();
      return openRun(db, id);
    },
    { behavior: 'immediate' },
  );
}

/**
 * Takes one event of a run, with the pressing or the withdrawal it gives, in one transaction.
 * The same id again answers with the run as it is and stores nothing.
 *
 * @throws {Refusal} 409 what cannot have happened now, in words; 422 an id that belongs to another run or differs from the address
 */
export function takeEvent(db: Db, runId: string, event: RunEvent, now: number): OpenedRun {
  if (event.at > now + AHEAD_MS)
    throw new Refusal(422, 'Not valid', 'This event lies in the future: the clock of this device is wrong.', [
      { field: 'at', message: 'in the future' },
    ]);
  return db.transaction(
    () => {
      const opened = openRun(db, runId);
      const known = db.select().from(runEvents).where(eq(runEvents.id, event.id)).get();
      if (known?.runId === runId) return opened;
      if (known)
        throw new Refusal(422, 'Not valid', 'This event id belongs to another run.', [{ field: 'eventId', message: 'used elsewhere' }]);
      const before = stateOf(opened);
      const applied = apply(planOf(opened.run, opened.card), opened.run.startedAt, opened.events, event);
      if (applied.state === 'refused') throw new Refusal(409, 'Not now', applied.message, [{ field: 'kind', message: applied.message }]);
      db.insert(runEvents)
        .values({ id: event.id, runId, seq: opened.events.length + 1, doc: event })
        .run();
      record(db, opened, before, applied.run, event);
      const endedAt = applied.run.phase === 'done' ? event.at : null;
      if (endedAt !== opened.row.endedAt) db.update(runs).set({ endedAt }).where(eq(runs.id, runId)).run();
      return { ...opened, row: { ...opened.row, endedAt }, events: [...opened.events, event] };
    },
    { behavior: 'immediate' },
  );
}

/** A new verdict becomes a pressing; a verdict taken back is withdrawn by an amendment. */
function record(db: Db, opened: OpenedRun, before: RunState, after: RunState, event: RunEvent): void {
  const { row, run, card } = opened;
  const result = after.results.at(-1);
  if (result?.eventId === event.id) {
    const { doc: order } = findOrder(db, run.orderId);
    const { room } = readFacts(db).house;
    addPressing(
      db,
      pressingOf(run, card, result, {
        orderName: order.name,
        operator: row.operator,
        roomC: room.tempC,
        humidityPercent: room.humidityPercent,
      }),
    );
  }
  if (event.kind === 'undone' && after.results.length < before.results.length) {
    addAmendment(db, {
      id: event.id,
      pressingId: event.of,
      field: 'standing',
      from: 'counts',
      to: 'withdrawn',
      by: row.operator,
      why: 'undone at the press',
      at: event.at,
    });
  }
}

/** A run as the wire has it. */
export function runReply(db: Db, { run, card, events }: OpenedRun, now: number) {
  return { run, orderName: findOrder(db, run.orderId).doc.name, card, events, now };
}
