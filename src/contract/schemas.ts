/** What goes over the wire beside the core's own types. */

import { z } from 'zod';
import { HeatWaySchema, WayOutSchema } from '../core/advice';
import { CardSchema } from '../core/card';
import { LearnedShiftSchema } from '../core/draft';
import { FirstHourSchema } from '../core/firstHour';
import { HouseSchema } from '../core/house';
import { AmendmentSchema, LineProgressSchema, PressingSchema, STATION_IDS } from '../core/log';
import { AidSchema, BlankSchema, DUTIES, Dwell, FabricSchema, Id, Initials, SetTemp } from '../core/materials';
import { LineSchema, OrderSchema, PrintSchema, RosterEntrySchema } from '../core/order';
import {
  AirDriveSchema,
  ContradictionSchema,
  FoundCheckSchema,
  HeaterSchema,
  PlatenMapSchema,
  PressRecordSchema,
  PressSchema,
  SurveySchema,
  UseSinceSchema,
} from '../core/press';
import { MOST_TOGETHER, RunEventSchema, RunSchema } from '../core/run';
import { ART_KINDS, ParcelSchema, PEELS, ProductSchema, TestedSchema } from '../core/sheet';
import { PhraseSchema } from '../core/units';
import { LAMP_STATES } from '../core/window';

const Version = z.number().int().min(1);
const LampState = z.enum(LAMP_STATES);

/** An RFC 9457 problem reply. `errors` names each field and what is wrong with it. */
export const ProblemSchema = z.object({
  type: z.string(),
  title: z.string(),
  status: z.number().int(),
  detail: z.string(),
  errors: z.array(z.object({ field: z.string(), message: z.string() })).optional(),
});
export type Problem = z.infer<typeof ProblemSchema>;

/** A stored document that cannot be read: it was left out of a list, and is told instead. */
export const UnreadableSchema = z.object({ what: z.string(), id: z.string(), name: z.string(), why: z.string() });
export type Unreadable = z.infer<typeof UnreadableSchema>;

export const BenchRowSchema = z.object({
  orderId: z.string(),
  name: z.string(),
  customer: z.string(),
  due: z.string(),
  pieces: z.number(),
  good: z.number(),
  spoiled: z.number(),
  lamp: LampState,
  cautions: z.number(),
  minutesLeft: z.number(),
  what: z.string(),
  next: z.object({ station: z.enum(STATION_IDS), lineId: z.string().nullable(), printKey: z.string().nullable(), verb: z.string() }),
});
export type BenchRow = z.infer<typeof BenchRowSchema>;

export const OrderReplySchema = z.object({ order: OrderSchema, version: Version, lines: z.array(LineProgressSchema) });
export const LineCardSchema = z.object({
  lineId: z.string(),
  printKey: z.string(),
  card: CardSchema,
  waysOut: z.array(WayOutSchema),
  heatWays: z.array(HeatWaySchema),
});
export type LineCard = z.infer<typeof LineCardSchema>;

export const ShelfSchema = z.object({
  fabrics: z.array(FabricSchema),
  blanks: z.array(BlankSchema),
  products: z.array(ProductSchema),
  aids: z.array(AidSchema),
  tested: z.array(TestedSchema),
  parcels: z.array(ParcelSchema),
  /** The version of each thing, by its id. */
  versions: z.record(z.string(), Version),
  unreadable: z.array(UnreadableSchema),
});
export type ShelfReply = z.infer<typeof ShelfSchema>;

/** What is left in each parcel, what took from it, and how many are wanted. */
export const ParcelsReplySchema = z.object({
  parcels: z.array(
    z.object({
      id: z.string(),
      /** Below 0: so many more were taken than had been counted; null: it was never counted. */
      left: z.number().int().nullable(),
      /** By prints of its art that have pieces left. */
      wanted: z.number().int(),
      /** How many of those no parcel that came has; null: one was never counted. */
      short: z.number().int().nullable(),
      runs: z.array(z.object({ runId: z.string(), orderId: z.string(), startedAt: z.number(), used: z.number().int() })),
    }),
  ),
  /** Arts of open prints, by transfer. */
  arts: z.array(z.object({ productId: z.string(), art: z.string(), wanted: z.number().int() })),
});
export type ParcelsReply = z.infer<typeof ParcelsReplySchema>;

/** A thing of the shelf as it stands after a change. */
export const thingReply = <T extends z.ZodType>(schema: T) => z.object({ doc: schema, version: Version });

