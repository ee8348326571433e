/** Where the art goes on a blank of one size: its box on the panel, the measures to lay it by, and what speaks against it. */
import {
  type Blank,
  type BlankMeasures,
  blankMeasures,
  type Measures,
  type Panel,
  type Position,
  type Range,
  readSize,
} from '../materials';
import type { Box } from './box';
import { type Feature, featuresOf } from './features';
import { coverOf, findingsOf, type PlaceFinding } from './findings';
import { boxAround, type Point, point, type Ring } from './geometry';
import { backDropOf, outlineOf, PANEL_OF } from './outline';
import { type Anchor, type HousePlaces, type PositionRule, ruleOf, TALL_SHARE } from './rules';

export interface Art {
  widthMm: number;
  heightMm: number;
}

/** A measure to lay the art by: from a line the hand can find to an edge or the middle of the art. */
export interface LayMeasure {
  from: Anchor | 'centre line';
  to: 'top edge' | 'bottom edge' | 'middle';
  way: 'down' | 'up' | 'to the wearer’s left' | 'to the wearer’s right' | 'to the right' | 'to the left';
  mm: number;
}

export interface Placement {
  panel: Panel;
  measures: BlankMeasures;
  outline: Ring;
  features: readonly Feature[];
  /** Where the anchor lies on the panel’s centre line, mm. */
  anchorAt: Point;
  box: Box;
  lay: LayMeasure[];
  /** Why the offset is what it is. */
  because:
    | 'by size'
    | 'tall art'
    | 'V-neck'
    | 'youth or long size'
    | 'share of the height'
    | 'centred'
    | 'covers the face'
    | 'moved by hand';
  squareTo: string;
  insideOut: boolean;
  /** The neck can be drawn tighter or looser, so it is measured from a seam that stays. */
  anchorMoved: boolean;
  findings: PlaceFinding[];
}

export interface PlacementQuery {
  blank: Pick<Blank, 'kind' | 'cut' | 'face' | 'obstructions'>;
  size: string;
  position: Position;
  art: Art;
  /** Taken off the rule by hand, mm: to the right as seen, and down. */
  moved?: { xMm: number; yMm: number } | undefined;
  crossesSeam: boolean;
  /** Whether tall art hangs higher. */
  tallRule: boolean;
  places?: HousePlaces | undefined;
  /** Measures are rounded to this, mm: what the tape shows. */
  tapeStepMm: number;
}

/** The blank has no panel for a position. */
export class NoSuchPanel extends RangeError {
  constructor(
    readonly kind: string,
    readonly position: Position,
  ) {
    super(`A ${kind} has no place for a ${position}.`);
  }
}

/** What cloth tapes are read to: 5 mm, or an eighth of an inch. */
export const TAPE_STEP_MM = { mm: 5, in: 25.4 / 8 } as const;

const m = (measures: Measures, name: string): number => measures[name] ?? 0;
const toTape = (mm: number, step: number): number => Math.round(mm / step) * step;

/** How far along a range a size stands: XS at its least and 3XL at its most, YXS and YXL for youth and children. */
const alongSizes = ({ min, max }: Range, text: string, rule: PositionRule): number => {
  const size = readSize(text);
  const isYoung = size?.group === 'youth' || size?.group === 'child';
  const along = size?.group === 'adult' ? (size.step + 2) / 6 : isYoung && !rule.byLength ? (size.step + 2) / 4 : 0.5;
  return min + (max - min) * Math.min(1, Math.max(0, along));
};

/** Body length of an adult M that the figures are for, mm: youth and long sizes are scaled from it. */
const USUAL_LENGTH_MM = 720;
const USUAL_STEP_MM = 25;

/** By how much a youth or long size changes an offset. */
function lengthScale({ shape, measures }: BlankMeasures, text: string, rule: PositionRule): number {
  const size = readSize(text);
  if (shape !== 'body' || !rule.byLength || !size) return 1;
  if (size.group === 'youth' || size.group === 'child') return m(measures, 'length') / USUAL_LENGTH_MM;
  return size.long ? m(measures, 'length') / (USUAL_LENGTH_MM + size.step * USUAL_STEP_MM) : 1;
}

