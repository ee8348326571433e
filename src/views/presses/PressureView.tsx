/** The pressure of a press in its own terms: air by its cylinders, a dial by its pairs, and paper slips for every kind. */
import type { PressReport } from '../../contract';
import { isHandHeld, type Press } from '../../core/press';
import type { HouseUnits } from '../../core/units';
import { AirFigures } from './AirFigures';
import { DialFigures } from './DialFigures';
import { PaperPullTest } from './PaperPullTest';
import { PressRecords } from './PressRecords';

interface PressureViewProps {
  press: Press;
  version: number;
  report: PressReport;
  house: HouseUnits;
}

export function PressureView({ press, version, report, house }: PressureViewProps) {
  return (
    <>
      {press.gauge.kind === 'air' && <AirFigures key={JSON.stringify(press.drive)} press={press} version={version} house={house} />}
      {press.gauge.kind === 'dial' && <DialFigures gauge={press.gauge} house={house} />}
      {press.gauge.kind === 'none' && (
        <p className="max-w-prose pb-3">
          {isHandHeld(press)
            ? `${press.name} is held in the hand: the arms give light to medium at best, and not the same twice. Its cards say so.`
            : `${press.name} has no gauge. Paper slips at its corners tell how hard it closes, and whether its platens lie parallel.`}
        </p>
      )}
      {!isHandHeld(press) && <PaperPullTest press={press} report={report} />}
      <PressRecords pressId={press.id} report={report} kinds={['paper pull']} title="Paper slips kept" house={house} />
    </>
  );
}
