/** Trial on scrap before the first good piece: the shortest time first, then longer in steps, a fresh scrap each, the best kept. */
import type { Card } from '../card';
import type { RunState } from './state';

/** Times worth trying, s; none where the card asks for no trial. */
function trialTimes({ set }: Pick<Card, 'set'>): number[] {
  const { trial } = set;
  if (!trial) return [];
  const times: number[] = [];
  for (let s = trial.fromS; s < trial.toS + 1e-9; s += trial.stepS) times.push(s);
  return times;
}

export type TrialNext = { state: 'try'; timeS: number } | { state: 'choose'; bestS: number | null } | { state: 'over' };

/**
 * What comes next in a trial.
 *
 * It goes on until a scrap looks past its best or the longest time was tried; then the best is chosen: the longest that looked
 * right, else the longest that was still too flat before one that was past.
 */
export function trialNext(card: Pick<Card, 'set'>, { tries, setS }: Pick<RunState, 'tries' | 'setS'>): TrialNext {
  const times = trialTimes(card);
  if (times.length === 0 || setS !== null) return { state: 'over' };
  const next = times.find((s) => !tries.some((tried) => tried.timeS === s));
  const past = tries.some(({ looks }) => looks === 'past its best');
  if (next !== undefined && !past) return { state: 'try', timeS: next };
  const longest = (looks: string) =>
    tries.filter((tried) => tried.looks === looks).reduce<number | null>((most, { timeS }) => Math.max(most ?? 0, timeS), null);
  return { state: 'choose', bestS: longest('right') ?? longest('too flat') };
}
