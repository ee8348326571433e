/** A transfer as its supplier's sheet has it: stages, settings by group, how it lies, where it may go. */

import { useState } from 'react';
import { allowanceOf, FAMILIES, FAMILY_IDS, type Product, productFromFamily, STAGE_KINDS, writtenPress } from '../../core/sheet';
import { houseUnit, WIDTH_AND_HEIGHT } from '../../core/units';
import { AllowanceFields } from '../../ui/AllowanceFields';
import { isoDayText } from '../../ui/days';
import { ChoiceField, TextField } from '../../ui/Field';
import { useUnits } from '../../ui/house';
import { NumberField } from '../../ui/NumberField';
import { QuantityField } from '../../ui/QuantityField';
import { useRoute } from '../../ui/query';
import type { EditorProps } from './AidEditor';
import { Cell, Part } from './Frame';
import { Alternatives, Overrides } from './OverrideFields';
import { Nature, Uses } from './ProductNature';
import { StageFields } from './StageFields';

/** A sheet with one side typed: square until the other is; without either there is none. */
function sheetAfter(before: Product['sheetSize'], side: 'widthMm' | 'heightMm', value: number | null): Product['sheetSize'] {
  return value === null ? undefined : { widthMm: value, heightMm: value, ...before, [side]: value };
}

export function ProductEditor({ doc, fields, onChange, onReplace }: EditorProps<Product>) {
  const house = useUnits();
  const rules = useRoute('house', {}).data?.house;
  const more = { doc, house, fields, onChange };
  return (
    <>
      <Part name="Sheet">
        <Cell span={3}>
          <TextField label="Name" value={doc.name} onChange={(name) => onChange({ name })} problem={fields.name} autoFocus />
        </Cell>
        <Cell span={3}>
          <TextField label="Maker" value={doc.maker} onChange={(maker) => onChange({ maker })} problem={fields.maker} />
        </Cell>
        <Cell span={2}>
          <ChoiceField
            label="Family"
            value={doc.familyId}
            options={FAMILY_IDS.map((value) => ({ value, text: FAMILIES[value].name }))}
            onChange={(familyId) =>
              onReplace({
                ...productFromFamily(FAMILIES[familyId], doc.source.on),
                id: doc.id,
                name: doc.name,
                maker: doc.maker,
                source: doc.source,
                earlier: doc.earlier,
              })
            }
            hint="Another family brings its own figures"
          />
        </Cell>
        <Cell span={2}>
          <TextField
            label="Which sheet"
            value={doc.source.sheet}
            onChange={(sheet) => onChange({ source: { ...doc.source, sheet } })}
            problem={fields['source.sheet']}
          />
        </Cell>
        <Cell span={2}>
          <TextField
            label="Dated"
            type="date"
            value={doc.source.on}
            onChange={(on) => onChange({ source: { ...doc.source, on } })}
            problem={fields['source.on']}
            hint="A newer date keeps the old sheet"
          />
        </Cell>
      </Part>
      <Stages {...more} />
      <Part name="Round a single figure" hint="How far a card may go from it; ours, not the supplier’s.">
        <div className="col-span-6">
          <AllowanceFields
            value={doc.allowance}
            usual={allowanceOf({ familyId: doc.familyId }, rules?.figures.allowances)}
            asUsual={`as every ${FAMILIES[doc.familyId].name}`}
            house={house}
            problems={{ tempK: fields['allowance.tempK'], timePercent: fields['allowance.timePercent'] }}
            onChange={(allowance) => onChange({ allowance })}
          />
        </div>
      </Part>
      <Overrides {...more} />
      <Alternatives {...more} />
      <Nature doc={doc} onChange={onChange} />
      <Uses doc={doc} onChange={onChange} />
      <Part name="Care and cost">
        <Cell span={6}>
          <TextField label="Care, handed over with it" value={doc.care} onChange={(care) => onChange({ care })} problem={fields.care} />
        </Cell>
        <Cell span={2}>
          <NumberField
            label="Price of a sheet, in hundredths"
            whole
            value={doc.pricePerSheetMinor}
            onChange={(pricePerSheetMinor) => onChange({ pricePerSheetMinor })}
            problem={fields.pricePerSheetMinor}
          />
        </Cell>
        {WIDTH_AND_HEIGHT.map((side) => (
          <Cell key={side} span={1}>
            <QuantityField
              label={side === 'widthMm' ? 'Sheet width' : 'Sheet length'}
              kind="length"
              unit={houseUnit('length', house).first}
              house={house}
              value={doc.sheetSize?.[side] ?? null}
              onChange={(value) => onChange({ sheetSize: sheetAfter(doc.sheetSize, side, value) })}
              problem={fields[`sheetSize.${side}`]}
            />
          </Cell>
        ))}
        <Cell span={2}>
          <NumberField
            label="Minutes to make one ready"
            value={doc.minutesToMake}
            onChange={(minutesToMake) => onChange({ minutesToMake })}
            problem={fields.minutesToMake}
          />
        </Cell>
        <Cell span={2}>
          <NumberField
            label="Thickness on the blank, mm"
            value={doc.filmMm}
            onChange={(filmMm) => onChange({ filmMm })}
            problem={fields.filmMm}
          />
        </Cell>
      </Part>
      {doc.earlier.length > 0 && (
        <Part name="Earlier sheets">
          <ul className="col-span-6">
            {doc.earlier.map((revision) => (
              <li key={revision.source.on}>
                {revision.source.sheet}, <span className="figure">{isoDayText(revision.source.on)}</span>
              </li>
            ))}
          </ul>
        </Part>
      )}
    </>
  );
}

