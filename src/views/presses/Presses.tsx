/** Presses: how each is set, what it was measured to deliver, how its pressure is read; and changing those facts. */
import { useState } from 'react';
import type { Reply } from '../../contract';
import { newPress, type Press, pressOffset } from '../../core/press';
import { formatForHouse, type HouseUnits } from '../../core/units';
import { isoDayText } from '../../ui/days';
import { useUnits } from '../../ui/house';
import { LeftOut } from '../../ui/LeftOut';
import { newId } from '../../ui/newId';
import { Island, Pending, useRoute } from '../../ui/query';
import { Tabs } from '../../ui/TabBar';
import { Teach } from '../../ui/Teach';
import { PressEditor } from './PressEditor';
import { PressureView } from './PressureView';
import { SurfaceView } from './SurfaceView';
import { WarmUpView } from './WarmUpView';

type PressRow = Reply<'presses'>['presses'][number];

interface PressesProps {
  initialOn: string | null;
  /** Its quick check is open: that is what was asked for. */
  isChecked: boolean;
  /** What of it is shown first. */
  initialView: string | null;
  /** A new one is to be written down. */
  isNew: boolean;
}

export function Presses(props: PressesProps) {
  return (
    <Island>
      <PressPage {...props} />
    </Island>
  );
}

const pressToName = (house: HouseUnits): Press => ({ ...newPress(newId(), 'clamshell', house), name: 'New press' });

const VIEWS = (['Surface', 'Pressure', 'Warm-up', 'Facts'] as const).map((id) => ({ id, name: id }));

function PressPage({ initialOn, isChecked, initialView, isNew }: PressesProps) {
  const { data, error } = useRoute('presses', {});
  const [chosen, setChosen] = useState(initialOn);
  const [view, setView] = useState(VIEWS.find(({ id }) => id === initialView)?.id ?? 'Surface');
  const house = useUnits();
  const [fresh, setFresh] = useState<Press | null>(() => (isNew ? pressToName(house) : null));
  if (!data) return <Pending error={error} what="the presses" />;
  const row = data.presses.find((press) => press.press.id === chosen) ?? data.presses[0];
  const shown = fresh ?? row?.press;
  const choose = (id: string) => {
    setFresh(null);
    setChosen(id);
  };
  return (
    <div className="mx-auto grid max-w-[77.5rem] grid-cols-[minmax(0,1fr)] gap-8 px-5 pt-5 min-[50rem]:grid-cols-[20rem_minmax(0,1fr)]">
      <section aria-labelledby="presses">
        <h1 id="presses" className="pb-3">
          Presses
        </h1>
        {data.presses.map((press) => (
          <PressItem key={press.press.id} row={press} on={press.press.id === shown?.id} onChoose={() => choose(press.press.id)} />
        ))}
        <LeftOut of={data.unreadable} />
        {data.presses.length === 0 && (
          <Teach drawing="swing-away">
            No press yet. Add the one you have: cards are worked out for a press, not for presses in general.
          </Teach>
        )}
        <button type="button" className="act mt-3" onClick={() => setFresh(pressToName(house))}>
          Add a press
        </button>
      </section>
      {shown && (
        <section aria-label={shown.name} className="min-w-0">
          <h2 className="sr-only">{shown.name}</h2>
          {fresh ? (
            <PressEditor key={shown.id} press={shown} version={null} house={house} onSaved={choose} />
          ) : (
            <Tabs label="What is shown" tabs={VIEWS} selected={view} onSelect={setView} className="mb-3 border-b border-line">
              {view === 'Facts' ? (
                <PressEditor
                  key={`${shown.id} ${row?.version}`}
                  press={shown}
                  version={row?.version ?? null}
                  house={house}
                  onSaved={choose}
                />
              ) : (
                <Known
                  key={shown.id}
                  press={shown}
                  version={row?.version ?? 1}
                  view={view}
                  house={house}
                  isChecked={isChecked && shown.id === initialOn}
                />
              )}
            </Tabs>
          )}
        </section>
      )}
    </div>
  );
}

interface KnownProps {
  press: Press;
  version: number;
  view: 'Surface' | 'Pressure' | 'Warm-up';
  house: HouseUnits;
  isChecked: boolean;
}

/** What was found out about a press. */
function Known({ press, version, view, house, isChecked }: KnownProps) {
  const report = useRoute('pressReport', { params: { id: press.id } });
  if (!report.data) return <Pending error={report.error} what="what is known of it" />;
  if (view === 'Surface') return <SurfaceView press={press} report={report.data} house={house} isChecked={isChecked} />;
  if (view === 'Pressure') return <PressureView press={press} version={version} report={report.data} house={house} />;
  return <WarmUpView press={press} version={version} report={report.data} house={house} />;
}

function PressItem({ row: { press, measuredOn }, on, onChoose }: { row: PressRow; on: boolean; onChoose: () => void }) {
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
      <span className={measuredOn ? 'label block' : 'block font-semibold text-brick'}>
        {measuredOn
          ? `measured ${isoDayText(measuredOn)}`
          : `not measured: ±${formatForHouse('temperatureDifference', pressOffset(press).spreadK, house, 0)} assumed`}
      </span>
    </button>
  );
}
