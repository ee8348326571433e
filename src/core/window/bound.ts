/** What a window is made of: bounds on the platen's surface, how far a set value keeps inside each, and what that makes of the lamp. */
import { z } from 'zod';
import { TenthsSchema } from '../press';
import { PhraseSchema } from '../units';

const Temp = z.number();

export const LAMP_STATES = ['clear', 'care', 'hold'] as const;
export type LampState = (typeof LAMP_STATES)[number];

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
/** A bound without its words. */
export type BareBound = Omit<Bound, 'says'>;

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
