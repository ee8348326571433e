/** Learned: what the log has taught of each press with each transfer, from the latest pressings and the cards they were pressed by. */
import { sql } from 'drizzle-orm';
import type { House, LearnedShift } from '../../core/card';
import { learnShifts, type Reckoned } from '../../core/log';
import { frozenCard } from './frozenCards';
import type { Db } from './versioned';

/** Older pressings than these tell of another season’s press. */
const LATEST = 2000;

interface Row {
  hash: string;
  outcome: 'good' | 'spoiled';
  reason: Reckoned['reason'];
  laidBack: number;
  endedAt: number;
}

/** What frozen cards reckoned, by hash; null: nothing. A frozen card never changes. */
const reckonedBy = new Map<string, Pick<Reckoned, 'pressId' | 'productId' | 'bond'> | null>();

function bondOfCard(db: Db, hash: string): Pick<Reckoned, 'pressId' | 'productId' | 'bond'> | null {
  const known = reckonedBy.get(hash);
  if (known !== undefined) return known;
  const { of, heat } = frozenCard(db, hash);
  const own = heat ? { pressId: of.pressId, productId: of.productId, bond: heat.bond / (heat.learned?.shift ?? 1) } : null;
  reckonedBy.set(hash, own);
  return own;
}

/** The last answer, with what it was worked out from: the log only grows, so its counts tell whether it still holds. */
let last: { db: Db; mark: string; shifts: LearnedShift[] } | null = null;

/**
 * Shifts by press and transfer. Pressings that were withdrawn, that came in from a list without a card, that were pressed
 * by a card from before bonds were reckoned, and what the house has asked to forget, are left out.
 */
export function learnedShifts(db: Db, house: Pick<House, 'forgotten'>): LearnedShift[] {
  const forgotten = house.forgotten ?? [];
  const grown = db.get<{ pressings: number | null; amendments: number }>(
    sql`SELECT (SELECT max(seq) FROM pressings) AS pressings, (SELECT count(*) FROM amendments) AS amendments`,
  );
  const mark = JSON.stringify([grown, forgotten]);
  if (last?.db === db && last.mark === mark) return last.shifts;
  const rows = db.all<Row>(sql`
    SELECT json_extract(doc, '$.cardHash') AS hash, outcome, json_extract(doc, '$.reason') AS reason,
      json_extract(doc, '$.laidBack') AS laidBack, ended_at AS endedAt
    FROM pressings
    WHERE run_id IS NOT NULL AND NOT EXISTS
      (SELECT 1 FROM amendments a WHERE a.pressing_id = pressings.id AND a.field = 'standing' AND a.to_value = 'withdrawn')
    ORDER BY seq DESC LIMIT ${LATEST}`);
  const reckoned = rows.flatMap(({ hash, outcome, reason, laidBack, endedAt }): Reckoned[] => {
    const card = bondOfCard(db, hash);
    if (!card || forgotten.some((one) => one.pressId === card.pressId && one.productId === card.productId && endedAt <= one.until))
      return [];
    return [{ ...card, outcome, reason, laidBack }];
  });
  const shifts = learnShifts(reckoned);
  last = { db, mark, shifts };
  return shifts;
}
