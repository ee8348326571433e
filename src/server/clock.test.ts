/** The server's time for runs against clocks that are set, trimmed, or stand still in a sleep. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { steadyClock } from './clock';

/** A computer whose clocks can be played with. */
function computer() {
  const at = { wall: 1_790_000_000_000, monotonic: 5000, uptime: 86_400_000 };
  return {
    clocks: { wall: () => at.wall, monotonic: () => at.monotonic, uptime: () => at.uptime },
    goes: (ms: number) => {
      at.wall += ms;
      at.monotonic += ms;
      at.uptime += ms;
    },
    sleeps: (ms: number) => {
      at.wall += ms;
      at.uptime += ms;
    },
    isSet: (byMs: number) => {
      at.wall += byMs;
    },
    start: at.wall,
  };
}

describe('the time of runs', () => {
  it('a clock set a day ahead and back leaves the next closing its own thirty seconds', () => {
    const { clocks, goes, isSet, start } = computer();
    const clock = steadyClock(clocks);
    goes(1000);
    expect(clock.now()).toBe(start + 1000);
    isSet(86_400_000);
    const closed = clock.now();
    goes(10_000);
    isSet(-86_400_000);
    goes(20_000);
    expect(clock.now() - closed).toBe(30_000);
    expect(clock.now()).toBe(start + 31_000);
  });
  it('a sleep counts, a set clock is told', () => {
    const { clocks, sleeps, isSet, goes, start } = computer();
    const clock = steadyClock(clocks);
    const told: number[] = [];
    clock.onJump((ms) => told.push(ms));
    sleeps(600_000);
    expect(clock.now()).toBe(start + 600_000);
    expect(told).toEqual([]);
    isSet(7_200_000);
    goes(1000);
    expect(clock.now()).toBe(start + 601_000);
    expect(told).toEqual([7_200_000]);
  });
  it('starts no earlier than what is stored of open runs', () => {
    const { clocks, goes, start } = computer();
    const clock = steadyClock(clocks, start + 86_400_000);
    goes(5000);
    expect(clock.now()).toBe(start + 86_405_000);
  });
  it('never runs back, and is off the time that went by at most by what clocks were trimmed', () => {
    const act = fc.oneof(
      fc.record({ kind: fc.constant('goes' as const), ms: fc.integer({ min: 0, max: 100_000 }) }),
      fc.record({ kind: fc.constant('sleeps' as const), ms: fc.integer({ min: 5000, max: 10_000_000 }) }),
      fc.record({ kind: fc.constant('isSet' as const), ms: fc.integer({ min: -1e9, max: 1e9 }) }),
    );
    fc.assert(
      fc.property(fc.array(act, { maxLength: 30 }), (acts) => {
        const machine = computer();
        const clock = steadyClock(machine.clocks);
        let [before, passed, trimmed] = [clock.now(), 0, 0];
        const first = before;
        for (const { kind, ms } of acts) {
          machine[kind](ms);
          if (kind === 'isSet') trimmed += Math.abs(ms) <= 500 ? Math.abs(ms) : 0;
          else passed += ms;
          const now = clock.now();
          expect(now).toBeGreaterThanOrEqual(before);
          before = now;
        }
        expect(Math.abs(before - first - passed)).toBeLessThanOrEqual(2 * trimmed);
      }),
    );
  });
});
