/**
 * Which lays of a piece on a platen work.
 *
 * A lay is where the middle of the art lies from the middle of the platen, and how the piece is turned. For each turn all
 * lays that work are one region of the plane: a rectangle of lays that keep the art with its margin on the heated platen,
 *
 *     ┌───────────────┐      less, for every raised piece of the blank, the lays at which the pressed area would meet it:
 *     │ lays ▓▓▓▓     │      the pressed rectangle swept round that piece (their Minkowski sum).
 *     │      ▓▓▓▓     │
 *     └───────────────┘      The clearance of a lay is its distance from the edge of the region: so far may the piece slip
 *                            in any direction.
 */
import type { Box } from './box';
import type { Feature } from './features';
import { isRaised } from './features';
import { boundsOf, fromSegment, hull, inside, middleOf, type Point, point, type Ring, rect, ringOf, type Turn, turned } from './geometry';

/** Art plus this much all round lies on the heated platen, mm. */
export const HEATED_MARGIN_MM = 10;
/** Bodies that only touch do not press on each other: they may lie this near, mm. */
const TOUCH_MM = 0.02;

export interface Lay {
  xMm: number;
  yMm: number;
  turn: Turn;
}

export interface Sides {
  widthMm: number;
  heightMm: number;
}

/** A place on the platen that the art is to keep off: a surveyed cold spot. */
export interface KeepOff {
  xMm: number;
  yMm: number;
  radiusMm: number;
}

export interface FitQuery {
  /** Where the art lies on its panel. */
  art: Box;
  features: readonly Feature[];
  /** Upper platen. */
  heated: Sides;
  /** The base under it, where it is smaller. */
  base: Sides;
  /** Lines that a base which is threaded in cannot pass; null: laid flat, with the layer under it in the press too. */
  threadedBetween: readonly Ring[] | null;
  /** What lies under the print: how deep it lets things sink, mm, or a pad cut to the art that lifts it over them. */
  under: { sinksMm: number } | 'pad';
  /** A seam the art is meant to cross. */
  bridges: boolean;
  keepOff: readonly KeepOff[];
}

/** What is in the way. */
export interface InTheWay {
  kind: string;
  heightMm: number;
}

/** One shape the lay must keep out of, and what it comes from. */
export interface Forbidden {
  ring: Ring;
  from: InTheWay | 'side' | 'cold spot';
}
export interface Lays {
  turn: Turn;
  allowed: Box;
  forbidden: Forbidden[];
}

/** Every raised thing that would be pressed, under what lies there. */
export function pressing({ features, threadedBetween, under, bridges }: FitQuery): Feature[] {
  const sinks = under === 'pad' ? 0 : under.sinksMm;
  return features.filter(
    (feature) =>
      isRaised(feature) &&
      feature.heightMm > sinks &&
      (feature.layer === 'this' || threadedBetween === null) &&
      !(bridges && feature.kind.endsWith('seam')),
  );
}

/** Raised things the art with its margin lies on: no lay helps against them. */
export function underArt({
  art,
  features,
  threadedBetween,
  bridges,
}: Pick<FitQuery, 'art' | 'features' | 'threadedBetween' | 'bridges'>): InTheWay[] {
  const zone = ringOf(art);
  const kinds = features.filter(
    (feature) =>
      isRaised(feature) &&
      (feature.layer === 'this' || threadedBetween === null) &&
      !(bridges && feature.kind.endsWith('seam')) &&
      feature.pieces.some((piece) => overlap(piece, zone)),
  );
  return named(kinds);
}

export const named = (list: readonly InTheWay[]): InTheWay[] => [
  ...new Map(list.map(({ kind, heightMm }) => [kind, { kind, heightMm }])).values(),
];

/** Whether two convex rings share more than their edges: no side of either parts them. */
export function overlap(a: Ring, b: Ring): boolean {
  if (apart(boundsOf(a), boundsOf(b))) return false;
  for (const [one, other] of [
    [a, b],
    [b, a],
  ] as const)
    for (let i = 0; i < one.length; i++) {
      const [p, q] = [one[i] as Point, one[(i + 1) % one.length] as Point];
      const [nx, ny] = [q.y - p.y, p.x - q.x];
      const along = (r: Ring) => r.map((c) => c.x * nx + c.y * ny);
      const [mine, its] = [along(one), along(other)];
      const touch = TOUCH_MM * Math.hypot(nx, ny);
      if (Math.max(...mine) <= Math.min(...its) + touch || Math.max(...its) <= Math.min(...mine) + touch) return false;
    }
  return true;
}

const apart = (a: Box, b: Box): boolean =>
  a.leftMm >= b.leftMm + b.widthMm ||
  b.leftMm >= a.leftMm + a.widthMm ||
  a.topMm >= b.topMm + b.heightMm ||
  b.topMm >= a.topMm + a.heightMm;

/** A piece of the blank that the pressed rectangle must not meet, as lays; its ring is only made where it is asked for. */
interface Obstacle {
  points: Ring;
  half: { x: number; y: number };
  /** Bounds of the lays it forbids. */
  bounds: Box;
  from: Forbidden['from'];
}

function obstacle(piece: Ring, middle: Point, turn: Turn, sides: Sides, from: Forbidden['from']): Obstacle {
  const points = piece.map(({ x, y }) => turned(point(middle.x - x, middle.y - y), turn));
  const half = { x: sides.widthMm / 2 - TOUCH_MM / 2, y: sides.heightMm / 2 - TOUCH_MM / 2 };
  const { leftMm, topMm, widthMm, heightMm } = boundsOf(points);
  const bounds = { leftMm: leftMm - half.x, topMm: topMm - half.y, widthMm: widthMm + 2 * half.x, heightMm: heightMm + 2 * half.y };
  return { points, half, bounds, from };
}

