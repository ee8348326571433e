/**
 * What stands up from a panel, or must stay free of print: collar, seams, zip, pockets, rivets, holes, bevels.
 * Each kind has its usual place on each shape, worked out from the measures; a blank may say where its own lies.
 */
import type { Blank, BlankMeasures, Measures, Obstruction, Panel, Position } from '../materials';
import { band, between, boxAround, disc, flipped, type Point, point, type Ring, rect, ringOf } from './geometry';
import { bodyLines, holeRing, outlineOf, PANEL_OF, sleeveWidths } from './outline';

export interface Feature {
  /** What it is called at the press. */
  kind: string;
  /** How far it stands over the cloth around it, mm. */
  heightMm: number;
  /** Convex pieces it is made of. */
  pieces: readonly Ring[];
  /** Whether it lies on the panel that is printed, or on the layer under it. */
  layer: 'this' | 'under';
  /** Art may not lie on it. */
  noArt: boolean;
}

/** Lower than this above its cloth, a seam does not hold a platen off, mm. */
const RAISED_FROM_MM = 1.2;
export const isRaised = ({ heightMm }: Pick<Feature, 'heightMm'>): boolean => heightMm >= RAISED_FROM_MM;

/** They hang loose and are laid aside by hand: they have no place of their own. */
const LOOSE: readonly Obstruction['kind'][] = ['drawcord', 'buckle'];

const m = (measures: Measures, name: string): number => measures[name] ?? 0;
const both = (line: readonly Point[]): Point[][] => [[...line], line.map(({ x, y }) => point(-x, y))];
/** Width of a seam with its allowance, mm. */
const SEAM_MM = 8;

type Placed = (measures: BlankMeasures, panel: Panel) => Ring[];

function collar(blank: BlankMeasures, panel: 'front' | 'back'): Ring[] {
  const { collarSeam } = bodyLines(blank, panel);
  // a rib lies inside the neck opening; a hood or a stand-up collar stands over all of it
  const rib = blank.neck === 'hood' || blank.neck === 'stand-up' ? Number.POSITIVE_INFINITY : 20;
  return between(
    collarSeam,
    collarSeam.map(({ x, y }) => {
      const left = Math.max(0, 1 - rib / Math.max(1, Math.hypot(x, y)));
      return point(x * left, y * left);
    }),
  );
}

const ends = (width: number, spacing: number): number[] => {
  const count = Math.max(1, Math.round(width / spacing));
  return Array.from({ length: count + 1 }, (_, i) => -width / 2 + (i * width) / count);
};

