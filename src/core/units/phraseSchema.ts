/** The schema of sentences with quantities in them: what goes over the wire and is kept in cards. */
import { z } from 'zod';
import { QUANTITY_KINDS } from './quantity';

const QuantityPart = z.object({
  q: z.enum(QUANTITY_KINDS),
  /** Value in the inside unit. */
  v: z.number(),
  /** Decimals, where the unit's usual ones will not do. */
  d: z.number().int().min(0).max(3).optional(),
  /** A unit of its own, for what must be told as a press shows it. */
  u: z.enum(['C', 'F']).optional(),
  /** Told as a tape shows it. */
  tape: z.boolean().optional(),
});

export const PhraseSchema = z.array(z.union([z.string(), QuantityPart]));
export type Phrase = z.infer<typeof PhraseSchema>;
export type PhrasePart = Phrase[number];
