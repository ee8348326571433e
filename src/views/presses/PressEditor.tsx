/** The facts of one press, changed by hand: its readout, its measurement, its gauge. */
import { ProblemError } from '../../contract';
import { SET_C } from '../../core/materials';
import { type Press, PressSchema, TIMER_STEPS } from '../../core/press';
import { type HouseUnits, houseUnit, toInside } from '../../core/units';
import { Check } from '../../ui/Check';
import { isoDay } from '../../ui/days';
import { useDocForm } from '../../ui/docForm';
import { saysTheSame } from '../../ui/equal';
import { Fault } from '../../ui/Fault';
import { ChoiceField, TextField } from '../../ui/Field';
import { NumberField } from '../../ui/NumberField';
import { QuantityField } from '../../ui/QuantityField';
import { GaugePairs } from './GaugePairs';
import { PlatenFields } from './PlatenFields';
import { useSavePress } from './useSavePress';

const KINDS = [
  { value: 'clamshell', text: 'clamshell: hinges' },
  { value: 'swing-away', text: 'swing-away' },
  { value: 'draw', text: 'draw' },
  { value: 'cap', text: 'cap press' },
  { value: 'hand press', text: 'hand press' },
  { value: 'iron', text: 'iron' },
] as const;

interface PressEditorProps {
  press: Press;
  /** Version last seen; null: a press that is not saved yet. */
  version: number | null;
  house: HouseUnits;
  onSaved: (id: string) => void;
}

