/** Transfer products: one supplier's sheet, as the shop holds it. */
import { z } from 'zod';
import { FAMILY_IDS, PEELS } from './family';
import { FIBRE_IDS } from './fibres';
import { Id, Name, PRESSURE_BANDS, rangeOf, Words } from './fields';

export const ProductSchema = z.object({
  id: Id,
  name: Name,
  maker: Name,
  familyId: z.enum(FAMILY_IDS),
  /** The press stage: where the glue goes into the cloth. */
  press: z.object({
    tempC: rangeOf(60, 260, '°C'),
    timeS: rangeOf(1, 3600, 's'),
    /** Pressure in the sheet's own words beside our reading of it. */
    pressure: z.object({ asStated: Words.min(1), band: z.enum(PRESSURE_BANDS) }),
  }),
  /** A short second press that the sheet itself asks for, at the same setting. */
  finish: z.object({ timeS: rangeOf(1, 120, 's') }).optional(),
  peel: z.enum(PEELS),
  cover: z.enum(['required', 'allowed', 'avoid']),
  base: z.enum(['any', 'firm']),
  faceDown: z.boolean(),
  mirroredBySupplier: z.boolean(),
  stretches: z.boolean(),
  /** The adhesive is made for repellent or silicone-finished cloth. */
  forCoated: z.boolean(),
  /** Fibres the sheet names; empty when it names none. */
  fibresAllowed: z.array(z.enum(FIBRE_IDS)),
  filmMm: z.number().min(0.01).max(3),
  carrier: z.enum(['film', 'paper']),
  pricePerSheetMinor: z.number().int().min(0).max(1_000_000),
  source: z.object({ sheet: Words.min(1), on: z.iso.date() }),
  care: Words,
});
export type Product = z.infer<typeof ProductSchema>;
