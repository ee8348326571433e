/** What the log has taught of a press with a transfer: how far its bond lies from what was reckoned. */
import { z } from 'zod';
import { Id } from '../materials';

/** What the log has learned of one press with one transfer: the bond is `shift` times what the figures give. */
export const LearnedShiftSchema = z.object({
  pressId: Id,
  productId: Id,
  shift: z.number().min(0.2, 'A shift is at least 0.2: less is a fault.').max(5, 'A shift is at most 5: more is a fault.'),
  /** Of its logarithm. */
  sd: z.number().min(0).max(1),
  /** Pressings it rests on. */
  n: z.number().int().min(0),
});
export type LearnedShift = z.infer<typeof LearnedShiftSchema>;
