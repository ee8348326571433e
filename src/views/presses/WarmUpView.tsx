/** Warm-up and recovery of a press: how long to any setting, what a closing costs, how fast it can go on. */
import { useState } from 'react';
import type { PressReport } from '../../contract';
import { dropOfClosing, type Heater, lossOf, type Press, shortestCycle, timeBetween } from '../../core/press';
import { formatDuration, formatForHouse, formatQuantity, type HouseUnits, houseUnit, toInside } from '../../core/units';
import { Fault } from '../../ui/Fault';
import { NumberField } from '../../ui/NumberField';
import { QuantityField } from '../../ui/QuantityField';
import { useRoute } from '../../ui/query';
import { PressRecords } from './PressRecords';
import { useKeepRecord } from './useKeepRecord';
import { useSavePress } from './useSavePress';

const PLAIN: Heater = { powerW: 1800, massKg: 9, lossWK: null };
/** A cotton tee pressed for a usual time. */
const TEE = { effusivity: 205, seconds: 12 };

export function WarmUpView({ press, version, report, house }: { press: Press; version: number; report: PressReport; house: HouseUnits }) {
  const [heater, setHeater] = useState<Heater>(press.heater ?? PLAIN);
  const { save, fault } = useSavePress(press, version);
  const room = useRoute('house', {});
  const roomC = room.data?.house.room.tempC ?? 21;
  const dirty = JSON.stringify(heater) !== JSON.stringify(press.heater);
  const used = report.heater;
  return (
    <>
      <form
        className="grid max-w-[640px] grid-cols-3 items-start gap-x-5"
        aria-label="Heater"
        onSubmit={(event) => {
          event.preventDefault();
          void save({ ...press, heater });
        }}
      >
        <NumberField label="Its power, W" value={heater.powerW} onChange={(powerW) => setHeater({ ...heater, powerW })} />
        <NumberField label="Mass of the platen, kg" value={heater.massKg} onChange={(massKg) => setHeater({ ...heater, massKg })} />
        <div className="pt-6">
          <button type="submit" className="act act-main w-full" disabled={!dirty}>
            Save
          </button>
        </div>
      </form>
      <Fault of={fault} />
      {used ? (
        <Figures press={press} heater={used} roomC={roomC} house={house} />
      ) : (
        <p className="max-w-prose">Save its power and mass, from its plate, and every card says how long it takes to be ready.</p>
      )}
      {used && (
        <LogTime
          press={press}
          roomC={roomC}
          house={house}
          logged={report.records.filter((one) => one.kind === 'heating time' && !report.withdrawn.includes(one.id)).length}
        />
      )}
      <PressRecords pressId={press.id} report={report} kinds={['heating time']} title="Times kept" house={house} />
    </>
  );
}

function Figures({ press, heater, roomC, house }: { press: Press; heater: Heater; roomC: number; house: HouseUnits }) {
  const unit = house.temperature;
  const settings = (unit === 'F' ? [270, 300, 330, 360] : [130, 150, 165, 180]).map((shown) => toInside(shown, unit));
  const from = [roomC, ...settings];
  const minutes = (a: number, b: number) => {
    const s = timeBetween(heater, a, b, roomC);
    return Number.isFinite(s) ? formatDuration(Math.round(s)) : 'never';
  };
  const closing = { ...TEE, areaMm2: press.platen.widthMm * press.platen.heightMm, setC: settings[1] ?? 150, startC: roomC };
  const cycle = shortestCycle(heater, closing, roomC);
  return (
    <>
      <h3 className="pt-2 pb-1">From one setting to another, min:s</h3>
      <table className="border-collapse text-right">
        <thead>
          <tr className="label">
            <th className="py-1 pr-6 text-left font-normal">from / to</th>
            {settings.map((to) => (
              <th key={to} className="py-1 pr-6 font-normal">
                {formatQuantity(to, unit)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {from.map((a, i) => (
            <tr key={a} className="rule-top">
              <td className="py-1.5 pr-6 text-left">{i === 0 ? `room, ${formatQuantity(a, unit)}` : formatQuantity(a, unit)}</td>
              {settings.map((b) => (
                <td key={b} className={`figure py-1.5 pr-6 ${b < a ? 'text-soft' : ''}`}>
                  {a === b ? '' : minutes(a, b)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="max-w-prose pt-3">
        Down takes far longer than up: press the cool jobs first. A tee of the whole platen costs it{' '}
        <span className="figure">{formatForHouse('temperatureDifference', dropOfClosing(heater, closing), house, 1)}</span> a closing;{' '}
        {Number.isFinite(cycle) ? (
          <>
            it holds {formatQuantity(closing.setC, unit)} at one closing every{' '}
            <span className="figure">{formatDuration(Math.ceil(cycle))}</span>.
          </>
        ) : (
          <>it cannot hold {formatQuantity(closing.setC, unit)} at all.</>
        )}{' '}
        Close it empty for half a minute before the first piece, and some minutes before a hot marry.
      </p>
      <p className="label">
        Reckoned with {Math.round(heater.powerW)} W, {heater.massKg} kg and a loss of {lossOf(heater).toFixed(1)} W for every K over the
        room.
      </p>
    </>
  );
}

function LogTime({ press, roomC, house, logged }: { press: Press; roomC: number; house: HouseUnits; logged: number }) {
  const [from, setFrom] = useState<number | null>(null);
  const [to, setTo] = useState<number | null>(null);
  const [seconds, setSeconds] = useState(0);
  const [missing, setMissing] = useState(false);
  const { save: keep, fault } = useKeepRecord(press.id);
  const log = async () => {
    setMissing(from === null || to === null);
    if (from !== null && to !== null) await keep({ kind: 'heating time', fromC: from, toC: to, seconds, roomC });
  };
  const unit = houseUnit('temperature', house).first;
  return (
    <form
      className="rule-top mt-3 grid max-w-[780px] grid-cols-4 items-start gap-x-5 pt-3"
      aria-label="A time it really took"
      onSubmit={(event) => {
        event.preventDefault();
        void log();
      }}
    >
      <h3 className="col-span-4">
        A time it really took <span className="label">({logged} logged; power and loss are refined by them)</span>
      </h3>
      <QuantityField label="From" kind="temperature" unit={unit} house={house} value={from} min={0} max={260} onChange={setFrom} />
      <QuantityField label="To" kind="temperature" unit={unit} house={house} value={to} min={0} max={260} onChange={setTo} />
      <NumberField label="Seconds" value={seconds} onChange={setSeconds} />
      <div className="pt-6">
        <button type="submit" className="act w-full">
          Log it
        </button>
      </div>
      {missing && (
        <p role="alert" className="col-span-4 text-brick">
          From which temperature to which?
        </p>
      )}
      <Fault of={missing ? null : fault} className="col-span-4 text-brick" />
    </form>
  );
}
