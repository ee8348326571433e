import { describe, expect, it } from 'vitest';
import { type LineProgress, nextStep, orderLamp } from './index';

const line = (lineId: string, change: Partial<LineProgress> = {}): LineProgress => ({
  lineId,
  count: 10,
  good: 0,
  spoiled: 0,
  lamp: 'clear',
  cautions: 0,
  openRunId: null,
  ...change,
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
    ['all pressed', [line('a', { good: 10 })], { station: 'record' }],
  ] as const)('%s', (_, lines, expected) => expect(nextStep([...lines])).toMatchObject(expected));
  it('its lamp is the worst of the lines left, and a finished line no longer counts', () => {
    expect(orderLamp([line('a', { lamp: 'hold', good: 10 }), line('b', { lamp: 'care', cautions: 2 })])).toEqual({
      state: 'care',
      cautions: 2,
    });
  });
});
