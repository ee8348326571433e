/** House rules: the shop's choice where practice differs, the units and room it works in, and who works there. */
import { z } from 'zod';
import { Id } from '../materials';
import { HousePlacesSchema } from '../placement';

/** Initials as they stand on a record. */
export const Initials = z
  .string()
  .trim()
  .max(8, 'Initials, at most 8 letters.')
  .regex(/^[^<>]*$/, 'Initials cannot hold < or >.');

const HouseRulesSchema = z.object({
  coverWhenAllowed: z.enum(['always', 'never']),
  secondPress: z.enum(['always', 'when an edge looks proud']),
  obstruction: z.enum(['pillow', 'raise', 'hang off']),
  loading: z.enum(['threaded', 'flat', 'turned']),
  prePress: z.enum(['short', 'long', 'computed']),
  centre: z.enum(['crease', 'ruler', 'eye']),
  drop: z.enum(['fingers', 'ruler', 'tall art']),
  unmeasured: z.enum(['widen', 'bump']),
  layers: z.enum(['tack', 'full']),
  batch: z.enum(['piece', 'step']),
  felt: z.enum(['protect', 'leave out']),
  insideMark: z.enum(['care', 'accept']),
});
export type HouseRules = z.infer<typeof HouseRulesSchema>;

export const HouseSchema = z.object({
  units: z.object({ temperature: z.enum(['C', 'F']), length: z.enum(['mm', 'in']), linePressure: z.enum(['bar', 'psi']) }),
  rules: HouseRulesSchema,
  figures: z.object({
    /** Width of the operator's own finger, mm. */
    fingerMm: z.number().min(8, 'A finger under 8 mm is not one.').max(40, 'A finger over 40 mm is not one.'),
    /** What the bump school adds on an unmeasured press, K. */
    bumpK: z.number().min(0).max(20, 'A bump of more than 20 K is guesswork; measure the press.'),
  }),
  /** Initials of those who press here. */
  operators: z.array(Initials.min(1, 'Initials cannot be empty.')).max(40),
  room: z.object({
    tempC: z.number().min(-5, 'A press room below −5 °C is not one.').max(50, 'A press room above 50 °C is not one.'),
    humidityPercent: z.number().min(0, 'Humidity runs from 0 to 100 %.').max(100, 'Humidity runs from 0 to 100 %.'),
  }),
  /** Position rules as this house has them; what is not in it is as usual. */
  places: HousePlacesSchema.optional(),
  /** What the log had taught of these until then, ms, was asked to be forgotten. */
  forgotten: z
    .array(z.object({ pressId: Id, productId: Id, until: z.number().int().min(0) }))
    .max(500)
    .optional(),
});
export type House = z.infer<typeof HouseSchema>;

/** Where a new shop starts; every one of these can be changed. */
export const STARTING_HOUSE: House = {
  units: { temperature: 'C', length: 'mm', linePressure: 'bar' },
  rules: {
    coverWhenAllowed: 'never',
    secondPress: 'when an edge looks proud',
    obstruction: 'pillow',
    loading: 'threaded',
    prePress: 'short',
    centre: 'ruler',
    drop: 'ruler',
    unmeasured: 'widen',
    layers: 'tack',
    batch: 'piece',
    felt: 'protect',
    insideMark: 'care',
  },
  figures: { fingerMm: 18, bumpK: 5 },
  operators: [],
  room: { tempC: 22, humidityPercent: 50 },
};

/** Pre-press by house rule, s. */
export const PRE_PRESS_S = { short: 5, long: 10 } as const;
