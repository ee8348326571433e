/** How far each person of an order is: what of theirs is good, what was spoiled on the way, and what is missing. */
import { z } from 'zod';
import { type Line, peopleOf, type RosterEntry, RosterEntrySchema, whoseIs } from '../order';
import type { LineProgress } from './progress';

/** A good or spoiled pressing that counts, of whom and of which print. */
export interface PressedFor {
  lineId: string;
  printKey: string;
  person: RosterEntry | null;
  outcome: 'good' | 'spoiled';
}

/** One print on a person's pieces of a line; mostly there is one such piece. */
export const KitItemSchema = z.object({
  lineId: z.string(),
  printKey: z.string(),
  /** What of it the person gets, and how many of those are good. */
  pieces: z.number().int(),
  good: z.number().int(),
  spoiled: z.number().int(),
});
export type KitItem = z.infer<typeof KitItemSchema>;

export const PersonKitSchema = z.object({
  person: RosterEntrySchema,
  items: z.array(KitItemSchema),
  /** Prints still to be pressed. */
  missing: z.number().int(),
});
export type PersonKit = z.infer<typeof PersonKitSchema>;

/** Every print on every piece of a line that carries a number or a name. */
const namedPrints = (lines: readonly Line[]) =>
  lines.flatMap(({ id: lineId, roster, prints }) => roster.flatMap((entry) => prints.map(({ key }) => ({ entry, lineId, printKey: key }))));

/** Every person of an order with all that is pressed for them, in the order they are named. */
export function kitsOf(lines: readonly Line[], pressed: readonly PressedFor[]): PersonKit[] {
  const people = peopleOf(lines);
  const items = new Map<RosterEntry, KitItem[]>(people.map((person) => [person, []]));
  const ownOf = (entry: RosterEntry | null) => {
    const person = entry && whoseIs(people, entry);
    return (person && items.get(person)) ?? [];
  };
  for (const { entry, lineId, printKey } of namedPrints(lines)) {
    const own = ownOf(entry);
    const item = itemOf(own, lineId, printKey);
    if (item) item.pieces++;
    else own.push({ lineId, printKey, pieces: 1, good: 0, spoiled: 0 });
  }
  for (const { lineId, printKey, person, outcome } of pressed) {
    const item = itemOf(ownOf(person), lineId, printKey);
    if (item) item[outcome]++;
  }
  return people.map((person) => {
    const own = items.get(person) ?? [];
    return { person, items: own, missing: own.reduce((sum, { pieces, good }) => sum + Math.max(0, pieces - good), 0) };
  });
}

const itemOf = (items: readonly KitItem[], lineId: string, printKey: string): KitItem | undefined =>
  items.find((item) => item.lineId === lineId && item.printKey === printKey);

/** What a person misses that can be pressed now: the first of it; null: nothing, or it is on Hold or being pressed. */
export function firstMissing({ items }: PersonKit, lines: readonly LineProgress[]): Pick<KitItem, 'lineId' | 'printKey'> | null {
  const open = items.find(({ lineId, printKey, pieces, good }) => {
    const print = lines.find((line) => line.lineId === lineId)?.prints.find((progress) => progress.printKey === printKey);
    return good < pieces && print && print.lamp !== 'hold' && print.openRunId === null;
  });
  return open ? { lineId: open.lineId, printKey: open.printKey } : null;
}

/** Entries of a roster that have no good pressing yet, in their order. A number or name that stands twice wants as many. */
export function stillWanting(roster: readonly RosterEntry[], good: readonly RosterEntry[]): RosterEntry[] {
  const left = [...good];
  return roster.filter(({ number, name }) => {
    const done = left.findIndex((person) => person.number === number && person.name === name);
    if (done < 0) return true;
    left.splice(done, 1);
    return false;
  });
}
