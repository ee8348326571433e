/** How a survey is made: with what, on which face, at which places and setting. */
import type { Press } from '../../core/press';
import type { HouseUnits } from '../../core/units';
import { ChoiceField } from '../../ui/Field';
import { QuantityField } from '../../ui/QuantityField';
import { InstrumentFields } from './InstrumentFields';
import type { SurveyDraft } from './surveyDraft';

const PLANS = [
  { value: 'five', text: 'five' },
  { value: 'nine', text: 'nine' },
  { value: 'free', text: 'my own' },
] as const;
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
    <div className="grid grid-cols-3 gap-x-5 pt-3 narrow:grid-cols-2">
      <InstrumentFields
        instrument={draft.instrument}
        finish={draft.finish}
        house={house}
        hint={draft.readings.length > 0 ? 'Another instrument begins anew' : undefined}
        onAnother={(instrument) => onAnew({ instrument })}
        onSet={(instrument) => onChange({ instrument })}
        onFinish={(finish) => onChange({ finish })}
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