export function PressEditor({ press, version, house, onSaved }: PressEditorProps) {
  const form = useDocForm(PressSchema, press);
  const { doc: draft, patch } = form;
  const { save, pending, fault } = useSavePress(press, version);
  const fields = { ...(fault instanceof ProblemError && fault.fields), ...form.fields };
  const { calibration } = draft;
  const difference = house.temperature === 'F' ? 'dF' : 'dC';
  const measure = (change: Partial<NonNullable<Press['calibration']>>) =>
    calibration && patch({ calibration: { ...calibration, ...change } });
  const dirty = version === null || !saysTheSame(draft, press);
  const length = houseUnit('length', house).first;
  return (
    <form
      onSubmit={form.handle(async (taken) => (await save(taken)) && onSaved(press.id))}
      className="grid max-w-[48.75rem] grid-cols-6 narrow:grid-cols-2 narrow:*:col-span-1 narrow:*:[.col-span-4]:col-span-2 narrow:*:[.col-span-6]:col-span-2 gap-x-5 gap-y-1 pt-4"
      aria-label={`Facts of ${press.name}`}
    >
      <div className="col-span-4">
        <TextField label="Name" value={draft.name} onChange={(name) => patch({ name })} problem={fields.name} />
      </div>
      <div className="col-span-1">
        <ChoiceField
          label="Set in"
          value={draft.set.unit}
          options={[
            { value: 'F', text: '°F' },
            { value: 'C', text: '°C' },
          ]}
          onChange={(unit) => patch({ set: { ...draft.set, unit } })}
        />
      </div>
      <div className="col-span-1">
        <ChoiceField
          label="Steps of"
          value={String(draft.set.step)}
          options={['1', '2', '5', '10'].map((value) => ({ value, text: value }))}
          onChange={(step) => patch({ set: { ...draft.set, step: Number(step) } })}
        />
      </div>
      <div className="col-span-2">
        <QuantityField
          label="Lowest setting"
          kind="temperature"
          unit={draft.set.unit}
          house={house}
          value={draft.set.minC}
          onChange={(v) => v !== null && patch({ set: { ...draft.set, minC: v } })}
          min={SET_C.min}
          max={SET_C.max}
          usual={{ low: 30, high: 260 }}
          problem={fields['set.minC'] ?? fields.set}
        />
      </div>
      <div className="col-span-2">
        <QuantityField
          label="Highest setting"
          kind="temperature"
          unit={draft.set.unit}
          house={house}
          value={draft.set.maxC}
          onChange={(v) => v !== null && patch({ set: { ...draft.set, maxC: v } })}
          min={SET_C.min}
          max={SET_C.max}
          usual={{ low: 120, high: 260 }}
          problem={fields['set.maxC']}
        />
      </div>
      <div className="col-span-2">
        <ChoiceField label="Kind" value={draft.kind} options={KINDS} onChange={(kind) => patch({ kind })} />
      </div>
      <div className="col-span-2">
        <QuantityField
          label="Platen width"
          kind="length"
          unit={length}
          house={house}
          value={draft.platen.widthMm}
          onChange={(v) => v !== null && patch({ platen: { ...draft.platen, widthMm: v } })}
          min={50}
          max={2000}
          problem={fields['platen.widthMm']}
        />
      </div>
      <div className="col-span-2">
        <QuantityField
          label="Platen depth"
          kind="length"
          unit={length}
          house={house}
          value={draft.platen.heightMm}
          onChange={(v) => v !== null && patch({ platen: { ...draft.platen, heightMm: v } })}
          min={50}
          max={2000}
          problem={fields['platen.heightMm']}
        />
      </div>
      <div className="col-span-2">
        <ChoiceField
          label="Timers"
          value={String(draft.timers)}
          options={[
            { value: '1', text: 'one' },
            { value: '2', text: 'two' },
          ]}
          onChange={(timers) => patch({ timers: timers === '2' ? 2 : 1 })}
        />
      </div>
      <div className="col-span-2">
        <ChoiceField
          label="Timer steps"
          value={String(draft.timerStepS ?? 1)}
          options={TIMER_STEPS.map((step) => ({ value: String(step), text: step === 1 ? 'whole seconds' : `steps of ${step} s` }))}
          onChange={(text) => patch({ timerStepS: TIMER_STEPS.find((step) => String(step) === text) ?? 1 })}
        />
      </div>
      <div className="col-span-6 flex gap-8">
        <Check on={draft.opensItself} onChange={(opensItself) => patch({ opensItself })}>
          Opens by itself
        </Check>
        <Check
          on={Boolean(draft.retiredOn)}
          onChange={(gone) => {
            const { retiredOn: _, ...rest } = draft;
            form.replace(gone ? { ...rest, retiredOn: isoDay(new Date()) } : rest);
          }}
        >
          No longer in the shop
        </Check>
      </div>
      <PlatenFields press={draft} house={house} fields={fields} onChange={patch} />
      <fieldset className="col-span-6 rule-top mt-2 grid grid-cols-6 narrow:grid-cols-2 narrow:*:col-span-1 narrow:*:[.col-span-4]:col-span-2 narrow:*:[.col-span-6]:col-span-2 gap-x-5 pt-3">
        <legend className="sr-only">Measurement</legend>
        <label className="col-span-6 flex min-h-12 items-center gap-3">
          <input
            type="checkbox"
            className="size-6"
            checked={calibration !== null}
            onChange={(event) =>
              patch({
                calibration: event.target.checked
                  ? (press.calibration ?? { offsetK: 0, spreadK: toInside(9, 'dF'), on: isoDay(new Date()), how: '' })
                  : null,
              })
            }
          />
          <span>
            Its surface was measured <span className="label">(corners and centre, at the temperature you use)</span>
          </span>
        </label>
        {calibration && (
          <>
            <div className="col-span-2">
              <QuantityField
                label="Surface minus readout"
                kind="temperatureDifference"
                unit={difference}
                house={house}
                decimals={1}
                value={calibration.offsetK}
                onChange={(v) => v !== null && measure({ offsetK: v })}
                min={-60}
                max={60}
                problem={fields['calibration.offsetK']}
              />
            </div>
            <div className="col-span-2">
              <QuantityField
                label="Spread over the art, 19 times in 20, ±"
                kind="temperatureDifference"
                unit={difference}
                house={house}
                decimals={1}
                value={calibration.spreadK}
                onChange={(v) => v !== null && measure({ spreadK: v })}
                min={0}
                max={60}
                problem={fields['calibration.spreadK']}
              />
            </div>
            <div className="col-span-2">
              <TextField
                label="Measured on"
                type="date"
                value={calibration.on}
                onChange={(on) => measure({ on })}
                problem={fields['calibration.on']}
              />
            </div>
            <div className="col-span-6">
              <TextField
                label="How"
                value={calibration.how}
                onChange={(how) => measure({ how })}
                problem={fields['calibration.how']}
                hint="Instrument, and where it was held"
              />
            </div>
          </>
        )}
      </fieldset>
      {draft.gauge.kind === 'dial' && (
        <div className="col-span-3">
          <NumberField
            label="A garment adds to the dial"
            value={draft.garmentShift ?? 0}
            hint="Its reading with a tee in, less its reading closed empty"
            onChange={(garmentShift) => patch({ garmentShift })}
            problem={fields.garmentShift}
          />
        </div>
      )}
      <GaugePairs gauge={draft.gauge} house={house} onChange={(gauge) => patch({ gauge })} problem={fields['gauge.pairs']} />
      <Fault of={form.refusal ?? fault} className="col-span-6 border-l-4 border-brick pl-3 text-brick" />
      <div className="col-span-6 flex gap-4 pt-2">
        <button type="submit" className="act act-main" disabled={!dirty || pending}>
          Save the press
        </button>
        {dirty && version !== null && (
          <button type="button" className="act act-quiet" onClick={() => form.rebase(press, press)}>
            Cancel changes
          </button>
        )}
      </div>
    </form>
  );
}
