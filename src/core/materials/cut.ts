/**
 * The cut of a blank: what a tape says of it, six measures at most, taken of one size; other sizes follow by their grade.
 * Standard measures are starting points of ours for each kind, to be replaced by the tape.
 */
import { z } from 'zod';
import { readHatSize, readSize, YOUTH_M_CM } from './sizes';

/** Shapes a blank is drawn by. Garments with a body share one, with different measures. */
export const CUT_SHAPES = ['body', 'legs', 'apron', 'tote', 'cap', 'sheet', 'round'] as const;
export type CutShape = (typeof CUT_SHAPES)[number];

/** What is measured of each shape, mm, in the order a hand goes round the blank. Each with how to lay the tape. */
export const MEASURES = {
  body: {
    chest: 'flat, from side to side under the arms',
    length: 'from the shoulder at the neck straight down to the hem',
    neck: 'neck opening, seam to seam',
    frontDrop: 'from the shoulder at the neck straight down to the collar seam in front',
    shoulder: 'from shoulder tip to shoulder tip',
    sleeve: 'from the shoulder tip to the end of the sleeve; 0 for none',
  },
  legs: {
    waist: 'flat, along the waistband',
    hip: 'flat, at the widest',
    length: 'outside, waistband to hem',
    rise: 'from the waistband in front down to the crotch',
    hem: 'flat, along the hem of one leg',
    waistband: 'height of the waistband',
  },
  apron: {
    bib: 'along the top hem',
    bibHeight: 'from the top hem down to where the sides widen',
    width: 'at the widest',
    length: 'from the top hem down to the bottom hem',
    strap: 'width of the neck strap where it is sewn on',
    topHem: 'height of the top hem',
  },
  tote: {
    width: 'flat, from side to side',
    height: 'from the top hem to the bottom',
    topHem: 'height of the top hem',
    strap: 'width of a handle where it is sewn on',
    strapFrom: 'from the side to the near edge of the handle',
    strapFoot: 'how far down the handle is sewn',
  },
  cap: {
    crown: 'front, from the brim seam up to the top',
    front: 'front panel along the brim seam',
    top: 'front panel at its top',
    brim: 'how far the brim stands out',
  },
  sheet: {
    width: 'from side to side',
    height: 'from top to bottom',
    bevel: 'width of the bevel; 0 for none',
    hole: 'across the hanging hole; 0 for none',
    holeFrom: 'from the top edge to the middle of the hole',
    pocket: 'height of the pockets along the bottom; 0 for none',
  },
  round: {
    width: 'across',
    bevel: 'width of the bevel; 0 for none',
    hole: 'across the hanging hole; 0 for none',
    holeFrom: 'from the top edge to the middle of the hole',
  },
} as const satisfies Record<CutShape, Record<string, string>>;

/** Every measure of a shape, mm. */
export type Measures = Record<string, number>;

export const NECKS = ['round', 'V', 'hood', 'stand-up', 'adjustable'] as const;
export type Neck = (typeof NECKS)[number];

const Measured = z.record(
  z.string(),
  z.number().min(0, 'A measure cannot be less than zero.').max(3000, 'A measure of a blank is at most 3 m.'),
);

export const CutSchema = z.object({
  neck: z.enum(NECKS).optional(),
  /** The size the tape was laid on. */
  size: z.string().trim().min(1).max(20),
  measures: Measured,
  /** Sizes measured by themselves; what is not in it follows by the grade. */
  bySize: z.record(z.string(), Measured).optional(),
});
export type Cut = z.infer<typeof CutSchema>;

export interface Contradiction {
  measure: string;
  message: string;
}

