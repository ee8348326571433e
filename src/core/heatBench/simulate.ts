/** What the heat model says to a query, as plain data that can be sent, drawn and kept. */

import {
  type Allowed,
  type Assessment,
  type BondBand,
  bondBand,
  type CoolingPlace,
  type Correction,
  type Curve,
  correct,
  type Doubt,
  type Effect,
  type Passage,
  type PeelClock,
  type Piece,
  peelClock,
  press,
  type Solved,
  type SolveOptions,
  sensitivities,
} from '../heat';
import { adhesiveOfQuery } from './adhesive';
import type { HeatQuery } from './query';

/** Places whose temperature is told: the bond line, the bare face beside the art, the cloth under the art, and its inside. */
export const SIMULATED_PLACES = ['glue', 'face', 'under', 'inside'] as const;
export type SimulatedPlace = (typeof SIMULATED_PLACES)[number];

export interface Simulated {
  read: Assessment;
  stages: { name: string; fromS: number; toS: number; shut: boolean }[];
  curves: Record<SimulatedPlace, { timeS: number[]; tempC: number[] }>;
  /** Water in the cloth as it is loaded and at the end, g/m². */
  waterGm2: { loaded: number; left: number };
  /** Heat in through the top while the press is shut, kJ/m². */
  heatInKJm2: number;
}

/** A thinned curve, drawn with straight lines, is nowhere further from the whole one than this, K. */
const DRAWN_WITHIN_K = 0.08;

/**
 * A curve thinned for drawing: from each point kept the line runs on as long as it passes every sample between within
 * `DRAWN_WITHIN_K`; the slopes that still do are a cone that each sample narrows.
 *
 * @see Bristol, Swinging door trending: adaptive trend recording?, ISA National Conference (1990)
 */
function decimated({ timeS, tempC }: Curve): { timeS: number[]; tempC: number[] } {
  const out: { timeS: number[]; tempC: number[] } = { timeS: [], tempC: [] };
  const keep = (i: number) => {
    out.timeS.push(timeS[i] as number);
    out.tempC.push(tempC[i] as number);
  };
  let anchor = 0;
  let [low, high] = [Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY];
  if (timeS.length > 0) keep(0);
  for (let i = 1; i < timeS.length; i++) {
    const slopeFrom = (from: number, off = 0) =>
      ((tempC[i] as number) + off - (tempC[from] as number)) / ((timeS[i] as number) - (timeS[from] as number));
    const jumps = timeS[i] === timeS[anchor];
    if (jumps || slopeFrom(anchor) < low || slopeFrom(anchor) > high) {
      if (i - 1 > anchor) keep(i - 1);
      anchor = i - 1;
      [low, high] = [Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY];
      if (timeS[i] === timeS[anchor]) {
        keep(i);
        anchor = i;
        continue;
      }
    }
    low = Math.max(low, slopeFrom(anchor, -DRAWN_WITHIN_K));
    high = Math.min(high, slopeFrom(anchor, DRAWN_WITHIN_K));
  }
  if (timeS.length - 1 > anchor) keep(timeS.length - 1);
  return out;
}

const DRAWN: SolveOptions = { resolution: 1, toleranceK: 0.03 };

const curveOf = (solved: Solved, key: string): Curve => {
  const curve = solved.curves[key];
  if (!curve) throw new TypeError(`the scene has no probe ${key}`);
  return curve;
};

/**
 * Presses what is asked and tells all that is seen of it.
 *
 * @param query checked by `HeatQuerySchema`
 * @returns the assessment, and of every place its temperature over time, s and °C
 */
export function simulate(query: HeatQuery, options: SolveOptions = DRAWN): Simulated {
  const { art, bare, read } = press(query.piece, query.passage, adhesiveOfQuery(query, options), query.limits, options);
  const loaded = query.piece.stack.reduce((sum, { waterKgM2 = 0 }) => sum + waterKgM2, 0);
  const left = Object.values(art.ends).reduce((sum, { waterKgM2 }) => sum + waterKgM2, 0);
  return {
    read,
    stages: art.stages.map(({ name, fromS, toS, pressureKPa }) => ({ name, fromS, toS, shut: pressureKPa > 0 })),
    curves: {
      glue: decimated(curveOf(art, 'glue')),
      face: decimated(curveOf(bare, 'face')),
      under: decimated(curveOf(art, 'face')),
      inside: decimated(curveOf(art, 'inside')),
    },
    waterGm2: { loaded: loaded * 1000, left: left * 1000 },
    heatInKJm2: art.stages.reduce((sum, { pressureKPa, inJ }) => sum + (pressureKPa > 0 ? inJ : 0), 0) / 1000,
  };
}

const WEIGHED: SolveOptions = { resolution: 0.4, toleranceK: 0.1 };

/**
 * The setting that restores the bond, with what would help most, largest first.
 *
 * @param allowed times, s, and surfaces, °C, of the sheet
 */
export function correctQuery(query: HeatQuery, allowed: Allowed): { correction: Correction; helps: Effect[] } {
  const adhesive = adhesiveOfQuery(query, WEIGHED);
  const { piece, passage, limits } = query;
  return {
    correction: correct({ piece, passage, adhesive, limits, allowed }, WEIGHED),
    helps: sensitivities(piece, passage, adhesive, WEIGHED),
  };
}

/**
 * The bond of a query as a band.
 *
 * @param doubt of the platen and of what the log has learned, standard deviations
 * @returns what nine pieces in ten lie between, and the share of each source in the variance
 */
export const bandOfQuery = (query: HeatQuery, doubt: Doubt): BondBand =>
  bondBand(query.piece, query.passage, adhesiveOfQuery(query, WEIGHED), doubt, WEIGHED);

/**
 * When a piece may be peeled, wherever it is laid.
 *
 * @returns s after opening until it is warm, until it is too cool to count as warm, and until it is cold; null: not while it was watched
 */
export const peelOfQuery = ({ piece, passage, where }: { piece: Piece; passage: Passage; where: CoolingPlace }): PeelClock =>
  peelClock(piece, passage, { where }, WEIGHED);
