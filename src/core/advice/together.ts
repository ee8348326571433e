/** Batches: which prints, of whatever line or order, can be pressed in one run because the press is set for both alike. */

import { type Card, resolve, type Stage } from '../card';
import type { ResolveInput } from '../draft';
import { choicesToRepeat } from './again';
import { pressChanges } from './between';

/** What of a stage must be the same: all there is of a closing, and that hands and clocks come in the same order. */
const ofStage = ({ kind, by, timeS, setC, set }: Stage) => (by === 'press' ? [kind, timeS, setC, set ?? null] : [kind, by]);
const stagesOf = ({ stages }: Card): string => JSON.stringify(stages.map(ofStage));

/** Whether one run can press both: nothing at the press is set otherwise from the first to the second. */
export const isAlike = (first: Card, other: Card): boolean =>
  pressChanges(first, other).length === 0 && stagesOf(first) === stagesOf(other) && first.of.perClosing === other.of.perClosing;

/** What one run cannot go over to between two pieces, and nobody’s choice is dropped for: what lies under and over the piece, and how hard it is pressed. */
const laidOut = ({ of, set: { base, pad, platen, cover, peel, pressure } }: Card): string =>
  JSON.stringify([of.pressId, base, pad, platen, cover, peel, pressure.band]);

/**
 * The card of another print as it would be pressed in the run of a first: heat and times of the first, judged for this
 * print, its cloth and its place on the platen.
 *
 * @param first the card the press is set by
 * @returns null: it cannot be; its press would have to be set otherwise, or it would be on Hold
 */
export function cardTogether(first: Card, input: ResolveInput): Card | null {
  const own = resolve(input);
  if (laidOut(own) !== laidOut(first) || first.of.perClosing > 1) return null;
  const card = isAlike(first, own)
    ? own
    : resolve({ ...input, print: { ...input.print, choices: choicesToRepeat(first, own, input.print.choices) } });
  return card.lamp.state !== 'hold' && isAlike(first, card) ? card : null;
}
