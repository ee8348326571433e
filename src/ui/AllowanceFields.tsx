/** How far a product may be from a single figure of its sheet: in degrees and per cent, or as it usually is. */
import type { Allowance } from '../core/sheet';
import type { HouseUnits } from '../core/units';
import { NumberField } from './NumberField';
import { QuantityField } from './QuantityField';

interface AllowanceFieldsProps {
  /** Undefined: as usual. */
  value: Allowance | undefined;
  usual: Allowance;
  /** Whose the usual one is: `as its family`. */
  asUsual: string;
  house: HouseUnits;
  /** What the server said, by field. */
  problems: { tempK?: string | undefined; timePercent?: string | undefined };
  onChange: (allowance: Allowance | undefined) => void;
}

export function AllowanceFields({ value, usual, asUsual, house, problems, onChange }: AllowanceFieldsProps) {
  const now = value ?? usual;
  return (
    <div className="grid grid-cols-2 items-start gap-x-4 min-[47.5rem]:grid-cols-[8rem_8rem_1fr]">
      <QuantityField
        label="Temperature, ±"
        kind="temperatureDifference"
        unit={house.temperature === 'F' ? 'dF' : 'dC'}
        house={house}
        value={now.tempK}
        min={1}
        max={25}
        onChange={(tempK) => tempK !== null && tempK !== now.tempK && onChange({ ...now, tempK })}
        problem={problems.tempK}
      />
      <NumberField
        label="Time, ± %"
        value={now.timePercent}
        onChange={(timePercent) => timePercent !== now.timePercent && onChange({ ...now, timePercent })}
        problem={problems.timePercent}
      />
      {value ? (
        <button type="button" className="act act-quiet mt-6 justify-self-start underline" onClick={() => onChange(undefined)}>
          Back: {asUsual}
        </button>
      ) : (
        <span className="label mt-9">{asUsual}</span>
      )}
    </div>
  );
}
