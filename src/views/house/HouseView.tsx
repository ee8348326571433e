/** The house: its units, its room, and its choice where practice differs. Every card follows from the next moment on. */
import { useState } from 'react';
import { call, ProblemError } from '../../contract';
import type { House } from '../../core/card';
import { didUndoably } from '../../ui/acts';
import { ChoiceField, TextField } from '../../ui/Field';
import { QuantityField } from '../../ui/QuantityField';
import { errorWords, Island, Pending, refresh, useRoute } from '../../ui/query';

export function HouseView() {
  return (
    <Island>
      <HousePage />
    </Island>
  );
}

function HousePage() {
  const { data, error } = useRoute('house', {});
  if (!data) return <Pending error={error} what="the house rules" />;
  return <HouseForm key={data.version} house={data.house} version={data.version} />;
}

const again = () => refresh('house', 'orderCards', 'order', 'bench');
const options = <const T extends string>(...pairs: readonly (readonly [T, string])[]) => pairs.map(([value, text]) => ({ value, text }));

function HouseForm({ house, version }: { house: House; version: number }) {
  const [draft, setDraft] = useState(house);
  const [fault, setFault] = useState<unknown>(null);
  const fields = fault instanceof ProblemError ? fault.fields : {};
  const dirty = JSON.stringify(draft) !== JSON.stringify(house);
  const unit =
    <K extends keyof House['units']>(key: K) =>
    (value: House['units'][K]) =>
      setDraft({ ...draft, units: { ...draft.units, [key]: value } });
  const rule =
    <K extends keyof House['rules']>(key: K) =>
    (value: House['rules'][K]) =>
      setDraft({ ...draft, rules: { ...draft.rules, [key]: value } });
  const save = async (event: { preventDefault: () => void }) => {
    event.preventDefault();
    try {
      const saved = await call('putHouse', { body: draft, ifMatch: version });
      setFault(null);
      await again();
      didUndoably({
        what: 'house changed',
        undo: async () => {
          await call('putHouse', { body: house, ifMatch: saved.version });
          await again();
        },
      });
    } catch (error) {
      setFault(error);
    }
  };
  return (
    <form onSubmit={(event) => void save(event)} className="mx-auto max-w-[980px] px-5 pt-5">
      <h1 className="pb-1">House</h1>
      <p className="pb-3 text-soft">
        Where practice differs the house picks, and every card says which rule it followed. A sheet’s own word always comes first.
      </p>
      <div className="grid grid-cols-[14rem_1fr] gap-x-8">
        <h2 className="rule-top pt-3">Units read first</h2>
        <div className="rule-top grid grid-cols-3 gap-5 pt-3">
          <ChoiceField
            label="Temperature"
            value={draft.units.temperature}
            onChange={unit('temperature')}
            options={options(['F', '°F'], ['C', '°C'])}
          />
          <ChoiceField
            label="Length"
            value={draft.units.length}
            onChange={unit('length')}
            options={options(['in', 'inches'], ['mm', 'mm'])}
          />
          <ChoiceField
            label="Pressure"
            value={draft.units.linePressure}
            onChange={unit('linePressure')}
            options={options(['psi', 'psi'], ['bar', 'bar and kPa'])}
          />
        </div>
        <h2 className="rule-top pt-3">Rules</h2>
        <div className="rule-top grid grid-cols-2 gap-5 pt-3">
          <ChoiceField
            label="Cover sheet where the sheet leaves it open"
            value={draft.rules.coverWhenAllowed}
            onChange={rule('coverWhenAllowed')}
            options={options(['always', 'always: keeps platen and print clean'], ['never', 'never: it takes heat'])}
          />
          <ChoiceField
            label="Second press after the peel"
            value={draft.rules.secondPress}
            onChange={rule('secondPress')}
            options={options(['always', 'always, short, under paper'], ['when an edge looks proud', 'only when an edge looks proud'])}
          />
          <ChoiceField
            label="Pre-press"
            value={draft.rules.prePress}
            onChange={rule('prePress')}
            options={options(['short', 'short, 5 s'], ['long', 'long, 10 s'])}
          />
          <ChoiceField
            label="Loading"
            value={draft.rules.loading}
            onChange={rule('loading')}
            options={options(['threaded', 'threaded over the base'], ['flat', 'laid flat'])}
          />
        </div>
        <h2 className="rule-top pt-3">Room today</h2>
        <div className="rule-top grid grid-cols-2 gap-5 pt-3">
          <QuantityField
            label="Temperature of the room"
            kind="temperature"
            unit={draft.units.temperature}
            house={draft.units}
            value={draft.room.tempC}
            onChange={(v) => v !== null && setDraft({ ...draft, room: { ...draft.room, tempC: v } })}
            min={-5}
            max={50}
            usual={{ low: 5, high: 45 }}
            problem={fields['room.tempC']}
          />
          <TextField
            label="Humidity, %"
            inputMode="numeric"
            value={String(draft.room.humidityPercent)}
            onChange={(text) => /^\d{0,3}$/.test(text) && setDraft({ ...draft, room: { ...draft.room, humidityPercent: Number(text) } })}
            problem={fields['room.humidityPercent']}
          />
        </div>
      </div>
      {fault ? (
        <p role="alert" className="border-l-4 border-brick pl-3 text-brick">
          {errorWords(fault)}
        </p>
      ) : null}
      <div className="flex gap-4 pt-3">
        <button type="submit" className="act act-main" disabled={!dirty}>
          Save the house
        </button>
        {dirty && (
          <button type="button" className="act act-quiet" onClick={() => setDraft(house)}>
            Put back what was saved
          </button>
        )}
      </div>
    </form>
  );
}
