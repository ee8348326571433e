/** The whole shop as one JSON document: its schema, and how one is read. */
import { z } from 'zod';
import { HouseSchema } from '../house';
import { AmendmentSchema, PressingSchema } from '../log';
import { AidSchema, BlankSchema, FabricSchema, Id, Initials } from '../materials';
import { OrderSchema } from '../order';
import { PressAmendmentSchema, PressRecordSchema, PressSchema } from '../press';
import { RunEventSchema, RunSchema } from '../run';
import { ParcelSchema, ProductSchema, TestedSchema } from '../sheet';
import { FIRST_PRINT } from './cardV1';
import { Faults } from './faults';
import { inTodaysShape } from './readPressing';
import { DOCUMENT_VERSION, UPGRADED, upgraded } from './upgrade';

export const SHOP_FORMAT = 'tidy-beacon shop';

/** A run as it is stored. When it ended follows from its steps; it stands here for who reads the file. */
const StoredRun = RunSchema.extend({
  printKey: z.string().max(36).default(FIRST_PRINT),
  perClosing: RunSchema.shape.perClosing.default(1),
  machine: RunSchema.shape.machine.default(1),
  pressId: Id,
  operator: Initials,
  endedAt: z.number().int().nullable(),
});

/** Every section may be absent: a file may hold the shelf alone. */
const ShopDocumentSchema = z.object({
  format: z.literal(SHOP_FORMAT),
  version: z.number().int().min(1),
  house: HouseSchema.optional(),
  fabrics: z.array(FabricSchema).default([]),
  blanks: z.array(BlankSchema).default([]),
  products: z.array(ProductSchema).default([]),
  aids: z.array(AidSchema).default([]),
  /** What was pressed on which material and how it came out. */
  tested: z.array(TestedSchema).default([]),
  /** Parcels of bought transfers. */
  parcels: z.array(ParcelSchema).default([]),
  presses: z.array(PressSchema).default([]),
  /** Surveys and what else was found out about presses. */
  pressRecords: z.array(PressRecordSchema).default([]),
  /** Later words on them: whether they count. */
  pressAmendments: z.array(PressAmendmentSchema).default([]),
  orders: z.array(OrderSchema).default([]),
  /** Orders that were taken off the bench, and when. */
  removed: z.array(z.object({ id: z.string(), at: z.number().int() })).default([]),
  /** Frozen cards, each in the shape of the version it was frozen in. */
  cards: z.array(z.object({ hash: z.string().regex(/^[0-9a-f]{64}$/), version: z.number().int(), card: z.looseObject({}) })).default([]),
  runs: z.array(StoredRun).default([]),
  events: z.array(z.object({ runId: z.string(), seq: z.number().int(), event: RunEventSchema })).default([]),
  pressings: z.array(PressingSchema).default([]),
  amendments: z.array(AmendmentSchema).default([]),
  /** What could not be read as the file was written, and why; it is not in the file. */
  leftOut: z.array(z.object({ of: z.string(), id: z.string(), why: z.string() })).optional(),
});
export type ShopDocument = z.infer<typeof ShopDocumentSchema>;

/** The published JSON Schema of the document (draft 2020-12). */
export const shopJsonSchema = () => ({
  title: 'Tidy Beacon shop',
  ...z.toJSONSchema(ShopDocumentSchema, { io: 'input', unrepresentable: 'any', target: 'draft-2020-12' }),
});

/** A file that is no shop document at all, in words for the operator. */
export class NotAShop extends Error {
  override name = 'NotAShop';
}

type Loose = Record<string, unknown>;

/** A record of an older version in today's shape; one that is none is left for its schema to refuse. */
function inNewestShape(section: string, version: number, record: unknown): unknown {
  if (section === 'pressings') return inTodaysShape(record);
  const kind = UPGRADED.find((word) => word === section);
  if (!kind || typeof record !== 'object' || record === null) return record;
  try {
    return upgraded(kind, version, record as Loose);
  } catch {
    // it lacks what every record of that version had
    return record;
  }
}

