/** Frozen cards: kept once by content when a run starts, and never changed after. */
import { createHash } from 'node:crypto';
import { eq } from 'drizzle-orm';
import type { Card } from '../../core/card';
import { inNameOrder, readCard } from '../../core/formats';
import { cards } from '../db/schema';
import { notFound } from '../refusal';
import { type Db, perShop, remember } from './perShop';
import { cannotBeRead, textOf } from './readable';

/** SHA-256 of a card's text with its fields in the order of their names. */
export const hashOfCard = (card: unknown): string =>
  createHash('sha256')
    .update(JSON.stringify(inNameOrder(card)))
    .digest('hex');

/** Freezes a card and returns its hash; the same card is stored once. */
export function freezeCard(db: Db, card: Card): string {
  const hash = hashOfCard(card);
  db.insert(cards).values({ hash, schemaVersion: card.schemaVersion, doc: card }).onConflictDoNothing().run();
  return hash;
}

/** Frozen cards read before, by hash; a frozen card never changes. */
const knownOf = perShop(() => new Map<string, Card>());
const MOST_KNOWN = 400;

/** @throws {Refusal} 404 unknown hash; 409 a card that this app cannot read */
export function frozenCard(db: Db, hash: string): Card {
  const known = knownOf(db);
  return known.get(hash) ?? remember(db, known, hash, readFrozen(db, hash), MOST_KNOWN);
}

function readFrozen(db: Db, hash: string): Card {
  const row = db
    .select({ version: cards.schemaVersion, text: textOf(cards.doc) })
    .from(cards)
    .where(eq(cards.hash, hash))
    .get();
  if (!row) throw notFound('card', hash);
  try {
    return readCard(row.version, JSON.parse(row.text));
  } catch (error) {
    throw cannotBeRead('card', hash, error instanceof Error && error.name === 'UnknownCardVersion' ? error.message : 'it is not whole');
  }
}
