/** The shelf as CSV, one kind of thing a file: what a spreadsheet can hold of it. Stages beside the press, settings by group and the like are kept as they are. */

import { parse } from 'csv-parse/sync';
import { stringify } from 'csv-stringify/sync';
import type { z } from 'zod';
import { AidSchema, BlankSchema, FabricSchema } from '../materials';
import type { ShelfKind, ShelfThings } from '../sheet';
import { FAMILIES, FAMILY_IDS, type FamilyId, ParcelSchema, ProductSchema, productFromFamily, TestedSchema, UNTOLD_PARCEL } from '../sheet';
import type { Column, Draft } from './column';
import { COLUMNS } from './columns';
import { Faults, type LineFault } from './faults';

type Row = Record<string, string>;

const SCHEMAS: { [K in ShelfKind]: z.ZodType } = {
  fabrics: FabricSchema,
  blanks: BlankSchema,
  products: ProductSchema,
  aids: AidSchema,
  tested: TestedSchema,
  parcels: ParcelSchema,
};

/** CSV text of one kind of thing; cells a spreadsheet would run are neutralised with a leading apostrophe. */
export function shelfCsv<K extends ShelfKind>(kind: K, docs: readonly ShelfThings[K][]): string {
  const columns = COLUMNS[kind] as readonly Column<ShelfThings[K]>[];
  const rows = docs.map((doc) => columns.map((column) => column.get(doc)));
  return stringify([columns.map((column) => column.heading), ...rows], { bom: true, escape_formulas: true, record_delimiter: 'windows' });
}

