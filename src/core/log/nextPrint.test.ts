import { describe, expect, it } from 'vitest';
import type { Line, Print } from '../order';
import { type LineProgress, nextPrint } from './index';
import { line } from './test/progress';

describe('what is best pressed after a print', () => {
  const made = (key: string, change: Partial<Print> = {}) =>
    ({ key, position: 'full front', pressId: 'swing', layers: [{ key: 'a', productId: 'film', over: [] }], ...change }) as Print;
  const back = (change: Partial<Print> = {}) => made('b', { position: 'full back', ...change });
  const doc = (id: string, ...prints: Print[]) => ({ id, prints }) as Line;
  const other = { layers: [{ key: 'a', productId: 'toner', over: [] }] };
  const after = { lineId: 'm', printKey: 'a' };
  const next = (order: Line[], ...lines: LineProgress[]) => {
    const found = nextPrint(order, lines, after);
    return found && `${found.line.id} ${found.print.key} ${found.left}`;
  };
  const done = { good: 10 };

  it('the next size of the same print before the back of this one, in the order of the lines', () => {
    const order = [doc('m', made('a'), back()), doc('l', made('a'), back()), doc('s', made('a'))];
    const [m, l, s] = [line('m', done, { printKey: 'b' }), line('l', {}, { printKey: 'b' }), line('s')];
    expect(next(order, m, l, s)).toBe('l a 10');
    expect(next(order, m, line('l', done, { printKey: 'b' }), s)).toBe('s a 10');
    expect(next(order, m, line('l', done, { printKey: 'b' }), line('s', done))).toBe('m b 10');
  });
  it('the same transfer before another, the same press before one across the room', () => {
    const order = [doc('m', made('a')), doc('x', made('a', { pressId: 'cap' })), doc('y', made('a', other)), doc('z', back())];
    expect(next(order, line('m', done), line('x'), line('y'), line('z', { printKey: 'b' }))).toBe('z b 10');
    expect(next(order, line('m', done), line('x'), line('y'))).toBe('y a 10');
    expect(next(order, line('m', done), line('x'))).toBe('x a 10');
  });
  it('what is left of the print itself comes last; a Hold and what is being pressed never', () => {
    const order = [doc('m', made('a')), doc('l', made('a'))];
    expect(next(order, line('m', { good: 4 }), line('l'))).toBe('l a 10');
    expect(next(order, line('m', { good: 4 }), line('l', { lamp: 'hold' }))).toBe('m a 6');
    expect(next(order, line('m', done), line('l', { openRunId: 'r' }))).toBeNull();
    expect(next(order, line('m', done), line('l', done))).toBeNull();
  });

  it('by position the same place comes before the same set-up; by person what the person misses, then the next one’s', () => {
    const order = [doc('m', made('a')), doc('x', made('a', { ...other })), doc('y', back())];
    const [m, x, y] = [line('m', done), line('x'), line('y', { printKey: 'b' })];
    const by = (more: Parameters<typeof nextPrint>[3]) => {
      const found = nextPrint(order, [m, x, y], after, more);
      return found && `${found.line.id} ${found.person?.number ?? 'all'} ${found.left}`;
    };
    expect(by({})).toBe('y all 10');
    expect(by({ goesBy: 'position' })).toBe('x all 10');
    const kit = (number: string, ...items: [string, string, number][]) => ({
      person: { number, name: '' },
      items: items.map(([lineId, printKey, good]) => ({ lineId, printKey, pieces: 1, good, spoiled: 0 })),
      missing: items.filter(([, , good]) => good === 0).length,
    });
    const kits = [kit('7', ['x', 'a', 0], ['y', 'b', 1]), kit('9', ['y', 'b', 0]), kit('14', ['m', 'a', 1])];
    const person = (number: string) => ({ number, name: '' });
    expect(by({ goesBy: 'person', kits, person: person('7') })).toBe('x 7 1');
    expect(by({ goesBy: 'person', kits, person: person('14') })).toBe('x 7 1');
    expect(by({ goesBy: 'person', kits, person: person('9') })).toBe('y 9 1');
    expect(by({ goesBy: 'person', kits, person: null })).toBe('y all 10');
  });
});
