import { describe, expect, it } from 'vitest';
import type { Line, Print } from '../card';
import { finishedPieces, type LineProgress, nextPrint, nextStep, orderLamp, type PrintProgress, printLeft, spoiledPieces } from './index';

const print = (change: Partial<PrintProgress> = {}): PrintProgress => ({
  printKey: 'a',
  good: 0,
  spoiled: 0,
  lamp: 'clear',
  cautions: 0,
  openRunId: null,
  ...change,
});
const line = (lineId: string, ...prints: Partial<PrintProgress>[]): LineProgress => ({
  lineId,
  count: 10,
  prints: (prints.length > 0 ? prints : [{}]).map(print),
});

describe('what an order needs next', () => {
  it.each([
    ['no lines yet', [], { station: 'lines', verb: 'Add a line' }],
    ['a run under way comes first', [line('a'), line('b', { openRunId: 'r' })], { station: 'run', lineId: 'b' }],
    [
      'a line that can be pressed before one on Hold',
      [line('a', { lamp: 'hold' }), line('b', { lamp: 'care' })],
      { station: 'card', lineId: 'b' },
    ],
    ['only a Hold left', [line('a', { lamp: 'hold' }), line('b', { good: 10 })], { station: 'card', lineId: 'a', verb: 'Find a way out' }],
    ['the second print once the first is done', [line('a', { good: 10 }, { printKey: 'b' })], { station: 'card', printKey: 'b' }],
    ['all pressed', [line('a', { good: 10 })], { station: 'record' }],
  ] as const)('%s', (_, lines, expected) => expect(nextStep([...lines])).toMatchObject(expected));
  it('its lamp is the worst of the lines left, and a finished line no longer counts', () => {
    expect(orderLamp([line('a', { lamp: 'hold', good: 10 }), line('b', { lamp: 'care', cautions: 2 })])).toEqual({
      state: 'care',
      cautions: 2,
    });
  });
});

describe('a line with two prints', () => {
  const lost = line('a', { good: 10 }, { printKey: 'b', good: 3, spoiled: 1 });
  it('a piece spoiled at its back print wants its front print again', () => {
    expect(printLeft(lost, 'a')).toBe(1);
    expect(printLeft(lost, 'b')).toBe(7);
    expect(nextStep([lost])).toMatchObject({ printKey: 'a' });
  });
  it('a piece is finished once all its prints are good', () => {
    expect(finishedPieces(lost)).toBe(3);
    expect(finishedPieces(line('a', { good: 10 }, { printKey: 'b' }))).toBe(0);
    expect(spoiledPieces(lost)).toBe(1);
  });
});

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
});
