/** A phrase in the house's units. */
import { type Phrase, phraseText } from '../core/units';
import { useUnits } from './house';

export function Says({ words }: { words: Phrase }) {
  return <>{phraseText(words, useUnits())}</>;
}
