/** The card: a worked-out pressing for one print on one press, as plain data that can be frozen, stored and sent. */
import { z } from 'zod';
import { EFFECTS } from '../heat';
import { COVER_KINDS, DUTIES, PEELS, POSITIONS, PRESSURE_BANDS, SIDES } from '../materials';
import { PhraseSchema } from '../units';
import { LaySchema, PrintSchema, RosterEntrySchema } from './order';

/** Raised when a stored card can no longer be read as is; every older version keeps a reader. */
export const CARD_SCHEMA_VERSION = 2;

const Temp = z.number();

/** Values on the card that have a chain of reasons. */
export const FIELDS = [
  'temperature',
  'time',
  'pressure',
  'peel',
  'cover',
  'base',
  'mirror',
  'layers',
  'loading',
  'pre-press',
  'finish',
  'art',
] as const;
export type Field = (typeof FIELDS)[number];

const SOURCES = ['sheet', 'fabric', 'blank', 'press', 'house', 'physics', 'log', 'operator'] as const;

export const ReasonSchema = z.object({ field: z.enum(FIELDS), source: z.enum(SOURCES), says: PhraseSchema });
export type Reason = z.infer<typeof ReasonSchema>;

/** A finding that lowers the lamp: a rule that was met, or a margin that is thin or gone. */
export const FindingSchema = z.object({ level: z.enum(['hold', 'care']), rule: z.string(), field: z.enum(FIELDS), says: PhraseSchema });
export type Finding = z.infer<typeof FindingSchema>;

/** One side the delivered band must stay within, on the platen's surface. */
export const BoundSchema = z.object({
  side: z.enum(['sheet low', 'sheet high', 'mark', 'damage', 'under the art', 'inside', 'inside mark', 'dye']),
  /** The band must stay above or below it. */
  keep: z.enum(['above', 'below']),
  surfaceC: Temp,
  /** What passing it does to the lamp. */
  breach: z.enum(['hold', 'care']),
  says: PhraseSchema,
});
export type Bound = z.infer<typeof BoundSchema>;

export const WindowSchema = z.object({
  bounds: z.array(BoundSchema),
  /** Surface minus set at `refC` and its 95 % spread over the art, K; how both change for every K away from it. */
  offsetK: z.number(),
  spreadK: z.number(),
  slope: z.number(),
  spreadPerK: z.number(),
  refC: Temp,
  measured: z.boolean(),
  /** What the press can be set to. */
  settable: z.object({ unit: z.enum(['C', 'F']), step: z.number(), minC: Temp, maxC: Temp }),
  bestSetC: Temp,
});
export type Window = z.infer<typeof WindowSchema>;

const BandSchema = z.object({ lowC: Temp, midC: Temp, highC: Temp });
const MarginSchema = z.object({ side: BoundSchema.shape.side, kelvin: z.number(), breach: BoundSchema.shape.breach });
export type Margin = z.infer<typeof MarginSchema>;

export const LampSchema = z.object({ state: z.enum(['clear', 'care', 'hold']), findings: z.array(FindingSchema) });
export type Lamp = z.infer<typeof LampSchema>;
export type LampState = Lamp['state'];

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

const PressureSettingSchema = z.discriminatedUnion('gauge', [
  z.object({ gauge: z.literal('dial'), reading: z.number(), sure: z.enum(['measured', 'beyond the measured pairs', 'guess']) }),
  z.object({ gauge: z.literal('air'), lineKPa: z.number(), sure: z.enum(['measured', 'beyond the measured pairs', 'guess']) }),
  z.object({ gauge: z.literal('feel'), sure: z.literal('guess') }),
]);

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
const STEP_PLACES = [...STAGE_KINDS, 'part', 'open'] as const;

export const StepSchema = z.object({
  says: PhraseSchema,
  safety: PhraseSchema.optional(),
  /** Absent: it belongs to the card as a whole, or to its set-up. */
  at: z.enum(STEP_PLACES).optional(),
});
export type Step = z.infer<typeof StepSchema>;

