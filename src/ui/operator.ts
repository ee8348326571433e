/** Who presses at this device: kept in the browser, so that nobody types initials twice. */
import { useState } from 'react';
import { remember, remembered } from './browserMemory';

/** The initials in use here, and how to change them. A browser that keeps nothing asks again in the next page. */
export function useOperator(): [string, (initials: string) => void] {
  const [operator, setOperator] = useState(() => remembered('operator') ?? '');
  return [
    operator,
    (initials) => {
      setOperator(initials);
      remember('operator', initials);
    },
  ];
}
