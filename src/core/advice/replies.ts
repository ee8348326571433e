/** What advice answers, as it is sent: how a transfer suits, what a measurement is worth. */
import { z } from 'zod';
import { PhraseSchema } from '../units';
import { LAMP_STATES } from '../window';

/** How a transfer suits what is wished for. */
export const SuitedSchema = z.object({
  productId: z.string(),
  name: z.string(),
  familyName: z.string(),
  /** On the shelf, or only a family to buy from. */
  onShelf: z.boolean(),
  pressId: z.string(),
  pressName: z.string(),
  lamp: z.enum(LAMP_STATES),
  cautions: z.number(),
  /** Of a sound piece, the bond left out, 0 to 1. */
  soundChance: z.number(),
  /** It does this kind of art; else the customer would have to want other art. */
  suitsArt: z.boolean(),
  /** It gives such art the body it is thought of with: flat, unless it is to stand up. */
  asMeant: z.boolean(),
  /** What speaks against it, holds first; or for it when nothing does. */
  reasons: z.array(PhraseSchema),
  setC: z.number(),
  unit: z.enum(['C', 'F']),
  timeS: z.number(),
  smallestMarginK: z.number(),
  /** Hands and press for the whole count, minutes. */
  minutes: z.number(),
  costMinor: z.number(),
});
export type Suited = z.infer<typeof SuitedSchema>;

/** What a measurement of a press is expected to bring. */
export const WorthSchema = z.object({
  pressId: z.string(),
  pressName: z.string(),
  /** A survey of the platen or a quick check of it, or its gauge tied to what it really presses with at two settings. */
  measure: z.union([
    z.object({ kind: z.literal('survey'), plan: z.enum(['check', 'five', 'nine']), instrument: z.enum(['probe', 'strip', 'infrared']) }),
    z.object({ kind: z.literal('pressure pairs') }),
  ]),
  minutes: z.number(),
  /** Open prints it touches, and pieces left of them. */
  prints: z.number(),
  pieces: z.number(),
  /** Pieces expected to be spoiled as things are, and fewer of them with it. */
  spoiledNow: z.number(),
  saved: z.number(),
  /** Lamps expected to become another; of them those that become better. */
  lampsChanged: z.number(),
  lampsBetter: z.number(),
});
export type Worth = z.infer<typeof WorthSchema>;