type Check = [measure: string, contradicts: (m: Measures) => boolean, message: string];
const at = (m: Measures, name: string): number => m[name] ?? 0;
/** Measures that must be there: nothing is drawn without them. */
const POSITIVE: Record<CutShape, readonly string[]> = {
  body: ['chest', 'length', 'neck', 'frontDrop', 'shoulder'],
  legs: ['waist', 'hip', 'length', 'rise', 'hem'],
  apron: ['bib', 'bibHeight', 'width', 'length'],
  tote: ['width', 'height'],
  cap: ['crown', 'front', 'top'],
  sheet: ['width', 'height'],
  round: ['width'],
};
const CHECKS: Record<CutShape, readonly Check[]> = {
  body: [
    ['neck', (m) => at(m, 'neck') >= at(m, 'chest'), 'The neck is as wide as the chest or wider.'],
    ['shoulder', (m) => at(m, 'shoulder') <= at(m, 'neck'), 'The shoulders are not wider than the neck.'],
    ['shoulder', (m) => at(m, 'shoulder') > 1.3 * at(m, 'chest'), 'The shoulders are much wider than the chest.'],
    ['frontDrop', (m) => at(m, 'frontDrop') > 0.45 * at(m, 'length'), 'The collar seam lies almost half way down the body.'],
    ['length', (m) => at(m, 'length') < 0.6 * at(m, 'chest'), 'The body is much shorter than it is wide: measure from the shoulder down.'],
    ['sleeve', (m) => at(m, 'sleeve') > 1.6 * at(m, 'length'), 'The sleeve is far longer than the body.'],
  ],
  legs: [
    ['hem', (m) => 2 * at(m, 'hem') > 1.4 * at(m, 'hip'), 'Two hems are far wider than the hip.'],
    ['rise', (m) => at(m, 'rise') >= at(m, 'length') - 30, 'The rise leaves no leg: it reaches the hem.'],
    ['waist', (m) => at(m, 'waist') > at(m, 'hip'), 'The waist is wider than the hip.'],
    ['waistband', (m) => at(m, 'waistband') >= at(m, 'rise'), 'The waistband is higher than the rise.'],
  ],
  apron: [
    ['bib', (m) => at(m, 'bib') > at(m, 'width'), 'The bib is wider than the apron.'],
    ['bibHeight', (m) => at(m, 'bibHeight') >= at(m, 'length'), 'The bib is as long as the whole apron.'],
    ['topHem', (m) => at(m, 'topHem') >= at(m, 'bibHeight'), 'The top hem is higher than the bib.'],
    ['strap', (m) => 2 * at(m, 'strap') >= at(m, 'bib'), 'Two straps are as wide as the bib.'],
  ],
  tote: [
    ['topHem', (m) => at(m, 'topHem') >= at(m, 'height'), 'The top hem is as high as the bag.'],
    ['strapFoot', (m) => at(m, 'strapFoot') >= at(m, 'height'), 'The handle is sewn on over the whole height.'],
    ['strapFrom', (m) => 2 * (at(m, 'strapFrom') + at(m, 'strap')) > at(m, 'width'), 'The two ends of a handle would lie over each other.'],
  ],
  cap: [['top', (m) => at(m, 'top') > at(m, 'front'), 'The front panel is wider at its top than at the brim.']],
  sheet: [
    ['bevel', (m) => 2 * at(m, 'bevel') >= Math.min(at(m, 'width'), at(m, 'height')), 'The bevel leaves no face.'],
    ['pocket', (m) => at(m, 'pocket') > at(m, 'height'), 'The pockets are higher than the piece.'],
    ['holeFrom', (m) => at(m, 'hole') > 0 && at(m, 'holeFrom') - at(m, 'hole') / 2 < 1, 'The hole runs out over the top edge.'],
    ['holeFrom', (m) => at(m, 'hole') > 0 && at(m, 'holeFrom') + at(m, 'hole') / 2 > at(m, 'height'), 'The hole lies below the piece.'],
  ],
  round: [
    ['bevel', (m) => 2 * at(m, 'bevel') >= at(m, 'width'), 'The bevel leaves no face.'],
    ['holeFrom', (m) => at(m, 'hole') > 0 && at(m, 'holeFrom') - at(m, 'hole') / 2 < 1, 'The hole runs out over the top edge.'],
    ['holeFrom', (m) => at(m, 'hole') > 0 && at(m, 'holeFrom') + at(m, 'hole') / 2 > at(m, 'width'), 'The hole lies below the piece.'],
  ],
};

/** What is wrong with the measures of one size, each naming its measure; none: they can be drawn. */
export function contradictions(shape: CutShape, measures: Measures): Contradiction[] {
  const unknown = Object.keys(measures).filter((name) => !(name in MEASURES[shape]));
  const missing = POSITIVE[shape].filter((name) => !(at(measures, name) >= 5));
  return [
    ...unknown.map((measure) => ({ measure, message: `A ${shape} has no measure called ${measure}.` })),
    ...missing.map((measure) => ({ measure, message: `Measure it: ${(MEASURES[shape] as Record<string, string>)[measure]}.` })),
    ...(missing.length > 0
      ? []
      : CHECKS[shape].filter(([, contradicts]) => contradicts(measures)).map(([measure, , message]) => ({ measure, message }))),
  ];
}

