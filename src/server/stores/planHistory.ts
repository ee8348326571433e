/** What a file brings of the past: frozen cards, runs and their steps, pressings, records of presses. All of it goes through its reader, and nothing comes in that names what is not there. */
import { isDeepStrictEqual } from 'node:util';
import { eq } from 'drizzle-orm';
import type { Card } from '../../core/card';
import { readCard, type ShopDocument } from '../../core/formats';
import { DoesNotAddUp, planOf, type RunEvent, RunEventSchema, type RunPlan, type RunState, replay, UnknownMachine } from '../../core/run';
import { cards, pressAmendments, pressings, pressRecords, runEvents, runs } from '../db/schema';
import { Refusal } from '../refusal';
import { frozenCard, hashOfCard } from './frozenCards';
import type { Db } from './perShop';
import type { Planner } from './planner';
import { insertPressAmendment, insertPressRecord, mustFit } from './pressRecords';
import { read, textOf } from './readable';

type StoredRun = ShopDocument['runs'][number];

/** Frozen cards of the file that are sound, by their hash. */
function planCards(db: Db, planner: Planner, doc: ShopDocument): Map<string, Card> {
  const sound = new Map<string, Card>();
  doc.cards.forEach(({ hash, version, card }, i) => {
    if (hashOfCard(card) !== hash) {
      planner.fault(i + 1, `cards.${i}.hash`, 'This card does not match its hash: the file was changed by hand.');
      return;
    }
    try {
      sound.set(hash, readCard(version, card));
    } catch {
      planner.fault(i + 1, `cards.${i}.card`, `This is no card of version ${version}: it cannot be read.`);
      return;
    }
    if (db.select({ hash: cards.hash }).from(cards).where(eq(cards.hash, hash)).get()) planner.same++;
    else
      planner.change({ kind: 'frozen card', id: hash, name: sound.get(hash)?.of.blankName ?? hash, what: 'added', fields: [] }, () =>
        db
          .insert(cards)
          .values({ hash, schemaVersion: version, doc: card as never })
          .run(),
      );
  });
  return sound;
}

/** A run of the file with all it adds up to. */
interface ReadRun {
  cardHashes: readonly string[];
  verdicts: Set<string>;
}

const sameStep = (a: RunEvent | undefined, b: RunEvent | undefined): boolean => a !== undefined && isDeepStrictEqual(a, b);

/** Steps of a run that are stored. */
function storedSteps(db: Db, runId: string): RunEvent[] {
  const rows = db
    .select({ text: textOf(runEvents.doc) })
    .from(runEvents)
    .where(eq(runEvents.runId, runId))
    .orderBy(runEvents.seq)
    .all();
  return rows.flatMap(({ text }) => {
    const result = read<RunEvent>(RunEventSchema, text);
    return 'doc' in result ? [result.doc] : [];
  });
}

/** The state a list of steps comes to, or why it comes to none, in words. */
function played(plan: RunPlan, startedAt: number, events: readonly RunEvent[]): RunState | string {
  try {
    return replay(plan, startedAt, events);
  } catch (error) {
    if (error instanceof DoesNotAddUp) return `Step ${events.indexOf(error.event) + 1} of it: ${error.message}`;
    if (error instanceof UnknownMachine) return error.message;
    throw error;
  }
}

