/** Batches: which prints, of whatever line or order, can be pressed in one run because the press is set for both alike. */

import { type Card, resolve, type Stage } from '../card';
import { laysTogether, type ResolveInput } from '../draft';
import { phrase } from '../units';
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

const STATES = { clear: 0, care: 1, hold: 2 } as const;
/** How weak a card is: its lamp, then the chance that a piece comes out sound. */
const weakness = ({ lamp, soundChance }: Card): number => STATES[lamp.state] + 1 - (soundChance ?? 1);

/** A card that cannot be pressed in the closing it was meant for. */
const apart = (card: Card, lead: Card): Card => ({
  ...card,
  lamp: {
    state: 'hold',
    findings: [
      {
        level: 'hold',
        from: 'rule',
        rule: 'apart-from-its-closing',
        field: 'art',
        says: phrase`${card.of.artName} wants the press set otherwise than ${lead.of.artName}, or cannot lie beside it: press it in a closing of its own.`,
      },
      ...card.lamp.findings,
    ],
  },
});

/**
 * Cards of several designs that are pressed on one piece in one closing, in their order: each is judged at its own place, all by
 * the settings of the weakest. One that cannot be pressed by those is on Hold.
 */
export function cardsInOneClosing(inputs: readonly ResolveInput[]): Card[] {
  const lays = laysTogether(inputs);
  const laid = inputs.map((input, i) => {
    const lay = lays?.[i];
    return lay ? { ...input, print: { ...input.print, lay } } : input;
  });
  const own = laid.map((input) => resolve(input));
  const lead = own.reduce((weakest, card) => (weakness(card) > weakness(weakest) ? card : weakest));
  return laid.map((input, i) => {
    const card = own[i] ?? lead;
    if (card === lead || lead.lamp.state === 'hold') return card;
    return cardTogether(lead, input) ?? apart(card, lead);
  });
}
