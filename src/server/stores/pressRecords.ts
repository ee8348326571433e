/** What was found out about presses: written once, read as the press’s report and as the maps cards are worked out from. */
import { and, asc, desc, eq, max, sql } from 'drizzle-orm';
import {
  controlChart,
  nextSurvey,
  type PlatenMap,
  type Press,
  type PressRecord,
  paperPullDue,
  platenMap,
  platensOf,
  readingsOf,
  refined,
  type Survey,
} from '../../core/press';
import { presses, pressRecords, runEvents, runs } from '../db/schema';
import { notFound, Refusal } from '../http/problem';
import { listPresses } from './shelf';
import type { Db, Versioned } from './versioned';

const DAY_MS = 86_400_000;

/** Day of an instant in the server's own time, ISO. */
const dayOf = (at: number): string => {
  const day = new Date(at);
  const two = (n: number) => String(n).padStart(2, '0');
  return `${day.getFullYear()}-${two(day.getMonth() + 1)}-${two(day.getDate())}`;
};

const platenOf = (press: Press, id: string) => platensOf(press).find((one) => one.id === id);

/**
 * Adds a record. The same one sent twice is one.
 *
 * @throws {Refusal} 404 no such press; 422 a platen it does not have, or a place beyond the platen
 */
export function addPressRecord(db: Db, record: PressRecord): void {
  const press = db.select({ doc: presses.doc }).from(presses).where(eq(presses.id, record.pressId)).get()?.doc;
  if (!press) throw notFound('press', record.pressId);
  if (record.kind === 'survey') mustFit(press, record);
  db.insert(pressRecords)
    .values({ id: record.id, pressId: record.pressId, kind: record.kind, at: record.at, doc: record })
    .onConflictDoNothing()
    .run();
}

const refused = (field: string, message: string) => new Refusal(422, 'Not valid', message, [{ field, message }]);

function mustFit(press: Press, survey: Survey): void {
  const platen = platenOf(press, survey.platen);
  if (!platen) throw refused('platen', `${press.name} has no such platen.`);
  survey.readings.forEach(({ xMm, yMm }, i) => {
    if (Math.abs(xMm) > platen.widthMm / 2 || Math.abs(yMm) > platen.heightMm / 2)
      throw refused(`readings.${i}`, `Reading ${i + 1} lies beyond the platen of ${press.name}.`);
  });
}

/** Whether slips of paper are to be pulled at a press before it is used. */
export function pullDue(db: Db, pressId: string, now: number): boolean {
  const press = db.select({ doc: presses.doc }).from(presses).where(eq(presses.id, pressId)).get()?.doc;
  const last = db
    .select({ at: max(pressRecords.at) })
    .from(pressRecords)
    .where(and(eq(pressRecords.pressId, pressId), eq(pressRecords.kind, 'paper pull')))
    .get();
  return press !== undefined && paperPullDue(press, typeof last?.at === 'number' ? (now - last.at) / DAY_MS : null);
}

const surveysOf = (db: Db, pressId: string): Survey[] =>
  db
    .select({ doc: pressRecords.doc })
    .from(pressRecords)
    .where(and(eq(pressRecords.pressId, pressId), eq(pressRecords.kind, 'survey')))
    .orderBy(asc(pressRecords.at), asc(pressRecords.id))
    .all()
    .map((row) => row.doc as Survey);

/** Maps already worked out: a survey never changes, only the platen it lay on might. */
const known = new Map<string, PlatenMap>();
const MOST_KNOWN = 200;

function mapOf(press: Press, survey: Survey): PlatenMap | null {
  const platen = platenOf(press, survey.platen);
  if (!platen) return null;
  const key = `${survey.id} ${platen.widthMm} ${platen.heightMm}`;
  const before = known.get(key);
  if (before) return before;
  const map = platenMap(survey, { widthMm: platen.widthMm, heightMm: platen.heightMm }, dayOf(survey.at));
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(key, map);
  return map;
}

const latestOf = (surveys: readonly Survey[]): Survey[] => [...new Map(surveys.map((survey) => [survey.platen, survey])).values()];

/** The latest map of every platen of every press. */
export function latestMaps(db: Db): PlatenMap[] {
  const rows = db
    .select({ pressId: pressRecords.pressId })
    .from(pressRecords)
    .where(eq(pressRecords.kind, 'survey'))
    .groupBy(pressRecords.pressId)
    .all();
  if (rows.length === 0) return [];
  return listPresses(db).flatMap(({ doc: press }) => latestOf(surveysOf(db, press.id)).flatMap((survey) => mapOf(press, survey) ?? []));
}

/** A press with its heater as logged times have shown it. */
export function asLogged(db: Db, press: Press): Press {
  if (!press.heater) return press;
  const rows = db
    .select({ doc: pressRecords.doc })
    .from(pressRecords)
    .where(and(eq(pressRecords.pressId, press.id), eq(pressRecords.kind, 'heating time')))
    .all();
  return rows.length === 0 ? press : { ...press, heater: refined(press.heater, timesOf(rows.map((row) => row.doc))) };
}

const timesOf = (records: readonly PressRecord[]) => records.flatMap((record) => (record.kind === 'heating time' ? [record] : []));

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
  const press = db.select({ doc: presses.doc }).from(presses).where(eq(presses.id, pressId)).get()?.doc;
  if (!press) throw notFound('press', pressId);
  const surveys = surveysOf(db, pressId);
  const upper = surveys.filter((survey) => survey.platen === 'upper');
  const points = upper.map((survey) => ({ on: dayOf(survey.at), meanK: meanOf(survey), surveyId: survey.id }));
  const chart = controlChart(points);
  const last = upper.at(-1);
  const drifted = chart.outside.includes(points.length - 1);
  const records = db
    .select({ doc: pressRecords.doc })
    .from(pressRecords)
    .where(eq(pressRecords.pressId, pressId))
    .orderBy(desc(pressRecords.at), desc(pressRecords.id))
    .all()
    .map((row) => row.doc);
  return {
    records,
    maps: latestOf(surveys).flatMap((survey) => mapOf(press, survey) ?? []),
    points,
    chart,
    due: last ? nextSurvey({ closings: closingsSince(db, pressId, last.at), days: Math.floor((now - last.at) / DAY_MS), drifted }) : null,
    heater: press.heater ? refined(press.heater, timesOf(records)) : null,
  };
}
