/** What the card's heat comes to in one line, with the seconds that would better it, and what the log says of it, which may be left out. */
import { isReportable, logSdOf } from '../../core/bond';
import type { Card } from '../../core/card';
import { formatDuration } from '../../core/units';
import { Fault } from '../../ui/Fault';
import { useLeaveOut } from './useLeaveOut';

interface BondActsProps {
  card: Card;
  heatHref: string;
  /** Chooses a time for the print. */
  onTime: (timeS: number) => void;
}

export function BondActs({ card, heatHref, onTime }: BondActsProps) {
  const { leaveOut, fault } = useLeaveOut();
  const { heat, set, of } = card;
  if (!heat) return null;
  const { correction, learned } = heat;
  const isFigure = isReportable(logSdOf(heat));
  const by = correction ? correction.timeS - set.timeS : 0;
  return (
    <section aria-label="Bond" className="flex flex-wrap items-center gap-x-6 py-1">
      <p>
        {isFigure ? (
          <>
            Bond about <span className="figure font-semibold">{heat.bond.toFixed(2)}</span>{' '}
            <span className="label">
              nine in ten <span className="figure">{`${heat.low.toFixed(2)} to ${heat.high.toFixed(2)}`}</span>
            </span>
          </>
        ) : (
          <>
            How it bonds is known only roughly: about <span className="figure font-semibold">{Math.round(100 * heat.soundChance)} %</span>{' '}
            sound
          </>
        )}
      </p>
      {isFigure && correction?.feasible && (
        <button type="button" className="act act-quiet px-0 underline" onClick={() => onTime(correction.timeS)}>
          {formatDuration(Math.abs(by))} {by > 0 ? 'more' : 'less'} for {correction.bond.toFixed(2)}: take{' '}
          {formatDuration(correction.timeS)}
        </button>
      )}
      <a className="act act-quiet px-0 underline" href={heatHref}>
        On the Heat bench
      </a>
      {learned && (
        <button type="button" className="act act-quiet px-0 underline" onClick={() => void leaveOut(of)}>
          Leave out what {learned.n} pressings say (× {learned.shift.toFixed(2)})
        </button>
      )}
      <Fault of={fault} />
    </section>
  );
}
