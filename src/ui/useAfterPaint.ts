/** What may follow the picture by a frame, so that what matters most is seen at once. */
import { useEffect, useState } from 'react';

/** A value as it was before the last change, until that has been painted. Changes are told by identity. */
export function useAfterPaint<T>(value: T): T {
  const [painted, setPainted] = useState(() => value);
  useEffect(() => {
    let wait: ReturnType<typeof setTimeout> | undefined;
    const frame = requestAnimationFrame(() => {
      wait = setTimeout(() => setPainted(() => value));
    });
    return () => {
      cancelAnimationFrame(frame);
      clearTimeout(wait);
    };
  }, [value]);
  return painted;
}
