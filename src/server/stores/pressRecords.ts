/** What was found out about presses: written once, read as the press’s report and as the maps cards are worked out from. */

import { isDeepStrictEqual } from 'node:util';
import { and, asc, desc, eq, sql } from 'drizzle-orm';
import type { Unreadable } from '../../contract/schemas';
import {
  type Contradiction,
  canBeTrue,
  checkFound,
  contradiction,
  controlChart,
  daysBetween,
  type FoundCheck,
  type FoundSlips,
  nextSurvey,
  type PlatenMap,
  type Press,
  type PressAmendment,
  PressAmendmentSchema,
  type PressRecord,
  PressRecordSchema,
  paperPullDue,
  platenMap,
  platensOf,
  type QuickCheck,
  readingsOf,
  readPaperPull,
  refined,
  type Survey,
} from '../../core/press';
import { dayOf } from '../day';
import { pressAmendments, pressRecords, runEvents, runs } from '../db/schema';
import { notFound, Refusal } from '../refusal';
import { type Db, perShop, remember } from './perShop';
import { readAll, textOf } from './readable';
import { markOf, whileSame } from './revisions';
import { find, list, type Versioned } from './versioned';

const DAY_MS = 86_400_000;

const platenOf = (press: Press, id: string) => platensOf(press).find((platen) => platen.id === id);

const refused = (field: string, message: string) => new Refusal('not valid', 'Not valid', message, [{ field, message }]);

/**
 * Adds a record. The same one sent twice is one.
 *
 * @throws {Refusal} 404 no such press; 422 a platen it does not have, a place beyond the platen, a heating time that cannot be
 * true of its heater, or an id that was used for another record
 */
export function addPressRecord(db: Db, record: PressRecord): void {
  const { doc: press } = find(db, 'presses', record.pressId);
  mustFit(press, record);
  if (record.kind === 'quick check' && !surveysOf(db, press.id).some(({ platen }) => platen === record.platen))
    throw refused('platen', `A quick check is told against a survey, and this platen of ${press.name} has none yet: survey it first.`);
  const known = db
    .select({ text: textOf(pressRecords.doc) })
    .from(pressRecords)
    .where(eq(pressRecords.id, record.id))
    .get();
  if (known && !isDeepStrictEqual(JSON.parse(known.text), JSON.parse(JSON.stringify(record))))
    throw refused('id', 'This id was used for another record of a press.');
  if (!known) insertPressRecord(db, record);
}

/** Writes a record that has been looked at. */
export const insertPressRecord = (db: Db, record: PressRecord): void =>
  void db.insert(pressRecords).values({ id: record.id, pressId: record.pressId, kind: record.kind, at: record.at, doc: record }).run();

/** @throws {Refusal} 422 a record that cannot be of this press */
export function mustFit(press: Press, record: PressRecord): void {
  if (record.kind === 'heating time' && press.heater && !canBeTrue(press.heater, record))
    throw refused(
      'seconds',
      `That cannot be true of ${press.name} as its facts stand, ${Math.round(press.heater.powerW)} W and ${press.heater.massKg} kg: check the seconds and the two temperatures, then its power and mass.`,
    );
  if (record.kind === 'survey' || record.kind === 'quick check') surveyMustFit(press, record);
}

function surveyMustFit(press: Press, survey: Survey | QuickCheck): void {
  const platen = platenOf(press, survey.platen);
  if (!platen) throw refused('platen', `${press.name} has no such platen.`);
  survey.readings.forEach(({ xMm, yMm }, i) => {
    if (Math.abs(xMm) > platen.widthMm / 2 || Math.abs(yMm) > platen.heightMm / 2)
      throw refused(`readings.${i}`, `Reading ${i + 1} lies beyond the platen of ${press.name}.`);
  });
}

/**
 * A later word on a record: it no longer counts, or counts again. The same one sent twice is one.
 *
 * @throws {Refusal} 404 this press has no such record; 422 an id that was used for another word
 */
export function amendPressRecord(db: Db, pressId: string, amendment: PressAmendment): void {
  const record = db.select({ pressId: pressRecords.pressId }).from(pressRecords).where(eq(pressRecords.id, amendment.recordId)).get();
  if (record?.pressId !== pressId) throw notFound('record', amendment.recordId);
  const known = db.select().from(pressAmendments).where(eq(pressAmendments.id, amendment.id)).get();
  if (known && (known.recordId !== amendment.recordId || known.to !== amendment.to))
    throw refused('amendmentId', 'This id was used for another word on a record.');
  if (!known) insertPressAmendment(db, amendment);
}

