/** The set values, which are the page: large, in the press's own terms; touching one unfolds its reasons. */
import type { ReactNode } from 'react';
import { type Card, type Field, type Lamp as LampValue, pressureWords } from '../../core/card';
import { formatDuration, formatFigure, formatForHouse, formatQuantity, type HouseUnits, phraseText, UNITS } from '../../core/units';
import { Lamp } from '../../ui/Lamp';

interface SetValuesProps {
  card: Card;
  setC: number;
  house: HouseUnits;
  lamp: LampValue;
  open: Field | null;
  onOpen: (field: Field) => void;
}

export function SetValues({ card, setC, house, lamp, open, onOpen }: SetValuesProps) {
  const { unit } = card.window.settable;
  const other = unit === 'F' ? 'C' : 'F';
  const { pressure, timeS, peel, cover } = card.set;
  const setting = pressure.setting;
  const cares = lamp.findings.filter((finding) => finding.level === 'care').length;
  const value = (field: Field, text: ReactNode, below: ReactNode, label: string) => (
    <button
      type="button"
      onClick={() => onOpen(field)}
      aria-expanded={open === field}
      aria-label={label}
      className={`border-b-4 pr-4 pb-1 text-left ${open === field ? 'border-teal' : 'border-transparent hover:border-line'}`}
    >
      <span className="figure block leading-none font-semibold whitespace-nowrap" style={{ fontSize: 58 }}>
        {text}
      </span>
      <span className="label block pt-1 whitespace-nowrap">{below}</span>
    </button>
  );
  const small = (text: string) => <span className="text-2xl font-normal"> {text}</span>;
  const [figure, after] =
    setting.gauge === 'dial'
      ? [setting.reading.toFixed(1), 'dial']
      : setting.gauge === 'air'
        ? [formatFigure(setting.lineKPa, house.linePressure), `${UNITS[house.linePressure].symbol} line`]
        : [pressure.band, ''];
  return (
    <div className="flex flex-wrap items-start justify-between gap-x-6 gap-y-2">
      <div className="flex flex-wrap gap-x-6 gap-y-2">
        {value(
          'temperature',
          <>
            {formatFigure(setC, unit)}
            {small(UNITS[unit].symbol)}
          </>,
          `${formatQuantity(setC, other)} · surface ${formatQuantity(setC + card.window.offsetK, unit)}`,
          `Temperature ${formatQuantity(setC, unit)}, why`,
        )}
        {value(
          'time',
          <>
            {timeS < 60 ? timeS : formatDuration(timeS)}
            {timeS < 60 ? small('s') : null}
          </>,
          'under heat',
          `Time ${formatDuration(timeS)}, why`,
        )}
        {value(
          'pressure',
          <>
            {figure}
            {after && small(after)}
          </>,
          `${pressure.band}${setting.sure === 'measured' ? '' : `, ${setting.sure}`} · ${formatForHouse('contactPressure', pressure.contactKPa, house)} of contact`,
          `Pressure ${phraseText(pressureWords(card.of.pressName, pressure), house)}, why`,
        )}
        {value('peel', peel, cover ? 'cover over the print' : 'no cover over the print', `Peel ${peel}, why`)}
      </div>
      <Lamp state={lamp.state} cautions={cares} size={34} className="pt-2 text-2xl" />
    </div>
  );
}
