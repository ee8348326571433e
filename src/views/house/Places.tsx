/** Position rules as this house has them: how far from which line, over the sizes, and how wide at most. */
import type { House } from '../../core/house';
import { POSITIONS, type Position } from '../../core/materials';
import { ruleOf } from '../../core/placement';
import { houseUnit } from '../../core/units';
import { QuantityField } from '../../ui/QuantityField';

interface PlacesProps {
  draft: House;
  fields: Record<string, string>;
  onChange: (places: House['places']) => void;
}

/** Positions that are measured from a line; the rest are centred, or by a share of the height. */
const MEASURED = POSITIONS.filter((position) => ruleOf(position).offsetMm.max > 0);

export function Places({ draft, fields, onChange }: PlacesProps) {
  const places = draft.places ?? {};
  const changed = Object.keys(places).length;
  const set = (position: Position, change: NonNullable<House['places']>[Position]) =>
    onChange({ ...places, [position]: { ...places[position], ...change } });
  return (
    <details id="places" className="rule-top mt-2 scroll-mt-20 py-2" open={changed > 0}>
      <summary className="min-h-11 cursor-pointer py-2.5 font-semibold text-teal">
        Where prints go
        {changed > 0 ? `: ${changed === 1 ? 'one position is' : `${changed} positions are`} the house’s own` : ': the usual rules'}
      </summary>
      {MEASURED.map((position) => (
        <PlaceRow
          key={position}
          position={position}
          draft={draft}
          fields={fields}
          onSet={(change) => set(position, change)}
          onDrop={() => {
            const { [position]: _, ...rest } = places;
            onChange(rest);
          }}
        />
      ))}
    </details>
  );
}

interface RowProps {
  position: Position;
  draft: House;
  fields: Record<string, string>;
  onSet: (change: NonNullable<House['places']>[Position]) => void;
  onDrop: () => void;
}

function PlaceRow({ position, draft, fields, onSet, onDrop }: RowProps) {
  const rule = ruleOf(position, draft.places);
  const unit = houseUnit('length', draft.units).first;
  const field = (label: string, value: number, path: string, onChange: (mm: number) => void) => (
    <QuantityField
      label={label}
      kind="length"
      unit={unit}
      house={draft.units}
      value={value}
      min={0}
      max={600}
      onChange={(mm) => mm !== null && onChange(mm)}
      problem={fields[`places.${position}.${path}`]}
    />
  );
  return (
    <fieldset className="rule-top m-0 grid grid-cols-[12rem_1fr_1fr_7rem] items-start gap-x-4 narrow:grid-cols-2 narrow:*:first:col-span-2 border-x-0 border-b-0 p-0 pt-2">
      <legend className="sr-only">{position}</legend>
      <span className="py-3 pl-2 leading-tight font-semibold">
        {position}
        <span className="label block font-normal">from the {rule.anchor}</span>
      </span>
      {field('Smallest size', rule.offsetMm.min, 'offsetMm.min', (min) => onSet({ offsetMm: { ...rule.offsetMm, min } }))}
      {field('Largest size', rule.offsetMm.max, 'offsetMm.max', (max) => onSet({ offsetMm: { ...rule.offsetMm, max } }))}
      {draft.places?.[position] && (
        <button type="button" className="act act-quiet mt-6 underline" onClick={onDrop}>
          As usual
        </button>
      )}
    </fieldset>
  );
}
