/** Pressings as a long list, newest first: only the rows in sight are drawn, and older ones are fetched as they come near. */
import { useMemo } from 'react';
import type { Logged } from '../../contract';
import type { HouseUnits } from '../../core/units';
import type { Column } from '../../ui/DataTable';
import { instantText } from '../../ui/days';
import { useUnits } from '../../ui/house';
import { LongTable } from '../../ui/LongTable';
import { Outcome } from './PressingTable';
import { figureColumns, Piece } from './pressingColumns';

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
          <Piece pressing={p} />
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
  ...figureColumns(house, { set: 'w-20', pressed: 'w-28' }),
  { head: 'Came out', headLook: 'w-36', cell: (p) => <Outcome pressing={p} /> },
];