/** Lays at which a rectangle about the platen's middle meets a piece: the rectangle swept round it. */
const swept = ({ points, half: { x: hw, y: hh } }: Obstacle): Ring =>
  hull(points.flatMap(({ x, y }) => [point(x - hw, y - hh), point(x + hw, y - hh), point(x + hw, y + hh), point(x - hw, y + hh)]));

/** Lays that keep the art with its margin on the heated platen; null: it is too large for it this way. */
function allowedOf({ art, heated }: FitQuery, turn: Turn): Box | null {
  const { widthMm: w, heightMm: h } = sidesOf(art, turn);
  const [rx, ry] = [heated.widthMm / 2 - HEATED_MARGIN_MM - w / 2, heated.heightMm / 2 - HEATED_MARGIN_MM - h / 2];
  if (rx < -TOUCH_MM / 2 || ry < -TOUCH_MM / 2) return null;
  return { leftMm: -rx - TOUCH_MM / 2, topMm: -ry - TOUCH_MM / 2, widthMm: 2 * rx + TOUCH_MM, heightMm: 2 * ry + TOUCH_MM };
}

const sidesOf = ({ widthMm, heightMm }: Sides, turn: Turn): Sides =>
  turn % 180 === 0 ? { widthMm, heightMm } : { widthMm: heightMm, heightMm: widthMm };

function obstaclesOf({ art, heated, base, under, threadedBetween }: FitQuery, raised: readonly Feature[], turn: Turn): Obstacle[] {
  const middle = middleOf(art);
  const pressed = { widthMm: Math.min(heated.widthMm, base.widthMm), heightMm: Math.min(heated.heightMm, base.heightMm) };
  const onPlaten =
    under === 'pad' ? [] : raised.flatMap((feature) => feature.pieces.map((piece) => obstacle(piece, middle, turn, pressed, feature)));
  return [...onPlaten, ...(threadedBetween ?? []).map((piece) => obstacle(piece, middle, turn, base, 'side'))];
}

const coldSpots = ({ art, keepOff }: FitQuery, turn: Turn): Forbidden[] => {
  const { widthMm: w, heightMm: h } = sidesOf(art, turn);
  return keepOff.map(({ xMm, yMm, radiusMm }) => ({
    ring: rect(xMm - radiusMm - w / 2, yMm - radiusMm - h / 2, w + 2 * radiusMm, h + 2 * radiusMm),
    from: 'cold spot',
  }));
};

/** All lays of one turn: what is allowed by the platen and forbidden by the piece. Null: the art is too large for it this way. */
export function laysOf(query: FitQuery, raised: readonly Feature[], turn: Turn): Lays | null {
  const allowed = allowedOf(query, turn);
  if (!allowed) return null;
  const near = obstaclesOf(query, raised, turn).filter(({ bounds }) => !apart(bounds, allowed));
  return {
    turn,
    allowed,
    forbidden: [...near.map((obstacle) => ({ ring: swept(obstacle), from: obstacle.from })), ...coldSpots(query, turn)],
  };
}

/**
 * How one lay stands: its clearance, mm, less than nothing where it does not work, and what it then meets. The nearest
 * pieces are looked at first, and those farther than the room that is left by then not at all.
 *
 * @returns null: the art is too large for the platen this way
 */
export function standing(query: FitQuery, raised: readonly Feature[], turn: Turn, at: Point): { roomMm: number; meets: InTheWay[] } | null {
  const allowed = allowedOf(query, turn);
  if (!allowed) return null;
  let roomMm = clearanceIn(allowed, at);
  const meets: InTheWay[] = [];
  const reached = ({ ring, from }: Forbidden) => {
    roomMm = Math.min(roomMm, away(ring, at));
    if (inside(ring, at)) meets.push(from === 'side' ? SIDE : from === 'cold spot' ? COLD : from);
  };
  const nearest = obstaclesOf(query, raised, turn)
    .map((obstacle) => ({ one: obstacle, gap: -clearanceIn(obstacle.bounds, at) }))
    .sort((a, b) => a.gap - b.gap);
  for (const { one, gap } of nearest) {
    if (gap >= Math.max(0, roomMm)) break;
    if (one.from !== 'side' && one.from !== 'cold spot' && meets.includes(one.from)) continue;
    reached({ ring: swept(one), from: one.from });
  }
  for (const spot of coldSpots(query, turn)) reached(spot);
  return { roomMm, meets: named(meets) };
}

const SIDE: InTheWay = { kind: 'side seam', heightMm: 0 };
const COLD: InTheWay = { kind: 'cold spot', heightMm: 0 };

/** How far a point lies inside a box; negative outside it. */
const clearanceIn = ({ leftMm, topMm, widthMm, heightMm }: Box, { x, y }: Point): number =>
  Math.min(x - leftMm, leftMm + widthMm - x, y - topMm, topMm + heightMm - y);

/** How far a point lies outside a ring; negative inside it. */
function away(ring: Ring, at: Point): number {
  const distance = Math.min(...ring.map((a, i) => fromSegment(at, a, ring[(i + 1) % ring.length] as Point)));
  return inside(ring, at) ? -distance : distance;
}

/** Distance of a lay from the edge of what works, mm; negative where it does not. */
export function clearanceAt({ allowed, forbidden }: Lays, lay: Point): number {
  let clearanceMm = clearanceIn(allowed, lay);
  for (const { ring } of forbidden)
    if (-clearanceIn(boundsOf(ring), lay) < clearanceMm) clearanceMm = Math.min(clearanceMm, away(ring, lay));
  return clearanceMm;
}
