/** The whole shop as one JSON document: its schema, and how one is read. */
import { z } from 'zod';
import { HouseSchema, OrderSchema } from '../card';
import { AmendmentSchema, PressingSchema } from '../log';
import { AidSchema, BlankSchema, FabricSchema, ProductSchema } from '../materials';
import { PressRecordSchema, PressSchema } from '../press';
import { RunEventSchema } from '../run';
import type { LineFault } from './shelfCsv';
import { DOCUMENT_VERSION, UPGRADES_TO_2 } from './upgrade';

export const SHOP_FORMAT = 'tidy-beacon shop';

const StoredRun = z.object({
  id: z.string(),
  orderId: z.string(),
  lineId: z.string(),
  printKey: z.string(),
  pressId: z.string(),
  cardHash: z.string(),
  pieces: z.number().int(),
  perClosing: z.number().int().min(1).default(1),
  operator: z.string(),
  startedAt: z.number().int(),
  endedAt: z.number().int().nullable(),
  holds: z.array(z.string()).default([]),
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
  presses: z.array(PressSchema).default([]),
  /** Surveys and what else was found out about presses. */
  pressRecords: z.array(PressRecordSchema).default([]),
  orders: z.array(OrderSchema).default([]),
  /** Orders that were taken off the bench, and when. */
  removed: z.array(z.object({ id: z.string(), at: z.number().int() })).default([]),
  /** Frozen cards, each in the shape of the version it was frozen in. */
  cards: z.array(z.object({ hash: z.string().regex(/^[0-9a-f]{64}$/), version: z.number().int(), card: z.looseObject({}) })).default([]),
  runs: z.array(StoredRun).default([]),
  events: z.array(z.object({ runId: z.string(), seq: z.number().int(), event: RunEventSchema })).default([]),
  pressings: z.array(PressingSchema).default([]),
  amendments: z.array(AmendmentSchema).default([]),
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

/** Brings a document of an older version to today's shape. */
function upgraded(doc: Loose): Loose {
  if (doc.version === DOCUMENT_VERSION) return doc;
  const next: Loose = { ...doc, version: DOCUMENT_VERSION };
  for (const [section, upgrade] of Object.entries(UPGRADES_TO_2)) {
    const part = doc[section];
    if (Array.isArray(part)) next[section] = part.map((one) => upgrade(one as Loose));
    else if (part && typeof part === 'object') next[section] = upgrade(part as Loose);
  }
  return next;
}

/**
 * Reads a shop document.
 *
 * @returns the document, or every fault in it: `line` is the place in its list, `field` the path
 * @throws {NotAShop} not JSON, not of this format, or from a newer version
 */
export function readShopDocument(text: string): { doc: ShopDocument } | { faults: LineFault[] } {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch (error) {
    throw new NotAShop(
      `This file is not whole: ${error instanceof Error ? error.message : 'it is no JSON'}. Take it out of the shop once more.`,
    );
  }
  const loose = raw as Loose | null;
  if (typeof loose !== 'object' || loose === null || loose.format !== SHOP_FORMAT)
    throw new NotAShop('This JSON is not a Tidy Beacon shop: its “format” does not say so.');
  if (typeof loose.version !== 'number' || loose.version > DOCUMENT_VERSION)
    throw new NotAShop(
      `This file is of version ${String(loose.version)}; this app reads up to ${DOCUMENT_VERSION}. Bring it in with the newer app.`,
    );
  const parsed = ShopDocumentSchema.safeParse(upgraded(loose));
  if (parsed.success) return { doc: parsed.data };
  return {
    faults: parsed.error.issues.map((issue) => {
      const place = issue.path.find((key) => typeof key === 'number');
      return { line: typeof place === 'number' ? place + 1 : 0, field: issue.path.join('.'), message: issue.message };
    }),
  };
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
