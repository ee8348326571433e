/** Pressings as a long list, newest first: only the rows in sight are drawn, and older ones are fetched as they come near. */
import { useMemo } from 'react';
import type { Logged } from '../../contract';
import { formatDuration, formatForHouse, type HouseUnits } from '../../core/units';
import type { Column } from '../../ui/DataTable';
import { instantText } from '../../ui/days';
import { useUnits } from '../../ui/house';
import { LongTable } from '../../ui/LongTable';
import { Outcome } from './PressingTable';

const ROW = 70;

interface PressingListProps {
  pressings: Logged[];
  more: boolean;
  onMore: () => void;
}

export function PressingList({ pressings, more, onMore }: PressingListProps) {
  const house = useUnits();
  const columns = useMemo(() => columnsOf(house), [house]);
  return (
    <LongTable
      look="text-left text-[0.95rem] leading-tight"
      columns={columns}
      rows={pressings}
      idOf={({ id }) => id}
      rowLook={({ withdrawn }) => `rule-top ${withdrawn ? 'text-soft line-through' : ''}`}
      rowPx={ROW}
      more={more}
      onMore={onMore}
    />
  );
}

const columnsOf = (house: HouseUnits): Column<Logged>[] => [
  {
    head: 'When',
    figures: true,
    headLook: 'w-36',
    cell: (p) => (
      <a href={`/log/${p.id}`} className="inline-flex min-h-12 items-start">
        {instantText(p.endedAt)}
        <span className="sr-only"> open the record</span>
      </a>
    ),
  },
  { head: 'Order', cell: (p) => <span className="line-clamp-2">{p.orderName}</span> },
  {
    head: 'Piece',
    headLook: 'w-64',
    cell: (p) => (
      <>
        <span className="block truncate">
          {p.blankName} {p.size} <span className="label figure">no. {p.piece}</span>
          {p.person && <strong> {[p.person.number, p.person.name].filter(Boolean).join(' ')}</strong>}
        </span>
        <span className="label block truncate">
          {p.artName}, {p.position}
        </span>
      </>
    ),
  },
  {
    head: 'Transfer, press',
    headLook: 'w-52',
    cell: (p) => (
      <>
        <span className="block truncate">{p.layerNames.join(', ')}</span>
        <span className="label block truncate">{p.pressName}</span>
      </>
    ),
  },
  {
    head: 'Set',
    figures: true,
    look: 'text-right',
    headLook: 'w-20',
    cell: (p) => (
      <>
        {formatForHouse('temperature', p.setC, house)}
        <span className="label block">{formatDuration(p.timeS)}</span>
      </>
    ),
  },
  {
    head: 'Pressed',
    figures: true,
    look: 'text-right',
    headLook: 'w-28',
    cell: (p) => (p.pressedS === null ? 'not pressed' : `${p.pressedS.toFixed(1)} s`),
  },
  { head: 'Came out', headLook: 'w-36', cell: (p) => <Outcome pressing={p} /> },
];
