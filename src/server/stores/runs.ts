/** Runs: a frozen card and a list of events. An event and the pressing it gives are one transaction. */
import { randomUUID } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import { eq } from 'drizzle-orm';
import { resolve } from '../../core/card';
import { pressingOf, printLeft } from '../../core/log';
import type { Line } from '../../core/order';
import { apply, MACHINE_VERSION, type RunEvent, type RunState } from '../../core/run';
import { runEvents, runs } from '../db/schema';
import { notFound, Refusal } from '../refusal';
import { inputOf, readFacts } from './cards';
import { followOn } from './followOn';
import { freezeCard } from './frozenCards';
import { readHouse } from './house';
import { progress, progressKey } from './logTail';
import { listOpenRuns, type OpenedRun, openRun } from './openedRun';
import { findOrder } from './orders';
import { type Db, write } from './perShop';
import { addAmendment, addPressing, goodPersons } from './pressings';
import { pullDue } from './pressRecords';

/** How far a device's reckoning of our clock may run ahead before it is not believed, ms. */
const AHEAD_MS = 60_000;

const refuse = (title: string, detail: string, message: string) => new Refusal('conflict', title, detail, [{ field: 'lineId', message }]);

/**
 * Starts a run of what is left of one print of a line, freezing its card as it stands now. The same id again is the same run.
 *
 * @throws {Refusal} 404 unknown order, line or print; 409 the card is on Hold, nothing is left, or the print is already being pressed
 */
export function startRun(
  db: Db,
  id: string,
  { orderId, lineId, printKey, operator }: { orderId: string; lineId: string; printKey?: string | undefined; operator: string },
  now: number,
): OpenedRun {
  return write(db, () => {
    if (db.select().from(runs).where(eq(runs.id, id)).get()) return openRun(db, id);
    const { doc: order } = findOrder(db, orderId);
    const line = order.lines.find((line) => line.id === lineId);
    const print = line?.prints.find((print) => printKey === undefined || print.key === printKey);
    if (!line || !print) throw notFound(line ? 'print' : 'line', line ? (printKey ?? '') : lineId);
    const card = resolve(inputOf(readFacts(db), order, { ...line, roster: stillWanting(db, orderId, line, print.key) }, print));
    if (card.lamp.state === 'hold') throw refuse('On Hold', 'This card is on Hold. Take one of its ways out first.', 'on Hold');
    mustBeFree(db, { orderId, lineId, printKey: print.key });
    const pieces = printLeft({ lineId, count: line.count, prints: donePrints(db, order.id, line) }, print.key);
    if (pieces < 1)
      throw refuse('Nothing left', 'Every piece of this print has been pressed. Raise the line’s count to press more.', 'nothing left');
    const { holds, triedS } = followOn(db, card, now);
    db.insert(runs)
      .values({
        id,
        orderId,
        lineId,
        printKey: print.key,
        pressId: print.pressId,
        cardHash: freezeCard(db, card),
        pieces,
        perClosing: Math.min(card.of.perClosing, pieces),
        operator,
        startedAt: now,
        machine: MACHINE_VERSION,
        holds,
      })
      .run();
    if (triedS !== null && triedS !== card.set.timeS) addEvent(db, id, 1, { id: randomUUID(), at: now, kind: 'set', timeS: triedS });
    return openRun(db, id);
  });
}

/** @throws {Refusal} 409 the print is already being pressed */
function mustBeFree(db: Db, print: { orderId: string; lineId: string; printKey: string }): void {
  const other = listOpenRuns(db).find(
    (run) => run.orderId === print.orderId && run.lineId === print.lineId && run.printKey === print.printKey,
  );
  if (!other) return;
  throw refuse('Already being pressed', 'This print is already being pressed. Open its run, or stop it first.', `run ${other.id} is open`);
}

/** Entries of a line's roster that have no good pressing of a print yet, in their order: a spoiled piece stays on it. */
function stillWanting(db: Db, orderId: string, line: Line, printKey: string): Line['roster'] {
  const done = goodPersons(db, orderId, line.id, printKey);
  return line.roster.filter(({ number, name }) => !done.some((person) => person.number === number && person.name === name));
}

