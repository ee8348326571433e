/** How the head of the page and the keys ask for Find, wherever it is drawn. */

const ASKED = 'tidy-beacon:find';

export const openFind = (): void => void document.dispatchEvent(new Event(ASKED));

/** @returns how to stop listening */
export function opensFind(open: () => void): () => void {
  document.addEventListener(ASKED, open);
  return () => document.removeEventListener(ASKED, open);
}
