/** Blanks: the things that are pressed on. */
import { z } from 'zod';
import { Id, Name, Words } from './fields';

const BLANK_KINDS = ['tee', 'hoodie'] as const;

export const BlankSchema = z.object({
  id: Id,
  name: Name,
  kind: z.enum(BLANK_KINDS),
  fabricId: Id,
  colour: Name,
  shade: z.enum(['light', 'dark']),
  sizes: z.array(z.string().trim().min(1).max(12)).min(1, 'Name at least one size.'),
  /** What the owner found by test on this very blank; it replaces the fibre figures, °C for 15 s. */
  tested: z
    .object({ markC: z.number().min(60).max(260), damageC: z.number().min(60).max(300), on: z.iso.date(), how: Words })
    .refine((t) => t.markC <= t.damageC, { path: ['markC'], message: 'The mark limit lies over the damage limit.' })
    .optional(),
});
export type Blank = z.infer<typeof BlankSchema>;

/** Positions known so far, as they are called at the press. */
export const POSITIONS = ['full front', 'left chest', 'upper back', 'full back'] as const;
export type Position = (typeof POSITIONS)[number];
