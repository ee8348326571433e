/** What every table of pressings shows alike: what was set, how long it was pressed, how it came out. */
import type { Logged } from '../../contract';
import { formatDuration, formatForHouse, type HouseUnits } from '../../core/units';
import type { Column } from '../../ui/DataTable';
import { instantText } from '../../ui/days';
import { PieceMark } from '../../ui/PieceMark';

/** @param widths of their headings, for a table whose columns do not go by what is in them */
export const figureColumns = (house: HouseUnits, widths: { set?: string; pressed?: string } = {}): Column<Logged>[] => [
  {
    head: 'Set',
    figures: true,
    look: 'text-right whitespace-nowrap',
    ...(widths.set && { headLook: widths.set }),
    sortBy: (p) => p.setC,
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
    look: 'text-right whitespace-nowrap',
    ...(widths.pressed && { headLook: widths.pressed }),
    sortBy: (p) => p.pressedS ?? -1,
    cell: (p) => (p.pressedS === null ? 'not pressed' : `${p.pressedS.toFixed(1)} s`),
  },
];

/** Words a piece is sorted by. */
export const pieceKey = (p: Logged): string => `${p.blankName} ${p.size} ${p.orderName} ${p.piece}`;
export const outcomeKey = (p: Logged): string => `${p.outcome} ${p.reason ?? ''}`;

/** Which piece it was, and for whom. @param markPx how large it is shown beside its name; absent: not at all */
export const Piece = ({ pressing: p, markPx }: { pressing: Logged; markPx?: number }) => (
  <span className="flex items-center gap-2">
    {markPx && <PieceMark orderId={p.orderId} lineId={p.lineId} size={markPx} />}
    <span className="min-w-0">
      {p.blankName} {p.size} <span className="label figure whitespace-nowrap">no. {p.piece}</span>
      {p.person && <strong> {[p.person.number, p.person.name].filter(Boolean).join(' ')}</strong>}
    </span>
  </span>
);

/** When it was looked over, and the way to its record. */
export const When = ({ pressing: p, look }: { pressing: Logged; look: string }) => (
  <a href={`/log/${p.id}`} className={look}>
    {instantText(p.endedAt)}
    <span className="sr-only"> open the record</span>
  </a>
);

/** Its film was laid down and pressed again; never: nothing. */
export const laidBackText = ({ laidBack }: Logged): string =>
  laidBack === 0 ? '' : `laid back ${laidBack === 1 ? 'once' : `${laidBack} times`}`;

export const outcomeLook = ({ outcome }: Logged): string => (outcome === 'spoiled' ? 'font-semibold text-brick' : 'font-semibold');

/** A piece under the other, each as a block of lines. @param ofOrder they are of one order, which the page names */
export const phoneColumns = (house: HouseUnits, ofOrder = false): Column<Logged>[] => [
  {
    head: 'Piece',
    cell: (p) => (
      <span className="block py-1 [overflow-wrap:anywhere]">
        <span className="flex flex-wrap items-baseline justify-between gap-x-3">
          <When pressing={p} look="figure inline-flex min-h-11 items-center whitespace-nowrap" />
          <span className={outcomeLook(p)}>{p.withdrawn ? 'withdrawn' : p.outcome}</span>
        </span>
        <span className="block font-semibold">
          <Piece pressing={p} {...(!ofOrder && { markPx: 32 })} />
        </span>
        <span className="label block">
          {p.reason && <b className="text-brick">{p.reason} · </b>}
          {p.laidBack > 0 && <b>{laidBackText(p)} · </b>}
          {ofOrder ? '' : `${p.orderName} · `}
          {p.layerNames.join(', ')} · {formatForHouse('temperature', p.setC, house)}, {formatDuration(p.timeS)}
        </span>
      </span>
    ),
  },
];
