/** What the log has taught of a press with a transfer: how far its bond lies from what was reckoned. */
import { z } from 'zod';
import { Id } from '../materials';

/** What the log has learned of one press with one transfer: the bond is `shift` times what the figures give. */
export const LearnedShiftSchema = z.object({
  pressId: Id,
  productId: Id,
  shift: z.number().min(0.2, 'A shift under 0.2 is a fault, not a shift.').max(5, 'A shift over 5 is a fault, not a shift.'),
  /** Of its logarithm. */
  sd: z.number().min(0).max(1),
  /** Pressings it rests on. */
  n: z.number().int().min(0),
});
export type LearnedShift = z.infer<typeof LearnedShiftSchema>;
