/** A decision as data: the value it settles and its reason. */

import { nominalOf } from '../../materials';
import type { SheetStage } from '../../sheet';
import { type Phrase, phrase, seconds } from '../../units';
import type { Draft } from '../draft';
import type { PreparedInput } from '../input';
import type { Field, Reason } from '../reason';

interface Decided {
  set: Partial<Draft>;
  source: Reason['source'];
  says: Phrase;
}

export interface Decision {
  id: string;
  field: Field;
  /** Null where it has nothing to say. */
  decide: (input: PreparedInput, draft: Draft) => Decided | null;
}

export const SHEET = 'sheet' as const;
export const HOUSE = 'house' as const;

/** What was decided if the condition is met; it is worked out only then. */
export const given = <T>(met: boolean, decided: () => T): T | null => (met ? decided() : null);

/** A stage's time as its sheet gives it. */
export const settings = (stage: SheetStage): Phrase =>
  phrase`${seconds(stage.timeS.min)} to ${seconds(stage.timeS.max)}, nominal ${seconds(nominalOf(stage.timeS))}`;
