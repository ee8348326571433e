/** What was found out about a press, each once and for good: surveys, quick checks, rotate tests, paper pulls, heating times. */
import { z } from 'zod';
import { Id, Initials, Words } from '../materials';
import { CORNERS, PULLS } from './paperPull';
import { QuickCheckSchema, SurveySchema } from './survey';

const found = {
  id: Id,
  pressId: Id,
  /** Instant, ms, UTC. */
  at: z.number().int().positive(),
  by: Initials,
  note: Words,
};

/** The garment was turned round and pressed again: where was the bad area then? */
const RotateTestSchema = z.object({
  ...found,
  kind: z.literal('rotate test'),
  productId: Id,
  /** `piece`: the bad area went round with it. `press`: it stayed where it was on the press. */
  badStayedWith: z.enum(['piece', 'press']),
});

const PaperPullSchema = z.object({
  ...found,
  kind: z.literal('paper pull'),
  pulls: z.record(z.enum(CORNERS), z.enum(PULLS)),
});

/** No press here heats or cools faster, K/min: a small iron of 2.4 kW heats at 160, a bare sole in moving air cools at 30. */
const FASTEST_K_MIN = { heating: 200, cooling: 60 } as const;

const HeatingTimeSchema = z
  .object({
    ...found,
    kind: z.literal('heating time'),
    fromC: z.number().min(0).max(260),
    toC: z.number().min(0).max(260),
    seconds: z.number().positive('A heating takes some time.').max(7200, 'Two hours is no heating.'),
    roomC: z.number().min(-10).max(50),
  })
  .superRefine(({ fromC, toC, seconds, roomC }, ctx) => {
    const fault = (path: string, message: string) => ctx.addIssue({ code: 'custom', path: [path], message });
    const heating = toC > fromC;
    const kelvinAMinute = (Math.abs(toC - fromC) / seconds) * 60;
    if (Math.abs(fromC - toC) < 5) fault('toC', 'The two temperatures are almost the same: log a larger change.');
    else if (!heating && toC <= roomC) fault('toC', 'No press cools to the room or under it: log the time to a temperature over the room.');
    else if (kelvinAMinute > FASTEST_K_MIN[heating ? 'heating' : 'cooling'])
      fault('seconds', `No press ${heating ? 'heats' : 'cools'} so fast. Check the seconds and the two temperatures.`);
  });

export const PressRecordSchema = z.discriminatedUnion('kind', [
  SurveySchema,
  QuickCheckSchema,
  RotateTestSchema,
  PaperPullSchema,
  HeatingTimeSchema,
]);
export type PressRecord = z.infer<typeof PressRecordSchema>;

/** A later word on a record: it no longer counts, or counts again. The record itself stays as it was written. */
export const PressAmendmentSchema = z.object({
  id: z.uuid(),
  recordId: Id,
  to: z.enum(['withdrawn', 'counts']),
  by: Initials,
  why: Words,
  at: z.number().int().positive(),
});
export type PressAmendment = z.infer<typeof PressAmendmentSchema>;

/** What a rotate test shows. */
export const rotateVerdict = (stayedWith: 'piece' | 'press'): string =>
  stayedWith === 'press'
    ? 'The bad area stayed where it is on the press: the press is colder or lighter there. Survey it.'
    : 'The bad area went round with the piece: it is in the transfer or the cloth, not in the press.';
