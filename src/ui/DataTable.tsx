/** Every table of the app: named columns over rows, each row unfolding if it can. Thousands of rows: `LongTable`. */
import {
  type ColumnDef,
  columnVisibilityFeature,
  createSortedRowModel,
  type RowData,
  rowSortingFeature,
  tableFeatures,
  useTable,
} from '@tanstack/react-table';
import { Fragment, type KeyboardEvent, type ReactNode, useMemo } from 'react';

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
  /** What rows are sorted by where its heading is touched; absent: they are not. */
  sortBy?: (row: Row) => string | number;
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
  /** Columns that are not shown, by their id. */
  hidden?: readonly string[];
}

const features = tableFeatures({ rowSortingFeature, columnVisibilityFeature, sortedRowModel: createSortedRowModel() });

const { compare: compareWords } = new Intl.Collator('en', { numeric: true });
/** Figures by their size, words as people sort them: tee 9 before tee 10. */
const compared = (a: unknown, b: unknown): number =>
  typeof a === 'number' && typeof b === 'number' ? a - b : compareWords(String(a), String(b));

/** A column's id: its own, or its heading. */
export const columnId = <Row,>({ id, head }: Column<Row>, at: number): string =>
  id ?? (typeof head === 'string' && head !== '' ? head : `column ${at}`);

const columnDefs = <Row extends RowData>(columns: readonly Column<Row>[]): ColumnDef<typeof features, Row>[] =>
  columns.map((column, at) => ({
    id: columnId(column, at),
    header: () => column.head,
    cell: ({ row }) => column.cell(row.original, row.index),
    ...(column.sortBy
      ? { accessorFn: column.sortBy, sortFn: (a, b, id) => compared(a.getValue(id), b.getValue(id)), sortDescFirst: false }
      : { enableSorting: false }),
  }));

export function useRows<Row extends RowData>({
  columns,
  rows,
  idOf,
  hidden = [],
}: Pick<DataTableProps<Row>, 'columns' | 'rows' | 'idOf' | 'hidden'>) {
  const defs = useMemo(() => columnDefs(columns), [columns]);
  const columnVisibility = Object.fromEntries(hidden.map((id) => [id, false]));
  return useTable<typeof features, Row>({ features, columns: defs, data: rows, getRowId: idOf, state: { columnVisibility } });
}
type RowsTable<Row extends RowData> = ReturnType<typeof useRows<Row>>;

/** Space and weight of a cell, unless a column brings its own. */
const HEAD = 'pr-5 pb-1 align-bottom font-normal';
const CELL = 'py-1.5 pr-5 align-top';

const SORTED = { asc: 'ascending', desc: 'descending' } as const;

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
          {group.headers.map((header) => {
            const column = columns.find((one, at) => columnId(one, at) === header.column.id);
            const sorted = header.column.getIsSorted();
            return (
              <th
                key={header.id}
                scope="col"
                aria-sort={sorted ? SORTED[sorted] : undefined}
                className={`${column?.cellLook ? 'pb-1 align-bottom' : HEAD} ${column?.look ?? ''} ${column?.headLook ?? ''}`}
              >
                {header.column.getCanSort() ? (
                  <button
                    type="button"
                    className="min-w-11 border-0 pointer-coarse:-my-2 pointer-coarse:min-h-11 bg-transparent p-0 text-inherit hover:underline"
                    onClick={header.column.getToggleSortingHandler()}
                  >
                    <table.FlexRender header={header} />
                    <span aria-hidden="true">{sorted ? (sorted === 'asc' ? ' ↑' : ' ↓') : ' ↕'}</span>
                  </button>
                ) : (
                  <table.FlexRender header={header} />
                )}
              </th>
            );
          })}
        </tr>
      ))}
    </thead>
  );
}

const STEP_OF: Record<string, number> = { ArrowDown: 1, j: 1, ArrowUp: -1, k: -1 };

/** From a row's link or button to the same one of the next row, by the arrows or J and K. */
export function walkRows(event: KeyboardEvent<HTMLElement>): void {
  const step = STEP_OF[event.key];
  const at = (event.target as HTMLElement).closest<HTMLElement>('a, button');
  const row = at?.closest('tbody > tr');
  if (!step || !at || !row || event.ctrlKey || event.metaKey || event.altKey) return;
  const acts = (of: Element) => [...of.querySelectorAll<HTMLElement>('a, button:not([disabled])')];
  const nth = acts(row).indexOf(at);
  for (let next = row; ; ) {
    const beside = step > 0 ? next.nextElementSibling : next.previousElementSibling;
    if (!beside) return;
    next = beside;
    const there = acts(next)[nth] ?? acts(next)[0];
    if (!there) continue;
    event.preventDefault();
    there.focus();
    return;
  }
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
  return row.getVisibleCells().map((cell) => {
    const column = columns.find((one, at) => columnId(one, at) === cell.column.id);
    const look = `${column?.cellLook ?? CELL} ${column?.look ?? ''} ${column?.figures ? 'figure' : ''}`;
    return column?.namesRow ? (
      <th key={cell.id} scope="row" className={`${look} text-left ${column.cellLook ? '' : 'font-normal'}`}>
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
  hidden,
}: DataTableProps<Row>) {
  const table = useRows({ columns, rows, idOf, ...(hidden && { hidden }) });
  return (
    // a table too wide for a phone is moved within its own box, never the page
    <div className="framed-table relative narrow:overflow-x-auto">
      <table className={`border-collapse ${look}`} aria-label={label} onKeyDown={walkRows}>
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
