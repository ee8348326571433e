/** What can happen in a run. Events are facts: each has an id of its own, an instant, and is never changed. */
import { z } from 'zod';
import { Id, Words } from '../materials';

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

const base = { id: z.uuid(), at: z.number().int().positive() };

export const RunEventSchema = z.discriminatedUnion('kind', [
  /** A stage of the hands or a wait is over. */
  z.object({ ...base, kind: z.literal('next') }),
  z.object({ ...base, kind: z.literal('closed') }),
  z.object({ ...base, kind: z.literal('opened') }),
  z.object({ ...base, kind: z.literal('peeled') }),
  z.object({ ...base, kind: z.literal('laid back') }),
  z.object({ ...base, kind: z.literal('kept') }),
  z.object({ ...base, kind: z.literal('spoiled'), reason: z.enum(SPOIL_REASONS), note: Words }),
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
  startedAt: z.number().int(),
});
export type Run = z.infer<typeof RunSchema>;