/** Where an anchor lies on its panel. */
function anchorPoint(anchor: Anchor, { shape, measures }: BlankMeasures): Point {
  switch (anchor) {
    case 'front collar seam':
    case 'point of the V':
      return point(0, m(measures, 'frontDrop'));
    case 'shoulder-neck point':
    case 'bib top hem':
    case 'tote top hem':
      return point(0, 0);
    case 'back collar seam':
      return point(0, backDropOf(measures));
    case 'sleeve hem':
      return point(0, m(measures, 'sleeve'));
    case 'leg hem':
      return point(0, m(measures, 'length'));
    case 'brim seam':
      return point(0, m(measures, 'crown'));
    case 'middle of the pockets':
      return point(0, m(measures, 'height') - m(measures, 'pocket') / 2);
    case 'middle of the face':
      return point(0, (shape === 'round' ? m(measures, 'width') : m(measures, 'height')) / 2);
  }
}

interface Offset {
  anchor: Anchor;
  mm: number;
  because: Placement['because'];
  anchorMoved: boolean;
}

function reasonOf({ isTall, isV, isScaled }: { isTall: boolean; isV: boolean; isScaled: boolean }, rule: PositionRule): Offset['because'] {
  if (isTall) return 'tall art';
  if (isV) return 'V-neck';
  if (isScaled) return 'youth or long size';
  return rule.measured === 'middle on it' ? 'centred' : 'by size';
}

/** How far from which line, by the rule, for this neck and this art. */
function offsetOf({ size, art, tapeStepMm, tallRule }: PlacementQuery, rule: PositionRule, measures: BlankMeasures): Offset {
  const scale = lengthScale(measures, size, rule);
  const tape = (mm: number) => toTape(mm, tapeStepMm);
  const atCollar = rule.anchor === 'front collar seam';
  if (rule.shareOfHeight !== undefined)
    return {
      anchor: rule.anchor,
      mm: tape(rule.shareOfHeight * m(measures.measures, 'height')),
      because: 'share of the height',
      anchorMoved: false,
    };
  const isV = atCollar && measures.neck === 'V';
  const start = anchorPoint(rule.anchor, measures).y;
  const printable = m(measures.measures, 'length') - start - rule.belowMm;
  const isTall = tallRule && rule.tallMm !== undefined && art.heightMm > TALL_SHARE * printable;
  const which = isTall && rule.tallMm ? rule.tallMm : isV && rule.vNeckMm ? rule.vNeckMm : rule.offsetMm;
  const mm = alongSizes(which, size, rule) * scale;
  const because = reasonOf({ isTall: isTall === true, isV, isScaled: scale !== 1 }, rule);
  // a neck that is drawn to fit is no line to measure from: the shoulder seam beside it stays
  if (atCollar && measures.neck === 'adjustable')
    return { anchor: 'shoulder-neck point', mm: tape(start + mm), because, anchorMoved: true };
  return { anchor: isV ? 'point of the V' : rule.anchor, mm: tape(mm), because, anchorMoved: false };
}

/** The box by the rule, before anything was moved by hand. */
function ruledBox(query: PlacementQuery, rule: PositionRule, measures: BlankMeasures, offset: Offset): Box {
  const { widthMm, heightMm } = query.art;
  const anchorAt = anchorPoint(offset.anchor, measures);
  const x = rule.leftMm ? toTape(alongSizes(rule.leftMm, query.size, rule) * lengthScale(measures, query.size, rule), query.tapeStepMm) : 0;
  if (rule.measured === 'middle on it') return boxAround(anchorAt, widthMm, heightMm);
  const top = rule.measured === 'down to the top edge' ? anchorAt.y + offset.mm : anchorAt.y - offset.mm - heightMm;
  return { leftMm: x - widthMm / 2, topMm: top, widthMm, heightMm };
}

