/** Units in one touch, and who presses. */
import { useState } from 'react';
import { HouseSchema } from '../../core/house';
import { TextField } from '../../ui/Field';
import type { Doing } from './doing';

const SETS = [
  {
    name: '°F, inches, psi',
    says: '320 °F · 3 in under the collar · 40 psi',
    units: { temperature: 'F', length: 'in', linePressure: 'psi' },
  },
  {
    name: '°C, millimetres, bar',
    says: '160 °C · 75 mm under the collar · 2.8 bar',
    units: { temperature: 'C', length: 'mm', linePressure: 'bar' },
  },
] as const;

export function UnitsStep({ house, onDone }: Doing) {
  const [initials, setInitials] = useState(house.operators.join(', '));
  const operators = initials
    .split(',')
    .map((word) => word.trim())
    .filter(Boolean);
  const checked = HouseSchema.shape.operators.safeParse(operators);
  return (
    <>
      <div className="max-w-[24rem]">
        <TextField
          label="Your initials"
          value={initials}
          onChange={setInitials}
          hint="They stand on every record. May stay empty; several with commas"
          problem={checked.success ? undefined : checked.error.issues[0]?.message}
        />
      </div>
      <div className="flex flex-wrap gap-4">
        {SETS.map(({ name, says, units }) => (
          <button
            key={name}
            type="button"
            disabled={!checked.success}
            className="act act-main min-h-20 flex-1 basis-64 flex-col py-3"
            onClick={() => void onDone({ units: { ...units }, operators })}
          >
            <span className="text-xl">{name}</span>
            <span className="text-sm font-normal">{says}</span>
          </button>
        ))}
      </div>
      <p className="pt-4">
        Others, or a mixture: <a href="/house#units">choose each under House</a>, then <Keep onKeep={() => void onDone({ operators })} />.
      </p>
    </>
  );
}

const Keep = ({ onKeep }: { onKeep: () => void }) => (
  <button type="button" className="min-h-11 border-0 bg-transparent p-0 text-teal underline" onClick={onKeep}>
    keep what stands there
  </button>
);
