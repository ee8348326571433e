/** Prints taken off spoiled pieces again: kept as amendments, the record stays as it is. */
import { canBeRescued, type Rescue, rescueOf, rescueText } from '../../core/log';
import { notFound, Refusal } from '../refusal';
import { write } from './perShop';
import { addAmendment, findPressing, type Logged } from './pressings';
import type { Db } from './versioned';

/**
 * Notes that a print was taken off; the same note sent twice is one.
 *
 * @throws {Refusal} 404 no such pressing; 409 it is good, or only its blank was lost
 */
export function noteRescued(db: Db, pressingId: string, id: string, { initials, ...rescue }: Rescue & { initials: string }): Logged {
  return write(db, () => {
    const pressing = findPressing(db, pressingId);
    if (!pressing) throw notFound('pressing', pressingId);
    if (!canBeRescued(pressing))
      throw new Refusal('conflict', 'Nothing to take off', 'Only a spoiled piece with its transfer on it can be rescued.', [
        { field: 'outcome', message: 'not spoiled with its transfer' },
      ]);
    const before = rescueOf(pressing.amendments);
    const from = before ? rescueText(before) : '';
    addAmendment(db, {
      id,
      pressingId,
      field: 'rescued',
      from,
      to: rescueText(rescue),
      by: initials,
      why: 'print taken off',
      at: Date.now(),
    });
    return findPressing(db, pressingId) ?? pressing;
  });
}
