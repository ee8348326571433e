/** What can happen in a run. Events are facts: each has an id of its own, an instant, and is never changed. */
import { z } from 'zod';
import { Dwell, Id, SetTemp, Words } from '../materials';

/** Why a piece was spoiled, in the words of the press room; the order is that of the keys that choose them. */
export const SPOIL_REASONS = [
  'crooked or misplaced',
  'would not peel clean',
  'shine or press mark',
  'scorched',
  'ink spread or sunk',
  'fault in the blank',
  'fault in the transfer',
  'something else',
] as const;
export type SpoilReason = (typeof SPOIL_REASONS)[number];

/** How the pieces are gone through: each to its end as far as the clocks allow, or all of them through one stage first. */
export const STYLES = ['piece by piece', 'step by step'] as const;
export type Style = (typeof STYLES)[number];

/** How a scrap of raised film came out. */
export const TRIAL_LOOKS = ['too flat', 'right', 'past its best'] as const;
export type TrialLooks = (typeof TRIAL_LOOKS)[number];

const base = { id: z.uuid(), at: z.number().int().positive() };
/** Which piece; absent: the one in hand, where pieces are pressed one after the other. */
const piece = z.number().int().min(1).max(1000).optional();
/** The stage its piece was seen at; absent: whichever it is at. So a step that two devices take at once is taken once. */
const stage = z.number().int().min(0).max(100).optional();

export const RunEventSchema = z.discriminatedUnion('kind', [
  /** A stage of the hands or a wait is over. */
  z.object({ ...base, kind: z.literal('next'), piece, stage }),
  /** With what a device read of the platen as it closed, °C, where one did. */
  z.object({ ...base, kind: z.literal('closed'), piece, stage, readC: z.number().min(-50).max(400).optional() }),
  z.object({ ...base, kind: z.literal('opened'), piece, stage }),
  z.object({ ...base, kind: z.literal('peeled'), piece, stage }),
  z.object({ ...base, kind: z.literal('laid back'), piece, stage }),
  z.object({ ...base, kind: z.literal('kept'), piece, stage }),
  z.object({ ...base, kind: z.literal('spoiled'), piece, stage, reason: z.enum(SPOIL_REASONS), note: Words }),
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
  /** From here on the full press is set otherwise than carded: seconds or °C. */
  z.object({ ...base, kind: z.literal('set'), timeS: Dwell }),
  z.object({ ...base, kind: z.literal('set temperature'), tempC: SetTemp }),
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

/** A run as it was started: whose line and which of its prints, how many pieces, and the frozen card by its hash. */
export const RunSchema = z.object({
  id: Id,
  orderId: Id,
  lineId: Id,
  printKey: z.string(),
  cardHash: z.string().regex(/^[0-9a-f]{64}$/),
  pieces: z.number().int().min(1).max(1000),
  /** Pieces pressed together in one closing. */
  perClosing: z.number().int().min(1).max(60),
  startedAt: z.number().int(),
  /** Version of the machine its events are taken by. */
  machine: z.number().int().min(1),
  /** Points of the set-up that hold from the run before at this press. */
  holds: z.array(z.string().max(40)).max(40).default([]),
});
export type Run = z.infer<typeof RunSchema>;