function planRun(
  db: Db,
  planner: Planner,
  run: StoredRun,
  place: number,
  events: RunEvent[],
  orderName: string,
  card: Card,
  alsoCards: readonly Card[],
): ReadRun | null {
  const wrong = (message: string, field = 'runs') => {
    planner.fault(place, `${field}.${place - 1}`, message);
    return null;
  };
  const before = db.select().from(runs).where(eq(runs.id, run.id)).get();
  const stored = before ? storedSteps(db, run.id) : [];
  if (
    before &&
    (before.cardHash !== run.cardHash ||
      before.pieces !== run.pieces ||
      !isDeepStrictEqual(before.also, run.also) ||
      before.startedAt !== run.startedAt)
  )
    return wrong(`Run ${run.id} is in the shop already and reads otherwise.`);
  const all = events.length >= stored.length ? events : stored;
  if (!(events.length >= stored.length ? stored : events).every((event, i) => sameStep(all[i], event)))
    return wrong(`Run ${run.id} is in the shop already and its steps are others.`);
  const end = played(planOf(run, card, alsoCards), run.startedAt, all);
  if (typeof end === 'string') return wrong(`Run ${run.id}: ${end}`);
  const endedAt = end.done ? end.lastAt : null;
  const fresh = events.slice(stored.length);
  const name = `${orderName}, run of ${run.pieces}`;
  if (!before)
    planner.change({ kind: 'run', id: run.id, name, what: 'added', fields: [] }, () =>
      db
        .insert(runs)
        .values({ ...run, endedAt })
        .run(),
    );
  else if (fresh.length > 0)
    planner.change({ kind: 'run', id: run.id, name, what: 'changed', fields: ['steps'] }, () =>
      db.update(runs).set({ endedAt }).where(eq(runs.id, run.id)).run(),
    );
  else planner.same++;
  fresh.forEach((event, i) => {
    const other = db.select({ runId: runEvents.runId }).from(runEvents).where(eq(runEvents.id, event.id)).get();
    if (other) wrong(`Step ${event.id} belongs to run ${other.runId} already.`);
    planner.change({ kind: 'step of a run', id: event.id, name: `${name}: ${event.kind}`, what: 'added', fields: [] }, () =>
      db
        .insert(runEvents)
        .values({ id: event.id, runId: run.id, seq: stored.length + i + 1, doc: event })
        .run(),
    );
  });
  const verdicts = new Set(all.flatMap(({ id, kind }) => (kind === 'kept' || kind === 'spoiled' ? [id] : [])));
  return { cardHashes: cardsPressed(run), verdicts };
}

/** Cards a run presses by: its own and those of the other prints in it. */
const cardsPressed = ({ cardHash, also }: Pick<StoredRun, 'cardHash' | 'also'>): string[] => [
  cardHash,
  ...also.map((part) => part.cardHash),
];

/** Steps of the file by their run, in order; a run's steps count from one without a gap. */
function stepsByRun(planner: Planner, doc: ShopDocument): Map<string, RunEvent[]> {
  const known = new Set(doc.runs.map(({ id }) => id));
  const byRun = new Map<string, { seq: number; event: RunEvent; place: number }[]>();
  doc.events.forEach(({ runId, seq, event }, i) => {
    if (!known.has(runId)) planner.fault(i + 1, `events.${i}.runId`, `This step is of run ${runId}, which is not in this file.`);
    else {
      const list = byRun.get(runId) ?? [];
      list.push({ seq, event, place: i + 1 });
      byRun.set(runId, list);
    }
  });
  return new Map(
    [...byRun].map(([runId, list]) => {
      list.sort((a, b) => a.seq - b.seq);
      list.forEach(({ seq, place }, i) => {
        if (seq !== i + 1)
          planner.fault(place, `events.${place - 1}.seq`, `The steps of run ${runId} have a gap or stand twice at ${i + 1}.`);
      });
      return [runId, list.map(({ event }) => event)];
    }),
  );
}

function planRuns(db: Db, planner: Planner, doc: ShopDocument, sound: ReadonlyMap<string, Card>): Map<string, ReadRun> {
  const steps = stepsByRun(planner, doc);
  const orderNames = new Map(doc.orders.map((order) => [order.id, order.name]));
  const presses = new Set(doc.presses.map(({ id }) => id));
  const taken = new Map<string, ReadRun>();
  doc.runs.forEach((run, i) => {
    const missing = (what: string, id: string) =>
      planner.fault(i + 1, `runs.${i}`, `This run names the ${what} ${id}, which is neither here nor in this file, or cannot be read.`);
    const orderName = orderNames.get(run.orderId) ?? planner.storedDoc('orders', run.orderId)?.name;
    const card = sound.get(run.cardHash) ?? cardHere(db, run.cardHash);
    if (orderName === undefined) missing('order', run.orderId);
    if (!presses.has(run.pressId) && !planner.has('presses', run.pressId)) missing('press', run.pressId);
    if (!card) missing('card', run.cardHash);
    const alsoCards = run.also.map((part) => {
      if (!orderNames.has(part.orderId) && !planner.has('orders', part.orderId)) missing('order', part.orderId);
      const other = sound.get(part.cardHash) ?? cardHere(db, part.cardHash);
      if (!other) missing('card', part.cardHash);
      return other;
    });
    if (run.also.reduce((sum, part) => sum + part.pieces, 0) >= run.pieces)
      planner.fault(i + 1, `runs.${i}.also`, 'The prints of this run have more pieces than the run.');
    else if (orderName !== undefined && card && alsoCards.every((other) => other !== null)) {
      const entry = planRun(db, planner, run, i + 1, steps.get(run.id) ?? [], orderName, card, alsoCards);
      if (entry) taken.set(run.id, entry);
    }
  });
  return taken;
}

