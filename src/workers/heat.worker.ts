/** The heat model off the main thread. */
import { expose } from 'comlink';
import { type Deal, type Outcome, type Played, play, SITUATIONS } from '../core/advice';
import { type Allowed, baseWarming, type Doubt, type Series, series } from '../core/heat';
import {
  adhesiveOfAsk,
  bandOfAsk,
  correctAsk,
  faultOfAsk,
  type HeatAsk,
  peelOfAsk,
  type Seen,
  type SweepAsk,
  see,
  sweepRows,
} from '../core/heatBench';

const QUICK = { resolution: 0.4, toleranceK: 0.1 } as const;

const api = {
  /** What is wrong with a question; null: nothing. */
  fault: faultOfAsk,
  see: (ask: HeatAsk, doubt: Doubt): { seen: Seen; band: ReturnType<typeof bandOfAsk> } => ({
    seen: see(ask),
    band: bandOfAsk(ask, doubt),
  }),
  correct: (ask: HeatAsk, allowed: Allowed) => correctAsk(ask, allowed),
  peel: (ask: HeatAsk) =>
    (['air', 'table', 'base'] as const).map((where) => ({ where, ...peelOfAsk({ piece: ask.piece, passage: ask.passage, where }) })),
  /** The first pieces of a day, as the piece says its base and room are, and how long to warm the base for the first to be like the last. */
  firstPieces: (ask: HeatAsk, pieces: number, restS: number): { series: Series; warmS: number | null } => {
    const adhesive = adhesiveOfAsk(ask);
    const run = series(ask.piece, ask.passage, adhesive, pieces, restS, QUICK);
    return { series: run, warmS: baseWarming(ask.piece, ask.passage, adhesive, run.pieces.at(-1)?.bond ?? 1, QUICK) };
  },
  /** Tells every row as it is ready; waits for each to be taken, so that a stop is heard. */
  async sweep(
    ask: SweepAsk,
    onRows: (step: { done: number; of: number; rows: { y: number; bonds: number[] }[] }) => void | Promise<void>,
  ): Promise<void> {
    for (const step of sweepRows(ask)) await onRows(step);
  },
  /** A practice round: the situation goes by its name, since what it changes cannot be sent. */
  play: ({ situationId, stack }: { situationId: string; stack: Deal['stack'] }, played: Played): Outcome => {
    const situation = SITUATIONS.find(({ id }) => id === situationId);
    if (!situation) throw new Error(`no situation ${situationId}`);
    return play({ situation, stack, ask: situation.change(stack.ask) }, played);
  },
};
export type HeatApi = typeof api;

expose(api);
