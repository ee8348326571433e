import { describe, expect, it } from 'vitest';
import type { LineProgress } from './progress';
import { nextStep, stationHref, stationsOf } from './stations';
import { line } from './test/progress';

const behind = (lines: LineProgress[]) => stationsOf(lines).flatMap(({ id, passed }) => (passed ? [id] : []));

describe('stations of an order', () => {
  it('lie behind it as far as it is: none without a line, card and place once nothing holds, the rest once all is pressed', () => {
    expect(behind([])).toEqual([]);
    expect(behind([line('m', { lamp: 'hold' })])).toEqual(['lines']);
    expect(behind([line('m')])).toEqual(['lines', 'card', 'place']);
    expect(behind([line('m', { good: 10 })])).toEqual(['lines', 'card', 'place', 'run', 'record']);
  });
  it('the first that asks for something is where it is taken up', () => {
    expect(nextStep([])).toMatchObject({ station: 'lines', lineId: null });
    expect(nextStep([line('m', { lamp: 'hold' }, { printKey: 'b' })])).toMatchObject({ station: 'card', printKey: 'b' });
    expect(nextStep([line('m', { lamp: 'hold' })])).toMatchObject({ station: 'card', verb: 'Find a way out' });
    expect(nextStep([line('m', {}, { printKey: 'b', openRunId: 'r' })])).toMatchObject({ station: 'run', printKey: 'b' });
    expect(nextStep([line('m', { good: 10 })])).toMatchObject({ station: 'record', lineId: null });
  });
  it('have addresses that name what they show, whatever signs are in a name', () => {
    expect(stationHref('o', 'lines')).toBe('/orders/o');
    expect(stationHref('a/b', 'card', { lineId: 'x&y', printKey: null })).toBe('/orders/a%2Fb/card?line=x%26y');
    expect(stationHref('o', 'run', { lineId: 'm', runId: 'r' })).toBe('/orders/o/run?line=m&run=r');
    expect(stationHref('o', 'record', { lineId: 'm' })).toBe('/orders/o/record');
  });
});
