/** Keys of a run: they work outside fields, a held key is one press, and what is focused elsewhere keeps Space and Enter to itself. */
import { useLayoutEffect } from 'react';

export function useRunKeys(keys: Record<string, () => unknown>, quiet = false): void {
  // before paint, so that no key is ever judged by the cue before the one that is seen
  useLayoutEffect(() => {
    if (quiet) return undefined;
    const onKey = (event: KeyboardEvent) => {
      const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
      const target = event.target as HTMLElement;
      const does = keys[key];
      const other = target.closest('a, button:not([data-cue]), aside');
      if (event.ctrlKey || event.metaKey || event.altKey || target.matches('input, textarea') || !does) return;
      // what lies open over the run has the keys
      if (document.querySelector('dialog[open]')) return;
      if (other && (key === ' ' || key === 'Enter')) return;
      event.preventDefault();
      if (!event.repeat) does();
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  });
}
