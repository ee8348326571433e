/** From what somebody typed to what they may mean: words that begin so, near misses of longer ones, the best of each group first. */
import MiniSearch from 'minisearch';
import type { Entry, Findable, Group } from './entry';

/** Shown of the group with the best answer, and of each other. */
const OF_THE_BEST = 5;
const OF_OTHERS = 3;

/** A word of so many letters may be typed with a slip in it: one letter in five wrong, missing or too many. */
const SLIPS_FROM = 4;
const SLIPS = 0.2;

export interface FoundGroup {
  group: Group;
  entries: Entry[];
  /** There are more than those shown. */
  more: boolean;
}

const shown = ({ also: _, weight: __, ...entry }: Findable): Entry => entry;

/**
 * A search over things that stay from one question to the next: they are indexed once.
 *
 * @returns asked with what else can be meant this time and what was typed: entries in which every word of it is found, in
 *          groups, the group with the best answer first. Nothing typed finds nothing.
 */
export function finder(standing: readonly Findable[]): (passing: readonly Findable[], typed: string) => FoundGroup[] {
  const byId = new Map(standing.map((entry) => [entry.id, entry]));
  const index = new MiniSearch<Findable>({
    fields: ['title', 'detail', 'also'],
    searchOptions: {
      boost: { title: 4, detail: 1.5 },
      combineWith: 'AND',
      prefix: true,
      boostDocument: (id) => byId.get(String(id))?.weight ?? 1,
      fuzzy: (word) => (word.length >= SLIPS_FROM ? SLIPS : false),
    },
  });
  index.addAll([...byId.values()]);
  return (passing, typed) => {
    const added = [...new Map(passing.map((entry) => [entry.id, entry])).values()].filter(({ id }) => !byId.has(id));
    for (const entry of added) byId.set(entry.id, entry);
    index.addAll(added);
    try {
      return grouped(index.search(typed).flatMap(({ id }) => byId.get(String(id)) ?? []));
    } finally {
      index.removeAll(added);
      for (const { id } of added) byId.delete(id);
    }
  };
}

function grouped(found: readonly Findable[]): FoundGroup[] {
  const groups = new Map<Group, Findable[]>();
  for (const entry of found) groups.set(entry.group, [...(groups.get(entry.group) ?? []), entry]);
  // pieces of one run answer alike: the newest is meant
  groups.get('pieces')?.sort((a, b) => (b.at ?? 0) - (a.at ?? 0));
  return [...groups].map(([group, list], at) => {
    const most = at === 0 ? OF_THE_BEST : OF_OTHERS;
    return { group, entries: list.slice(0, most).map(shown), more: list.length > most };
  });
}

/** What is offered before anything is typed: the first of the acts. */
export const offered = (acts: readonly Findable[]): FoundGroup[] => [
  { group: 'acts', entries: acts.slice(0, OF_THE_BEST).map(shown), more: false },
];
