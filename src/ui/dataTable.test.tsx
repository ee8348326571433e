// @vitest-environment happy-dom
/** Tables as they are touched and walked: sorted, with some columns left out, by keys. */
import { cleanup, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it } from 'vitest';
import { type Column, DataTable } from './DataTable';

afterEach(cleanup);

interface Piece {
  id: string;
  blank: string;
  setC: number;
}
const PIECES: Piece[] = [
  { id: 'a', blank: 'tee 10', setC: 150 },
  { id: 'b', blank: 'tee 9', setC: -3 },
  { id: 'c', blank: 'cap 2', setC: 21.5 },
];
const COLUMNS: Column<Piece>[] = [
  { head: 'Blank', namesRow: true, sortBy: ({ blank }) => blank, cell: ({ blank }) => blank },
  { head: 'Set', sortBy: ({ setC }) => setC, cell: ({ setC }) => setC },
  { head: 'More', cell: ({ id }) => <a href={`#${id}`}>open {id}</a> },
];
const table = (hidden: string[] = []) => render(<DataTable columns={COLUMNS} rows={PIECES} idOf={({ id }) => id} hidden={hidden} />);
const shown = () => screen.getAllByRole('rowheader').map((cell) => cell.textContent);

describe('a table', () => {
  it('is sorted where its heading is touched: words as people sort them, figures by their size, and back', async () => {
    const user = userEvent.setup();
    table();
    expect(shown()).toEqual(['tee 10', 'tee 9', 'cap 2']);
    await user.click(screen.getByRole('button', { name: 'Blank' }));
    expect(shown()).toEqual(['cap 2', 'tee 9', 'tee 10']);
    await user.click(screen.getByRole('button', { name: 'Set' }));
    expect(shown()).toEqual(['tee 9', 'cap 2', 'tee 10']);
    expect(screen.getByRole('columnheader', { name: /Set/ }).getAttribute('aria-sort')).toBe('ascending');
    await user.click(screen.getByRole('button', { name: 'Set' }));
    expect(shown()).toEqual(['tee 10', 'cap 2', 'tee 9']);
    await user.click(screen.getByRole('button', { name: 'Set' }));
    expect(shown()).toEqual(['tee 10', 'tee 9', 'cap 2']);
    expect(screen.queryByRole('button', { name: 'More' })).toBeNull();
  });

  it('leaves out the columns that are not wanted', () => {
    table(['Set']);
    expect(screen.queryByRole('columnheader', { name: /Set/ })).toBeNull();
    expect(screen.getAllByRole('columnheader')).toHaveLength(2);
    expect(within(screen.getAllByRole('row')[1] as HTMLElement).queryByText('150')).toBeNull();
  });

  it('is walked by the arrows, from a row’s link to the next row’s, and no further than its ends', async () => {
    const user = userEvent.setup();
    table();
    screen.getByRole('link', { name: 'open a' }).focus();
    await user.keyboard('{ArrowDown}');
    expect(document.activeElement?.textContent).toBe('open b');
    await user.keyboard('jj');
    expect(document.activeElement?.textContent).toBe('open c');
    await user.keyboard('{ArrowUp}k');
    expect(document.activeElement?.textContent).toBe('open a');
    await user.keyboard('{ArrowUp}');
    expect(document.activeElement?.textContent).toBe('open a');
  });
});
