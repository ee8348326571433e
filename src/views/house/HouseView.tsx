/** The house: its units, its room, who works there, its choice where practice differs, and its backup. Every card follows from the next moment on. */
import { useEffect, useEffectEvent, useState } from 'react';
import { ProblemError, type Reply } from '../../contract';
import { type House, HouseSchema, SCHOOLS } from '../../core/house';
import { useDocForm } from '../../ui/docForm';
import { saysTheSame } from '../../ui/equal';
import { Fault } from '../../ui/Fault';
import { ChoiceField, TextField } from '../../ui/Field';
import { merge } from '../../ui/merge';
import { NumberField } from '../../ui/NumberField';
import { QuantityField } from '../../ui/QuantityField';
import { Island, Pending } from '../../ui/query';
import { Allowances } from './Allowances';
import { Backup } from './Backup';
import { ExampleCards } from './ExampleCards';
import { KeptSettings } from './KeptSettings';
import { Learned } from './Learned';
import { Places } from './Places';
import { ThisDevice } from './ThisDevice';
import { useHouse } from './useHouse';

export function HouseView() {
  return (
    <Island>
      <HousePage />
    </Island>
  );
}

function HousePage() {
  const { data, error, ...saving } = useHouse();
  if (!data) return <Pending error={error} what="the house rules" />;
  return <HouseForm now={data} {...saving} />;
}

/** What the address asks for is brought into sight: it was not there yet as the page was loaded. */
function showAsked(): void {
  const asked = document.getElementById(location.hash.slice(1));
  if (asked instanceof HTMLDetailsElement) asked.open = true;
  asked?.scrollIntoView({ block: 'start' });
  asked?.querySelector<HTMLElement>('input:checked, summary, input, select, button')?.focus({ preventScroll: true });
}

const options = <const T extends string>(...pairs: readonly (readonly [T, string])[]) => pairs.map(([value, text]) => ({ value, text }));

type Rule = keyof House['rules'];

type Saving = Pick<ReturnType<typeof useHouse>, 'fault' | 'pending' | 'save'>;

