/** The heater of a platen, as it is typed in. */
import { z } from 'zod';

export const MOST_W = 20_000;
export const MOST_LOSS_WK = 200;

/** A heated platen. */
export const HeaterSchema = z.object({
  powerW: z.number().min(50, 'Under 50 W heats no platen.').max(MOST_W),
  massKg: z.number().min(0.2, 'A platen of under 200 g is not one.').max(200),
  /** Loss per kelvin over the room, W/K; null: the usual. */
  lossWK: z.number().min(0.01).max(MOST_LOSS_WK).nullable(),
});
export type Heater = z.infer<typeof HeaterSchema>;
