/** Blanks: the things that are pressed on. */
import { z } from 'zod';
import { Id, Name, RetiredOn, Words } from './fields';

/** Positions as they are called at the press; `face` is the printed face of a hard or flat piece. */
export const POSITIONS = [
  'full front',
  'youth front',
  'left chest',
  'upper back',
  'full back',
  'neck label',
  'sleeve',
  'leg',
  'cap front',
  'bib',
  'tote front',
  'pocket face',
  'face',
] as const;
export type Position = (typeof POSITIONS)[number];

export const BLANK_KINDS = [
  'tee',
  'youth tee',
  'hoodie',
  'vest',
  'jacket',
  'shorts',
  'apron',
  'tote',
  'cap',
  'tool roll',
  'coaster',
  'tile',
  'tag',
  'panel',
  'journal',
] as const;
export type BlankKind = (typeof BLANK_KINDS)[number];

/** Where a kind of blank is usually printed; the first is what a new line starts from. */
export const USUAL_POSITIONS: Record<BlankKind, readonly [Position, ...Position[]]> = {
  tee: ['full front', 'left chest', 'upper back', 'full back', 'sleeve', 'neck label'],
  'youth tee': ['youth front', 'upper back', 'sleeve', 'neck label'],
  hoodie: ['full front', 'left chest', 'upper back', 'full back', 'sleeve'],
  vest: ['full front', 'left chest', 'full back', 'upper back'],
  jacket: ['left chest', 'full back', 'upper back', 'sleeve'],
  shorts: ['leg'],
  apron: ['bib'],
  tote: ['tote front'],
  cap: ['cap front'],
  'tool roll': ['pocket face', 'face'],
  coaster: ['face'],
  tile: ['face'],
  tag: ['face'],
  panel: ['face'],
  journal: ['face'],
};

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
] as const;

const Obstruction = z.object({
  kind: z.enum(OBSTRUCTION_KINDS),
  /** How far it stands over the cloth around it, mm. */
  heightMm: z.number().min(0).max(60),
  /** Positions whose pressed area it gets into. */
  at: z.array(z.enum(POSITIONS)),
});
export type Obstruction = z.infer<typeof Obstruction>;

export const DUTIES = ['laundered', 'handled', 'looked at'] as const;
export type Duty = (typeof DUTIES)[number];

export const BlankSchema = z.object({
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
});
export type Blank = z.infer<typeof BlankSchema>;

/** Whether a test piece with a product was pressed on this blank and held. */
export const testPieceHeld = (blank: Blank, productId: string): boolean => blank.testPieces.some((piece) => piece.productId === productId);
