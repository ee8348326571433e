/** Remembers answers: for what is dear to work out and asked again with the very same figures. */

/**
 * A store of answers by key. The key must hold everything the answer depends on; then nothing in it can grow stale.
 *
 * @param most answers kept; the oldest makes room
 * @returns looks an answer up, or works it out and keeps it
 */
export function remembered<T>(most: number): (key: string, work: () => T) => T {
  const kept = new Map<string, { answer: T }>();
  return (key, work) => {
    const known = kept.get(key);
    if (known) return known.answer;
    const answer = work();
    if (kept.size >= most) kept.delete(kept.keys().next().value ?? '');
    kept.set(key, { answer });
    return answer;
  };
}
