import { describe, expect, it } from 'vitest';
import { finishedPieces, nextStep, orderLamp, printLeft, spoiledPieces } from './index';
import { line } from './test/progress';

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
