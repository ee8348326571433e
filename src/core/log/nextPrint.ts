/** After a print: what of its order is best pressed next. */

import { type GoesBy, type Line, type Print, type RosterEntry, topLayer } from '../order';
import type { LampState } from '../window';
import type { PersonKit } from './kit';
import type { LineProgress } from './progress';
import { printLeft } from './queue';

/** A print of a line that is still to be pressed. */
export interface PrintToPress {
  line: Line;
  print: Print;
  left: number;
  lamp: LampState;
  cautions: number;
}

/** How much must be changed at the press between two prints: nothing but the piece, the set-up, or the press itself. */
const setUpBetween = (a: Print, b: Print): number =>
  a.pressId !== b.pressId ? 2 : topLayer(a).productId !== topLayer(b).productId ? 1 : 0;

export interface GoesOn {
  /** By what prints follow each other; absent: by press. */
  goesBy?: GoesBy | undefined;
  /** How far each person is, and whose pieces were pressed last; without them nobody's pieces come first. */
  kits?: readonly PersonKit[] | undefined;
  person?: RosterEntry | null;
}

/** The next print, and where it goes by person, of whose pieces alone. */
export interface NextPrint extends PrintToPress {
  person: RosterEntry | null;
}

/**
 * What of an order is best pressed after a print: what asks for the least change at the press, the same place before another,
 * in the order of the lines; what is left of the same print after all others. By position the same place comes first; by person
 * what else that person misses, then the next who misses something. What is on Hold or being pressed is passed over.
 *
 * @param lines how far each line is
 * @returns null: nothing is left that can be pressed
 */
export function nextPrint(
  order: readonly Line[],
  lines: readonly LineProgress[],
  after: { lineId: string; printKey: string },
  { goesBy = 'press', kits = [], person = null }: GoesOn = {},
): NextPrint | null {
  const open = openAfter(order, lines, after, goesBy);
  const own = goesBy === 'person' && person ? nextOfPeople(open, kits, person) : null;
  return own ?? (open[0] ? { ...open[0], person: null } : null);
}

/** Every print that can be pressed, the best first. */
function openAfter(
  order: readonly Line[],
  lines: readonly LineProgress[],
  after: { lineId: string; printKey: string },
  goesBy: GoesBy,
): PrintToPress[] {
  const all = order.flatMap((line) =>
    line.prints.map((print) => ({ line, print, same: line.id === after.lineId && print.key === after.printKey })),
  );
  const done = all.find(({ same }) => same)?.print;
  const open = all.flatMap(({ line, print, same }) => {
    const progress = lines.find(({ lineId }) => lineId === line.id);
    const state = progress?.prints.find(({ printKey }) => printKey === print.key);
    const left = progress ? printLeft(progress, print.key) : 0;
    if (!state || left === 0 || state.lamp === 'hold' || state.openRunId !== null) return [];
    const setUp = done ? setUpBetween(done, print) : 0;
    const place = done?.position === print.position ? 0 : 1;
    const rank = [same ? 1 : 0, ...(goesBy === 'position' ? [place, setUp] : [setUp, place])];
    return { next: { line, print, left, lamp: state.lamp, cautions: state.cautions }, rank };
  });
  const byRank = (a: number[], b: number[]) => a.map((value, i) => value - (b[i] ?? 0)).find((by) => by !== 0) ?? 0;
  return open.sort((a, b) => byRank(a.rank, b.rank)).map(({ next }) => next);
}

/** What a person still misses, else what the next of the list does. */
function nextOfPeople(open: readonly PrintToPress[], kits: readonly PersonKit[], person: RosterEntry): NextPrint | null {
  const at = kits.findIndex((kit) => kit.person.number === person.number && kit.person.name === person.name);
  if (at < 0) return null;
  for (const kit of [...kits.slice(at), ...kits.slice(0, at)]) {
    const missing = new Map(kit.items.map(({ lineId, printKey, pieces, good }) => [`${lineId} ${printKey}`, pieces - good]));
    const next = open.find(({ line, print }) => (missing.get(`${line.id} ${print.key}`) ?? 0) > 0);
    if (next) return { ...next, left: missing.get(`${next.line.id} ${next.print.key}`) ?? 0, person: kit.person };
  }
  return null;
}
