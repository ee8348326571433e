/** The server's clock as this browser reckons it: an offset measured on replies, carried on by a monotonic clock. */
import { useEffect, useState } from 'react';

/** Server instant (ms) that `performance.now()` = 0 stands for. */
let anchor = Date.now() - performance.now();
let known = false;

/**
 * Notes what the server said its time was. A reply always arrives late, never early, so a later anchor is the better one;
 * an earlier one is taken only when it differs by more than a slow network could explain.
 */
export function heardServer(now: number): void {
  const heard = now - performance.now();
  if (!known || heard > anchor || anchor - heard > 5_000) anchor = heard;
  known = true;
}

/** The server's now, ms. Does not jump when the wall clock of this device is changed. */
export const serverNow = (): number => Math.round(anchor + performance.now());

/** The server's now, again every `everyMs` while `running`. */
export function useServerNow(everyMs: number, running: boolean): number {
  const [now, setNow] = useState(serverNow);
  useEffect(() => {
    setNow(serverNow());
    if (!running) return undefined;
    const timer = setInterval(() => setNow(serverNow()), everyMs);
    return () => clearInterval(timer);
  }, [everyMs, running]);
  return now;
}
