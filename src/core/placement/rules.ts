/**
 * Position rules as data: from which line of the blank a print is measured, how far, how large it may be.
 * Figures are for adult sizes, mm; a range runs from XS to 3XL. The house may change any of them.
 */
import { z } from 'zod';
import { POSITIONS, type Position, type Range } from '../materials';

export const ANCHORS = [
  'front collar seam',
  'point of the V',
  'shoulder-neck point',
  'back collar seam',
  'sleeve hem',
  'leg hem',
  'brim seam',
  'bib top hem',
  'tote top hem',
  'middle of the pockets',
  'middle of the face',
] as const;
export type Anchor = (typeof ANCHORS)[number];

export interface PositionRule {
  anchor: Anchor;
  /** From the anchor to the art: down to its top edge, or up to its bottom edge; `middle`: centred on it. */
  measured: 'down to the top edge' | 'up to the bottom edge' | 'middle on it';
  /** How far, over the sizes. */
  offsetMm: Range;
  /** For art taller than three quarters of the printable height. */
  tallMm?: Range;
  /** Where the neck is a V, from its point. */
  vNeckMm?: Range;
  /** Share of the panel’s height that the offset is, instead of a figure. */
  shareOfHeight?: number;
  /** Middle of the art from the centre line towards the wearer’s left, over the sizes. */
  leftMm?: Range;
  mostWidthMm?: number;
  mostHeightMm?: number;
  /** Least and most of the flat chest that the art’s width may take. */
  shareOfChest?: Range;
  /** Kept between the art and the panel’s sides. */
  sideMm: number;
  /** Kept between the art and the lower edge of the panel. */
  belowMm: number;
  /** Youth and long sizes take the adult figure by the length of their body. */
  byLength: boolean;
  insideOut: boolean;
  /** What a hand lays the art square to. */
  squareTo: string;
}

const range = (min: number, max: number): Range => ({ min, max });
const PLAIN = { sideMm: 10, belowMm: 25, byLength: true, insideOut: false } as const;
const FRONT = {
  anchor: 'front collar seam',
  measured: 'down to the top edge',
  offsetMm: range(50, 80),
  tallMm: range(20, 40),
  vNeckMm: range(30, 50),
  shareOfChest: range(0.42, 0.6),
  squareTo: 'the two side edges and the hem',
  ...PLAIN,
} as const;

const POSITION_RULES: Record<Position, PositionRule> = {
  'full front': FRONT,
  'youth front': { ...FRONT, offsetMm: range(40, 55), byLength: false },
  'left chest': {
    anchor: 'shoulder-neck point',
    measured: 'down to the top edge',
    offsetMm: range(175, 200),
    leftMm: range(95, 115),
    mostWidthMm: 100,
    shareOfChest: range(0.15, 0.2),
    squareTo: 'the centre line',
    ...PLAIN,
  },
  'upper back': {
    anchor: 'back collar seam',
    measured: 'down to the top edge',
    offsetMm: range(90, 120),
    squareTo: 'the two side edges and the hem',
    ...PLAIN,
  },
  'full back': {
    anchor: 'back collar seam',
    measured: 'down to the top edge',
    offsetMm: range(90, 120),
    tallMm: range(50, 80),
    shareOfChest: range(0.42, 0.6),
    squareTo: 'the two side edges and the hem',
    ...PLAIN,
  },
  'neck label': {
    anchor: 'back collar seam',
    measured: 'down to the top edge',
    offsetMm: range(15, 30),
    mostWidthMm: 80,
    mostHeightMm: 70,
    squareTo: 'the collar seam',
    ...PLAIN,
    insideOut: true,
  },
  sleeve: {
    anchor: 'sleeve hem',
    measured: 'up to the bottom edge',
    offsetMm: range(25, 40),
    squareTo: 'the hem of the sleeve, on its fold',
    ...PLAIN,
    belowMm: 20,
  },
  leg: {
    anchor: 'leg hem',
    measured: 'up to the bottom edge',
    offsetMm: range(40, 70),
    squareTo: 'the hem of the leg',
    ...PLAIN,
    sideMm: 25,
  },
  'cap front': {
    anchor: 'brim seam',
    measured: 'up to the bottom edge',
    offsetMm: range(12, 20),
    squareTo: 'the brim seam',
    ...PLAIN,
    sideMm: 5,
    belowMm: 10,
  },
  bib: {
    anchor: 'bib top hem',
    measured: 'down to the top edge',
    offsetMm: range(70, 100),
    squareTo: 'the top hem',
    ...PLAIN,
  },
  'tote front': {
    anchor: 'tote top hem',
    measured: 'down to the top edge',
    offsetMm: range(0, 0),
    shareOfHeight: 0.25,
    squareTo: 'the top hem',
    ...PLAIN,
  },
  'pocket face': {
    anchor: 'middle of the pockets',
    measured: 'middle on it',
    offsetMm: range(0, 0),
    squareTo: 'the top of the pockets',
    ...PLAIN,
    sideMm: 5,
    belowMm: 5,
  },
  face: {
    anchor: 'middle of the face',
    measured: 'middle on it',
    offsetMm: range(0, 0),
    squareTo: 'the edges',
    ...PLAIN,
    sideMm: 0,
    belowMm: 0,
  },
};

/** A cap print leaves this much of the crown, mm. */
export const CROWN_LEFT_MM = 25;
/** Print on a hard piece stays this far inside a bevel, mm. */
export const INSIDE_BEVEL_MM = 1.5;
/** Print that covers a hard piece runs this far over its edge, mm. */
export const BLEED_MM = 3;
/** Of the printable height; art taller than this is tall. */
export const TALL_SHARE = 0.75;

const Figure = z.number().min(0, 'A distance cannot be less than zero.').max(600, 'A distance over 600 mm leaves the blank.');
const FigureRange = z
  .object({ min: Figure, max: Figure })
  .refine((r) => r.min <= r.max, { path: ['min'], message: 'The least is over the most.' });

/** What a house changed of the rules, by position. */
export const HousePlacesSchema = z.partialRecord(
  z.enum(POSITIONS),
  z.object({ offsetMm: FigureRange.optional(), leftMm: FigureRange.optional(), mostWidthMm: z.number().min(5).max(2000).optional() }),
);
export type HousePlaces = z.infer<typeof HousePlacesSchema>;

/** The rule of a position as this house has it. */
export function ruleOf(position: Position, places: HousePlaces = {}): PositionRule {
  const own = places[position];
  const rule = POSITION_RULES[position];
  return {
    ...rule,
    ...(own?.offsetMm && { offsetMm: own.offsetMm }),
    ...(own?.leftMm && { leftMm: own.leftMm }),
    ...(own?.mostWidthMm !== undefined && { mostWidthMm: own.mostWidthMm }),
  };
}
