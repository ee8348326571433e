/** Every table of the app: named columns over rows, each row unfolding if it can. Thousands of rows: `LongTable`. */
import { type ColumnDef, type RowData, tableFeatures, useTable } from '@tanstack/react-table';
import { Fragment, type ReactNode, useMemo } from 'react';

export interface Column<Row> {
  /** Tells it from the others where its heading does not. */
  id?: string;
  head: ReactNode;
  cell: (row: Row, at: number) => ReactNode;
  /** Classes of its heading and its cells; of one of the two only. */
  look?: string;
  headLook?: string;
  cellLook?: string;
  /** Its cells are figures: they stand under one another. */
  figures?: boolean;
  /** Its cells name their row. */
  namesRow?: boolean;
}

export interface DataTableProps<Row> {
  columns: readonly Column<Row>[];
  rows: readonly Row[];
  idOf: (row: Row, at: number) => string;
  label?: string;
  caption?: ReactNode;
  captionLook?: string;
  look?: string;
  headLook?: string;
  rowLook?: (row: Row, at: number) => string;
  /** What a row unfolds into; null: it is folded. */
  below?: (row: Row) => ReactNode;
}

const features = tableFeatures({});

const columnDefs = <Row extends RowData>(columns: readonly Column<Row>[]): ColumnDef<typeof features, Row>[] =>
  columns.map((column, at) => ({
    id: column.id ?? (typeof column.head === 'string' && column.head !== '' ? column.head : `column ${at}`),
    header: () => column.head,
    cell: ({ row }) => column.cell(row.original, row.index),
  }));

export function useRows<Row extends RowData>({ columns, rows, idOf }: Pick<DataTableProps<Row>, 'columns' | 'rows' | 'idOf'>) {
  const defs = useMemo(() => columnDefs(columns), [columns]);
  return useTable<typeof features, Row>({ features, columns: defs, data: rows, getRowId: idOf });
}
type RowsTable<Row extends RowData> = ReturnType<typeof useRows<Row>>;

/** Space and weight of a cell, unless a column brings its own. */
const HEAD = 'pr-5 pb-1 align-bottom font-normal';
const CELL = 'py-1.5 pr-5 align-top';

export function Head<Row extends RowData>({
  table,
  columns,
  look = 'label',
}: {
  table: RowsTable<Row>;
  columns: readonly Column<Row>[];
  look?: string | undefined;
}) {
  // a table whose rows speak for themselves has no head
  if (columns.every(({ head }) => head === '')) return null;
  return (
    <thead className={look}>
      {table.getHeaderGroups().map((group) => (
        <tr key={group.id}>
          {group.headers.map((header, i) => (
            <th
              key={header.id}
              scope="col"
              className={`${columns[i]?.cellLook ? 'pb-1 align-bottom' : HEAD} ${columns[i]?.look ?? ''} ${columns[i]?.headLook ?? ''}`}
            >
              <table.FlexRender header={header} />
            </th>
          ))}
        </tr>
      ))}
    </thead>
  );
}

type OneRow<Row extends RowData> = ReturnType<RowsTable<Row>['getRowModel']>['rows'][number];

export function Cells<Row extends RowData>({
  table,
  row,
  columns,
}: {
  table: RowsTable<Row>;
  row: OneRow<Row>;
  columns: readonly Column<Row>[];
}) {
  return row.getAllCells().map((cell, i) => {
    const look = `${columns[i]?.cellLook ?? CELL} ${columns[i]?.look ?? ''} ${columns[i]?.figures ? 'figure' : ''}`;
    return columns[i]?.namesRow ? (
      <th key={cell.id} scope="row" className={`${look} text-left ${columns[i]?.cellLook ? '' : 'font-normal'}`}>
        <table.FlexRender cell={cell} />
      </th>
    ) : (
      <td key={cell.id} className={look}>
        <table.FlexRender cell={cell} />
      </td>
    );
  });
}

export function DataTable<Row extends RowData>({
  columns,
  rows,
  idOf,
  label,
  caption,
  captionLook = 'label pb-1 text-left',
  look = 'text-left',
  headLook,
  rowLook = () => 'rule-top',
  below,
}: DataTableProps<Row>) {
  const table = useRows({ columns, rows, idOf });
  return (
    // a table too wide for a phone is moved within its own box, never the page
    <div className="framed-table relative narrow:overflow-x-auto">
      <table className={`border-collapse ${look}`} aria-label={label}>
        {caption && <caption className={captionLook}>{caption}</caption>}
        <Head table={table} columns={columns} look={headLook} />
        <tbody>
          {table.getRowModel().rows.map((row) => {
            const unfolded = below?.(row.original);
            return (
              <Fragment key={row.id}>
                <tr className={rowLook(row.original, row.index)}>
                  <Cells table={table} row={row} columns={columns} />
                </tr>
                {unfolded && (
                  <tr>
                    <td colSpan={columns.length} className="pb-4">
                      {unfolded}
                    </td>
                  </tr>
                )}
              </Fragment>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
