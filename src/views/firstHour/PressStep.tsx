/** The press: picked by its kind, with the few facts a card wants of it. The rest is at Presses. */
import { useState } from 'react';
import { ProblemError } from '../../contract';
import { newPress, PRESS_KINDS, type Press, type PressKind, PressSchema } from '../../core/press';
import { houseUnit } from '../../core/units';
import { Drawing, type DrawingName } from '../../ui/Drawing';
import { useDocForm } from '../../ui/docForm';
import { Fault } from '../../ui/Fault';
import { ChoiceField, TextField } from '../../ui/Field';
import { newId } from '../../ui/newId';
import { QuantityField } from '../../ui/QuantityField';
import { useRoute } from '../../ui/query';
import { useSavePress } from '../presses/useSavePress';
import type { Doing } from './doing';

const KINDS: Record<PressKind, string> = {
  clamshell: 'opens on a hinge, like a mouth',
  'swing-away': 'the top swings to the side',
  draw: 'the base pulls out to you',
  cap: 'curved, for caps',
  'hand press': 'held in the hand',
  iron: 'a household iron',
};
const GAUGES = [
  { value: 'none', text: 'a knob, no figures' },
  { value: 'dial', text: 'a dial or display, 0 to 10' },
  { value: 'air', text: 'an air gauge' },
] as const;

export function PressStep({ house, onNext }: Doing) {
  const there = useRoute('presses', {}).data?.presses.filter(({ press }) => !press.retiredOn) ?? [];
  const [press, setPress] = useState<Press | null>(null);
  return (
    <>
      {there.length > 0 && (
        <p className="pb-3">
          There already: {there.map(({ press }) => press.name).join(', ')}.{' '}
          <button type="button" className="act" onClick={onNext}>
            Go on with {there.length === 1 ? 'it' : 'them'}
          </button>
        </p>
      )}
      <fieldset>
        <legend className="label pb-1">Which is like yours?</legend>
        <div className="grid grid-cols-3 gap-3 narrow:grid-cols-2">
          {PRESS_KINDS.map((kind) => (
            <button
              key={kind}
              type="button"
              aria-pressed={press?.kind === kind}
              onClick={() => setPress(newPress(newId(), kind, house.units))}
              className={`flex flex-col items-center rounded-[3px] border-2 px-2 pt-3 pb-2 text-center leading-tight ${press?.kind === kind ? 'border-teal bg-sheet' : 'border-line bg-transparent'}`}
            >
              <Drawing of={kind satisfies DrawingName} width={96} />
              <span className="pt-1 font-semibold">{kind}</span>
              <span className="label">{KINDS[kind]}</span>
            </button>
          ))}
        </div>
      </fieldset>
      {press && <PressFacts key={press.id} press={press} house={house} onNext={onNext} />}
    </>
  );
}

function PressFacts({ press, house, onNext }: { press: Press } & Pick<Doing, 'house' | 'onNext'>) {
  const form = useDocForm(PressSchema, press);
  const { doc: draft, patch } = form;
  const { save, pending, fault } = useSavePress(press, null);
  const fields = { ...(fault instanceof ProblemError && fault.fields), ...form.fields };
  const length = houseUnit('length', house.units).first;
  return (
    <form
      aria-label="The press"
      className="grid grid-cols-3 gap-x-4 pt-4 narrow:grid-cols-2"
      onSubmit={form.handle(async (taken) => (await save(taken)) && onNext())}
    >
      <TextField
        label="Name"
        value={draft.name}
        onChange={(name) => patch({ name })}
        problem={fields.name}
        hint="As you call it"
        autoFocus
      />
      <QuantityField
        label="Platen width"
        kind="length"
        unit={length}
        house={house.units}
        value={draft.platen.widthMm}
        onChange={(v) => v !== null && patch({ platen: { ...draft.platen, widthMm: v } })}
        min={50}
        max={2000}
        problem={fields['platen.widthMm']}
      />
      <QuantityField
        label="Platen depth"
        kind="length"
        unit={length}
        house={house.units}
        value={draft.platen.heightMm}
        onChange={(v) => v !== null && patch({ platen: { ...draft.platen, heightMm: v } })}
        min={50}
        max={2000}
        problem={fields['platen.heightMm']}
      />
      <ChoiceField
        label="It is set in"
        value={draft.set.unit}
        options={[
          { value: 'F', text: '°F' },
          { value: 'C', text: '°C' },
        ]}
        onChange={(unit) => patch({ set: { ...newPress(press.id, press.kind, { ...house.units, temperature: unit }).set, unit } })}
      />
      <ChoiceField
        label="In steps of"
        value={String(draft.set.step)}
        options={['1', '2', '5', '10'].map((value) => ({ value, text: value }))}
        onChange={(step) => patch({ set: { ...draft.set, step: Number(step) } })}
      />
      <ChoiceField
        label="Its pressure is set by"
        value={draft.gauge.kind}
        options={GAUGES}
        onChange={(kind) => patch({ gauge: kind === 'none' ? { kind } : { kind, pairs: [] } })}
      />
      <div className="col-span-full">
        <Fault of={form.refusal ?? fault} className="border-l-4 border-brick pl-3 text-brick" />
        <button type="submit" className="act act-main" disabled={pending}>
          Save the press
        </button>
      </div>
    </form>
  );
}