const BODY: Partial<Record<Obstruction['kind'], Placed>> = {
  collar: (blank, panel) => (panel === 'front' || panel === 'back' ? collar(blank, panel) : []),
  zip: ({ measures }, panel) =>
    panel === 'front' ? [rect(-12, m(measures, 'frontDrop') - 50, 24, m(measures, 'length') - m(measures, 'frontDrop') + 50)] : [],
  placket: ({ measures }, panel) => (panel === 'front' ? [rect(-17, m(measures, 'frontDrop'), 34, 140)] : []),
  button: ({ measures }, panel) => {
    const [from, to] = [m(measures, 'frontDrop') + 30, m(measures, 'length') - 60];
    return panel === 'front' ? Array.from({ length: Math.floor((to - from) / 90) + 1 }, (_, i) => disc(0, from + 90 * i, 14)) : [];
  },
  pocket: ({ measures, neck }, panel) => {
    if (panel !== 'front') return [];
    const [length, chest] = [m(measures, 'length'), m(measures, 'chest')];
    if (neck === 'hood') return [rect(-0.29 * chest, length - 230, 0.58 * chest, 165)];
    if (neck === 'stand-up')
      return both([point(chest / 2 - 70, 0.6 * length), point(chest / 2 - 40, 0.6 * length + 160)]).flatMap((line) => band(line, 26));
    return [rect(55, m(measures, 'frontDrop') + 100, 100, 120)];
  },
  seam: (blank, panel) => {
    if (panel === 'sleeve') return [];
    const { armhole, underArm, hemY } = bodyLines(blank, panel === 'back' ? 'back' : 'front');
    return both([...armhole, point(underArm.x, hemY)]).flatMap((line) => band(line, SEAM_MM));
  },
  'badge area': (_, panel) => (panel === 'front' ? [rect(60, 150, 90, 40)] : []),
};
const APRON: Partial<Record<Obstruction['kind'], Placed>> = {
  strap: ({ measures }) =>
    [-1, 1].map((side) =>
      rect(side * (m(measures, 'bib') / 2 - m(measures, 'strap') / 2) - m(measures, 'strap') / 2, 0, m(measures, 'strap'), 45),
    ),
  seam: ({ measures }) => [rect(-m(measures, 'bib') / 2, 0, m(measures, 'bib'), m(measures, 'topHem'))],
  pocket: ({ measures }) => [rect(-0.25 * m(measures, 'width'), m(measures, 'bibHeight') + 80, 0.5 * m(measures, 'width'), 180)],
  'badge area': ({ measures }) => [rect(m(measures, 'bib') / 2 - 105, m(measures, 'topHem') + 15, 90, 40)],
};
const TOTE: Partial<Record<Obstruction['kind'], Placed>> = {
  strap: ({ measures }) =>
    [-1, 1].map((side) => {
      const middle = side * (m(measures, 'width') / 2 - m(measures, 'strapFrom') - m(measures, 'strap') / 2);
      return rect(middle - m(measures, 'strap') / 2, 0, m(measures, 'strap'), m(measures, 'strapFoot'));
    }),
  seam: ({ measures }) => [rect(-m(measures, 'width') / 2, m(measures, 'topHem') - 3, m(measures, 'width'), 6)],
  pocket: ({ measures }) => [
    rect(-0.3 * m(measures, 'width'), 0.4 * m(measures, 'height'), 0.6 * m(measures, 'width'), 0.35 * m(measures, 'height')),
  ],
};
const SHEET: Partial<Record<Obstruction['kind'], Placed>> = {
  rivet: ({ measures }) => {
    const [width, height, pocket] = [m(measures, 'width'), m(measures, 'height'), m(measures, 'pocket')];
    return ends(width - 20, 135).flatMap((x) => [disc(x, height - (pocket || height) + 8, 10), disc(x, height - 8, 10)]);
  },
  strap: ({ measures }) => [rect(m(measures, 'width') / 2 - 40, m(measures, 'height') / 2 - 20, 40, 40)],
  seam: ({ measures }) =>
    ends(m(measures, 'width') - 20, 135).map((x) => rect(x - 2, m(measures, 'height') - m(measures, 'pocket'), 4, m(measures, 'pocket'))),
  pocket: ({ measures }) =>
    m(measures, 'pocket') > 0
      ? [rect(-m(measures, 'width') / 2, m(measures, 'height') - m(measures, 'pocket'), m(measures, 'width'), 6)]
      : [],
};
const LEGS: Partial<Record<Obstruction['kind'], Placed>> = {
  seam: (blank) => {
    const side = outlineOf(blank, 'leg') ?? [];
    const right = side.slice(1, 4);
    return both(right).flatMap((line) => band(line, SEAM_MM));
  },
  pocket: ({ measures }) => [rect(m(measures, 'hip') / 4 - 60, m(measures, 'waistband') + 10, 50, 160)],
};
const CAP: Partial<Record<Obstruction['kind'], Placed>> = {
  seam: ({ measures }) => [rect(-3, 0, 6, m(measures, 'crown'))],
};
const USUAL: Record<BlankMeasures['shape'], Partial<Record<Obstruction['kind'], Placed>>> = {
  body: BODY,
  legs: LEGS,
  apron: APRON,
  tote: TOTE,
  cap: CAP,
  sheet: SHEET,
  round: {},
};

/** What a shape always has, whether its blank lists it or not: kind, height over the cloth, mm, and where. */
const ALWAYS: Partial<
  Record<BlankMeasures['shape'], (blank: BlankMeasures) => readonly { kind: string; heightMm: number; place: Placed; noArt?: boolean }[]>
> = {
  body: ({ neck }) => [
    { kind: 'collar', heightMm: neck === 'hood' ? 6 : neck === 'stand-up' ? 4 : 2, place: BODY.collar as Placed, noArt: true },
    ...(neck === 'stand-up' ? [{ kind: 'seam', heightMm: 2, place: BODY.seam as Placed }] : []),
    {
      kind: 'sleeve seam',
      heightMm: 1,
      place: ({ measures }, panel) =>
        panel === 'sleeve' ? [rect(-sleeveWidths(measures).top / 2, -4, sleeveWidths(measures).top, SEAM_MM)] : [],
    },
  ],
  legs: () => [
    {
      kind: 'waistband',
      heightMm: 3,
      place: ({ measures }) => [rect(-m(measures, 'waist') / 4, 0, m(measures, 'waist') / 2, m(measures, 'waistband'))],
      noArt: true,
    },
  ],
  cap: () => [
    {
      kind: 'brim',
      heightMm: 8,
      place: ({ measures }) => [rect(-m(measures, 'front') / 2 - 20, m(measures, 'crown'), m(measures, 'front') + 40, m(measures, 'brim'))],
      noArt: true,
    },
  ],
};

