/**
 * The server's time for runs: it never runs back, and a wall clock that is set ahead or back does not move it. A computer
 * that slept is told from a clock that was set by its uptime, which counts sleep and cannot be set.
 */
import { uptime } from 'node:os';

/** Clocks of a computer, ms: the wall clock can be set, the monotonic one may stand still while the computer sleeps, the uptime does neither. */
export interface Clocks {
  wall: () => number;
  monotonic: () => number;
  uptime: () => number;
}

/** A wall clock that left by less between two looks was only trimmed: it is followed, but never back, ms. */
const TRIM_MS = 500;
/** Uptime is told in coarse steps, ms. */
const COARSE_MS = 2000;

/**
 * A clock that starts with the wall clock and goes on by itself.
 *
 * @param notBefore the clock does not start earlier: the newest instant that is stored of a run that is still open, ms
 */
export function steadyClock(
  { wall, monotonic, uptime: up }: Clocks,
  notBefore = 0,
): { now: () => number; onJump: (onJumped: (byMs: number) => void) => void } {
  let anchor = Math.max(wall(), notBefore) - monotonic();
  let [lag, slept] = [wall() - monotonic(), up() - monotonic()];
  let last = 0;
  let tell: (byMs: number) => void = () => undefined;
  const look = () => {
    const moved = wall() - monotonic() - lag;
    lag += moved;
    const asleep = up() - monotonic() - slept;
    if (Math.abs(moved) <= TRIM_MS) {
      anchor += moved;
      return;
    }
    slept += asleep;
    // asleep: that much time really went by, whatever the wall clock was set to meanwhile
    if (asleep > COARSE_MS) anchor += Math.abs(moved - asleep) <= COARSE_MS ? moved : asleep;
    else tell(moved);
  };
  return {
    now: () => {
      look();
      last = Math.max(last, Math.round(anchor + monotonic()));
      return last;
    },
    onJump: (onJumped) => {
      tell = onJumped;
    },
  };
}

export const ownClocks: Clocks = { wall: () => Date.now(), monotonic: () => performance.now(), uptime: () => uptime() * 1000 };