export const insertPressAmendment = (db: Db, amendment: PressAmendment): void =>
  void db.insert(pressAmendments).values({ id: amendment.id, recordId: amendment.recordId, to: amendment.to, doc: amendment }).run();

interface Records {
  /** Newest first, with those that were withdrawn. */
  all: PressRecord[];
  withdrawn: ReadonlySet<string>;
  /** Those that count, oldest first. */
  counting: PressRecord[];
  unreadable: Unreadable[];
}
const recordsMemory = perShop(() => new Map<string, { mark: string; value: Records }>());

/** Every record of a press that can be read. */
function recordsOf(db: Db, pressId: string): Records {
  return whileSame(db, recordsMemory(db), pressId, markOf(db, 'presses'), () => {
    const rows = db
      .select({ id: pressRecords.id, text: textOf(pressRecords.doc) })
      .from(pressRecords)
      .where(eq(pressRecords.pressId, pressId))
      .orderBy(desc(pressRecords.at), desc(pressRecords.id))
      .all();
    const { docs: all, unreadable } = readAll<PressRecord>(PressRecordSchema, 'record of a press', rows);
    const said = db
      .select({ id: pressAmendments.recordId, text: textOf(pressAmendments.doc) })
      .from(pressAmendments)
      .innerJoin(pressRecords, eq(pressRecords.id, pressAmendments.recordId))
      .where(eq(pressRecords.pressId, pressId))
      .orderBy(asc(pressAmendments.seq))
      .all();
    const last = new Map(readAll<PressAmendment>(PressAmendmentSchema, 'word', said).docs.map(({ recordId, to }) => [recordId, to]));
    const withdrawn = new Set([...last].flatMap(([id, to]) => (to === 'withdrawn' ? [id] : [])));
    return { all, withdrawn, counting: all.filter(({ id }) => !withdrawn.has(id)).reverse(), unreadable };
  });
}

const surveysOf = (db: Db, pressId: string): Survey[] =>
  recordsOf(db, pressId).counting.flatMap((record) => (record.kind === 'survey' ? [record] : []));

/** Whether slips of paper are to be pulled at a press before it is used. */
export function pullDue(db: Db, pressId: string, now: number): boolean {
  const press = list(db, 'presses').rows.find(({ doc }) => doc.id === pressId)?.doc;
  const last = recordsOf(db, pressId).counting.findLast(({ kind }) => kind === 'paper pull');
  return press !== undefined && paperPullDue(press, last ? (now - last.at) / DAY_MS : null);
}

/** Maps already worked out: a survey never changes, only the platen it lay on might. */
const mapsOf = perShop(() => new Map<string, PlatenMap>());
const MOST_KNOWN = 200;

function mapOf(db: Db, press: Press, survey: Survey): PlatenMap | null {
  const platen = platenOf(press, survey.platen);
  if (!platen) return null;
  const key = `${survey.id} ${platen.widthMm} ${platen.heightMm}`;
  const known = mapsOf(db);
  const { widthMm, heightMm } = platen;
  return known.get(key) ?? remember(db, known, key, platenMap(survey, { widthMm, heightMm }, dayOf(survey.at)), MOST_KNOWN);
}

/** The last survey of each platen. */
const latestOf = (surveys: readonly Survey[]): Survey[] => [...new Map(surveys.map((survey) => [survey.platen, survey])).values()];

/** The latest map of every platen of every press. */
export const latestMaps = (db: Db): PlatenMap[] =>
  list(db, 'presses').rows.flatMap(({ doc: press }) =>
    latestOf(surveysOf(db, press.id)).flatMap((survey) => mapOf(db, press, survey) ?? []),
  );

/** What the last quick check of each platen of a press found, told against its survey; one from before that survey counts no more. */
function checksOf(db: Db, press: Press): FoundCheck[] {
  const checks = recordsOf(db, press.id).counting.flatMap((record) => (record.kind === 'quick check' ? [record] : []));
  return latestOf(surveysOf(db, press.id)).flatMap((survey) => {
    const last = checks.findLast(({ platen, at }) => platen === survey.platen && at > survey.at);
    const map = last && mapOf(db, press, survey);
    return last && map ? [checkFound(last, map, dayOf(last.at))] : [];
  });
}

