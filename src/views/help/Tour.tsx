/** The tour over the page: one step, how far it is, and the way out. It goes on by itself as each step is done. */
import { useEffect, useState } from 'react';
import { recall, remember } from '../../ui/tabMemory';
import { TOUR } from './tourSteps';

const AT = 'tidy-beacon.tour';
/** So often it is looked whether a step was done, ms. */
const LOOK_MS = 300;

export function Tour({ onEnd }: { onEnd: () => void }) {
  const [at, setAt] = useState(() => Number(recall(AT) ?? 0));
  useEffect(() => {
    remember(AT, String(at));
    const look = setInterval(() => TOUR[at]?.isDone(location.pathname) && setAt(at + 1), LOOK_MS);
    return () => clearInterval(look);
  }, [at]);
  const step = TOUR[at];
  if (!step) return null;
  return (
    <section
      aria-label="Tour"
      className="fixed right-4 bottom-[calc(var(--foot)+1rem)] z-30 w-[min(24rem,100vw-2rem)] border-2 border-print bg-amber p-4 text-print narrow:top-14 narrow:bottom-auto narrow:p-2.5"
    >
      <p aria-live="polite" className="text-lg leading-snug font-semibold narrow:text-base">
        {step.says}
      </p>
      <p className="flex items-center justify-between pt-2">
        <span>
          Tour, <span className="figure">{at + 1}</span> of <span className="figure">{TOUR.length}</span>
        </span>
        <button
          type="button"
          className="act border-print text-print"
          onClick={() => {
            remember(AT, null);
            onEnd();
          }}
        >
          {at === TOUR.length - 1 ? 'Done' : 'End the tour'}
        </button>
      </p>
    </section>
  );
}
