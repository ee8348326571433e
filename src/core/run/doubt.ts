/** Settings so far from the card that they may be a slip of the hand: asked about once, then taken. */
import { type Card, closingsOfCard } from '../card';
import { type Phrase, phrase, seconds, setTemp } from '../units';
import type { RunFact } from './events';

/** Farther than this from the carded temperature is asked about, K. Ours. */
const FAR_K = 12;
/** More than so many times the carded seconds, or less than its part, is asked about. Ours. */
const FAR_TIMES = 2;

/** What is odd about a setting; null: nothing. */
export function doubtOf(fact: RunFact, card: Pick<Card, 'set' | 'window' | 'stages'>): Phrase | null {
  if (fact.kind !== 'set' && fact.kind !== 'set temperature') return null;
  const carded = closingsOfCard(card).find(({ kind }) => kind === fact.of) ?? card.set;
  if (fact.kind === 'set') {
    const far = fact.timeS > FAR_TIMES * carded.timeS || fact.timeS < carded.timeS / FAR_TIMES;
    return far ? phrase`${seconds(fact.timeS)} is far from the carded ${seconds(carded.timeS)}.` : null;
  }
  if (Math.abs(fact.tempC - carded.tempC) <= FAR_K) return null;
  const { unit } = card.window.settable;
  return phrase`${setTemp(fact.tempC, unit)} is far from the carded ${setTemp(carded.tempC, unit)}.`;
}
