/** The server's clock as this browser reckons it: bounded by every reply, carried on by a monotonic clock, and through a sleep. */
import { useEffect, useRef, useState } from 'react';

/** The two clocks of a device, ms: the wall clock can be set, the monotonic one can stand still while the device sleeps. */
interface Clocks {
  wall: () => number;
  monotonic: () => number;
}

/** The wall clock has left the monotonic one behind by more than this: the device slept, or its clock was set, ms. */
const JUMP_MS = 50;
/** A word of the server that moves the reckoning by more than this is told, ms: what was set to sound by it is set anew. */
const TOLD_MS = 20;
/** So often the two clocks are compared while something is counted down, ms. */
const COMPARE_MS = 250;

export interface Reckoner {
  /** The server's now, whole ms. */
  now: () => number;
  /**
   * Takes what the server said its time was. It was written after the question left and before the answer came, and the
   * reckoning is held between the two.
   *
   * @param said ms since the epoch
   * @param sentAt when the question left, by the monotonic clock
   */
  heard: (said: number, sentAt: number) => void;
  /** Called when time seems to have jumped, with how far, ms: the device slept, and until the server is heard the wall clock is believed; or the server said otherwise. */
  onJump: (listener: (byMs: number) => void) => () => void;
  /** False from a jump on until the server is heard: what is dated meanwhile may have to be moved. */
  sure: () => boolean;
}

/** A reckoning from two clocks. */
export function reckoner({ wall, monotonic }: Clocks): Reckoner {
  /** Server instant that monotonic 0 stands for. */
  let anchor = wall() - monotonic();
  let ahead = anchor;
  let known = false;
  const listeners = new Set<(byMs: number) => void>();
  let guessing = false;
  const tell = (byMs: number) => {
    for (const listener of listeners) listener(byMs);
  };
  const compare = () => {
    const since = wall() - monotonic() - ahead;
    if (Math.abs(since) <= JUMP_MS) return;
    ahead += since;
    // a wall clock set back says nothing about the time that went by; one that ran ahead says the device slept
    if (since < 0) return;
    anchor += since;
    guessing = true;
    tell(since);
  };
  return {
    now: () => {
      compare();
      return Math.round(anchor + monotonic());
    },
    heard: (said, sentAt) => {
      compare();
      const [least, most] = [said - monotonic(), said - sentAt];
      const before = anchor;
      anchor = known ? Math.min(most, Math.max(least, anchor)) : (least + most) / 2;
      known = true;
      guessing = false;
      if (Math.abs(anchor - before) > TOLD_MS) tell(anchor - before);
    },
    sure: () => {
      compare();
      return !guessing;
    },
    onJump: (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
}

const here = reckoner({ wall: () => Date.now(), monotonic: () => performance.now() });

export const serverNow = here.now;
export const onClockJump = here.onJump;
export const clockIsSure = here.sure;

/** Waits for a reply, and takes the server's time from it where it tells it. */
export async function timed<T>(request: () => Promise<T>): Promise<T> {
  const sentAt = performance.now();
  const reply = await request();
  const said = (reply as { now?: unknown } | null)?.now;
  if (typeof said === 'number') here.heard(said, sentAt);
  return reply;
}

/** A number that is another one each time the reckoning has jumped: for what was set to an instant by it. */
export function useClockTurn(): number {
  const [turn, setTurn] = useState(0);
  useEffect(() => onClockJump(() => setTurn((value) => value + 1)), []);
  return turn;
}

/** Whole seconds left to an instant, as they are shown: a second begun counts. */
export const secondsLeft = (due: number, now: number): number => Math.max(0, Math.ceil((due - now) / 1000));

/**
 * The server's now, again at the very instant at which the whole seconds left to one of these instants change.
 *
 * @param due ms since the epoch, the server's reckoning
 * @param from it is not earlier than this
 */
export function useSecondsTo(due: readonly number[], from = 0): number {
  const [heard, setNow] = useState(serverNow);
  const now = Math.max(from, heard);
  const drawn = useRef(now);
  drawn.current = now;
  const all = due.join(' ');
  useEffect(() => {
    const instants = all === '' ? [] : all.split(' ').map(Number);
    const shown = (at: number) => instants.map((instant) => secondsLeft(instant, at)).join(' ');
    let timer: ReturnType<typeof setTimeout> | undefined;
    let last = shown(drawn.current);
    const tick = () => {
      clearTimeout(timer);
      const at = serverNow();
      if (shown(at) !== last) setNow(at);
      last = shown(at);
      const left = instants.map((instant) => instant - at).filter((ms) => ms > 0);
      if (left.length > 0) timer = setTimeout(tick, Math.min(COMPARE_MS, ...left.map((ms) => ms % 1000 || 1000)));
    };
    tick();
    const off = onClockJump(tick);
    return () => {
      off();
      clearTimeout(timer);
    };
  }, [all]);
  return now;
}
