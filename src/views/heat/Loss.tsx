/** The one line that matters: what this setting does to the bond, what takes from it, and the seconds that bring it back. */
import type { BenchStack } from '../../core/advice';
import { type Effect, SOUND } from '../../core/heat';
import { formatDuration, formatForHouse, type HouseUnits } from '../../core/units';
import type { Answers } from './useReckoned';
import type { Variant } from './variant';

const HELP: Record<Exclude<Effect['of'], 'temperature'>, string> = {
  time: '2 s more',
  pressure: 'half as much pressure again',
  cover: 'taking the cover off',
  'pad over': 'taking the pad off',
  underlay: 'the usual pad in place of what lies under it',
  'pre-press': '5 s more pre-press',
  base: 'a base 20 K warmer',
  cloth: 'the sheet’s own cloth',
  damp: 'dry cloth',
};

const STOPS = {
  'longest time': 'the sheet’s longest time',
  'shortest time': 'the sheet’s shortest time',
  mark: 'the mark limit',
  damage: 'what the cloth bears',
} as const;

/** The change of temperature that is weighed, K. */
const WEIGHED_K = 5;
const helpWords = (of: Effect['of'], house: HouseUnits): string =>
  of === 'temperature' ? `${formatForHouse('temperatureDifference', WEIGHED_K, house, 0)} more at the platen` : HELP[of];

/** Layers that take or give at the glue. */
const LAID: readonly Effect['of'][] = ['cover', 'pad over', 'underlay'];
const WORTH_K = 0.5;

/** Less of a change is not worth taking, s. */
const WORTH_S = 0.5;

interface LossProps {
  answers: Answers;
  variant: Variant;
  stack: BenchStack;
  house: HouseUnits;
  current: number;
  onTake: (timeS: number) => void;
}

export function Loss({ answers, variant, stack, house, current, onTake }: LossProps) {
  const { correction, helps, columns } = answers;
  const shown = columns[current] ?? columns[0];
  if (!correction || !shown) return null;
  const { bond } = shown.band;
  const { rounded } = correction;
  const by = rounded.timeS - variant.query.passage.timeS;
  const worth = Math.abs(by) >= WORTH_S;
  const takes = helps.filter((help) => LAID.includes(help.of) && Math.abs(help.glueK) >= WORTH_K);
  const best = helps.filter((help) => (bond < 1 ? help.bond > 0.01 : help.bond < -0.01)).slice(0, 3);
  const state = bond < SOUND.low ? 'Too little' : bond > SOUND.high ? 'Too much' : 'Sound';
  return (
    <section aria-label="What to do" className="mb-2 border-l-4 border-teal bg-sheet py-2 pr-4 pl-4" aria-live="polite">
      <div className="flex items-center justify-between gap-x-5">
        <p className="min-w-0">
          <span className="text-xl font-bold">{state}</span>: bond about <span className="figure font-semibold">{bond.toFixed(2)}</span> of
          what the sheet means.{' '}
          {takes.map((take) => (
            <span key={take.of}>
              The {take.name} {take.glueK > 0 ? 'takes' : 'gives'}{' '}
              <span className="figure">{formatForHouse('temperatureDifference', Math.abs(take.glueK), house, 0)}</span> at the glue in{' '}
              {formatDuration(variant.query.passage.timeS)}.{' '}
            </span>
          ))}
          {worth &&
            (correction.feasible ? (
              <>
                <span className="figure">{formatDuration(Math.abs(by))}</span> {by > 0 ? 'more' : 'less'} bring it to{' '}
                <span className="figure">{rounded.bond.toFixed(2)}</span>.
              </>
            ) : (
              <>
                No time at this temperature brings it to 1: {STOPS[correction.stoppedBy ?? 'longest time']} ends it at{' '}
                <span className="figure">{formatDuration(rounded.timeS)}</span>, with{' '}
                <span className="figure">{rounded.bond.toFixed(2)}</span>.
              </>
            ))}
        </p>
        {worth && (
          <button type="button" className="act shrink-0" onClick={() => onTake(rounded.timeS)}>
            Take {formatDuration(rounded.timeS)}
          </button>
        )}
      </div>
      {(bond < SOUND.low || bond > SOUND.high || !correction.feasible) && best.length > 0 && (
        <p className="label pt-1">
          What would help most:{' '}
          {best.map((help) => `${helpWords(help.of, house)} (${help.bond > 0 ? '+' : '−'}${Math.abs(help.bond).toFixed(2)})`).join(', ')}.
        </p>
      )}
      <p className="label pt-1">
        Sheet: {formatDuration(stack.allowed.timeS.min)} to {formatDuration(stack.allowed.timeS.max)},{' '}
        {formatForHouse('temperature', stack.allowed.surfaceC.min, house)} to{' '}
        {formatForHouse('temperature', stack.allowed.surfaceC.max, house)}.
      </p>
    </section>
  );
}