/** Face that takes no print: the bevel round a hard piece, and its hole. */
function bare({ shape, measures }: BlankMeasures, panel: Panel): Feature[] {
  if (panel !== 'face' || (shape !== 'sheet' && shape !== 'round')) return [];
  const [width, bevel] = [m(measures, 'width'), m(measures, 'bevel')];
  const height = shape === 'round' ? width : m(measures, 'height');
  const hole =
    m(measures, 'hole') > 0
      ? [{ kind: 'hanging hole', heightMm: 0, pieces: [holeRing(measures)], layer: 'this' as const, noArt: true }]
      : [];
  if (bevel === 0 || shape === 'round') return hole;
  const rim = [
    rect(-width / 2, 0, width, bevel),
    rect(-width / 2, height - bevel, width, bevel),
    rect(-width / 2, 0, bevel, height),
    rect(width / 2 - bevel, 0, bevel, height),
  ];
  return [...hole, { kind: 'bevel', heightMm: 0, pieces: rim, layer: 'this', noArt: true }];
}

const NO_ART: readonly Obstruction['kind'][] = ['badge area', 'bevel', 'hanging hole', 'rivet', 'button', 'zip', 'buckle'];

/** The features of one panel, as it lies up. */
function onPanel(blank: Pick<Blank, 'obstructions'>, measures: BlankMeasures, panel: Panel): Feature[] {
  const listed = blank.obstructions.flatMap((obstruction): Feature[] => {
    if (LOOSE.includes(obstruction.kind) && !obstruction.where) return [];
    const { where } = obstruction;
    const pieces = where
      ? where.panel === panel
        ? [ringOf(boxAround(point(where.xMm, where.yMm), where.widthMm, where.heightMm))]
        : []
      : (USUAL[measures.shape][obstruction.kind]?.(measures, panel) ?? []);
    return pieces.length === 0
      ? []
      : [{ kind: obstruction.kind, heightMm: obstruction.heightMm, pieces, layer: 'this', noArt: NO_ART.includes(obstruction.kind) }];
  });
  const always = (ALWAYS[measures.shape]?.(measures) ?? []).filter(({ kind }) => !listed.some((feature) => feature.kind === kind));
  return [
    ...listed,
    ...always.flatMap(({ kind, heightMm, place, noArt = false }): Feature[] => {
      const pieces = place(measures, panel);
      return pieces.length === 0 ? [] : [{ kind, heightMm, pieces, layer: 'this', noArt }];
    }),
    ...bare(measures, panel),
  ];
}

const OTHER_SIDE: Partial<Record<Panel, Panel>> = { front: 'back', back: 'front' };

/**
 * Everything on the panel a position lies on and, where both layers lie under the heat, on the layer under it.
 *
 * @returns features in the panel's own frame; those of the layer under it as they lie, seen from above
 */
export function featuresOf(blank: Pick<Blank, 'obstructions'>, measures: BlankMeasures, position: Position): Feature[] {
  const panel = PANEL_OF[position];
  const under = OTHER_SIDE[panel];
  return [
    ...onPanel(blank, measures, panel),
    ...(under ? onPanel(blank, measures, under) : []).map(
      (feature): Feature => ({ ...feature, layer: 'under', pieces: feature.pieces.map(flipped), noArt: false }),
    ),
  ];
}

/** What is listed on the blank for a position but has no place that can be drawn: it is taken to lie in the pressed area. */
export const unplaced = (blank: Pick<Blank, 'obstructions'>, measures: BlankMeasures, position: Position): Obstruction[] =>
  blank.obstructions.filter(
    (obstruction) =>
      obstruction.heightMm > 0 &&
      !obstruction.where &&
      obstruction.at.includes(position) &&
      (LOOSE.includes(obstruction.kind) || !USUAL[measures.shape][obstruction.kind]),
  );
