/** The heat model off the main thread. */
import { expose } from 'comlink';
import { type Deal, type Outcome, type Played, play, SITUATIONS } from '../core/advice';
import { type Allowed, baseWarming, type Doubt, type Series, series } from '../core/heat';
import {
  adhesiveOfQuery,
  bandOfQuery,
  correctQuery,
  type HeatQuery,
  peelOfQuery,
  type Simulated,
  type SweepQuery,
  simulate,
  sweepRows,
} from '../core/heatBench';

const QUICK = { resolution: 0.4, toleranceK: 0.1 } as const;

const api = {
  simulate: (query: HeatQuery, doubt: Doubt): { seen: Simulated; band: ReturnType<typeof bandOfQuery> } => ({
    seen: simulate(query),
    band: bandOfQuery(query, doubt),
  }),
  correct: (query: HeatQuery, allowed: Allowed) => correctQuery(query, allowed),
  peel: (query: HeatQuery) =>
    (['air', 'table', 'base'] as const).map((where) => ({ where, ...peelOfQuery({ piece: query.piece, passage: query.passage, where }) })),
  /** The first pieces of a day, as the piece says its base and room are, and how long to warm the base for the first to be like the last. */
  firstPieces: (query: HeatQuery, pieces: number, restS: number): { series: Series; warmS: number | null } => {
    const adhesive = adhesiveOfQuery(query);
    const run = series(query.piece, query.passage, adhesive, pieces, restS, QUICK);
    return { series: run, warmS: baseWarming(query.piece, query.passage, adhesive, run.pieces.at(-1)?.bond ?? 1, QUICK) };
  },
  /** Tells every row as it is ready; waits for each to be taken, so that a stop is heard. */
  async sweep(
    query: SweepQuery,
    onRows: (step: { done: number; of: number; rows: { y: number; bonds: number[] }[] }) => void | Promise<void>,
  ): Promise<void> {
    for (const step of sweepRows(query)) await onRows(step);
  },
  /** A practice round: the situation goes by its name, since what it changes cannot be sent. */
  play: ({ situationId, stack }: { situationId: string; stack: Deal['stack'] }, played: Played): Outcome => {
    const situation = SITUATIONS.find(({ id }) => id === situationId);
    if (!situation) throw new Error(`no situation ${situationId}`);
    return play({ situation, stack, query: situation.change(stack.query) }, played);
  },
};
export type HeatApi = typeof api;

expose(api);
