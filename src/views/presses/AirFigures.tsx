/** An air press: its cylinders, and the line pressure that gives each band on each of its platens. */
import { z } from 'zod';
import { PRESSURE_BANDS } from '../../core/materials';
import {
  type AirDrive,
  AirDriveSchema,
  BAND_KPA,
  bandMiddle,
  CRUSH_KPA,
  contactFromLine,
  lineForContact,
  overlapMm2,
  type Press,
  platensOf,
  ratioFrom,
} from '../../core/press';
import { formatFigure, formatForHouse, type HouseUnits, houseUnit, UNITS } from '../../core/units';
import { type Column, DataTable } from '../../ui/DataTable';
import { useDocForm } from '../../ui/docForm';
import { saysTheSame } from '../../ui/equal';
import { Fault } from '../../ui/Fault';
import { NumberField } from '../../ui/NumberField';
import { QuantityField } from '../../ui/QuantityField';
import { useSavePress } from './useSavePress';

const PLAIN: AirDrive = { cylinders: 1, boreMm: 80, ratio: null, springN: 0 };
/** A lone coaster, to show what a small area does. */
const COASTER_MM2 = (Math.PI / 4) * 100 * 100;

export function AirFigures({ press, version, house }: { press: Press; version: number; house: HouseUnits }) {
  const form = useDocForm<AirDrive>(AirDriveSchema, press.drive ?? PLAIN);
  const { doc: drive, patch, fields } = form;
  const { save, fault } = useSavePress(press, version);
  const dirty = !saysTheSame(drive, press.drive);
  return (
    <section aria-label="Air">
      <h3 className="pb-1">What pushes it down</h3>
      <form className="grid grid-cols-4 items-start gap-x-5" onSubmit={form.handle((taken) => save({ ...press, drive: taken }))}>
        <NumberField
          label="Cylinders"
          whole
          value={drive.cylinders}
          onChange={(cylinders) => patch({ cylinders })}
          problem={fields.cylinders}
        />
        <NumberField label="Bore of each, mm" value={drive.boreMm} onChange={(boreMm) => patch({ boreMm })} problem={fields.boreMm} />
        <NumberField
          label="Spring that lifts it, N"
          value={drive.springN}
          onChange={(springN) => patch({ springN })}
          problem={fields.springN}
        />
        <div className="pt-6">
          <button type="submit" className="act act-main w-full" disabled={!dirty}>
            Save
          </button>
        </div>
      </form>
      <p className="pb-2">
        {drive.ratio === null
          ? 'Its linkage was never told or measured: taken as straight, and every figure below is a guess.'
          : `Its linkage multiplies the force by ${drive.ratio.toFixed(2)}.`}
      </p>
      <LinkageFrom drive={drive} press={press} house={house} onFound={(ratio) => void save({ ...press, drive: { ...drive, ratio } })} />
      <Fault of={fault} />
      {AirDriveSchema.safeParse(drive).success && <Bands drive={drive} press={press} house={house} />}
    </section>
  );
}

/** Line pressure that gives the middle of each band, on each platen and on one small hard piece. */
function Bands({ drive, press, house }: { drive: AirDrive; press: Press; house: HouseUnits }) {
  const line = (kPa: number) => formatForHouse('linePressure', kPa, house, house.linePressure === 'bar' ? 2 : 0);
  const base = press.base ?? press.platen;
  const contact = houseUnit('contactPressure', house).first;
  return (
    <>
      <h3 className="pt-4 pb-1">Line pressure for each band</h3>
      <DataTable
        look="w-full text-left"
        columns={[
          { head: 'On', cell: ({ name }) => name },
          ...PRESSURE_BANDS.map(
            (band): Column<{ name: string; mm2: number }> => ({
              head: `${band}, ${formatFigure(BAND_KPA[band].low, contact)}–${formatFigure(BAND_KPA[band].high, contact)} ${UNITS[contact].symbol}`,
              look: 'text-right',
              cell: ({ mm2 }) => <span className="figure">{line(lineForContact(drive, bandMiddle(band), mm2))}</span>,
            }),
          ),
        ]}
        rows={[
          ...platensOf(press)
            .filter((platen) => platen.id !== 'lower')
            .map((platen) => ({ name: platen.name, mm2: overlapMm2(platen, base) })),
          { name: 'one 100 mm coaster alone', mm2: COASTER_MM2 },
        ]}
        idOf={({ name }) => name}
      />
      <Crush drive={drive} press={press} house={house} />
    </>
  );
}

const CellSchema = z.object({
  lineKPa: z.number('At which line pressure was it read?').positive('At which line pressure was it read?'),
  forceN: z.number().positive('What did the load cell show?'),
});

/** The linkage from one measurement with a load cell, or with film as pressure over the platen. */
function LinkageFrom({
  drive,
  press,
  house,
  onFound,
}: {
  drive: AirDrive;
  press: Press;
  house: HouseUnits;
  onFound: (ratio: number) => void;
}) {
  const form = useDocForm<{ lineKPa: number | null; forceN: number }, z.infer<typeof CellSchema>>(CellSchema, { lineKPa: null, forceN: 0 });
  const { doc, patch, fields } = form;
  return (
    <details>
      <summary className="min-h-11 cursor-pointer py-2.5 font-semibold text-teal">Measure its linkage once</summary>
      <form
        className="grid grid-cols-4 items-start gap-x-5"
        onSubmit={form.handle(({ lineKPa, forceN }) => onFound(Math.round(ratioFrom(drive, lineKPa, forceN) * 1000) / 1000))}
      >
        <QuantityField
          label="Line pressure then"
          kind="linePressure"
          unit={house.linePressure}
          house={house}
          value={doc.lineKPa}
          min={10}
          max={1500}
          onChange={(lineKPa) => patch({ lineKPa })}
          problem={fields.lineKPa}
        />
        <NumberField
          label="Force on the load cell, N"
          value={doc.forceN}
          onChange={(forceN) => patch({ forceN })}
          problem={fields.forceN}
        />
        <p className="label col-span-1 pt-6">
          With pressure film: its kPa times {Math.round(overlapMm2(press.platen, press.base ?? press.platen) / 1000)} gives N.
        </p>
        <div className="pt-6">
          <button type="submit" className="act w-full">
            Save the linkage
          </button>
        </div>
      </form>
    </details>
  );
}

function Crush({ drive, press, house }: { drive: AirDrive; press: Press; house: HouseUnits }) {
  const lineKPa = lineForContact(drive, bandMiddle('medium'), overlapMm2(press.platen, press.base ?? press.platen));
  const contact = contactFromLine(drive, lineKPa, COASTER_MM2);
  if (contact <= CRUSH_KPA) return null;
  return (
    <p className="mt-3 border-l-4 border-brick pl-3">
      At {formatForHouse('linePressure', lineKPa, house, 0)}, medium on a garment, a lone coaster takes{' '}
      {formatForHouse('contactPressure', contact, house, 0)}: glass and stone break. Turn the line down to the last row, or press several
      together.
    </p>
  );
}
