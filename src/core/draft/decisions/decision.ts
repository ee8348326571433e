/** A decision as data: the value it settles and its reason. */
import { figurePhrase, type SheetStage } from '../../sheet';
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
export const when = <T>(condition: boolean, decided: () => T): T | null => (condition ? decided() : null);

/** A stage's time as its sheet gives it; an allowance of ours is said to be ours. */
export const settings = ({ timeS }: SheetStage): Phrase => {
  const { written, ours, named, min, max, nominal } = timeS;
  const says = figurePhrase(
    written,
    (value) => phrase`${seconds(value)}`,
    (by) => phrase`${seconds(by)}`,
  );
  if (ours) return phrase`${says}. It gives one figure: ${seconds(min)} to ${seconds(max)} is our allowance round it`;
  return named ? says : phrase`${says}, nominal ${seconds(nominal)}`;
};
