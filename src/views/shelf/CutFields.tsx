/** The cut of a blank: up to six measures with a tape, each shown on a drawing; other sizes follow by their grade. */
import { useState } from 'react';
import { type Blank, contradictions, cutOf, MEASURES, type Measures, NECKS, shapeOf } from '../../core/materials';
import { houseUnit } from '../../core/units';
import { ChoiceField } from '../../ui/Field';
import { useUnits } from '../../ui/house';
import { QuantityField } from '../../ui/QuantityField';
import { CutDrawing } from './CutDrawing';
import { Part } from './Frame';

interface CutFieldsProps {
  doc: Blank;
  fields: Record<string, string>;
  onChange: (change: Partial<Blank>) => void;
  onReplace: (doc: Blank) => void;
}

/** `frontDrop` as `Front drop`. */
const spaced = (name: string): string => {
  const words = name.replaceAll(/([A-Z])/g, ' $1').toLowerCase();
  return words.charAt(0).toUpperCase() + words.slice(1);
};

export function CutFields({ doc, fields, onChange, onReplace }: CutFieldsProps) {
  const house = useUnits();
  const unit = houseUnit('length', house).first;
  const [shown, setShown] = useState<string | null>(null);
  const shape = shapeOf(doc);
  const cut = cutOf(doc);
  const faults = contradictions(shape, cut.measures);
  const set = (measures: Measures) =>
    onChange({
      cut: { ...cut, size: doc.cut ? cut.size : (doc.sizes.find((size) => size === cut.size) ?? doc.sizes[0] ?? cut.size), measures },
    });
  const names = Object.entries(MEASURES[shape] as Record<string, string>);
  return (
    <Part name="Measures" hint={doc.cut ? `Of size ${cut.size}; the others follow by grade.` : 'The usual ones, until you lay a tape.'}>
      <div className="col-span-4 grid grid-cols-2 content-start gap-x-5">
        {names.map(([name, how]) => (
          // biome-ignore lint/a11y/noStaticElementInteractions: focus is only watched here, the field itself is the control
          <div key={name} onFocus={() => setShown(name)}>
            <QuantityField
              label={`${spaced(name)}: ${how}`}
              kind="length"
              unit={unit}
              house={house}
              decimals={unit === 'in' ? 2 : 0}
              value={cut.measures[name] ?? 0}
              min={0}
              max={3000}
              onChange={(mm) => mm !== null && set({ ...cut.measures, [name]: mm })}
              problem={fields[`cut.measures.${name}`] ?? (doc.cut ? faults.find((fault) => fault.measure === name)?.message : undefined)}
            />
          </div>
        ))}
        {shape === 'body' && (
          <ChoiceField
            label="Neck"
            value={cut.neck ?? 'round'}
            options={NECKS.map((value) => ({ value, text: value === 'adjustable' ? 'drawn to fit' : value }))}
            onChange={(neck) => onChange({ cut: { ...cut, neck } })}
          />
        )}
      </div>
      <div className="col-span-2">
        <CutDrawing doc={doc} shown={shown} faulty={faults.length > 0} />
        {doc.cut && (
          <button
            type="button"
            className="act act-quiet underline"
            onClick={() => {
              const { cut: _, ...rest } = doc;
              onReplace(rest);
            }}
          >
            The usual measures again
          </button>
        )}
      </div>
    </Part>
  );
}
