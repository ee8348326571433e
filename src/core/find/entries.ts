/** The shop's own things as what can be found: orders and their people, the shelf, presses, pieces pressed. */
import { type Pressing, stationHref } from '../log';
import type { Blank } from '../materials';
import type { Order } from '../order';
import type { Press } from '../press';
import { FAMILIES, knownBy, SHELF_KINDS, type ShelfKind, type ShelfThings } from '../sheet';
import { type Findable, findable } from './entry';

type Names = ReadonlyMap<string, Pick<Blank, 'name'>>;

/** What is still to come is asked for more often than what was. */
const TO_COME = 2;

/**
 * An order by its name, customer and art, and every person of its rosters.
 *
 * @param today as an ISO day
 */
export function orderEntries(order: Order, blanks: Names, today: string): Findable[] {
  const weight = order.due >= today ? TO_COME : 1;
  const blankOf = (id: string) => blanks.get(id)?.name ?? '';
  const pieces = order.lines.reduce((sum, { count }) => sum + count, 0);
  const arts = order.lines.flatMap(({ prints }) => prints.map(({ artName }) => artName));
  return [
    findable('orders', order.id, {
      title: order.name,
      detail: [order.customer, `${pieces} ${pieces === 1 ? 'piece' : 'pieces'}`].filter(Boolean).join(', '),
      day: order.due,
      href: stationHref(order.id, 'lines'),
      weight,
      also: [order.note, ...arts, ...order.lines.map(({ blankId, size }) => `${blankOf(blankId)} ${size}`)].join(' '),
    }),
    ...order.lines.flatMap((line) =>
      line.roster.map(({ number, name }, i) =>
        findable('people', `${order.id} ${line.id} ${i}`, {
          title: [number, name].filter(Boolean).join(' '),
          detail: `${order.name}, ${blankOf(line.blankId)} ${line.size}`,
          href: stationHref(order.id, 'lines', { lineId: line.id }),
          weight,
        }),
      ),
    ),
  ];
}

const DETAIL: { [K in ShelfKind]: (thing: ShelfThings[K]) => string } = {
  products: (product) => [FAMILIES[product.familyId].name, product.maker].filter(Boolean).join(', '),
  fabrics: (fabric) => [fabric.substrate, fabric.texture].filter(Boolean).join(', '),
  blanks: (blank) => [blank.kind, blank.colour].filter(Boolean).join(', '),
  aids: (aid) => aid.note,
  parcels: (parcel) => [parcel.supplier, parcel.lies].filter(Boolean).join(', '),
  tested: (tested) => tested.result,
};

/** Things of the shelf that are not retired. */
export const shelfEntries = (shelf: { [K in ShelfKind]: readonly ShelfThings[K][] }): Findable[] =>
  SHELF_KINDS.flatMap((kind) => entriesOfKind(kind, shelf[kind] as never));

const entriesOfKind = <K extends ShelfKind>(kind: K, things: readonly ShelfThings[K][]): Findable[] =>
  things
    .filter(({ retiredOn }) => !retiredOn)
    .map((thing) =>
      findable(kind, thing.id, {
        title: thing.name,
        detail: DETAIL[kind](thing),
        href: `/shelf?${new URLSearchParams({ kind, on: thing.id })}`,
        also: knownBy(kind, thing),
      }),
    );

export const pressEntries = (presses: readonly Pick<Press, 'id' | 'name' | 'kind'>[]): Findable[] =>
  presses.map(({ id, name, kind }) =>
    findable('presses', id, { title: name, detail: kind, href: `/presses?on=${encodeURIComponent(id)}`, also: 'heat press machine' }),
  );

/** A piece of the log; by which words it was found is the log's own matter. */
export const pieceEntry = (pressing: Pressing): Findable =>
  findable('pieces', pressing.id, {
    title: [`${pressing.blankName} ${pressing.size}`, pressing.person && [pressing.person.number, pressing.person.name].join(' ').trim()]
      .filter(Boolean)
      .join(', '),
    detail: `${pressing.orderName}, ${pressing.productName}, ${pressing.outcome}`,
    at: pressing.endedAt,
    href: `/log/${pressing.id}`,
    also: [pressing.reason, pressing.note, pressing.artName, pressing.position, pressing.fabricName, pressing.pressName].join(' '),
  });
