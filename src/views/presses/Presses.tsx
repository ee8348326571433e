/** Presses: how each is set, what it was measured to deliver, how its pressure is read; and changing those facts. */
import { useState } from 'react';
import type { Reply } from '../../contract';
import { type Press, pressOffset } from '../../core/press';
import { formatForHouse } from '../../core/units';
import { useUnits } from '../../ui/house';
import { newId } from '../../ui/newId';
import { Island, Pending, useRoute } from '../../ui/query';
import { DeliveredDrawing } from './DeliveredDrawing';
import { newPress } from './newPress';
import { PressEditor } from './PressEditor';

type PressRow = Reply<'presses'>['presses'][number];

export function Presses() {
  return (
    <Island>
      <PressPage />
    </Island>
  );
}

function PressPage() {
  const { data, error } = useRoute('presses', {});
  const [chosen, setChosen] = useState<string | null>(null);
  const [fresh, setFresh] = useState<Press | null>(null);
  const house = useUnits();
  if (!data) return <Pending error={error} what="the presses" />;
  const row = data.presses.find((one) => one.press.id === chosen) ?? data.presses[0];
  const shown = fresh ?? row?.press;
  const choose = (id: string) => {
    setFresh(null);
    setChosen(id);
  };
  return (
    <div className="mx-auto grid max-w-[1240px] grid-cols-[20rem_1fr] gap-8 px-5 pt-5">
      <section aria-labelledby="presses">
        <h1 id="presses" className="pb-3">
          Presses
        </h1>
        {data.presses.map((one) => (
          <PressItem key={one.press.id} row={one} on={one.press.id === shown?.id} onChoose={() => choose(one.press.id)} />
        ))}
        {data.presses.length === 0 && (
          <p className="rule-top py-4">No press yet. Add the one you have: cards are worked out for a press, not for presses in general.</p>
        )}
        <button type="button" className="act mt-3" onClick={() => setFresh(newPress(newId(), house))}>
          Add a press
        </button>
      </section>
      {shown && (
        <section aria-label={shown.name} className="min-w-0">
          <DeliveredDrawing press={shown} />
          <PressEditor
            key={`${shown.id} ${fresh ? 0 : row?.version}`}
            press={shown}
            version={fresh ? null : (row?.version ?? null)}
            house={house}
            onSaved={choose}
          />
        </section>
      )}
    </div>
  );
}

function PressItem({ row: { press }, on, onChoose }: { row: PressRow; on: boolean; onChoose: () => void }) {
  const house = useUnits();
  return (
    <button
      type="button"
      onClick={onChoose}
      aria-pressed={on}
      className={`rule-top block w-full border-0 border-l-4 py-3 pl-3 text-left leading-tight ${on ? 'border-l-teal bg-sheet' : 'border-l-transparent bg-transparent'}`}
    >
      <span className="block font-semibold">{press.name}</span>
      <span className="label block">
        {press.kind}, set in {press.set.unit === 'F' ? '°F' : '°C'} by {press.set.step}
      </span>
      <span className={press.calibration ? 'label block' : 'block font-semibold text-brick'}>
        {press.calibration
          ? `measured ${press.calibration.on}`
          : `not measured: ±${formatForHouse('temperatureDifference', pressOffset(press).spreadK, house, 0)} assumed`}
      </span>
    </button>
  );
}
