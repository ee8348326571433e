/** Devices: what is believed of what they say; and the press that stands in for one. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  closed,
  coldPress,
  DeviceBoard,
  readDeviceLine,
  type SimulatedPressFacts,
  simulatedSurface,
  simulatedWord,
  stepped,
  timeBetween,
} from './index';

const probe = (change: object = {}) =>
  JSON.stringify({ kind: 'probe', device: 'probe-1', at: 1000, readC: 150.2, steady: true, ...change });
const press = (change: object = {}) =>
  JSON.stringify({
    kind: 'press',
    device: 'press-1',
    pressId: 'p',
    at: 1000,
    setC: 150,
    readoutC: 149,
    state: 'ready',
    leftS: null,
    ...change,
  });

describe('a line', () => {
  it.each([
    ['not JSON', 'hello', /not JSON/],
    ['of another shape', '{"device":"probe-1","kind":"probe"}', /at|readC/],
    ['a temperature that cannot be', probe({ readC: 9000 }), /readC/],
    ['not a number', probe({ readC: 'hot' }), /readC/],
    ['too long', probe({ note: 'x'.repeat(3000) }), /too long/],
    ['a name with markup', probe({ device: '<b>' }), /device/],
  ])('%s is nonsense', (_, line, words) => expect(readDeviceLine(line)).toMatchObject({ nonsense: expect.stringMatching(words) }));
  it('whatever comes, the board lives on and believes nothing it should not', () => {
    fc.assert(
      fc.property(fc.array(fc.oneof(fc.string(), fc.json(), fc.constant(probe()), fc.constant(press()))), (lines) => {
        const board = new DeviceBoard();
        for (const [i, line] of lines.entries()) board.hear(line, 1000 + i);
        for (const deviceView of board.view(1000 + lines.length))
          expect(deviceView.reading !== null && deviceView.state !== 'live').toBe(false);
      }),
    );
  });
});

describe('the board', () => {
  const view = (board: DeviceBoard, now: number) => board.view(now)[0];
  it('shows a live reading, and a silent device as silent, its last word no reading any more', () => {
    const board = new DeviceBoard();
    board.hear(probe(), 1000);
    expect(view(board, 1200)).toMatchObject({ state: 'live', reading: { readC: 150.2, steady: true } });
    expect(view(board, 6100)).toMatchObject({ state: 'silent', reading: null });
    board.hear(probe({ at: 9000 }), 9000);
    expect(view(board, 9100)?.state).toBe('live');
  });
  it('nonsense takes the reading away until there is sense again', () => {
    const board = new DeviceBoard();
    board.hear(probe(), 1000);
    board.hear('{"device":"probe-1","kind":"probe","readC":"hot"}', 1100);
    expect(view(board, 1200)).toMatchObject({ state: 'nonsense', reading: null, fault: expect.stringMatching(/at|readC/) });
    board.hear(probe({ at: 1300 }), 1300);
    expect(view(board, 1400)).toMatchObject({ state: 'live', fault: '' });
  });
  it('a readout that falls silent is still known for its press', () => {
    const board = new DeviceBoard();
    board.hear(press(), 1000);
    expect(view(board, 1100)).toMatchObject({ pressId: 'p', press: { readoutC: 149 } });
    expect(view(board, 9000)).toMatchObject({ pressId: 'p', press: null, state: 'silent' });
  });
  it('a gateway whose clock jumps is said to, for that word', () => {
    const board = new DeviceBoard();
    board.hear(probe(), 1000);
    board.hear(probe({ at: 90_000 }), 1500);
    expect(view(board, 1600)).toMatchObject({ state: 'clock jumped', reading: null });
    board.hear(probe({ at: 90_500 }), 2000);
    expect(view(board, 2100)?.state).toBe('live');
  });
  it('finds for itself that a reading has come to rest', () => {
    const board = new DeviceBoard();
    for (let t = 0; t <= 70_000; t += 500) board.hear(probe({ at: t, steady: false, readC: t < 20_000 ? 100 + t / 1000 : 150 }), t);
    expect(view(board, 70_000)?.reading?.steady).toBe(true);
    for (let t = 70_500; t <= 80_000; t += 500) board.hear(probe({ at: t, steady: false, readC: 150 - (t - 70_000) / 1000 }), t);
    expect(view(board, 80_000)?.reading?.steady).toBe(false);
  });
  it('a flood of devices and of lines takes no more room than a few', () => {
    const board = new DeviceBoard();
    for (let i = 0; i < 500; i++) board.hear(probe({ device: `probe-${i}` }), 1000);
    expect(board.view(1000)).toHaveLength(40);
    for (let i = 0; i < 100_000; i++) board.hear(press({ device: 'probe-1', at: i }), 1000 + i);
    expect(board.view(101_000).filter((deviceView) => deviceView.state === 'live').length).toBe(1);
  });
});

describe('names on the board', () => {
  const line = (device: string) => JSON.stringify({ kind: 'probe', device, at: 0, readC: 150, steady: true });
  it('forty junk names do not shut out the device that comes after them', () => {
    const board = new DeviceBoard();
    for (let i = 0; i < 60; i++) board.hear(`{"device":"junk-${i}","kind":"toaster"}`, 1000 + i);
    expect(board.hear(line('probe-1'), 2000)).toBe('probe-1');
    expect(board.view(2000).find(({ device }) => device === 'probe-1')?.state).toBe('live');
    // a whole board that was heard and fell silent makes room too; one that is live does not
    for (let i = 0; i < 60; i++) board.hear(line(`live-${i}`), 2000);
    expect(board.hear(line('late'), 2100)).toBeNull();
    expect(board.hear(line('later'), 10_000)).toBe('later');
  });
});

describe('the simulated press', () => {
  const facts: SimulatedPressFacts = {
    heater: { powerW: 1400, massKg: 8, lossWK: null },
    platen: { widthMm: 380, heightMm: 380 },
    offsetK: -3,
    corners: [12, 1, 2, 0],
    roomC: 21,
  };
  const run = (state: ReturnType<typeof coldPress>, seconds: number) => {
    let now = state;
    for (let t = 0; t < seconds; t += 0.5) now = stepped(facts, now, 0.5);
    return now;
  };
  it('heats up in the time its power and mass say, and then holds its setting within a kelvin', () => {
    const expected = timeBetween(facts.heater, 21, 150, 21);
    const nearly = run(coldPress(facts, 150), expected * 0.98);
    expect(simulatedWord(nearly)).toBe('heating');
    const hot = run(nearly, expected * 0.1);
    expect(simulatedWord(hot)).toBe('ready');
    let state = hot;
    for (let t = 0; t < 600; t++) {
      state = stepped(facts, state, 1);
      expect(Math.abs(state.sensorC - 150)).toBeLessThan(1.2);
    }
  });
  it('droops at a closing, counts down, and recovers', () => {
    const hot = run(coldPress(facts, 150), 1200);
    const shut = closed(facts, hot, 12);
    expect(hot.sensorC - shut.sensorC).toBeGreaterThan(1);
    expect(simulatedWord(shut)).toBe('closed');
    expect(shut.leftS).toBe(12);
    expect(simulatedWord(run(shut, 12.5))).not.toBe('closed');
    expect(Math.abs(run(shut, 240).sensorC - 150)).toBeLessThan(1.2);
  });
  it('hides its offset and its cold corner from its readout', () => {
    const hot = { ...coldPress(facts, 150), sensorC: 150 };
    expect(simulatedSurface(facts, hot, { xMm: 0, yMm: 0 })).toBeCloseTo(147);
    expect(simulatedSurface(facts, hot, { xMm: -190, yMm: -190 })).toBeCloseTo(135);
    expect(simulatedSurface(facts, hot, { xMm: 190, yMm: 190 })).toBeCloseTo(147);
  });
});
