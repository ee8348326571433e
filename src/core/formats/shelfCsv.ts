/** The shelf as CSV, one kind of thing a file: what a spreadsheet can hold of it. Stages beside the press, settings by group and the like are kept as they are. */
import { parse } from 'csv-parse/sync';
import { stringify } from 'csv-stringify/sync';
import type { z } from 'zod';
import {
  type Aid,
  AidSchema,
  type Blank,
  BlankSchema,
  type Composition,
  FAMILIES,
  FAMILY_IDS,
  type Fabric,
  FabricSchema,
  type FamilyId,
  FIBRE_IDS,
  FIBRES,
  type Product,
  ProductSchema,
  pressStage,
  productFromFamily,
} from '../materials';

/** A fault in a file: the line it stands on (the heading is line 1), the column, and what is wrong. */
export interface LineFault {
  line: number;
  field: string;
  message: string;
}

type Row = Record<string, string>;
// biome-ignore lint/suspicious/noExplicitAny: a document under construction, before its schema has seen it
type Draft = any;

interface Column<T> {
  heading: string;
  get: (doc: T) => string | number;
  /** Puts a cell into the draft; a string is what is wrong with it. */
  set: (draft: Draft, cell: string) => string | undefined;
  /** Where the schema names this column's fault. */
  path: string;
}

const at = (draft: Draft, path: string[]): Draft => path.reduce((inner, key) => inner[key], draft);
const put = (draft: Draft, path: string, value: unknown) => {
  const keys = path.split('.');
  const last = keys.pop() ?? '';
  const inner = at(draft, keys);
  if (value === undefined) delete inner[last];
  else inner[last] = value;
};
const read = (doc: Draft, path: string): unknown => path.split('.').reduce((inner, key) => inner?.[key], doc);

const text = <T>(heading: string, path: string): Column<T> => ({
  heading,
  path,
  get: (doc) => String(read(doc, path) ?? ''),
  set: (draft, cell) => void put(draft, path, cell === '' && (path === 'retiredOn' || path === 'acrylic') ? undefined : cell),
});
const figure = <T>(heading: string, path: string, optional = false): Column<T> => ({
  heading,
  path,
  get: (doc) => (read(doc, path) as number | undefined) ?? '',
  set: (draft, cell) => {
    if (cell === '' && optional) return void put(draft, path, undefined);
    const value = Number(cell.replace(',', '.'));
    if (cell === '' || !Number.isFinite(value)) return cell === '' ? 'A figure is missing.' : `“${cell}” is not a figure.`;
    return void put(draft, path, value);
  },
});
const yesNo = <T>(heading: string, path: string): Column<T> => ({
  heading,
  path,
  get: (doc) => (read(doc, path) ? 'yes' : 'no'),
  set: (draft, cell) =>
    ['yes', 'no', ''].includes(cell.toLowerCase())
      ? void put(draft, path, cell.toLowerCase() === 'yes')
      : `“${cell}” is neither yes nor no.`,
});

/** `50 polyester, 25 cotton, 25 viscose` */
const compositionText = (composition: Composition): string => composition.map((part) => `${part.percent} ${part.fibre}`).join(', ');

/** The composition a label's line stands for, or what is wrong with it. */
function readComposition(line: string): Composition | string {
  const parts: Composition = [];
  for (const piece of line
    .split(',')
    .map((one) => one.trim())
    .filter(Boolean)) {
    const [, figures = '', name = ''] = /^([\d.]+)\s*%?\s*(.+)$/.exec(piece) ?? [];
    const asked = name.trim().toLowerCase();
    const fibre = FIBRE_IDS.find((id) => id === asked || FIBRES[id].name === asked);
    if (figures === '') return `“${piece}” is not a share and a fibre, as in “50 cotton”.`;
    if (!fibre) return `“${name.trim()}” is no fibre we know. Known are ${FIBRE_IDS.join(', ')}.`;
    parts.push({ fibre, percent: Number(figures) });
  }
  return parts;
}

const composition: Column<Fabric> = {
  heading: 'composition',
  path: 'composition',
  get: (doc) => compositionText(doc.composition),
  set: (draft, cell) => {
    const found = readComposition(cell);
    if (typeof found === 'string') return found;
    draft.composition = found;
    return undefined;
  },
};

