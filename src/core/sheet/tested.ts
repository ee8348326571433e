/** A tested setting: what a transfer was pressed at on one material and press, and how it came out. Kept by hand, from a pressing, or from a list. */
import { z } from 'zod';
import { Id, Initials, Name, RetiredOn, Words } from '../materials';
import { PEELS } from './traits';

export const TESTED_RESULTS = ['good', 'lifted', 'marked', 'scorched', 'dye came through', 'another fault'] as const;

export const TestedSchema = z.object({
  id: Id,
  name: Name,
  productId: Id,
  pressId: Id,
  /** The blank it was pressed on, or the fabric, for every blank of it. */
  on: z.object({ kind: z.enum(['blank', 'fabric']), id: Id }),
  /** What the press was set to, °C. */
  setC: z.number().min(20, 'A press is set to 20 °C at least.').max(260, 'A press is set to 260 °C at most.'),
  /** What was read there, by its readout, a gun or a probe, °C; null: nothing. */
  readC: z.number().min(20, 'A platen reads 20 °C at least.').max(300, 'A platen reads 300 °C at most.').nullable(),
  timeS: z.number().min(1, 'A press lasts a second at least.').max(3600, 'A press lasts at most an hour.'),
  peel: z.enum(PEELS),
  result: z.enum(TESTED_RESULTS),
  note: Words,
  by: Initials.min(1, 'Whose test it was: initials.'),
  testedOn: z.iso.date('A day is written as 2026-05-31.'),
  /** It lies outside the transfer's sheet, and was meant so. */
  offSheet: z.boolean(),
  retiredOn: RetiredOn,
});
export type Tested = z.infer<typeof TestedSchema>;
