/** What a tab remembers of work not yet saved. A window that keeps nothing forgets it, and harms nothing. */

export function recall(place: string): string | null {
  try {
    return sessionStorage.getItem(place);
  } catch {
    return null;
  }
}

/** @param text null: forget it */
export function remember(place: string, text: string | null): void {
  try {
    if (text === null) sessionStorage.removeItem(place);
    else sessionStorage.setItem(place, text);
  } catch {
    // a private window keeps nothing; what was typed holds for this page
  }
}
