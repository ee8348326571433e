/** Rosters as CSV or as lines pasted from a list: a number, a name, or both for every piece; and kits, with a size of each garment. */
import { parse } from 'csv-parse/sync';
import { type KitPerson, type RosterEntry, RosterEntrySchema } from '../order';

/** What is wrong, by the line it stands on; 0: the list as a whole. `number`: it stands twice, and people may share it. */
export interface ListFault {
  line: number;
  message: string;
  number?: string;
}

export interface ReadRoster {
  roster: RosterEntry[];
  faults: ListFault[];
}

const HEADINGS = { number: ['number', 'no', 'no.', 'nr', '#'], name: ['name', 'names', 'player', 'person'] } as const;
const isHeading = (cell: string, of: keyof typeof HEADINGS): boolean => (HEADINGS[of] as readonly string[]).includes(cell.toLowerCase());
const isNumber = (cell: string): boolean => /^\d{1,6}$/.test(cell);

/** Which column holds what: by the heading line, else by the first row. */
function columnsOf(first: readonly string[]): { number: number; name: number; headed: boolean } {
  const number = first.findIndex((cell) => isHeading(cell, 'number'));
  const name = first.findIndex((cell) => isHeading(cell, 'name'));
  if (number >= 0 || name >= 0) return { number, name, headed: true };
  const numbered = first.findIndex(isNumber);
  if (first.length === 1) return numbered === 0 ? { number: 0, name: -1, headed: false } : { number: -1, name: 0, headed: false };
  return { number: Math.max(0, numbered), name: numbered === 1 ? 0 : 1, headed: false };
}

interface Row {
  line: number;
  cells: string[];
}

/** The rows of a pasted list. Commas, semicolons and tabs part the columns. */
function rowsOf(text: string): Row[] | ListFault {
  try {
    const read = parse(text, {
      bom: true,
      delimiter: [',', ';', '\t'],
      trim: true,
      skip_empty_lines: true,
      relax_column_count: true,
      info: true,
    }) as unknown as { info: { lines: number }; record: string[] }[];
    return read.map(({ info, record }) => ({ line: info.lines, cells: record }));
  } catch (error) {
    return { line: 0, message: `This cannot be read as a list: ${error instanceof Error ? error.message : 'broken quotes'}` };
  }
}

/**
 * Reads a roster for a line of so many pieces.
 *
 * A heading line is taken as such. Every fault is named with its line; with any fault the roster is not to be used.
 *
 * @param shared numbers that several people share
 */
export function readRoster(text: string, pieces: number, shared: readonly string[] = []): ReadRoster {
  const rows = rowsOf(text);
  if (!Array.isArray(rows)) return { roster: [], faults: [rows] };
  const columns = columnsOf(rows[0]?.cells ?? []);
  const faults: ListFault[] = [];
  const seen = new Map<string, number>();
  const roster = rows.slice(columns.headed ? 1 : 0).flatMap(({ line, cells }): RosterEntry[] => {
    const parsed = RosterEntrySchema.safeParse({ number: cells[columns.number] ?? '', name: cells[columns.name] ?? '' });
    if (!parsed.success) {
      faults.push({ line, message: parsed.error.issues[0]?.message ?? 'not readable' });
      return [];
    }
    const { number } = parsed.data;
    const before = seen.get(number);
    if (number !== '' && before !== undefined && !shared.includes(number))
      faults.push({ line, message: `Number ${number} stands already on line ${before}.`, number });
    seen.set(number, line);
    return [parsed.data];
  });
  if (faults.length === 0 && roster.length !== pieces)
    faults.push({
      line: 0,
      message: `The list has ${roster.length} ${roster.length === 1 ? 'entry' : 'entries'} for ${pieces} pieces. Every piece needs its own.`,
    });
  return { roster, faults };
}

export interface Garment {
  name: string;
  /** Sizes it comes in. */
  sizes: readonly string[];
}

export interface ReadKit {
  people: KitPerson[];
  faults: ListFault[];
  /** Numbers on several people, with the lines they stand on: people may share a number, so it is asked. */
  shared: { number: string; lines: number[] }[];
}

/** A cell that says that somebody has a garment that comes in one size. */
const HAS = new Set(['x', 'yes', '1', '✓']);
/** A cell that says that somebody has none of a garment. */
const NONE = new Set(['', '-', '–', '—', 'none', 'no']);

/**
 * Reads a list of people: number, name, and a column for each garment with the size, in the order the garments are named or under
 * a heading with their name. An empty cell, or a dash: none of it.
 */
export function readKit(text: string, garments: readonly Garment[]): ReadKit {
  const rows = rowsOf(text);
  if (!Array.isArray(rows)) return { people: [], faults: [rows], shared: [] };
  const head = rows[0]?.cells ?? [];
  // without a heading and without a number there are names alone
  const { number, name, headed } =
    head.some(isNumber) || head.some((cell) => isHeading(cell, 'number') || isHeading(cell, 'name'))
      ? columnsOf(head)
      : { number: -1, name: 0, headed: false };
  const of = garmentColumns(headed ? head : [], [number, name], garments);
  const faults: ListFault[] = [];
  const linesOf = new Map<string, number[]>();
  const seen = new Map<string, number>();
  const people = rows.slice(headed ? 1 : 0).flatMap(({ line, cells }): KitPerson[] => {
    const say = (message: string) => faults.push({ line, message });
    const parsed = RosterEntrySchema.safeParse({ number: cells[number] ?? '', name: cells[name] ?? '' });
    if (!parsed.success) {
      say(parsed.error.issues[0]?.message ?? 'not readable');
      return [];
    }
    const who = `${parsed.data.number} ${parsed.data.name}`.trim();
    const before = seen.get(who);
    if (before !== undefined) say(`${who} stands already on line ${before}.`);
    seen.set(who, line);
    if (parsed.data.number) linesOf.set(parsed.data.number, [...(linesOf.get(parsed.data.number) ?? []), line]);
    const sizes = garments.map((garment, i) => sizeIn(cells[of[i] ?? -1] ?? '', garment, say));
    if (sizes.every((size) => size === null)) say(`${who} has no size of any garment.`);
    return [{ ...parsed.data, sizes }];
  });
  if (people.length === 0 && faults.length === 0) faults.push({ line: 0, message: 'There is nobody on this list.' });
  const shared = [...linesOf].filter(([, lines]) => lines.length > 1).map(([number, lines]) => ({ number, lines }));
  return { people, faults, shared };
}

const alike = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

/** Which column each garment stands in: under its name, else the columns that are left, in order. */
function garmentColumns(head: readonly string[], taken: readonly number[], garments: readonly Garment[]): number[] {
  const named = garments.map((garment) => head.findIndex((cell) => alike(cell, garment.name)));
  const free = Array.from({ length: taken.filter((column) => column >= 0).length + garments.length }, (_, i) => i).filter(
    (i) => !taken.includes(i) && !named.includes(i),
  );
  return named.map((column) => (column >= 0 ? column : (free.shift() ?? -1)));
}

/** The size a cell names, as the garment writes it; null: none of it. */
function sizeIn(cell: string, { name, sizes }: Garment, say: (message: string) => void): string | null {
  if (NONE.has(cell.toLowerCase())) return null;
  const [only, ...others] = sizes;
  if (only !== undefined && others.length === 0 && HAS.has(cell.toLowerCase())) return only;
  const size = sizes.find((candidate) => alike(candidate, cell));
  if (size === undefined) say(`${cell} is no size of ${name}: ${sizes.join(', ')}.`);
  return size ?? null;
}
