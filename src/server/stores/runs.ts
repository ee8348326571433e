/** Runs: a frozen card and a list of events. An event and the pressing it gives are one transaction. */
import { randomUUID } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import { eq } from 'drizzle-orm';
import type { AskedPrint } from '../../contract/schemas';
import { cardsInOneClosing, cardTogether } from '../../core/advice';
import { type Card, resolve } from '../../core/card';
import type { ResolveInput } from '../../core/draft';
import { pressingOf, printLeft, stillWanting } from '../../core/log';
import { closingOf, type Line, type Print, peopleOf, type RosterEntry, whoseIs } from '../../core/order';
import { apply, MACHINE_VERSION, parcelNames, partOf, type RunEvent, type RunPart, type RunState } from '../../core/run';
import { runEvents, runs } from '../db/schema';
import { notFound, Refusal } from '../refusal';
import { type Facts, inputOf, readFacts } from './cards';
import { followOn, paceBefore } from './followOn';
import { freezeCard } from './frozenCards';
import { readHouse } from './house';
import { listOpenRuns, type OpenedRun, openRun, pressesPrint } from './openedRun';
import { donePrints } from './openPrints';
import { findOrder } from './orders';
import { parcelsOf } from './parcels';
import { type Db, write } from './perShop';
import { addAmendment, addPressing, pressedFor } from './pressings';
import { pullDue } from './pressRecords';

/** How far a device's reckoning of our clock may run ahead before it is not believed, ms. */
const AHEAD_MS = 60_000;

const refuse = (title: string, detail: string, message: string) => new Refusal('conflict', title, detail, [{ field: 'lineId', message }]);

const isSameEntry = (a: RosterEntry | null, b: RosterEntry): boolean => a?.number === b.number && a.name === b.name;

/** What a card of an asked print is worked out from, and how many of it are left. */
interface Wanted {
  print: Omit<RunPart, 'cardHash' | 'pieces' | 'inClosing'> & { pressId: string };
  input: ResolveInput;
  left: number;
  /** The other prints of its closing that have pieces left. */
  beside: Print[];
}

/** @throws {Refusal} 404 unknown order, line or print; 409 the print is already being pressed, or nothing of it is left */
function wanted(db: Db, facts: Facts, { orderId, lineId, printKey, person }: AskedPrint): Wanted {
  const { doc: order } = findOrder(db, orderId);
  const line = order.lines.find((line) => line.id === lineId);
  const print = line?.prints.find((print) => printKey === undefined || print.key === printKey);
  if (!line || !print) throw notFound(line ? 'print' : 'line', line ? (printKey ?? '') : lineId);
  const asked = { orderId, lineId, printKey: print.key, pressId: print.pressId };
  const other = listOpenRuns(db).find((run) => pressesPrint(run, asked));
  if (other)
    throw refuse(
      'Already being pressed',
      'This print is already being pressed. Open its run, or stop it first.',
      `run ${other.id} is open`,
    );
  const people = peopleOf(order.lines);
  const roster = rosterLeft(db, orderId, line, print.key).filter((entry) => !person || isSameEntry(whoseIs(people, entry), person));
  const left = person ? roster.length : printLeft({ lineId, count: line.count, prints: donePrints(db, order.id, line) }, print.key);
  if (left < 1)
    throw refuse(
      'Nothing left',
      person
        ? 'Nothing of this print is missing for that person.'
        : 'Every piece of this print has been pressed. Raise the line’s count to press more.',
      'nothing left',
    );
  const all = donePrints(db, order.id, line);
  const beside = closingOf(line.prints, print.key).filter(
    ({ key }) => key !== print.key && printLeft({ lineId, count: line.count, prints: all }, key) > 0,
  );
  return { print: asked, input: inputOf(facts, order, { ...line, roster }, print), left, beside };
}

/** A further print of a run with its card. */
interface Part {
  part: RunPart;
  card: Card;
}

/** The designs of one closing with their cards, the asked one first. @throws {Refusal} 409 one of them is on Hold */
function designsOf(db: Db, facts: Facts, first: Wanted): { card: Card; left: number; also: Part[] } {
  const { orderId, lineId } = first.print;
  const others = first.beside.map(({ key }) => wanted(db, facts, { orderId, lineId, printKey: key }));
  const cards = cardsInOneClosing([first, ...others].map(({ input }) => input));
  const [card, ...rest] = cards;
  const held = cards.find(({ lamp }) => lamp.state === 'hold');
  if (!card || held) throw refuse('On Hold', `${held?.of.artName ?? 'A design'} of this closing is on Hold. Open its card.`, 'on Hold');
  // a design that has fewer left than others is pressed with them as long as it has
  const left = Math.min(first.left, ...others.map((other) => other.left));
  const also = others.flatMap(({ print: { pressId: _, ...of } }, i): Part[] => {
    const own = rest[i];
    return own ? [{ part: { ...of, cardHash: freezeCard(db, own), pieces: left, inClosing: true }, card: own }] : [];
  });
  return { card, left, also };
}

