/** Saving a thing of the shelf: undoable, and when somebody else was quicker, merged with what they made of it. */
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { call, ProblemError, type ShelfKind } from '../../contract';
import { saveUndoably } from '../../ui/acts';
import { type Conflict, merge } from '../../ui/merge';
import { queries, refresh } from '../../ui/query';
import { kindOf, type Things } from './kinds';

const again = () => refresh('shelf', 'orderCards', 'order', 'bench');

async function put<K extends ShelfKind>(kind: K, doc: Things[K], ifMatch: number | undefined): Promise<number> {
  const args = { params: { id: doc.id }, ...(ifMatch !== undefined && { ifMatch }) };
  // each kind has its own route; what they have in common is all that is needed here
  const saved = await call(kindOf(kind).put, { ...args, body: doc } as never);
  return (saved as { version: number }).version;
}

async function newest<K extends ShelfKind>(kind: K, id: string): Promise<{ doc: Things[K]; version: number } | null> {
  const shelf = await call('shelf', {});
  queries.setQueryData(['shelf', {}], shelf);
  const doc = (shelf[kind] as unknown as Things[K][]).find((one) => one.id === id);
  return doc ? { doc, version: shelf.versions[id] ?? 1 } : null;
}

export interface Met<T> {
  theirs: T;
  version: number;
  conflicts: Conflict<T>[];
  taken: string[];
}

/**
 * @param base the thing as it was opened; null: it is new
 * @param version its version then
 */
export function useThing<K extends ShelfKind>(kind: K, base: Things[K] | null, version: number | undefined) {
  const [met, setMet] = useState<Met<Things[K]> | null>(null);
  const write = useMutation({
    mutationFn: ({ doc, over }: { doc: Things[K]; over: { base: Things[K] | null; version: number | undefined } }) =>
      saveUndoably(`${doc.name} ${over.base ? 'changed' : 'added'}`, async () => {
        const saved = await put(kind, doc, over.version);
        await again();
        return async () => {
          if (over.base) await put(kind, over.base, saved);
          else await call('removeThing', { params: { kind, id: doc.id } });
          await again();
        };
      }),
    onSuccess: () => setMet(null),
  });
  const fault = met ? null : write.error;

  const save = async (doc: Things[K], over = { base, version }): Promise<boolean> => {
    try {
      await write.mutateAsync({ doc, over });
      return true;
    } catch (error) {
      const other = error instanceof ProblemError && error.problem.status === 412 && base ? await newest(kind, doc.id) : null;
      if (other && base) {
        const { conflicts, taken } = merge(base, doc, other.doc);
        setMet({ theirs: other.doc, version: other.version, conflicts, taken });
      } else setMet(null);
      return false;
    }
  };

  /** Saves mine over theirs field by field: mine only in the fields named. */
  const saveMerged = async (mine: Things[K], keepMine: readonly string[]): Promise<boolean> => {
    if (!met || !base) return false;
    return save(merge(base, mine, met.theirs, keepMine).merged, { base: met.theirs, version: met.version });
  };
  return { save, saveMerged, met, pending: write.isPending, fault, fields: fault instanceof ProblemError ? fault.fields : {} };
}