/** What the setting does at the glue. Bonds are against what the supplier means: 1 is his own. */
const HeatSchema = z.object({
  bond: z.number(),
  /** Nine pieces in ten lie between; and the chance that a piece is sound, 0 to 1. */
  low: z.number(),
  high: z.number(),
  soundChance: z.number(),
  /** At surface temperatures across the sheet. */
  bonds: z.array(z.object({ surfaceC: Temp, bond: z.number() })),
  /** What differs from the supplier's stack: what it takes at the glue as the press opens, K, and off the bond. */
  takes: z.array(z.object({ of: z.enum(EFFECTS), name: z.string().nullable(), bond: z.number(), glueK: z.number() })),
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

const MIRRORS = ['mirrored', 'as read', 'by the supplier', 'by the printer path'] as const;

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
    familyName: z.string(),
    /** Every layer in pressing order; the last is the product above. */
    layers: z.array(z.object({ productId: z.string(), productName: z.string(), colour: z.string().nullable() })),
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
    sheet: z.object({ name: z.string(), on: z.string() }),
  }),
  set: z.object({
    tempC: Temp,
    /** The lower platen, when heat comes from both sides. */
    lowerC: Temp.nullable(),
    timeS: z.number(),
    byHand: z.boolean(),
    pressure: z.object({ band: z.enum(PRESSURE_BANDS), contactKPa: z.number(), asStated: z.string(), setting: PressureSettingSchema }),
    peel: z.enum(PEELS),
    cover: z.enum(COVER_KINDS).nullable(),
    mirror: z.enum(MIRRORS),
    base: z.enum(['usual pad', 'firm pad', 'pillow']),
    pad: z.enum(['none', 'felt under', 'soft pad over', 'foam over', 'foam behind']),
    platen: z.string().nullable(),
    /** Overlapping spots of a hand press or iron; 1 elsewhere. */
    spots: z.number(),
    /** Times to try on scrap before the first good piece, s; absent: none. */
    trial: z.object({ fromS: z.number(), toS: z.number(), stepS: z.number() }).optional(),
  }),
  window: WindowSchema,
  delivered: BandSchema,
  margins: z.array(MarginSchema),
  smallestMarginK: z.number(),
  lamp: LampSchema,
  /** How the piece is laid on the platen; absent: from before it was worked out. */
  laid: z.object({ lay: LaySchema, loading: z.enum(['threaded', 'flat']), clearanceMm: z.number().nullable() }).optional(),
  /** Absent: not worked out, on a card on Hold or from before it was. */
  heat: HeatSchema.optional(),
  stages: z.array(StageSchema),
  steps: z.array(StepSchema),
  reasons: z.array(ReasonSchema),
  care: z.string(),
  minutesPerPiece: z.number(),
});
export type Card = z.infer<typeof CardSchema>;

/** Which facts a way out changes. */
const ChangeSchema = z.object({
  /** Back to what the card would set by itself. */
  ownSetting: z.literal(true).optional(),
  productId: z.string().optional(),
  pressId: z.string().optional(),
  timeS: z.number().optional(),
  cover: z.boolean().optional(),
  alternative: z.string().optional(),
  heat: z.literal('split').optional(),
  base: z.enum(['pillow', 'firm pad', 'usual pad']).optional(),
  platenId: z.string().optional(),
  perClosing: z.number().optional(),
  lay: PrintSchema.shape.lay,
  moved: PrintSchema.shape.moved,
  /** A test piece is pressed and, if it holds, noted on the blank. */
  testPiece: z.object({ productId: z.string(), markC: z.number().nullable() }).optional(),
});
export type Change = z.infer<typeof ChangeSchema>;
export const WayOutSchema = z.object({
  says: PhraseSchema,
  change: ChangeSchema,
  lamp: z.enum(['clear', 'care']),
  set: z.object({ tempC: Temp, unit: z.enum(['C', 'F']), timeS: z.number() }),
  smallestMarginK: z.number(),
  minutesPerPiece: z.number(),
  costMinor: z.number(),
});
export type WayOut = z.infer<typeof WayOutSchema>;
