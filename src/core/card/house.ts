/** House rules: the shop's choice where practice differs, and the units and room it works in. */
import { z } from 'zod';

export const HouseSchema = z.object({
  units: z.object({ temperature: z.enum(['C', 'F']), length: z.enum(['mm', 'in']), linePressure: z.enum(['bar', 'psi']) }),
  rules: z.object({
    coverWhenAllowed: z.enum(['always', 'never']),
    secondPress: z.enum(['always', 'when an edge looks proud']),
    prePress: z.enum(['short', 'long']),
    loading: z.enum(['threaded', 'flat']),
  }),
  room: z.object({
    tempC: z.number().min(-5, 'A press room below −5 °C is not one.').max(50, 'A press room above 50 °C is not one.'),
    humidityPercent: z.number().min(0).max(100),
  }),
});
export type House = z.infer<typeof HouseSchema>;

/** Where a new shop starts; every one of these can be changed. */
export const STARTING_HOUSE: House = {
  units: { temperature: 'C', length: 'mm', linePressure: 'bar' },
  rules: { coverWhenAllowed: 'never', secondPress: 'when an edge looks proud', prePress: 'short', loading: 'threaded' },
  room: { tempC: 22, humidityPercent: 50 },
};

/** Pre-press by house rule, s. */
export const PRE_PRESS_S = { short: 5, long: 10 } as const;
