/** What can happen in a run. Events are facts: each has an id of its own, an instant, and is never changed. */
import { z } from 'zod';
import { COVER_KINDS, Dwell, Id, PRESSURE_BANDS, SetTemp, Words } from '../materials';
import { CHOSEN_STAGES, PARCEL_LOOKS, TESTED_RESULTS } from '../sheet';
import { LOST, READ_BY, SPOIL_REASONS, STYLES, TRIAL_LOOKS } from './choices';

/** Where on the art something is, as shares of its width and height from its top left corner. */
const Share = z.number().min(0).max(1);
export const SpotAreaSchema = z.object({ x: Share, y: Share, width: Share.positive(), height: Share.positive() });
export type SpotArea = z.infer<typeof SpotAreaSchema>;

const base = { id: z.uuid(), at: z.number().int().positive() };
/** Which piece; absent: the one in hand, where pieces are pressed one after the other. */
const piece = z.number().int().min(1).max(1000).optional();
/** The stage its piece was seen at; absent: whichever it is at. So a step that two devices take at once is taken once. */
const stage = z.number().int().min(0).max(100).optional();

const PanelC = z.number().min(-50).max(400);
/** Which closing; absent: the full press. */
const of = z.enum(CHOSEN_STAGES).optional();

export const RunEventSchema = z.discriminatedUnion('kind', [
  /** A stage of the hands or a wait is over. */
  z.object({ ...base, kind: z.literal('next'), piece, stage }),
  /** With what a device read of the platen as it closed, °C, where one did. */
  z.object({ ...base, kind: z.literal('closed'), piece, stage, readC: PanelC.optional() }),
  z.object({ ...base, kind: z.literal('opened'), piece, stage }),
  z.object({ ...base, kind: z.literal('peeled'), piece, stage }),
  z.object({ ...base, kind: z.literal('laid back'), piece, stage }),
  z.object({ ...base, kind: z.literal('kept'), piece, stage }),
  /** `lost` absent: the piece. */
  z.object({
    ...base,
    kind: z.literal('spoiled'),
    piece,
    stage,
    reason: z.enum(SPOIL_REASONS),
    note: Words,
    lost: z.enum(LOST).optional(),
  }),
  /** The press was shut on a part of a piece again, under a cover or bare. */
  z.object({
    ...base,
    kind: z.literal('spot closed'),
    piece,
    stage,
    area: SpotAreaSchema,
    timeS: Dwell,
    cover: z.enum(COVER_KINDS).nullable(),
    readC: PanelC.optional(),
  }),
  /** Something worth keeping about a piece. */
  z.object({ ...base, kind: z.literal('noted'), piece, note: Words.min(1) }),
  /** A photo of a piece was taken; the picture itself is kept by this id. */
  z.object({ ...base, kind: z.literal('photographed'), piece, photo: z.uuid() }),
  /** One point of the set-up was looked at; a temperature read, °C, or transfers counted, where it asks for one. */
  z.object({ ...base, kind: z.literal('checked'), check: z.string().max(40), found: z.number().optional() }),
  /** The press was shut on a scrap for so long. */
  z.object({ ...base, kind: z.literal('trying'), timeS: Dwell }),
  /** A scrap was pressed for so long, and how it looks. */
  z.object({ ...base, kind: z.literal('tried'), timeS: Dwell, looks: z.enum(TRIAL_LOOKS) }),
  /** From here on a closing is set otherwise than carded: seconds, °C, or a band of pressure. */
  z.object({ ...base, kind: z.literal('set'), timeS: Dwell, of }),
  z.object({ ...base, kind: z.literal('set temperature'), tempC: SetTemp, of }),
  z.object({ ...base, kind: z.literal('set pressure'), band: z.enum(PRESSURE_BANDS), of }),
  /** The press was turned to the heat of the next closing, °C. */
  z.object({ ...base, kind: z.literal('turned'), tempC: SetTemp }),
  /** Something was read at the press. */
  z.object({ ...base, kind: z.literal('read'), by: z.enum(READ_BY), value: z.number().min(-50).max(2000) }),
  /** The press was shut empty, so that the base warms. */
  z.object({ ...base, kind: z.literal('base closed') }),
  /** A peel that was begun is done, sooner than planned: the hands are free again. */
  z.object({ ...base, kind: z.literal('freed') }),
  /** The next closings are made although the last reading is off. */
  z.object({ ...base, kind: z.literal('heat passed over') }),
  z.object({ ...base, kind: z.literal('goes'), style: z.enum(STYLES) }),
  z.object({ ...base, kind: z.literal('paused') }),
  z.object({ ...base, kind: z.literal('resumed') }),
  /** Takes back the last event that still stands. */
  z.object({ ...base, kind: z.literal('undone'), of: z.uuid() }),
  /** Ends the run before its last piece. */
  z.object({ ...base, kind: z.literal('stopped') }),
]);
export type RunEvent = z.infer<typeof RunEventSchema>;
/** What happened, without its id and instant. */
export type RunFact = RunEvent extends infer E ? (E extends RunEvent ? Omit<E, 'id' | 'at'> : never) : never;
export type RunEventKind = RunEvent['kind'];

