/** Which transfer for this? The shelf's own facts, ranked for one wish. */
import type { z } from 'zod';
import type { WishSchema } from '../../contract/schemas';
import { type Suited, whichTransfer } from '../../core/advice';
import { notFound } from '../refusal';
import { readFacts } from './cards';
import type { Db } from './versioned';

/** @throws {Refusal} 404 a blank that is not there */
export function rankFor(db: Db, { blankId, ...wish }: z.output<typeof WishSchema>): Suited[] {
  const facts = readFacts(db);
  const blank = facts.blanks.find((blank) => blank.id === blankId);
  const fabric = facts.fabrics.find((fabric) => fabric.id === blank?.fabricId);
  if (!blank || !fabric) throw notFound('blank', blankId);
  return whichTransfer({ ...wish, size: wish.size || (blank.sizes[0] ?? ''), blank, fabric }, facts);
}
