/** What the lamp says: its state, and the findings that lower it. */
import { z } from 'zod';
import { FIELDS } from '../draft';
import { CHOSEN_STAGES } from '../sheet';
import { PhraseSchema } from '../units';
import { LAMP_STATES } from '../window';

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

export const LampSchema = z.object({ state: z.enum(LAMP_STATES), findings: z.array(FindingSchema) });
export type Lamp = z.infer<typeof LampSchema>;
