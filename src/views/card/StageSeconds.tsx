/** The times of the closings beside the press stage, chosen for one print. */
import { useState } from 'react';
import type { Choices, ChosenStage } from '../../core/order';
import { useUnits } from '../../ui/house';
import { QuantityField } from '../../ui/QuantityField';

const NAMES: Record<ChosenStage, string> = { marry: 'Marry', 'pre-press': 'Pre-press', tack: 'Tack', finish: 'Second press' };

interface StageSecondsProps {
  kind: ChosenStage;
  chosen: Choices['stageS'];
  onChoose: (stageS: Choices['stageS'], what: string) => void;
}

export function StageSeconds({ kind, chosen = {}, onChoose }: StageSecondsProps) {
  const house = useUnits();
  const own = chosen[kind] ?? null;
  const [typed, setTyped] = useState<number | null>(own);
  const name = NAMES[kind];
  // a pre-press and a second press may be left out
  const mayGo = kind === 'pre-press' || kind === 'finish';
  const put = (value: number | undefined) => {
    const { [kind]: _, ...rest } = chosen;
    const next = value === undefined ? rest : { ...rest, [kind]: value };
    setTyped(value ?? null);
    onChoose(Object.keys(next).length === 0 ? undefined : next, `${name.toLowerCase()} chosen`);
  };
  return (
    <div>
      <QuantityField
        key={own ?? 'card'}
        label={mayGo ? `${name}, 0 for none` : name}
        kind="duration"
        unit="s"
        house={house}
        value={typed}
        onChange={setTyped}
        min={mayGo ? 0 : 1}
        max={3600}
      />
      {typed !== null && typed !== own && (
        <button type="button" className="act act-quiet -mt-3 underline" onClick={() => put(typed)}>
          Take it for this print
        </button>
      )}
      {own !== null && typed === own && (
        <button type="button" className="act act-quiet -mt-3 underline" onClick={() => put(undefined)}>
          As the card says
        </button>
      )}
    </div>
  );
}
