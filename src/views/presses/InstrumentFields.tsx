/** What a platen is measured with: the instrument, what it is set to, and the face it is held to. */
import { FINISHES, type Finish, type Instrument } from '../../core/press';
import type { HouseUnits } from '../../core/units';
import { ChoiceField } from '../../ui/Field';
import { NumberField } from '../../ui/NumberField';
import { QuantityField } from '../../ui/QuantityField';
import { instrumentFault } from './surveyDraft';

const INSTRUMENTS = [
  { value: 'probe', text: 'contact probe' },
  { value: 'strip', text: 'pressed colour strips' },
  { value: 'infrared', text: 'infrared gun' },
] as const;

/** Each instrument as it usually comes. */
const instrumentFor = (kind: Instrument['kind']): Instrument =>
  kind === 'probe' ? { kind } : kind === 'strip' ? { kind, stepK: 6 } : { kind, emissivitySet: 0.95 };

interface InstrumentFieldsProps {
  instrument: Instrument;
  finish: Finish;
  house: HouseUnits;
  /** What another instrument would do to what was read so far. */
  hint?: string | undefined;
  /** Another kind of instrument is taken. */
  onAnother: (instrument: Instrument) => void;
  /** The same one is set otherwise. */
  onSet: (instrument: Instrument) => void;
  onFinish: (finish: Finish) => void;
}

export function InstrumentFields({ instrument, finish, house, hint, onAnother, onSet, onFinish }: InstrumentFieldsProps) {
  return (
    <>
      <ChoiceField
        label="Measured with"
        value={instrument.kind}
        options={INSTRUMENTS}
        onChange={(kind) => onAnother(instrumentFor(kind))}
        {...(hint && { hint })}
      />
      {instrument.kind === 'strip' && (
        <QuantityField
          label="Its steps"
          kind="temperatureDifference"
          unit={house.temperature === 'F' ? 'dF' : 'dC'}
          house={house}
          decimals={1}
          value={instrument.stepK}
          min={1}
          max={30}
          onChange={(stepK) => stepK !== null && onSet({ kind: 'strip', stepK })}
        />
      )}
      {instrument.kind === 'infrared' && (
        <NumberField
          label="Emissivity it is set to"
          value={instrument.emissivitySet}
          onChange={(emissivitySet) => onSet({ kind: 'infrared', emissivitySet })}
          problem={instrumentFault({ instrument }) ?? undefined}
        />
      )}
      <ChoiceField<Finish>
        label="The platen’s face is"
        value={finish}
        options={FINISHES.map((value) => ({ value, text: value }))}
        onChange={onFinish}
      />
    </>
  );
}
