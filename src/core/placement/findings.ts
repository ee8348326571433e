/** What speaks against a place: art off the blank or near its edge, too large, on a seam, or on what takes no print. */
import type { BlankMeasures, Measures } from '../materials';
import type { Box } from './box';
import type { Feature } from './features';
import { grown, inside, type Point, point, type Ring, ringOf } from './geometry';
import { overlap, type Sides } from './lays';
import { BLEED_MM, CROWN_LEFT_MM, INSIDE_BEVEL_MM, type PositionRule } from './rules';

export type PlaceFault =
  | 'off the blank'
  | 'too near the edge'
  | 'too wide'
  | 'too tall'
  | 'too little bleed'
  | 'outside its share'
  | 'on a seam'
  | 'on what takes no print';
export interface PlaceFinding {
  fault: PlaceFault;
  /** `note`: worth knowing, and no reason against it. */
  level: 'note' | 'care' | 'hold';
  /** What it lies on, or the figure it is over, as words of the press. */
  about: string;
  mm: number;
}

const m = (measures: Measures, name: string): number => measures[name] ?? 0;

/** Whether a box lies inside an outline, and how near its edge it comes: every corner in, and no corner of the outline in it. */
function insideOutline(box: Box, outline: Ring, sideMm: number, belowMm: number): 'off' | 'near' | 'in' {
  const keeps = (dx: number, dy: number): boolean => {
    const wide = ringOf({ leftMm: box.leftMm - dx, topMm: box.topMm, widthMm: box.widthMm + 2 * dx, heightMm: box.heightMm + dy });
    return holds(outline, wide);
  };
  return !keeps(0, 0) ? 'off' : keeps(sideMm, belowMm) ? 'in' : 'near';
}

function holds(outline: Ring, corners: Ring): boolean {
  const [first, , third] = corners as [Point, Point, Point, Point];
  const slack = 0.01;
  const inBox = ({ x, y }: Point) => x > first.x + slack && x < third.x - slack && y > first.y + slack && y < third.y - slack;
  if (outline.some(inBox)) return false;
  const shrunk = corners.map(({ x, y }) =>
    point(x + Math.sign((first.x + third.x) / 2 - x) * slack, y + Math.sign((first.y + third.y) / 2 - y) * slack),
  );
  return (
    shrunk.every((corner) => inside(outline, corner)) &&
    !outline.some((a, i) => crossesBox(a, outline[(i + 1) % outline.length] as Point, first, third, slack))
  );
}

/** Whether a side of the outline runs through a box (Liang and Barsky). */
function crossesBox(a: Point, b: Point, low: Point, high: Point, slack: number): boolean {
  let [from, to] = [0, 1];
  for (const [p, q] of [
    [a.x - b.x, a.x - low.x - slack],
    [b.x - a.x, high.x - slack - a.x],
    [a.y - b.y, a.y - low.y - slack],
    [b.y - a.y, high.y - slack - a.y],
  ] as const) {
    if (p === 0 && q < 0) return false;
    if (p === 0) continue;
    if (p < 0) from = Math.max(from, q / p);
    else to = Math.min(to, q / p);
  }
  return from < to;
}

interface Found {
  query: { art: Sides; position: string; crossesSeam: boolean };
  rule: PositionRule;
  measures: BlankMeasures;
  outline: Ring;
  features: readonly Feature[];
  box: Box;
  /** It is meant to cover a hard piece. */
  covers: boolean;
}

/** Everything that speaks against a place, and what is worth knowing of it. */
export function findingsOf(found: Found): PlaceFinding[] {
  return [...clearanceFindings(found), ...sizeFindings(found), ...featureFindings(found)];
}

type Say = (fault: PlaceFault, level: PlaceFinding['level'], about: string, mm: number) => void;

/** What is said while something is looked through. */
function said(look: (say: Say) => void): PlaceFinding[] {
  const list: PlaceFinding[] = [];
  look((fault, level, about, mm) => list.push({ fault, level, about, mm }));
  return list;
}

