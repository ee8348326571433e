/** Uses: what each press has been through since it was measured, from the log. */
import { parseISO } from 'date-fns';
import { sql } from 'drizzle-orm';
import type { Press, UseSince } from '../../core/press';
import { type Db, perShop, remember } from './perShop';

/** A piece takes about so many closings, pre-press or second press among them. */
const CLOSINGS_A_PIECE = 2;

/** Pieces counted of a press since an instant, and the last record that was looked at: the log only grows, so what came since is enough. */
const countsOf = perShop(() => new Map<string, { seq: number; n: number }>());

function piecesSince(db: Db, press: string, since: number): number {
  const counts = countsOf(db);
  const key = JSON.stringify([press, since]);
  const before = counts.get(key) ?? { seq: 0, n: 0 };
  const { seq } = db.get<{ seq: number }>(sql`SELECT coalesce(max(seq), 0) AS seq FROM pressings`);
  if (seq === before.seq) return before.n;
  // all of it by the press's own index, what came since by its number: a plus keeps an index out of it
  const found =
    before.seq === 0
      ? sql`press = ${press} AND ended_at >= ${since}`
      : sql`seq > ${before.seq} AND +press = ${press} AND +ended_at >= ${since}`;
  const { n } = db.get<{ n: number }>(sql`SELECT count(*) AS n FROM pressings WHERE ${found}`);
  return remember(db, counts, key, { seq, n: before.n + n }, 1000).n;
}

/** Since every day on which a figure of a press was found that may be in use. @param found its surveys and quick checks */
export function usesSince(db: Db, presses: readonly Press[], found: readonly { pressId: string; on: string }[]): UseSince[] {
  return presses.flatMap(({ id, name, calibration }) => {
    const days = new Set([
      ...(calibration ? [calibration.on] : []),
      ...found.filter((candidate) => candidate.pressId === id).map((closing) => closing.on),
    ]);
    return [...days].map((on) => {
      return { pressId: id, on, closings: CLOSINGS_A_PIECE * piecesSince(db, name, parseISO(on).getTime()) };
    });
  });
}
