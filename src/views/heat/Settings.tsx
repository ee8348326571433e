/** The setting tried on the bench: cover, set value, time, pressure, pre-press, base and room. */
import type { BenchStack } from '../../core/advice';
import { bandOf } from '../../core/press';
import { formatQuantity, type HouseUnits, houseUnit } from '../../core/units';
import { QuantityField, type QuantityFieldProps } from '../../ui/QuantityField';
import { atSet, isCovered, takenOut, type Variant, withLayer, withPassage, withPiece } from './variant';

export function Settings({
  variant,
  stack,
  house,
  onChange,
}: {
  variant: Variant;
  stack: BenchStack;
  house: HouseUnits;
  onChange: (next: Variant, what: string) => void;
}) {
  const { passage, piece } = variant.query;
  const unit = stack.press.unit;
  const first = houseUnit('temperature', house).first;
  const fields: (Pick<QuantityFieldProps, 'label' | 'kind' | 'unit' | 'value' | 'min' | 'max'> & { taken: (value: number) => Variant })[] =
    [
      {
        label: 'Set to',
        kind: 'temperature',
        unit,
        value: variant.setC,
        min: stack.press.minC,
        max: stack.press.maxC,
        taken: (setC) => atSet(variant, stack, setC),
      },
      {
        label: 'Time',
        kind: 'duration',
        unit: 's',
        value: passage.timeS,
        min: 0.5,
        max: 3600,
        taken: (timeS) => withPassage(variant, { timeS }),
      },
      {
        label: 'Pressure',
        kind: 'contactPressure',
        unit: houseUnit('contactPressure', house).first,
        value: piece.contactKPa,
        min: 1,
        max: 200,
        taken: (contactKPa) => withPiece(variant, { contactKPa }),
      },
      {
        label: 'Pre-press',
        kind: 'duration',
        unit: 's',
        value: passage.prePressS,
        min: 0,
        max: 600,
        taken: (prePressS) => withPassage(variant, { prePressS }),
      },
      {
        label: 'Base',
        kind: 'temperature',
        unit: first,
        value: piece.baseC,
        min: -10,
        max: 250,
        taken: (baseC) => withPiece(variant, { baseC }),
      },
      {
        label: 'Room',
        kind: 'temperature',
        unit: first,
        value: piece.roomC,
        min: -10,
        max: 50,
        taken: (roomC) => withPiece(variant, { roomC }),
      },
    ];
  const { cover } = stack;
  const covered = isCovered(variant);
  return (
    <section aria-label="Setting" className="pt-3">
      <h2 className="pb-1">Setting</h2>
      {cover.asked === 'allowed' && (
        <label className="flex min-h-12 items-center gap-3">
          <input
            type="checkbox"
            className="size-6"
            checked={covered}
            onChange={() => {
              const at = piece.stack.findIndex(({ role }) => role === 'cover');
              onChange(
                covered ? takenOut(variant, at) : withLayer(variant, cover.layer),
                covered ? 'cover taken off' : 'cover laid over it',
              );
            }}
          />
          {cover.layer.name} over it
        </label>
      )}
      <div className="grid grid-cols-2 gap-x-3">
        {fields.map(({ taken, ...field }) => (
          <QuantityField
            key={field.label}
            {...field}
            house={house}
            onChange={(value) => value !== null && onChange(taken(value), `${field.label.toLowerCase()} tried`)}
          />
        ))}
      </div>
      <p className="label">Surface at this setting: {formatQuantity(bandOf(stack.press, variant.setC).midC, unit)}</p>
    </section>
  );
}