/** A size a cut cannot be graded to. */
export class UnknownSize extends RangeError {
  constructor(
    readonly size: string,
    readonly known: string,
  ) {
    super(
      `${size} is not a size that ${known} can be graded to. Measure that size by itself, or write it as S, 2XL, YM, LT, 3-6 months, 4T, 7-8 or 116 cm.`,
    );
  }
}

type Series = 'adult' | 'youth' | 'child' | 'hat';

/** What changes from size to size, mm: a letter of an adult or youth, a centimetre of a child's height or of a head's girth. Figures of ours. */
const GRADE: Partial<Record<CutShape, Partial<Record<Series, Measures>>>> = {
  body: {
    adult: { chest: 50, length: 25, neck: 6, frontDrop: 3, shoulder: 22, sleeve: 8 },
    youth: { chest: 40, length: 45, neck: 6, frontDrop: 4, shoulder: 26, sleeve: 12 },
    child: { chest: 2.5, length: 3.1, neck: 0.6, frontDrop: 0.35, shoulder: 2.2, sleeve: 1.05 },
  },
  legs: {
    adult: { waist: 25, hip: 25, length: 12, rise: 8, hem: 8, waistband: 0 },
    youth: { waist: 20, hip: 22, length: 25, rise: 12, hem: 9, waistband: 0 },
    child: { waist: 1.4, hip: 2.5, length: 2.5, rise: 1.4, hem: 1.3, waistband: 0 },
  },
  cap: { hat: { crown: 1, front: 2.6, top: 2, brim: 0 } },
};
/** What the long cut of a size adds, mm. */
const LONG: Partial<Record<CutShape, Measures>> = { body: { length: 50, sleeve: 25 }, legs: { length: 60 } };
/** A youth M against an adult M. */
const YOUTH: Partial<Record<CutShape, Measures>> = {
  body: { chest: -90, length: -160, neck: -30, frontDrop: -15, shoulder: -90, sleeve: -50 },
  legs: { waist: -70, hip: -80, length: -120, rise: -60, hem: -50, waistband: 0 },
};

/** How far a size's measures lie from those its series is told from, mm: an adult M, a usual head, a maker's number nought; and of which it is. */
function graded(shape: CutShape, text: string): { from: 'M' | 'head' | 'number'; by: Measures } | null {
  const size = shape === 'cap' ? readHatSize(text) : readSize(text);
  if (!size || size.group === 'one size') return null;
  const grade = GRADE[shape]?.[size.group === 'numeric' ? 'adult' : size.group];
  if (!grade) return null;
  const young = size.group === 'youth' || size.group === 'child' ? YOUTH[shape] : undefined;
  const steps = size.group === 'child' ? size.heightCm - YOUTH_M_CM : size.step;
  const by = Object.fromEntries(
    Object.keys(grade).map((name) => [
      name,
      steps * at(grade, name) + at(young ?? {}, name) + (size.long ? at(LONG[shape] ?? {}, name) : 0),
    ]),
  );
  return { from: size.group === 'numeric' ? 'number' : size.group === 'hat' ? 'head' : 'M', by };
}

/**
 * The measures of one size: its own where it was measured, else graded from the size that was.
 *
 * @throws {UnknownSize} the size is neither measured nor one that can be graded
 */
export function measuresOf(shape: CutShape, cut: Cut, size: string): Measures {
  const own = cut.bySize?.[size];
  if (size === cut.size) return { ...cut.measures, ...own };
  if (!GRADE[shape]) return { ...cut.measures, ...own };
  const [here, there] = [graded(shape, cut.size), graded(shape, size)];
  // one tape on a cap of one size serves all heads until one is measured
  if (shape === 'cap' && !here) return { ...cut.measures, ...own };
  if (!here || !there || here.from !== there.from) {
    if (own && contradictions(shape, own).length === 0) return own;
    throw new UnknownSize(size, cut.size);
  }
  const moved = Object.entries(cut.measures).map(
    ([name, mm]) => [name, Math.max(0, mm + (mm > 0 ? at(there.by, name) - at(here.by, name) : 0))] as const,
  );
  return { ...Object.fromEntries(moved), ...own };
}