const Pieces = z.number().int().min(1).max(1000);

/** Pieces of one print: whose line and which of its prints, how many, and the frozen card by its hash. */
export const RunPartSchema = z.object({
  orderId: Id,
  lineId: Id,
  printKey: z.string(),
  cardHash: z.string().regex(/^[0-9a-f]{64}$/),
  pieces: Pieces,
  /** A design beside the run's own, pressed in the same closing on the same piece. */
  inClosing: z.literal(true).optional(),
});
export type RunPart = z.infer<typeof RunPartSchema>;

/** More prints than this nobody keeps apart on one bench. */
export const MOST_TOGETHER = 12;

/** What a run knows of a parcel it is pressed from, as it was when the run began. */
export const RunParcelSchema = z.object({
  id: Id,
  name: z.string(),
  productId: Id,
  art: z.string(),
  lies: z.string(),
  /** Transfers in it; null: it was never counted. */
  left: z.number().int().nullable(),
  perSheet: z.number().int(),
  unlooked: z.array(z.enum(PARCEL_LOOKS)),
  /** The day on its sheet of instructions where that is later than the sheet the card goes by, and that one's. */
  newerSheet: z.object({ on: z.string(), than: z.string() }).nullable(),
  trial: z.enum(TESTED_RESULTS).nullable(),
});
export type RunParcel = z.infer<typeof RunParcelSchema>;

/** How much longer than planned a person's hands take: logarithms of the ratios, counted and summed. */
export const PaceSchema = z.object({ n: z.number().min(0), sum: z.number(), squares: z.number().min(0) });
export type Pace = z.infer<typeof PaceSchema>;

/** A run as it was started. */
export const RunSchema = RunPartSchema.extend({
  id: Id,
  /** All of them, with those of `also`. */
  pieces: Pieces,
  /** Other prints with the same settings at the press, pressed after its own in the same run: a batch. */
  also: z
    .array(RunPartSchema)
    .max(MOST_TOGETHER - 1)
    .default([]),
  /** What its transfers are taken from. */
  parcels: z.array(RunParcelSchema).max(40).default([]),
  /** Pieces pressed together in one closing. */
  perClosing: z.number().int().min(1).max(60),
  startedAt: z.number().int(),
  /** Version of the machine its events are taken by. */
  machine: z.number().int().min(1),
  /** Points of the set-up that hold from the run before at this press. */
  holds: z.array(z.string().max(40)).max(40).default([]),
  /** What was known of these hands as it began; null: nothing. */
  pace: PaceSchema.nullable().default(null),
});
export type Run = z.infer<typeof RunSchema>;
