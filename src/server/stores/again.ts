/** A past pressing opened again: with the card as it was, and as a new order that repeats it. */

import { randomUUID } from 'node:crypto';
import { addDays } from 'date-fns';
import { changesSince, choicesToRepeat } from '../../core/advice';
import { type Card, resolve } from '../../core/card';
import type { Pressing } from '../../core/log';
import { POSITIONS, sidedWords } from '../../core/materials';
import type { Line, Order, Print } from '../../core/order';
import { dayOf } from '../day';
import { Refusal } from '../refusal';
import { type Facts, inputOf, readFacts } from './cards';
import { frozenCard } from './frozenCards';
import { findOrder } from './orders';
import { findPressing } from './pressings';
import type { Db } from './versioned';

/** A week is what most reorders are given. */
const DUE_IN_DAYS = 7;

/** The card a pressing was pressed by; null where none came with it. */
function cardOf(db: Db, pressing: Pressing): Card | null {
  try {
    return frozenCard(db, pressing.cardHash);
  } catch (error) {
    if (error instanceof Refusal && error.kind === 'not found') return null;
    throw error;
  }
}

/** @throws {Refusal} 404 */
export function pressingReply(db: Db, id: string) {
  const pressing = findPressing(db, id);
  return { pressing, card: cardOf(db, pressing) };
}

/** The line a pressing was of, as its order has it or had it. */
function lineOf(db: Db, pressing: Pressing): Line | undefined {
  try {
    return findOrder(db, pressing.orderId).doc.lines.find((line) => line.id === pressing.lineId);
  } catch {
    return undefined;
  }
}

/** Where a card's print goes; an older card has it in words alone. */
const positionOf = ({ of }: Card): Print['position'] =>
  of.place ?? POSITIONS.find((position) => sidedWords({ position, side: of.side }) === of.position) ?? 'full front';

/** A print from its card alone, for a line that is no longer there. */
const printFrom = (card: Card): Print => printOf(card.of, positionOf(card));

const printOf = (of: Card['of'], position: Print['position']): Print => ({
  key: of.printKey,
  position,
  ...(of.side && { side: of.side }),
  artName: of.artName,
  artKind: 'few flat colours',
  widthMm: of.widthMm,
  heightMm: of.heightMm,
  layers: of.layers.map((layer, i) => ({
    key: `l${i}`,
    productId: layer.productId,
    ...(layer.colour && { colour: layer.colour }),
    over: i === 0 ? [] : [`l${i - 1}`],
  })),
  embossed: false,
  looseParts: false,
  smallType: false,
  crossesSeam: false,
  pressId: of.pressId,
  choices: {},
});

/** What a repeat needs that the shelf or the shop no longer has. */
function missingFrom(facts: Facts, line: Line): string[] {
  const missing: string[] = [];
  if (!facts.blanks.some((blank) => blank.id === line.blankId)) missing.push('the blank');
  for (const print of line.prints) {
    for (const layer of print.layers)
      if (!facts.products.some((product) => product.id === layer.productId)) missing.push(`a transfer of the ${sidedWords(print)}`);
    if (!facts.presses.some((press) => press.id === print.pressId)) missing.push('the press');
  }
  return missing;
}

/**
 * A new order with the same card as a past pressing; where the card would now come out otherwise its set values are kept
 * by hand, so that it is judged as it was pressed. Nothing is stored.
 *
 * @throws {Refusal} 404 no such pressing; 409 no card came with it, or what it names is gone
 */
export function againReply(db: Db, id: string, now: Date) {
  const { pressing, card } = pressingReply(db, id);
  if (!card)
    throw new Refusal('conflict', 'No card', 'This pressing came in from a list without its card: there is nothing to repeat it by.', [
      { field: 'id', message: 'no card' },
    ]);
  const facts = readFacts(db);
  const old = lineOf(db, pressing);
  const print = old?.prints.find((print) => print.key === pressing.printKey) ?? printFrom(card);
  const line: Line = {
    id: randomUUID(),
    blankId: card.of.blankId,
    size: pressing.size,
    count: old && old.roster.length === 0 ? old.count : 1,
    prints: [print],
    roster: [],
    perClosing: card.of.perClosing,
  };
  const missing = missingFrom(facts, line);
  if (missing.length > 0)
    throw new Refusal('conflict', 'Gone', `The shop no longer has ${missing.join(' and ')} this was pressed with.`, [
      { field: 'id', message: missing.join(', ') },
    ]);
  const { setC: _, ...choices } = print.choices;
  const fresh = resolve(inputOf(facts, { lines: [line] }, line, print));
  const repeated = { ...print, choices: choicesToRepeat(card, fresh, fresh.set.byHand ? print.choices : choices) };
  const due = dayOf(addDays(now, DUE_IN_DAYS));
  const order: Order = {
    id: randomUUID(),
    name: `${pressing.orderName.slice(0, 73)}, again`,
    customer: '',
    due,
    note: '',
    lines: [{ ...line, prints: [repeated] }],
    again: pressing.orderId,
  };
  return { order, changes: changesSince(card, fresh), missing };
}
