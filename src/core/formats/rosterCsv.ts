/** Rosters as CSV or as lines pasted from a list: a number, a name, or both for every piece. */
import { parse } from 'csv-parse/sync';
import { type RosterEntry, RosterEntrySchema } from '../order';

export interface ReadRoster {
  roster: RosterEntry[];
  /** What is wrong, by the line it stands on; 0: the roster as a whole. */
  faults: { line: number; message: string }[];
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

/**
 * Reads a roster for a line of so many pieces.
 *
 * Commas, semicolons and tabs part the columns; a heading line is taken as such. Every fault is named with its line;
 * with any fault the roster is not to be used.
 */
export function readRoster(text: string, pieces: number): ReadRoster {
  let rows: { line: number; cells: string[] }[];
  try {
    const read = parse(text, {
      bom: true,
      delimiter: [',', ';', '\t'],
      trim: true,
      skip_empty_lines: true,
      relax_column_count: true,
      info: true,
    }) as unknown as { info: { lines: number }; record: string[] }[];
    rows = read.map(({ info, record }) => ({ line: info.lines, cells: record }));
  } catch (error) {
    return {
      roster: [],
      faults: [{ line: 0, message: `This cannot be read as a list: ${error instanceof Error ? error.message : 'broken quotes'}` }],
    };
  }
  const columns = columnsOf(rows[0]?.cells ?? []);
  const faults: ReadRoster['faults'] = [];
  const seen = new Map<string, number>();
  const roster = rows.slice(columns.headed ? 1 : 0).flatMap(({ line, cells }): RosterEntry[] => {
    const parsed = RosterEntrySchema.safeParse({ number: cells[columns.number] ?? '', name: cells[columns.name] ?? '' });
    if (!parsed.success) {
      faults.push({ line, message: parsed.error.issues[0]?.message ?? 'not readable' });
      return [];
    }
    const { number } = parsed.data;
    const before = seen.get(number);
    if (number !== '' && before !== undefined) faults.push({ line, message: `Number ${number} stands already on line ${before}.` });
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
