/** Choices beside the card's own pick: everything the sheet, the press and the blank leave open for one print. */
import type { Stage } from '../../core/card';
import type { HouseSetting } from '../../core/house';
import type { PressureBand } from '../../core/materials';
import { type Choices, heated, type Print } from '../../core/order';
import type { Press } from '../../core/press';
import { CHOSEN_STAGES, type ChosenStage, CLOSING_NAMES, type Product, writtenStage } from '../../core/sheet';
import { ChoiceField } from '../../ui/Field';
import { useUnits } from '../../ui/house';
import { OwnBand, OwnFigure, type StageFigure, StageFigures, type StageFiguresProps } from './StageFigures';

interface ChoicesPanelProps {
  print: Print;
  product: Product;
  press: Press;
  /** The stages of the card as it is worked out now. */
  stages: readonly Stage[];
  /** The lower platen as it is worked out now; null: the heat is not split. */
  lowerC: number | null;
  /** What the house keeps for this transfer on this press. */
  houseSettings: readonly HouseSetting[];
  onChoose: (choices: Choices, what: string) => void;
  onKeep: (figure: StageFigure) => void;
}

const AS_CARD = { value: '', text: 'as the card says' } as const;
const named = (values: readonly string[]) => values.map((value) => ({ value, text: value }));

/** Closings this print has or may have. */
const mayChoose = (kind: ChosenStage, print: Print, product: Product): boolean =>
  kind === 'marry' ? writtenStage(product, 'marry') !== undefined : kind === 'tack' ? print.layers.length > 1 : true;

export function ChoicesPanel({ print, product, press, stages, lowerC, houseSettings, onChoose, onKeep }: ChoicesPanelProps) {
  const units = useUnits();
  const { choices } = print;
  const stage = product.stages.find((stage) => stage.kind === 'press');
  /** One choice made, or given back to the card. */
  const choose = <K extends keyof Choices>(key: K, value: Choices[K] | undefined, what: string) => {
    const { [key]: _, ...rest } = choices;
    onChoose(value === undefined ? rest : { ...rest, [key]: value }, what);
  };
  const chooseStage: StageFiguresProps['onChoose'] = (of, kind, value) => {
    const key = ({ time: 'stageS', temperature: 'stageC', pressure: 'stageBand' } as const)[of];
    const { [kind]: _, ...rest } = choices[key] ?? {};
    const next = value === undefined ? rest : { ...rest, [kind]: value };
    choose(key, Object.keys(next).length === 0 ? undefined : next, `${CLOSING_NAMES[kind].toLowerCase()} chosen`);
  };
  return (
    <details className="rule-top py-1">
      <summary className="min-h-12 cursor-pointer py-3 font-semibold text-teal">Press it another way</summary>
      <div className="grid grid-cols-2 gap-x-5 pb-2 min-[75rem]:grid-cols-3">
        {stage?.cover === 'allowed' && (
          <ChoiceField
            label="Cover over the print"
            value={choices.cover === undefined ? '' : choices.cover ? 'yes' : 'no'}
            options={[AS_CARD, { value: 'yes', text: 'a cover' }, { value: 'no', text: 'no cover' }]}
            onChange={(value) => choose('cover', value === '' ? undefined : value === 'yes', 'cover chosen')}
          />
        )}
        {product.otherPeels.length > 0 && stage && (
          <ChoiceField
            label="Peel"
            value={choices.peel ?? ''}
            options={[AS_CARD, ...[stage.peel, ...product.otherPeels].map((value) => ({ value, text: value }))]}
            onChange={(value) => choose('peel', value === '' ? undefined : value, 'peel chosen')}
          />
        )}
        {product.alternatives.length > 0 && (
          <ChoiceField
            label="The sheet’s alternatives"
            value={choices.alternative ?? ''}
            options={[{ value: '', text: 'its usual setting' }, ...named(product.alternatives.map((alternative) => alternative.name))]}
            onChange={(value) => choose('alternative', value === '' ? undefined : value, 'alternative chosen')}
          />
        )}
        <ChoiceField
          label="Base under it"
          value={choices.base ?? ''}
          options={[
            AS_CARD,
            { value: 'usual pad', text: 'usual pad' },
            { value: 'pillow', text: 'pillow' },
            { value: 'firm pad', text: 'firm pad' },
          ]}
          onChange={(value) => choose('base', value === '' ? undefined : value, 'base chosen')}
        />
        <OwnBand
          label="Pressure"
          own={choices.band}
          byHouse={houseSettings.find((setting) => setting.of === 'pressure' && !setting.stage)?.value as PressureBand | undefined}
          settingFor={`${product.name} on ${press.name}`}
          onChoose={(band) => choose('band', band, 'pressure chosen')}
          onKeep={(value) => onKeep({ of: 'pressure', stage: undefined, value })}
        />
        {press.swapPlatens.length > 0 && (
          <ChoiceField
            label="Platen"
            value={choices.platenId ?? ''}
            options={[{ value: '', text: 'its usual platen' }, ...press.swapPlatens.map(({ id, name }) => ({ value: id, text: name }))]}
            onChange={(value) => choose('platenId', value === '' ? undefined : value, 'platen chosen')}
          />
        )}
        {press.lower && (
          <ChoiceField
            label="Heat"
            value={choices.heat ?? ''}
            options={[
              { value: '', text: 'from above' },
              { value: 'split', text: 'split: hot below, cool above' },
            ]}
            onChange={(value) => onChoose(heated(choices, value === 'split' ? 'split' : 'above'), 'heat chosen')}
          />
        )}
        {lowerC !== null && press.lower && (
          <OwnFigure
            key={`lower ${choices.lowerC ?? 'card'}`}
            label="Lower platen, set to"
            kind="temperature"
            unit={press.set.unit}
            house={units}
            min={press.lower.minC}
            max={press.lower.maxC}
            whenEmpty={lowerC}
            own={choices.lowerC}
            onChoose={(value) => choose('lowerC', value, 'lower platen chosen')}
          />
        )}
      </div>
      <div className="rule-top grid grid-cols-2 gap-x-5 pt-2 pb-2 min-[75rem]:grid-cols-3">
        {CHOSEN_STAGES.filter((kind) => mayChoose(kind, print, product)).map((kind) => (
          <StageFigures
            key={kind}
            stage={kind}
            choices={choices}
            stages={stages}
            unit={press.set.unit}
            house={units}
            houseSettings={houseSettings}
            settingFor={`${product.name} on ${press.name}`}
            onChoose={chooseStage}
            onKeep={onKeep}
          />
        ))}
      </div>
    </details>
  );
}
