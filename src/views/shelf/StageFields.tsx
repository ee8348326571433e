/** One stage of a sheet: window and nominal, pressure as stated beside our reading, cover and peel. */
import { COVER_KINDS, PRESSURE_BANDS } from '../../core/materials';
import { PEELS, type SheetStage } from '../../core/sheet';
import type { HouseUnits } from '../../core/units';
import { ChoiceField, TextField } from '../../ui/Field';
import { QuantityField } from '../../ui/QuantityField';
import { Cell } from './Frame';

const plain = <const T extends string>(values: readonly T[]) => values.map((value) => ({ value, text: value }));

interface StageFieldsProps {
  stage: SheetStage;
  house: HouseUnits;
  /** Where the stage stands among the fields the server names. */
  path: string;
  fields: Record<string, string>;
  onChange: (stage: SheetStage) => void;
}

export function StageFields({ stage, house, path, fields, onChange }: StageFieldsProps) {
  const patch = (part: Partial<SheetStage>) => onChange({ ...stage, ...part });
  const unit = house.temperature;
  const ranges = [
    ['tempC', 'temperature', unit, 60, 260],
    ['timeS', 'duration', 's', 1, 3600],
  ] as const;
  return (
    <>
      {ranges.map(([field, kind, shown, min, max]) =>
        (['min', 'max', 'nominal'] as const).map((end) => (
          <Cell key={`${field} ${end}`} span={2}>
            <QuantityField
              label={`${field === 'tempC' ? 'Temperature' : 'Time'}, ${end === 'min' ? 'from' : end === 'max' ? 'to' : 'nominal'}`}
              kind={kind}
              unit={shown}
              house={house}
              value={stage[field][end] ?? null}
              onChange={(value) => {
                const { nominal: _, ...range } = stage[field];
                if (value === null) {
                  if (end === 'nominal') patch({ [field]: range });
                } else patch({ [field]: { ...stage[field], [end]: value } });
              }}
              min={min}
              max={max}
              problem={fields[`${path}.${field}.${end}`]}
            />
          </Cell>
        )),
      )}
      <Cell span={2}>
        <TextField
          label="Pressure, as the sheet says it"
          value={stage.pressure.asStated}
          onChange={(asStated) => patch({ pressure: { ...stage.pressure, asStated } })}
          problem={fields[`${path}.pressure.asStated`]}
        />
      </Cell>
      <Cell span={2}>
        <ChoiceField
          label="which we read as"
          value={stage.pressure.band}
          options={plain(PRESSURE_BANDS)}
          onChange={(band) => patch({ pressure: { ...stage.pressure, band } })}
        />
      </Cell>
      <Cell span={2}>
        <ChoiceField label="Peel" value={stage.peel} options={plain(PEELS)} onChange={(peel) => patch({ peel })} />
      </Cell>
      <Cell span={2}>
        <ChoiceField
          label="Cover"
          value={stage.cover}
          options={plain(['required', 'allowed', 'avoid'])}
          onChange={(cover) => patch({ cover })}
        />
      </Cell>
      <Cell span={2}>
        <ChoiceField label="of" value={stage.coverKind} options={plain(COVER_KINDS)} onChange={(coverKind) => patch({ coverKind })} />
      </Cell>
      <Cell span={2}>
        <ChoiceField
          label="Timer"
          value={String(stage.timer)}
          options={plain(['1', '2'])}
          onChange={(timer) => patch({ timer: timer === '2' ? 2 : 1 })}
        />
      </Cell>
    </>
  );
}
