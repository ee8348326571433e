/** Remembers answers: for what is dear to work out and asked again with the very same figures. */
import { LRUCache } from 'lru-cache';

/**
 * A store of answers by key. The key must hold everything the answer depends on; then nothing in it can grow stale.
 *
 * @param most answers kept; the one longest not asked for makes room
 * @returns looks an answer up, or works it out and keeps it
 */
export function remembered<T>(most: number): (key: string, work: () => T) => T {
  const cache = new LRUCache<string, { answer: T }>({ max: most });
  return (key, work) => {
    const known = cache.get(key);
    if (known) return known.answer;
    const answer = work();
    cache.set(key, { answer });
    return answer;
  };
}
