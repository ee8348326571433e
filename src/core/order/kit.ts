/** Kits: one list of people over several garments. Lines are made from it, and people are found again across the lines. */
import type { Line, RosterEntry } from './order';

/** A person of a list, with the size of each garment; null: none of it. */
export interface KitPerson extends RosterEntry {
  sizes: (string | null)[];
}

/**
 * Lines for everybody of a list: of each garment one line a size, its pieces in the order of the list.
 *
 * @param garments a line of each garment as it is to be pressed; its own size, count and roster are replaced
 * @param idOf the id of the nth new line, from 0
 * @throws {RangeError} a person has not as many sizes as there are garments
 */
export function linesOfKit(garments: readonly Line[], people: readonly KitPerson[], idOf: (n: number) => string): Line[] {
  const lines: Line[] = [];
  for (const [column, garment] of garments.entries()) {
    const bySize = new Map<string, RosterEntry[]>();
    for (const { number, name, sizes } of people) {
      if (sizes.length !== garments.length)
        throw new RangeError(`${number} ${name} has ${sizes.length} sizes for ${garments.length} garments.`);
      const size = sizes[column];
      if (size) bySize.set(size, [...(bySize.get(size) ?? []), { number, name }]);
    }
    for (const [size, roster] of bySize) {
      const sharedNumbers = twice(roster.map(({ number }) => number).filter(Boolean));
      const { sharesWith: _, sharedNumbers: _was, ...rest } = garment;
      lines.push({
        ...rest,
        id: idOf(lines.length),
        size,
        roster,
        count: roster.length,
        ...(sharedNumbers.length > 0 && { sharedNumbers }),
      });
    }
  }
  return lines;
}

/** What stands more than once in a list, each once. */
const twice = (words: readonly string[]): string[] => [...new Set(words.filter((word, i) => words.indexOf(word) !== i))];

const same = (a: string, b: string): boolean => a.localeCompare(b, undefined, { sensitivity: 'base' }) === 0;

/**
 * The people of an order, in the order they are first named.
 *
 * A piece that carries a number alone, as shorts do, is that of the one person who has the number; where several share it, or
 * nobody has it, it is a person of its own. So is a name alone.
 */
export function peopleOf(lines: readonly Pick<Line, 'roster'>[]): RosterEntry[] {
  const people: RosterEntry[] = [];
  const entries = lines.flatMap(({ roster }) => roster);
  const isKnown = (entry: RosterEntry) => people.some((person) => isOf(person, entry));
  for (const entry of entries) if (entry.number && entry.name && !isKnown(entry)) people.push({ number: entry.number, name: entry.name });
  for (const entry of entries) if (whoseIs(people, entry) === null) people.push({ number: entry.number, name: entry.name });
  const placeOf = (person: RosterEntry) => entries.findIndex((entry) => whoseIs(people, entry) === person);
  return people.sort((a, b) => placeOf(a) - placeOf(b));
}

const isOf = (person: RosterEntry, entry: RosterEntry): boolean => person.number === entry.number && same(person.name, entry.name);

/** Whose an entry of a roster is; null: nobody’s of these. */
export function whoseIs(people: readonly RosterEntry[], entry: RosterEntry): RosterEntry | null {
  const exact = people.find((person) => isOf(person, entry));
  if (exact) return exact;
  if (entry.number && entry.name) return null;
  const likely = people.filter((person) => (entry.number ? person.number === entry.number : same(person.name, entry.name)));
  return likely.length === 1 ? (likely[0] ?? null) : null;
}

/** The one person all entries of a roster are of; null: of several, or of nobody. */
export function onlyPersonOf(lines: readonly Pick<Line, 'roster'>[], roster: readonly RosterEntry[]): RosterEntry | null {
  const people = peopleOf(lines);
  const found = new Set(roster.map((entry) => whoseIs(people, entry)));
  const [person] = found;
  return found.size === 1 ? (person ?? null) : null;
}
