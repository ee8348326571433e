/** Stacks for the Heat bench: of a print of an order, or of three things of the shop. */

import type { Learned } from '../../contract/heat';
import { type BenchStack, benchStack } from '../../core/advice';
import type { LearnedShift } from '../../core/draft';
import { usualPosition } from '../../core/materials';
import type { Line } from '../../core/order';
import { notFound, Refusal } from '../refusal';
import { type Facts, inputOf, readFacts } from './cards';
import { findOrder } from './orders';
import type { Db } from './versioned';

function stackOf(facts: Facts, order: { lines: Line[] }, line: Line, printKey: string): BenchStack {
  const print = line.prints.find(({ key }) => key === printKey);
  if (!print) throw notFound('print', printKey);
  const stack = benchStack(inputOf(facts, order, line, print));
  if (!stack)
    throw new Refusal('not valid', 'Not known', 'This art is pressed from the back of the cloth: the heat model knows no such stack yet.', [
      { field: 'print', message: 'embossed' },
    ]);
  return stack;
}

/** @throws {Refusal} 404 no such order, line or print; 422 a stack the model does not know */
export function orderStack(db: Db, id: string, lineId: string, printKey: string): BenchStack {
  const { doc: order } = findOrder(db, id);
  const line = order.lines.find((line) => line.id === lineId);
  if (!line) throw notFound('line', lineId);
  return stackOf(readFacts(db), order, line, printKey);
}

/** Art of no particular size, where only the stack is asked for, mm. */
const SOME_ART_MM = 100;

/** @throws {Refusal} 404 naming what is not there */
export function shelfStack(db: Db, asked: { blank: string; product: string; press: string }): BenchStack {
  const facts = readFacts(db);
  const blank = facts.blanks.find(({ id }) => id === asked.blank);
  if (!blank) throw notFound('blank', asked.blank);
  const line: Line = {
    id: 'line',
    blankId: blank.id,
    size: blank.sizes[0] ?? '',
    count: 1,
    roster: [],
    perClosing: 1,
    prints: [
      {
        key: 'p',
        position: usualPosition(blank.kind),
        artName: 'art',
        artKind: 'one colour',
        widthMm: SOME_ART_MM,
        heightMm: SOME_ART_MM,
        layers: [{ key: 'a', productId: asked.product, over: [] }],
        embossed: false,
        looseParts: false,
        smallType: false,
        crossesSeam: false,
        pressId: asked.press,
        choices: {},
      },
    ],
  };
  return stackOf(facts, { lines: [line] }, line, 'p');
}

/** What the log has taught, with the names of what it is about; what has left the shop is left out. */
export function learnedByName(db: Db): Learned[] {
  const { learned, presses, products } = readFacts(db);
  return learned.flatMap((shift: LearnedShift) => {
    const press = presses.find(({ id }) => id === shift.pressId);
    const product = products.find(({ id }) => id === shift.productId);
    return press && product ? [{ ...shift, pressName: press.name, productName: product.name }] : [];
  });
}
