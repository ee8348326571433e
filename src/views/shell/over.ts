/** How any part of a page asks for what is opened over it, Find or Help, and how a press whose time is up sends it away. */

export type Over = 'find' | 'help';
interface Asked {
  over: Over;
  /** A word Help is to open at. */
  word: string | null;
}

const ASKED = 'tidy-beacon:over';
const AWAY = 'tidy-beacon:over-away';

/** Asked for while nobody could hear it yet: the page was still being put together. */
let early: Asked | null = null;

export function openOver(over: Over, word: string | null = null): void {
  early = { over, word };
  document.dispatchEvent(new CustomEvent<Asked>(ASKED, { detail: early }));
}
export const closeOver = (): void => void document.dispatchEvent(new Event(AWAY));

/** @returns how to stop listening */
export function whenOverIsAsked(open: (asked: Asked) => void, close: () => void): () => void {
  const hear = ({ detail }: CustomEventInit<Asked>) => {
    early = null;
    if (detail) open(detail);
  };
  document.addEventListener(ASKED, hear as EventListener);
  if (early) hear({ detail: early });
  document.addEventListener(AWAY, close);
  return () => {
    document.removeEventListener(ASKED, hear as EventListener);
    document.removeEventListener(AWAY, close);
  };
}
