/** What a run needs of its card: the stages of a piece, where it lies in each, and how warm it is peeled. */
import type { Card } from '../card';

/** What the machine needs of a card's stage. */
export interface PlannedStage {
  kind: string;
  by: 'press' | 'clock' | 'hands';
  timeS: number;
  /** Platen of a closing, °C. */
  setC?: number | null | undefined;
}

export interface RunPlan {
  /** Version of the machine its events are taken by. */
  machine: number;
  pieces: number;
  /** Pieces that go into the press together. */
  perClosing: number;
  stages: readonly PlannedStage[];
}

/** Version of the machine that new runs are taken by. */
export const MACHINE_VERSION = 1;

export const planOf = (
  { pieces, perClosing, machine }: Pick<RunPlan, 'pieces' | 'perClosing' | 'machine'>,
  card: Pick<Card, 'stages'>,
): RunPlan => ({
  machine,
  pieces,
  perClosing,
  stages: card.stages,
});

/** Stages of the hands for which the piece lies on the press. */
const ON_PRESS = new Set(['load', 'place', 'turn over', 'rub']);

/** A wait no longer than this ends in a warm peel, which will not keep; a longer one in a cold peel, which will, s. */
const WARM_WAIT_S = 60;

/** Where a piece lies in a stage. A peel is done where the stage before it ends. */
export function placeOf({ stages }: Pick<RunPlan, 'stages'>, stage: number): 'press' | 'cooling' | 'bench' {
  const it = stages[stage];
  if (!it) return 'bench';
  if (it.by === 'press' || ON_PRESS.has(it.kind)) return 'press';
  if (it.by === 'clock') return 'cooling';
  return it.kind === 'peel' && stage > 0 && placeOf({ stages }, stage - 1) === 'press' ? 'press' : 'bench';
}

/** How warm a peel is done: hot straight from the press, else by the wait before it. Null: no peel. */
export function peelAt(plan: RunPlan, stage: number): 'hot' | 'warm' | 'cold' | null {
  if (plan.stages[stage]?.kind !== 'peel') return null;
  if (placeOf(plan, stage) === 'press') return 'hot';
  return (plan.stages[stage - 1]?.timeS ?? 0) <= WARM_WAIT_S ? 'warm' : 'cold';
}

/** Whether the press must change its temperature between stages: then all pieces go through one of them first. */
export function changesHeat(stages: readonly PlannedStage[]): boolean {
  const set = new Set(stages.flatMap(({ by, setC }) => (by === 'press' && setC !== undefined && setC !== null ? [setC] : [])));
  return set.size > 1;
}