/** Good and spoiled pieces of each print of a line. */
function donePrints(db: Db, orderId: string, line: Line) {
  const done = progress(db);
  const none = { lamp: 'clear' as const, cautions: 0, openRunId: null };
  return line.prints.map((print) => ({
    printKey: print.key,
    ...none,
    ...(done.get(progressKey(orderId, line.id, print.key)) ?? { good: 0, spoiled: 0 }),
  }));
}

const addEvent = (db: Db, runId: string, seq: number, doc: RunEvent) => db.insert(runEvents).values({ id: doc.id, runId, seq, doc }).run();

/** Stores the events of a run that was played to its end elsewhere, all at once. */
export function addPlayedEvents(db: Db, runId: string, events: readonly RunEvent[], endedAt: number): void {
  events.forEach((doc, i) => {
    addEvent(db, runId, i + 1, doc);
  });
  db.update(runs).set({ endedAt }).where(eq(runs.id, runId)).run();
}

/**
 * Takes one event of a run, with the pressing or the withdrawal it gives, in one transaction.
 * The same id again answers with the run as it is and stores nothing. One that says it lies in the future counts as now.
 *
 * @throws {Refusal} 409 what cannot have happened now, in words; 422 an id that belongs to another run or differs from the address
 */
export function takeEvent(db: Db, runId: string, said: RunEvent, now: number): OpenedRun {
  // a step that was taken is not lost for a wrong clock
  const event = said.at > now + AHEAD_MS ? { ...said, at: now } : said;
  return write(db, () => {
    const opened = openRun(db, runId);
    const known = db.select().from(runEvents).where(eq(runEvents.id, event.id)).get();
    if (known && known.runId !== runId)
      throw new Refusal('not valid', 'Not valid', 'This event id belongs to another run.', [
        { field: 'eventId', message: 'used elsewhere' },
      ]);
    if (known && !sameStep(opened.events, event))
      throw new Refusal('not valid', 'Not valid', 'This event id was used for another step of this run.', [
        { field: 'eventId', message: 'used for another step' },
      ]);
    if (known) return opened;
    const before = opened.state;
    const applied = apply(opened.plan, opened.run.startedAt, opened.events, event, before);
    if (applied.state === 'refused')
      throw new Refusal('conflict', 'Not now', applied.message, [{ field: 'kind', message: applied.message }]);
    addEvent(db, runId, opened.events.length + 1, event);
    record(db, opened, before, applied.run, event);
    const endedAt = applied.run.done ? event.at : null;
    if (endedAt !== opened.row.endedAt) db.update(runs).set({ endedAt }).where(eq(runs.id, runId)).run();
    return openRun(db, runId);
  });
}

/** Whether an event stands in a list, but for its instant: a device that was told the time anew dates what waits again. */
function sameStep(events: readonly RunEvent[], event: RunEvent): boolean {
  const stored = events.find(({ id }) => id === event.id);
  return stored !== undefined && isDeepStrictEqual({ ...stored, at: 0 }, { ...event, at: 0 });
}

/** A new verdict becomes a pressing; a verdict taken back is withdrawn by an amendment. */
function record(db: Db, opened: OpenedRun, before: RunState, after: RunState, event: RunEvent): void {
  const { row, run, card } = opened;
  const result = after.results.at(-1);
  if (result?.eventId === event.id) {
    const { room } = readHouse(db).doc;
    addPressing(
      db,
      pressingOf(run, card, result, {
        orderName: orderNameOf(db, run.orderId),
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
  return {
    run,
    orderName: orderNameOf(db, run.orderId),
    card,
    events: [...events],
    pullDue: pullDue(db, card.of.pressId, now),
    now,
  };
}

/** The events of a run from the one after so many on. */
export const eventsReply = ({ events }: Pick<OpenedRun, 'events'>, since: number, now: number) => ({
  from: Math.min(since, events.length),
  events: events.slice(since),
  now,
});

/** The name of an order a run belongs to; a run outlives an order that cannot be read. */
export function orderNameOf(db: Db, id: string): string {
  try {
    return findOrder(db, id).doc.name;
  } catch (error) {
    if (error instanceof Refusal) return 'An order that cannot be read';
    throw error;
  }
}
