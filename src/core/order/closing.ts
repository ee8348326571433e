/** Which designs of a line are pressed together. */
import type { Print } from './order';

/** The prints that are pressed in one closing with a print, itself among them, in their order. */
export function closingOf<P extends Pick<Print, 'key' | 'withBefore'>>(prints: readonly P[], key: string): P[] {
  const at = prints.findIndex((print) => print.key === key);
  if (at < 0) return [];
  const from = prints.findLastIndex((print, i) => i <= at && !print.withBefore);
  const after = prints.findIndex((print, i) => i > at && !print.withBefore);
  return prints.slice(Math.max(0, from), after < 0 ? undefined : after);
}
