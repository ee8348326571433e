/**
 * What is tried with a piece beside its first draft, and which of it stands: a set value and a time that serve the bond too, and
 * the piece without what the house keeps, where that would put it on Hold.
 */
import { betterTime } from '../bond';
import { type Draft, decided, inEffect, leftOutReason, type PreparedInput, type Reason, testedLeftOut, testedStart } from '../draft';
import { withoutSetting } from '../house';
import { STATE_RANK, worstAt } from '../window';
import type { Judgement, Law } from './judgement';
import { weighedByBond } from './lamp';
import { clearTime } from './together';

/** A piece as it is tried. */
export interface Attempt {
  input: PreparedInput;
  draft: Draft;
  reasons: Reason[];
  /** Its time was moved for the bond’s sake, or looked for together with the temperature. */
  isMoved: boolean;
  /** It is the one that was looked for together. */
  isTogether: boolean;
  /** The best set value with the bond weighed too, °C; null: by the bounds alone. */
  weighedC: number | null;
  /** Said of tests and settings of the house that were left out; null: none was. */
  leftOut: readonly Reason[] | null;
}

/** An attempt with what it came to. */
export interface Tried {
  attempt: Attempt;
  judged: Judgement;
}

/** What stands so far, and what is tried next; null: nothing more. */
interface Outcome {
  stands: Tried;
  next: Attempt | null;
}

const attemptOf = (input: PreparedInput, law: Law, leftOut: Attempt['leftOut']): Attempt => ({
  input,
  ...decided(input, law.decisions),
  isMoved: false,
  isTogether: false,
  weighedC: null,
  leftOut,
});

export const firstAttempt = (input: PreparedInput, law: Law): Attempt => attemptOf(input, law, null);

const lampRank = ({ bestState }: Judgement): number => STATE_RANK[bestState];
const windowRank = ({ window }: Judgement): number => STATE_RANK[worstAt(window, window.bounds, window.bestSetC)];

/** Whether what was tried stands: its bond is known, and no lamp was paid for it; a time looked for together must gain one. */
function isBetter({ attempt, judged }: Tried, { attempt: before, judged: first }: Tried): boolean {
  if (attempt.isTogether && !before.isTogether && lampRank(judged) >= lampRank(first)) return false;
  if (judged.bonds === null || lampRank(judged) > lampRank(first)) return false;
  return windowRank(judged) <= windowRank(first);
}

/** What to try for the bond's sake: first a set value nearer to what the sheet aims at, then another time within the sheet. */
function forBond({ attempt, judged }: Tried): Attempt | null {
  const { input, draft, reasons, isMoved, weighedC } = attempt;
  const { bonds, window, set } = judged;
  if (!bonds) return null;
  const bestC = weighedC === null ? weighedByBond(input, draft, window, set.lowerC, bonds) : null;
  if (bestC !== null) return { ...attempt, weighedC: bestC };
  const moved = isMoved ? null : betterTime(input, draft, window, set.lowerC, bonds);
  return (
    moved && { ...attempt, draft: { ...draft, timeS: moved.timeS }, reasons: [...reasons, moved.reason], isMoved: true, weighedC: null }
  );
}

/** Another time to try together with its own best set value, where all that keeps a piece from Clear are the chances of its press stage. */
function forClear({ attempt, judged }: Tried, last: Tried): Attempt | null {
  if (last.attempt.isTogether || judged.bestState !== 'care') return null;
  if (judged.lamp.findings.some(({ from, closing }) => closing !== undefined || (from !== 'margin' && from !== 'bond'))) return null;
  const { input, draft, reasons } = attempt;
  const found = clearTime(input, draft);
  return (
    found && {
      ...attempt,
      draft: { ...draft, timeS: found.timeS },
      // a time that was moved before has its reason last
      reasons: [...(attempt.isMoved ? reasons.slice(0, -1) : reasons), found.reason],
      isMoved: true,
      isTogether: true,
      weighedC: found.setC,
    }
  );
}

/**
 * What comes of an attempt.
 *
 * Where the bond at the set value is not sound, set value and time are moved within the sheet as far as it helps, each unless it
 * was chosen by hand. What the house keeps for this press and transfer comes before that, but not where the piece would be on
 * Hold with it.
 *
 * @param before what stood until then, that this was tried to better; null: it is a beginning
 */
export function nextAttempt(before: Tried | null, tried: Tried, law: Law): Outcome {
  const better = before === null || isBetter(tried, before);
  const next = better ? forBond(tried) : null;
  if (next) return { stands: tried, next };
  const stands = better ? tried : before;
  const together = law.bonds ? forClear(stands, tried) : null;
  if (together) return { stands, next: together };
  const { input, leftOut } = stands.attempt;
  const { judged } = stands;
  const isHold = judged.lamp.state === 'hold';
  if (leftOut) {
    const said = isHold ? [] : leftOut;
    return { stands: { ...stands, judged: { ...judged, reasons: [...judged.reasons, ...said] } }, next: null };
  }
  const houseSettings = isHold ? inEffect(input, judged.draft.timeS, judged.houseTemp) : [];
  const tested = isHold ? testedStart(input) : null;
  if (houseSettings.length === 0 && !tested) return { stands, next: null };
  const said: Reason[] = [
    ...(tested ? [{ field: 'temperature' as const, source: 'blank' as const, says: testedLeftOut(tested, input) }] : []),
    ...houseSettings.map((setting) => leftOutReason(setting, input)),
  ];
  const bare = { ...input, house: houseSettings.reduce(withoutSetting, input.house), ...(tested && { tested: [] }) };
  return { stands, next: attemptOf(bare, law, said) };
}
