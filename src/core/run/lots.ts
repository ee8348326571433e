/** Lots of pieces on their way: which an event is about, where they stand, and how they go on. The press holds at most one. */
import { closingKind, meetsBlankAt, type PlannedStage, placeOf, type RunPlan } from './plan';
import type { Lot, RunState } from './state';

/** Seconds of a stage as it is set now: every closing may be set otherwise than carded. */
export const secondsOf = (stage: PlannedStage, { setS, sets }: Pick<RunState, 'setS' | 'sets'>): number => {
  if (stage.kind === 'press' && setS !== null) return setS;
  return (stage.by === 'press' ? sets[closingKind(stage)]?.timeS : undefined) ?? stage.timeS;
};

/** The lot that would be begun next; null: all are on their way. */
export function nextLot({ pieces, perClosing }: RunPlan, { begun, lastAt }: Pick<RunState, 'begun' | 'lastAt'>): Lot | null {
  if (begun >= pieces) return null;
  const many = Math.min(perClosing, pieces - begun);
  return {
    pieces: Array.from({ length: many }, (_, i) => begun + 1 + i),
    first: begun + 1,
    phase: 'ready',
    stage: 0,
    onPress: false,
    since: lastAt,
    startedAt: lastAt,
    dueAt: null,
    laidBack: 0,
    closings: [],
    peels: [],
    setC: null,
    setS: null,
    readC: null,
  };
}

/** The lot an event is about: that of the piece it names; without one the lot in hand, or the next. */
export function lotOf(plan: RunPlan, run: RunState, piece: number | undefined): Lot | null {
  if (piece === undefined) return run.active[0] ?? nextLot(plan, run);
  const active = run.active.find((lot) => lot.pieces.includes(piece));
  if (active) return active;
  const next = nextLot(plan, run);
  return next?.pieces.includes(piece) ? next : null;
}

/** The lot that lies on the press, if any. */
export const onPress = ({ active }: RunState): Lot | undefined => active.find((lot) => lot.onPress);

/** Puts a lot back into the run as it is now; one without pieces is over. */
export function withLot(plan: RunPlan, run: RunState, lot: Lot): RunState {
  const known = run.active.some((otherLot) => otherLot.first === lot.first);
  const begun = known ? run.begun : Math.max(run.begun, lot.first - 1 + Math.min(plan.perClosing, plan.pieces - lot.first + 1));
  const active = known ? run.active.map((otherLot) => (otherLot.first === lot.first ? lot : otherLot)) : [...run.active, lot];
  const still = active.filter((lot) => lot.pieces.length > 0);
  return { ...run, begun, active: still, done: run.done || (still.length === 0 && begun >= plan.pieces) };
}

/** Enters a stage; a wait starts its clock by itself. What is not done on the press leaves it, as do married sheets before their blank is loaded. */
export function enter(plan: RunPlan, lot: Lot, stage: number, at: number): Lot {
  const next = plan.stages[stage];
  if (!next) return lot;
  const cooling = next.by === 'clock';
  return {
    ...lot,
    stage,
    since: at,
    phase: cooling ? 'cooling' : 'ready',
    dueAt: cooling ? at + next.timeS * 1000 : null,
    onPress: lot.onPress && placeOf(plan, stage) === 'press' && next.kind !== 'load',
  };
}

/** The closing that a lifting transfer goes back under: the last marry, tack or press before a stage. */
export function closingBefore(plan: RunPlan, stage: number): number {
  const glues = (plannedStage: PlannedStage) =>
    plannedStage.kind === 'press' || plannedStage.kind === 'tack' || plannedStage.kind === 'marry';
  return Math.max(0, plan.stages.slice(0, stage).findLastIndex(glues));
}

/** Whether a lot is at a stage; one that cools is at the peel after its wait as well. */
export const standsAt = ({ stages }: RunPlan, lot: Lot, stage: number): boolean =>
  stage === lot.stage || (stages[lot.stage]?.by === 'clock' && stage === lot.stage + 1);

export const lotName = ({ pieces }: Lot): string =>
  pieces.length > 1 ? `Pieces ${pieces[0]} to ${pieces.at(-1)}` : `Piece ${pieces[0] ?? 'in hand'}`;

/** Refuses what needs the press while another lot lies on it. */
export function occupiedBy(run: RunState, lot: Lot): string | null {
  const other = onPress(run);
  return other && other.first !== lot.first ? `${lotName(other)} still lies on the press.` : null;
}

/** Closings after which a transfer is on its blank for good. */
export const BONDS: ReadonlySet<string> = new Set(['tack', 'press']);

/**
 * The run with its press free for a lot: what lies on it open and not pressed on yet is lifted off, to be loaded again.
 *
 * @returns null: what lies there cannot be lifted off
 */
export function freedFor(plan: RunPlan, run: RunState, lot: Lot, at: number): RunState | null {
  const other = onPress(run);
  if (!other || other.first === lot.first) return run;
  if (other.phase !== 'ready' || other.closings.some(({ stage }) => BONDS.has(stage))) return null;
  const off = { ...enter(plan, other, meetsBlankAt(plan), at), onPress: false };
  return { ...run, active: run.active.map((one) => (one.first === other.first ? off : one)) };
}
