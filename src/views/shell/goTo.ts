/** Goes to a page of the app without leaving the document, so that clocks and the rail live on. */
import { navigate } from 'astro:transitions/client';

// each page asked for, by whatever hand or part
let asked = 0;
document.addEventListener('astro:before-preparation', () => {
  asked += 1;
});

export const goTo = (href: string): void => void navigate(href);

/**
 * Goes on once what is being kept is kept – unless the hand has asked for another page meanwhile: that is where it goes.
 * @param keeping what is under way; false where it was refused
 * @param href of the page that follows
 * @returns whether it was kept
 */
export async function goOnceKept(keeping: Promise<boolean>, href: string): Promise<boolean> {
  const before = asked;
  const kept = await keeping;
  if (kept && asked === before) goTo(href);
  return kept;
}
