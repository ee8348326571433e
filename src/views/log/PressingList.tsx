/** Pressings as a long list, newest first: only the rows in sight are drawn, and older ones are fetched as they come near. */
import { useMemo } from 'react';
import type { Logged } from '../../contract';
import { formatDuration, formatForHouse, type HouseUnits } from '../../core/units';
import type { Column } from '../../ui/DataTable';
import type { Density } from '../../ui/density';
import { useUnits } from '../../ui/house';
import { LongTable } from '../../ui/LongTable';
import { useNarrow } from '../../ui/useNarrow';
import { Outcome } from './PressingTable';
import { figureColumns, laidBackText, outcomeKey, outcomeLook, Piece, phoneColumns, pieceKey, When } from './pressingColumns';

/** Height of a row that needs no more, px, by how the list is shown. */
const ROW_PX = { roomy: 64, compact: 31, phone: 104 } as const;
type Shown = keyof typeof ROW_PX;

interface PressingListProps {
  pressings: Logged[];
  density: Density;
  more: boolean;
  onMore: () => void;
  /** All of them are here: they can be sorted. */
  isWhole: boolean;
  /** Columns that are not shown. */
  hidden: readonly string[];
}

export function PressingList({ pressings, density, more, onMore, isWhole, hidden }: PressingListProps) {
  const house = useUnits();
  const shown: Shown = useNarrow() ? 'phone' : density;
  const columns = useMemo(() => {
    const all = { roomy: roomyColumns, compact: compactColumns, phone: phoneColumns }[shown](house);
    // what is not here yet cannot be sorted in
    return isWhole ? all : all.map(({ sortBy: _, ...column }) => column);
  }, [house, shown, isWhole]);
  return (
    <LongTable
      key={shown}
      look="text-left text-[0.95rem] leading-tight"
      columns={columns}
      rows={pressings}
      idOf={({ id }) => id}
      rowLook={({ withdrawn }) => `rule-top ${withdrawn ? 'text-soft line-through' : ''}`}
      rowPx={ROW_PX[shown]}
      more={more}
      onMore={onMore}
      hidden={shown === 'phone' ? [] : hidden}
    />
  );
}

/** The columns somebody can choose among. */
export const listColumns = (density: Density, house: HouseUnits): Column<Logged>[] =>
  (density === 'compact' ? compactColumns : roomyColumns)(house);

/** One line a piece. */
const compactColumns = (house: HouseUnits): Column<Logged>[] => {
  const one = { cellLook: 'py-0.5 pr-4 align-middle leading-tight' };
  return [
    {
      head: 'When',
      sortBy: (p) => p.endedAt,
      figures: true,
      headLook: 'w-[13.5%]',
      cellLook: 'pr-4 align-middle leading-tight',
      cell: (p) => <When pressing={p} look="inline-flex min-h-7.5 items-center pointer-coarse:min-h-11" />,
    },
    { head: 'Order', sortBy: (p) => p.orderName, headLook: 'w-[20%]', ...one, cell: (p) => p.orderName },
    { head: 'Piece', sortBy: pieceKey, headLook: 'w-[24%]', ...one, cell: (p) => <Piece pressing={p} markPx={26} /> },
    { head: 'Transfer', sortBy: (p) => p.layerNames.join(', '), headLook: 'w-[16%]', ...one, cell: (p) => p.layerNames.join(', ') },
    {
      head: 'Set',
      sortBy: (p) => p.setC,
      headLook: 'w-[10.5%]',
      figures: true,
      ...one,
      cell: (p) => `${formatForHouse('temperature', p.setC, house)} ${formatDuration(p.timeS)}`,
    },
    {
      head: 'Came out',
      sortBy: outcomeKey,
      headLook: 'w-[16%]',
      ...one,
      cell: (p) => (
        <>
          <span className={outcomeLook(p)}>{p.outcome}</span> {p.withdrawn ? 'withdrawn' : (p.reason ?? laidBackText(p))}
        </>
      ),
    },
  ];
};

const roomyColumns = (house: HouseUnits): Column<Logged>[] => [
  {
    head: 'When',
    sortBy: (p) => p.endedAt,
    figures: true,
    headLook: 'w-[11%]',
    cell: (p) => <When pressing={p} look="inline-flex min-h-12 items-start" />,
  },
  { head: 'Order', sortBy: (p) => p.orderName, headLook: 'w-[19%]', cell: (p) => p.orderName },
  {
    head: 'Piece',
    sortBy: pieceKey,
    headLook: 'w-[22%]',
    cell: (p) => (
      <>
        <Piece pressing={p} markPx={32} />
        <span className="label block">
          {p.artName}, {p.position}
        </span>
      </>
    ),
  },
  {
    head: 'Transfer, press',
    sortBy: (p) => p.layerNames.join(', '),
    headLook: 'w-[17%]',
    cell: (p) => (
      <>
        <span className="block">{p.layerNames.join(', ')}</span>
        <span className="label block">{p.pressName}</span>
      </>
    ),
  },
  ...figureColumns(house, { set: 'w-[9%]', pressed: 'w-[10%]' }),
  { head: 'Came out', sortBy: outcomeKey, headLook: 'w-[12%]', cell: (p) => <Outcome pressing={p} /> },
];
