/** Keeps the screen lit while a run is shown, where the browser lets it; full screen on demand; and what this device cannot do. */
import { useEffect, useState } from 'react';
import { keeps } from '../../ui/localStore';

/** Holds the screen awake while `running`; taken again whenever the page comes back into sight. */
export function useAwake(running: boolean): void {
  useEffect(() => {
    if (!running || !navigator.wakeLock) return undefined;
    let lock: WakeLockSentinel | null = null;
    let over = false;
    const take = async () => {
      if (document.hidden || over) return;
      try {
        lock = await navigator.wakeLock.request('screen');
        if (over) await lock.release();
      } catch {
        // refused, for want of battery say: the run goes on all the same
      }
    };
    void take();
    document.addEventListener('visibilitychange', take);
    return () => {
      over = true;
      document.removeEventListener('visibilitychange', take);
      void lock?.release().catch(() => undefined);
    };
  }, [running]);
}

export function toggleFullScreen(): void {
  if (document.fullscreenElement) void document.exitFullscreen();
  else void document.documentElement.requestFullscreen?.().catch(() => undefined);
}

/** What this browser cannot do for a run, and what that means. */
export function useLacks(): string[] {
  const [lacks, setLacks] = useState<string[]>([]);
  useEffect(() => {
    const list: string[] = [];
    if (!navigator.wakeLock)
      list.push(
        'This browser cannot keep the screen lit here (it wants a secure address): set the device not to sleep, or no cue is seen.',
      );
    void keeps().then((can) =>
      setLacks(
        can
          ? list
          : [
              ...list,
              'This window keeps nothing (a private one, say): with the server away, steps are in this page alone, so keep it open until it is back.',
            ],
      ),
    );
  }, []);
  return lacks;
}
