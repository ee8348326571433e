/** A transfer as its supplier's sheet has it: stages, settings by group, how it lies, where it may go. */
import { useState } from 'react';
import {
  ART_KINDS,
  COATINGS,
  DUTIES,
  FAMILIES,
  FAMILY_IDS,
  FIBRE_IDS,
  FIBRES,
  PEELS,
  type Product,
  pressStage,
  productFromFamily,
  STAGE_KINDS,
  SUBSTRATES,
} from '../../core/materials';
import { Check } from '../../ui/Check';
import { ChoiceField, TextField } from '../../ui/Field';
import { useUnits } from '../../ui/house';
import { NumberField } from '../../ui/NumberField';
import type { EditorProps } from './AidEditor';
import { Cell, Part } from './Frame';
import { Alternatives, Overrides } from './OverrideFields';
import { StageFields } from './StageFields';

const plain = <const T extends string>(values: readonly T[]) => values.map((value) => ({ value, text: value }));

export function ProductEditor({ doc, fields, onChange, onReplace }: EditorProps<Product>) {
  const house = useUnits();
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
                {revision.source.sheet}, <span className="figure">{revision.source.on}</span>
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
  const stage = doc.stages[index] ?? doc.stages.find((one) => one.kind === 'press');
  const faulty = (i: number) => Object.keys(fields).some((field) => field.startsWith(`stages.${i}.`));
  const add = (kind: (typeof STAGE_KINDS)[number]) => {
    const like = FAMILIES[doc.familyId].stages.find((one) => one.kind === kind);
    const fresh = like
      ? productFromFamily(FAMILIES[doc.familyId], doc.source.on).stages.find((one) => one.kind === kind)
      : { ...pressStage(doc), kind };
    if (!fresh) return;
    onChange({ stages: [...doc.stages, fresh].sort((a, b) => STAGE_KINDS.indexOf(a.kind) - STAGE_KINDS.indexOf(b.kind)) });
    setAt(kind);
  };
  return (
    <Part name="Stages" hint="Each with its window at the platen’s surface.">
      <div className="col-span-6 flex flex-wrap items-center gap-1">
        {doc.stages.map((one, i) => (
          <button
            key={one.kind}
            type="button"
            aria-pressed={one.kind === stage?.kind}
            onClick={() => setAt(one.kind)}
            className={`min-h-12 border-b-4 px-3 ${one.kind === stage?.kind ? 'border-teal font-bold' : 'border-transparent'} ${faulty(i) ? 'text-brick' : ''}`}
          >
            {one.kind}
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
            onClick={() => onChange({ stages: doc.stages.filter((one) => one.kind !== stage.kind) })}
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
          house={house}
          path={`stages.${doc.stages.indexOf(stage)}`}
          fields={fields}
          onChange={(changed) => onChange({ stages: doc.stages.map((one) => (one.kind === changed.kind ? changed : one)) })}
        />
      )}
    </Part>
  );
}

const FLAGS = [
  ['stretches', 'Stretches with the cloth'],
  ['bridgesSeams', 'Bridges seams'],
  ['static', 'Its carrier is charged (static)'],
  ['mask', 'Loose parts need a mask'],
  ['rub', 'Rubbed down while hot'],
  ['trialFirst', 'Tried on scrap first'],
  ['embossBase', 'Base layer for embossing'],
  ['timeByMass', 'Time grows with the blank’s heat'],
  ['passesMark', 'Made to pass the mark limit'],
] as const;

function Nature({ doc, onChange }: Some) {
  return (
    <Part name="How it lies">
      <Cell span={2}>
        <ChoiceField
          label="Laid"
          value={doc.facing}
          options={plain(['face down', 'face up'])}
          onChange={(facing) => onChange({ facing })}
        />
      </Cell>
      <Cell span={2}>
        <ChoiceField
          label="Mirrored"
          value={doc.mirroring}
          options={plain(['in the art', 'by the supplier', 'by the printer path'])}
          onChange={(mirroring) => onChange({ mirroring })}
        />
      </Cell>
      <Cell span={2}>
        <ChoiceField
          label="Carrier"
          value={doc.carrier}
          options={plain(['film', 'paper', 'none'])}
          onChange={(carrier) => onChange({ carrier })}
        />
      </Cell>
      <Cell span={2}>
        <ChoiceField label="Base" value={doc.base} options={plain(['any', 'firm'])} onChange={(base) => onChange({ base })} />
      </Cell>
      <Cell span={2}>
        <ChoiceField
          label="Pad"
          value={doc.pad}
          options={plain(['none', 'felt under', 'soft pad over', 'foam over', 'foam behind'])}
          onChange={(pad) => onChange({ pad })}
        />
      </Cell>
      <Cell span={2}>
        <ChoiceField
          label="Layering"
          value={doc.layer}
          options={plain(['any', 'top only', 'alone'])}
          onChange={(layer) => onChange({ layer })}
        />
      </Cell>
      <Cell span={2}>
        <ChoiceField
          label="Trimmed"
          value={doc.trim}
          options={plain(['nothing', 'rim', 'carrier', 'two-up'])}
          onChange={(trim) => onChange({ trim })}
        />
      </Cell>
      <fieldset className="col-span-6 grid grid-cols-3 gap-x-4">
        <legend className="sr-only">What it is like</legend>
        {FLAGS.map(([flag, words]) => (
          <Check key={flag} on={doc[flag]} onChange={(on) => onChange({ [flag]: on })}>
            {words}
          </Check>
        ))}
      </fieldset>
      <Ticks legend="Other peels the sheet allows" all={PEELS} on={doc.otherPeels} onChange={(otherPeels) => onChange({ otherPeels })} />
    </Part>
  );
}

function Uses({ doc, onChange }: Some) {
  return (
    <Part name="Where it may go">
      <Cell span={2}>
        <ChoiceField
          label="Shows on"
          value={doc.shades}
          options={[
            { value: 'any', text: 'any colour' },
            { value: 'light', text: 'light only' },
            { value: 'dark', text: 'dark only' },
          ]}
          onChange={(shades) => onChange({ shades })}
        />
      </Cell>
      <span className="col-span-4" />
      <Ticks legend="Materials" all={SUBSTRATES} on={doc.substrates} onChange={(substrates) => onChange({ substrates })} />
      <Ticks
        legend="Fibres the sheet names; none ticked: it names none"
        all={FIBRE_IDS}
        words={(id) => FIBRES[id].name}
        on={doc.fibresAllowed}
        onChange={(fibresAllowed) => onChange({ fibresAllowed })}
      />
      <Ticks
        legend="Finishes its adhesive is made for"
        all={COATINGS.filter((one) => one !== 'none' && one !== 'unknown')}
        on={doc.madeFor}
        onChange={(madeFor) => onChange({ madeFor })}
      />
      <Ticks legend="Art it does well" all={ART_KINDS} on={doc.artKinds} onChange={(artKinds) => onChange({ artKinds })} />
      <Ticks legend="What it may be used for" all={DUTIES} on={doc.duties} onChange={(duties) => onChange({ duties })} />
    </Part>
  );
}

interface TicksProps<T extends string> {
  legend: string;
  all: readonly T[];
  on: readonly T[];
  words?: (value: T) => string;
  onChange: (on: T[]) => void;
}

function Ticks<T extends string>({ legend, all, on, words = String, onChange }: TicksProps<T>) {
  return (
    <fieldset className="col-span-6 pt-1">
      <legend className="label">{legend}</legend>
      <div className="grid grid-cols-3 gap-x-4">
        {all.map((value) => (
          <Check
            key={value}
            on={on.includes(value)}
            onChange={(ticked) => onChange(ticked ? [...on, value] : on.filter((one) => one !== value))}
          >
            {words(value)}
          </Check>
        ))}
      </div>
    </fieldset>
  );
}