/** The other prints of a batch, their cards frozen. @throws {Refusal} 409 one cannot be pressed with the first */
function partsWith(db: Db, facts: Facts, first: Card, asked: readonly AskedPrint[]): Part[] {
  return asked.map((one, i) => {
    const { print, input, left, beside } = wanted(db, facts, one);
    const card = beside.length > 0 ? null : cardTogether(first, input);
    if (!card) {
      const detail = `The press would have to be set otherwise for ${orderNameOf(db, one.orderId)}. Press it in a run of its own.`;
      throw new Refusal('conflict', 'Not in one run', detail, [{ field: `also.${i}`, message: 'wants the press set otherwise' }]);
    }
    const { pressId: _, ...of } = print;
    return { part: { ...of, cardHash: freezeCard(db, card), pieces: left }, card };
  });
}

/**
 * Starts a run of what is left of one print of a line, freezing its card as it stands now; of further prints after it, where they
 * are named. The same id again is the same run.
 *
 * @throws {Refusal} 404 unknown order, line or print; 409 the card is on Hold, nothing is left, a print is already being pressed,
 * or one of a batch cannot be pressed with the first
 */
export function startRun(
  db: Db,
  id: string,
  { operator, also = [], ...own }: AskedPrint & { also?: readonly AskedPrint[] | undefined; operator: string },
  now: number,
): OpenedRun {
  return write(db, () => {
    if (db.select().from(runs).where(eq(runs.id, id)).get()) return openRun(db, id);
    const facts = readFacts(db);
    const first = wanted(db, facts, own);
    const designs = first.beside.length > 0 ? designsOf(db, facts, first) : null;
    if (designs && also.length > 0)
      throw new Refusal('not valid', 'Not valid', 'Several designs in one closing are a run of their own.', [
        { field: 'also', message: 'not beside several designs' },
      ]);
    const { print, input } = first;
    const { card, left } = designs ?? { card: resolve(input), left: first.left };
    if (card.lamp.state === 'hold') throw refuse('On Hold', 'This card is on Hold. Take one of its ways out first.', 'on Hold');
    if (new Set([print, ...also].map((one) => JSON.stringify([one.orderId, one.lineId]))).size <= also.length)
      throw new Refusal('not valid', 'Not valid', 'A line stands twice in this batch: a piece comes to the press once a run.', [
        { field: 'also', message: 'a line is named twice' },
      ]);
    const others = designs?.also ?? partsWith(db, facts, card, also);
    const pieces = others.reduce((sum, { part }) => sum + part.pieces, left);
    if (pieces > MOST_PIECES)
      throw new Refusal('not valid', 'Not valid', `A run has at most ${MOST_PIECES} pieces; these prints have ${pieces}.`, [
        { field: 'also', message: 'too many pieces' },
      ]);
    const { holds, triedS } = followOn(db, card, now);
    db.insert(runs)
      .values({
        id,
        ...print,
        cardHash: freezeCard(db, card),
        pieces,
        perClosing: designs ? others.length + 1 : Math.min(card.of.perClosing, pieces),
        operator,
        startedAt: now,
        machine: MACHINE_VERSION,
        holds,
        pace: paceBefore(db, operator, now),
        also: others.map(({ part }) => part),
        parcels: parcelsOf(db, facts, [{ card, pieces: left }, ...others.map((one) => ({ card: one.card, pieces: one.part.pieces }))]),
      })
      .run();
    if (triedS !== null && triedS !== card.set.timeS) addEvent(db, id, 1, { id: randomUUID(), at: now, kind: 'set', timeS: triedS });
    return openRun(db, id);
  });
}

/** Of a run, in all. */
const MOST_PIECES = 1000;

/** Entries of a line's roster that have no good pressing of a print yet, in their order: a spoiled piece stays on it. */
function rosterLeft(db: Db, orderId: string, line: Line, printKey: string): Line['roster'] {
  const good = pressedFor(db, orderId, { lineId: line.id, printKey }).filter(({ outcome }) => outcome === 'good');
  return stillWanting(
    line.roster,
    good.flatMap(({ person }) => person ?? []),
  );
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
  const { row, run, card, alsoCards } = opened;
  const result = after.results.at(-1);
  if (result?.eventId === event.id) {
    const { room } = readHouse(db).doc;
    const { part, index, nth } = partOf(run, result.piece);
    const own = index === 0 ? card : (alsoCards[index - 1] ?? card);
    addPressing(
      db,
      pressingOf(
        { id: run.id, ...part },
        own,
        { ...result, piece: nth },
        {
          orderName: orderNameOf(db, part.orderId),
          parcels: parcelNames(run.parcels, own.of),
          operator: row.operator,
          roomC: room.tempC,
          humidityPercent: room.humidityPercent,
        },
      ),
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
export function runReply(db: Db, { run, card, alsoCards, events }: OpenedRun, now: number) {
  return {
    run,
    orderName: orderNameOf(db, run.orderId),
    card,
    also: run.also.flatMap((part, i) => {
      const other = alsoCards[i];
      return other ? [{ orderName: orderNameOf(db, part.orderId), card: other }] : [];
    }),
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
