/** How a survey is made: with what, on which face, at which places and setting. */
import { FINISHES, type Finish, type Instrument, type Press } from '../../core/press';
import type { HouseUnits } from '../../core/units';
import { ChoiceField } from '../../ui/Field';
import { NumberField } from '../../ui/NumberField';
import { QuantityField } from '../../ui/QuantityField';
import { instrumentFault, type SurveyDraft } from './surveyDraft';

const PLANS = [
  { value: 'five', text: 'five' },
  { value: 'nine', text: 'nine' },
  { value: 'free', text: 'my own' },
] as const;
const INSTRUMENTS = [
  { value: 'probe', text: 'contact probe' },
  { value: 'strip', text: 'pressed colour strips' },
  { value: 'infrared', text: 'infrared gun' },
] as const;

const instrumentFor = (kind: Instrument['kind']): Instrument =>
  kind === 'probe' ? { kind } : kind === 'strip' ? { kind, stepK: 6 } : { kind, emissivitySet: 0.95 };

interface SurveySettingsProps {
  press: Press;
  draft: SurveyDraft;
  house: HouseUnits;
  onChange: (part: Partial<SurveyDraft>) => void;
  /** A change that the readings made so far do not outlive. */
  onAnew: (part: Partial<SurveyDraft>) => void;
}

export function SurveySettings({ press, draft, house, onChange, onAnew }: SurveySettingsProps) {
  return (
    <div className="grid grid-cols-3 gap-x-5 pt-3">
      <ChoiceField
        label="Measured with"
        value={draft.instrument.kind}
        options={INSTRUMENTS}
        onChange={(kind) => onAnew({ instrument: instrumentFor(kind) })}
        {...(draft.readings.length > 0 && { hint: 'Another instrument begins anew' })}
      />
      {draft.instrument.kind === 'strip' && (
        <QuantityField
          label="Its steps"
          kind="temperatureDifference"
          unit={house.temperature === 'F' ? 'dF' : 'dC'}
          house={house}
          decimals={1}
          value={draft.instrument.stepK}
          min={1}
          max={30}
          onChange={(stepK) => stepK !== null && onChange({ instrument: { kind: 'strip', stepK } })}
        />
      )}
      {draft.instrument.kind === 'infrared' && (
        <NumberField
          label="Emissivity it is set to"
          value={draft.instrument.emissivitySet}
          onChange={(emissivitySet) => onChange({ instrument: { kind: 'infrared', emissivitySet } })}
          problem={instrumentFault(draft) ?? undefined}
        />
      )}
      <ChoiceField<Finish>
        label="The platen’s face is"
        value={draft.finish}
        options={FINISHES.map((value) => ({ value, text: value }))}
        onChange={(face) => onChange({ finish: face })}
      />
      <ChoiceField label="Places" value={draft.plan} options={PLANS} onChange={(plan) => plan !== draft.plan && onAnew({ plan })} />
      <QuantityField
        label="Press set to"
        kind="temperature"
        unit={press.set.unit}
        house={house}
        value={draft.setC}
        min={press.set.minC}
        max={press.set.maxC}
        onChange={(setC) => setC !== null && onChange({ setC })}
      />
    </div>
  );
}
