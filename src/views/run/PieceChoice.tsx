/** A choice about pieces that takes the place of the cue: why one is spoiled, or which part is pressed again. */
import type { Card } from '../../core/card';
import type { Lost, RunFact } from '../../core/run';
import { SpoilChoice } from './SpoilChoice';
import { SpotChoice } from './SpotChoice';

export interface Choosing {
  what: 'spoiled' | 'spot';
  pieces: readonly number[];
}

interface PieceChoiceProps {
  choosing: Choosing;
  card: Card;
  choices: readonly Lost[];
  /** A press whose time is up meanwhile, in words. */
  due: string | null;
  onFact: (fact: RunFact) => void;
  onClose: () => void;
}

export function PieceChoice({ choosing: { what, pieces }, card, choices, due, onFact, onClose }: PieceChoiceProps) {
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
      due={due}
      onChoose={(choice) => onFact({ kind: 'spoiled', ...choice })}
      onCancel={onClose}
    />
  );
}
