/** Reads frozen cards of every schema version that was ever stored. */
import { CARD_SCHEMA_VERSION, type Card, CardSchema } from '../card';
import { readCardV1 } from './cardV1';
import { readCardV2 } from './cardV2';

/** A stored card is of a version this app cannot read. */
class UnknownCardVersion extends Error {
  override name = 'UnknownCardVersion';
}

/** One reader a version; a raised version adds its own and keeps the older ones. */
const READERS: Record<number, (doc: unknown) => Card> = {
  1: readCardV1,
  2: readCardV2,
  3: (doc) => CardSchema.parse(doc),
};

/**
 * @param version schema version stored beside the card
 * @throws {UnknownCardVersion} the card was frozen by a newer app
 */
export function readCard(version: number, doc: unknown): Card {
  const reader = READERS[version];
  if (!reader) throw new UnknownCardVersion(`This card has version ${version}; this app reads up to ${CARD_SCHEMA_VERSION}.`);
  return reader(doc);
}
