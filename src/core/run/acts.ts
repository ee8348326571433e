/** What could be done now: for every lot its next step, and the next lot's first, as far as press and clocks allow. */
import type { RunFact } from './events';
import { nextLot, onPress } from './lots';
import { peelAt, placeOf, type RunPlan } from './plan';
import type { Lot, RunState } from './state';

export type ActKind = Extract<RunFact['kind'], 'next' | 'closed' | 'opened' | 'peeled' | 'kept'>;

/** One thing the hands could do. */
export interface Act {
  kind: ActKind;
  lot: Lot;
  /** Stage it is done in: that of the lot, or the peel after its wait. */
  stage: number;
  /** Where it is done. */
  place: 'press' | 'bench';
  peel: 'hot' | 'warm' | 'cold' | null;
  /** How long hands need for it, s; 0 to close or open. */
  handsS: number;
  /** When it could be done at the earliest: a clock may still run. */
  from: number;
}

function actOf(plan: RunPlan, run: RunState, lot: Lot): Act | null {
  const stage = plan.stages[lot.stage];
  if (!stage) return null;
  const act = (kind: ActKind, at: number, from: number): Act => {
    const done = plan.stages[at];
    const place = placeOf(plan, at);
    return {
      kind,
      lot,
      stage: at,
      place: place === 'press' ? 'press' : 'bench',
      peel: peelAt(plan, at),
      handsS: done?.by === 'hands' ? done.timeS : 0,
      from,
    };
  };
  if (stage.by === 'press') {
    if (lot.phase === 'closed') return act('opened', lot.stage, lot.dueAt ?? lot.since);
    return act('closed', lot.stage, run.lastAt);
  }
  if (stage.by === 'clock') {
    const peels = plan.stages[lot.stage + 1]?.kind === 'peel';
    return peels
      ? act('peeled', lot.stage + 1, lot.dueAt ?? lot.since)
      : { ...act('next', lot.stage, lot.dueAt ?? lot.since), place: 'bench' };
  }
  return act(stage.kind === 'peel' ? 'peeled' : stage.kind === 'inspect' ? 'kept' : 'next', lot.stage, run.lastAt);
}

/** Every act that press and order of pieces allow, those whose clock still runs among them. */
export function actsOf(plan: RunPlan, run: RunState): Act[] {
  if (run.done) return [];
  const on = onPress(run);
  const next = nextLot(plan, run);
  return [...run.active, ...(next ? [next] : [])].flatMap((lot) => {
    const act = actOf(plan, run, lot);
    return act && (act.place === 'bench' || !on || on.first === lot.first) ? [act] : [];
  });
}
