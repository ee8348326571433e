/** Who presses at this device: kept in the browser, so that nobody types initials twice. */
import { useState } from 'react';

const KEY = 'tidy-beacon.operator';

function storedOperator(): string {
  try {
    return localStorage.getItem(KEY) ?? '';
  } catch {
    return '';
  }
}

/** The initials in use here, and how to change them. A browser that keeps nothing asks again in the next page. */
export function useOperator(): [string, (initials: string) => void] {
  const [operator, setOperator] = useState(storedOperator);
  return [
    operator,
    (initials) => {
      setOperator(initials);
      try {
        localStorage.setItem(KEY, initials);
      } catch {
        // a private window keeps nothing; the choice holds for this page
      }
    },
  ];
}
