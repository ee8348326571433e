/** Where the print came to lie, measured after pressing. The record stays as it is; this is noted beside it. */
import type { Reply } from '../../contract';
import { type OffPlace, OffPlaceSchema, readOffPlace } from '../../core/log';
import { formatTape, type HouseUnits } from '../../core/units';
import { useDocForm } from '../../ui/docForm';
import { Fault } from '../../ui/Fault';
import { NumberField } from '../../ui/NumberField';
import { newId } from '../../ui/newId';
import { useOperator } from '../../ui/operator';
import { ShiftFields } from '../../ui/ShiftFields';
import { useWrite, write } from '../../ui/write';

type Pressing = Reply<'pressing'>['pressing'];

export function PlacedForm({ pressing, house }: { pressing: Pressing; house: HouseUnits }) {
  const last = pressing.amendments.filter((amendment) => amendment.field === 'placement').at(-1);
  const noted = last ? readOffPlace(last.to) : null;
  const form = useDocForm(OffPlaceSchema, noted ?? { xMm: 0, yMm: 0, turnDeg: 0 });
  const { doc, fields } = form;
  const [by] = useOperator();
  const { save, pending, fault } = useWrite((off: OffPlace) =>
    write('putPlaced', { params: { id: pressing.id, amendmentId: newId() }, body: { ...off, by } }),
  );
  return (
    <details className="rule-top mt-3 pt-2" open={noted !== null}>
      <summary className="min-h-11 cursor-pointer py-2.5 font-semibold text-teal">
        Where it came to lie{noted ? `: ${offWords(noted, house)}` : ', measured after pressing'}
      </summary>
      <form
        aria-label="Where it came to lie"
        onSubmit={form.handle(save)}
        className="grid max-w-3xl grid-cols-[1fr_1fr_1fr_auto] items-start gap-x-4 narrow:grid-cols-2"
      >
        <ShiftFields
          value={doc}
          labels={{ xMm: 'Too far right by', yMm: 'Too low by' }}
          mostMm={200}
          house={house}
          problem={fields.xMm ?? fields.yMm}
          onChange={form.patch}
        />
        <NumberField
          label="Turned clockwise by, degrees"
          value={doc.turnDeg}
          onChange={(turnDeg) => form.patch({ turnDeg })}
          problem={fields.turnDeg}
        />
        <button type="submit" className="act mt-6" disabled={pending}>
          Save its place
        </button>
      </form>
      <Fault of={fault} />
    </details>
  );
}

/** How far off in words: `1/4 in low, 2 mm right`. */
function offWords({ xMm, yMm, turnDeg }: { xMm: number; yMm: number; turnDeg: number }, house: HouseUnits): string {
  const parts = [
    ...(Math.abs(yMm) >= 0.5 ? [`${formatTape(Math.abs(yMm), house)} ${yMm > 0 ? 'low' : 'high'}`] : []),
    ...(Math.abs(xMm) >= 0.5 ? [`${formatTape(Math.abs(xMm), house)} to the ${xMm > 0 ? 'right' : 'left'}`] : []),
    ...(Math.abs(turnDeg) >= 0.1 ? [`turned ${Math.abs(turnDeg).toFixed(1)}° ${turnDeg > 0 ? 'clockwise' : 'anticlockwise'}`] : []),
  ];
  return parts.length > 0 ? parts.join(', ') : 'where it belongs';
}
