/** Uncertainty: from what is only roughly known to a band on the bond and a chance that it is sound. */
import { normalCdf } from '../numerics';
import { type Adhesive, bondUnder } from './assess';
import { SOUND } from './indices';
import type { Passage, Piece, StackLayer } from './pieceSchema';
import type { BondBand } from './schemas';
import type { SolveOptions } from './solve';

/** What is taken as one standard deviation: shares of the value, but kelvin for the platen. Ours, from the spread of stated properties. */
const CLOTH_THICKNESS = 0.08;
const CONDUCTIVITY = 0.12;
const CONTACT = 0.3;
const WATER = 0.25;
const PRESSURE = 0.15;
/** 90 % of a normal lies within so many standard deviations. */
export const Z_90 = 1.645;

/**
 * Chance that a bond is sound whose logarithm is normal.
 *
 * @param bond most likely one, 1 as the sheet means
 * @param sd of the logarithm
 * @returns 0 to 1
 * @example soundChanceOf(1.1, 0) // 1
 */
export function soundChanceOf(bond: number, sd: number): number {
  if (sd <= 0) return Number(bond >= SOUND.low && bond <= SOUND.high);
  const below = (limit: number) => normalCdf((Math.log(limit) - Math.log(bond)) / sd);
  return below(SOUND.high) - below(SOUND.low);
}

export interface Doubt {
  /** The platen over the art, K: one standard deviation. */
  platenK: number;
  /** Of the logarithm of the learned shift; 0: nothing learned, or nothing to doubt. */
  shiftSd: number;
  /** Whether the blank differs from the supplier's own; absent: it does. Where he means this very blank, its matter stands on both sides. */
  ofBlank?: boolean;
}

/**
 * Band of the bond: each source is moved by one standard deviation, the answers of the logarithm of the bond are added as
 * squares. Sources are taken as independent, the logarithm as normal. What is not known of the transfer, its carrier and the pads
 * its sheet asks for is no source: the supplier found his figures with the same, so it stands on both sides of the bond.
 *
 * @see JCGM 100 (GUM), clause 5.1: combined standard uncertainty of uncorrelated inputs
 */
export function bondBand(piece: Piece, passage: Passage, adhesive: Adhesive, doubt: Doubt, options: SolveOptions = {}): BondBand {
  const plain: Passage = { ...passage, finish: null, cooling: null };
  const bondFor = (piece: Piece, at: Passage) => bondUnder(piece, at, adhesive, options).bond;
  const bond = bondFor(piece, plain);
  const scaled = (change: (layer: StackLayer) => Partial<StackLayer>): Piece => ({
    ...piece,
    stack: piece.stack.map((layer) => ({ ...layer, ...change(layer) })),
  });
  const cloth = (change: (layer: StackLayer) => Partial<StackLayer>) => scaled((layer) => (layer.role === 'fabric' ? change(layer) : {}));
  const moved: [string, number][] = [
    ['platen', bondFor(piece, { ...plain, surfaceC: plain.surfaceC + Math.max(1, doubt.platenK) })],
    ['contact', bondFor({ ...piece, contactKPa: piece.contactKPa * (1 + CONTACT) }, plain) / Math.sqrt(1 + CONTACT)],
    ['pressure', bond * Math.sqrt(1 + PRESSURE)],
  ];
  if (doubt.ofBlank ?? true)
    moved.push(
      [
        'cloth thickness',
        bondFor(
          cloth(({ thicknessMm }) => ({ thicknessMm: thicknessMm * (1 + CLOTH_THICKNESS) })),
          plain,
        ),
      ],
      [
        'cloth conductivity',
        bondFor(
          cloth(({ k }) => ({ k: k * (1 + CONDUCTIVITY) })),
          plain,
        ),
      ],
    );
  if (piece.stack.some(({ waterKgM2 = 0 }) => waterKgM2 > 0))
    moved.push([
      'water',
      bondFor(
        scaled(({ waterKgM2 = 0 }) => ({ waterKgM2: waterKgM2 * (1 + WATER) })),
        plain,
      ),
    ]);
  const parts = moved.map(([of, after]) => ({
    of,
    sd: Math.log(after / bond) * (of === 'platen' ? doubt.platenK / Math.max(1, doubt.platenK) : 1),
  }));
  if (doubt.shiftSd > 0) parts.push({ of: 'what the log has learned', sd: doubt.shiftSd });
  const variance = parts.reduce((sum, { sd }) => sum + sd * sd, 0);
  const sd = Math.sqrt(variance);
  return {
    bond,
    low: bond * Math.exp(-Z_90 * sd),
    high: bond * Math.exp(Z_90 * sd),
    soundChance: soundChanceOf(bond, sd),
    sources: parts
      .map(({ of, sd: part }) => ({ of, share: variance > 0 ? (part * part) / variance : 0 }))
      .sort((a, b) => b.share - a.share),
  };
}
