/** Reasons: why a value of a card is what it is, and who says so. */
import { z } from 'zod';
import { PhraseSchema } from '../units';

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
