/** Settings so far from the card that they may be a slip of the hand: asked about once, then taken. */
import type { Card } from '../card';
import { type Phrase, phrase, seconds, setTemp } from '../units';
import type { RunFact } from './events';

/** Farther than this from the carded temperature is asked about, K. Ours. */
const FAR_K = 12;
/** More than so many times the carded seconds, or less than its part, is asked about. Ours. */
const FAR_TIMES = 2;

/** What is odd about a setting; null: nothing. */
export function doubtOf(fact: RunFact, { set, window }: Pick<Card, 'set' | 'window'>): Phrase | null {
  if (fact.kind === 'set') {
    const far = fact.timeS > FAR_TIMES * set.timeS || fact.timeS < set.timeS / FAR_TIMES;
    return far ? phrase`${seconds(fact.timeS)} is far from the carded ${seconds(set.timeS)}.` : null;
  }
  if (fact.kind !== 'set temperature' || Math.abs(fact.tempC - set.tempC) <= FAR_K) return null;
  const { unit } = window.settable;
  return phrase`${setTemp(fact.tempC, unit)} is far from the carded ${setTemp(set.tempC, unit)}.`;
}
