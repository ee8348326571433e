/** Cards: worked out from what the shop holds now. */

import type { ComputeCard, LineCard } from '../../contract/schemas';
import { cardsInOneClosing, heatWays, waysOut } from '../../core/advice';
import { type Card, lampAndMinutes, resolve } from '../../core/card';
import type { LearnedShift, ResolveInput } from '../../core/draft';
import type { House } from '../../core/house';
import { closingOf, type Line, type Order, type Print, pressingOrder, topLayer } from '../../core/order';
import type { FoundCheck, FoundSlips, PlatenMap, Press, UseSince } from '../../core/press';
import { pressStage } from '../../core/sheet';
import type { LampState } from '../../core/window';
import { dayOf } from '../day';
import { notFound } from '../refusal';
import { readHouse } from './house';
import { learnedShifts } from './learned';
import { type Db, perShop, remember } from './perShop';
import { asLogged, latestChecks, latestMaps, latestSlips } from './pressRecords';
import { markOf, whileSame } from './revisions';
import { listPresses, readShelf, type Shelf } from './shelf';
import { usesSince } from './uses';
import type { Versioned } from './versioned';

/** Everything cards are worked out from, read once for many lines. */
export interface Facts extends Omit<Shelf, 'parcels'> {
  presses: Press[];
  house: House;
  maps: readonly PlatenMap[];
  slips: readonly FoundSlips[];
  checks: readonly FoundCheck[];
  learned: readonly LearnedShift[];
  /** The day it is, and what presses have been through since they were measured. */
  today?: string | undefined;
  uses?: readonly UseSince[];
}
/** Facts as the shop has them now. */
export interface ShopFacts extends Facts {
  /** Another text where shelf, presses or house are others. */
  mark: string;
}

type Settled = Omit<ShopFacts, 'learned'>;
const settledOf = perShop(() => new Map<'facts', { mark: string; value: Settled }>());

/** What a press has been through is counted anew after so many changes of the log. */
const COUNTED_EVERY = 200;

/**
 * Read once while shelf, presses and house stay as they are, and the day; what the log has learned changes with every piece.
 * Their mark is taken before they are read: what another thread writes meanwhile makes them old, never new under an old name.
 */
export function readFacts(db: Db): ShopFacts {
  const today = dayOf(Date.now());
  const mark = [markOf(db, 'shelf', 'presses', 'house'), today, Math.floor(Number(markOf(db, 'log')) / COUNTED_EVERY)].join(' ');
  const settled = whileSame(db, settledOf(db), 'facts', mark, () => {
    const known = listPresses(db).rows.map((row) => asLogged(db, row.doc));
    const [maps, checks] = [latestMaps(db), latestChecks(db)];
    return {
      ...readShelf(db),
      presses: known,
      house: readHouse(db).doc,
      maps,
      slips: latestSlips(db),
      checks,
      today,
      uses: usesSince(db, known, [...maps, ...checks]),
      mark,
    };
  });
  return { ...settled, learned: learnedShifts(db, settled.house) };
}

function pick<T extends { id: string }>(all: readonly T[], id: string, what: string): T {
  const found = all.find((candidate) => candidate.id === id);
  if (!found) throw notFound(what, id);
  return found;
}

const thickness = (facts: Facts, line: Line): { name: string; thicknessMm: number } => {
  const blank = pick(facts.blanks, line.blankId, 'blank');
  return { name: blank.name, thicknessMm: blank.thicknessMm ?? pick(facts.fabrics, blank.fabricId, 'fabric').thicknessMm };
};

/**
 * Everything the card of one print of a line is worked out from.
 *
 * @param order whose line it is; lines that share its closings are found in it
 * @throws {Refusal} 404 naming what the line refers to that is not there
 */
export function inputOf(facts: Facts, order: Pick<Order, 'lines'>, line: Line, print: Print): ResolveInput {
  const blank = pick(facts.blanks, line.blankId, 'blank');
  const layers = (pressingOrder(print.layers) ?? print.layers).map((layer) => pick(facts.products, layer.productId, 'transfer'));
  const product = layers.at(-1);
  if (!product) throw notFound('transfer', '');
  const [first] = closingOf(line.prints, print.key);
  const before = line.prints.slice(0, line.prints.indexOf(first ?? print));
  const together = order.lines.filter((other) => other.id !== line.id && (line.sharesWith === other.id || other.sharesWith === line.id));
  return {
    print,
    item: {
      size: line.size,
      roster: line.roster,
      perClosing: line.perClosing,
      together: together.map((other) => thickness(facts, other)),
      before: before.map((other) => {
        const own = pick(facts.products, topLayer(other).productId, 'transfer');
        return { position: other.position, productName: own.name, mostC: pressStage(own).tempC.max };
      }),
    },
    blank,
    fabric: pick(facts.fabrics, blank.fabricId, 'fabric'),
    product,
    under: layers.slice(0, -1),
    press: pick(facts.presses, print.pressId, 'press'),
    house: facts.house,
    aids: facts.aids,
    maps: facts.maps,
    slips: facts.slips,
    checks: facts.checks,
    learned: facts.learned,
    tested: facts.tested,
    presses: facts.presses,
    ...(facts.today !== undefined && { today: facts.today }),
    ...(facts.uses && { uses: facts.uses }),
  };
}

