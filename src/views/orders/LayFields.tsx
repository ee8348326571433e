/** Where a print lies on the platen, where that is said by hand: how far to the right, how far towards the operator, how turned. */
import type { Print } from '../../core/order';
import type { HouseUnits } from '../../core/units';
import { ChoiceField } from '../../ui/Field';
import { ShiftFields } from '../../ui/ShiftFields';

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
  /** Null: it is worked out. */
  onChange: (lay: Lay | null) => void;
}

export function LayFields({ print, house, problem, onChange }: LayFieldsProps) {
  const lay: Lay = print.lay ?? { xMm: 0, yMm: 0, turn: 0 };
  return (
    <details className="col-span-6" open={print.lay !== undefined}>
      <summary className="min-h-11 cursor-pointer py-2.5 font-semibold text-teal">
        Where it lies on the platen: {print.lay ? 'by hand' : 'worked out'}
      </summary>
      <div className="grid grid-cols-3 gap-x-5">
        <ShiftFields
          value={lay}
          labels={{ xMm: 'Its middle, to the right by', yMm: 'Its middle, towards you by' }}
          mostMm={1000}
          house={house}
          problem={problem}
          onChange={(shift) => onChange({ ...lay, ...shift })}
        />
        <ChoiceField
          label="The piece lies"
          value={String(lay.turn) as (typeof TURNS)[number]['value']}
          options={TURNS}
          onChange={(turn) => onChange({ ...lay, turn: Number(turn) as Lay['turn'] })}
        />
      </div>
      {print.lay && (
        <button type="button" className="act act-quiet -ml-2 underline" onClick={() => onChange(null)}>
          Let it be worked out
        </button>
      )}
    </details>
  );
}
