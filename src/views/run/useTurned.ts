/** Whether a clock has just turned the cue from other work: a hand that comes then meant what stood there before. */
import { useLayoutEffect, useRef } from 'react';
import type { Cue } from '../../core/run';

/** So long the hand is taken to have meant what stood there before, ms. */
const TURNED_MS = 500;

/** @returns `byHand` is told of every act of this page: what follows from it is no surprise */
export function useTurned(cue: Cue): { justNow: () => boolean; byHand: () => void } {
  const shown = useRef({ cued: '', asked: false, turnedAt: Number.NEGATIVE_INFINITY });
  const isOurs = useRef(true);
  const cued = `${cue.act} ${cue.stage} ${cue.pieces.join(' ')}`;
  useLayoutEffect(() => {
    if (shown.current.cued === cued) return;
    // a cue that asked for nothing, a clock that ran, can have been meant by nobody
    const turnedAt = shown.current.asked && !isOurs.current ? performance.now() : Number.NEGATIVE_INFINITY;
    shown.current = { cued, asked: cue.act !== null, turnedAt };
    isOurs.current = false;
  }, [cued, cue.act]);
  return {
    justNow: () => performance.now() - shown.current.turnedAt < TURNED_MS,
    byHand: () => {
      isOurs.current = true;
    },
  };
}