/** A frozen card of the shop, where it is there and can be read. */
function cardHere(db: Db, hash: string): Card | null {
  try {
    return frozenCard(db, hash);
  } catch (error) {
    if (error instanceof Refusal) return null;
    throw error;
  }
}

/** A run of the shop as a pressing can name it. */
function runHere(db: Db, id: string): ReadRun | null {
  const row = db.select({ cardHash: runs.cardHash, also: runs.also }).from(runs).where(eq(runs.id, id)).get();
  if (!row) return null;
  return { cardHashes: cardsPressed(row), verdicts: new Set(storedSteps(db, id).map((event) => event.id)) };
}

function planPressings(db: Db, planner: Planner, doc: ShopDocument, taken: ReadonlyMap<string, ReadRun>): void {
  const ofFile = new Set(doc.runs.map(({ id }) => id));
  doc.pressings.forEach((pressing, i) => {
    const run = taken.get(pressing.runId) ?? (ofFile.has(pressing.runId) ? null : runHere(db, pressing.runId));
    if (run && !run.cardHashes.includes(pressing.cardHash))
      planner.fault(i + 1, `pressings.${i}.cardHash`, 'This pressing names another card than its run was pressed by.');
    else if (run && !run.verdicts.has(pressing.id))
      planner.fault(i + 1, `pressings.${i}.id`, 'The verdict of this pressing is not among the steps of its run.');
    else planner.pressing(pressing, i + 1, run !== null);
  });
  const names = new Map(doc.pressings.map(({ id, orderName, piece }) => [id, `${orderName}, piece ${piece}`]));
  doc.amendments.forEach((amendment, i) => {
    const here = names.get(amendment.pressingId) ?? pressingHere(db, amendment.pressingId);
    if (here === null)
      planner.fault(
        i + 1,
        `amendments.${i}.pressingId`,
        `This names pressing ${amendment.pressingId}, which is neither here nor in this file.`,
      );
    else planner.amendment(amendment, i + 1, here);
  });
}

const pressingHere = (db: Db, id: string): string | null =>
  db.select({ id: pressings.id }).from(pressings).where(eq(pressings.id, id)).get()?.id ?? null;

function planPressRecords(db: Db, planner: Planner, doc: ShopDocument): void {
  const coming = new Map(doc.presses.map((press) => [press.id, press]));
  const records = new Set<string>();
  doc.pressRecords.forEach((record, i) => {
    const field = `pressRecords.${i}`;
    const press = coming.get(record.pressId) ?? planner.storedDoc('presses', record.pressId);
    const known = db
      .select({ text: textOf(pressRecords.doc) })
      .from(pressRecords)
      .where(eq(pressRecords.id, record.id))
      .get();
    if (!press) {
      planner.fault(i + 1, `${field}.pressId`, `This record is of press ${record.pressId}, which is neither here nor in this file.`);
      return;
    }
    records.add(record.id);
    if (known) {
      if (isDeepStrictEqual(JSON.parse(known.text), JSON.parse(JSON.stringify(record)))) planner.same++;
      else planner.fault(i + 1, `${field}.id`, `Record ${record.id} is in the shop already and reads otherwise.`);
      return;
    }
    try {
      mustFit(press, record);
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      planner.fault(i + 1, field, error.message);
      return;
    }
    planner.change({ kind: 'record of a press', id: record.id, name: `${press.name}: ${record.kind}`, what: 'added', fields: [] }, () =>
      insertPressRecord(db, record),
    );
  });
  doc.pressAmendments.forEach((amendment, i) => {
    const here = records.has(amendment.recordId) || db.select().from(pressRecords).where(eq(pressRecords.id, amendment.recordId)).get();
    const known = db.select().from(pressAmendments).where(eq(pressAmendments.id, amendment.id)).get();
    if (!here)
      planner.fault(
        i + 1,
        `pressAmendments.${i}.recordId`,
        `This names record ${amendment.recordId}, which is neither here nor in this file.`,
      );
    else if (known) planner.same++;
    else
      planner.change(
        {
          kind: 'record of a press',
          id: amendment.recordId,
          name: amendment.recordId,
          what: amendment.to === 'withdrawn' ? 'withdrawn' : 'changed',
          fields: ['standing'],
        },
        () => insertPressAmendment(db, amendment),
      );
  });
}

/** Plans all of a file's past. */
export function planHistory(db: Db, planner: Planner, doc: ShopDocument): void {
  planPressRecords(db, planner, doc);
  const taken = planRuns(db, planner, doc, planCards(db, planner, doc));
  planPressings(db, planner, doc, taken);
}
