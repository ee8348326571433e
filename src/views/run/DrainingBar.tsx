/** Time as a bar that drains by itself between two words of the clock. */
import { useEffect, useRef } from 'react';
import { serverNow, useClockTurn } from '../../ui/clock';

/** @param lastsS the whole length of the clock, s @param dueAt when it is out, ms since the epoch */
export function DrainingBar({ lastsS, dueAt }: { lastsS: number; dueAt: number | null }) {
  return dueAt === null ? null : (
    <span className="mt-4 block h-7 contain-strict">
      <Drain lastsS={lastsS} dueAt={dueAt} />
    </span>
  );
}

function Drain({ lastsS, dueAt }: { lastsS: number; dueAt: number }) {
  const bar = useRef<HTMLSpanElement>(null);
  const drain = useRef<Animation>(undefined);
  // put to its place again when the clock has turned
  useClockTurn();
  useEffect(() => {
    const frames = [{ transform: 'scaleX(1)' }, { transform: 'scaleX(0)' }];
    drain.current = bar.current?.animate(frames, { duration: lastsS * 1000, fill: 'both' });
    return () => drain.current?.cancel();
  }, [lastsS]);
  useEffect(() => {
    if (drain.current) drain.current.currentTime = Math.max(0, lastsS * 1000 - (dueAt - serverNow()));
  });
  return (
    <span className="block h-full border-2 border-white" aria-hidden="true">
      <span ref={bar} data-bar className="block h-full origin-left bg-amber will-change-transform" />
    </span>
  );
}
