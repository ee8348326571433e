/** A table of thousands: only the rows in sight are drawn, and more are fetched as its end comes near. */
import type { RowData } from '@tanstack/react-table';
import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import { Cells, type DataTableProps, Head, useRows, walkRows } from './DataTable';

/** Rows below the sight when more of them are fetched. */
const NEAR = 40;

interface LongTableProps<Row> extends Omit<DataTableProps<Row>, 'below' | 'caption' | 'captionLook'> {
  /** Height of a row that needs no more, px. */
  rowPx: number;
  /** There are more than those given. */
  more: boolean;
  onMore: () => void;
}

export function LongTable<Row extends RowData>({
  columns,
  rows,
  idOf,
  label,
  look = 'text-left',
  headLook,
  rowLook = () => 'rule-top',
  rowPx,
  more,
  onMore,
  hidden,
}: LongTableProps<Row>) {
  const table = useRows({ columns, rows, idOf, ...(hidden && { hidden }) });
  const box = useRef<HTMLTableElement>(null);
  const [top, setTop] = useState(0);
  useLayoutEffect(() => setTop(box.current?.offsetTop ?? 0), []);
  const virtual = useWindowVirtualizer({ count: rows.length, estimateSize: () => rowPx, overscan: 12, scrollMargin: top });
  const items = virtual.getVirtualItems();
  const [first, last] = [items[0], items.at(-1)];
  useEffect(() => {
    if (more && (last?.index ?? 0) > rows.length - NEAR) onMore();
  }, [more, last?.index, rows.length, onMore]);
  const all = table.getRowModel().rows;
  return (
    <table
      ref={box}
      aria-label={label}
      aria-rowcount={rows.length + 1}
      onKeyDown={walkRows}
      className={`w-full table-fixed border-collapse ${look}`}
    >
      <Head table={table} columns={columns} look={headLook} />
      <tbody>
        {first && <Gap height={first.start - top} />}
        {items.map(({ index }) => {
          const row = all[index];
          return (
            row && (
              <tr
                key={row.id}
                ref={virtual.measureElement}
                data-index={index}
                aria-rowindex={index + 2}
                style={{ height: rowPx }}
                className={rowLook(row.original, index)}
              >
                <Cells table={table} row={row} columns={columns} />
              </tr>
            )
          );
        })}
        {last && <Gap height={virtual.getTotalSize() - (last.end - top)} />}
      </tbody>
    </table>
  );
}

/** Room of the rows that are not drawn. */
const Gap = ({ height }: { height: number }) => (height > 0 ? <tr style={{ height }} /> : null);