/** Whether it lies whole on the piece, with its distance from the edge, or far enough over it. */
const clearanceFindings = ({ query: { art, position }, rule, measures, outline, box, covers }: Found): PlaceFinding[] =>
  said((say) => {
    if (covers) {
      if (coverOf(measures, art) === 'short of its bleed') say('too little bleed', 'care', position, BLEED_MM);
      return;
    }
    const where = measures.shape === 'round' ? spaceAround(measures.measures, box) : insideOutline(box, outline, rule.sideMm, rule.belowMm);
    if (where === 'off') say('off the blank', 'hold', position, 0);
    else if (where === 'near') say('too near the edge', 'care', position, rule.sideMm);
  });

/** Whether it is larger than its rule has it, or outside its share of the chest. */
const sizeFindings = ({ query: { art, position }, rule, measures: { shape, measures } }: Found): PlaceFinding[] =>
  said((say) => {
    if (rule.mostWidthMm !== undefined && art.widthMm > rule.mostWidthMm + 0.01) say('too wide', 'care', position, rule.mostWidthMm);
    const crown = shape === 'cap' ? m(measures, 'crown') - CROWN_LEFT_MM : Number.POSITIVE_INFINITY;
    const mostHeight = Math.min(rule.mostHeightMm ?? Number.POSITIVE_INFINITY, crown);
    if (art.heightMm > mostHeight + 0.01) say('too tall', shape === 'cap' ? 'hold' : 'care', position, mostHeight);
    if (!rule.shareOfChest || shape !== 'body') return;
    const chest = m(measures, 'chest');
    const { min, max } = rule.shareOfChest;
    if (art.widthMm / chest > max + 1e-9) say('outside its share', 'note', 'wider', max * chest);
    else if (art.widthMm / chest < min - 1e-9) say('outside its share', 'note', 'narrower', min * chest);
  });

/** Whether it lies on a seam, or on what takes no print. */
const featureFindings = ({ query, measures, features, box, covers }: Found): PlaceFinding[] =>
  said((say) => {
    if (covers) return;
    for (const feature of features.filter((feature) => feature.layer === 'this' && (feature.noArt || feature.kind.endsWith('seam')))) {
      const keep = feature.kind === 'bevel' ? INSIDE_BEVEL_MM : 0;
      const zone = ringOf(grown(box, keep));
      if (!feature.pieces.some((piece) => overlap(piece, zone))) continue;
      if (feature.noArt) say('on what takes no print', 'hold', feature.kind, keep);
      // the seam down the middle of a cap is where its print belongs
      else if (!query.crossesSeam && measures.shape !== 'cap') say('on a seam', 'hold', feature.kind, 0);
    }
  });

/** A box on a round face, less its bevel: its corners stay in the circle. */
function spaceAround(measures: Measures, box: Box): 'off' | 'near' | 'in' {
  const r = m(measures, 'width') / 2;
  const bevel = m(measures, 'bevel');
  // round art in a round face: its box may stand out at the corners, its own edge may not
  const reach = Math.hypot(box.leftMm + box.widthMm / 2, box.topMm + box.heightMm / 2 - r) + Math.max(box.widthMm, box.heightMm) / 2;
  return reach <= r - (bevel > 0 ? bevel + INSIDE_BEVEL_MM : 0) + 0.01 ? 'in' : 'off';
}

/** Whether art lies inside a face, or is meant to cover it: larger than it either way, by the bleed all round or by less. */
export function coverOf({ shape, measures }: BlankMeasures, { widthMm, heightMm }: Sides): 'inside' | 'covers' | 'short of its bleed' {
  if ((shape !== 'sheet' && shape !== 'round') || m(measures, 'bevel') > 0) return 'inside';
  const over = [widthMm - m(measures, 'width'), heightMm - (shape === 'round' ? m(measures, 'width') : m(measures, 'height'))];
  const least = Math.min(...over);
  if (least <= 0.01 || Math.max(...over) > 4 * BLEED_MM) return 'inside';
  return least >= 2 * BLEED_MM - 0.01 ? 'covers' : 'short of its bleed';
}
