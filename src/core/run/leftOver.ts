/** What of a run is not done yet when the day ends: what lies in the press, what cools, what waits for hands, and what was never begun. */
import { cooling } from './cue';
import type { RunPlan } from './plan';
import type { RunState } from './state';

/** Pieces of a run by what has become of them; each piece without a verdict is in exactly one of these. */
export interface LeftOver {
  /** Under the shut press, or lying open on it. */
  onPress: number[];
  /** Each until it is cool enough, ms. */
  cooling: { pieces: number[]; until: number }[];
  /** Begun, off the press: to be peeled, trimmed, or looked over. */
  waiting: number[];
  notBegun: number;
}

/** @returns null: every piece has its verdict, or the run was stopped */
export function leftOver(plan: RunPlan, run: RunState, now: number): LeftOver | null {
  if (run.done) return null;
  const off = cooling(plan, run);
  const cools = off.filter(({ dueAt }) => dueAt !== null && dueAt > now);
  return {
    onPress: run.active.filter((lot) => !off.some((other) => other.lot.first === lot.first)).flatMap(({ pieces }) => pieces),
    cooling: cools.map(({ lot, dueAt }) => ({ pieces: [...lot.pieces], until: dueAt ?? now })),
    waiting: off.filter((lot) => !cools.includes(lot)).flatMap(({ lot }) => lot.pieces),
    notBegun: plan.pieces - run.begun,
  };
}
