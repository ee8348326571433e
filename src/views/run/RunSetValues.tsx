/** The set values as they hang at the press: 96 px, in the press's own terms. */
import { memo } from 'react';
import type { Card } from '../../core/card';
import { formatDuration, formatFigure, UNITS } from '../../core/units';
import { useUnits } from '../../ui/house';

/** @param setS, setC what was set otherwise than carded in this run */
export const RunSetValues = memo(function RunSetValues({ card, setS, setC }: { card: Card; setS: number | null; setC: number | null }) {
  const house = useUnits();
  const { unit } = card.window.settable;
  const { pressure, peel, cover } = card.set;
  const [timeS, tempC] = [setS ?? card.set.timeS, setC ?? card.set.tempC];
  const { setting } = pressure;
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
    <div className="flex flex-wrap items-end gap-x-8">
      {big(formatFigure(tempC, unit), UNITS[unit].symbol)}
      {big(timeS < 60 ? String(timeS) : formatDuration(timeS), timeS < 60 ? 's' : '')}
      <span className="pb-2 text-xl leading-snug">
        {pressure.band}, {gauge}
        <br />
        {peel} peel, {cover ? 'cover over it' : 'no cover'}
        {(setS !== null || setC !== null) && <span className="text-amber">, not as carded</span>}
      </span>
    </div>
  );
});
