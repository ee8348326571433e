/** The last undoable act, shown on the rail of every page. */
import { useSyncExternalStore } from 'react';

export interface UndoableAct {
  /** What was done: `line removed`. */
  what: string;
  undo: () => Promise<void>;
}

let last: UndoableAct | null = null;
const listeners = new Set<() => void>();

function set(act: UndoableAct | null): void {
  last = act;
  for (const listener of listeners) listener();
}

/** Puts an act on the rail; it stays until undone or until the next one takes its place. */
export const didUndoably = (act: UndoableAct): void => set(act);

/** Takes the act off the rail: something was begun on top of it, so that undoing it would pull the ground away. */
export const forgetAct = (): void => set(null);

/** Undoes the act on the rail. When that fails the act stays and the error is thrown on. */
export async function undoLast(): Promise<void> {
  const act = last;
  if (!act) return;
  await act.undo();
  if (last === act) set(null);
}

export function useLastAct(): UndoableAct | null {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => last,
    () => null,
  );
}
