/** A reading that is unlike the others, or far from the setting: asked about before it is taken. */
import { formatForHouse, type HouseUnits } from '../../core/units';
import type { Question } from './surveyDraft';

interface OddReadingProps {
  question: Question;
  house: HouseUnits;
  onTake: (readC: number) => void;
  onAgain: () => void;
}

export function OddReading({ question, house, onTake, onAgain }: OddReadingProps) {
  return (
    <div role="alert" className="border-l-4 border-amber bg-sheet px-4 py-3">
      <p>
        {question.kind === 'far from the setting'
          ? `That is ${formatForHouse('temperatureDifference', Math.abs(question.byK), house, 0)} ${question.byK < 0 ? 'under' : 'over'} the setting.`
          : `That is ${formatForHouse('temperatureDifference', Math.abs(question.byK), house, 0)} ${question.byK < 0 ? 'under' : 'over'} the other places.`}{' '}
        Has the press settled, and does the probe lie flat?
      </p>
      <div className="flex gap-3 pt-2">
        <button type="button" className="act" onClick={() => onTake(question.reading.readC)}>
          It is so: take it
        </button>
        <button type="button" className="act act-quiet" onClick={onAgain}>
          Read it again
        </button>
      </div>
    </div>
  );
}
