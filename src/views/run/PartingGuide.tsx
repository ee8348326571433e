/** The rhythm in which married sheets are parted, as an edge that moves the way the hand should: a breath, ease in, let it run, ease off. */
import { useEffect, useRef } from 'react';

/** One parting, ms: a breath of waiting, the pull, and the hands going back. */
const BREATH_MS = 1_500;
const PULL_MS = 4_500;
const BACK_MS = 1_200;
const ROUND_MS = BREATH_MS + PULL_MS + BACK_MS;

const share = (ms: number) => ms / ROUND_MS;

export function PartingGuide() {
  const edge = useRef<HTMLSpanElement>(null);
  useEffect(() => {
    if (matchMedia('(prefers-reduced-motion: reduce)').matches) return undefined;
    const pull = edge.current?.animate(
      [
        { offset: 0, transform: 'translateX(0)' },
        { offset: share(BREATH_MS), transform: 'translateX(0)', easing: 'cubic-bezier(0.6, 0, 0.4, 1)' },
        { offset: share(BREATH_MS + PULL_MS), transform: 'translateX(100%)' },
        { offset: 1, transform: 'translateX(100%)' },
      ],
      { duration: ROUND_MS, iterations: Number.POSITIVE_INFINITY },
    );
    return () => pull?.cancel();
  }, []);
  return (
    <span className="mt-3 block max-w-3xl" aria-hidden="true" data-guide>
      <span className="relative block h-8 overflow-hidden border-2 border-night-soft contain-strict">
        <span ref={edge} className="absolute inset-0 border-l-4 border-amber bg-night-line will-change-transform" />
      </span>
      <span className="grid grid-cols-[1fr_2fr_1fr] text-lg text-night-soft">
        <span>ease in</span>
        <span className="text-center">let it run</span>
        <span className="text-right">ease off</span>
      </span>
    </span>
  );
}
