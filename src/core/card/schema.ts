/** The card: a worked-out pressing for one print on one press, as plain data that can be frozen, stored and sent. */

import { z } from 'zod';
import { HeatSchema } from '../bond';
import { MIRRORS, ReasonSchema } from '../draft';
import { LampSchema, PressureSettingSchema, SettingSchema } from '../judgement';
import { COVER_KINDS, DUTIES, POSITIONS, PRESSURE_BANDS, SIDES } from '../materials';
import { LaySchema, RosterEntrySchema } from '../order';
import { BandSchema, HeaterSchema } from '../press';
import { FAMILY_IDS, FigureSchema, PEELS } from '../sheet';
import { PhraseSchema } from '../units';
import { MarginSchema, WindowSchema } from '../window';

/** Raised when a stored card can no longer be read as is; every older version keeps a reader. */
export const CARD_SCHEMA_VERSION = 3;

const Temp = z.number();

/** One layer of the stack, top to bottom. */
export const LayerSchema = z.object({
  role: z.enum([
    'upper platen',
    'pad over',
    'cover',
    'carrier',
    'transfer',
    'adhesive',
    'earlier print',
    'fabric',
    'pillow',
    'pad',
    'lower platen',
  ]),
  name: z.string(),
  thicknessMm: z.number().nullable(),
  hot: z.boolean(),
  /** Not there in the stage before. */
  fresh: z.boolean(),
});
export type Layer = z.infer<typeof LayerSchema>;

const STAGE_KINDS = [
  'marry',
  'trim',
  'load',
  'pre-press',
  'place',
  'tack',
  'turn over',
  'press',
  'rub',
  'wait',
  'peel',
  'finish',
  'cool',
  'inspect',
] as const;
export const StageSchema = z.object({
  kind: z.enum(STAGE_KINDS),
  /** Who is busy: the press, the clock, or the hands. */
  by: z.enum(['press', 'clock', 'hands']),
  timeS: z.number(),
  /**
   * Of a wait: from when it may be peeled, and until when it still is as warm as it should be, s after opening; null: it keeps.
   * `onBase`: it is left on the press meanwhile.
   */
  span: z.object({ fromS: z.number(), toS: z.number().nullable(), onBase: z.boolean().optional() }).optional(),
  /** What the upper platen is set to for it, °C; null where the press is not closed. */
  setC: Temp.nullable(),
  says: PhraseSchema,
  stack: z.array(LayerSchema),
  /** What a closing is set to beside its temperature and time, and how it is peeled; absent: no closing, or from before it was kept. */
  set: z
    .object({
      band: z.enum(PRESSURE_BANDS),
      setting: PressureSettingSchema,
      cover: z.enum(COVER_KINDS).nullable(),
      peel: z.enum(PEELS),
      lowerC: Temp.nullable(),
    })
    .optional(),
});
export type Stage = z.infer<typeof StageSchema>;

/** Where in a piece's passage a step is told: at a stage, as married sheets are parted, or as the press is opened. */
const STEP_PLACES = [...STAGE_KINDS, 'rub married', 'part', 'open', 'pull'] as const;

export const StepSchema = z.object({
  says: PhraseSchema,
  safety: PhraseSchema.optional(),
  /** Absent: it belongs to the card as a whole, or to its set-up. */
  at: z.enum(STEP_PLACES).optional(),
});
export type Step = z.infer<typeof StepSchema>;

/** A transfer of the print. */
const LayerOfSchema = z.object({
  productId: z.string(),
  productName: z.string(),
  colour: z.string().nullable(),
  /** How its art lies on its own sheet, and how it is peeled; null: from before each layer had its own. */
  mirror: z.enum(MIRRORS).nullable(),
  peel: z.enum(PEELS).nullable(),
});

export const CardSchema = z.object({
  schemaVersion: z.literal(CARD_SCHEMA_VERSION),
  of: z.object({
    blankId: z.string(),
    blankName: z.string(),
    size: z.string(),
    colour: z.string(),
    fabricId: z.string(),
    fabricName: z.string(),
    composition: z.string(),
    duty: z.enum(DUTIES),
    productId: z.string(),
    productName: z.string(),
    /** Absent: from before it was kept beside its name. */
    familyId: z.enum(FAMILY_IDS).optional(),
    familyName: z.string(),
    /** Every layer in pressing order; the last is the product above. */
    layers: z.array(LayerOfSchema),
    pressId: z.string(),
    pressName: z.string(),
    pressKind: z.string(),
    printKey: z.string(),
    /** In words, with its side. */
    position: z.string(),
    /** As the order has it; absent: from before it was kept apart from its words. */
    place: z.enum(POSITIONS).optional(),
    side: z.enum(SIDES).optional(),
    artName: z.string(),
    widthMm: z.number(),
    heightMm: z.number(),
    roster: z.array(RosterEntrySchema),
    perClosing: z.number(),
    sheet: z.object({
      name: z.string(),
      on: z.string(),
      /** Its press stage as it is written, °C and s; absent: from before it was kept so. */
      tempC: FigureSchema.optional(),
      timeS: FigureSchema.optional(),
    }),
  }),
  set: SettingSchema,
  window: WindowSchema,
  delivered: BandSchema,
  margins: z.array(MarginSchema),
  smallestMarginK: z.number(),
  /** The rule its lamp came about by: chances, or in cards from before, kelvins to spare. */
  judgedBy: z.enum(['chance', 'margin']),
  /** That a piece comes out sound: bonded, unmarked, unharmed, unstained; absent: not worked out. */
  soundChance: z.number().optional(),
  lamp: LampSchema,
  /** How the piece is laid on the platen; absent: from before it was worked out. */
  laid: z.object({ lay: LaySchema, loading: z.enum(['threaded', 'flat']), clearanceMm: z.number().nullable() }).optional(),
  /** Absent: not worked out, on a card on Hold or from before it was. */
  heat: HeatSchema.optional(),
  stages: z.array(StageSchema),
  /** By what a change of heat between its closings is reckoned; absent: there is none, or from before it was. */
  turning: z.object({ heater: HeaterSchema.nullable(), roomC: Temp }).optional(),
  steps: z.array(StepSchema),
  reasons: z.array(ReasonSchema),
  care: z.string(),
  minutesPerPiece: z.number(),
});
export type Card = z.infer<typeof CardSchema>;