/** Takes off the apostrophe that keeps a cell from being run. */
export const unguarded = (cell: string): string => (/^'[=+\-@\t\r＝＋－＠]/.test(cell) ? cell.slice(1) : cell);

const PLAIN: { [K in Exclude<ShelfKind, 'products'>]: Draft } = {
  fabrics: {
    substrate: 'cloth',
    composition: [],
    construction: 'knit',
    texture: 'smooth',
    stretchPercent: 0,
    coating: 'none',
    dyeRisk: 'none',
    clear: false,
    thermal: { k: 0.07, rho: 450, c: 1340 },
  },
  blanks: {
    thicknessSpreadMm: 0,
    obstructions: [],
    lined: false,
    printable: 'outside',
    lookedAt: 'the printed side',
    duty: 'laundered',
    notices: [],
    testPieces: [],
  },
  aids: { wear: 'sound', substitutes: [], note: '' },
  parcels: UNTOLD_PARCEL,
  tested: { on: {}, readC: null, note: '', offSheet: false },
};

const isFamily = (id: string): id is FamilyId => (FAMILY_IDS as readonly string[]).includes(id);

/** What a row is put into: the thing that is there, else a plain one; a new transfer begins from its family's general figures. */
function draftFor(kind: ShelfKind, row: Row, known: unknown): Draft | string {
  if (known) return structuredClone(known);
  if (kind !== 'products') return structuredClone(PLAIN[kind]);
  const family = row.family ?? '';
  return isFamily(family)
    ? structuredClone(productFromFamily(FAMILIES[family], row.sheet_date || '2000-01-01'))
    : `“${family}” is no family. Known are ${FAMILY_IDS.join(', ')}.`;
}

/** The column a schema's fault is about. */
function headingOf(kind: ShelfKind, path: string, draft: Draft): string {
  const stages = path.replace(/^stages\.(\d+)\./, (_, i: string) => `${draft?.stages?.[Number(i)]?.kind ?? 'press'}.`);
  return (
    (COLUMNS[kind] as readonly Column<unknown>[]).find((column) => stages === column.path || stages.startsWith(`${column.path}.`))
      ?.heading ?? path
  );
}

/** Columns of lists that were written when a sheet's figures were a least and a most. */
function inTodaysColumns(row: Row): Row {
  const figure = (what: string): Row => {
    const [min, max, start] = ['min', 'max', 'nominal'].map((end) => row[what.replace('_', `_${end}_`)]);
    const heading = what;
    if (row[heading] !== undefined || !min || !max) return {};
    return { [heading]: `${min}–${max}${start ? `, start ${start}` : ''}` };
  };
  return { ...row, ...figure('temp_c'), ...figure('time_s') };
}

function readRow<K extends ShelfKind>(kind: K, row0: Row, line: number, known: unknown): { doc: ShelfThings[K] } | { faults: LineFault[] } {
  const row = inTodaysColumns(row0);
  const draft = draftFor(kind, row, known);
  if (typeof draft === 'string') return { faults: [{ line, field: 'family', message: draft }] };
  const faults: LineFault[] = [];
  for (const column of COLUMNS[kind] as readonly Column<ShelfThings[K]>[]) {
    const cell = row[column.heading];
    if (cell === undefined) continue;
    const wrong = column.set(draft, unguarded(cell.trim()));
    if (wrong) faults.push({ line, field: column.heading, message: wrong });
  }
  if (faults.length > 0) return { faults };
  const parsed = SCHEMAS[kind].safeParse(draft);
  if (parsed.success) return { doc: parsed.data as ShelfThings[K] };
  return {
    faults: parsed.error.issues.map((issue) => ({ line, field: headingOf(kind, issue.path.join('.'), draft), message: issue.message })),
  };
}

/** How many lines are read between two words of progress. */
const STRIDE = 250;

/** What was read, each with the line it stands on. */
export interface ReadCsv<T> {
  docs: { line: number; doc: T }[];
  faults: Faults;
}

/** Lines read so far, of how many. */
export interface Progress {
  done: number;
  of: number;
}

/** A word of progress now and then while rows are gone through. */
export function* inStrides<T>(rows: readonly T[], each: (row: T) => void): Generator<Progress, void> {
  for (const [i, row] of rows.entries()) {
    each(row);
    if ((i + 1) % STRIDE === 0) yield { done: i + 1, of: rows.length };
  }
}

/** What separates the cells: whichever sign the heading line has most of. Spreadsheets of many countries write semicolons. */
function delimiterOf(csv: string): string {
  const [heading = ''] = csv.split(/\r?\n/, 1);
  const bare = heading.replaceAll(/"[^"]*"/g, '');
  const count = (sign: string) => bare.split(sign).length;
  return [',', ';', '\t'].reduce((best, sign) => (count(sign) > count(best) ? sign : best));
}

/**
 * Rows of a CSV by their headings, each with the line it ends on.
 *
 * @param needed headings without which the file is not what it is taken for
 * @returns the rows, or why the file cannot be read at all
 */
export function csvRows(csv: string, needed: readonly string[]): { line: number; row: Row }[] | LineFault {
  try {
    const read = parse(csv, {
      bom: true,
      columns: (headings: string[]) => headings.map((heading) => heading.trim()),
      delimiter: delimiterOf(csv),
      skip_empty_lines: true,
      relax_column_count: true,
      info: true,
    }) as unknown as { info: { lines: number }; record: Row }[];
    const headings = read[0] ? Object.keys(read[0].record) : (csv.split(/\r?\n/, 1)[0]?.split(delimiterOf(csv)) ?? []);
    const missing = needed.filter((heading) => !headings.some((word) => word.replace(/^\uFEFF/, '').trim() === heading));
    if (missing.length > 0)
      return {
        line: 1,
        field: missing.join(', '),
        message: `The first line must name the columns; ${missing.join(' and ')} ${missing.length > 1 ? 'are' : 'is'} missing.`,
      };
    return read.map(({ info, record }) => ({ line: info.lines, row: record }));
  } catch (error) {
    const lines = (error as { lines?: number }).lines ?? 1;
    const unclosed = (error as { code?: string }).code === 'CSV_QUOTE_NOT_CLOSED';
    return {
      line: lines,
      field: 'file',
      message: `The file cannot be read from here on: ${unclosed ? 'a quote is never closed' : 'its quotes are broken'}.`,
    };
  }
}

/**
 * Reads a CSV of one kind, telling how far it is as it goes.
 *
 * Every bad line is named with its column and reason; a thing whose id is known keeps what the CSV does not hold.
 *
 * @param known finds what the shelf holds under an id
 * @yields lines read so far, of how many
 */
export function* readShelfCsv<K extends ShelfKind>(
  kind: K,
  csv: string,
  known: (id: string) => unknown,
): Generator<Progress, ReadCsv<ShelfThings[K]>> {
  const rows = csvRows(csv, ['id', 'name']);
  const faults = new Faults();
  if (!Array.isArray(rows)) {
    faults.add(rows);
    return { docs: [], faults };
  }
  const docs: ReadCsv<ShelfThings[K]>['docs'] = [];
  const seen = new Map<string, number>();
  yield* inStrides(rows, ({ line, row }) => {
    const id = (row.id ?? '').trim();
    const before = seen.get(id);
    if (before !== undefined) faults.add({ line, field: 'id', message: `${id} stands already on line ${before}.` });
    seen.set(id, line);
    const result = readRow(kind, row, line, known(id));
    if ('doc' in result) docs.push({ line, doc: result.doc });
    else faults.add(...result.faults);
  });
  return { docs, faults };
}