type Some = Pick<EditorProps<Product>, 'doc' | 'onChange'>;

function Stages({ doc, house, fields, onChange }: Some & { house: ReturnType<typeof useUnits>; fields: Record<string, string> }) {
  const [at, setAt] = useState<string>('press');
  const missing = STAGE_KINDS.filter((kind) => !doc.stages.some((stage) => stage.kind === kind));
  const index = doc.stages.findIndex((stage) => stage.kind === at);
  const stage = doc.stages[index] ?? doc.stages.find((stage) => stage.kind === 'press');
  const faulty = (i: number) => Object.keys(fields).some((field) => field.startsWith(`stages.${i}.`));
  const add = (kind: (typeof STAGE_KINDS)[number]) => {
    const like = FAMILIES[doc.familyId].stages.find((stage) => stage.kind === kind);
    const fresh = like
      ? productFromFamily(FAMILIES[doc.familyId], doc.source.on).stages.find((stage) => stage.kind === kind)
      : { ...writtenPress(doc), kind };
    if (!fresh) return;
    onChange({ stages: [...doc.stages, fresh].sort((a, b) => STAGE_KINDS.indexOf(a.kind) - STAGE_KINDS.indexOf(b.kind)) });
    setAt(kind);
  };
  return (
    <Part
      name="Stages"
      hint={`Figures as the sheet writes them, at the platen’s surface: ${house.temperature === 'F' ? '320, 320 ± 9, 311–329, or 311–329, start 320' : '160, 160 ± 5, 155–165, or 155–165, start 160'}.`}
    >
      <div className="col-span-6 flex flex-wrap items-center gap-1">
        {doc.stages.map((otherStage, i) => (
          <button
            key={otherStage.kind}
            type="button"
            aria-pressed={otherStage.kind === stage?.kind}
            onClick={() => setAt(otherStage.kind)}
            className={`min-h-12 border-b-4 px-3 ${otherStage.kind === stage?.kind ? 'border-teal font-bold' : 'border-transparent'} ${faulty(i) ? 'text-brick' : ''}`}
          >
            {otherStage.kind}
          </button>
        ))}
        {missing.map((kind) => (
          <button key={kind} type="button" className="act act-quiet font-normal" onClick={() => add(kind)}>
            + {kind}
          </button>
        ))}
        {stage && stage.kind !== 'press' && (
          <button
            type="button"
            className="act act-quiet font-normal"
            onClick={() => onChange({ stages: doc.stages.filter((otherStage) => otherStage.kind !== stage.kind) })}
          >
            Take the {stage.kind} out
          </button>
        )}
      </div>
      {fields.stages && (
        <p role="alert" className="col-span-6 text-brick">
          {fields.stages}
        </p>
      )}
      {stage && (
        <StageFields
          key={stage.kind}
          stage={stage}
          product={doc}
          house={house}
          path={`stages.${doc.stages.indexOf(stage)}`}
          fields={fields}
          onChange={(changed) => onChange({ stages: doc.stages.map((stage) => (stage.kind === changed.kind ? changed : stage)) })}
        />
      )}
    </Part>
  );
}
