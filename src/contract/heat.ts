/** What the Heat bench and practice send and are sent. */
import { z } from 'zod';
import { MISTAKES } from '../core/advice';
import { LearnedShiftSchema } from '../core/draft';
import { EffectSchema, PeelClockSchema, StackLayerSchema } from '../core/heat';
import { AllowedSchema, HeatQuerySchema, SIMULATED_PLACES } from '../core/heatBench';
import { Initials } from '../core/materials';
import { PEELS } from '../core/sheet';
import { BoundSchema } from '../core/window';

const Curve = z.object({ timeS: z.array(z.number()), tempC: z.array(z.number()) });
export const SimulatedSchema = z.object({
  read: z.object({
    bond: z.number(),
    mark: z.number().nullable(),
    damage: z.number().nullable(),
    dye: z.number().nullable(),
    glueC: z.number(),
    faceC: z.number(),
    underC: z.number(),
    insideC: z.number(),
    dampShare: z.number(),
    peel: PeelClockSchema.nullable(),
  }),
  stages: z.array(z.object({ name: z.string(), fromS: z.number(), toS: z.number(), shut: z.boolean() })),
  curves: z.record(z.enum(SIMULATED_PLACES), Curve),
  waterGm2: z.object({ loaded: z.number(), left: z.number() }),
  heatInKJm2: z.number(),
});

const Setting = z.object({ timeS: z.number(), surfaceC: z.number(), bond: z.number() });
export const CorrectReplySchema = z.object({
  correction: Setting.extend({
    askedBond: z.number(),
    rounded: Setting,
    feasible: z.boolean(),
    stoppedBy: z.enum(['longest time', 'shortest time', 'mark', 'damage']).nullable(),
  }),
  helps: z.array(EffectSchema),
});
export const SweepReplySchema = z.object({
  x: z.array(z.number()),
  rows: z.array(z.object({ y: z.number(), bonds: z.array(z.number()) })),
});

export const BenchStackSchema = z.object({
  blankName: z.string(),
  productName: z.string(),
  query: HeatQuerySchema,
  allowed: AllowedSchema,
  nominal: z.object({ surfaceC: z.number(), timeS: z.number() }),
  bounds: z.array(BoundSchema),
  press: z.object({
    id: z.string(),
    name: z.string(),
    unit: z.enum(['C', 'F']),
    step: z.number(),
    minC: z.number(),
    maxC: z.number(),
    offsetK: z.number(),
    spreadK: z.number(),
    slope: z.number(),
    spreadPerK: z.number(),
    refC: z.number(),
  }),
  set: z.object({ tempC: z.number(), timeS: z.number() }),
  spreadK: z.number(),
  shiftSd: z.number(),
  peel: z.enum(PEELS),
  cover: z.object({ asked: z.enum(['required', 'allowed', 'avoid']), layer: StackLayerSchema, on: z.boolean() }),
});

export const LearnedSchema = LearnedShiftSchema.extend({ pressName: z.string(), productName: z.string() });
export type Learned = z.infer<typeof LearnedSchema>;

/** One practice round as it was played. */
export const PracticeRoundSchema = z.object({
  operator: Initials,
  situation: z.string().min(1).max(60),
  mistakes: z.array(z.enum(MISTAKES)).max(MISTAKES.length),
  score: z.number().int().min(0).max(100),
  at: z.number().int().positive(),
});
export type PracticeRound = z.infer<typeof PracticeRoundSchema>;

export const PracticeScoreSchema = z.object({
  operator: z.string(),
  rounds: z.number(),
  meanScore: z.number(),
  /** How often each kind of mistake was made. */
  mistakes: z.record(z.enum(MISTAKES), z.number()),
});
export type PracticeScore = z.infer<typeof PracticeScoreSchema>;
