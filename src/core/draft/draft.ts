/** The draft of a card, phase by phase: every value that is decided before the temperature is worked out from them. What a phase knows is all that the one before it settled. */
import type { HouseRules } from '../house';
import { type CoverKind, type FabricGroup, faceOf, isHard, type PressureBand, thermalMass } from '../materials';
import { type Base, type Print, topLayer } from '../order';
import type { InTheWay } from '../placement';
import { faceMm2, overlapMm2, touchingMm2 } from '../press';
import { FAMILIES, type Pad, type Peel, type Product, type SheetFor, type SheetStage } from '../sheet';
import type { PreparedInput, ResolveInput } from './input';
import type { Mirror } from './mirror';

/** What the sheet is asked for. */
export interface SheetQuery {
  group: FabricGroup | undefined;
  colour: string | undefined;
  alternative: string | undefined;
}

/** The sheet as it holds for this piece. */
export interface Sheeted extends SheetQuery {
  sheet: SheetFor;
  /** The lower layers, lowest first, each by its own sheet for this piece and its own colour. */
  under: UnderLayer[];
}

export interface UnderLayer {
  product: Product;
  mirror: Mirror;
  press: SheetStage;
  tack: SheetStage | null;
}

/** What lies where, from which side the heat comes, how hard it is pressed and how it is peeled: all that needs no time. */
export interface Arranged extends Sheeted {
  band: PressureBand;
  cover: CoverKind | null;
  peel: Peel;
  mirror: Mirror;
  base: Base;
  pad: Pad;
  /** Sides of the heated platen in use. */
  platen: { name: string | null; widthMm: number; heightMm: number };
  /** The pad is cut to the art and lifts it over what stands beside it. */
  raised: boolean;
  loading: 'threaded' | 'flat' | 'turned' | 'inside out' | 'single';
  marry: SheetStage | null;
  /** The married sheet is rubbed down before it is parted. */
  rubMarried: boolean;
  /** Seconds each lower layer is tacked, or pressed in full. */
  tackS: number;
  /** Seconds of each lower layer that the last press is too cool to finish: it is pressed in full at its own heat. Null, or not there: tacked. */
  fullS: (number | null)[];
  /** Seconds a film is tacked over a high-build layer before both are turned over and pressed from the back. */
  embossTackS: number;
  /** At what heat the mask that carries loose parts is lifted again; null: none is laid. */
  mask: Peel | null;
  trim: Product['trim'];
  protectFirst: boolean;
  split: boolean;
  /** Made to pass the mark limit: only harm bounds it. */
  passesMark: boolean;
  /** Added to the set value on an unmeasured press by house rule, K. */
  bumpK: number;
}

/** How long it is pressed, and warmed or dried before. */
export interface Timed extends Arranged {
  timeS: number;
  prePressS: number;
  /** What lies over it in the pre-press; null: bare. */
  prePressCover: CoverKind | null;
}

/** A piece with everything decided but its temperature. */
export interface Draft extends Timed {
  spots: number;
  /** Second press: with a window of its own when the sheet gives one, else at the press stage's setting; and how its cover is pulled. */
  finish: { timeS: number; cover: CoverKind; sheet: SheetStage | null; pull: Peel } | null;
  rub: boolean;
  trial: boolean;
  weight: boolean;
  /** Where it is laid to cool before a warm or a cold peel. */
  coolsOn: HouseRules['coolsOn'] | 'weight';
}

/** The press stage of the sheet as it holds for this piece. */
export function pressOf(draft: { sheet: SheetFor }): SheetStage {
  const stage = draft.sheet.stages.find((stage) => stage.kind === 'press');
  if (!stage) throw new TypeError('a product without a press stage never went through its schema');
  return stage;
}

/** Times to try on scrap, s: from the sheet's shortest in fifths of its window; null: no trial is asked for. */
export function trialOf(draft: Pick<Draft, 'sheet' | 'trial'>): { fromS: number; toS: number; stepS: number } | null {
  const { min, max } = pressOf(draft).timeS;
  return draft.trial ? { fromS: min, toS: max, stepS: Math.max(1, Math.round((max - min) / 5)) } : null;
}

/** Seconds a lower layer is pressed before the next is laid. */
export const tackOf = ({ fullS, tackS }: Pick<Arranged, 'fullS' | 'tackS'>, i: number): number => fullS[i] ?? tackS;
/** How hard it is pressed then: a layer that gets its full press gets its own sheet's. */
export const tackBand = ({ under, fullS, band }: Pick<Arranged, 'under' | 'fullS' | 'band'>, i: number): PressureBand =>
  fullS[i] ? (under[i]?.press.pressure.band ?? band) : band;

export const sheetStage = (draft: { sheet: SheetFor }, kind: SheetStage['kind']): SheetStage | null =>
  draft.sheet.stages.find((stage) => stage.kind === kind) ?? null;

/** Thickness of the whole piece under the platen, mm. */
export const thicknessOf = ({ blank, fabric }: Pick<ResolveInput, 'blank' | 'fabric'>): number => blank.thicknessMm ?? fabric.thicknessMm;

/** Heat the piece takes up, J/m²K. */
export const massOf = (input: Pick<ResolveInput, 'blank' | 'fabric'>): number => thermalMass(input.fabric.thermal, thicknessOf(input));

/** The face of a hard piece, as far as it is known: where nobody said, it is at least as large as its art. */
export function faceOfPiece({ blank, item, print }: Pick<ResolveInput, 'blank' | 'item' | 'print'>): {
  widthMm: number;
  heightMm: number;
  round: boolean;
  known: boolean;
} {
  const face = faceOf(blank, item.size);
  return face ? { ...face, known: true } : { widthMm: print.widthMm, heightMm: print.heightMm, round: false, known: false };
}

/** What truly touches in a closing, mm²: for cloth the platens’ overlap, for hard pieces their faces, as far as the platens reach. */
export function touchingArea(
  input: Pick<ResolveInput, 'press' | 'blank' | 'fabric' | 'item' | 'print'>,
  { platen }: Pick<Arranged, 'platen'>,
): number {
  const { press, fabric, item } = input;
  const overlap = overlapMm2(platen, press.base ?? press.platen);
  return touchingMm2(overlap, isHard(fabric) ? { faceMm2: faceMm2(faceOfPiece(input)), pieces: item.perClosing } : null);
}

/** What would stand in the pressed area however the piece is laid on this platen. */
export const obstructionsUnder = ({ pose }: Pick<PreparedInput, 'pose'>): InTheWay[] => pose.inTheWay;

export const familyOf = (product: Product) => FAMILIES[product.familyId];
export const colourOf = (print: Print): string | undefined => topLayer(print).colour;
