/** Every record of one kind that was kept of a press: a wrong one is withdrawn, and can be counted again. */

import type { PressReport } from '../../contract';
import type { PressRecord } from '../../core/press';
import { formatDuration, formatQuantity, type HouseUnits } from '../../core/units';
import { instantText } from '../../ui/days';
import { Fault } from '../../ui/Fault';
import { LeftOut } from '../../ui/LeftOut';
import { newId } from '../../ui/newId';
import { useOperator } from '../../ui/operator';
import { useSave, write } from '../../ui/write';

interface PressRecordsProps {
  pressId: string;
  report: PressReport;
  kinds: readonly PressRecord['kind'][];
  title: string;
  house: HouseUnits;
}

export function PressRecords({ pressId, report, kinds, title, house }: PressRecordsProps) {
  const [by] = useOperator();
  const own = report.records.filter((record) => kinds.includes(record.kind));
  const say = async (recordId: string, to: 'withdrawn' | 'counts') => {
    const why = to === 'withdrawn' ? 'withdrawn on the page of its press' : 'counted again';
    await write('putPressAmendment', { params: { id: pressId, recordId, amendmentId: newId() }, body: { to, by, why } });
  };
  const { save, fault } = useSave(
    ({ record, to }: { record: PressRecord; to: 'withdrawn' | 'counts' }) =>
      `${record.kind} ${to === 'withdrawn' ? 'withdrawn' : 'counted again'}`,
    async ({ record, to }) => {
      await say(record.id, to);
      return () => say(record.id, to === 'withdrawn' ? 'counts' : 'withdrawn');
    },
  );
  if (own.length === 0 && report.unreadable.length === 0) return null;
  return (
    <details className="rule-top mt-5 pt-3">
      <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">
        {title} <span className="label">({own.length})</span>
      </summary>
      <LeftOut of={report.unreadable} />
      <Fault of={fault} />
      <ul>
        {own.map((record) => {
          const withdrawn = report.withdrawn.includes(record.id);
          return (
            <li key={record.id} className="rule-top flex flex-wrap items-center justify-between gap-x-4 py-1" data-record={record.id}>
              <span className={withdrawn ? 'text-soft line-through' : ''}>
                <span className="label figure">{instantText(record.at)}</span> {wordsOf(record, house)}
                {record.by && <span className="label"> {record.by}</span>}
              </span>
              <span className="flex items-center gap-3">
                {withdrawn && <span className="label">does not count</span>}
                <button
                  type="button"
                  className="act act-quiet"
                  onClick={() => void save({ record, to: withdrawn ? 'counts' : 'withdrawn' })}
                >
                  {withdrawn ? 'Count it again' : 'Withdraw'}
                </button>
              </span>
            </li>
          );
        })}
      </ul>
    </details>
  );
}

function wordsOf(record: PressRecord, house: HouseUnits): string {
  switch (record.kind) {
    case 'survey':
      return `${record.platen} platen, ${record.readings.length} readings by ${record.instrument.kind}`;
    case 'quick check':
      return `quick check, ${record.readings.length} ${record.readings.length === 1 ? 'place' : 'places'} by ${record.instrument.kind}`;
    case 'rotate test':
      return `rotate test: it ${record.badStayedWith === 'press' ? 'stayed on the press' : 'went with the piece'}`;
    case 'paper pull':
      return 'paper slips pulled';
    case 'heating time':
      return `${formatQuantity(record.fromC, house.temperature)} to ${formatQuantity(record.toC, house.temperature)} in ${formatDuration(record.seconds)}`;
  }
}
