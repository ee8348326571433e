/**
 * Whether a piece can be pressed on a platen, and how it is laid for it.
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
import { difference, type Region, shrunk } from './clip';
import type { Feature } from './features';
import { isRaised } from './features';
import {
  type Box,
  boundsOf,
  boxAround,
  fromSegment,
  grown,
  hull,
  inside,
  middleOf,
  nearestOnSegment,
  type Point,
  point,
  type Ring,
  rect,
  ringOf,
  TURNS,
  type Turn,
  turned,
} from './geometry';

/** Art plus this much all round lies on the heated platen, mm. */
const HEATED_MARGIN_MM = 10;
/** With this much room in every direction more is not looked for; the piece then lies as near the middle as it can, mm. */
const COMFORT_MM = 15;
/** What a lay must be better by before the piece is turned for it, mm. */
const TURN_COSTS: Record<Turn, number> = { 0: 0, 180: 2, 90: 4, 270: 4 };
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

export interface FitAsk {
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

export type Fit =
  | { feasible: true; lay: Lay; clearanceMm: number }
  | { feasible: false; art: 'larger than the platen' | 'on something raised' | 'held off'; inTheWay: InTheWay[] };

/** One shape the lay must keep out of, and what it comes from. */
interface Forbidden {
  ring: Ring;
  from: InTheWay | 'side' | 'cold spot';
}
interface Lays {
  turn: Turn;
  allowed: Box;
  forbidden: Forbidden[];
}

/** Every raised thing that would be pressed, under what lies there. */
function pressing({ features, threadedBetween, under, bridges }: FitAsk): Feature[] {
  const sinks = under === 'pad' ? 0 : under.sinksMm;
  return features.filter(
    (one) =>
      isRaised(one) &&
      one.heightMm > sinks &&
      (one.layer === 'this' || threadedBetween === null) &&
      !(bridges && one.kind.endsWith('seam')),
  );
}

/** Raised things the art with its margin lies on: no lay helps against them. */
function underArt({
  art,
  features,
  threadedBetween,
  bridges,
}: Pick<FitAsk, 'art' | 'features' | 'threadedBetween' | 'bridges'>): InTheWay[] {
  const zone = ringOf(art);
  const kinds = features.filter(
    (one) =>
      isRaised(one) &&
      (one.layer === 'this' || threadedBetween === null) &&
      !(bridges && one.kind.endsWith('seam')) &&
      one.pieces.some((piece) => overlap(piece, zone)),
  );
  return named(kinds);
}

const named = (list: readonly InTheWay[]): InTheWay[] => [
  ...new Map(list.map(({ kind, heightMm }) => [kind, { kind, heightMm }])).values(),
];

/** Whether two convex rings share more than their edges: no side of either parts them. */
export function overlap(a: Ring, b: Ring): boolean {
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

/**
 * Lays at which a rectangle about the platen's middle would meet a piece of the blank.
 *
 * @returns null: none of those that are allowed
 */
function swept(piece: Ring, middle: Point, turn: Turn, sides: Sides, allowed: Box): Ring | null {
  const [hw, hh] = [sides.widthMm / 2 - TOUCH_MM / 2, sides.heightMm / 2 - TOUCH_MM / 2];
  const points = piece.map(({ x, y }) => turned(point(middle.x - x, middle.y - y), turn));
  const { leftMm, topMm, widthMm, heightMm } = boundsOf(points);
  if (leftMm - hw > allowed.leftMm + allowed.widthMm || leftMm + widthMm + hw < allowed.leftMm) return null;
  if (topMm - hh > allowed.topMm + allowed.heightMm || topMm + heightMm + hh < allowed.topMm) return null;
  return hull(points.flatMap(({ x, y }) => [point(x - hw, y - hh), point(x + hw, y - hh), point(x + hw, y + hh), point(x - hw, y + hh)]));
}

/** All lays of one turn: what is allowed by the platen and forbidden by the piece. Null: the art is too large for it this way. */
function laysOf(ask: FitAsk, raised: readonly Feature[], turn: Turn, lay?: Point): Lays | null {
  const { art, heated, base, under, threadedBetween, keepOff } = ask;
  const middle = middleOf(art);
  const [w, h] = turn % 180 === 0 ? [art.widthMm, art.heightMm] : [art.heightMm, art.widthMm];
  const [rx, ry] = [heated.widthMm / 2 - HEATED_MARGIN_MM - w / 2, heated.heightMm / 2 - HEATED_MARGIN_MM - h / 2];
  if (rx < -TOUCH_MM / 2 || ry < -TOUCH_MM / 2) return null;
  const allowed = { leftMm: -rx - TOUCH_MM / 2, topMm: -ry - TOUCH_MM / 2, widthMm: 2 * rx + TOUCH_MM, heightMm: 2 * ry + TOUCH_MM };
  const pressed = { widthMm: Math.min(heated.widthMm, base.widthMm), heightMm: Math.min(heated.heightMm, base.heightMm) };
  // for one lay alone nothing farther than the edge of what is allowed can bring it nearer to an edge
  const reach = lay ? 2 * Math.max(0, roomIn(allowed, lay)) : 0;
  const within = lay ? boxAround(lay, reach, reach) : allowed;
  const rings = (pieces: readonly Ring[], sides: Sides, from: Forbidden['from']): Forbidden[] =>
    pieces.flatMap((piece) => {
      const ring = swept(piece, middle, turn, sides, within);
      return ring ? [{ ring, from }] : [];
    });
  const onPlaten = under === 'pad' ? [] : raised.flatMap((one) => rings(one.pieces, pressed, one));
  const sides = rings(threadedBetween ?? [], base, 'side');
  const cold = keepOff.map(
    ({ xMm, yMm, radiusMm }): Forbidden => ({
      ring: rect(xMm - radiusMm - w / 2, yMm - radiusMm - h / 2, w + 2 * radiusMm, h + 2 * radiusMm),
      from: 'cold spot',
    }),
  );
  return { turn, allowed, forbidden: [...onPlaten, ...sides, ...cold] };
}

/** How far a point lies inside a box; negative outside it. */
const roomIn = ({ leftMm, topMm, widthMm, heightMm }: Box, { x, y }: Point): number =>
  Math.min(x - leftMm, leftMm + widthMm - x, y - topMm, topMm + heightMm - y);

/** Distance of a lay from the edge of what works, mm; negative where it does not. */
function clearanceAt({ allowed, forbidden }: Lays, lay: Point): number {
  let room = roomIn(allowed, lay);
  for (const { ring } of forbidden) {
    const bounds = Math.max(...outside(ring, lay));
    if (bounds >= room) continue;
    const away = Math.min(...ring.map((a, i) => fromSegment(lay, a, ring[(i + 1) % ring.length] as Point)));
    room = Math.min(room, inside(ring, lay) ? -away : away);
  }
  return room;
}

/** How far a point lies outside each side of a ring's bounds: no side of the ring itself is nearer than the largest. */
const outside = (ring: Ring, { x, y }: Point): number[] => {
  let [left, right, top, bottom] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (const p of ring) {
    left = Math.min(left, p.x);
    right = Math.max(right, p.x);
    top = Math.min(top, p.y);
    bottom = Math.max(bottom, p.y);
  }
  return [left - x, x - right, top - y, y - bottom];
};

/** The point of a region nearest to the platen's middle. */
function nearestToMiddle(region: Region): Point | null {
  const middle = point(0, 0);
  // holes run the other way, so a point is inside where an odd number of rings go round it
  if (region.filter((ring) => inside(ring, middle)).length % 2 === 1) return middle;
  let best: Point | null = null;
  for (const ring of region)
    ring.forEach((a, i) => {
      const near = nearestOnSegment(middle, a, ring[(i + 1) % ring.length] as Point);
      if (!best || Math.hypot(near.x, near.y) < Math.hypot(best.x, best.y)) best = near;
    });
  return best;
}

/** The best lay of one turn; null: none works. */
function bestOf(lays: Lays): { lay: Point; clearanceMm: number } | null {
  const atMiddle = clearanceAt(lays, point(0, 0));
  if (atMiddle >= COMFORT_MM) return { lay: point(0, 0), clearanceMm: atMiddle };
  const free = freeOf(lays);
  if (free.length === 0) return null;
  let lay = nearestToMiddle(free);
  let [least, most] = [0, COMFORT_MM];
  const tryAt = (by: number): boolean => {
    const inner = shrunk(free, by);
    const found = inner.length > 0 ? nearestToMiddle(inner) : null;
    if (found) lay = found;
    return found !== null;
  };
  if (!tryAt(COMFORT_MM))
    while (most - least > 0.05) {
      const by = (least + most) / 2;
      if (tryAt(by)) least = by;
      else most = by;
    }
  return lay && { lay, clearanceMm: Math.max(0, clearanceAt(lays, lay)) };
}

/**
 * The best lay of a piece on a platen.
 *
 * @returns the lay with the most clearance, up to 15 mm; beyond that the one nearest the platen's middle, not turned
 *          without need. Where none works, what is in the way.
 */
export function bestFit(ask: FitAsk): Fit {
  const raised = pressing(ask);
  const onArt = underArt(ask);
  if (onArt.length > 0) return { feasible: false, art: 'on something raised', inTheWay: onArt };
  if (ask.under === 'pad') {
    const zone = ringOf(grown(ask.art, HEATED_MARGIN_MM));
    const onPad = raised.filter((one) => one.pieces.some((piece) => overlap(piece, zone)));
    if (onPad.length > 0) return { feasible: false, art: 'held off', inTheWay: named(onPad) };
  }
  let best: { lay: Lay; clearanceMm: number; score: number } | null = null;
  const turns: Lays[] = [];
  for (const turn of TURNS) {
    const lays = laysOf(ask, raised, turn);
    if (!lays) continue;
    turns.push(lays);
    const found = bestOf(lays);
    if (!found) continue;
    const score = Math.min(found.clearanceMm, COMFORT_MM) - TURN_COSTS[turn];
    if (!best || score > best.score) best = { lay: { xMm: found.lay.x, yMm: found.lay.y, turn }, clearanceMm: found.clearanceMm, score };
    if (turn === 0 && found.clearanceMm >= COMFORT_MM) break;
  }
  if (turns.length === 0) return { feasible: false, art: 'larger than the platen', inTheWay: [] };
  return best
    ? { feasible: true, lay: best.lay, clearanceMm: best.clearanceMm }
    : { feasible: false, art: 'held off', inTheWay: named(blocking(turns, raised)) };
}

/** What is left of the lays of one turn. */
function freeOf({ allowed: { leftMm, topMm, widthMm, heightMm }, forbidden }: Lays): Region {
  const rings = forbidden.map(({ ring }) => ring);
  return difference(rect(leftMm, topMm, widthMm, heightMm), rings);
}

const kindOf = ({ from }: Forbidden): string => (typeof from === 'string' ? from : from.kind);

/** Of all that is raised, what must go for a lay to work: each kind whose going alone helps, or all where none does. */
function blocking(turns: readonly Lays[], raised: readonly Feature[]): readonly InTheWay[] {
  const kinds = [...new Set(raised.map((one) => one.kind))];
  if (kinds.length < 2) return raised;
  const without = (kind: string) => (lays: Lays) =>
    freeOf({ ...lays, forbidden: lays.forbidden.filter((one) => kindOf(one) !== kind) }).length > 0;
  const helps = kinds.filter((kind) => turns.some((lays) => lays.forbidden.some((one) => kindOf(one) === kind) && without(kind)(lays)));
  return helps.length > 0 ? raised.filter((one) => helps.includes(one.kind)) : raised;
}

/** How a lay that somebody chose stands: its clearance, and what it lies on where that is less than nothing. */
export function fitAt(ask: FitAsk, lay: Lay): Fit {
  const raised = pressing(ask);
  const onArt = underArt(ask);
  if (onArt.length > 0) return { feasible: false, art: 'on something raised', inTheWay: onArt };
  const at = point(lay.xMm, lay.yMm);
  const lays = laysOf(ask, raised, lay.turn, at);
  if (!lays) return { feasible: false, art: 'larger than the platen', inTheWay: [] };
  const clearanceMm = clearanceAt(lays, at);
  if (clearanceMm >= 0) return { feasible: true, lay, clearanceMm };
  const met = lays.forbidden
    .filter(({ ring }) => inside(ring, at))
    .map(({ from }) => (from === 'side' ? { kind: 'side seam', heightMm: 0 } : from === 'cold spot' ? { kind: from, heightMm: 0 } : from));
  return { feasible: false, art: met.length > 0 ? 'held off' : 'larger than the platen', inTheWay: named(met) };
}
