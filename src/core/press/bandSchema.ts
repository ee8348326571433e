/** A temperature band at the platen's surface. */
import { z } from 'zod';

/** °C. */
export const BandSchema = z.object({ lowC: z.number(), midC: z.number(), highC: z.number() });
export type Band = z.infer<typeof BandSchema>;
