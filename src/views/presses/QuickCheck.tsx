/** A quick check: one to five readings in a minute, told at once against the last survey. */

import { useState } from 'react';
import type { PressReport } from '../../contract';
import { FINISHES, type Instrument, isAsItWas, MOST_CHECKED, PLANS, type PlatenMap, type Press } from '../../core/press';
import { formatForHouse, type HouseUnits, toInside } from '../../core/units';
import { isoDayText } from '../../ui/days';
import { Fault } from '../../ui/Fault';
import { useUnits } from '../../ui/house';
import { QuantityField } from '../../ui/QuantityField';
import { useRoute } from '../../ui/query';
import { InstrumentFields } from './InstrumentFields';
import { useKeepRecord } from './useKeepRecord';

const PLACES = ['Middle', 'Back left', 'Back right', 'Front right', 'Front left'] as const;
interface QuickCheckProps {
  press: Press;
  report: PressReport;
  map: PlatenMap;
}

export function QuickCheck({ press, report, map }: QuickCheckProps) {
  const house = useUnits();
  const room = useRoute('house', {});
  const [instrument, setInstrument] = useState<Instrument>({ kind: 'probe' });
  const [finish, setFinish] = useState(press.finish ?? FINISHES[0]);
  const [setC, setSetC] = useState(house.temperature === 'F' ? toInside(300, 'F') : 150);
  const [read, setRead] = useState<(number | null)[]>(PLACES.map(() => null));
  const { save: keep, fault } = useKeepRecord(press.id);
  const last = report.checks.find(({ platen }) => platen === map.platen);
  const places = PLANS.five(map).slice(0, MOST_CHECKED);
  const readings = places.flatMap((place, i) => {
    const readC = read[i];
    return typeof readC === 'number' ? [{ ...place, setC, readC }] : [];
  });
  const roomC = room.data?.house.room.tempC ?? 21;
  const send = async () => {
    if (await keep({ kind: 'quick check', platen: map.platen, instrument, finish, roomC, readings })) setRead(PLACES.map(() => null));
  };
  return (
    <section aria-label="Quick check" className="pt-4">
      <h3 className="pb-1">Quick check: is it still what the survey found?</h3>
      {last && <Found check={last} map={map} house={house} />}
      <details>
        <summary className="min-h-12 cursor-pointer py-3 font-semibold text-teal">Read one to five places</summary>
        <div className="grid grid-cols-1 gap-x-5 sm:grid-cols-3">
          <InstrumentFields
            instrument={instrument}
            finish={finish}
            house={house}
            onAnother={setInstrument}
            onSet={setInstrument}
            onFinish={setFinish}
          />
          <QuantityField
            label="Press set to"
            kind="temperature"
            unit={press.set.unit}
            house={house}
            value={setC}
            min={press.set.minC}
            max={press.set.maxC}
            onChange={(value) => value !== null && setSetC(value)}
          />
          {PLACES.map((place, i) => (
            <QuantityField
              key={place}
              label={`${place} reads`}
              kind="temperature"
              unit={press.set.unit}
              house={house}
              value={read[i] ?? null}
              min={0}
              max={350}
              onChange={(value) => setRead(read.map((one, at) => (at === i ? value : one)))}
            />
          ))}
        </div>
        <p className="border-l-4 border-amber pl-3">
          The platen is at cooking temperature: hold probe or gun by its handle, and keep the other hand out.
        </p>
        <button type="button" className="act mt-2" disabled={readings.length === 0} onClick={() => void send()}>
          Keep this check
        </button>
      </details>
      <Fault of={fault} />
    </section>
  );
}

/** What the last check found, and what to do about it. */
function Found({ check, map, house }: { check: PressReport['checks'][number]; map: PlatenMap; house: HouseUnits }) {
  const asItWas = isAsItWas(check, map.offset.sd);
  const by = formatForHouse('temperatureDifference', Math.abs(check.differenceK), house, 0);
  const sure = formatForHouse('temperatureDifference', 2 * check.sdK, house, 0);
  const than = check.differenceK < 0 ? 'cooler' : 'hotter';
  return (
    <p role="status" className={asItWas ? '' : 'border-l-4 border-brick pl-3 font-semibold'}>
      {isoDayText(check.on)}: {by} {than} than its survey of {isoDayText(map.on)}, give or take {sure}.{' '}
      {asItWas
        ? 'That is as it was: cards are surer of it again.'
        : 'It has changed, or one of the two was read wrong. Check it once more; if it stays so, survey it anew. Cards follow it meanwhile.'}
    </p>
  );
}
