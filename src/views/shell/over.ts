/** How any part of a page asks for what is opened over it, Find or Help, and how a press whose time is up sends it away. */

export type Over = 'find' | 'help';
interface Asked {
  over: Over;
  /** A word Help is to open at. */
  word: string | null;
}

const ASKED = 'tidy-beacon:over';
const AWAY = 'tidy-beacon:over-away';

export const openOver = (over: Over, word: string | null = null): void =>
  void document.dispatchEvent(new CustomEvent<Asked>(ASKED, { detail: { over, word } }));
export const closeOver = (): void => void document.dispatchEvent(new Event(AWAY));

/** @returns how to stop listening */
export function whenOverIsAsked(open: (asked: Asked) => void, close: () => void): () => void {
  const hear = (event: Event) => open((event as CustomEvent<Asked>).detail);
  document.addEventListener(ASKED, hear);
  document.addEventListener(AWAY, close);
  return () => {
    document.removeEventListener(ASKED, hear);
    document.removeEventListener(AWAY, close);
  };
}
