/** Time, heat and pressure of a closing beside the press stage: chosen for one print, or kept by the house for every print of its transfer on its press. */
import { useState } from 'react';
import type { Stage } from '../../core/card';
import type { HouseSetting, SettingOf } from '../../core/house';
import { PRESSURE_BANDS, type PressureBand } from '../../core/materials';
import type { Choices } from '../../core/order';
import { type ChosenStage, CLOSING_NAMES } from '../../core/sheet';
import type { HouseUnits } from '../../core/units';
import { ChoiceField } from '../../ui/Field';
import { QuantityField, type QuantityFieldProps } from '../../ui/QuantityField';

/** What is typed for one closing. */
export type StageFigure = { stage: ChosenStage | undefined } & (
  | Pick<SettingOf<'time'>, 'of' | 'value'>
  | Pick<SettingOf<'temperature'>, 'of' | 'value'>
  | Pick<SettingOf<'pressure'>, 'of' | 'value'>
);

export interface StageFiguresProps {
  stage: ChosenStage;
  choices: Choices;
  /** The stages of the card as it is worked out now. */
  stages: readonly Stage[];
  unit: 'C' | 'F';
  house: HouseUnits;
  /** What the house keeps for this transfer on this press. */
  houseSettings: readonly HouseSetting[];
  /** For whom the house would keep it. */
  settingFor: string;
  /** `value` undefined: given back to the card. */
  onChoose: (of: HouseSetting['of'], stage: ChosenStage, value: number | PressureBand | undefined) => void;
  onKeep: (figure: StageFigure) => void;
}

export function StageFigures({ stage, choices, stages, unit, house, houseSettings, settingFor, onChoose, onKeep }: StageFiguresProps) {
  const name = CLOSING_NAMES[stage];
  const now = stages.find(({ kind }) => kind === stage);
  // a pre-press and a second press may be left out
  const mayGo = stage === 'pre-press' || stage === 'finish';
  const figures = [
    {
      of: 'time',
      own: choices.stageS?.[stage],
      whenEmpty: now?.timeS ?? null,
      label: `${name}${mayGo ? ', 0 for none' : ''}`,
      kind: 'duration',
      unit: 's',
      min: mayGo ? 0 : 1,
      max: 3600,
    },
    {
      of: 'temperature',
      own: choices.stageC?.[stage],
      whenEmpty: now?.setC ?? null,
      label: `${name}, set to`,
      kind: 'temperature',
      unit,
      min: 20,
      max: 260,
    },
  ] as const;
  const kept = houseSettings.filter((setting) => setting.stage === stage);
  const timeAndHeat = figures.map(({ of, own, ...field }) => {
    const byHouse = kept.find((setting): setting is SettingOf<'time'> | SettingOf<'temperature'> => setting.of === of)?.value;
    return (
      <OwnFigure
        key={`${of} ${own ?? 'card'}`}
        {...field}
        house={house}
        own={own}
        byHouse={byHouse}
        settingFor={settingFor}
        onChoose={(value) => onChoose(of, stage, value)}
        onKeep={(value) => onKeep({ of, stage, value })}
      />
    );
  });
  return (
    <>
      {timeAndHeat}
      <OwnBand
        label={`${name}, pressure`}
        own={choices.stageBand?.[stage]}
        byHouse={kept.find((setting) => setting.of === 'pressure')?.value}
        settingFor={settingFor}
        onChoose={(band) => onChoose('pressure', stage, band)}
        onKeep={(value) => onKeep({ of: 'pressure', stage, value })}
      />
    </>
  );
}

interface OwnBandProps {
  label: string;
  /** Chosen for this print. */
  own: PressureBand | undefined;
  /** What the house keeps, and for whom. */
  byHouse: PressureBand | undefined;
  settingFor: string;
  onChoose: (band: PressureBand | undefined) => void;
  onKeep: (band: PressureBand) => void;
}

/** How hard a closing is pressed: as the card says, or chosen for this print, which the house may keep. */
export function OwnBand({ label, own, byHouse, settingFor, onChoose, onKeep }: OwnBandProps) {
  return (
    <div>
      <ChoiceField
        label={label}
        value={own ?? ''}
        options={[{ value: '', text: 'as the card says' }, ...PRESSURE_BANDS.map((value) => ({ value, text: value }))]}
        hint={own === undefined && byHouse !== undefined ? 'kept by the house' : undefined}
        onChange={(band) => onChoose(band === '' ? undefined : band)}
      />
      {own !== undefined && byHouse !== own && (
        <button type="button" className="act act-quiet -mt-3 underline" onClick={() => onKeep(own)}>
          Save it for {settingFor}
        </button>
      )}
    </div>
  );
}

interface OwnFigureProps extends Pick<QuantityFieldProps, 'label' | 'kind' | 'unit' | 'house' | 'min' | 'max' | 'whenEmpty'> {
  /** Chosen for this print. */
  own: number | undefined;
  onChoose: (value: number | undefined) => void;
  /** What the house keeps, for whom, and how it is kept; absent: it keeps no such figure. */
  byHouse?: number | undefined;
  settingFor?: string;
  onKeep?: (value: number) => void;
}

/** A figure of one print: as the card says, or by hand, which the house may keep. */
export function OwnFigure({ own, byHouse, settingFor, onChoose, onKeep, ...field }: OwnFigureProps) {
  const [typed, setTyped] = useState<number | null>(own ?? null);
  const isNew = typed !== null && typed !== own;
  return (
    <div>
      <QuantityField {...field} value={typed} onChange={setTyped} />
      <div className="-mt-3 flex flex-wrap items-center gap-x-3">
        {isNew && (
          <button type="button" className="act act-quiet underline" onClick={() => onChoose(typed)}>
            Use it for this print
          </button>
        )}
        {own !== undefined && !isNew && (
          <button type="button" className="act act-quiet underline" onClick={() => onChoose(undefined)}>
            As the card says
          </button>
        )}
        {onKeep && own !== undefined && !isNew && byHouse !== own && (
          <button type="button" className="act act-quiet underline" onClick={() => onKeep(own)}>
            Save it for {settingFor}
          </button>
        )}
        {own === undefined && byHouse !== undefined && !isNew && <span className="label">kept by the house</span>}
      </div>
    </div>
  );
}
