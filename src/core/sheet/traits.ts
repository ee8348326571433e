/** What a transfer is by nature, whatever it is set to: how it lies, what it bears, where it may go. */
import { z } from 'zod';
import { COATINGS, DUTIES, FIBRE_IDS, SUBSTRATES } from '../materials';

export const PEELS = ['hot', 'warm', 'cold', 'none'] as const;
export type Peel = (typeof PEELS)[number];

/** What kind of picture it is; a family is good at some and cannot do others. */
export const ART_KINDS = ['one colour', 'few flat colours', 'full colour', 'fine detail', 'raised', 'metallic'] as const;
export type ArtKind = (typeof ART_KINDS)[number];

/** What lies under the blank, over it or behind it beside the base. */
export const PADS = ['none', 'felt under', 'soft pad over', 'foam over', 'foam behind'] as const;
export type Pad = (typeof PADS)[number];

export const TraitsSchema = z.object({
  /** How its print lies against the blank. */
  facing: z.enum(['face down', 'face up']),
  /** Who sees to the mirroring. */
  mirroring: z.enum(['in the art', 'by the supplier', 'by the printer path']),
  base: z.enum(['any', 'firm']),
  pad: z.enum(PADS),
  /** Gives with the cloth. */
  stretches: z.boolean(),
  bridgesSeams: z.boolean(),
  /** Its carrier is charged as the press opens and may lift it. */
  static: z.boolean(),
  /** Several loose parts of one print are held together by a mask. */
  mask: z.boolean(),
  /** At what heat its mask is lifted again; absent: warm. */
  maskPeel: z.enum(PEELS).optional(),
  layer: z.enum(['any', 'top only', 'alone']),
  embossBase: z.boolean(),
  /** A trial on scrap comes before the first good piece. */
  trialFirst: z.boolean(),
  /** What a second press by house rule does to it. */
  secondPress: z.enum(['fine', 'flattens', 'not needed']),
  /** Rubbed down under a cloth while hot. */
  rub: z.boolean(),
  trim: z.enum(['nothing', 'rim', 'carrier', 'two-up']),
  /** Its time grows with the heat the blank takes up. */
  timeByMass: z.boolean(),
  /** Made to pass the mark limit of the fibre it is for. */
  passesMark: z.boolean(),
  /** What the transfer itself is made of, where it has limits of its own: a patch of leather or woven thread. */
  madeOf: z.enum(FIBRE_IDS).optional(),
  /** Finishes its adhesive is made to hold on. */
  madeFor: z.array(z.enum(COATINGS)).readonly(),
  /** Blanks its colours show on. */
  shades: z.enum(['any', 'light', 'dark']),
  /** Fibres of which the cloth must hold a least share. */
  leastFibre: z.object({ fibres: z.array(z.enum(FIBRE_IDS)).min(1).readonly(), percent: z.number().min(1).max(100) }).nullable(),
  /** What it is usually pressed on; on anything else a test piece comes first. */
  substrates: z.array(z.enum(SUBSTRATES)).readonly(),
  /** What it cannot hold on, whatever is tried; absent: as its family. */
  never: z.array(z.enum(SUBSTRATES)).readonly().optional(),
  /** Its sheet allows a hand press or an iron though it wants firm pressure; absent: it does not. */
  byHand: z.boolean().optional(),
  /** What the finished thing may be used for. */
  duties: z.array(z.enum(DUTIES)).readonly(),
  artKinds: z.array(z.enum(ART_KINDS)).readonly(),
});
export type Traits = z.infer<typeof TraitsSchema>;