export const WishSchema = z.object({
  blankId: Id,
  shade: z.enum(['light', 'dark']),
  size: z.string().max(20),
  artKind: z.enum(ART_KINDS),
  widthMm: z.number().positive('The art needs a width.').max(2000),
  heightMm: z.number().positive('The art needs a height.').max(2000),
  count: z.number().int('Pieces come whole.').min(1, 'At least one piece.').max(1000),
  duty: z.enum(DUTIES),
});
/** What measuring a press is worth to the open work. */
/** What a transfer is set to on a fabric, and its lamp. */
export const TestedMatrixSchema = z.object({
  press: z.object({ id: z.string(), name: z.string(), unit: z.enum(['C', 'F']), measured: z.boolean() }),
  fabrics: z.array(z.object({ id: z.string(), name: z.string(), blankName: z.string() })),
  rows: z.array(
    z.object({
      productId: z.string(),
      name: z.string(),
      /** One a fabric, in their order. */
      cells: z.array(
        z.object({
          lamp: z.enum(['clear', 'care', 'hold']),
          setC: z.number(),
          timeS: z.number(),
          peel: z.enum(PEELS),
          soundChance: z.number(),
          /** What speaks against it, the worst first. */
          why: PhraseSchema.nullable(),
          shade: z.enum(['light', 'dark']).nullable(),
          /** The day of the test it starts from; null: from its sheet. */
          testedOn: z.string().nullable(),
        }),
      ),
    }),
  ),
});

export const PressReplySchema = z.object({
  press: PressSchema,
  version: Version,
  /** Day its upper platen was last surveyed, or its figures typed in; null: never measured. */
  measuredOn: z.string().nullable(),
});
export const HouseReplySchema = z.object({ house: HouseSchema, version: Version });

export const RunReplySchema = z.object({
  run: RunSchema,
  orderName: z.string(),
  card: CardSchema,
  /** The other prints pressed in it, as `run.also` has them. */
  also: z.array(z.object({ orderName: z.string(), card: CardSchema })),
  events: z.array(RunEventSchema),
  /** Slips of paper are to be pulled at its press before it is used. */
  pullDue: z.boolean(),
  now: z.number(),
});
export type RunReply = z.infer<typeof RunReplySchema>;
/** What is new of a run: its events from the one after so many on. */
export const RunEventsReplySchema = z.object({ from: z.number().int(), events: z.array(RunEventSchema), now: z.number() });
export type RunEventsReply = z.infer<typeof RunEventsReplySchema>;
const AskedPrintSchema = z.object({
  orderId: Id,
  lineId: Id,
  /** Which print of the line; absent: its first. */
  printKey: z.string().max(36).optional(),
  /** The pieces of one person of the roster alone; absent: all that are left. */
  person: RosterEntrySchema.optional(),
});
/** A print that is to be pressed. */
export type AskedPrint = z.infer<typeof AskedPrintSchema>;
export const StartRunSchema = AskedPrintSchema.extend({
  operator: Initials,
  /** Other prints to press in the same run, after its own. */
  also: z
    .array(AskedPrintSchema.required({ printKey: true }))
    .max(MOST_TOGETHER - 1, `A run has at most ${MOST_TOGETHER} prints.`)
    .optional(),
});
/** A print that can be pressed in the run of another, because the press is set alike for both. */
export const TogetherSchema = z.object({
  orderId: Id,
  orderName: z.string(),
  due: z.string(),
  lineId: Id,
  printKey: z.string(),
  /** What it is: pieces left, blank, size, art. */
  left: z.number().int(),
  what: z.string(),
  lamp: LampState,
  /** What its own card would set, °C on the readout, where that is not what the first sets. */
  ownC: z.number().nullable(),
});
export type Together = z.infer<typeof TogetherSchema>;

const Pieces = z.array(z.number().int());
/** What is left as the day ends. */
export const DayEndSchema = z.object({
  now: z.number(),
  runs: z.array(
    z.object({
      runId: z.string(),
      orderId: z.string(),
      lineId: z.string(),
      pressId: z.string(),
      name: z.string(),
      /** Null: the run cannot be read. */
      left: z
        .object({
          onPress: Pieces,
          cooling: z.array(z.object({ pieces: Pieces, until: z.number() })),
          waiting: Pieces,
          notBegun: z.number().int(),
        })
        .nullable(),
    }),
  ),
  /** Every press, and whether it was used today; `lastAt`: when the last piece had its verdict there. */
  presses: z.array(z.object({ id: z.string(), name: z.string(), lastAt: z.number().nullable(), isUsed: z.boolean() })),
  /** `at`: when the last one was taken away. */
  backup: z.object({ at: z.number().nullable(), pressedSince: z.number().int(), isDue: z.boolean() }),
  /** Orders that are late, or due today or tomorrow. */
  next: z.array(BenchRowSchema.pick({ orderId: true, name: true, due: true, next: true }).extend({ left: z.number().int() })),
});
export type DayEnd = z.infer<typeof DayEndSchema>;

