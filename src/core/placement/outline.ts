/** Outlines of the panels of a blank, drawn from its measures alone. */
import type { BlankMeasures, Measures, Panel, Position } from '../materials';
import { band, boundsOf, disc, type Point, point, type Ring, rect } from './geometry';

const m = (measures: Measures, name: string): number => measures[name] ?? 0;

/** Figures of a cut that no tape gives; in the usual proportion to those it does. */
const SHOULDER_SLOPE = 0.09;
const ARMHOLE_OF_CHEST = 0.42;
const BACK_DROP_OF_FRONT = 0.25;
const LONG_SLEEVE_MM = 400;
const STEPS = 8;

/** Which panel a position lies on. */
export const PANEL_OF: Record<Position, Panel> = {
  'full front': 'front',
  'youth front': 'front',
  'left chest': 'front',
  'upper back': 'back',
  'full back': 'back',
  'neck label': 'back',
  sleeve: 'sleeve',
  leg: 'leg',
  'cap front': 'crown',
  bib: 'bib',
  'tote front': 'face',
  'pocket face': 'face',
  face: 'face',
};

/** Named points and lines of a body that both its outline and its seams run through. */
export interface BodyLines {
  neckHalf: number;
  /** How far the collar seam hangs at the centre line, mm: in front or at the back. */
  drop: number;
  shoulderTip: Point;
  underArm: Point;
  hemY: number;
  /** Collar seam from left to right as seen. */
  collarSeam: Point[];
  /** Right armhole as seen, from the shoulder down. */
  armhole: Point[];
}

/** Drop of the back collar seam from the shoulder-neck point, mm. */
export const backDropOf = (measures: Measures): number => Math.round(BACK_DROP_OF_FRONT * m(measures, 'frontDrop'));

/** @param steps of the collar’s curve to either side; a guide that is cut out wants many */
export function bodyLines({ measures, neck }: BlankMeasures, panel: 'front' | 'back', steps = STEPS): BodyLines {
  const neckHalf = m(measures, 'neck') / 2;
  const drop = panel === 'front' ? m(measures, 'frontDrop') : backDropOf(measures);
  const half = m(measures, 'shoulder') / 2;
  const chestHalf = m(measures, 'chest') / 2;
  const shoulderTip = point(half, SHOULDER_SLOPE * m(measures, 'shoulder'));
  const underArm = point(chestHalf, shoulderTip.y + ARMHOLE_OF_CHEST * m(measures, 'chest'));
  const straight = panel === 'front' && neck === 'V';
  const collarSeam = Array.from({ length: 2 * steps + 1 }, (_, i) => {
    const t = i / steps - 1;
    return point(t * neckHalf, drop * (straight ? 1 - Math.abs(t) : Math.sqrt(Math.max(0, 1 - t * t))));
  });
  const inward = Math.min(half, chestHalf) - 12;
  const armhole = Array.from({ length: STEPS + 1 }, (_, i) => {
    const t = i / STEPS;
    const bend = point(inward, shoulderTip.y + 0.6 * (underArm.y - shoulderTip.y));
    const mix = (a: number, b: number, c: number) => (1 - t) ** 2 * a + 2 * t * (1 - t) * b + t * t * c;
    return point(mix(shoulderTip.x, bend.x, underArm.x), mix(shoulderTip.y, bend.y, underArm.y));
  });
  return { neckHalf, drop, shoulderTip, underArm, hemY: m(measures, 'length'), collarSeam, armhole };
}

const mirrored = (line: readonly Point[]): Point[] => line.map(({ x, y }) => point(-x, y));

function bodyOutline(blank: BlankMeasures, panel: 'front' | 'back'): Ring {
  const { collarSeam, armhole, underArm, hemY } = bodyLines(blank, panel);
  return [...collarSeam, ...armhole, point(underArm.x, hemY), point(-underArm.x, hemY), ...mirrored(armhole).reverse()];
}

/** Flat width of a sleeve at its end and at the shoulder, mm. */
export function sleeveWidths(measures: Measures): { end: number; top: number } {
  const long = m(measures, 'sleeve') > LONG_SLEEVE_MM;
  return { end: (long ? 0.19 : 0.34) * m(measures, 'chest'), top: 0.42 * m(measures, 'chest') };
}

function sleeveOutline({ measures }: BlankMeasures): Ring {
  const { end, top } = sleeveWidths(measures);
  const length = m(measures, 'sleeve');
  return [point(-top / 2, 0), point(top / 2, 0), point(end / 2, length), point(-end / 2, length)];
}

