/** Answers of the heat model as they are kept and sent. Kept apart from the model, which is loaded where no schema is wanted. */
import { z } from 'zod';
import { GluedPieceSchema } from './pieceSchema';
import { figure } from './scene';

/** Seconds after opening until a piece is warm, until it is too cool to count as warm, and until it is cold; null: not while it was watched. */
export const PeelClockSchema = z.object({ warmS: z.number().nullable(), warmUntilS: z.number().nullable(), coldS: z.number().nullable() });
export type PeelClock = z.infer<typeof PeelClockSchema>;

const EFFECTS = ['cover', 'cloth', 'damp', 'underlay', 'base', 'pad over', 'pressure', 'temperature', 'time', 'pre-press'] as const;
export type EffectOf = (typeof EFFECTS)[number];

/** What a thing that differs takes or gives. */
export const EffectSchema = z.object({
  of: z.enum(EFFECTS),
  /** The layer it is about, where it is about one. */
  name: z.string().nullable(),
  /** Bond after the change less the bond as it is. */
  bond: z.number(),
  /** At the glue as the press opens, after the change less as it is, K. */
  glueK: z.number(),
});
export type Effect = z.infer<typeof EffectSchema>;

export const BondBandSchema = z.object({
  bond: z.number(),
  /** 90 % of pieces. */
  low: z.number(),
  high: z.number(),
  /** That a piece is sound, 0 to 1. */
  soundChance: z.number(),
  /** Share of each source in the variance, largest first. */
  sources: z.array(z.object({ of: z.string(), share: z.number() })),
});
export type BondBand = z.infer<typeof BondBandSchema>;

/** What the supplier means: his nominal setting on dry cloth over a warm base, a cover only where he asks for one. */
export const ReferenceSchema = z.object({
  piece: GluedPieceSchema,
  surfaceC: figure(0, 260, 'The sheet’s temperature', '°C'),
  timeS: figure(0.2, 3600, 'The sheet’s time', 's'),
  /** Where he means the blank warmed first, s; absent: not. */
  prePressS: figure(0, 600, 'The sheet’s pre-press', 's').optional(),
});
