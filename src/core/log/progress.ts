/** How far the prints of a line are. */
import { z } from 'zod';
import { LAMP_STATES } from '../window';

/** How far one print of a line is, over all its pieces. */
const PrintProgressSchema = z.object({
  printKey: z.string(),
  good: z.number(),
  spoiled: z.number(),
  lamp: z.enum(LAMP_STATES),
  cautions: z.number(),
  openRunId: z.string().nullable(),
});
export type PrintProgress = z.infer<typeof PrintProgressSchema>;

export const LineProgressSchema = z.object({
  lineId: z.string(),
  count: z.number(),
  /** In the order they are pressed. */
  prints: z.array(PrintProgressSchema),
});
export type LineProgress = z.infer<typeof LineProgressSchema>;
