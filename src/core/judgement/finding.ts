/** What the lamp is made of: bounds on the platen's surface, the window they leave, margins, and findings that lower it. */
import { z } from 'zod';
import { FIELDS } from '../draft';
import { TenthsSchema } from '../press';
import { CHOSEN_STAGES } from '../sheet';
import { PhraseSchema } from '../units';

const Temp = z.number();

export const LAMP_STATES = ['clear', 'care', 'hold'] as const;
export type LampState = (typeof LAMP_STATES)[number];

/** Where a finding comes from: a margin that is thin or gone, the bond, what the heat model cannot tell, or a rule of the trade that was met. */
const FINDING_SOURCES = ['margin', 'bond', 'heat', 'rule'] as const;

/** A finding that lowers the lamp. */
export const FindingSchema = z.object({
  level: z.enum(['hold', 'care']),
  from: z.enum(FINDING_SOURCES),
  /** A margin’s side, `short` or `over` of a bond, or a rule’s name. */
  rule: z.string(),
  /** The closing with a window of its own that it is about; absent: the press stage, or the piece as a whole. */
  closing: z.enum(CHOSEN_STAGES).optional(),
  field: z.enum(FIELDS),
  says: PhraseSchema,
});
export type Finding = z.infer<typeof FindingSchema>;

/** What the surface under the art is kept from. */
export const SIDES_OF_WINDOW = [
  'sheet low',
  'sheet high',
  'mark',
  'damage',
  'under the art',
  'inside',
  'inside mark',
  'dye',
  'transfer',
  'transfer mark',
] as const;
export type Side = (typeof SIDES_OF_WINDOW)[number];

/** One side the surface must stay within, at the platen. */
export const BoundSchema = z.object({
  side: z.enum(SIDES_OF_WINDOW),
  /** The surface must stay above or below it. */
  keep: z.enum(['above', 'below']),
  surfaceC: Temp,
  /** Its own doubt, one standard deviation, K at the platen. */
  sdK: z.number(),
  /** An edge that is our allowance round a sheet's single figure. */
  ours: z.boolean(),
  /** A test piece was noted: it is Care at most. */
  eased: z.boolean(),
  says: PhraseSchema,
});
export type Bound = z.infer<typeof BoundSchema>;

export const WindowSchema = z.object({
  bounds: z.array(BoundSchema),
  /** Surface minus set at `refC`, the middle of its 95 % band over the art and half of that, K; how both change for every K away from it. */
  offsetK: z.number(),
  spreadK: z.number(),
  slope: z.number(),
  spreadPerK: z.number(),
  refC: Temp,
  ...TenthsSchema.shape,
  measured: z.boolean(),
  /** What the press can be set to. */
  settable: z.object({ unit: z.enum(['C', 'F']), step: z.number(), minC: Temp, maxC: Temp }),
  bestSetC: Temp,
});
export type Window = z.infer<typeof WindowSchema>;

export const BandSchema = z.object({ lowC: Temp, midC: Temp, highC: Temp });
/** How far the expected surface keeps inside a bound, K, negative past it; the chance that it is passed, and what the lamp makes of that. */
export const MarginSchema = z.object({
  side: BoundSchema.shape.side,
  kelvin: z.number(),
  chance: z.number(),
  state: z.enum(LAMP_STATES),
  /** A test piece was noted that bore it. */
  eased: z.boolean(),
});
export type Margin = z.infer<typeof MarginSchema>;

export const LampSchema = z.object({ state: z.enum(LAMP_STATES), findings: z.array(FindingSchema) });
export type Lamp = z.infer<typeof LampSchema>;
