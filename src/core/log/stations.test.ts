import { describe, expect, it } from 'vitest';
import type { LineProgress, PrintProgress } from './queue';
import { nextStep, stationHref, stationsOf } from './stations';

const print = (change: Partial<PrintProgress> = {}): PrintProgress => ({
  printKey: 'a',
  good: 0,
  spoiled: 0,
  lamp: 'clear',
  cautions: 0,
  openRunId: null,
  ...change,
});
const line = (...prints: PrintProgress[]): LineProgress => ({ lineId: 'm', count: 2, prints });
const behind = (lines: LineProgress[]) => stationsOf(lines).flatMap(({ id, passed }) => (passed ? [id] : []));

describe('stations of an order', () => {
  it('lie behind it as far as it is: none without a line, card and place once nothing holds, the rest once all is pressed', () => {
    expect(behind([])).toEqual([]);
    expect(behind([line(print({ lamp: 'hold' }))])).toEqual(['lines']);
    expect(behind([line(print())])).toEqual(['lines', 'card', 'place']);
    expect(behind([line(print({ good: 2 }))])).toEqual(['lines', 'card', 'place', 'run', 'record']);
  });
  it('the first that asks for something is where it is taken up', () => {
    expect(nextStep([])).toMatchObject({ station: 'lines', lineId: null });
    expect(nextStep([line(print({ lamp: 'hold' }), print({ printKey: 'b' }))])).toMatchObject({ station: 'card', printKey: 'b' });
    expect(nextStep([line(print({ lamp: 'hold' }))])).toMatchObject({ station: 'card', verb: 'Find a way out' });
    expect(nextStep([line(print(), print({ printKey: 'b', openRunId: 'r' }))])).toMatchObject({ station: 'run', printKey: 'b' });
    expect(nextStep([line(print({ good: 2 }))])).toMatchObject({ station: 'record', lineId: null });
  });
  it('have addresses that name what they show, whatever signs are in a name', () => {
    expect(stationHref('o', 'lines')).toBe('/orders/o');
    expect(stationHref('a/b', 'card', { lineId: 'x&y', printKey: null })).toBe('/orders/a%2Fb/card?line=x%26y');
    expect(stationHref('o', 'run', { lineId: 'm', runId: 'r' })).toBe('/orders/o/run?line=m&run=r');
    expect(stationHref('o', 'record', { lineId: 'm' })).toBe('/orders/o/record');
  });
});
