/** Both ways to heat a print side by side: from above, and split between both platens, each with what it comes to. */
import type { LineCard } from '../../contract';
import { oddsWords, type UnitId } from '../../core/units';
import { Lamp } from '../../ui/Lamp';
import { Says } from '../../ui/Says';
import { setWords } from '../../ui/setWords';

type Way = LineCard['heatWays'][number];

interface HeatWaysProps {
  ways: Way[];
  unit: Extract<UnitId, 'C' | 'F'>;
  onTake: (heat: Way['heat']) => void;
}

const NAMES = { above: 'Heat from above', split: 'Split heat: hot below, cool above' } as const;

export function HeatWays({ ways, unit, onTake }: HeatWaysProps) {
  if (ways.length === 0) return null;
  return (
    <section className="rule-top py-3" aria-label="Two ways to heat it">
      <h2 className="text-lg">Viscose marks early: two ways to heat it</h2>
      <ul className="grid gap-x-8 sm:grid-cols-2">
        {ways.map((way) => (
          <li key={way.heat} className="py-2" aria-current={way.isChosen || undefined}>
            <h3 className={way.isChosen ? 'font-semibold' : ''}>{NAMES[way.heat]}</h3>
            <p className="flex flex-wrap items-center gap-x-4">
              <Lamp state={way.lamp} />
              <span className="figure">{setWords(way.set, unit)}</span>
            </p>
            <p className="label max-w-[60ch]">
              {oddsWords(way.soundChance)} come out sound.
              {way.against && (
                <>
                  {' '}
                  <Says words={way.against} />
                </>
              )}
            </p>
            {way.isChosen ? (
              <span className="flex min-h-12 items-center font-semibold text-teal">This card</span>
            ) : (
              <button type="button" className="act mt-2" onClick={() => onTake(way.heat)}>
                Press it this way
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
