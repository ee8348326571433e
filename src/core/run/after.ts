/** After the run: what happened against the plan, and what to change next time, with the evidence. */
import type { Card } from '../card';
import type { SpoilReason } from './events';
import type { DonePeel, PieceResult, RunState } from './state';

/** Mean and planned seconds of the closings of one stage. */
export interface StageTimes {
  stage: string;
  plannedS: number;
  meanS: number;
  n: number;
  /** Closings opened later than planned by `LATE_S` or more, and sooner by as much. */
  late: number;
  early: number;
}

/** Peels of one kind: how long after the opening they came. */
export interface PeelTimes {
  peel: DonePeel['peel'];
  plannedS: number;
  meanS: number;
  n: number;
  /** Hot ones that came after 3 s, warm ones that had grown cold. */
  late: number;
  early: number;
}

export interface AfterRun {
  minutes: number;
  /** Of one piece, as the card reckons it and as it was. */
  plannedPerPiece: number;
  tookPerPiece: number | null;
  times: StageTimes[];
  peels: PeelTimes[];
  spoiled: { reason: SpoilReason; pieces: number[] }[];
  laidBack: number[];
  changes: NextTime[];
}

/** A change for next time and what speaks for it. */
export interface NextTime {
  change: { timeS: number } | { setC: number };
  /** Pieces that came out good so, and spoiled. */
  good: number;
  spoiled: number;
}

/** What was done to a piece, whether it had its verdict or the run was stopped before. */
type Worked = Pick<PieceResult, 'closings' | 'peels'>;

/** Opened so much off its time counts as late or early, s. */
const LATE_S = 2;

function timesOf(worked: readonly Worked[]): StageTimes[] {
  const closings = worked.flatMap((one) => one.closings);
  return [...new Set(closings.map(({ stage }) => stage))].map((stage) => {
    const own = closings.filter((one) => one.stage === stage);
    const off = own.map(({ closedAt, openedAt, plannedS }) => (openedAt - closedAt) / 1000 - plannedS);
    const plannedS = own.reduce((sum, one) => sum + one.plannedS, 0) / own.length;
    return {
      stage,
      plannedS,
      meanS: plannedS + off.reduce((sum, one) => sum + one, 0) / own.length,
      n: own.length,
      late: off.filter((one) => one >= LATE_S).length,
      early: off.filter((one) => one <= -LATE_S).length,
    };
  });
}

/** A peel is late once it waited so much longer than carded, s; a cold one never is. */
const PEEL_LATE_S: Record<DonePeel['peel'], number> = { hot: 3, warm: 15, cold: Number.POSITIVE_INFINITY };
/** And early by so much less, s. */
const PEEL_EARLY_S = 5;

function peelsOf(worked: readonly Worked[]): PeelTimes[] {
  const all = worked.flatMap((one) => one.peels);
  return (['hot', 'warm', 'cold'] as const).flatMap((peel) => {
    const own = all.filter((one) => one.peel === peel);
    if (own.length === 0) return [];
    const mean = (of: (one: DonePeel) => number) => own.reduce((sum, one) => sum + of(one), 0) / own.length;
    return {
      peel,
      plannedS: mean(({ plannedS }) => plannedS),
      meanS: mean(({ tookS }) => tookS),
      n: own.length,
      late: own.filter(({ plannedS, tookS }) => tookS - plannedS > PEEL_LATE_S[peel]).length,
      early: own.filter(({ plannedS, tookS }) => plannedS - tookS >= PEEL_EARLY_S).length,
    };
  });
}

/** Settings other than carded that more pieces came out good than spoiled with. */
function changesOf(card: Pick<Card, 'set'>, results: readonly PieceResult[]): NextTime[] {
  const tally = (value: number, of: (one: PieceResult) => number | null) => {
    const own = results.filter((one) => of(one) === value);
    const good = own.filter((one) => one.outcome === 'good').length;
    return { good, spoiled: own.length - good };
  };
  const others = (of: (one: PieceResult) => number | null, carded: number) =>
    [...new Set(results.map(of))].filter((value): value is number => value !== null && value !== carded);
  return [
    ...others((one) => one.setS, card.set.timeS).map((timeS) => ({ change: { timeS }, ...tally(timeS, (one) => one.setS) })),
    ...others((one) => one.setC, card.set.tempC).map((setC) => ({ change: { setC }, ...tally(setC, (one) => one.setC) })),
  ].filter(({ good, spoiled }) => good > spoiled);
}

/**
 * What a run came to.
 *
 * @param startedAt ms since the epoch
 */
export function afterRun(card: Pick<Card, 'set' | 'minutesPerPiece'>, run: RunState, startedAt: number): AfterRun {
  const { results } = run;
  const worked = [...results, ...run.dropped];
  const minutes = (run.lastAt - startedAt) / 60_000;
  const reasons = [...new Set(results.flatMap(({ reason }) => reason ?? []))];
  return {
    minutes,
    plannedPerPiece: card.minutesPerPiece,
    tookPerPiece: results.length > 0 ? minutes / results.length : null,
    times: timesOf(worked),
    peels: peelsOf(worked),
    spoiled: reasons.map((reason) => ({ reason, pieces: results.filter((one) => one.reason === reason).map(({ piece }) => piece) })),
    laidBack: results.filter((one) => one.laidBack > 0).map(({ piece }) => piece),
    changes: changesOf(card, results),
  };
}
