/** Small choices of one browser, kept from page to page. A private window keeps nothing: they hold for the page then. */

export function remembered(what: string): string | null {
  try {
    return localStorage.getItem(`tidy-beacon.${what}`);
  } catch {
    return null;
  }
}

export function remember(what: string, value: string): void {
  try {
    localStorage.setItem(`tidy-beacon.${what}`, value);
  } catch {
    // nothing is kept
  }
}
