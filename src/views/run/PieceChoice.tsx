/** A choice about pieces that takes the place of the cue: why one is spoiled, or which part is pressed again. */
import type { Card } from '../../core/card';
import type { Lost, RunFact } from '../../core/run';
import { SpoilChoice } from './SpoilChoice';
import { SpotChoice } from './SpotChoice';
import type { Whose } from './whose';

export interface Choosing {
  what: 'spoiled' | 'spot';
  pieces: readonly number[];
}

interface PieceChoiceProps {
  choosing: Choosing;
  card: Card;
  choices: readonly Lost[];
  /** What a piece is called where pieces have names of their own; null: by its number. */
  nameOf: ((piece: number) => Whose) | null;
  /** A press whose time is up meanwhile, in words. */
  due: string | null;
  onFact: (fact: RunFact) => void;
  onClose: () => void;
}

export function PieceChoice({ choosing: { what, pieces }, card, choices, nameOf, due, onFact, onClose }: PieceChoiceProps) {
  const [piece] = pieces;
  return what === 'spot' ? (
    <SpotChoice
      card={card}
      piece={piece}
      onClose={onClose}
      onSpot={(spot) => onFact({ kind: 'spot closed', ...(piece !== undefined && { piece }), ...spot })}
    />
  ) : (
    <SpoilChoice
      of={card.of}
      pieces={pieces}
      choices={choices}
      nameOf={(one) => nameOf?.(one).designs[0] ?? `piece ${one}`}
      due={due}
      onChoose={(choice) => onFact({ kind: 'spoiled', ...choice })}
      onCancel={onClose}
    />
  );
}
