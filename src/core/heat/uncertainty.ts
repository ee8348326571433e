/** Uncertainty: from what is only roughly known to a band on the bond and a chance that it is sound. */
import { normalCdf } from '../numerics';
import { type Adhesive, bondUnder } from './assess';
import { SOUND } from './indices';
import type { Passage, Piece, StackLayer } from './piece';
import type { SolveOptions } from './solve';

/** What is taken as one standard deviation: shares of the value, but kelvin for the platen. Ours, from the spread of stated properties. */
const CLOTH_THICKNESS = 0.08;
const CONDUCTIVITY = 0.12;
const CONTACT = 0.3;
const WATER = 0.25;
const PRESSURE = 0.15;
/** 90 % of a normal lies within so many standard deviations. */
const Z_90 = 1.645;

export interface Doubt {
  /** The platen over the art, K: one standard deviation. */
  platenK: number;
  /** Of the logarithm of the learned shift; 0: nothing learned, or nothing to doubt. */
  shiftSd: number;
}

export interface BondBand {
  bond: number;
  /** 90 % of pieces. */
  low: number;
  high: number;
  /** That a piece is sound, 0 to 1. */
  soundChance: number;
  /** Share of each source in the variance, largest first. */
  sources: { of: string; share: number }[];
}

/**
 * Band of the bond: each source is moved by one standard deviation, the answers of the logarithm of the bond are added as
 * squares. Sources are taken as independent, the logarithm as normal.
 *
 * @see JCGM 100 (GUM), clause 5.1: combined standard uncertainty of uncorrelated inputs
 */
export function bondBand(piece: Piece, passage: Passage, adhesive: Adhesive, doubt: Doubt, options: SolveOptions = {}): BondBand {
  const plain: Passage = { ...passage, finish: null, cooling: null };
  const bondFor = (one: Piece, at: Passage) => bondUnder(one, at, adhesive, options).bond;
  const bond = bondFor(piece, plain);
  const scaled = (change: (layer: StackLayer) => Partial<StackLayer>): Piece => ({
    ...piece,
    stack: piece.stack.map((layer) => ({ ...layer, ...change(layer) })),
  });
  const cloth = (change: (layer: StackLayer) => Partial<StackLayer>) => scaled((layer) => (layer.role === 'fabric' ? change(layer) : {}));
  const moved: [string, number][] = [
    ['platen', bondFor(piece, { ...plain, surfaceC: plain.surfaceC + Math.max(1, doubt.platenK) })],
    [
      'cloth thickness',
      bondFor(
        cloth(({ thicknessMm }) => ({ thicknessMm: thicknessMm * (1 + CLOTH_THICKNESS) })),
        plain,
      ),
    ],
    [
      'conductivity',
      bondFor(
        scaled(({ k }) => ({ k: k * (1 + CONDUCTIVITY) })),
        plain,
      ),
    ],
    ['contact', bondFor({ ...piece, contactKPa: piece.contactKPa * (1 + CONTACT) }, plain) / Math.sqrt(1 + CONTACT)],
    ['pressure', bond * Math.sqrt(1 + PRESSURE)],
  ];
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
  const below = (limit: number) => normalCdf((Math.log(limit) - Math.log(bond)) / sd);
  return {
    bond,
    low: bond * Math.exp(-Z_90 * sd),
    high: bond * Math.exp(Z_90 * sd),
    soundChance: sd > 0 ? below(SOUND.high) - below(SOUND.low) : Number(bond >= SOUND.low && bond <= SOUND.high),
    sources: parts
      .map(({ of, sd: part }) => ({ of, share: variance > 0 ? (part * part) / variance : 0 }))
      .sort((a, b) => b.share - a.share),
  };
}
