/** A rule of the trade as data: what it looks at, how far it lowers the lamp, and its reason. */

import type { Draft, Field, PreparedInput } from '../../draft';
import type { Phrase } from '../../units';

export interface Rule {
  id: string;
  field: Field;
  level: 'hold' | 'care';
  /** The reason when the rule is met, or null. */
  evaluate: (input: PreparedInput, draft: Draft) => Phrase | null;
}

/** The reason if the rule is met; it is worded only then. */
export const when = (condition: boolean, says: () => Phrase): Phrase | null => (condition ? says() : null);
