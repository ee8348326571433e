/** Stack: a card's draft as the heat model sees it, and the stack its supplier means. */
import {
  type Adhesive,
  BASE_PAD,
  CARRIERS,
  COVER_SHEETS,
  type CoverSheet,
  dryingTime,
  FILM,
  PADS_OVER,
  type Piece,
  type Reference,
  referenceFlow,
  regainOf,
  type StackLayer,
  UNDERLAYS,
  waterOf,
} from '../heat';
import { isHard, nominalOf } from '../materials';
import { remembered } from '../numerics';
import { bandMiddle, droopOf } from '../press';
import { massShare } from './decisions/mass';
import { type Arranged, pressOf, type Sheeted, type Timed, thicknessOf } from './draft';
import type { PreparedInput } from './input';
import type { LearnedShift } from './learnedShift';

/** Where a supplier's figures are taken to hold: a base in use, °C. */
export const MEANT_BASE_C = 45;
/** The cloth a supplier's figures are taken to mean. */
const MEANT_CLOTH = { role: 'fabric', name: 'cotton jersey', k: 0.07, rho: 450, c: 1340, thicknessMm: 0.4 } as const;
/** An adhesive is taken to soften so far under the coolest platen its sheet allows, K: an estimate; it shifts every bond of a product alike. */
const SOFTENS_UNDER_K = 30;

const cover = (kind: CoverSheet): StackLayer => ({ role: 'cover', ...COVER_SHEETS[kind] });
export type PadOver = keyof typeof PADS_OVER;
export const padOverOf = ({ pad }: Pick<Arranged, 'pad'>): PadOver | null => (pad === 'soft pad over' || pad === 'foam over' ? pad : null);

/** Carrier and films, top to bottom. */
function transferOf({ product, under }: PreparedInput): StackLayer[] {
  const film = (product: PreparedInput['product']): StackLayer => ({
    role: 'transfer',
    ...FILM,
    name: product.name,
    thicknessMm: product.filmMm,
  });
  const carrier: StackLayer[] = product.carrier === 'none' ? [] : [{ role: 'carrier', ...CARRIERS[product.carrier] }];
  return [...carrier, film(product), ...[...under].reverse().map(film)];
}

/** The blank's own material as one layer, with the water it brings from the room. */
function blankLayer(input: PreparedInput): StackLayer {
  const { fabric, blank, house } = input;
  const hard = isHard(fabric);
  const water = hard ? 0 : waterOf(regainOf(fabric.composition, house.room.humidityPercent), fabric.massGsm);
  return {
    role: 'fabric',
    name: hard ? blank.name : fabric.name,
    ...fabric.thermal,
    thicknessMm: hard ? thicknessOf(input) : fabric.thicknessMm,
    ...(water > 0 && { waterKgM2: water }),
  };
}

/** What lies under the piece, top to bottom; nothing under split heat. */
function bedOf(draft: Arranged): StackLayer[] {
  if (draft.split) return [];
  const bed: StackLayer[] = [];
  if (draft.base === 'pillow') bed.push({ role: 'underlay', ...UNDERLAYS.pillow });
  if (draft.pad === 'foam behind') bed.push({ role: 'underlay', ...UNDERLAYS.foam });
  if (draft.pad === 'felt under') bed.push({ role: 'underlay', ...UNDERLAYS.felt });
  bed.push({ role: 'pad', ...(draft.base === 'firm pad' ? UNDERLAYS['firm pad'] : BASE_PAD) });
  return bed;
}

/**
 * The piece of a card as it is pressed on a base in use: every layer of it, the cloth as damp as the room makes it.
 *
 * @param over cover and pad of one closing; absent: the press stage's own
 * @param lowerSetC what the heated lower platen is set to, °C
 */
export function pieceOf(
  input: PreparedInput,
  draft: Arranged,
  over: { cover: CoverSheet | null; padOver: PadOver | null } = { cover: draft.cover, padOver: padOverOf(draft) },
  lowerSetC: number | null = null,
): Piece {
  const { press } = input;
  const cloth = blankLayer(input);
  const both = draft.loading === 'flat' || draft.loading === 'turned';
  return {
    stack: [
      ...(over.padOver ? [{ role: 'pad over' as const, ...PADS_OVER[over.padOver] }] : []),
      ...(over.cover ? [cover(over.cover)] : []),
      ...transferOf(input),
      cloth,
      ...(both ? [{ ...cloth, name: `${cloth.name}, back` }] : []),
      ...bedOf(draft),
    ],
    contactKPa: bandMiddle(draft.band),
    roomC: input.house.room.tempC,
    baseC: MEANT_BASE_C,
    lowerC: draft.split && lowerSetC !== null ? Math.min(260, Math.max(0, lowerSetC + (press.lower?.offsetK ?? 0))) : null,
    droop: press.heater ? droopOf(press.heater, press.platen.widthMm * press.platen.heightMm) : null,
  };
}

/** Whether the supplier's figures are taken to mean cloth; else they mean the very blank. */
export const meansCloth = ({ fabric, product }: PreparedInput): boolean =>
  fabric.substrate === 'cloth' && product.substrates.includes('cloth');

