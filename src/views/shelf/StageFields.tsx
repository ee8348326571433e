/** One stage of a sheet: its figures as written, pressure as stated beside our reading, cover and peel. */
import { COVER_KINDS, PRESSURE_BANDS } from '../../core/materials';
import { allowanceOf, allowedTemp, allowedTime, PEELS, type Product, type WrittenStage } from '../../core/sheet';
import type { HouseUnits } from '../../core/units';
import { ChoiceField, TextField } from '../../ui/Field';
import { Cell } from './Frame';
import { SheetFigure } from './SheetFigure';

const plain = <const T extends string>(values: readonly T[]) => values.map((value) => ({ value, text: value }));

interface StageFieldsProps {
  stage: WrittenStage;
  product: Pick<Product, 'familyId' | 'allowance'>;
  house: HouseUnits;
  /** Where the stage stands among the fields the server names. */
  path: string;
  fields: Record<string, string>;
  onChange: (stage: WrittenStage) => void;
}

export function StageFields({ stage, product, house, path, fields, onChange }: StageFieldsProps) {
  const patch = (part: Partial<WrittenStage>) => onChange({ ...stage, ...part });
  const allowance = allowanceOf(product);
  const where = { house, path, fields };
  const needsHeat = stage.kind === 'press' || stage.kind === 'marry';
  return (
    <>
      <Cell span={3}>
        <SheetFigure
          of="tempC"
          label="Temperature, as the sheet has it"
          value={stage.tempC}
          allowed={stage.tempC && allowedTemp(stage.tempC, allowance)}
          {...(!needsHeat && { whenEmpty: 'as the press' })}
          onChange={(tempC) => {
            const { tempC: _, ...rest } = stage;
            onChange(tempC ? { ...rest, tempC } : rest);
          }}
          {...where}
        />
      </Cell>
      <Cell span={3}>
        <SheetFigure
          of="timeS"
          label="Time, as the sheet has it"
          value={stage.timeS}
          allowed={allowedTime(stage.timeS, allowance)}
          onChange={(timeS) => timeS && patch({ timeS })}
          {...where}
        />
      </Cell>
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
        <ChoiceField
          label={stage.kind === 'finish' ? 'Its cover is pulled' : 'Peel'}
          value={stage.peel}
          options={plain(PEELS)}
          onChange={(peel) => patch({ peel })}
        />
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
