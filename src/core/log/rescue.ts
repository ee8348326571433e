/** A print taken off a spoiled piece again, so that its blank goes back to stock: what it took, kept as an amendment. */
import { z } from 'zod';
import { Words } from '../materials';
import type { Amendment, Pressing } from './pressing';

export const RescueSchema = z.object({
  minutes: z.number().min(0.5, 'Half a minute at least.').max(480, 'A rescue takes at most a working day.'),
  /** The solvent, or what else it came off with. */
  by: Words.min(1, 'What it came off with.').max(80, 'At most 80 letters.'),
});
export type Rescue = z.infer<typeof RescueSchema>;

/** As an amendment carries it, and read back; null: it carries something else. */
export const rescueText = ({ minutes, by }: Rescue): string => `${minutes} ${by}`;
export function readRescue(text: string): Rescue | null {
  const [minutes = '', ...by] = text.split(' ');
  const read = RescueSchema.safeParse({ minutes: Number(minutes), by: by.join(' ') });
  return read.success ? read.data : null;
}

/** Whether a print can be taken off: the piece was spoiled with its transfer on it. */
export const canBeRescued = ({ outcome, lost }: Pick<Pressing, 'outcome' | 'lost'>): boolean => outcome === 'spoiled' && lost === undefined;

/** What the last of a pressing's amendments says of it; null: it was not taken off. */
export function rescueOf(amendments: readonly Pick<Amendment, 'field' | 'to'>[]): Rescue | null {
  const last = amendments.filter(({ field }) => field === 'rescued').at(-1);
  return last ? readRescue(last.to) : null;
}
