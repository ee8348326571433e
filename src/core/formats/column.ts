/** One column of a CSV: how a cell is written from a thing and read back into one. */

// biome-ignore lint/suspicious/noExplicitAny: a document under construction, before its schema has seen it
export type Draft = any;

export interface Column<T> {
  heading: string;
  get: (doc: T) => string | number;
  /** Puts a cell into the draft; a string is what is wrong with it. */
  set: (draft: Draft, cell: string) => string | undefined;
  /** Where the schema names this column's fault. */
  path: string;
}

const at = (draft: Draft, path: string[]): Draft => path.reduce((inner, key) => inner[key], draft);
export const put = (draft: Draft, path: string, value: unknown) => {
  const keys = path.split('.');
  const last = keys.pop() ?? '';
  const inner = at(draft, keys);
  if (value === undefined) delete inner[last];
  else inner[last] = value;
};
const read = (doc: Draft, path: string): unknown => path.split('.').reduce((inner, key) => inner?.[key], doc);

export const text = <T>(heading: string, path: string): Column<T> => ({
  heading,
  path,
  get: (doc) => String(read(doc, path) ?? ''),
  set: (draft, cell) => void put(draft, path, cell === '' && (path === 'retiredOn' || path === 'acrylic') ? undefined : cell),
});
export const figure = <T>(heading: string, path: string, optional = false): Column<T> => ({
  heading,
  path,
  get: (doc) => (read(doc, path) as number | undefined) ?? '',
  set: (draft, cell) => {
    if (cell === '' && optional) return void put(draft, path, undefined);
    const value = Number(cell.replace(',', '.'));
    if (cell === '' || !Number.isFinite(value)) return cell === '' ? 'A figure is missing.' : `“${cell}” is not a figure.`;
    return void put(draft, path, value);
  },
});
/** A cell that may be empty: null then. */
export const maybe = <T>({ heading, path, get, set }: Column<T>): Column<T> => ({
  heading,
  path,
  get: (doc) => (read(doc, path) === null ? '' : get(doc)),
  set: (draft, cell) => (cell === '' ? void put(draft, path, null) : set(draft, cell)),
});
export const yesNo = <T>(heading: string, path: string): Column<T> => ({
  heading,
  path,
  get: (doc) => (read(doc, path) ? 'yes' : 'no'),
  set: (draft, cell) =>
    ['yes', 'no', ''].includes(cell.toLowerCase())
      ? void put(draft, path, cell.toLowerCase() === 'yes')
      : `“${cell}” is neither yes nor no.`,
});
