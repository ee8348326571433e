/** A part of a page that is fetched once it may be wanted soon, and again until it is there. */
import { useEffect, useState } from 'react';

const RETRY_MS = 2_000;

/**
 * @param load the same function at every drawing
 * @param wanted whether it may be wanted soon
 * @returns null: it is not there yet
 */
export function useFetched<M>(load: () => Promise<M>, wanted: boolean): M | null {
  const [fetched, setFetched] = useState<{ part: M } | null>(null);
  const missing = wanted && fetched === null;
  useEffect(() => {
    if (!missing) return undefined;
    let wait: ReturnType<typeof setTimeout> | undefined;
    let gone = false;
    const fetchIt = () =>
      load().then(
        (part) => gone || setFetched({ part }),
        () => {
          // the server is away: it is asked again, as long as somebody waits
          if (!gone) wait = setTimeout(fetchIt, RETRY_MS);
        },
      );
    void fetchIt();
    return () => {
      gone = true;
      clearTimeout(wait);
    };
  }, [load, missing]);
  return fetched?.part ?? null;
}
