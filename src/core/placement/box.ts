/** A box on a blank, mm from its middle and its top. */
import { z } from 'zod';

export const BoxSchema = z.object({ leftMm: z.number(), topMm: z.number(), widthMm: z.number(), heightMm: z.number() });
export type Box = z.infer<typeof BoxSchema>;
