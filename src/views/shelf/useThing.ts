/** Saving a thing of the shelf: undoable, and when somebody else was quicker, merged with what they made of it. */

import { useState } from 'react';
import { call, ProblemError } from '../../contract';
import type { ShelfKind } from '../../core/sheet';
import { type Conflict, merge } from '../../ui/merge';
import { known, queries } from '../../ui/query';
import { useSave, write } from '../../ui/write';
import { kindOf, type Things } from './kinds';

async function put<K extends ShelfKind>(kind: K, doc: Things[K], ifMatch: number | undefined): Promise<number> {
  const args = { params: { id: doc.id }, ...(ifMatch !== undefined && { ifMatch }) };
  // each kind has its own route; what they have in common is all that is needed here
  const saved = await write(kindOf(kind).put, { ...args, body: doc } as never, ({ version }: { version: number }) =>
    known('shelf', {}, (was) => ({ ...was, versions: { ...was.versions, [doc.id]: version } })),
  );
  return saved.version;
}

async function newest<K extends ShelfKind>(kind: K, id: string): Promise<{ doc: Things[K]; version: number } | null> {
  const shelf = await call('shelf', {});
  queries.setQueryData(['shelf', {}], shelf);
  const doc = (shelf[kind] as unknown as Things[K][]).find((candidate) => candidate.id === id);
  return doc ? { doc, version: shelf.versions[id] ?? 1 } : null;
}

export interface Collision<T> {
  theirs: T;
  version: number;
  conflicts: Conflict<T>[];
  taken: string[];
}

interface Keeping<T> {
  doc: T;
  /** What it was made from, and that one's version; null: it is new. */
  over: { base: T | null; version: number | undefined };
}

/**
 * @param base the thing as it was opened; null: it is new
 * @param version its version then
 */
export function useThing<K extends ShelfKind>(kind: K, base: Things[K] | null, version: number | undefined) {
  const [collision, setCollision] = useState<Collision<Things[K]> | null>(null);
  /** What somebody else made of it, where that is why a save was refused. */
  const theirs = async (doc: Things[K], error: unknown): Promise<Collision<Things[K]> | null> => {
    const other = error instanceof ProblemError && error.problem.status === 412 && base ? await newest(kind, doc.id) : null;
    return other && base && { theirs: other.doc, version: other.version, ...merge(base, doc, other.doc) };
  };
  const keep = useSave(
    ({ doc, over }: Keeping<Things[K]>) => `${doc.name} ${over.base ? 'changed' : 'added'}`,
    async ({ doc, over }) => {
      const { base: before } = over;
      try {
        const saved = await put(kind, doc, over.version);
        setCollision(null);
        return async () => void (before ? await put(kind, before, saved) : await write('removeThing', { params: { kind, id: doc.id } }));
      } catch (error) {
        setCollision(await theirs(doc, error));
        throw error;
      }
    },
  );
  const fault = collision ? null : keep.fault;
  const save = (doc: Things[K], over = { base, version }): Promise<boolean> => keep.save({ doc, over });
  /** Saves mine over theirs field by field: mine only in the fields named. */
  const saveMerged = async (mine: Things[K], keepMine: readonly string[]): Promise<boolean> => {
    if (!collision || !base) return false;
    return save(merge(base, mine, collision.theirs, keepMine).merged, { base: collision.theirs, version: collision.version });
  };
  return { save, saveMerged, collision, pending: keep.pending, fault, fields: fault instanceof ProblemError ? fault.fields : {} };
}
