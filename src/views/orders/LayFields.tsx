/** Where a print lies on the platen: centred unless said; how far to the right, how far towards the operator, how turned. */
import type { Print } from '../../core/card';
import { type HouseUnits, houseUnit } from '../../core/units';
import { ChoiceField } from '../../ui/Field';
import { QuantityField } from '../../ui/QuantityField';

type Lay = NonNullable<Print['lay']>;

const TURNS = [
  { value: '0', text: 'top at the back' },
  { value: '180', text: 'top towards you' },
  { value: '90', text: 'top to the right' },
  { value: '270', text: 'top to the left' },
] as const;

interface LayFieldsProps {
  print: Pick<Print, 'lay'>;
  house: HouseUnits;
  problem: string | undefined;
  onChange: (lay: Lay) => void;
}

export function LayFields({ print, house, problem, onChange }: LayFieldsProps) {
  const lay: Lay = print.lay ?? { xMm: 0, yMm: 0, turn: 0 };
  const unit = houseUnit('length', house).first;
  return (
    <details className="col-span-6" open={print.lay !== undefined}>
      <summary className="cursor-pointer py-2 font-semibold text-teal">
        Where it lies on the platen: {print.lay ? 'shifted' : 'in the middle'}
      </summary>
      <div className="grid grid-cols-3 gap-x-5">
        {(
          [
            ['xMm', 'Its middle, to the right by'],
            ['yMm', 'Its middle, towards you by'],
          ] as const
        ).map(([field, label]) => (
          <QuantityField
            key={field}
            label={label}
            kind="length"
            unit={unit}
            house={house}
            value={lay[field]}
            min={-1000}
            max={1000}
            onChange={(value) => value !== null && onChange({ ...lay, [field]: value })}
            problem={field === 'xMm' ? problem : undefined}
          />
        ))}
        <ChoiceField
          label="The piece lies"
          value={String(lay.turn) as (typeof TURNS)[number]['value']}
          options={TURNS}
          onChange={(turn) => onChange({ ...lay, turn: Number(turn) as Lay['turn'] })}
        />
      </div>
    </details>
  );
}
