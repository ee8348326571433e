/** A cover sheet, pad or pillow: what it serves as, how worn it is, what may stand in for it. */
import type { ShelfReply } from '../../contract';
import { AID_KINDS, type Aid } from '../../core/materials';
import { Check } from '../../ui/Check';
import { ChoiceField, TextField } from '../../ui/Field';
import { NumberField } from '../../ui/NumberField';
import { Cell, Part } from './Frame';

export interface EditorProps<T> {
  doc: T;
  shelf: ShelfReply;
  fields: Record<string, string>;
  onChange: (part: Partial<T>) => void;
  /** The whole thing anew, where a change takes fields away. */
  onReplace: (doc: T) => void;
}

const WEAR = [
  { value: 'sound', text: 'sound' },
  { value: 'worn', text: 'worn: look it over before use' },
  { value: 'spent', text: 'spent: not used any more' },
] as const;

export function AidEditor({ doc, shelf, fields, onChange }: EditorProps<Aid>) {
  return (
    <Part name="Cover or pad">
      <Cell span={4}>
        <TextField label="Name" value={doc.name} onChange={(name) => onChange({ name })} problem={fields.name} autoFocus />
      </Cell>
      <Cell span={2}>
        <ChoiceField
          label="Serves as"
          value={doc.serves}
          options={AID_KINDS.map((value) => ({ value, text: value }))}
          onChange={(serves) => onChange({ serves })}
        />
      </Cell>
      <Cell span={2}>
        <NumberField
          label="Thickness under the press, mm"
          value={doc.thicknessMm}
          onChange={(thicknessMm) => onChange({ thicknessMm })}
          problem={fields.thicknessMm}
        />
      </Cell>
      <Cell span={4}>
        <ChoiceField label="Wear" value={doc.wear} options={WEAR} onChange={(wear) => onChange({ wear })} />
      </Cell>
      <Cell span={6}>
        <TextField label="Note" value={doc.note} onChange={(note) => onChange({ note })} problem={fields.note} />
      </Cell>
      <fieldset className="col-span-6">
        <legend className="label">When it is spent, these may stand in for it</legend>
        <div className="grid grid-cols-3">
          {shelf.aids
            .filter((aid) => aid.id !== doc.id)
            .map((aid) => (
              <Check
                key={aid.id}
                on={doc.substitutes.includes(aid.id)}
                onChange={(on) =>
                  onChange({ substitutes: on ? [...doc.substitutes, aid.id] : doc.substitutes.filter((id) => id !== aid.id) })
                }
              >
                {aid.name}
              </Check>
            ))}
        </div>
      </fieldset>
    </Part>
  );
}
