import { describe, expect, it } from 'vitest';
import { deliveredBand, isHandHeld, type Press, PressSchema, pressureSetting, usualPress } from './index';

const swing: Press = {
  id: 'swing',
  name: 'Swing-away',
  kind: 'swing-away',
  set: { unit: 'F', step: 1, minC: 90, maxC: 220 },
  calibration: { offsetK: 5, spreadK: 3, on: '2026-03-01', how: 'five points, probe' },
  gauge: {
    kind: 'dial',
    pairs: [
      { reading: 2, contactKPa: 8 },
      { reading: 6, contactKPa: 28 },
    ],
  },
  platen: { widthMm: 400, heightMm: 500 },
  swapPlatens: [],
  lower: null,
  timers: 1,
  opensItself: false,
};

describe('what a press delivers', () => {
  it('a measured press runs at set plus offset, give or take its spread', () => {
    expect(deliveredBand(swing, 130)).toEqual({ lowC: 132, midC: 135, highC: 138 });
  });
  it('an unmeasured press counts fourteen kelvin either way', () => {
    expect(deliveredBand({ ...swing, calibration: null }, 150)).toEqual({ lowC: 136, midC: 150, highC: 164 });
  });
  it('a dial tied to pairs is read between them, and says when it is beyond', () => {
    expect(pressureSetting(swing, 'medium')).toEqual({ gauge: 'dial', reading: 4.4, sure: 'measured' });
    expect(pressureSetting(swing, 'firm')).toMatchObject({ sure: 'beyond the measured pairs', reading: 6 });
  });
  it('air is told as line pressure, never as contact pressure', () => {
    const air: Press = {
      ...swing,
      gauge: {
        kind: 'air',
        pairs: [
          { reading: 200, contactKPa: 10 },
          { reading: 400, contactKPa: 30 },
        ],
      },
    };
    expect(pressureSetting(air, 'medium')).toEqual({ gauge: 'air', lineKPa: 300, sure: 'measured' });
  });
  it('an untied dial is a guess and no gauge goes by feel', () => {
    expect(pressureSetting({ ...swing, gauge: { kind: 'dial', pairs: [] } }, 'firm')).toEqual({ gauge: 'dial', reading: 7, sure: 'guess' });
    expect(pressureSetting({ ...swing, gauge: { kind: 'none' } }, 'firm')).toEqual({ gauge: 'feel', sure: 'guess' });
  });
});

describe('press facts that cannot be', () => {
  const faults = (change: object) =>
    PressSchema.safeParse({ ...swing, ...change }).error?.issues.map((i) => `${i.path.join('.')}: ${i.message}`);
  it('lowest over highest, negative spread, absurd offset, contradictory dial pairs are each named', () => {
    expect(faults({ set: { unit: 'C', step: 1, minC: 200, maxC: 100 } })?.[0]).toMatch(/^set.minC: The lowest setting/);
    expect(faults({ calibration: { ...swing.calibration, spreadK: -2 } })?.[0]).toMatch(/^calibration.spreadK: A spread cannot/);
    expect(faults({ calibration: { ...swing.calibration, offsetK: 90 } })?.[0]).toMatch(/^calibration.offsetK: An offset of more/);
    expect(
      faults({
        gauge: {
          kind: 'dial',
          pairs: [
            { reading: 3, contactKPa: 20 },
            { reading: 5, contactKPa: 12 },
          ],
        },
      })?.[0],
    ).toMatch(/^gauge.pairs: Reading 3 and reading 5 contradict/);
    expect(faults({ lower: { minC: 200, maxC: 60, offsetK: 0, spreadK: 2 } })?.[0]).toMatch(/^lower.minC: The lowest setting/);
    expect(faults({ swapPlatens: [{ id: 'leg', name: 'leg platen', widthMm: 9, heightMm: 400 }] })?.[0]).toMatch(
      /^swapPlatens.0.widthMm: A platen is at least 30/,
    );
    expect(faults({})).toBeUndefined();
  });
});

describe('the press a piece would usually go on', () => {
  const named = (id: string, change: Partial<Press> = {}): Press => ({ ...swing, id, ...change });
  const cap = named('cap', { kind: 'cap', platen: { widthMm: 150, heightMm: 90 } });
  const iron = named('iron', { kind: 'iron', platen: { widthMm: 200, heightMm: 110 } });
  const unmeasured = named('unmeasured', { calibration: null, platen: { widthMm: 900, heightMm: 900 } });
  const small = named('small', { platen: { widthMm: 230, heightMm: 300 } });
  const choose = (presses: Press[], isCap = false) => usualPress(presses, isCap)?.id;

  it('is one of its own shape, measured before unmeasured, the larger platen first', () => {
    expect(choose([cap, iron, unmeasured, small, named('large')])).toBe('large');
    expect(choose([cap, iron, unmeasured, small])).toBe('small');
    expect(choose([cap, iron, unmeasured])).toBe('unmeasured');
    expect(choose([named('large'), cap], true)).toBe('cap');
  });
  it('is held in the hand only when nothing else is there, and retired only at the very last', () => {
    expect(choose([cap, iron])).toBe('iron');
    expect(choose([named('old', { retiredOn: '2026-05-01' }), cap])).toBe('cap');
    expect(choose([named('old', { retiredOn: '2026-05-01' })])).toBe('old');
    expect(choose([])).toBeUndefined();
    expect([swing, iron, named('hand', { kind: 'hand press' })].map(isHandHeld)).toEqual([false, true, true]);
  });
});
