/** Judge: what is settled about a piece, the window it leaves on this press, the set value and the lamp. */

import { DECISIONS, furthersOf, houseTemp, type PreparedInput, testedStart } from '../draft';
import { marginsAt, settable, smallestMargin } from '../window';
import { type Attempt, firstAttempt, nextAttempt, type Tried } from './attempts';
import { windowFromAbove } from './bounds';
import { closingsSet } from './further';
import type { Judgement, Law } from './judgement';
import { lampFor } from './lamp';
import { limitsOf } from './limits';
import { RULES, ruleFindings } from './rules';
import { settingOf } from './setting';
import { windowOverLower } from './split';

export const LAW: Law = { decisions: DECISIONS, rules: RULES, bonds: true };
/** For ranking many pieces at once: all but the bond, which never holds one. */
export const QUICK: Law = { ...LAW, bonds: false };

/** One attempt judged, in the order in which each thing follows from the one before: limits, window, set values, what the rules say, lamp. */
function judgeAttempt({ input, draft, reasons, weighedC }: Attempt, law: Law): Judgement {
  const houseSetting = houseTemp(input);
  const tested = input.print.choices.setC === undefined ? testedStart(input) : null;
  const asked = input.print.choices.setC ?? tested?.setC ?? houseSetting?.value;
  const limits = limitsOf(input, draft.passesMark, draft.split);
  const heated = draft.split ? windowOverLower(input, draft, limits) : windowFromAbove(input, draft, limits);
  const window = weighedC === null ? heated.window : { ...heated.window, bestSetC: weighedC };
  const tempC = asked === undefined ? window.bestSetC : settable(input.press, asked);
  const margins = marginsAt(window, tempC);
  const bestMargins = marginsAt(window, window.bestSetC);
  const { values, further } = closingsSet(input, furthersOf(input, draft), tempC, heated);
  const set = settingOf(input, draft, tempC, heated.lowerC);
  const isTested = tested !== null && tested.setC === tempC && tested.tested.timeS === draft.timeS;
  const ruled = ruleFindings(input, draft, law.rules);
  const { lamp, bestState, bonds, soundChance } = lampFor(
    input,
    draft,
    { window, set, margins, bestMargins, further, ruled, isTested },
    law.bonds,
  );
  return {
    draft,
    reasons,
    window,
    set,
    values,
    margins,
    smallestMarginK: smallestMargin(margins),
    bestMarginK: smallestMargin(bestMargins),
    lamp,
    bestState,
    soundChance,
    houseTemp: houseSetting,
    testedTemp: tested,
    bonds,
  };
}

/**
 * Judges a piece: every decision, the window, the set value and the lamp, without stages, steps or the words of the card.
 *
 * The set value is what the sheet aims at where that is Clear, else the settable one of least risk past all bounds (sheet, mark beside the art,
 * damage); a value set by hand is kept to the press's step and judged the same way. What is tried beside the first draft,
 * and which of them stands, is told in attempts.
 */
export function judge(input: PreparedInput, law: Law = LAW): Judgement {
  let attempt = firstAttempt(input, law);
  let before: Tried | null = null;
  for (;;) {
    const judged = judgeAttempt(attempt, law);
    const { stands, next } = nextAttempt(before, { attempt, judged }, law);
    if (!next) return stands.judged;
    // without what the house keeps a piece begins anew
    before = next.leftOut === attempt.leftOut ? stands : null;
    attempt = next;
  }
}
