/** The last undoable act, shown on the rail of every page. */
import { useSyncExternalStore } from 'react';

export interface UndoableAct {
  /** What was done: `line removed`. */
  what: string;
  undo: () => Promise<void>;
}

let last: UndoableAct | null = null;
/** Saves are numbered as they are begun: one that is done late never takes the place of a later one. */
let begun = 0;
let shown = 0;
const listeners = new Set<() => void>();

function set(act: UndoableAct | null): void {
  last = act;
  for (const listener of listeners) listener();
}

/** Puts an act on the rail; it stays until undone or until the next one takes its place. */
export function didUndoably(act: UndoableAct): void {
  shown = ++begun;
  set(act);
}

/** Takes the act off the rail: something was begun on top of it, so that undoing it would pull the ground away. */
export function forgetAct(): void {
  shown = ++begun;
  set(null);
}

/** Saves that are on their way, and whether each was taken. */
const underWay = new Set<Promise<boolean>>();

/**
 * Saves something, and puts its undo on the rail. An undo asked for meanwhile waits for it.
 *
 * @param save answers how to undo what it saved; null: there is nothing to undo
 * @throws whatever `save` throws
 */
export function saveUndoably(what: string, save: () => Promise<UndoableAct['undo'] | null>): Promise<void> {
  const number = ++begun;
  const done = save().then((undo) => {
    if (!undo || number < shown) return;
    shown = number;
    set({ what, undo });
  });
  const taken = done.then(
    () => true,
    () => false,
  );
  underWay.add(taken);
  void taken.then(() => underWay.delete(taken));
  return done;
}

/**
 * Undoes the act on the rail, once every save on its way has come back. If one of them failed it was the one meant, and
 * changed nothing: the act before it stays. When the undo itself fails the act stays too and the error is thrown on.
 */
export async function undoLast(): Promise<void> {
  const taken = await Promise.all(underWay);
  if (taken.includes(false)) return;
  const act = last;
  if (!act) return;
  set(null);
  try {
    await act.undo();
  } catch (error) {
    if (last === null) set(act);
    throw error;
  }
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
