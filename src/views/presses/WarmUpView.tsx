/** Warm-up and recovery of a press: how long to any setting, what a closing costs, how fast it can go on. */
import { z } from 'zod';
import type { PressReport } from '../../contract';
import { dropOfClosing, type Heater, HeaterSchema, lossOf, type Press, shortestCycle, timeBetween } from '../../core/press';
import { formatDuration, formatForHouse, formatQuantity, type HouseUnits, houseUnit, toInside } from '../../core/units';
import { type Column, DataTable } from '../../ui/DataTable';
import { useDocForm } from '../../ui/docForm';
import { saysTheSame } from '../../ui/equal';
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
  const form = useDocForm<Heater>(HeaterSchema, press.heater ?? PLAIN);
  const { doc: heater, patch, fields } = form;
  const { save, fault } = useSavePress(press, version);
  const room = useRoute('house', {});
  const roomC = room.data?.house.room.tempC ?? 21;
  const dirty = !saysTheSame(heater, press.heater);
  const used = report.heater;
  return (
    <>
      <form
        className="grid max-w-[40rem] grid-cols-3 items-start gap-x-5"
        aria-label="Heater"
        onSubmit={form.handle((taken) => save({ ...press, heater: taken }))}
      >
        <NumberField label="Its power, W" value={heater.powerW} onChange={(powerW) => patch({ powerW })} problem={fields.powerW} />
        <NumberField
          label="Mass of the platen, kg"
          value={heater.massKg}
          onChange={(massKg) => patch({ massKg })}
          problem={fields.massKg}
        />
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
          logged={report.records.filter((record) => record.kind === 'heating time' && !report.withdrawn.includes(record.id)).length}
        />
      )}
      <PressRecords pressId={press.id} report={report} kinds={['heating time']} title="Times kept" house={house} />
    </>
  );
}

function Figures({ press, heater, roomC, house }: { press: Press; heater: Heater; roomC: number; house: HouseUnits }) {
  const unit = house.temperature;
  const settings = (unit === 'F' ? [270, 300, 330, 360] : [130, 150, 165, 180]).map((shown) => toInside(shown, unit));
  const minutes = (a: number, b: number) => {
    const s = timeBetween(heater, a, b, roomC);
    return Number.isFinite(s) ? formatDuration(Math.round(s)) : 'never';
  };
  const closing = { ...TEE, areaMm2: press.platen.widthMm * press.platen.heightMm, setC: settings[1] ?? 150, startC: roomC };
  const cycle = shortestCycle(heater, closing, roomC);
  return (
    <>
      <h3 className="pt-2 pb-1">From one setting to another, min:s</h3>
      <DataTable
        look="text-right"
        columns={[
          {
            head: 'from / to',
            look: 'text-left',
            cell: ({ fromC }, i) => (i === 0 ? `room, ${formatQuantity(fromC, unit)}` : formatQuantity(fromC, unit)),
          },
          ...settings.map(
            (to): Column<{ fromC: number }> => ({
              head: formatQuantity(to, unit),
              cell: ({ fromC }) => (
                <span className={`figure ${to < fromC ? 'text-soft' : ''}`}>{fromC === to ? '' : minutes(fromC, to)}</span>
              ),
            }),
          ),
        ]}
        rows={[roomC, ...settings].map((fromC) => ({ fromC }))}
        idOf={({ fromC }) => String(fromC)}
      />
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
        Calculated with {Math.round(heater.powerW)} W, {heater.massKg} kg and a loss of {lossOf(heater).toFixed(1)} W for every K over the
        room.
      </p>
    </>
  );
}

const TimeSchema = z.object({
  fromC: z.number('From which temperature?'),
  toC: z.number('To which temperature?'),
  seconds: z.number().positive('How many seconds did it take?'),
});
const ENDS = [
  { field: 'fromC', label: 'From' },
  { field: 'toC', label: 'To' },
] as const;
type TypedTime = { fromC: number | null; toC: number | null; seconds: number };

function LogTime({ press, roomC, house, logged }: { press: Press; roomC: number; house: HouseUnits; logged: number }) {
  const form = useDocForm<TypedTime, z.infer<typeof TimeSchema>>(TimeSchema, { fromC: null, toC: null, seconds: 0 });
  const { doc, patch, fields } = form;
  const { save: keep, fault } = useKeepRecord(press.id);
  const unit = houseUnit('temperature', house).first;
  return (
    <form
      className="rule-top mt-3 grid max-w-[48.75rem] grid-cols-4 items-start gap-x-5 pt-3"
      aria-label="A time it really took"
      onSubmit={form.handle((taken) => keep({ kind: 'heating time', ...taken, roomC }))}
    >
      <h3 className="col-span-4">
        A time it really took <span className="label">({logged} logged; power and loss are refined by them)</span>
      </h3>
      {ENDS.map(({ field, label }) => (
        <QuantityField
          key={field}
          label={label}
          kind="temperature"
          unit={unit}
          house={house}
          value={doc[field]}
          min={0}
          max={260}
          onChange={(value) => patch({ [field]: value })}
          problem={fields[field]}
        />
      ))}
      <NumberField label="Seconds" value={doc.seconds} onChange={(seconds) => patch({ seconds })} problem={fields.seconds} />
      <div className="pt-6">
        <button type="submit" className="act w-full">
          Save the time
        </button>
      </div>
      <Fault of={fault} className="col-span-4 text-brick" />
    </form>
  );
}
