/** A decision as data: the value it settles and its reason. */
import { nominalOf } from '../../materials';
import type { SheetStage } from '../../sheet';
import { type Phrase, phrase, seconds } from '../../units';
import type { PreparedInput } from '../input';
import type { Field, Reason } from '../reason';

interface Decided<Settled> {
  set: Partial<Settled>;
  source: Reason['source'];
  says: Phrase;
}

/** Whose word counts where several decisions settle one value: a later rank overrules an earlier one. */
export const RANKS = ['usual', 'piece', 'particular', 'operator', 'sheet'] as const;
type Rank = (typeof RANKS)[number];

/**
 * A decision of one phase. It sees what the phases before it settled, never what its neighbours do, so its place in its table
 * means nothing; two of one rank never settle the same value otherwise for one piece.
 */
export interface Decision<Known, Settled> {
  id: string;
  field: Field;
  rank: Rank;
  /** Null where it has nothing to say. */
  decide: (input: PreparedInput, known: Known) => Decided<Settled> | null;
}

export const SHEET = 'sheet' as const;
export const HOUSE = 'house' as const;

/** What was decided if the condition is met; it is worked out only then. */
export const given = <T>(met: boolean, decided: () => T): T | null => (met ? decided() : null);

/** A stage's time as its sheet gives it. */
export const settings = (stage: SheetStage): Phrase =>
  phrase`${seconds(stage.timeS.min)} to ${seconds(stage.timeS.max)}, nominal ${seconds(nominalOf(stage.timeS))}`;
