/** The one way a page writes: sent, taken over, what it made stale fetched again; with its undo on the rail, and what went wrong in `fault`. */
import { useMutation } from '@tanstack/react-query';
import { call, type Reply } from '../contract';
import type { Args } from '../contract/client';
import { STALE_AFTER, type WriteName } from '../contract/paths';
import { saveUndoably, type UndoableAct } from './acts';
import { refresh } from './query';

/**
 * Writes by a route.
 *
 * @param takeOver puts what was answered where the page reads it, before anything is fetched: the next save goes by its version
 * @throws {ProblemError} it was refused, and nothing was changed
 * @throws {AwayError} there was no answer
 */
export async function write<N extends WriteName>(name: N, args: Args<N>, takeOver?: (reply: Reply<N>) => void): Promise<Reply<N>> {
  const reply = await call(name, args);
  takeOver?.(reply);
  await refresh(...STALE_AFTER[name]);
  return reply;
}

export interface Writing<A> {
  /** Answers whether it was taken; if not, `fault` says why. */
  save: (asked: A) => Promise<boolean>;
  pending: boolean;
  /** Why the last one was not taken; null: it was, or there was none. */
  fault: unknown;
  clearFault: () => void;
}

/** Something a page writes. @param act throws what `write` throws */
export function useWrite<A = void>(act: (asked: A) => Promise<unknown>): Writing<A> {
  const { mutateAsync, isPending, error, reset } = useMutation({ mutationFn: act });
  const save = (asked: A) =>
    mutateAsync(asked).then(
      () => true,
      () => false,
    );
  return { save, pending: isPending, fault: error, clearFault: reset };
}

/**
 * Something a page writes that can be undone from the rail.
 *
 * @param what the words the rail offers to undo it by
 * @param act answers how to undo it; null: there is nothing to undo
 */
export const useSave = <A = void>(what: (asked: A) => string, act: (asked: A) => Promise<UndoableAct['undo'] | null>): Writing<A> =>
  useWrite((asked: A) => saveUndoably(what(asked), () => act(asked)));