/** To which side: the wearer’s own where there is one; seen from behind, the wearer’s left lies to the left. */
function sideways(x: number, panel: Panel): LayMeasure['way'] {
  if (panel === 'face' || panel === 'sleeve' || panel === 'leg') return x >= 0 ? 'to the right' : 'to the left';
  return x >= 0 === (panel !== 'back') ? 'to the wearer’s left' : 'to the wearer’s right';
}

/** The measures that lead a hand to a box. */
function layMeasures(box: Box, rule: PositionRule, anchor: Anchor, anchorAt: Point, panel: Panel): LayMeasure[] {
  const x = box.leftMm + box.widthMm / 2;
  const upward = rule.measured === 'up to the bottom edge';
  const along =
    rule.measured === 'middle on it'
      ? box.topMm + box.heightMm / 2 - anchorAt.y
      : upward
        ? anchorAt.y - box.topMm - box.heightMm
        : box.topMm - anchorAt.y;
  const list: LayMeasure[] = [];
  if (rule.measured !== 'middle on it' || Math.abs(along) > 0.05)
    list.push({
      from: anchor,
      to: rule.measured === 'middle on it' ? 'middle' : upward ? 'bottom edge' : 'top edge',
      way: upward === along >= 0 ? 'up' : 'down',
      mm: Math.abs(along),
    });
  list.push({ from: 'centre line', to: 'middle', way: sideways(x, panel), mm: Math.abs(x) });
  return list;
}

type Piece = Pick<Placement, 'measures' | 'panel' | 'outline' | 'features'>;

/** Pieces drawn before: art is moved over the same one many times. */
const drawn = new WeakMap<PlacementQuery['blank'], Map<string, Piece>>();

/** The piece in this size, as it lies for a position, without any art. */
function pieceOf(blank: PlacementQuery['blank'], size: string, position: Position): Piece {
  const before = drawn.get(blank) ?? new Map<string, Piece>();
  drawn.set(blank, before);
  const key = `${position} ${size}`;
  const known = before.get(key);
  if (known) return known;
  const measures = blankMeasures(blank, size);
  const panel = PANEL_OF[position];
  const outline = outlineOf(measures, panel);
  if (!outline) throw new NoSuchPanel(blank.kind, position);
  const piece = { measures, panel, outline, features: featuresOf(blank, measures, position) };
  before.set(key, piece);
  return piece;
}

/**
 * Works out where art goes.
 *
 * @param query lengths in mm
 * @returns the art’s box on its panel and the measures to lay it by, rounded to what a tape shows; a placement that does
 *          not work is worked out all the same, with what speaks against it
 * @throws {NoSuchPanel} the blank has no such panel
 * @throws {UnknownSize} the size can neither be read nor graded
 */
export function place(query: PlacementQuery): Placement {
  const { blank, size, position, art, moved } = query;
  const { measures, panel, outline, features } = pieceOf(blank, size, position);
  const rule = ruleOf(position, query.places);
  const offset = offsetOf(query, rule, measures);
  const anchorAt = anchorPoint(offset.anchor, measures);
  const ruled = ruledBox(query, rule, measures, offset);
  const box = moved ? { ...ruled, leftMm: ruled.leftMm + moved.xMm, topMm: ruled.topMm + moved.yMm } : ruled;
  const covers = coverOf(measures, art) !== 'inside';
  return {
    panel,
    measures,
    outline,
    features,
    anchorAt,
    box,
    lay: layMeasures(box, rule, offset.anchor, anchorAt, panel),
    because: moved && (moved.xMm !== 0 || moved.yMm !== 0) ? 'moved by hand' : covers ? 'covers the face' : offset.because,
    squareTo: rule.squareTo,
    insideOut: rule.insideOut,
    anchorMoved: offset.anchorMoved,
    findings: findingsOf({ query, rule, measures, outline, features, box, covers }),
  };
}
