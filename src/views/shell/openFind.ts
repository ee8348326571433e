/** How the head of the page and the keys ask for Find, wherever it is drawn, and how a press whose time is up sends it away. */

const ASKED = 'tidy-beacon:find';
const AWAY = 'tidy-beacon:find-away';

export const openFind = (): void => void document.dispatchEvent(new Event(ASKED));
export const closeFind = (): void => void document.dispatchEvent(new Event(AWAY));

/** @returns how to stop listening */
export function whenFindIsAsked(open: () => void, close: () => void): () => void {
  document.addEventListener(ASKED, open);
  document.addEventListener(AWAY, close);
  return () => {
    document.removeEventListener(ASKED, open);
    document.removeEventListener(AWAY, close);
  };
}
