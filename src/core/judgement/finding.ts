/** What the lamp is made of: bounds on the platen's surface, the window they leave, margins, and findings that lower it. */
import { z } from 'zod';
import { FIELDS } from '../draft';
import { CHOSEN_STAGES } from '../sheet';
import { PhraseSchema } from '../units';

const Temp = z.number();

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

/** One side the delivered band must stay within, on the platen's surface. */
export const BoundSchema = z.object({
  side: z.enum(['sheet low', 'sheet high', 'mark', 'damage', 'under the art', 'inside', 'inside mark', 'dye', 'transfer', 'transfer mark']),
  /** The band must stay above or below it. */
  keep: z.enum(['above', 'below']),
  surfaceC: Temp,
  /** What passing it does to the lamp. */
  breach: z.enum(['hold', 'care']),
  says: PhraseSchema,
});
export type Bound = z.infer<typeof BoundSchema>;

export const WindowSchema = z.object({
  bounds: z.array(BoundSchema),
  /** Surface minus set at `refC` and its 95 % spread over the art, K; how both change for every K away from it. */
  offsetK: z.number(),
  spreadK: z.number(),
  slope: z.number(),
  spreadPerK: z.number(),
  refC: Temp,
  measured: z.boolean(),
  /** What the press can be set to. */
  settable: z.object({ unit: z.enum(['C', 'F']), step: z.number(), minC: Temp, maxC: Temp }),
  bestSetC: Temp,
});
export type Window = z.infer<typeof WindowSchema>;

export const BandSchema = z.object({ lowC: Temp, midC: Temp, highC: Temp });
export const MarginSchema = z.object({ side: BoundSchema.shape.side, kelvin: z.number(), breach: BoundSchema.shape.breach });
export type Margin = z.infer<typeof MarginSchema>;

export const LampSchema = z.object({ state: z.enum(['clear', 'care', 'hold']), findings: z.array(FindingSchema) });
export type Lamp = z.infer<typeof LampSchema>;
export type LampState = Lamp['state'];
