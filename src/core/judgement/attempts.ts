/**
 * What is tried with a piece beside its first draft, and which of it stands: a better time within the sheet, and the piece
 * without what the house keeps, where that would put it on Hold.
 */
import { betterTime } from '../bond';
import { type Draft, decided, inEffect, leftOutReason, type PreparedInput, type Reason } from '../draft';
import { type HouseSetting, withoutSetting } from '../house';
import { STATE_RANK, worstAt } from './chance';
import type { Judgement, Law } from './judgement';

/** A piece as it is tried. */
export interface Attempt {
  input: PreparedInput;
  draft: Draft;
  reasons: Reason[];
  /** Its time was moved for the bond’s sake. */
  isMoved: boolean;
  /** Settings of the house that were left out. */
  leftOut: readonly HouseSetting[];
}

/** The judgement that stands so far, and what is tried next; null: nothing more. */
interface Outcome {
  stands: Judgement;
  next: Attempt | null;
}

const attemptOf = (input: PreparedInput, law: Law, leftOut: readonly HouseSetting[]): Attempt => ({
  input,
  ...decided(input, law.decisions),
  isMoved: false,
  leftOut,
});

export const firstAttempt = (input: PreparedInput, law: Law): Attempt => attemptOf(input, law, []);

/** Whether a moved time stands: its bond is known, and no lamp was paid for it, neither of the whole piece nor of its window. */
const isBetter = (moved: Judgement, first: Judgement): boolean => {
  const windowRank = ({ window }: Judgement) => STATE_RANK[worstAt(window, window.bounds, window.bestSetC)];
  return moved.bonds !== null && STATE_RANK[moved.lamp.state] <= STATE_RANK[first.lamp.state] && windowRank(moved) <= windowRank(first);
};

/**
 * What comes of an attempt.
 *
 * Where the bond at the set value is not sound and nobody chose the time, the time is moved within the sheet as far as it
 * helps. What the house keeps for this press and transfer comes before that, but not where the piece would be on Hold with it.
 *
 * @param before what stood until then; null: this is the first attempt
 */
export function nextAttempt(before: Judgement | null, attempt: Attempt, judged: Judgement, law: Law): Outcome {
  const { input, draft, leftOut } = attempt;
  const moved = !attempt.isMoved && judged.bonds && betterTime(input, draft, judged.window, judged.set.lowerC, judged.bonds);
  if (moved)
    return {
      stands: judged,
      next: { ...attempt, draft: { ...draft, timeS: moved.timeS }, reasons: [...attempt.reasons, moved.reason], isMoved: true },
    };
  const stands = attempt.isMoved && before && !isBetter(judged, before) ? before : judged;
  const held = stands.lamp.state === 'hold';
  if (leftOut.length > 0) {
    const said = held ? [] : leftOut.map((one) => leftOutReason(one, input));
    return { stands: { ...stands, reasons: [...stands.reasons, ...said] }, next: null };
  }
  const kept = held ? inEffect(input, stands.draft.timeS, stands.keptTemp) : [];
  if (kept.length === 0) return { stands, next: null };
  return { stands, next: attemptOf({ ...input, house: kept.reduce(withoutSetting, input.house) }, law, kept) };
}
