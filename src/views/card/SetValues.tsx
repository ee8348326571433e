/** The set values, which are the page: large, in the press's own terms; touching one unfolds its reasons. */
import type { ReactNode } from 'react';
import type { Card } from '../../core/card';
import type { Field } from '../../core/draft';
import { type Lamp as LampValue, soundChanceAt } from '../../core/judgement';
import { bandOf } from '../../core/press';
import { formatDuration, formatFigure, formatForHouse, formatQuantity, type HouseUnits, oddsWords, UNITS } from '../../core/units';
import { marginsAt, smallestMargin } from '../../core/window';
import { Lamp } from '../../ui/Lamp';
import { Term } from '../shell/Term';

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
  const { pressure, timeS, peel, cover } = card.set;
  const marginK = smallestMargin(marginsAt(card.window, setC));
  const kelvin = formatForHouse('temperatureDifference', Math.abs(marginK), house, 0);
  const value = { open, onOpen };
  const [gauge, gaugeUnit] = gaugeWords(pressure.setting, house);
  return (
    <div className="flex flex-wrap items-start justify-between gap-x-6 gap-y-2 narrow:flex-col-reverse">
      {/* on Hold nobody should set these: they stand back */}
      <div className={`flex flex-wrap gap-x-7 gap-y-2 ${lamp.state === 'hold' ? 'text-edge' : ''}`}>
        <Value {...value} field="temperature" name="Temperature" figure={formatFigure(setC, unit)} unit={UNITS[unit].symbol}>
          {formatQuantity(setC, unit === 'F' ? 'C' : 'F')} · surface {formatQuantity(bandOf(card.window, setC).midC, unit)}
        </Value>
        <Value {...value} field="time" name="Time" figure={timeS < 60 ? String(timeS) : formatDuration(timeS)} unit={timeS < 60 ? 's' : ''}>
          under heat
        </Value>
        <Value {...value} field="pressure" name="Pressure" figure={gauge} unit={gaugeUnit}>
          {pressure.band}
          {pressure.setting.sure === 'measured' ? '' : `, ${pressure.setting.sure}`} ·{' '}
          {formatForHouse('contactPressure', pressure.contactKPa, house)} of contact
        </Value>
        <Value {...value} field="peel" name="Peel" word={peel} unit="peel">
          {cover ? 'cover over the print' : 'no cover over the print'}
        </Value>
      </div>
      <div className="flex flex-wrap items-baseline gap-x-4 min-[75rem]:block">
        <Term of="lamp">
          <Lamp
            state={lamp.state}
            cautions={lamp.findings.filter((finding) => finding.level === 'care').length}
            size={34}
            className="pt-2 text-2xl"
          />
        </Term>
        <span className="label block pt-1">{marginK < 0 ? `over the nearest limit by ${kelvin}` : `${kelvin} to spare`}</span>
        {lamp.state !== 'hold' && <span className="label block">{oddsWords(soundChanceAt(card, setC)).toLowerCase()} sound</span>}
      </div>
    </div>
  );
}

/** The gauge's figure and what stands after it; a press without a gauge shows the word alone. */
function gaugeWords(setting: Card['set']['pressure']['setting'], house: HouseUnits): [string | null, string] {
  if (setting.gauge === 'dial') return [setting.reading.toFixed(1), 'dial'];
  if (setting.gauge === 'air') return [formatFigure(setting.lineKPa, house.linePressure), `${UNITS[house.linePressure].symbol} line`];
  return [null, 'by feel'];
}

interface ValueProps {
  field: Field;
  name: string;
  figure?: string | null;
  word?: string;
  unit: string;
  open: Field | null;
  onOpen: (field: Field) => void;
  children: ReactNode;
}

function Value({ field, name, figure, word, unit, open, onOpen, children }: ValueProps) {
  return (
    <button
      type="button"
      onClick={() => onOpen(field)}
      aria-expanded={open === field}
      className={`border-b-4 pb-1 text-left ${open === field ? 'border-teal' : 'border-transparent hover:border-line'}`}
    >
      <span className="sr-only">{name}: </span>
      <span className="block text-[58px] leading-none font-semibold whitespace-nowrap narrow:text-[40px]">
        {figure ? <span className="figure">{figure}</span> : word}
        <span className="text-2xl font-normal narrow:text-lg"> {unit}</span>
      </span>
      <span className="label block pt-1.5 whitespace-nowrap">{children}</span>
    </button>
  );
}
