/** Ways out of a Hold, and what would lay the art of a Care better: each a card of its own, best first, taken with one press. */
import { useState } from 'react';
import type { LineCard } from '../../contract';
import { formatForHouse } from '../../core/units';
import { useUnits } from '../../ui/house';
import { Lamp } from '../../ui/Lamp';
import { Says } from '../../ui/Says';
import { setWords } from '../../ui/setWords';
import { TestPieceNote } from './TestPieceNote';

type Way = LineCard['waysOut'][number];

interface Props {
  ways: Way[];
  isHold: boolean;
  blankId: string;
  onTake: (way: Way) => void;
}

export function WaysOut({ ways, isHold, blankId, onTake }: Props) {
  const house = useUnits();
  const [testing, setTesting] = useState<Way | null>(null);
  const test = testing?.change.testPiece;
  return (
    <section className="rule-top py-3" aria-label={isHold ? 'Ways out' : 'Better laid'}>
      <h2 className="pb-1 text-lg">{isHold ? (ways.length > 0 ? 'Ways out' : 'No way out on this shelf') : 'Better laid'}</h2>
      {ways.length === 0 && (
        <p className="max-w-[70ch]">
          Nothing the shop has presses this print on this blank within its limits. Another blank, or a transfer made for this fabric, would.
        </p>
      )}
      <ol>
        {ways.map((way, i) => (
          <li
            key={i}
            className="rule-bottom grid grid-cols-[minmax(0,1fr)_6rem_12.5rem_7rem] items-center gap-4 py-2 max-[68rem]:flex max-[68rem]:flex-wrap max-[68rem]:gap-y-1 max-[68rem]:*:first:basis-full"
          >
            <span className={i === 0 ? 'font-semibold' : ''}>
              <Says words={way.says} />
              {way.unlike > 1 && (
                <span className="label block">{way.unlike > 2 ? 'It would need other art.' : 'It looks and feels otherwise.'}</span>
              )}
            </span>
            <Lamp state={way.lamp} />
            <span className="figure leading-tight">
              {setWords(way.set, way.set.unit)}
              <span className="label block font-sans">
                {formatForHouse('temperatureDifference', way.smallestMarginK, house, 0)} to spare, {way.minutesPerPiece.toFixed(1)} min
                {way.change.productId === undefined ? ' a piece' : ' to make and press a piece'}
              </span>
            </span>
            <button
              type="button"
              className={`act ${i === 0 && isHold ? 'act-main' : ''}`}
              onClick={() => (way.change.testPiece ? setTesting(way) : onTake(way))}
            >
              {way.change.testPiece ? 'Test it' : 'Use this'}
            </button>
          </li>
        ))}
      </ol>
      {test && <TestPieceNote blankId={blankId} test={test} onNoted={() => setTesting(null)} onCancel={() => setTesting(null)} />}
    </section>
  );
}
