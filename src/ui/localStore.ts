/** Events and photos that are on their way to the server, kept in the browser until it has them: a reload, a crash or a power cut loses none. */
import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { RunEvent } from '../core/run';

interface LocalSchema extends DBSchema {
  outbox: { key: number; value: { runId: string; event: RunEvent }; indexes: { event: string } };
  photos: { key: string; value: { id: string; jpeg: string } };
}

let opened: Promise<IDBPDatabase<LocalSchema> | null> | null = null;

/** Null: this browser keeps nothing, as in some private windows. */
const store = (): Promise<IDBPDatabase<LocalSchema> | null> => {
  opened ??= openDB<LocalSchema>('tidy-beacon', 2, {
    upgrade: (db, from) => {
      if (from < 1) db.createObjectStore('outbox', { autoIncrement: true }).createIndex('event', 'event.id', { unique: true });
      if (from < 2) db.createObjectStore('photos', { keyPath: 'id' });
    },
  }).catch(() => null);
  return opened;
};

/** Whether this browser keeps what is on its way. */
export const keeps = async (): Promise<boolean> => (await store()) !== null;

/** Keeps an event; false where the browser is full or keeps nothing, and the event is then only in this page. */
export async function storeEvent(runId: string, event: RunEvent): Promise<boolean> {
  try {
    const db = await store();
    if (!db) return false;
    await db.add('outbox', { runId, event });
    return true;
  } catch {
    return false;
  }
}

/** Lets go of events the server has, or will never take. */
export async function letGo(ids: readonly string[]): Promise<void> {
  const db = await store();
  if (!db) return;
  try {
    const change = db.transaction('outbox', 'readwrite');
    for (const id of ids) {
      const key = await change.store.index('event').getKey(id);
      if (key !== undefined) await change.store.delete(key);
    }
    await change.done;
  } catch {
    // an event kept too long is sent once more, and the server knows it by its id
  }
}

/** Everything that was still on its way, in the order it happened. */
export async function storedEvents(): Promise<{ runId: string; event: RunEvent }[]> {
  const db = await store();
  return db ? db.getAll('outbox').catch(() => []) : [];
}

/** A photo as it goes over the wire: base64 of a JPEG. */
export interface StoredPhoto {
  id: string;
  jpeg: string;
}

/** Keeps a photo; false where it is then only in this page. */
export async function storePhoto(photo: StoredPhoto): Promise<boolean> {
  try {
    const db = await store();
    if (!db) return false;
    await db.put('photos', photo);
    return true;
  } catch {
    return false;
  }
}

export const storedPhotos = async (): Promise<StoredPhoto[]> => (await store())?.getAll('photos').catch(() => []) ?? [];

export async function letGoPhoto(id: string): Promise<void> {
  await (await store())?.delete('photos', id).catch(() => undefined);
}
