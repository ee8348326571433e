/** What a card says of its heat: the bond at the glue, what takes from it, and the time that would bring it back. */
import { z } from 'zod';
import { EffectSchema } from '../heat';

const Temp = z.number();

/** What the setting does at the glue. Bonds are against what the supplier means: 1 is his own. */
export const HeatSchema = z.object({
  bond: z.number(),
  /** Nine pieces in ten lie between; and the chance that a piece is sound, 0 to 1. */
  low: z.number(),
  high: z.number(),
  soundChance: z.number(),
  /** At surface temperatures across the sheet. */
  bonds: z.array(z.object({ surfaceC: Temp, bond: z.number() })),
  /** What differs from the supplier's stack: what it takes at the glue as the press opens, K, and off the bond. */
  takes: z.array(EffectSchema),
  /** The whole seconds that bring the bond nearest to 1 at this temperature; null: they are set already. */
  correction: z
    .object({
      timeS: z.number(),
      bond: z.number(),
      feasible: z.boolean(),
      stoppedBy: z.enum(['longest time', 'shortest time', 'mark', 'damage']).nullable(),
    })
    .nullable(),
  learned: z.object({ shift: z.number(), n: z.number() }).nullable(),
});
export type Heat = z.infer<typeof HeatSchema>;
