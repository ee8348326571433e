/** What a transfer is like and where it may go: how it lies, base, layering, materials, art, use. */

import { COATINGS, DUTIES, FIBRE_IDS, FIBRES, SUBSTRATES } from '../../core/materials';
import { ART_KINDS, type Fitness, fitnessOn, PEELS, type Product, withFitness } from '../../core/sheet';
import { Check } from '../../ui/Check';
import { ChoiceField } from '../../ui/Field';
import type { EditorProps } from './AidEditor';
import { Cell, Part } from './Frame';

type Some = Pick<EditorProps<Product>, 'doc' | 'onChange'>;

const plain = <const T extends string>(values: readonly T[]) => values.map((value) => ({ value, text: value }));

const FITNESSES = plain(['usual', 'test piece first', 'never'] satisfies Fitness[]);

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
  ['byHand', 'Its sheet allows an iron'],
] as const;

export function Nature({ doc, onChange }: Some) {
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
      {doc.familyId === 'heat-glued-patch' && (
        <Cell span={2}>
          <ChoiceField
            label="The patch is made of"
            value={doc.madeOf ?? ''}
            options={[{ value: '', text: 'not known' }, ...FIBRE_IDS.map((value) => ({ value, text: FIBRES[value].name }))]}
            onChange={(fibre) => onChange({ madeOf: fibre || undefined })}
            hint="Its own limits hold it too"
          />
        </Cell>
      )}
      {doc.mask && doc.facing === 'face up' && (
        <Cell span={2}>
          <ChoiceField
            label="Its mask is lifted"
            value={doc.maskPeel ?? 'warm'}
            options={plain(['hot', 'warm', 'cold'])}
            onChange={(maskPeel) => onChange({ maskPeel })}
          />
        </Cell>
      )}
      <fieldset className="col-span-6 grid grid-cols-1 gap-x-4 min-[47.5rem]:grid-cols-3">
        <legend className="sr-only">What it is like</legend>
        {FLAGS.map(([flag, words]) => (
          <Check key={flag} on={doc[flag] ?? false} onChange={(on) => onChange({ [flag]: on })}>
            {words}
          </Check>
        ))}
      </fieldset>
      <Ticks
        legend="Other peels the sheet allows"
        all={PEELS.filter((peel) => peel !== 'none')}
        on={doc.otherPeels}
        onChange={(otherPeels) => onChange({ otherPeels })}
      />
    </Part>
  );
}

export function Uses({ doc, onChange }: Some) {
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
      <fieldset className="col-span-6">
        <legend className="label pb-1">What it goes on</legend>
        <div className="grid grid-cols-2 gap-x-5 min-[47.5rem]:grid-cols-3">
          {SUBSTRATES.map((on) => (
            <ChoiceField
              key={on}
              label={on}
              value={fitnessOn(doc, on)}
              options={FITNESSES}
              onChange={(fitness) => onChange(withFitness(doc, on, fitness))}
            />
          ))}
        </div>
      </fieldset>
      <Ticks
        legend="Fibres the sheet names; none ticked: it names none"
        all={FIBRE_IDS}
        words={(id) => FIBRES[id].name}
        on={doc.fibresAllowed}
        onChange={(fibresAllowed) => onChange({ fibresAllowed })}
      />
      <Ticks
        legend="Finishes its adhesive is made for"
        all={COATINGS.filter((coating) => coating !== 'none' && coating !== 'unknown')}
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
      <div className="grid grid-cols-2 gap-x-4 min-[47.5rem]:grid-cols-3">
        {all.map((value) => (
          <Check
            key={value}
            on={on.includes(value)}
            onChange={(ticked) => onChange(ticked ? [...on, value] : on.filter((candidate) => candidate !== value))}
          >
            {words(value)}
          </Check>
        ))}
      </div>
    </fieldset>
  );
}
