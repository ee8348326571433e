/** Whether a piece can be pressed on a platen, and the best lay for it: the one with the most room to slip. */
import { difference, type Region, shrunk } from './clip';
import type { Feature } from './features';
import { grown, inside, nearestOnSegment, type Point, point, rect, ringOf, TURNS, type Turn } from './geometry';
import {
  clearanceAt,
  type FitQuery,
  type Forbidden,
  HEATED_MARGIN_MM,
  type InTheWay,
  type Lay,
  type Lays,
  laysOf,
  named,
  overlap,
  pressing,
  standing,
  underArt,
} from './lays';

/** With this much room in every direction more is not looked for; the piece then lies as near the middle as it can, mm. */
const COMFORT_MM = 15;
/** What a lay must be better by before the piece is turned for it, mm. */
const TURN_COSTS: Record<Turn, number> = { 0: 0, 180: 2, 90: 4, 270: 4 };
export type Fit =
  | { feasible: true; lay: Lay; clearanceMm: number }
  | { feasible: false; art: 'larger than the platen' | 'on something raised' | 'held off'; inTheWay: InTheWay[] };

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
export function bestFit(query: FitQuery): Fit {
  const raised = pressing(query);
  const onArt = underArt(query);
  if (onArt.length > 0) return { feasible: false, art: 'on something raised', inTheWay: onArt };
  if (query.under === 'pad') {
    const zone = ringOf(grown(query.art, HEATED_MARGIN_MM));
    const onPad = raised.filter((feature) => feature.pieces.some((piece) => overlap(piece, zone)));
    if (onPad.length > 0) return { feasible: false, art: 'held off', inTheWay: named(onPad) };
  }
  let best: { lay: Lay; clearanceMm: number; score: number } | null = null;
  const turns: Lays[] = [];
  for (const turn of TURNS) {
    const lays = laysOf(query, raised, turn);
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
  const kinds = [...new Set(raised.map((feature) => feature.kind))];
  if (kinds.length < 2) return raised;
  const without = (kind: string) => (lays: Lays) =>
    freeOf({ ...lays, forbidden: lays.forbidden.filter((forbidden) => kindOf(forbidden) !== kind) }).length > 0;
  const helps = kinds.filter((kind) =>
    turns.some((lays) => lays.forbidden.some((forbidden) => kindOf(forbidden) === kind) && without(kind)(lays)),
  );
  return helps.length > 0 ? raised.filter((feature) => helps.includes(feature.kind)) : raised;
}

/** How a lay that somebody chose stands: its clearance, and what it lies on where that is less than nothing. */
export function fitAt(query: FitQuery, lay: Lay): Fit {
  const raised = pressing(query);
  const onArt = underArt(query);
  if (onArt.length > 0) return { feasible: false, art: 'on something raised', inTheWay: onArt };
  const at = point(lay.xMm, lay.yMm);
  const stands = standing(query, raised, lay.turn, at);
  if (!stands) return { feasible: false, art: 'larger than the platen', inTheWay: [] };
  if (stands.roomMm >= 0) return { feasible: true, lay, clearanceMm: stands.roomMm };
  return { feasible: false, art: stands.meets.length > 0 ? 'held off' : 'larger than the platen', inTheWay: stands.meets };
}