const SECTIONS = ShopDocumentSchema.omit({ format: true, version: true, house: true, leftOut: true }).shape;
type Section = keyof typeof SECTIONS;

/** By what a record of a section is told from the others of its section. */
const KEY_OF: Partial<Record<Section, (record: never) => string>> = {
  cards: (card: { hash: string }) => card.hash,
  events: ({ event }: { event: { id: string } }) => event.id,
};

/** More records of a section than this are no one shop. */
const MOST_RECORDS = 10_000;
const MOST_OF: Partial<Record<Section, number>> = {
  events: 2_000_000,
  pressings: 500_000,
  amendments: 500_000,
  cards: 100_000,
  runs: 100_000,
  orders: 100_000,
};

/** The records of one section, each through its schema by itself; no two may have the same id. */
function readSection(section: Section, version: number, list: unknown, faults: Faults): unknown[] {
  if (list === undefined) return [];
  const wrong = (line: number, message: string, path: readonly PropertyKey[] = []) =>
    faults.add({ line, field: [section, ...(line > 0 ? [line - 1] : []), ...path].join('.'), message });
  if (!Array.isArray(list)) {
    wrong(0, 'This must be a list.');
    return [];
  }
  const most = MOST_OF[section] ?? MOST_RECORDS;
  if (list.length > most) {
    wrong(0, `A file may hold ${most} ${section}; this one has ${list.length}. Bring it in by parts.`);
    return [];
  }
  const schema = SECTIONS[section].unwrap().element as z.ZodType;
  const keyOf = (KEY_OF[section] ?? ((record: { id: string }) => record.id)) as (record: unknown) => string;
  const seen = new Map<string, number>();
  return list.flatMap((record, i) => {
    const parsed = schema.safeParse(inNewestShape(section, version, record));
    if (!parsed.success) {
      for (const issue of parsed.error.issues) wrong(i + 1, issue.message, issue.path);
      return [];
    }
    const before = seen.get(keyOf(parsed.data));
    if (before !== undefined) {
      wrong(i + 1, `The same id stands already at place ${before}.`, ['id']);
      return [];
    }
    seen.set(keyOf(parsed.data), i + 1);
    return [parsed.data];
  });
}

/**
 * Reads a shop document.
 *
 * @returns what of it can be read, and every fault in it: `line` is the place in its list, `field` the path
 * @throws {NotAShop} not JSON, not of this format, or from a newer version
 */
export function readShopDocument(text: string): { doc: ShopDocument; faults: Faults } {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    throw new NotAShop('This file is not whole: it cannot be read to its end. Take it out of the shop once more.');
  }
  const loose = raw as Loose | null;
  if (typeof loose !== 'object' || loose === null || loose.format !== SHOP_FORMAT)
    throw new NotAShop('This JSON is not a Tidy Beacon shop: its “format” does not say so.');
  const { version } = loose;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1 || version > DOCUMENT_VERSION)
    throw new NotAShop(
      `This file is of version ${String(version)}; this app reads up to ${DOCUMENT_VERSION}. Bring it in with the newer app.`,
    );
  const faults = new Faults();
  const sections = Object.fromEntries(
    (Object.keys(SECTIONS) as Section[]).map((section) => [section, readSection(section, version, loose[section], faults)]),
  );
  const doc = { format: SHOP_FORMAT, version: DOCUMENT_VERSION, ...sections } as ShopDocument;
  if (loose.house === undefined) return { doc, faults };
  const house = HouseSchema.safeParse(inNewestShape('house', version, loose.house));
  if (house.success) return { doc: { ...doc, house: house.data }, faults };
  for (const issue of house.error.issues) faults.add({ line: 0, field: ['house', ...issue.path].join('.'), message: issue.message });
  return { doc, faults };
}

/** The same data with every object's fields in the order of their names, so that equal documents have equal text. */
export function inNameOrder(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(inNameOrder);
  if (value === null || typeof value !== 'object') return value;
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, part]) => part !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, part]) => [key, inNameOrder(part)]),
  );
}
