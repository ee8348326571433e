/** A way out of a Hold: one change a shop can make, and what the card would come to with it. */
import { z } from 'zod';

import { BASES, PrintSchema } from '../order';
import { PhraseSchema } from '../units';

const Temp = z.number();

/** Which facts a way out changes. */
const ChangeSchema = z.object({
  /** Back to what the card would set by itself. */
  ownSetting: z.literal(true).optional(),
  productId: z.string().optional(),
  pressId: z.string().optional(),
  timeS: z.number().optional(),
  cover: z.boolean().optional(),
  alternative: z.string().optional(),
  heat: z.literal('split').optional(),
  base: z.enum(BASES).optional(),
  platenId: z.string().optional(),
  perClosing: z.number().optional(),
  /** The art made smaller, mm. */
  size: z.object({ widthMm: z.number(), heightMm: z.number() }).optional(),
  /** The art cut down its middle and pressed as two prints, each moved out by so much, mm. */
  halves: z.object({ apartMm: z.number() }).optional(),
  lay: PrintSchema.shape.lay,
  moved: PrintSchema.shape.moved,
  /** A test piece is pressed and, if it holds, noted on the blank. */
  testPiece: z.object({ productId: z.string(), markC: z.number().nullable() }).optional(),
});
export type Change = z.infer<typeof ChangeSchema>;
export const WayOutSchema = z.object({
  says: PhraseSchema,
  change: ChangeSchema,
  lamp: z.enum(['clear', 'care']),
  /** With the lower platen, where it is hot too. */
  set: z.object({ tempC: Temp, lowerC: Temp.nullable(), unit: z.enum(['C', 'F']), timeS: z.number() }),
  smallestMarginK: z.number(),
  /** How far its result is from the one that was meant: 0 the same kind of thing, 1 another as flat or as raised, 2 another body, 3 not for such art. */
  unlike: z.number(),
  minutesPerPiece: z.number(),
  costMinor: z.number(),
});
export type WayOut = z.infer<typeof WayOutSchema>;
