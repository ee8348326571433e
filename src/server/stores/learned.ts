/** Learned: what the log has taught of each press with each transfer, from the latest pressings and the cards they were pressed by. */

import type { LearnedShift } from '../../core/draft';
import type { House } from '../../core/house';
import { learnShifts, type Reckoned } from '../../core/log';
import { Refusal } from '../refusal';
import { frozenCard } from './frozenCards';
import { latestPressings } from './logTail';
import { type Db, perShop, remember } from './perShop';
import { markOf, whileSame } from './revisions';

type Bond = Pick<Reckoned, 'pressId' | 'productId' | 'bond'>;

/** What frozen cards reckoned, by hash; null: nothing, or it cannot be read. A frozen card never changes. */
const reckonedOf = perShop(() => new Map<string, Bond | null>());

function bondOfCard(db: Db, hash: string): Bond | null {
  const known = reckonedOf(db);
  const before = known.get(hash);
  return before === undefined ? remember(db, known, hash, readBond(db, hash)) : before;
}

function readBond(db: Db, hash: string): Bond | null {
  try {
    const { of, heat } = frozenCard(db, hash);
    return heat ? { pressId: of.pressId, productId: of.productId, bond: heat.bond / (heat.learned?.shift ?? 1) } : null;
  } catch (error) {
    if (error instanceof Refusal) return null;
    throw error;
  }
}

const shiftsOf = perShop(() => new Map<'shifts', { mark: string; value: LearnedShift[] }>());

/**
 * Shifts by press and transfer. Pressings that were withdrawn, that came in from a list without a card, that were pressed
 * by a card from before bonds were reckoned, and what the house has asked to forget, are left out.
 */
export function learnedShifts(db: Db, house: Pick<House, 'forgotten'>): LearnedShift[] {
  const forgotten = house.forgotten ?? [];
  return whileSame(db, shiftsOf(db), 'shifts', JSON.stringify([markOf(db, 'log'), forgotten]), () => shiftsFrom(db, forgotten));
}

function shiftsFrom(db: Db, forgotten: NonNullable<House['forgotten']>): LearnedShift[] {
  const reckoned = latestPressings(db).flatMap(({ hash, outcome, reason, laidBack, endedAt }): Reckoned[] => {
    const card = bondOfCard(db, hash);
    if (!card || forgotten.some((pair) => pair.pressId === card.pressId && pair.productId === card.productId && endedAt <= pair.until))
      return [];
    return [{ ...card, outcome, reason, laidBack }];
  });
  return learnShifts(reckoned);
}
