/** The set values of the closing in hand as they hang at the press: 96 px, in the press's own terms. */
import { memo } from 'react';
import { type Card, type ClosingFigures, figuresAt } from '../../core/card';
import { COVER_SHEETS } from '../../core/heat';
import { formatDuration, formatFigure, UNITS } from '../../core/units';
import { useUnits } from '../../ui/house';

interface RunSetValuesProps {
  card: Card;
  /** Of the cue; what holds is the closing it is, follows or prepares. */
  stage: number;
  /** What the full press was set to otherwise than carded in this run. */
  setS: number | null;
  setC: number | null;
}

export const RunSetValues = memo(function RunSetValues({ card, stage, setS, setC }: RunSetValuesProps) {
  const house = useUnits();
  const { unit } = card.window.settable;
  const carded = figuresAt(card, stage);
  if (!carded) return null;
  const isPress = carded.kind === 'press';
  const timeS = isPress && setS !== null ? setS : carded.timeS;
  // a stage before the full press that has no heat of its own is done at the same
  const tempC = setC !== null && carded.tempC === card.set.tempC ? setC : carded.tempC;
  const { setting, band } = carded;
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
    <div className="flex flex-wrap items-end gap-x-8" data-closing={carded.kind}>
      {big(formatFigure(tempC, unit), UNITS[unit].symbol)}
      {big(timeS < 60 ? String(timeS) : formatDuration(timeS), timeS < 60 ? 's' : '')}
      <span className="pb-2 text-xl leading-snug">
        <b className="inline-block first-letter:uppercase">{carded.kind}</b>: {band}, {gauge}
        {carded.lowerC !== null && `, lower ${formatFigure(carded.lowerC, unit)} ${UNITS[unit].symbol}`}
        <br />
        {peelWords(carded)}, {carded.cover ? `${COVER_SHEETS[carded.cover].name} over it` : 'no cover'}
        {(isPress ? setS !== null || setC !== null : tempC !== carded.tempC) && <span className="text-amber">, not as carded</span>}
        {!isPress && setS !== null && (
          <>
            <br />
            <span className="text-amber">full press {formatDuration(setS)}, not as carded</span>
          </>
        )}
      </span>
    </div>
  );
});

const peelWords = ({ peel }: ClosingFigures): string => (peel === 'none' ? 'no peel' : `${peel} peel`);
