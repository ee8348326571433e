/** Cards: worked out from what the shop holds now, and frozen by content when a run starts. */
import { createHash } from 'node:crypto';
import { eq } from 'drizzle-orm';
import { type Card, type House, type Line, type Order, type ResolveInput, resolve, type WayOut, waysOut } from '../../core/card';
import { readCard } from '../../core/formats';
import type { Press } from '../../core/press';
import { cards } from '../db/schema';
import { notFound } from '../http/problem';
import { readHouse } from './house';
import { listPresses, readShelf, type Shelf } from './shelf';
import type { Db } from './versioned';

/** Everything cards are worked out from, read once for many lines. */
export interface Facts extends Shelf {
  presses: Press[];
  house: House;
}

export const readFacts = (db: Db): Facts => ({
  ...readShelf(db),
  presses: listPresses(db).map((row) => row.doc),
  house: readHouse(db).doc,
});

/** @throws {Refusal} 404 naming what the line refers to that is not there */
function inputOf(facts: Facts, line: Line): ResolveInput {
  const pick = <T extends { id: string }>(all: T[], id: string, what: string): T => {
    const found = all.find((one) => one.id === id);
    if (!found) throw notFound(what, id);
    return found;
  };
  const blank = pick(facts.blanks, line.blankId, 'blank');
  return {
    print: line.print,
    item: { size: line.size },
    blank,
    fabric: pick(facts.fabrics, blank.fabricId, 'fabric'),
    product: pick(facts.products, line.print.productId, 'product'),
    press: pick(facts.presses, line.pressId, 'press'),
    house: facts.house,
  };
}

export const cardOfLine = (facts: Facts, line: Line): Card => resolve(inputOf(facts, line));

export function cardsOfOrder(facts: Facts, order: Order): { lineId: string; card: Card; waysOut: WayOut[] }[] {
  return order.lines.map((line) => {
    const input = inputOf(facts, line);
    const card = resolve(input);
    return { lineId: line.id, card, waysOut: waysOut(input, card, facts) };
  });
}

/** Freezes a card and returns its hash; the same card is stored once. */
export function freezeCard(db: Db, card: Card): string {
  const hash = createHash('sha256').update(canonical(card)).digest('hex');
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

/** JSON with keys in order, so that equal cards have equal text. */
function canonical(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonical).join(',')}]`;
  if (value === null || typeof value !== 'object') return JSON.stringify(value);
  const entries = Object.entries(value)
    .filter(([, v]) => v !== undefined)
    .sort(([a], [b]) => (a < b ? -1 : 1));
  return `{${entries.map(([k, v]) => `${JSON.stringify(k)}:${canonical(v)}`).join(',')}}`;
}
