/** The surface of a press: its map, what follows from it, surveys over time, and the way to the next one. */

import { useState } from 'react';
import type { PressReport } from '../../contract';
import { narrowestWindow, type PlatenMap, type Press, placeName, platensOf, settingFor, surfaceOver } from '../../core/press';
import { formatForHouse, formatQuantity, type HouseUnits, houseUnit, toInside, WIDTH_AND_HEIGHT } from '../../core/units';
import { isoDayText } from '../../ui/days';
import { mapWords, PlatenMapDrawing } from '../../ui/PlatenMap';
import { QuantityField } from '../../ui/QuantityField';
import { DeliveredDrawing } from './DeliveredDrawing';
import { DriftChart } from './DriftChart';
import { MeasuringWorth } from './MeasuringWorth';
import { PressRecords } from './PressRecords';
import { QuickCheck } from './QuickCheck';
import { RotateTest } from './RotateTest';

interface SurfaceViewProps {
  press: Press;
  report: PressReport;
  house: HouseUnits;
  /** Its quick check is open. */
  isChecked: boolean;
}

const ART = { widthMm: 250, heightMm: 250 };

export function SurfaceView({ press, report, house, isChecked }: SurfaceViewProps) {
  const upper = report.maps.find((map) => map.platen === 'upper');
  const typedLater = upper && press.calibration && press.calibration.on > upper.on;
  return (
    <>
      <div className="flex flex-wrap gap-2 pb-2">
        {platensOf(press).map((platen, i) => (
          <a
            key={platen.id}
            className={`act ${i === 0 && (report.due?.isDue ?? true) ? 'act-main' : ''}`}
            href={`/presses/${press.id}/survey?platen=${platen.id}`}
          >
            Survey the {platen.name}
          </a>
        ))}
      </div>
      {report.due && (
        <p className={report.due.isDue ? 'font-semibold text-brick' : 'label'}>
          {report.due.isDue
            ? 'The next survey is due.'
            : `Next survey in ${report.due.daysLeft} days or ${report.due.closingsLeft} closings, whichever comes first.`}
        </p>
      )}
      {upper && report.contradicts && <Contradicts of={report.contradicts} map={upper} house={house} />}
      {typedLater && (
        <p className="border-l-4 border-amber pl-3">
          The figures typed in on {press.calibration && isoDayText(press.calibration.on)} are newer than the survey of{' '}
          {isoDayText(upper.on)}: cards go by them.
        </p>
      )}
      {upper ? (
        <div className="grid grid-cols-[16rem_1fr] gap-6 pt-2 min-[75rem]:grid-cols-[20rem_1fr] narrow:block">
          <PlatenMapDrawing map={upper} house={house} most={320} />
          <MapFacts map={upper} press={press} house={house} />
        </div>
      ) : (
        <>
          <p className="max-w-prose py-2">
            No survey yet. Ten minutes with a probe or strips at five places, and every card on this press is corrected for what it really
            does where the art lies.
          </p>
          <DeliveredDrawing press={press} />
        </>
      )}
      {upper && !typedLater && <QuickCheck press={press} report={report} map={upper} isOpen={isChecked} />}
      <MeasuringWorth press={press} />
      {report.points.length > 0 && <DriftChart report={report} house={house} />}
      {report.maps
        .filter((map) => map.platen !== 'upper')
        .map((map) => (
          <section key={map.platen} className="pt-4">
            <h3 className="pb-1">{platensOf(press).find((platen) => platen.id === map.platen)?.name ?? map.platen}</h3>
            <div className="grid grid-cols-[20rem_1fr] gap-6 narrow:block">
              <PlatenMapDrawing map={map} house={house} most={240} />
              <MapFacts map={map} press={press} house={house} />
            </div>
          </section>
        ))}
      <RotateTest press={press} records={report.records.filter(({ id }) => !report.withdrawn.includes(id))} />
      <PressRecords
        pressId={press.id}
        report={report}
        kinds={['survey', 'quick check', 'rotate test']}
        title="Surveys and tests kept"
        house={house}
      />
    </>
  );
}

/** Two surveys that cannot both be right, and what to do. */
function Contradicts({ of, map, house }: { of: NonNullable<PressReport['contradicts']>; map: PlatenMap; house: HouseUnits }) {
  const by = formatForHouse('temperatureDifference', Math.abs(of.byK), house, 0);
  const where = of.allOver ? 'all over the platen' : `at the ${placeName(of, map)}`;
  return (
    <p className="border-l-4 border-brick pl-3" role="status">
      <strong>
        The survey of {isoDayText(map.on)} found it {by} {of.byK < 0 ? 'cooler' : 'hotter'} {where} than that of {isoDayText(of.on)}.
      </strong>{' '}
      That is more than both are good for. Cards go by the later one. Do a quick check; if that agrees with the earlier one, withdraw the
      later.
    </p>
  );
}

function MapFacts({ map, press, house }: { map: PlatenMap; press: Press; house: HouseUnits }) {
  const difference = (kelvin: number, decimals = 1) => formatForHouse('temperatureDifference', kelvin, house, decimals);
  const [wanted, setWanted] = useState(150);
  const [art, setArt] = useState({ widthMm: Math.min(ART.widthMm, map.widthMm), heightMm: Math.min(ART.heightMm, map.heightMm) });
  const tenK = toInside(10, houseUnit('temperatureDifference', house).first);
  const half = (map.offset.high - map.offset.low) / 2;
  const area = { xMm: 0, yMm: 0, ...art };
  const over = surfaceOver(map, area);
  const rows: [string, string][] = [
    ['Surveyed', `${isoDayText(map.on)}, ${map.how}`],
    ['Offset', `${difference(map.offset.mean)}, give or take ${difference(half)}`],
    [
      `Per ${difference(tenK, 0)} of setting`,
      `${difference(map.slope.mean * tenK)}, give or take ${difference(1.96 * map.slope.sd * tenK)}`,
    ],
    ['Over such art', `${difference(over.offsetK)}, give or take ${difference(over.spreadK)}`],
    ['Serves windows of', `${difference(narrowestWindow(map, area), 0)} and more`],
  ];
  return (
    <div>
      <p className="pb-2 font-semibold">{mapWords(map, house)}</p>
      <div className="grid grid-cols-2 items-center gap-x-4">
        <QuantityField
          label="For a surface of"
          kind="temperature"
          unit={house.temperature}
          house={house}
          value={wanted}
          min={60}
          max={240}
          onChange={(value) => value !== null && setWanted(value)}
        />
        <p className="text-lg">
          set <strong className="figure">{formatQuantity(settingFor(map, wanted), press.set.unit)}</strong>
        </p>
      </div>
      <div className="grid grid-cols-2 gap-x-4">
        {WIDTH_AND_HEIGHT.map((side) => (
          <QuantityField
            key={side}
            label={side === 'widthMm' ? 'Art in the middle, wide' : 'tall'}
            kind="length"
            unit={houseUnit('length', house).first}
            house={house}
            value={art[side]}
            min={10}
            max={map[side]}
            onChange={(value) => value !== null && setArt({ ...art, [side]: value })}
          />
        ))}
      </div>
      <dl className="m-0">
        {rows.map(([term, words]) => (
          <div key={term} className="rule-top grid grid-cols-[6.5rem_1fr] gap-3 min-[75rem]:grid-cols-[8.5rem_1fr] py-1.5">
            <dt className="label">{term}</dt>
            <dd className="m-0">{words}</dd>
          </div>
        ))}
      </dl>
    </div>
  );
}
