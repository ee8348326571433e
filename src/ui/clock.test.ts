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
        const one = device({ wallOff });
        for (const [there, back] of asked) {
          one.ask(there, back);
          one.pass(500);
        }
        expect(one.off()).toBeLessThanOrEqual(Math.min(...asked.map(([there, back]) => there + back)) + 1);
      }),
    );
  });

  it('is right to 100 ms after ten minutes of sleep, with the server and without, and tells that it slept', () => {
    const one = device({ wallOff: 90_000 });
    one.ask(10, 10);
    let jumps = 0;
    one.here.onJump(() => {
      jumps += 1;
    });
    const dueAt = one.world.at + 630_000;
    one.pass(15_000);
    one.sleep(600_000);
    expect(one.off()).toBeLessThan(100);
    expect(jumps).toBe(1);
    expect(secondsLeft(dueAt, one.here.now())).toBe(15);
    one.pass(3_000);
    one.ask(5, 5);
    expect(one.off()).toBeLessThan(100);
    expect(jumps).toBe(1);
  });

  it('does not follow a wall clock that is set back, and leaves one set ahead as soon as the server is heard', () => {
    const one = device();
    one.ask(10, 10);
    one.world.wallOff -= 3_600_000;
    one.pass(20_000);
    expect(one.off()).toBeLessThan(100);
    one.world.wallOff += 3_600_000;
    expect(one.off()).toBeGreaterThan(3_500_000);
    one.ask(10, 10);
    expect(one.off()).toBeLessThan(100);
    // a summer's night changes what is shown of the time, not the instants
    one.pass(3_600_000);
    expect(one.off()).toBeLessThan(100);
  });

  it('follows a server whose own clock was set back', () => {
    const one = device();
    one.ask(10, 10);
    one.world.at -= 7_200_000;
    one.ask(10, 10);
    expect(one.off()).toBeLessThan(100);
  });
});

describe('seconds left as shown', () => {
  it('counts a second that has begun, and is nothing once the instant has come', () => {
    expect([15_000, 14_999, 14_001, 14_000, 1, 0, -5].map((ms) => secondsLeft(ms, 0))).toEqual([15, 15, 15, 14, 1, 0, 0]);
  });
});
