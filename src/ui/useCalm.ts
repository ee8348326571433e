/** A value that changes with every frame, slowed so that eyes can read it: at most so often, and the last one always. */
import { useEffect, useRef, useState } from 'react';

export function useCalm<T>(value: T, everyMs: number): T {
  const [shown, setShown] = useState(value);
  const last = useRef(Number.NEGATIVE_INFINITY);
  useEffect(() => {
    const timer = setTimeout(
      () => {
        last.current = performance.now();
        setShown(() => value);
      },
      Math.max(0, last.current + everyMs - performance.now()),
    );
    return () => clearTimeout(timer);
  }, [value, everyMs]);
  return shown;
}
