/** What every table of pressings shows alike: what was set, how long it was pressed, how it came out. */
import type { Logged } from '../../contract';
import { formatDuration, formatForHouse, type HouseUnits } from '../../core/units';
import type { Column } from '../../ui/DataTable';

/** @param widths of their headings, for a table whose columns do not go by what is in them */
export const figureColumns = (house: HouseUnits, widths: { set?: string; pressed?: string } = {}): Column<Logged>[] => [
  {
    head: 'Set',
    figures: true,
    look: 'text-right whitespace-nowrap',
    ...(widths.set && { headLook: widths.set }),
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
    cell: (p) => (p.pressedS === null ? 'not pressed' : `${p.pressedS.toFixed(1)} s`),
  },
];

/** Which piece it was, and for whom. */
export const Piece = ({ pressing: p }: { pressing: Logged }) => (
  <>
    {p.blankName} {p.size} <span className="label figure">no. {p.piece}</span>
    {p.person && <strong> {[p.person.number, p.person.name].filter(Boolean).join(' ')}</strong>}
  </>
);
