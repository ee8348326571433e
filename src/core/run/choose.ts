/**
 * Which of the possible acts comes next, and why.
 *
 * A hot peel never waits; a press whose time is up is opened; the first piece is looked at before more are pressed; a warm peel
 * is done before it is cold; then the press is kept busy; and what is left to the bench is done while the press is shut, as far
 * as it fits, or when the bench is full. The order of pieces at the press is the operator's: each to its end, or all of them
 * through one stage first.
 */
import { type Act, actsOf } from './acts';
import type { Style } from './events';
import { onPress } from './lots';
import { keepsWarmS, type RunPlan } from './plan';
import type { RunState } from './state';

/** Why an act is the next. */
export type Why =
  | 'hot peel'
  | 'hot rub'
  | 'time is up'
  | 'first piece'
  | 'warm peel'
  | 'bench full'
  | 'press idle'
  | 'while it is shut'
  | 'nothing else'
  | 'paused';

export interface Choice {
  act: Act;
  why: Why;
}

/** With so many pieces waiting on the bench they come before the press: there is no room for more, and a fault in them is not seen. */
const BENCH_FULL = 4;
/** A warm peel comes before the press once so much of the time it stays warm is over, or where what is next would leave it too late. */
const WARM_WAITS_SHARE = 0.5;

/** Among acts at an empty press: by the style, then the lowest piece. */
function forPress(plan: RunPlan, run: RunState, acts: readonly Act[], style: Style): Act | undefined {
  const isNew = ({ lot }: Act) => (run.active.includes(lot) ? 0 : 1);
  // what is left to do on pieces that were begun fills the wait of the last: while it does not, the next piece is begun first
  const fresh = backlogS(plan, run) < Math.max(0, ...acts.filter(isNew).map(({ lot }) => waitAfter(plan, lot.stage)));
  const rank = (act: Act): number[] =>
    style === 'step by step' ? [act.stage, act.lot.first] : [fresh ? -isNew(act) : isNew(act), -act.stage];
  return [...acts].sort((a, b) => compare([...rank(a), a.lot.first], [...rank(b), b.lot.first]))[0];
}

/** Seconds of hands and press that the pieces on their way still need. */
const backlogS = (plan: RunPlan, run: RunState): number =>
  run.active.reduce(
    (sum, lot) => sum + plan.stages.slice(lot.stage).reduce((s, stage) => s + (stage.by === 'clock' ? 0 : stage.timeS), 0),
    0,
  );

/** Longest wait still before a lot, s. */
const waitAfter = ({ stages }: RunPlan, stage: number): number =>
  stages.slice(stage).reduce((most, stage) => (stage.by === 'clock' ? Math.max(most, stage.timeS) : most), 0);

function compare(a: readonly number[], b: readonly number[]): number {
  for (const [i, x] of a.entries()) if (x !== b[i]) return x - (b[i] ?? 0);
  return 0;
}

/** Off the press: what has waited longest, and of what waits not, the lot that is farthest on. */
const onBench = (acts: readonly Act[]): Act | undefined =>
  [...acts].sort((a, b) => compare([a.from, -a.stage, a.lot.first], [b.from, -b.stage, b.lot.first]))[0];

/**
 * The act that comes next at an instant.
 *
 * @param now ms since the epoch
 * @param style in which order pieces come to the press
 * @returns null: nothing can be done before a clock is out
 */
export function chosen(plan: RunPlan, run: RunState, now: number, style: Style): Choice | null {
  const acts = actsOf(plan, run);
  const ready = acts.filter((act) => act.from <= now);
  const hot = ready.find((act) => act.peel === 'hot' && act.lot.onPress);
  if (hot) return { act: hot, why: 'hot peel' };
  const rub = ready.find((act) => plan.stages[act.stage]?.kind === 'rub');
  if (rub) return { act: rub, why: 'hot rub' };
  const up = ready.find((act) => act.kind === 'opened');
  if (up) return { act: up, why: 'time is up' };
  if (run.pausedAt !== null) return null;
  const bench = ready.filter((act) => act.place === 'bench');
  const shut = run.active.find((lot) => lot.phase === 'closed');
  if (shut) {
    const leftS = ((shut.dueAt ?? now) - now) / 1000;
    const fits = onBench(bench.filter((act) => act.handsS <= leftS));
    return fits ? { act: fits, why: 'while it is shut' } : null;
  }
  const look = bench.find((act) => act.kind === 'kept');
  if (look && run.results.length === 0) return { act: look, why: 'first piece' };
  const on = onPress(run);
  const press = ready.filter((act) => act.place === 'press');
  const atPress = on ? press.find((act) => act.lot.first === on.first) : forPress(plan, run, press, style);
  const shutS = atPress?.kind === 'closed' ? (plan.stages[atPress.stage]?.timeS ?? 0) : 0;
  const isPressing = (act: Act): boolean => {
    if (act.peel !== 'warm' || act.handsS <= shutS) return false;
    const keepsMs = 1000 * (keepsWarmS(plan, act.stage) ?? 0);
    const afterNext = now + 1000 * ((atPress?.handsS ?? 0) + act.handsS);
    return act.from + WARM_WAITS_SHARE * keepsMs <= now || act.from + keepsMs < afterNext;
  };
  const warm = onBench(bench.filter(isPressing));
  if (warm) return { act: warm, why: 'warm peel' };
  const most = bench.length >= BENCH_FULL && !on ? onBench(bench) : undefined;
  if (most) return { act: most, why: 'bench full' };
  if (atPress) return { act: atPress, why: 'press idle' };
  const left = onBench(bench);
  return left ? { act: left, why: 'nothing else' } : null;
}

/** The clock that is out first; null: none runs. */
export const firstDue = ({ active }: RunState): number | null =>
  active.reduce<number | null>((first, { dueAt }) => (dueAt !== null && (first === null || dueAt < first) ? dueAt : first), null);
