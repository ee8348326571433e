/** The server's time as reckoned here, through slow networks, sleep, and clocks that are turned. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { reckoner, secondsLeft } from './clock';

/** A device beside a server: time passes for both; asleep, the device's monotonic clock stands still. */
function device({ startsAt = 1_700_000_000_000, wallOff = 0 } = {}) {
  const world = { at: startsAt, awakeMs: 4_000, wallOff };
  const here = reckoner({ wall: () => world.at + world.wallOff, monotonic: () => world.awakeMs });
  const pass = (ms: number) => {
    world.at += ms;
    world.awakeMs += ms;
  };
  return {
    world,
    here,
    pass,
    sleep: (ms: number) => {
      world.at += ms;
    },
    /** A question and its answer, each so long on its way. */
    ask: (thereMs: number, backMs: number) => {
      const sentAt = world.awakeMs;
      pass(thereMs);
      const said = world.at;
      pass(backMs);
      here.heard(said, sentAt);
    },
    off: () => Math.abs(here.now() - world.at),
  };
}

describe('the server’s time as reckoned here', () => {
  it('is never farther off than the quickest answer was long, whatever the wall clock of the device says', () => {
    const ms = fc.integer({ min: 0, max: 8_000 });
    fc.assert(
      fc.property(fc.array(fc.tuple(ms, ms), { minLength: 1, maxLength: 12 }), fc.integer({ min: -1e10, max: 1e10 }), (asked, wallOff) => {
        const entry = device({ wallOff });
        for (const [there, back] of asked) {
          entry.ask(there, back);
          entry.pass(500);
        }
        expect(entry.off()).toBeLessThanOrEqual(Math.min(...asked.map(([there, back]) => there + back)) + 1);
      }),
    );
  });

  it('is right to 100 ms after ten minutes of sleep, with the server and without, and tells that it slept', () => {
    const entry = device({ wallOff: 90_000 });
    entry.ask(10, 10);
    let jumps = 0;
    entry.here.onJump(() => {
      jumps += 1;
    });
    const dueAt = entry.world.at + 630_000;
    entry.pass(15_000);
    entry.sleep(600_000);
    expect(entry.off()).toBeLessThan(100);
    expect(jumps).toBe(1);
    expect(secondsLeft(dueAt, entry.here.now())).toBe(15);
    entry.pass(3_000);
    entry.ask(5, 5);
    expect(entry.off()).toBeLessThan(100);
    expect(jumps).toBe(1);
  });

  it('does not follow a wall clock that is set back, and leaves one set ahead as soon as the server is heard', () => {
    const entry = device();
    entry.ask(10, 10);
    entry.world.wallOff -= 3_600_000;
    entry.pass(20_000);
    expect(entry.off()).toBeLessThan(100);
    entry.world.wallOff += 3_600_000;
    expect(entry.off()).toBeGreaterThan(3_500_000);
    entry.ask(10, 10);
    expect(entry.off()).toBeLessThan(100);
    // a summer's night changes what is shown of the time, not the instants
    entry.pass(3_600_000);
    expect(entry.off()).toBeLessThan(100);
  });

  it('follows a server whose own clock was set back', () => {
    const entry = device();
    entry.ask(10, 10);
    entry.world.at -= 7_200_000;
    entry.ask(10, 10);
    expect(entry.off()).toBeLessThan(100);
  });
});

describe('seconds left as shown', () => {
  it('counts a second that has begun, and is nothing once the instant has come', () => {
    expect([15_000, 14_999, 14_001, 14_000, 1, 0, -5].map((ms) => secondsLeft(ms, 0))).toEqual([15, 15, 15, 14, 1, 0, 0]);
  });
});
