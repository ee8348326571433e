/** Blanks: the things that are pressed on. */
import { z } from 'zod';
import { BLANK_KINDS, POSITIONS } from './blankKinds';
import { type Cut, CutSchema, contradictions, measuresOf, UnknownSize } from './cut';
import { Id, Name, RetiredOn, Words } from './fields';
import { extentOf, PANELS, shapeOf } from './standardCuts';

export const OBSTRUCTION_KINDS = [
  'collar',
  'zip',
  'seam',
  'rivet',
  'button',
  'pocket',
  'strap',
  'buckle',
  'drawcord',
  'hanging hole',
  'placket',
  'badge area',
  'bevel',
] as const;
export type ObstructionKind = (typeof OBSTRUCTION_KINDS)[number];

const Obstruction = z.object({
  kind: z.enum(OBSTRUCTION_KINDS),
  /** How far it stands over the cloth around it, mm. */
  heightMm: z.number().min(0).max(60),
  /** Positions whose pressed area it gets into. */
  at: z.array(z.enum(POSITIONS)),
  /** Where it lies, where it is not in the usual place: its middle from the centre line and from the top of the panel, mm, and its sides. */
  where: z
    .object({
      panel: z.enum(PANELS),
      xMm: z.number().min(-1500).max(1500),
      yMm: z.number().min(-100).max(3000),
      widthMm: z.number().positive('It has a width.').max(3000),
      heightMm: z.number().positive('It has a height.').max(3000),
    })
    .optional(),
});
export type Obstruction = z.infer<typeof Obstruction>;

export const DUTIES = ['laundered', 'handled', 'looked at'] as const;
export type Duty = (typeof DUTIES)[number];

const BlankFields = z.object({
  id: Id,
  name: Name,
  kind: z.enum(BLANK_KINDS),
  fabricId: Id,
  colour: Name,
  shade: z.enum(['light', 'dark']),
  sizes: z.array(z.string().trim().min(1).max(20)).min(1, 'Name at least one size.'),
  /** Whole thickness under the platen, mm; absent: that of its fabric. */
  thicknessMm: z.number().min(0.05).max(60).optional(),
  /** The face that touches the platen, of a hard piece, mm; absent: larger than the platen. */
  face: z.object({ widthMm: z.number().min(5).max(2000), heightMm: z.number().min(5).max(2000), round: z.boolean() }).optional(),
  /** How much pieces of one lot differ in thickness, mm. */
  thicknessSpreadMm: z.number().min(0).max(10),
  obstructions: z.array(Obstruction).max(30),
  lined: z.boolean(),
  /** The face that takes the print. */
  printable: z.enum(['outside', 'inside', 'either face', 'the coated face']),
  /** From which side the print is looked at. */
  lookedAt: z.enum(['the printed side', 'through the blank']),
  duty: z.enum(DUTIES),
  /** Laws of their own apply; the app points to them and does not decide. */
  notices: z.array(z.enum(['for children', 'food or drink'])),
  /** What the owner found by test on this very blank; it replaces the fibre figures, °C for 15 s. */
  tested: z
    .object({ markC: z.number().min(60).max(260), damageC: z.number().min(60).max(300), on: z.iso.date(), how: Words })
    .refine((t) => t.markC <= t.damageC, { path: ['markC'], message: 'The mark limit lies over the damage limit.' })
    .optional(),
  /** Test pieces that held, by product: they settle an unknown finish or an unknown plastic. */
  testPieces: z.array(z.object({ productId: Id, on: z.iso.date(), how: Words })).max(50),
  retiredOn: RetiredOn,
  /** What a tape says of it; absent: the standard cut of its kind. */
  cut: CutSchema.optional(),
});

/** What of a blank decides where its print goes. */
export const BlankShapeSchema = BlankFields.pick({ kind: true, cut: true, face: true, obstructions: true }).superRefine((blank, ctx) =>
  shapeFaults({ ...blank, sizes: [] }, (path, message) => ctx.addIssue({ code: 'custom', path, message })),
);

export const BlankSchema = BlankFields.superRefine((blank, ctx) =>
  shapeFaults(blank, (path, message) => ctx.addIssue({ code: 'custom', path, message })),
);

type Shaped = Pick<z.infer<typeof BlankFields>, 'kind' | 'cut' | 'face' | 'obstructions' | 'sizes'>;

/** Measures that contradict each other, sizes nobody can grade, and what lies outside its panel. */
function shapeFaults(blank: Shaped, say: Say): void {
  const { cut } = blank;
  if (cut) {
    const shape = shapeOf(blank);
    for (const { measure, message } of contradictions(shape, cut.measures)) say(['cut', 'measures', measure], message);
    for (const size of new Set([...blank.sizes, ...Object.keys(cut.bySize ?? {})])) sizeFaults(blank, cut, size, say);
  }
  const extents = extentOf(blank);
  for (const [i, { kind, where }] of blank.obstructions.entries()) {
    if (!where) continue;
    const most = extents[where.panel];
    if (!most) {
      say(['obstructions', i, 'where', 'panel'], `A ${blank.kind} has no ${where.panel}.`);
      continue;
    }
    const out = Math.abs(where.xMm) - where.widthMm / 2 > most.widthMm / 2 || where.yMm - where.heightMm / 2 > most.heightMm;
    if (out) say(['obstructions', i, 'where'], `The ${kind} lies outside the ${blank.kind}’s ${where.panel}.`);
  }
}
export type Blank = z.infer<typeof BlankSchema>;

type Say = (path: (string | number)[], message: string) => void;

/** What is wrong with one size of a cut, said where it was typed. */
function sizeFaults(blank: Shaped, cut: Cut, size: string, say: Say): void {
  if (size === cut.size) return;
  try {
    const own = cut.bySize?.[size];
    for (const { measure, message } of contradictions(shapeOf(blank), measuresOf(shapeOf(blank), cut, size)))
      say(own ? ['cut', 'bySize', size, measure] : ['cut', 'measures', measure], `In ${size}: ${message}`);
  } catch (error) {
    if (!(error instanceof UnknownSize)) throw error;
    say(['sizes'], error.message);
  }
}

/** Whether a test piece with a product was pressed on this blank and held. */
export const testPieceHeld = (blank: Blank, productId: string): boolean => blank.testPieces.some((piece) => piece.productId === productId);
