/** What is worked out beside the request thread: everything that computes for long, or reads and judges much of the shop. */
import type { RouteName } from '../../contract/paths';
import { heatWays, schoolExample, waysOut } from '../../core/advice';
import { resolve } from '../../core/card';
import { readKit, readRoster } from '../../core/formats';
import { bandOfQuery, correctQuery, peelOfQuery, simulate, sweepRows, valuesOf } from '../../core/heatBench';
import { kitsOf } from '../../core/log';
import { platenMap } from '../../core/press';
import { dayOf } from '../day';
import type { Answer, Input } from '../http/answer';
import { againReply } from '../stores/again';
import { bench, orderReply } from '../stores/bench';
import { cardsOf, computeInput, readFacts } from '../stores/cards';
import { dayEnd } from '../stores/dayEnd';
import { findAnywhere } from '../stores/find';
import { learnedByName, orderStack, shelfStack } from '../stores/heatStacks';
import { findOrder } from '../stores/orders';
import { parcelsReply } from '../stores/parcels';
import type { Db } from '../stores/perShop';
import { placementBiases } from '../stores/placed';
import { closingOf, feasibilityOf, placementOf, sizeSplitOf } from '../stores/placement';
import { pressureOf, warmUpOf } from '../stores/pressFigures';
import { pressedFor, searchLog } from '../stores/pressings';
import { shelfReply } from '../stores/shelf';
import { matrixFor } from '../stores/tested';
import { pressTogether } from '../stores/together';
import { rankFor } from '../stores/which';
import { worthOfMeasuring } from '../stores/worth';

type Jobs<N extends RouteName, With extends unknown[]> = { [K in N]: (...args: [...With, Input<K>]) => Answer<K> };

export type ComputedRoute = Extract<RouteName, `compute${string}` | 'readRoster' | 'readKit'>;

/** Worked out of the request's body alone. */
export const COMPUTED: Jobs<ComputedRoute, []> = {
  computeCard: ({ body }) => {
    const input = computeInput(body);
    const card = resolve(input);
    return { card, waysOut: waysOut(input, card, body.shelf), heatWays: heatWays(input) };
  },
  computeSchool: ({ body }) => schoolExample(body.rule, body.house),
  computeSurvey: ({ body }) => ({ map: platenMap(body.survey, body.platen, body.on) }),
  computePressure: ({ body }) => pressureOf(body),
  computeWarmUp: ({ body }) => warmUpOf(body),
  computeHeat: ({ body: { doubt, ...ask } }) => ({ seen: simulate(ask), band: bandOfQuery(ask, doubt ?? { platenK: 1, shiftSd: 0 }) }),
  computeHeatCorrect: ({ body: { allowed, ...ask } }) => correctQuery(ask, allowed),
  computeHeatSweep: ({ body }) => ({ x: valuesOf(body.x), rows: [...sweepRows(body)].flatMap((step) => [...step.rows]) }),
  computePeel: ({ body }) => peelOfQuery(body),
  computePlacement: ({ body }) => placementOf(body),
  computeFeasibility: ({ body }) => feasibilityOf(body),
  computeSizeSplit: ({ body }) => sizeSplitOf(body),
  computeClosing: ({ body }) => closingOf(body),
  readRoster: ({ body }) => readRoster(body.text, body.pieces, body.shared),
  readKit: ({ body }) => readKit(body.text, body.garments),
};

export type JudgedRoute =
  | 'bench'
  | 'dayEnd'
  | 'find'
  | 'parcels'
  | 'order'
  | 'orderCards'
  | 'orderKit'
  | 'pressTogether'
  | 'whichTransfer'
  | 'testedMatrix'
  | 'measuringWorth'
  | 'orderHeat'
  | 'shelfHeat'
  | 'learned'
  | 'again'
  | 'placementBias'
  | 'shelf'
  | 'pressings';

/** Read from the shop and judged. None of them writes. */
export const JUDGED: Jobs<JudgedRoute, [Db]> = {
  bench: (db) => ({ today: new Date().toISOString(), ...bench(db) }),
  dayEnd: (db) => dayEnd(db, Date.now()),
  find: (db, { query }) => findAnywhere(db, query.q, dayOf(Date.now())),
  parcels: (db) => parcelsReply(db),
  order: (db, { params }) => orderReply(db, findOrder(db, params.id)),
  orderCards: (db, { params }) => ({ cards: cardsOf(db, readFacts(db), findOrder(db, params.id)) }),
  orderKit: (db, { params }) => ({ people: kitsOf(findOrder(db, params.id).doc.lines, pressedFor(db, params.id)) }),
  pressTogether: (db, { params, query }) => ({ prints: pressTogether(db, params.id, query.line, query.print) }),
  whichTransfer: (db, { body }) => ({ ranked: rankFor(db, body) }),
  measuringWorth: (db, { query }) => ({ worth: worthOfMeasuring(db, query.press) }),
  testedMatrix: (db, { query }) => matrixFor(db, query.press),
  orderHeat: (db, { params, query }) => ({ stack: orderStack(db, params.id, query.line, query.print) }),
  shelfHeat: (db, { query }) => ({ stack: shelfStack(db, query) }),
  learned: (db) => ({ learned: learnedByName(db) }),
  again: (db, { params }) => againReply(db, params.id, new Date()),
  placementBias: (db) => ({ biases: placementBiases(db) }),
  shelf: (db) => shelfReply(db),
  pressings: (db, { query }) => searchLog(db, query),
};
