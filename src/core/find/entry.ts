/** What can be found from any page: a name, what it is, where it leads, and the other words people have for it. */
import { z } from 'zod';

/** What kinds of things are found, and what each is called. The group with the best answer is shown first. */
export const GROUPS = {
  orders: 'Orders',
  people: 'People',
  acts: 'To do',
  presses: 'Presses',
  products: 'Transfers',
  blanks: 'Blanks',
  fabrics: 'Fabrics',
  parcels: 'Parcels',
  tested: 'Tested settings',
  aids: 'Covers and pads',
  settings: 'Settings of the house',
  words: 'What it means',
  pieces: 'Pieces pressed',
} as const;

export type Group = keyof typeof GROUPS;
export const GROUP_IDS = Object.keys(GROUPS) as [Group, ...Group[]];

export const EntrySchema = z.object({
  id: z.string(),
  group: z.enum(GROUP_IDS),
  title: z.string(),
  detail: z.string(),
  /** A day that belongs to it, for the page to write: an order's due day. */
  day: z.string().nullable(),
  /** When it was pressed, ms since the epoch. */
  at: z.number().nullable(),
  href: z.string(),
});

export type Entry = z.infer<typeof EntrySchema>;

/** An entry with words that it is found by and that are not shown, and how much likelier it is meant than others that answer as well. */
export type Findable = Entry & { also: string; weight: number };

export const findable = (
  group: Group,
  id: string,
  { title, detail = '', day = null, at = null, href, also = '', weight = 1 }: Pick<Entry, 'title' | 'href'> & Partial<Findable>,
): Findable => ({ id: `${group} ${id}`, group, title, detail, day, at, href, also, weight });
