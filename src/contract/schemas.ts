/** What goes over the wire beside the core's own types. */
import { z } from 'zod';
import { CardSchema, HouseSchema, LineSchema, OrderSchema, PrintSchema, WayOutSchema } from '../core/card';
import { AmendmentSchema, PressingSchema, STATIONS } from '../core/log';
import { BlankSchema, FabricSchema, Id, ProductSchema } from '../core/materials';
import { PressSchema } from '../core/press';
import { RunEventSchema, RunSchema } from '../core/run';

const Version = z.number().int().min(1);
const LampState = z.enum(['clear', 'care', 'hold']);

/** An RFC 9457 problem reply. `errors` names each field and what is wrong with it. */
export const ProblemSchema = z.object({
  type: z.string(),
  title: z.string(),
  status: z.number().int(),
  detail: z.string(),
  errors: z.array(z.object({ field: z.string(), message: z.string() })).optional(),
});
export type Problem = z.infer<typeof ProblemSchema>;

const LineStateSchema = z.object({
  lineId: z.string(),
  count: z.number(),
  good: z.number(),
  spoiled: z.number(),
  lamp: LampState,
  cautions: z.number(),
  openRunId: z.string().nullable(),
});

export const BenchRowSchema = z.object({
  orderId: z.string(),
  name: z.string(),
  customer: z.string(),
  due: z.string(),
  pieces: z.number(),
  good: z.number(),
  spoiled: z.number(),
  lamp: LampState,
  cautions: z.number(),
  minutesLeft: z.number(),
  what: z.string(),
  next: z.object({ station: z.enum(STATIONS), lineId: z.string().nullable(), verb: z.string() }),
});
export type BenchRow = z.infer<typeof BenchRowSchema>;

export const OrderReplySchema = z.object({ order: OrderSchema, version: Version, lines: z.array(LineStateSchema) });
export const LineCardSchema = z.object({ lineId: z.string(), card: CardSchema, waysOut: z.array(WayOutSchema) });
export type LineCard = z.infer<typeof LineCardSchema>;

export const ShelfSchema = z.object({ fabrics: z.array(FabricSchema), blanks: z.array(BlankSchema), products: z.array(ProductSchema) });
export type ShelfReply = z.infer<typeof ShelfSchema>;

export const PressReplySchema = z.object({ press: PressSchema, version: Version });
export const HouseReplySchema = z.object({ house: HouseSchema, version: Version });

export const RunReplySchema = z.object({
  run: RunSchema,
  orderName: z.string(),
  card: CardSchema,
  events: z.array(RunEventSchema),
  now: z.number(),
});
export type RunReply = z.infer<typeof RunReplySchema>;
export const StartRunSchema = z.object({ orderId: Id, lineId: Id, operator: z.string().trim().max(8, 'Initials, at most 8 letters.') });

export const LoggedPressingSchema = PressingSchema.extend({ withdrawn: z.boolean(), amendments: z.array(AmendmentSchema) });
export type Logged = z.infer<typeof LoggedPressingSchema>;
export const LogQuerySchema = z.object({
  q: z.string().max(100).optional(),
  orderId: z.string().max(64).optional(),
  outcome: z.enum(['good', 'spoiled']).optional(),
  /** Only pressings that ended before this instant, ms: the next page. */
  before: z.coerce.number().optional(),
  limit: z.coerce.number().int().min(1).max(500).default(100),
});
export const LogReplySchema = z.object({ pressings: z.array(LoggedPressingSchema), total: z.number(), more: z.boolean() });

export const RailSchema = z.object({
  /** The server's clock, ms. */
  now: z.number(),
  presses: z.array(
    z.object({
      id: z.string(),
      name: z.string(),
      setC: z.number().nullable(),
      unit: z.enum(['C', 'F']),
      state: z.enum(['free', 'in use', 'closed']),
    }),
  ),
  runs: z.array(
    z.object({
      runId: z.string(),
      orderId: z.string(),
      lineId: z.string(),
      label: z.string(),
      phase: z.enum(['ready', 'closed', 'cooling', 'done']),
      verb: z.string(),
      piece: z.number(),
      pieces: z.number(),
      dueAt: z.number().nullable(),
      timeS: z.number(),
    }),
  ),
});
export type Rail = z.infer<typeof RailSchema>;

/** Everything a card depends on, in the body: nothing is looked up. */
export const ComputeCardSchema = z.object({
  print: PrintSchema.omit({ productId: true, choices: true }).extend({ choices: PrintSchema.shape.choices.default({}) }),
  size: LineSchema.shape.size,
  blank: BlankSchema.omit({ fabricId: true }),
  fabric: FabricSchema,
  product: ProductSchema,
  press: PressSchema,
  house: HouseSchema,
  /** What ways out may draw on; empty when absent. */
  shelf: z
    .object({ products: z.array(ProductSchema).max(500), presses: z.array(PressSchema).max(50) })
    .default({ products: [], presses: [] }),
});
export const ComputeCardReplySchema = z.object({ card: CardSchema, waysOut: z.array(WayOutSchema) });
