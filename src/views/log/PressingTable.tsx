/** Pressings as rows, newest first; a row unfolds into what was really done. */
import { useState } from 'react';
import { API, type Logged } from '../../contract';
import { formatDuration, formatForHouse, type HouseUnits } from '../../core/units';
import { type Column, DataTable } from '../../ui/DataTable';
import { instantText } from '../../ui/days';
import { useUnits } from '../../ui/house';
import { useNarrow } from '../../ui/useNarrow';
import { ClosingLine } from './ClosingLine';
import { figureColumns, laidBackText, outcomeKey, Piece, phoneColumns, pieceKey } from './pressingColumns';

export function PressingTable({ pressings }: { pressings: Logged[] }) {
  const house = useUnits();
  const narrow = useNarrow();
  const [open, setOpen] = useState<string | null>(null);
  return (
    <DataTable
      look="w-full text-left text-[0.95rem]"
      columns={[...(narrow ? phoneColumns(house, true) : columnsOf(house)), moreColumn(open, setOpen)]}
      rows={pressings}
      idOf={({ id }) => id}
      rowLook={({ withdrawn }) => `rule-top ${withdrawn ? 'text-soft line-through' : ''}`}
      below={(p) => open === p.id && <PressingDetail pressing={p} toRecord />}
    />
  );
}

const columnsOf = (house: HouseUnits): Column<Logged>[] => [
  { head: 'When', figures: true, look: 'whitespace-nowrap', sortBy: (p) => p.endedAt, cell: (p) => instantText(p.endedAt) },
  {
    head: 'Piece',
    sortBy: pieceKey,
    cell: (p) => (
      <>
        <Piece pressing={p} />
        <span className="label block">
          {p.artName}, {p.position}
        </span>
      </>
    ),
  },
  {
    head: 'Transfer, press',
    sortBy: (p) => `${p.productName} ${p.pressName}`,
    cell: (p) => (
      <>
        {p.productName}
        <span className="label block">{p.pressName}</span>
      </>
    ),
  },
  ...figureColumns(house),
  { head: 'Came out', sortBy: outcomeKey, cell: (p) => <Outcome pressing={p} /> },
];

const moreColumn = (open: string | null, onOpen: (id: string | null) => void): Column<Logged> => ({
  id: 'more',
  head: '',
  look: 'text-right',
  cell: (p) => (
    <button type="button" className="act act-quiet" aria-expanded={open === p.id} onClick={() => onOpen(open === p.id ? null : p.id)}>
      {open === p.id ? 'Less' : 'More'}
      <span className="sr-only">
        {' '}
        about piece {p.piece} of {p.orderName}
      </span>
    </button>
  ),
});

export function Outcome({ pressing: p }: { pressing: Logged }) {
  return (
    <>
      <span className={p.outcome === 'spoiled' ? 'font-semibold text-brick' : 'font-semibold'}>{p.outcome}</span>
      {p.reason && <span className="block">{p.reason}</span>}
      {p.lost && <span className="label block">the {p.lost} alone</span>}
      {p.laidBack > 0 && <span className="label block">{laidBackText(p)}</span>}
      {p.withdrawn && <span className="label block">withdrawn</span>}
    </>
  );
}

export function PressingDetail({ pressing: p, toRecord = false }: { pressing: Logged; toRecord?: boolean }) {
  const house = useUnits();
  return (
    <div className="border-l-4 border-teal bg-sheet px-4 py-3">
      <ul>
        {p.closings.map((closing) => (
          <li key={closing.closedAt}>
            <ClosingLine closing={closing} house={house} />
          </li>
        ))}
        {p.closings.length === 0 && <li>The press was never closed on it.</li>}
        {(p.peels ?? []).map((peel, i) => (
          <li key={i}>
            {peel.peel} peel: begun after <span className="figure">{peel.tookS.toFixed(1)} s</span>, carded{' '}
            <span className="figure">{formatDuration(peel.plannedS)}</span>
          </li>
        ))}
      </ul>
      <p className="label pt-1">
        {p.layerNames.join(', then ')} · {p.fabricName} · {p.pressureBand} pressure · {p.peel} peel · room{' '}
        {formatForHouse('temperature', p.roomC, house)}, {p.humidityPercent} % · {p.operator ? `pressed by ${p.operator}` : 'no initials'} ·
        card <span className="figure">{p.cardHash.slice(0, 8)}</span>
      </p>
      {p.note && <p className="pt-1">“{p.note}”</p>}
      {p.photos && (
        <p className="flex flex-wrap gap-2 pt-2">
          {p.photos.map((id, i) => (
            <a key={id} href={`${API}/photos/${id}`} target="_blank" rel="noreferrer">
              <img
                src={`${API}/photos/${id}`}
                alt={`${i + 1} of piece ${p.piece}`}
                loading="lazy"
                className="h-40 w-auto border border-line"
              />
            </a>
          ))}
        </p>
      )}
      {toRecord && (
        <p className="pt-1">
          <a href={`/log/${p.id}`}>The whole record, with its card as it was</a>
        </p>
      )}
      {p.amendments
        .filter((amendment) => amendment.field !== 'placement')
        .map((amendment) => (
          <p key={amendment.id} className="pt-1">
            {instantText(amendment.at)}: {amendment.field} from {amendment.from} to {amendment.to}, {amendment.why}
          </p>
        ))}
    </div>
  );
}