/** The sleeves beside a body, right one as seen, for the drawing: the panel of a body ends at its armholes. */
export function sleevesBeside(blank: BlankMeasures): Ring[] {
  const { measures } = blank;
  const length = m(measures, 'sleeve');
  if (length === 0) return [];
  const { shoulderTip, underArm } = bodyLines(blank, 'front');
  const { end } = sleeveWidths(measures);
  const down = length > LONG_SLEEVE_MM ? 1.15 : 0.75;
  const tip = point(shoulderTip.x + length * Math.cos(down), shoulderTip.y + length * Math.sin(down));
  const inner = point(tip.x - end * Math.sin(down), tip.y + end * Math.cos(down));
  const right = [shoulderTip, tip, inner, underArm];
  return [right, mirrored(right)];
}

function legOutline({ measures }: BlankMeasures): Ring {
  const [waist, hip, hem] = [m(measures, 'waist') / 4, m(measures, 'hip') / 4, m(measures, 'hem') / 2];
  const length = m(measures, 'length');
  const rise = m(measures, 'rise');
  return [
    point(-waist, 0),
    point(waist, 0),
    point(Math.max(hip, hem), rise),
    point(hem, length),
    point(-hem, length),
    point(-Math.max(hip, hem), rise),
  ];
}

function apronOutline({ measures }: BlankMeasures): Ring {
  const [bib, width] = [m(measures, 'bib') / 2, m(measures, 'width') / 2];
  const [bibHeight, length] = [m(measures, 'bibHeight'), m(measures, 'length')];
  const side = Array.from({ length: STEPS + 1 }, (_, i) => {
    const t = i / STEPS;
    return point(bib + (width - bib) * t ** 2.5, bibHeight * t);
  });
  return [...mirrored(side.slice(0, 1)), ...side, point(width, length), point(-width, length), ...mirrored(side.slice(1)).reverse()];
}

function crownOutline({ measures }: BlankMeasures): Ring {
  const [front, top, crown] = [m(measures, 'front') / 2, m(measures, 'top') / 2, m(measures, 'crown')];
  return [point(-top, 0), point(top, 0), point(front, crown), point(-front, crown)];
}

/** The outline of a panel, mm; null: the blank has no such panel. */
export function outlineOf(blank: BlankMeasures, panel: Panel): Ring | null {
  const { shape, measures } = blank;
  const [width, height] = [m(measures, 'width'), m(measures, 'height')];
  switch (shape) {
    case 'body':
      if (panel === 'front' || panel === 'back') return bodyOutline(blank, panel);
      return panel === 'sleeve' && m(measures, 'sleeve') > 0 ? sleeveOutline(blank) : null;
    case 'legs':
      return panel === 'leg' ? legOutline(blank) : null;
    case 'apron':
      return panel === 'bib' ? apronOutline(blank) : null;
    case 'cap':
      return panel === 'crown' ? crownOutline(blank) : null;
    case 'tote':
    case 'sheet':
      return panel === 'face' ? rect(-width / 2, 0, width, height) : null;
    case 'round':
      return panel === 'face'
        ? Array.from({ length: 48 }, (_, i) =>
            point((width / 2) * Math.sin((i * Math.PI) / 24), width / 2 - (width / 2) * Math.cos((i * Math.PI) / 24)),
          )
        : null;
  }
}

export const holeRing = (measures: Measures): Ring => disc(0, m(measures, 'holeFrom'), m(measures, 'hole'));

/**
 * Lines that a base threaded into the piece cannot pass: its sides, as thin bands.
 *
 * @returns null: the piece is not one a base goes into
 */
export function threadedBetween(blank: BlankMeasures, panel: Panel): Ring[] | null {
  const both = (line: readonly Point[]): Ring[] => [...band(line, 2), ...band(mirrored(line), 2)];
  if (blank.shape === 'body' && (panel === 'front' || panel === 'back')) {
    const { armhole, underArm, hemY } = bodyLines(blank, panel);
    return both([...armhole, point(underArm.x, hemY)]);
  }
  const outline = outlineOf(blank, panel);
  if (!outline || !(panel === 'sleeve' || panel === 'leg' || blank.shape === 'tote')) return null;
  const bounds = boundsOf(outline);
  // open at its end, or at its top
  const closed =
    blank.shape === 'tote'
      ? [band([point(bounds.leftMm, bounds.topMm + bounds.heightMm), point(-bounds.leftMm, bounds.topMm + bounds.heightMm)], 2)].flat()
      : [];
  const right = panel === 'leg' ? outline.slice(1, 4) : outline.slice(1, 3);
  return [...both(right), ...closed];
}
