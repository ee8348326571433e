/** Pressings as CSV: one row each, inside units named in the heading, safe to open in a spreadsheet; and read back from it. */
import { stringify } from 'csv-stringify/sync';
import { type Pressing, PressingSchema } from '../log';
import { closingsCell, peelsCell, readClosings, readPeels } from './closingText';
import { Faults } from './faults';
import { csvRows, inStrides, type Progress, type ReadCsv, unguarded } from './shelfCsv';

/** A pressing in the log, with whether an undo has withdrawn it. */
export type LoggedPressing = Pressing & { withdrawn: boolean };

const iso = (ms: number) => new Date(ms).toISOString();
const round = (value: number) => Math.round(value * 100) / 100;

interface Column {
  heading: string;
  get: (p: LoggedPressing) => string | number;
  /** What a cell is in the record; absent: it is only told, never read. */
  set?: (cell: string) => Partial<Record<keyof Pressing, unknown>>;
}

const text = (heading: string, field: keyof Pressing): Column => ({
  heading,
  get: (p) => String(p[field] ?? ''),
  set: (cell) => ({ [field]: cell }),
});
const figure = (heading: string, field: keyof Pressing, orNull = false): Column => ({
  heading,
  get: (p) => (p[field] === null ? '' : round(p[field] as number)),
  set: (cell) => ({ [field]: cell === '' ? (orNull ? null : undefined) : Number(cell.replace(',', '.')) }),
});
const instant = (heading: string, field: 'startedAt' | 'endedAt'): Column => ({
  heading,
  get: (p) => iso(p[field]),
  set: (cell) => ({ [field]: Date.parse(cell) }),
});

const COLUMNS: readonly Column[] = [
  text('pressing', 'id'),
  instant('ended', 'endedAt'),
  text('order', 'orderName'),
  figure('piece', 'piece'),
  text('blank', 'blankName'),
  text('size', 'size'),
  text('fabric', 'fabricName'),
  text('position', 'position'),
  text('art', 'artName'),
  text('transfer', 'productName'),
  text('press', 'pressName'),
  figure('set_c', 'setC'),
  figure('time_s', 'timeS'),
  figure('pressed_s', 'pressedS', true),
  text('pressure', 'pressureBand'),
  text('peel', 'peel'),
  text('outcome', 'outcome'),
  { heading: 'reason', get: (p) => p.reason ?? '', set: (cell) => ({ reason: cell || null }) },
  figure('laid_back', 'laidBack'),
  { heading: 'standing', get: (p) => (p.withdrawn ? 'withdrawn' : 'counts') },
  text('note', 'note'),
  text('operator', 'operator'),
  figure('room_c', 'roomC'),
  figure('humidity_percent', 'humidityPercent'),
  instant('started', 'startedAt'),
  text('run', 'runId'),
  text('card', 'cardHash'),
  { heading: 'layers', get: (p) => p.layerNames.join('; '), set: (cell) => ({ layerNames: cell.split('; ') }) },
  figure('lower_c', 'lowerC', true),
  { heading: 'number', get: (p) => p.person?.number ?? '' },
  { heading: 'name', get: (p) => p.person?.name ?? '' },
  text('order_id', 'orderId'),
  text('line', 'lineId'),
  text('print', 'printKey'),
  { heading: 'readings', get: (p) => p.closings.flatMap(readingWords).join('; ') },
  { heading: 'closings', get: closingsCell },
  {
    heading: 'peels',
    get: peelsCell,
    set: (cell) => (cell === '' ? {} : { peels: readPeels(cell) }),
  },
  {
    heading: 'parcels',
    get: (p) => (p.parcels ?? []).join('; '),
    set: (cell) => (cell === '' ? {} : { parcels: cell.split('; ') }),
  },
  { heading: 'lost', get: (p) => p.lost ?? '', set: (cell) => (cell === '' ? {} : { lost: cell }) },
];

/** `marry panel 152.5 C`, `press gauge 5.2`, and whether it was closed all the same. */
function readingWords({ stage, readC, readings = [], passedOver }: Pressing['closings'][number]): string[] {
  const live = typeof readC === 'number' ? [`${stage} panel ${round(readC)} C as it closed`] : [];
  const read = readings.map(({ by, value }) => `${stage} ${by} ${round(value)}${by === 'gauge' ? '' : ' C'}`);
  return [...read, ...live, ...(passedOver ? [`${stage} heat passed over`] : [])];
}

const WRITTEN = { escape_formulas: true, record_delimiter: 'windows' } as const;

/** The heading line of the list, with a byte order mark so that spreadsheets read it as UTF-8. */
export const pressingsCsvHeading = (): string => stringify([COLUMNS.map(({ heading }) => heading)], { ...WRITTEN, bom: true });

/** Lines of the list, RFC 4180. Cells that a spreadsheet would run as a formula are neutralised with a leading apostrophe. */
export const pressingsCsvLines = (pressings: readonly LoggedPressing[]): string =>
  stringify(
    pressings.map((p) => COLUMNS.map(({ get }) => get(p))),
    WRITTEN,
  );

/** The whole list. */
export const pressingsCsv = (pressings: readonly LoggedPressing[]): string => pressingsCsvHeading() + pressingsCsvLines(pressings);

const FIELD_HEADINGS: Partial<Record<string, string>> = {
  id: 'pressing',
  setC: 'set_c',
  timeS: 'time_s',
  endedAt: 'ended',
  startedAt: 'started',
  blankName: 'blank',
  fabricName: 'fabric',
};

/**
 * Reads pressings back from their CSV, telling how far it is.
 *
 * @yields lines read so far, of how many
 * @returns the records, those that were withdrawn by id, and every bad line with its column
 */
export function* readPressingsCsv(csv: string): Generator<Progress, ReadCsv<Pressing> & { withdrawn: Pressing[] }> {
  const rows = csvRows(csv, ['pressing', 'ended']);
  const faults = new Faults();
  if (!Array.isArray(rows)) {
    faults.add(rows);
    return { docs: [], faults, withdrawn: [] };
  }
  const docs: ReadCsv<Pressing>['docs'] = [];
  const seen = new Map<string, number>();
  const withdrawn: Pressing[] = [];
  yield* inStrides(rows, ({ line, row }) => {
    const cell = (heading: string) => unguarded((row[heading] ?? '').trim());
    const person = cell('number') || cell('name') ? { number: cell('number'), name: cell('name') } : null;
    const draft: Record<string, unknown> = { person };
    for (const { heading, set } of COLUMNS) if (set) Object.assign(draft, set(cell(heading)));
    draft.closings = readClosings(cell('closings'), Number(draft.startedAt));
    const parsed = PressingSchema.safeParse(draft);
    if (!parsed.success) {
      for (const issue of parsed.error.issues) {
        const field = String(issue.path[0] ?? 'line');
        faults.add({ line, field: FIELD_HEADINGS[field] ?? field, message: issue.message });
      }
      return;
    }
    const before = seen.get(parsed.data.id);
    if (before !== undefined)
      return faults.add({ line, field: 'pressing', message: `${parsed.data.id} stands already on line ${before}.` });
    seen.set(parsed.data.id, line);
    docs.push({ line, doc: parsed.data });
    if (cell('standing') === 'withdrawn') withdrawn.push(parsed.data);
  });
  return { docs, faults, withdrawn };
}
