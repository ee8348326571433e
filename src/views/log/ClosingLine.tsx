/** A closing as it was really made: how long the press was shut, what was read, and whether only a part was pressed. */
import type { Logged } from '../../contract';
import { COVER_SHEETS } from '../../core/heat';
import { partWords } from '../../core/run';
import { formatDuration, formatForHouse, type HouseUnits } from '../../core/units';

export function ClosingLine({ closing, house }: { closing: Logged['closings'][number]; house: HouseUnits }) {
  const { stage, plannedS, closedAt, openedAt, readC, setC, band, readings = [], passedOver, spot } = closing;
  const heat = (value: number) => <span className="figure">{formatForHouse('temperature', value, house)}</span>;
  return (
    <>
      {stage}: closed for <span className="figure">{((openedAt - closedAt) / 1000).toFixed(1)} s</span>, carded{' '}
      <span className="figure">{formatDuration(plannedS)}</span>
      {setC !== undefined && <>, set to {heat(setC)}</>}
      {band && `, ${band} pressure`}
      {typeof readC === 'number' && <>, read {heat(readC)} as it closed</>}
      {readings.map(({ by, value, at }) => (
        <span key={at}>
          , {by} {by === 'gauge' ? <span className="figure">{value.toFixed(1)}</span> : heat(value)}
        </span>
      ))}
      {passedOver && ', though its heat was off'}
      {spot && `, ${partWords(spot.area)}${spot.cover ? `, under ${COVER_SHEETS[spot.cover].name}` : ''}`}
    </>
  );
}