/** A mean off the place, and whether it is one. */
export const LeanSchema = z.object({ mean: z.number(), sure: z.boolean() });
export const LoggedPressingSchema = PressingSchema.extend({ withdrawn: z.boolean(), amendments: z.array(AmendmentSchema) });
export type Logged = z.infer<typeof LoggedPressingSchema>;
export const LogQuerySchema = z.object({
  q: z.string().max(100).optional(),
  orderId: z.string().max(64).optional(),
  outcome: z.enum(['good', 'spoiled']).optional(),
  fabric: z.string().max(80).optional(),
  product: z.string().max(80).optional(),
  press: z.string().max(80).optional(),
  /** Days, both within. */
  from: z.iso.date().optional(),
  to: z.iso.date().optional(),
  /** Only pressings that ended before this instant, ms: the next page. */
  before: z.coerce.number().optional(),
  /** Id of the last pressing of the page before: of those that ended in the same instant, only the ones after it. */
  beforeId: z.string().max(64).optional(),
  limit: z.coerce.number().int().min(1).max(500).default(100),
});
export const LogReplySchema = z.object({
  pressings: z.array(LoggedPressingSchema),
  total: z.number(),
  more: z.boolean(),
  unreadable: z.array(UnreadableSchema),
});

/** A pressing with the card it was pressed by; null where none came with it. */
export const PressingReplySchema = z.object({ pressing: LoggedPressingSchema, card: CardSchema.nullable() });

/** A new order that repeats a past pressing, and what has changed since. */
export const AgainReplySchema = z.object({ order: OrderSchema, changes: z.array(PhraseSchema), missing: z.array(z.string()) });

/** What becomes of a thing an import names. */
const WHATS = ['added', 'changed', 'taken off', 'withdrawn'] as const;

/** What an import would do, or has done. */
export const ImportReplySchema = z.object({
  /** Each change by name, the first of them. */
  changes: z.array(z.object({ kind: z.string(), id: z.string(), name: z.string(), what: z.enum(WHATS), fields: z.array(z.string()) })),
  /** All of them, counted by what they are. */
  counts: z.array(z.object({ kind: z.string(), what: z.enum(WHATS), n: z.number().int() })),
  same: z.number().int(),
  /** The first of the faults, and how many there are. */
  faults: z.array(z.object({ line: z.number(), field: z.string(), message: z.string() })),
  faultCount: z.number().int(),
  /** What is worth knowing of how the file was read. */
  notes: z.array(z.string()),
  applied: z.boolean(),
});
export type ImportReply = z.infer<typeof ImportReplySchema>;

export const RailSchema = z.object({
  /** The server's clock, ms. */
  now: z.number(),
  presses: z.array(
    z.object({
      id: z.string(),
      name: z.string(),
      setC: z.number().nullable(),
      unit: z.enum(['C', 'F']),
      state: z.enum(['free', 'in use', 'closed']),
    }),
  ),
  runs: z.array(
    z.object({
      runId: z.string(),
      orderId: z.string(),
      lineId: z.string(),
      pressId: z.string(),
      label: z.string(),
      verb: z.string(),
      /** Pieces the cue is about. */
      now: z.array(z.number()),
      pieces: z.number(),
      /** Every clock that runs: under the press, and cooling; a scrap that is tried is no piece. */
      clocks: z.array(
        z.object({ pieces: z.array(z.number()), phase: z.enum(['closed', 'cooling']), dueAt: z.number(), timeS: z.number() }),
      ),
    }),
  ),
  unreadable: z.array(UnreadableSchema),
  /** The step of the first hour that comes next, and how many of its steps are behind; null: it is over. */
  firstHour: FirstHourSchema.pick({ next: true }).extend({ behind: z.number(), of: z.number() }).nullable(),
});
export type Rail = z.infer<typeof RailSchema>;

/** Everything a card depends on, in the body: nothing is looked up. */
export const ComputeCardSchema = z.object({
  print: PrintSchema,
  size: LineSchema.shape.size,
  roster: z.array(RosterEntrySchema).max(1000).default([]),
  perClosing: LineSchema.shape.perClosing.default(1),
  blank: BlankSchema,
  fabric: FabricSchema,
  /** Every transfer the print's layers name. */
  products: z.array(ProductSchema).min(1).max(8),
  press: PressSchema,
  house: HouseSchema,
  aids: z.array(AidSchema).max(200).default([]),
  /** Surveys of the press, the latest of each platen. */
  maps: z.array(PlatenMapSchema).max(20).default([]),
  /** The last quick check of each platen since its survey. */
  checks: z
    .array(FoundCheckSchema.omit({ pressId: true }))
    .max(20)
    .default([]),
  /** What the log has learned, by press and transfer. */
  learned: z.array(LearnedShiftSchema).max(500).default([]),
  /** Tested settings, made on this press. */
  tested: z.array(TestedSchema).max(500).default([]),
  /** The day it is: figures measured long before are known less well; absent: as on the day they were found. */
  today: z.iso.date().optional(),
  /** Closings the press has made since a day on which it was measured. */
  closingsSince: z
    .array(UseSinceSchema.omit({ pressId: true }))
    .max(40)
    .default([]),
  /** What ways out may draw on; empty when absent. */
  shelf: z
    .object({ products: z.array(ProductSchema).max(500), presses: z.array(PressSchema).max(50) })
    .default({ products: [], presses: [] }),
});
export type ComputeCard = z.output<typeof ComputeCardSchema>;

