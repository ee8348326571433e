/** Uses: what each press has been through since it was measured, from the log. */
import { parseISO } from 'date-fns';
import { and, count, eq, gte } from 'drizzle-orm';
import type { Press, UseSince } from '../../core/press';
import { pressings } from '../db/schema';
import type { Db } from './perShop';

/** A piece takes about so many closings, pre-press or second press among them. */
const CLOSINGS_A_PIECE = 2;

/** Since every day on which a figure of a press was found that may be in use. @param found its surveys and quick checks */
export function usesSince(db: Db, presses: readonly Press[], found: readonly { pressId: string; on: string }[]): UseSince[] {
  return presses.flatMap(({ id, name, calibration }) => {
    const days = new Set([...(calibration ? [calibration.on] : []), ...found.filter((one) => one.pressId === id).map((one) => one.on)]);
    return [...days].map((on) => {
      const since = parseISO(on).getTime();
      const row = db
        .select({ n: count() })
        .from(pressings)
        .where(and(eq(pressings.press, name), gte(pressings.endedAt, since)))
        .get();
      return { pressId: id, on, closings: CLOSINGS_A_PIECE * (row?.n ?? 0) };
    });
  });
}
