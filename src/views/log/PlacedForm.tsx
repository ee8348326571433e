/** Where the print came to lie, measured after pressing. The record stays as it is; this is noted beside it. */
import { useState } from 'react';
import type { Reply } from '../../contract';
import { readOffPlace } from '../../core/log';
import { formatTape, type HouseUnits } from '../../core/units';
import { Fault } from '../../ui/Fault';
import { NumberField } from '../../ui/NumberField';
import { newId } from '../../ui/newId';
import { useOperator } from '../../ui/operator';
import { ShiftFields } from '../../ui/ShiftFields';
import { useWrite, write } from '../../ui/write';

type Pressing = Reply<'pressing'>['pressing'];

export function PlacedForm({ pressing, house }: { pressing: Pressing; house: HouseUnits }) {
  const last = pressing.amendments.filter((one) => one.field === 'placement').at(-1);
  const noted = last ? readOffPlace(last.to) : null;
  const [off, setOff] = useState(noted ?? { xMm: 0, yMm: 0, turnDeg: 0 });
  const [by] = useOperator();
  const { save, pending, fault } = useWrite(() =>
    write('putPlaced', { params: { id: pressing.id, amendmentId: newId() }, body: { ...off, by } }),
  );
  return (
    <details className="rule-top mt-3 pt-2" open={noted !== null}>
      <summary className="cursor-pointer py-2 font-semibold text-teal">
        Where it came to lie{noted ? `: ${offWords(noted, house)}` : ', measured after pressing'}
      </summary>
      <div className="grid max-w-3xl grid-cols-[1fr_1fr_1fr_auto] items-start gap-x-4">
        <ShiftFields
          value={off}
          labels={{ xMm: 'Too far right by', yMm: 'Too low by' }}
          mostMm={200}
          house={house}
          onChange={(shift) => setOff({ ...off, ...shift })}
        />
        <NumberField label="Turned clockwise by, degrees" value={off.turnDeg} onChange={(turnDeg) => setOff({ ...off, turnDeg })} />
        <button type="button" className="act mt-6" disabled={pending} onClick={() => void save()}>
          Note it
        </button>
      </div>
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