function HouseForm({ now, fault, pending, save }: { now: Reply<'house'> } & Saving) {
  const { house } = now;
  const form = useDocForm(HouseSchema, house);
  const { doc: draft, patch, rebase } = form;
  const [operators, setOperators] = useState(house.operators.join(', '));
  const [shown, setShown] = useState<Rule>('coverWhenAllowed');
  const fields = { ...(fault instanceof ProblemError && fault.fields), ...form.fields };
  const dirty = !saysTheSame(draft, house);
  const [from, setFrom] = useState(now);
  const take = (next: House) => {
    setFrom(now);
    rebase(house, next);
    if (!saysTheSame(next.operators, draft.operators)) setOperators(next.operators.join(', '));
  };
  const changedBeside = useEffectEvent(() => {
    // the house was changed beside this form: what is being typed stays, the rest follows. Where both changed the same, the draft
    // stays one of the house it was begun from, so that saving it is refused in words and nobody's change is undone unseen.
    const { merged, conflicts } = merge(from.house, draft, house);
    if (from !== now && conflicts.length === 0) take(merged);
  });
  useEffect(() => changedBeside(), [now]);
  useEffect(showAsked, []);
  return (
    <div className="mx-auto grid max-w-[77.5rem] grid-cols-1 gap-8 min-[72rem]:grid-cols-[minmax(0,1fr)_24rem] px-5 pt-4">
      <form onSubmit={form.handle((taken) => save(taken, 'house changed', from))} aria-label="House">
        <div className="sticky top-0 z-10 flex min-h-16 flex-wrap items-center gap-x-4 border-b border-line bg-paper">
          <h1 className="flex-1">House</h1>
          {dirty && (
            <button type="button" className="act act-quiet" onClick={() => take(house)}>
              Cancel changes
            </button>
          )}
          <button type="submit" className="act act-main" disabled={!dirty || pending}>
            Save the house
          </button>
        </div>
        <Fault of={form.refusal ?? fault} className="border-l-4 border-brick pl-3 text-brick" />
        <UnitsAndRoom draft={draft} fields={fields} onChange={patch} />
        <div id="people" className="grid scroll-mt-20 grid-cols-2 gap-x-4 min-[47.5rem]:grid-cols-[1fr_8rem_6.5rem_7.5rem_6.5rem]">
          <TextField
            label="Who presses here, initials"
            value={operators}
            onChange={(text) => {
              setOperators(text);
              patch({
                operators: text
                  .split(',')
                  .map((word) => word.trim())
                  .filter(Boolean),
              });
            }}
            problem={Object.entries(fields).find(([field]) => field.startsWith('operators'))?.[1]}
            hint="They stand on every record"
          />
          <NumberField
            label="Finger width, mm"
            value={draft.figures.fingerMm}
            onChange={(fingerMm) => patch({ figures: { ...draft.figures, fingerMm } })}
            problem={fields['figures.fingerMm']}
          />
          <NumberField
            label="Pre-press, s"
            hint="0 for none"
            value={draft.figures.prePressS}
            onChange={(prePressS) => patch({ figures: { ...draft.figures, prePressS } })}
            problem={fields['figures.prePressS']}
          />
          <NumberField
            label="Second press, s"
            value={draft.figures.finishS}
            onChange={(finishS) => patch({ figures: { ...draft.figures, finishS } })}
            problem={fields['figures.finishS']}
          />
          <QuantityField
            label="The bump"
            kind="temperatureDifference"
            unit={draft.units.temperature === 'F' ? 'dF' : 'dC'}
            house={draft.units}
            decimals={1}
            value={draft.figures.bumpK}
            onChange={(bumpK) => bumpK !== null && patch({ figures: { ...draft.figures, bumpK } })}
            min={0}
            max={20}
            problem={fields['figures.bumpK']}
          />
        </div>
        <Allowances
          house={draft}
          fields={fields}
          onChange={(allowances) => {
            const { allowances: _, ...figures } = draft.figures;
            patch({ figures: { ...figures, ...(allowances && { allowances }) } });
          }}
        />
        <h2 className="rule-top pt-3 pb-1">Where practice differs, the house picks. A sheet’s own word always comes first.</h2>
        {SCHOOLS.map(({ rule, question, answers }) => (
          <fieldset
            key={rule}
            id={`rule-${rule}`}
            className={`scroll-mt-20 rule-top grid grid-cols-1 gap-x-4 py-1 min-[47.5rem]:grid-cols-[12rem_1fr] ${shown === rule ? 'bg-sheet' : ''}`}
            onFocus={() => setShown(rule)}
          >
            <legend className="sr-only">{question}</legend>
            <span className="py-3 pl-2 font-semibold">{question}</span>
            <div>
              {answers.map(({ value, text, changes }) => (
                <label key={value} className="flex min-h-12 items-start gap-3 py-1.5">
                  <input
                    type="radio"
                    name={rule}
                    className="mt-1 size-5 shrink-0 accent-teal"
                    checked={draft.rules[rule] === value}
                    onChange={() => patch({ rules: { ...draft.rules, [rule]: value } })}
                  />
                  <span>
                    {text}
                    <span className="label block">{changes}</span>
                  </span>
                </label>
              ))}
            </div>
          </fieldset>
        ))}
        <Places draft={draft} fields={fields} onChange={(places) => patch({ places })} />
      </form>
      <aside className="sticky top-4 self-start min-[72rem]:max-h-[calc(100vh-7rem)] min-[72rem]:overflow-auto">
        <ThisDevice />
        <ExampleCards rule={shown} house={draft} />
        <Backup />
        <KeptSettings />
        <Learned />
      </aside>
    </div>
  );
}

interface UnitsProps {
  draft: House;
  fields: Record<string, string>;
  onChange: (part: Partial<House>) => void;
}

function UnitsAndRoom({ draft, fields, onChange }: UnitsProps) {
  const { units, room } = draft;
  return (
    <div id="units" className="grid scroll-mt-20 grid-cols-2 gap-x-4 pt-3 min-[47.5rem]:grid-cols-5">
      <ChoiceField
        label="Temperature"
        value={units.temperature}
        onChange={(temperature) => onChange({ units: { ...units, temperature } })}
        options={options(['F', '°F'], ['C', '°C'])}
      />
      <ChoiceField
        label="Length"
        value={units.length}
        onChange={(length) => onChange({ units: { ...units, length } })}
        options={options(['in', 'inches'], ['mm', 'mm'])}
      />
      <ChoiceField
        label="Pressure"
        value={units.linePressure}
        onChange={(linePressure) => onChange({ units: { ...units, linePressure } })}
        options={options(['psi', 'psi'], ['bar', 'bar and kPa'])}
      />
      <QuantityField
        label="Room today"
        kind="temperature"
        unit={units.temperature}
        house={units}
        value={room.tempC}
        onChange={(tempC) => tempC !== null && onChange({ room: { ...room, tempC } })}
        min={-5}
        max={50}
        usual={{ low: 5, high: 45 }}
        problem={fields['room.tempC']}
      />
      <NumberField
        label="Humidity, %"
        whole
        value={room.humidityPercent}
        onChange={(humidityPercent) => onChange({ room: { ...room, humidityPercent } })}
        problem={fields['room.humidityPercent']}
      />
    </div>
  );
}
