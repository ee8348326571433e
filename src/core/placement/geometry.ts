/**
 * Plain plane geometry in mm: x to the right, y down, as a panel lies before the operator.
 *
 *   ring   a closed polygon, its first point not repeated
 *   box    a rectangle along the axes
 */

import type { Box } from './box';

export interface Point {
  x: number;
  y: number;
}
export type Ring = readonly Point[];
/** How a piece is turned on the platen, degrees. */
export type Turn = 0 | 90 | 180 | 270;
export const TURNS: readonly Turn[] = [0, 90, 180, 270];

export const point = (x: number, y: number): Point => ({ x, y });
export const boxAround = (middle: Point, widthMm: number, heightMm: number): Box => ({
  leftMm: middle.x - widthMm / 2,
  topMm: middle.y - heightMm / 2,
  widthMm,
  heightMm,
});
export const middleOf = (box: Box): Point => point(box.leftMm + box.widthMm / 2, box.topMm + box.heightMm / 2);
export const grown = (box: Box, by: number): Box => ({
  leftMm: box.leftMm - by,
  topMm: box.topMm - by,
  widthMm: box.widthMm + 2 * by,
  heightMm: box.heightMm + 2 * by,
});
export const ringOf = ({ leftMm, topMm, widthMm, heightMm }: Box): Ring => [
  point(leftMm, topMm),
  point(leftMm + widthMm, topMm),
  point(leftMm + widthMm, topMm + heightMm),
  point(leftMm, topMm + heightMm),
];
export const rect = (leftMm: number, topMm: number, widthMm: number, heightMm: number): Ring =>
  ringOf({ leftMm, topMm, widthMm, heightMm });

export function boundsOf(points: Ring): Box {
  const xs = points.map((p) => p.x);
  const ys = points.map((p) => p.y);
  const [leftMm, topMm] = [Math.min(...xs), Math.min(...ys)];
  return { leftMm, topMm, widthMm: Math.max(...xs) - leftMm, heightMm: Math.max(...ys) - topMm };
}

/** A point turned clockwise about the origin, as seen (y runs down). */
export function turned({ x, y }: Point, turn: Turn): Point {
  return turn === 0 ? { x, y } : turn === 90 ? { x: -y, y: x } : turn === 180 ? { x: -x, y: -y } : { x: y, y: -x };
}

/** Twice the signed area: positive where the ring runs clockwise as seen. */
const cross = (o: Point, a: Point, b: Point): number => (a.x - o.x) * (b.y - o.y) - (a.y - o.y) * (b.x - o.x);

/** Convex hull by Andrew's monotone chain. */
export function hull(points: readonly Point[]): Ring {
  const sorted = [...points].sort((a, b) => a.x - b.x || a.y - b.y);
  const half = (list: readonly Point[]): Point[] => {
    const chain: Point[] = [];
    for (const p of list) {
      while (chain.length >= 2 && cross(chain.at(-2) as Point, chain.at(-1) as Point, p) <= 0) chain.pop();
      chain.push(p);
    }
    chain.pop();
    return chain;
  };
  return [...half(sorted), ...half(sorted.reverse())];
}

/** Whether a point lies inside a ring, its edge counted in either way. */
export function inside(ring: Ring, { x, y }: Point): boolean {
  let within = false;
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
    const [a, b] = [ring[i] as Point, ring[j] as Point];
    if (a.y > y !== b.y > y && x < ((b.x - a.x) * (y - a.y)) / (b.y - a.y) + a.x) within = !within;
  }
  return within;
}

/**
 * Distance of a point from a segment.
 *
 * @param p mm
 * @param a one end, mm
 * @param b the other, mm
 * @returns mm
 * @example fromSegment({ x: 3, y: 4 }, { x: 0, y: 0 }, { x: 0, y: -10 }) // 5
 */
export function fromSegment(p: Point, a: Point, b: Point): number {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const length2 = dx * dx + dy * dy;
  const t = length2 === 0 ? 0 : Math.min(1, Math.max(0, ((p.x - a.x) * dx + (p.y - a.y) * dy) / length2));
  return Math.hypot(p.x - a.x - t * dx, p.y - a.y - t * dy);
}

/** The point of a segment nearest to another. */
export function nearestOnSegment(p: Point, a: Point, b: Point): Point {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const length2 = dx * dx + dy * dy;
  const t = length2 === 0 ? 0 : Math.min(1, Math.max(0, ((p.x - a.x) * dx + (p.y - a.y) * dy) / length2));
  return point(a.x + t * dx, a.y + t * dy);
}

/**
 * A band of equal width along a line, as convex pieces, one for each stretch.
 *
 * @param widthMm whole width, half to either side
 */
export function band(line: readonly Point[], widthMm: number): Ring[] {
  return line.slice(1).map((b, i) => {
    const a = line[i] as Point;
    const length = Math.hypot(b.x - a.x, b.y - a.y) || 1;
    const [nx, ny] = [((b.y - a.y) / length) * (widthMm / 2), ((a.x - b.x) / length) * (widthMm / 2)];
    return hull([point(a.x + nx, a.y + ny), point(b.x + nx, b.y + ny), point(b.x - nx, b.y - ny), point(a.x - nx, a.y - ny)]);
  });
}

/** Pieces between two lines of equally many points. */
export const between = (line: readonly Point[], other: readonly Point[]): Ring[] =>
  line.slice(1).map((b, i) => hull([line[i] as Point, b, other[i + 1] as Point, other[i] as Point]));

/** A circle as a ring of 16 sides that holds it whole. */
export const disc = (x: number, y: number, across: number): Ring =>
  Array.from({ length: 16 }, (_, i) => {
    const angle = (i * Math.PI) / 8;
    const r = across / 2 / Math.cos(Math.PI / 16);
    return point(x + r * Math.cos(angle), y + r * Math.sin(angle));
  });

/** The other way round: what the panel on the other side looks like through this one. */
export const flipped = (ring: Ring): Ring => ring.map(({ x, y }) => point(-x, y));