const TANNINGS = ['vegetable', 'chrome', 'unknown'] as const;
/** `undyed, vegetable`: asked for leather only. */
const leather: Column<Fabric> = {
  heading: 'leather',
  path: 'leather',
  get: (doc) => (doc.leather ? `${doc.leather.undyed ? 'undyed' : 'dyed'}, ${doc.leather.tanning}` : ''),
  set: (draft, cell) => {
    if (cell === '') return void put(draft, 'leather', undefined);
    const [dye = '', tanning = ''] = cell.split(',').map((part) => part.trim());
    if (!['undyed', 'dyed'].includes(dye) || !TANNINGS.some((one) => one === tanning))
      return `“${cell}” does not say how the leather is dyed and tanned, as in “undyed, vegetable”.`;
    return void put(draft, 'leather', { undyed: dye === 'undyed', tanning });
  },
};

/** A column of the press stage. */
const ofPress = (column: Column<Product['stages'][number]>): Column<Product> => ({
  heading: column.heading,
  path: `press.${column.path}`,
  get: (doc) => column.get(pressStage(doc)),
  set: (draft, cell) =>
    column.set(
      draft.stages.find((stage: { kind: string }) => stage.kind === 'press'),
      cell,
    ),
});

export const CSV_KINDS = ['fabrics', 'blanks', 'products', 'aids'] as const;
export type CsvKind = (typeof CSV_KINDS)[number];
interface Kinds {
  fabrics: Fabric;
  blanks: Blank;
  products: Product;
  aids: Aid;
}

const COLUMNS: { [K in CsvKind]: readonly Column<Kinds[K]>[] } = {
  fabrics: [
    text('id', 'id'),
    text('name', 'name'),
    text('material', 'substrate'),
    composition,
    text('build', 'construction'),
    text('texture', 'texture'),
    figure('mass_gsm', 'massGsm'),
    figure('thickness_mm', 'thicknessMm'),
    figure('stretch_percent', 'stretchPercent'),
    text('finish', 'coating'),
    text('dye_risk', 'dyeRisk'),
    yesNo('clear', 'clear'),
    text('acrylic', 'acrylic'),
    leather,
    figure('conductivity_w_mk', 'thermal.k'),
    figure('density_kg_m3', 'thermal.rho'),
    figure('heat_capacity_j_kgk', 'thermal.c'),
    text('retired_on', 'retiredOn'),
  ],
  blanks: [
    text('id', 'id'),
    text('name', 'name'),
    text('kind', 'kind'),
    text('fabric', 'fabricId'),
    text('colour', 'colour'),
    text('shade', 'shade'),
    {
      heading: 'sizes',
      path: 'sizes',
      get: (doc) => doc.sizes.join('; '),
      set: (draft, cell) =>
        void put(
          draft,
          'sizes',
          cell
            .split(';')
            .map((size) => size.trim())
            .filter(Boolean),
        ),
    },
    figure('thickness_mm', 'thicknessMm', true),
    figure('thickness_spread_mm', 'thicknessSpreadMm'),
    yesNo('lined', 'lined'),
    text('print_on', 'printable'),
    text('looked_at', 'lookedAt'),
    text('duty', 'duty'),
    text('retired_on', 'retiredOn'),
  ],
  products: [
    text('id', 'id'),
    text('name', 'name'),
    text('maker', 'maker'),
    text('family', 'familyId'),
    ...(
      [
        figure('temp_min_c', 'tempC.min'),
        figure('temp_max_c', 'tempC.max'),
        figure('temp_nominal_c', 'tempC.nominal', true),
        figure('time_min_s', 'timeS.min'),
        figure('time_max_s', 'timeS.max'),
        figure('time_nominal_s', 'timeS.nominal', true),
        text('pressure', 'pressure.asStated'),
        text('pressure_band', 'pressure.band'),
        text('peel', 'peel'),
        text('cover', 'cover'),
      ] satisfies Column<Product['stages'][number]>[]
    ).map(ofPress),
    figure('price_minor', 'pricePerSheetMinor'),
    figure('minutes_to_make', 'minutesToMake'),
    text('sheet', 'source.sheet'),
    text('sheet_date', 'source.on'),
    text('care', 'care'),
    text('retired_on', 'retiredOn'),
  ],
  aids: [
    text('id', 'id'),
    text('name', 'name'),
    text('serves', 'serves'),
    figure('thickness_mm', 'thicknessMm'),
    text('wear', 'wear'),
    text('note', 'note'),
    text('retired_on', 'retiredOn'),
  ],
};

const SCHEMAS: { [K in CsvKind]: z.ZodType } = { fabrics: FabricSchema, blanks: BlankSchema, products: ProductSchema, aids: AidSchema };

