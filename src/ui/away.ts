/** Whether the server answers: noticed by page changes and queries, shown on the rail. */
import { useSyncExternalStore } from 'react';
import { API } from '../contract';

let away = false;
const listeners = new Set<() => void>();

export function setAway(now: boolean): void {
  if (now === away) return;
  away = now;
  for (const listener of listeners) listener();
}

export function useAway(): boolean {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => away,
    () => false,
  );
}

/** Asks the server once; notes and returns whether it answered. */
export async function serverAnswers(): Promise<boolean> {
  try {
    await fetch(`${API}/health`, { cache: 'no-store' });
    setAway(false);
    return true;
  } catch {
    setAway(true);
    return false;
  }
}

/** Resolves once the server answers, or when the wait is called off. */
export async function untilServerAnswers(signal: AbortSignal): Promise<void> {
  while (!signal.aborted && !(await serverAnswers())) await new Promise((done) => setTimeout(done, 1000));
}
