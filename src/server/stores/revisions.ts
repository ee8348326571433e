/** How often each part of the shop has changed: what was worked out of a part holds while its count is the same, whoever wrote. */
import { revisions } from '../db/schema';
import { type Db, perShop, remember } from './perShop';

export type Part = 'shelf' | 'presses' | 'house' | 'orders' | 'log' | 'runs';

const counted = perShop((db) => db.select().from(revisions).prepare());

/** A text that is another one as soon as one of these parts has changed. */
export function markOf(db: Db, ...parts: readonly Part[]): string {
  const rows = counted(db).all();
  return parts.map((part) => rows.find((row) => row.of === part)?.n ?? 0).join(' ');
}

/** What was worked out under a mark, or works it out anew. */
export function whileSame<K, V>(db: Db, memory: Map<K, { mark: string; value: V }>, key: K, mark: string, work: () => V): V {
  const known = memory.get(key);
  return known?.mark === mark ? known.value : remember(db, memory, key, { mark, value: work() }).value;
}
