/** A figure with what it may be off by. */
import { z } from 'zod';

/** With its 95 % interval, K (or K per K for a slope). */
export const EstimateSchema = z.object({ mean: z.number(), sd: z.number(), low: z.number(), high: z.number() });
export type Estimate = z.infer<typeof EstimateSchema>;
