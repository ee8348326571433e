/** Two lengths side by side: how far something lies across and down from where it might. */
import { type HouseUnits, houseUnit } from '../core/units';
import { QuantityField } from './QuantityField';

interface Shift {
  xMm: number;
  yMm: number;
}

interface ShiftFieldsProps {
  value: Shift;
  /** What across and down are called here. */
  labels: Record<keyof Shift, string>;
  mostMm: number;
  house: HouseUnits;
  problem?: string | undefined;
  onChange: (shift: Shift) => void;
}

export function ShiftFields({ value, labels, mostMm, house, problem, onChange }: ShiftFieldsProps) {
  return (['xMm', 'yMm'] as const).map((field) => (
    <QuantityField
      key={field}
      label={labels[field]}
      kind="length"
      unit={houseUnit('length', house).first}
      house={house}
      value={value[field]}
      min={-mostMm}
      max={mostMm}
      onChange={(mm) => mm !== null && onChange({ ...value, [field]: mm })}
      problem={field === 'xMm' ? problem : undefined}
    />
  ));
}
