/**
 * How fast this person's hands are, learned as they go: the logarithms of how long each act took against its plan. An act that was
 * begun cannot be broken off, so beside a shut press only what fits with room to spare is begun.
 */

import type { Pace } from './events';
import type { Done } from './lotSteps';
import type { RunPlan } from './plan';
import type { RunState } from './state';

/** What is believed of hands nobody has timed: a little slower than planned, and uneven; worth so many acts. Ours. */
const PRIOR = { acts: 4, mean: Math.log(1.1), sd: 0.35 } as const;
/** An act is taken to be over by then in about 19 of 20. */
const SURE_SDS = 0.6;
/** Ratios beyond these are a coffee or a slip of the hand, not a pace. */
const LEAST = 0.3;
const MOST = 3.5;

/** The pace after an event: acts of the hands that began as the last event ended say something of it. */
export function paceAfter(plan: RunPlan, run: RunState, said: Done): Pace {
  if (said.kind !== 'next' && said.kind !== 'kept') return run.pace;
  const lot = run.active.find(({ pieces }) => said.piece === undefined || pieces.includes(said.piece));
  const stage = plan.stages[lot?.stage ?? 0];
  if (stage?.by !== 'hands' || stage.timeS <= 0 || run.handsUntil !== null || run.pausedAt !== null) return run.pace;
  const ratio = (said.at - run.lastAt) / 1000 / stage.timeS;
  if (ratio < LEAST || ratio > MOST) return run.pace;
  const x = Math.log(ratio);
  const { n, sum, squares } = run.pace;
  return { n: n + 1, sum: sum + x, squares: squares + x * x };
}

/** What a run before says of these hands counts for at most so many acts, so that today's soon outweigh it. Ours. */
const CARRIED_ACTS = 16;

/** What of a pace is carried to the next run of the same hands: the same mean and spread, of fewer acts. */
export function carriedPace({ n, sum, squares }: Pace): Pace {
  const share = n > CARRIED_ACTS ? CARRIED_ACTS / n : 1;
  return { n: n * share, sum: sum * share, squares: squares * share };
}

/** Mean and spread of the logarithm of how much longer than planned an act takes, what was believed before weighed in. */
function believed({ n, sum, squares }: Pace): { mean: number; sd: number } {
  const all = n + PRIOR.acts;
  const mean = (PRIOR.acts * PRIOR.mean + sum) / all;
  const second = (PRIOR.acts * (PRIOR.sd ** 2 + PRIOR.mean ** 2) + squares) / all;
  return { mean, sd: Math.sqrt(Math.max(0, second - mean * mean)) };
}

/** Times the planned seconds that an act is over within, as good as surely. */
export function surelyWithin(pace: Pace): number {
  const { mean, sd } = believed(pace);
  return Math.exp(mean + SURE_SDS * sd);
}

/** Times the planned seconds that an act usually takes. */
export const usualPace = (pace: Pace): number => Math.exp(believed(pace).mean);