/** Where the last of a platen's surveys contradicts the one before it. */
function contradictionOf(db: Db, press: Press, surveys: readonly Survey[]): Contradiction | null {
  const [before, after] = surveys.slice(-2).map((survey) => mapOf(db, press, survey));
  if (!before || !after) return null;
  const closings = closingsSince(db, press.id, surveys.at(-2)?.at ?? 0) - closingsSince(db, press.id, surveys.at(-1)?.at ?? 0);
  return contradiction(before, after, { days: daysBetween(before.on, after.on), closings });
}

export const latestChecks = (db: Db): FoundCheck[] => list(db, 'presses').rows.flatMap(({ doc: press }) => checksOf(db, press));

/** What the last slips pulled at each press told. */
export const latestSlips = (db: Db): FoundSlips[] =>
  list(db, 'presses').rows.flatMap(({ doc: { id } }) => {
    const last = recordsOf(db, id).counting.findLast((record) => record.kind === 'paper pull');
    return last?.kind === 'paper pull' ? [{ ...readPaperPull(last.pulls), pressId: id, on: dayOf(last.at) }] : [];
  });

const timesOf = (records: readonly PressRecord[]) => records.flatMap((record) => (record.kind === 'heating time' ? [record] : []));

/** A press with its heater as logged times have shown it. */
export function asLogged(db: Db, press: Press): Press {
  if (!press.heater) return press;
  const times = timesOf(recordsOf(db, press.id).counting);
  return times.length === 0 ? press : { ...press, heater: refined(press.heater, times) };
}

/** A press with its version and the day it was last measured. */
export function pressReply(db: Db, { doc: press, version }: Versioned<Press>) {
  const last = surveysOf(db, press.id).findLast((survey) => survey.platen === 'upper');
  const days = [last ? dayOf(last.at) : null, press.calibration?.on ?? null].filter((day) => day !== null);
  return { press, version, measuredOn: days.sort().at(-1) ?? null };
}

/** Closings of a press since an instant, from its runs. */
function closingsSince(db: Db, pressId: string, at: number): number {
  const row = db
    .select({ n: sql<number>`count(*)` })
    .from(runEvents)
    .innerJoin(runs, eq(runs.id, runEvents.runId))
    .where(
      and(
        eq(runs.pressId, pressId),
        sql`json_valid(${runEvents.doc})`,
        sql`json_extract(${runEvents.doc}, '$.kind') = 'closed'`,
        sql`json_extract(${runEvents.doc}, '$.at') > ${at}`,
      ),
    )
    .get();
  return row?.n ?? 0;
}

const meanOf = (survey: Survey): number => {
  const offsets = readingsOf(survey).map(({ surfaceC, setC }) => surfaceC - setC);
  return offsets.reduce((sum, offset) => sum + offset, 0) / offsets.length;
};

/** Everything known of a press: records newest first, a map a platen, the upper platen’s surveys over time, and when the next is due. */
export function pressReport(db: Db, pressId: string, now: number) {
  const { doc: press } = find(db, 'presses', pressId);
  const { all, withdrawn, counting, unreadable } = recordsOf(db, pressId);
  const surveys = surveysOf(db, pressId);
  const upper = surveys.filter((survey) => survey.platen === 'upper');
  const points = upper.map((survey) => ({ on: dayOf(survey.at), meanK: meanOf(survey), surveyId: survey.id }));
  const chart = controlChart(points);
  const last = upper.at(-1);
  const drifted = chart.outside.includes(points.length - 1);
  return {
    records: all,
    withdrawn: [...withdrawn],
    unreadable,
    maps: latestOf(surveys).flatMap((survey) => mapOf(db, press, survey) ?? []),
    checks: checksOf(db, press),
    contradicts: contradictionOf(db, press, upper),
    points,
    chart,
    due: last ? nextSurvey({ closings: closingsSince(db, pressId, last.at), days: Math.floor((now - last.at) / DAY_MS), drifted }) : null,
    heater: press.heater ? refined(press.heater, timesOf(counting)) : null,
  };
}