/** A choice that differs between houses, and the house it is shown under. */
export const ComputeSchoolSchema = z.object({ rule: HouseSchema.shape.rules.keyof(), house: HouseSchema });
export const SchoolExampleSchema = z.object({
  piece: z.string(),
  answers: z.array(
    z.object({ value: z.string(), facts: z.array(z.object({ name: z.string(), says: PhraseSchema })), steps: z.array(PhraseSchema) }),
  ),
});

/** Everything that was found out about a press, and what follows from it. */
export const PressReportSchema = z.object({
  /** Newest first, with those that were withdrawn. */
  records: z.array(PressRecordSchema),
  /** Ids of those that no longer count. */
  withdrawn: z.array(z.string()),
  unreadable: z.array(UnreadableSchema),
  maps: z.array(PlatenMapSchema),
  /** The last quick check of each platen since its survey. */
  checks: z.array(FoundCheckSchema),
  /** Where the last survey of the upper platen contradicts the one before it; null: nowhere. */
  contradicts: ContradictionSchema.nullable(),
  points: z.array(z.object({ on: z.string(), meanK: z.number(), surveyId: z.string() })),
  chart: z.object({
    baseline: z.number(),
    limits: z.object({ centreK: z.number(), lowK: z.number(), highK: z.number(), sdK: z.number() }).nullable(),
    outside: z.array(z.number()),
  }),
  due: z.object({ used: z.number(), closingsLeft: z.number(), daysLeft: z.number(), isDue: z.boolean() }).nullable(),
  heater: HeaterSchema.nullable(),
});
export type PressReport = z.infer<typeof PressReportSchema>;

export const DevicesSchema = z.object({
  /** Port gateways are listened to on; null: none. */
  port: z.number().nullable(),
  devices: z.array(
    z.object({
      device: z.string(),
      kind: z.enum(['press', 'probe', 'gun', 'unknown']),
      state: z.enum(['live', 'silent', 'nonsense', 'clock jumped']),
      fault: z.string(),
      reading: z.object({ readC: z.number(), steady: z.boolean() }).nullable(),
      pressId: z.string().nullable(),
      press: z.object({ setC: z.number(), readoutC: z.number(), state: z.string(), leftS: z.number().nullable() }).nullable(),
      simulated: z.boolean(),
    }),
  ),
});
/** Where the stand-in’s probe is held, and what its press is set to. */
export const HandSchema = z.object({
  pressId: z.string().max(64),
  xMm: z.number().min(-1000).max(1000),
  yMm: z.number().min(-1000).max(1000),
  setC: SetTemp,
});

const SidesSchema = z.object({ widthMm: z.number().min(30).max(2000), heightMm: z.number().min(30).max(2000) });
export const ComputeSurveySchema = z.object({ survey: SurveySchema, platen: SidesSchema, on: z.iso.date() });
export const ComputePressureSchema = z.object({
  drive: AirDriveSchema,
  /** What truly touches, mm². */
  areaMm2: z.number().positive('Nothing touches: the area must be over zero.').max(4e6),
  /** One of the two is given, the other is worked out. */
  lineKPa: z.number().min(0).max(1500, 'No line holds more than 1500 kPa here.').optional(),
  contactKPa: z.number().min(0).max(1000).optional(),
});
export const ComputePressureReplySchema = z.object({
  lineKPa: z.number(),
  contactKPa: z.number(),
  forceN: z.number(),
  crushes: z.boolean(),
  ratioGuessed: z.boolean(),
});
export const ComputeWarmUpSchema = z.object({
  heater: HeaterSchema,
  fromC: z.number().min(-10).max(260),
  toC: z.number().min(-10).max(260),
  roomC: z.number().min(-10).max(50),
  closing: z
    .object({
      areaMm2: z.number().positive().max(4e6),
      effusivity: z.number().positive().max(20_000),
      seconds: Dwell,
      setC: SetTemp,
      startC: z.number().min(-10).max(260),
    })
    .optional(),
});
/** Times in s; null: never. */
export const ComputeWarmUpReplySchema = z.object({
  seconds: z.number().nullable(),
  dropK: z.number().nullable(),
  shortestCycleS: z.number().nullable(),
});
export const ComputeCardReplySchema = z.object({ card: CardSchema, waysOut: z.array(WayOutSchema), heatWays: z.array(HeatWaySchema) });
