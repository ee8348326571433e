/** Frozen cards: kept once by content when a run starts, and never changed after. */
import { createHash } from 'node:crypto';
import { eq } from 'drizzle-orm';
import type { Card } from '../../core/card';
import { inNameOrder, readCard } from '../../core/formats';
import { cards } from '../db/schema';
import { notFound } from '../http/problem';
import type { Db } from './versioned';

/** Freezes a card and returns its hash; the same card is stored once. */
export function freezeCard(db: Db, card: Card): string {
  const hash = createHash('sha256')
    .update(JSON.stringify(inNameOrder(card)))
    .digest('hex');
  db.insert(cards).values({ hash, schemaVersion: card.schemaVersion, doc: card }).onConflictDoNothing().run();
  return hash;
}

/** Frozen cards read before, by hash; a frozen card never changes. */
const known = new Map<string, Card>();
const MOST_KNOWN = 200;

/** @throws {Refusal} 404 unknown hash */
export function frozenCard(db: Db, hash: string): Card {
  const card = known.get(hash) ?? readFrozen(db, hash);
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(hash, card);
  return card;
}

function readFrozen(db: Db, hash: string): Card {
  const row = db.select().from(cards).where(eq(cards.hash, hash)).get();
  if (!row) throw notFound('card', hash);
  return readCard(row.schemaVersion, row.doc);
}
