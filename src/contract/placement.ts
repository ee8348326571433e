/** What the placement endpoints are asked and answer. Lengths in mm. */
import { z } from 'zod';
import { BlankShapeSchema, PANELS, POSITIONS } from '../core/materials';
import { LaySchema } from '../core/order';
import { ANCHORS, BoxSchema, HousePlacesSchema } from '../core/placement';

const Length = z.number().positive('It has a length.').max(2000, 'Nothing on a press is over 2 m.');
const Shift = z.object({ xMm: z.number().min(-1000).max(1000), yMm: z.number().min(-1000).max(1000) });

export const PlacementQuerySchema = z.object({
  blank: BlankShapeSchema,
  size: z.string().trim().min(1).max(20),
  position: z.enum(POSITIONS),
  art: z.object({ widthMm: Length, heightMm: Length }),
  /** Taken off the rule by hand: to the right as it lies, and down. */
  moved: Shift.optional(),
  crossesSeam: z.boolean().default(false),
  /** Whether tall art hangs higher. */
  tallRule: z.boolean().default(true),
  places: HousePlacesSchema.optional(),
  /** Measures are rounded to this: what the tape shows. */
  tapeStepMm: z.number().min(0.1).max(50).default(5),
});

const PointSchema = z.object({ x: z.number(), y: z.number() });
export const PlacementReplySchema = z.object({
  panel: z.enum(PANELS),
  outline: z.array(PointSchema),
  box: BoxSchema,
  lay: z.array(z.object({ from: z.enum([...ANCHORS, 'centre line']), to: z.string(), way: z.string(), mm: z.number() })),
  because: z.string(),
  squareTo: z.string(),
  insideOut: z.boolean(),
  findings: z.array(z.object({ fault: z.string(), level: z.enum(['note', 'care', 'hold']), about: z.string(), mm: z.number() })),
});

const Sides = z.object({ widthMm: Length, heightMm: Length });
export const FeasibilityQuerySchema = PlacementQuerySchema.extend({
  platen: Sides,
  /** The base, where it is smaller than the platen. */
  base: Sides.optional(),
  loading: z.enum(['threaded', 'flat']).default('flat'),
  /** What lies under the print. */
  under: z.union([z.literal('pad'), z.object({ sinksMm: z.number().min(0).max(60) })]).default({ sinksMm: 0 }),
  /** A lay to judge; absent: the best one is looked for. */
  lay: LaySchema.optional(),
});
export const FeasibilityReplySchema = z.object({
  box: BoxSchema,
  fit: z.discriminatedUnion('feasible', [
    z.object({ feasible: z.literal(true), lay: LaySchema, clearanceMm: z.number() }),
    z.object({
      feasible: z.literal(false),
      art: z.enum(['larger than the platen', 'on something raised', 'held off']),
      inTheWay: z.array(z.object({ kind: z.string(), heightMm: z.number() })),
    }),
  ]),
});

const Share = z.number().min(0.01, 'A share runs from 0.01 to 1.').max(1, 'A share runs from 0.01 to 1.');
export const SizeSplitQuerySchema = z.object({
  sizes: z
    .array(z.object({ size: z.string().trim().min(1).max(20), chestMm: Length, pieces: z.number().int().min(0).max(100_000) }))
    .min(1, 'Name at least one size.')
    .max(60),
  share: z.object({ min: Share, max: Share }).refine((s) => s.min <= s.max, { path: ['min'], message: 'The least is over the most.' }),
  mostMm: Length,
  stepMm: z.number().min(0.5).max(100).default(5),
  /** After how many sizes, from the smallest, another print begins; absent: the fewest prints are looked for. */
  after: z.array(z.number().int().min(0).max(60)).max(60).optional(),
});
export const SizeSplitReplySchema = z.object({
  groups: z.array(z.object({ widthMm: z.number(), sizes: z.array(z.string()), pieces: z.number() })),
  outside: z.array(z.string()),
  off: z.number(),
});

/** Pieces that would lie in a room by their area alone. */
const MOST_LAID = 1000;

export const ClosingQuerySchema = z
  .object({
    room: Sides,
    piece: z.object({
      widthMm: z.number().min(5, 'A piece under 5 mm is not pressed.').max(2000),
      heightMm: z.number().min(5, 'A piece under 5 mm is not pressed.').max(2000),
      round: z.boolean(),
    }),
    gapMm: z.number().min(0).max(200),
  })
  .refine(({ room, piece }) => room.widthMm * room.heightMm <= MOST_LAID * piece.widthMm * piece.heightMm, {
    path: ['piece'],
    message: `More than ${MOST_LAID} of these would lie in this room: lay fewer at once.`,
  });
export const ClosingReplySchema = z.object({ pieces: z.array(z.object({ xMm: z.number(), yMm: z.number(), turned: z.boolean() })) });