/**
 * The input of a card from everything in a request's body.
 *
 * @throws {Refusal} 404 a layer names a transfer that was not sent
 */
export function computeInput({
  print,
  size,
  roster,
  perClosing,
  blank,
  fabric,
  products,
  press,
  house,
  aids,
  maps,
  checks,
  learned,
  tested,
  today,
  closingsSince,
}: ComputeCard): ResolveInput {
  const line: Line = { id: 'line', blankId: blank.id, size, count: 1, prints: [print], roster, perClosing };
  const facts: Facts = {
    blanks: [blank],
    fabrics: [{ ...fabric, id: blank.fabricId }],
    products,
    presses: [{ ...press, id: print.pressId }],
    house,
    aids,
    maps: maps.map((map) => ({ ...map, pressId: print.pressId })),
    slips: [],
    checks: checks.map((check) => ({ ...check, pressId: print.pressId })),
    learned,
    tested,
    today,
    uses: closingsSince.map((use) => ({ ...use, pressId: print.pressId })),
  };
  return inputOf(facts, { lines: [line] }, line, print);
}

export interface JudgedPrint {
  printKey: string;
  lamp: LampState;
  cautions: number;
  minutesPerPiece: number;
}

/** The card of a print as it is pressed: with the others of its closing, where there are any. */
function cardOf(facts: Facts, order: Pick<Order, 'lines'>, line: Line, print: Print): Card {
  const designs = closingOf(line.prints, print.key);
  if (designs.length < 2) return resolve(inputOf(facts, order, line, print));
  const cards = cardsInOneClosing(designs.map((design) => inputOf(facts, order, line, design)));
  const card = cards[designs.indexOf(print)];
  if (!card) throw notFound('print', print.key);
  return card;
}

/** How each print of a line is judged now, in the order they are pressed: its lamp and minutes without a whole card. */
const judgedPrints = (facts: Facts, order: Pick<Order, 'lines'>, line: Line): JudgedPrint[] =>
  line.prints.map((print) => {
    const designs = closingOf(line.prints, print.key).length;
    const { lamp, minutesPerPiece: minutes } =
      designs > 1 ? cardOf(facts, order, line, print) : lampAndMinutes(inputOf(facts, order, line, print));
    // the hands and the press are there once for all designs of a closing
    const minutesPerPiece = minutes / designs;
    return { printKey: print.key, lamp: lamp.state, cautions: lamp.findings.filter((f) => f.level === 'care').length, minutesPerPiece };
  });

interface Judged {
  mark: string;
  lines: JudgedPrint[][];
}
const judgedOf = perShop(() => new Map<string, Judged>());

/** How every print of an order is judged, line by line: once for each version of the order and of what its cards are worked out from. */
export function judgedOrder(db: Db, facts: ShopFacts, { doc: order, version }: Versioned<Order>): JudgedPrint[][] {
  const presses = new Set(order.lines.flatMap((line) => line.prints.map((print) => print.pressId)));
  const learned = facts.learned.filter((shift) => presses.has(shift.pressId));
  const mark = JSON.stringify([version, facts.mark, learned]);
  const known = judgedOf(db);
  const before = known.get(order.id);
  if (before?.mark === mark) return before.lines;
  return remember(db, known, order.id, { mark, lines: order.lines.map((line) => judgedPrints(facts, order, line)) }).lines;
}

const cardsMemory = perShop(() => new Map<string, { mark: string; cards: LineCard[] }>());
/** Orders whose cards are remembered; those of a large one take some megabytes. */
const MOST_ORDERS = 12;

/** Every card of an order, worked out once for each version of it and of what its cards are worked out from. */
export function cardsOf(db: Db, facts: ShopFacts, stored: Versioned<Order>): LineCard[] {
  const mark = JSON.stringify([stored.version, facts.mark, facts.learned]);
  const memory = cardsMemory(db);
  const known = memory.get(stored.doc.id);
  return known?.mark === mark
    ? known.cards
    : remember(db, memory, stored.doc.id, { mark, cards: cardsOfOrder(facts, stored.doc) }, MOST_ORDERS).cards;
}

export function cardsOfOrder(facts: Facts, order: Order): LineCard[] {
  return order.lines.flatMap((line) =>
    line.prints.map((print) => {
      const input = inputOf(facts, order, line, print);
      const card = cardOf(facts, order, line, print);
      return { lineId: line.id, printKey: print.key, card, waysOut: waysOut(input, card, facts), heatWays: heatWays(input) };
    }),
  );
}