/** CSV text of one kind of thing; cells a spreadsheet would run are neutralised with a leading apostrophe. */
export function shelfCsv<K extends CsvKind>(kind: K, docs: readonly Kinds[K][]): string {
  const columns = COLUMNS[kind] as readonly Column<Kinds[K]>[];
  const rows = docs.map((doc) => columns.map((column) => column.get(doc)));
  return stringify([columns.map((column) => column.heading), ...rows], { bom: true, escape_formulas: true, record_delimiter: 'windows' });
}

/** Takes off the apostrophe that keeps a cell from being run. */
export const unguarded = (cell: string): string => (/^'[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell);

const PLAIN: { [K in Exclude<CsvKind, 'products'>]: Draft } = {
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
};

const isFamily = (id: string): id is FamilyId => (FAMILY_IDS as readonly string[]).includes(id);

/** What a row is put into: the thing that is there, else a plain one; a new transfer begins from its family's general figures. */
function draftFor(kind: CsvKind, row: Row, known: unknown): Draft | string {
  if (known) return structuredClone(known);
  if (kind !== 'products') return structuredClone(PLAIN[kind]);
  const family = row.family ?? '';
  return isFamily(family)
    ? structuredClone(productFromFamily(FAMILIES[family], row.sheet_date || '2000-01-01'))
    : `“${family}” is no family. Known are ${FAMILY_IDS.join(', ')}.`;
}

/** The column a schema's fault is about. */
function headingOf(kind: CsvKind, path: string): string {
  const stages = path.replace(/^stages\.\d+\./, 'press.');
  return (
    (COLUMNS[kind] as readonly Column<unknown>[]).find((column) => stages === column.path || stages.startsWith(`${column.path}.`))
      ?.heading ?? path
  );
}

function readRow<K extends CsvKind>(kind: K, row: Row, line: number, known: unknown): { doc: Kinds[K] } | { faults: LineFault[] } {
  const draft = draftFor(kind, row, known);
  if (typeof draft === 'string') return { faults: [{ line, field: 'family', message: draft }] };
  const faults: LineFault[] = [];
  for (const column of COLUMNS[kind] as readonly Column<Kinds[K]>[]) {
    const cell = row[column.heading];
    if (cell === undefined) continue;
    const wrong = column.set(draft, unguarded(cell.trim()));
    if (wrong) faults.push({ line, field: column.heading, message: wrong });
  }
  if (faults.length > 0) return { faults };
  const parsed = SCHEMAS[kind].safeParse(draft);
  if (parsed.success) return { doc: parsed.data as Kinds[K] };
  return { faults: parsed.error.issues.map((issue) => ({ line, field: headingOf(kind, issue.path.join('.')), message: issue.message })) };
}

/** How many lines are read between two words of progress. */
const STRIDE = 250;

export interface ReadCsv<T> {
  docs: T[];
  faults: LineFault[];
}

/** Rows of a CSV by their headings. @returns the rows, or why the file cannot be read at all */
export function csvRows(csv: string): Row[] | LineFault {
  try {
    return parse(csv, { bom: true, columns: true, skip_empty_lines: true, relax_column_count: true }) as Row[];
  } catch (error) {
    const lines = (error as { lines?: number }).lines ?? 1;
    return {
      line: lines,
      field: 'file',
      message: `The file cannot be read from here on: ${error instanceof Error ? error.message : 'broken quotes'}`,
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
export function* readShelfCsv<K extends CsvKind>(
  kind: K,
  csv: string,
  known: (id: string) => unknown,
): Generator<{ done: number; of: number }, ReadCsv<Kinds[K]>> {
  const rows = csvRows(csv);
  if (!Array.isArray(rows)) return { docs: [], faults: [rows] };
  const headings = Object.keys(rows[0] ?? {});
  const missing = ['id', 'name'].filter((heading) => !headings.includes(heading));
  if (missing.length > 0)
    return {
      docs: [],
      faults: [
        {
          line: 1,
          field: missing.join(', '),
          message: `The first line must name the columns; ${missing.join(' and ')} ${missing.length > 1 ? 'are' : 'is'} missing.`,
        },
      ],
    };
  const docs: Kinds[K][] = [];
  const faults: LineFault[] = [];
  const seen = new Map<string, number>();
  for (const [i, row] of rows.entries()) {
    const line = i + 2;
    const id = (row.id ?? '').trim();
    const before = seen.get(id);
    if (before !== undefined) faults.push({ line, field: 'id', message: `${id} stands already on line ${before}.` });
    seen.set(id, line);
    const result = readRow(kind, row, line, known(id));
    if ('doc' in result) docs.push(result.doc);
    else faults.push(...result.faults);
    if ((i + 1) % STRIDE === 0) yield { done: i + 1, of: rows.length };
  }
  return { docs, faults };
}