/** The blank or cloth the supplier means, dry. */
export function meantCloth(input: PreparedInput): StackLayer {
  return meansCloth(input) ? MEANT_CLOTH : { ...blankLayer(input), waterKgM2: 0 };
}

/** Whether the supplier's figures hold under the cover that lies there: he asks for it, or leaves it to the house. One that was put over this very print is weighed by what it takes. */
export const coveredBySheet = ({ print }: PreparedInput, draft: Timed): boolean =>
  draft.cover !== null && pressOf(draft).cover !== 'avoid' && print.choices.cover === undefined;

/** The supplier's own setting on the supplier's own stack: a dry piece on a base in use, covered where the sheet asks for it, or leaves it open and it is covered here. */
export function referenceOf(input: PreparedInput, draft: Timed): Reference {
  const { product } = input;
  const stage = pressOf(draft);
  const { min, max } = stage.timeS;
  const padOver = product.pad === 'soft pad over' || product.pad === 'foam over' ? product.pad : null;
  return {
    piece: {
      stack: [
        ...(padOver ? [{ role: 'pad over' as const, ...PADS_OVER[padOver] }] : []),
        ...(coveredBySheet(input, draft) && draft.cover
          ? [cover(draft.cover)]
          : stage.cover === 'required'
            ? [cover(stage.coverKind)]
            : []),
        ...transferOf({ ...input, under: [] }),
        meantCloth(input),
        ...(product.pad === 'foam behind' ? [{ role: 'underlay' as const, ...UNDERLAYS.foam }] : []),
        ...(product.pad === 'felt under' ? [{ role: 'underlay' as const, ...UNDERLAYS.felt }] : []),
        { role: 'pad', ...(product.base === 'firm' ? UNDERLAYS['firm pad'] : BASE_PAD) },
      ],
      contactKPa: bandMiddle(stage.pressure.band),
      roomC: 22,
      baseC: MEANT_BASE_C,
      lowerC: null,
      droop: null,
    },
    surfaceC: nominalOf(stage.tempC),
    prePressS: meansCloth(input) ? 0 : draft.prePressS,
    timeS: product.timeByMass && isHard(input.fabric) ? Math.round(min + (max - min) * massShare(input)) : nominalOf(stage.timeS),
  };
}

/** Fast enough to be worked out with every card: bonds to a quarter of a percent, and what is only weighed against them to half a percent. */
export const CARD_HEAT = { resolution: 0.3, toleranceK: 0.3 } as const;
export const WEIGHED_HEAT = { resolution: 0.2, toleranceK: 0.3 } as const;

/** A computed pre-press is kept between these, s. */
const DRYING_S = { least: 3, most: 30 } as const;
const dried = remembered<number>(400);
const flows = remembered<number>(400);

/** Whole seconds of a bare pre-press, at the sheet's nominal temperature and heated from above, until this cloth is dry in this room. */
export function driedIn(input: PreparedInput, draft: Arranged): number {
  const surfaceC = nominalOf(pressOf(draft).tempC);
  const piece = pieceOf(input, { ...draft, split: false }, { cover: null, padOver: padOverOf(draft) });
  const bare = { ...piece, stack: piece.stack.filter(({ role }) => role !== 'carrier' && role !== 'transfer') };
  return dried(JSON.stringify([bare, surfaceC]), () => {
    const timeS = dryingTime(bare, surfaceC, CARD_HEAT) ?? DRYING_S.most;
    return Math.max(DRYING_S.least, Math.min(DRYING_S.most, Math.ceil(timeS)));
  });
}

/** What the log has learned of this press with this transfer; null: nothing yet, too few pressings among it. */
export const learnedOf = ({ learned, press, product }: Pick<PreparedInput, 'learned' | 'press' | 'product'>): LearnedShift | null =>
  learned?.find((shift) => shift.pressId === press.id && shift.productId === product.id && shift.shift !== 1) ?? null;

/** Where the adhesive is taken to soften, °C. */
export const softensAt = (draft: Sheeted): number => pressOf(draft).tempC.min - SOFTENS_UNDER_K;

/** How far the adhesive flows on the supplier's own stack, s at 150 °C and 20 kPa. */
function flowAt(reference: Reference, softenC: number): number {
  return flows(JSON.stringify([reference, softenC]), () => referenceFlow(reference, softenC, CARD_HEAT));
}

/** How far the adhesive flows at another platen temperature on the supplier's own stack, s at 150 °C and 20 kPa. */
export const sheetFlow = (input: PreparedInput, draft: Timed, surfaceC: number): number =>
  flowAt({ ...referenceOf(input, draft), surfaceC }, softensAt(draft));

/** The adhesive by its sheet and by the log. */
export function adhesiveOf(input: PreparedInput, draft: Timed): Adhesive {
  const softenC = softensAt(draft);
  return { softenC, referenceFlow: flowAt(referenceOf(input, draft), softenC), shift: learnedOf(input)?.shift ?? 1 };
}
