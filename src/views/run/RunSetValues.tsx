/** The set values of the closing in hand as they hang at the press: 96 px, in the press's own terms; beside them what the next one changes. */
import { memo } from 'react';
import type { Card } from '../../core/card';
import { COVER_SHEETS } from '../../core/heat';
import { changesAhead, closingsNow, type FiguresNow, figuresNow, type NextFigures, type RunPlan, type RunState } from '../../core/run';
import { formatDuration, formatFigure, formatQuantity, UNITS } from '../../core/units';
import { useUnits } from '../../ui/house';

interface RunSetValuesProps {
  card: Card;
  plan: RunPlan;
  run: RunState;
  /** Of the cue; what holds is the closing it is, follows or prepares. */
  stage: number;
}

export const RunSetValues = memo(function RunSetValues({ card, plan, run, stage }: RunSetValuesProps) {
  const house = useUnits();
  const { unit } = card.window.settable;
  const now = figuresNow(card, plan, run, stage);
  if (!now) return null;
  const ahead = changesAhead(card, plan, run, stage);
  const others = closingsNow(card, plan, run).filter(({ of, changed }) => changed && of !== now.of);
  const { setting, band, timeS } = now;
  const gauge =
    setting.gauge === 'dial'
      ? `dial ${setting.reading.toFixed(1)}`
      : setting.gauge === 'air'
        ? `${formatFigure(setting.lineKPa, house.linePressure)} ${UNITS[house.linePressure].symbol} line`
        : 'by feel';
  const big = (text: string, after: string) => (
    <span className="flex items-baseline gap-2 leading-none font-semibold whitespace-nowrap" style={{ fontSize: 'min(96px, 17vw)' }}>
      <span className="figure">{text}</span>
      <span className="text-3xl font-normal text-night-soft">{after}</span>
    </span>
  );
  return (
    <div className="flex flex-wrap items-end gap-x-8" data-closing={now.kind}>
      {big(formatFigure(now.tempC, unit), UNITS[unit].symbol)}
      {big(timeS < 60 ? String(timeS) : formatDuration(timeS), timeS < 60 ? 's' : '')}
      <span className="pb-2 text-xl leading-snug">
        <b className="inline-block first-letter:uppercase">{now.kind}</b>: {band}
        {now.bandAsCarded && `, ${gauge}`}
        {now.lowerC !== null && `, lower ${formatFigure(now.lowerC, unit)} ${UNITS[unit].symbol}`}
        <br />
        {peelWords(now)}, {now.cover ? `${COVER_SHEETS[now.cover].name} over it` : 'no cover'}
        {now.changed && <span className="text-amber">, not as carded</span>}
        {others.map((other) => (
          <span key={other.kind} className="block text-amber">
            {other.of ?? 'full press'} {formatQuantity(other.tempC, unit)}, {formatDuration(other.timeS)}, not as carded
          </span>
        ))}
        {ahead && <Ahead ahead={ahead} unit={unit} />}
      </span>
    </div>
  );
});

const peelWords = ({ peel }: Pick<FiguresNow, 'peel'>): string => (peel === 'none' ? 'no peel' : `${peel} peel`);

/** What is to be changed before the closing that comes next. */
function Ahead({ ahead, unit }: { ahead: NextFigures; unit: 'C' | 'F' }) {
  const words = [
    ahead.tempC !== null && formatQuantity(ahead.tempC, unit),
    ahead.timeS !== null && formatDuration(ahead.timeS),
    ahead.band !== null && `${ahead.band} pressure`,
    ahead.cover !== undefined && (ahead.cover ? `${COVER_SHEETS[ahead.cover].name} over it` : 'no cover'),
    ahead.peel !== null && ahead.peel !== 'none' && `${ahead.peel} peel`,
  ].filter(Boolean);
  if (words.length === 0) return null;
  return (
    <span className="block text-night-soft" data-ahead>
      then {ahead.kind}: {words.join(', ')}
    </span>
  );
}
