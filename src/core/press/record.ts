/** What was found out about a press, each once and for good: surveys, rotate tests, paper pulls, heating times. */
import { z } from 'zod';
import { Id, Words } from '../materials';
import { CORNERS, PULLS } from './paperPull';
import { SurveySchema } from './survey';

const found = {
  id: Id,
  pressId: Id,
  /** Instant, ms, UTC. */
  at: z.number().int().positive(),
  by: z.string().trim().max(4),
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

const HeatingTimeSchema = z
  .object({
    ...found,
    kind: z.literal('heating time'),
    fromC: z.number().min(0).max(260),
    toC: z.number().min(0).max(260),
    seconds: z.number().positive('A heating takes some time.').max(7200, 'Two hours is no heating.'),
    roomC: z.number().min(-10).max(50),
  })
  .refine((one) => Math.abs(one.fromC - one.toC) >= 5, { path: ['toC'], message: 'Log a change of at least 5 K.' });

export const PressRecordSchema = z.discriminatedUnion('kind', [SurveySchema, RotateTestSchema, PaperPullSchema, HeatingTimeSchema]);
export type PressRecord = z.infer<typeof PressRecordSchema>;

/** What a rotate test shows. */
export const rotateVerdict = (stayedWith: 'piece' | 'press'): string =>
  stayedWith === 'press'
    ? 'The bad area stayed where it is on the press: the press is colder or lighter there. Survey it.'
    : 'The bad area went round with the piece: it is in the transfer or the cloth, not in the press.';
