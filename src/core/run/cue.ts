/** The one cue of the moment: what to do, and which event the big button stands for. */
import type { RunEventKind } from './events';
import type { RunPlan, RunState } from './machine';

export interface Cue {
  /** Two or three words, readable from two metres. */
  verb: string;
  /** What Space, the foot switch or a tap means now; null while a clock runs. */
  act: Extract<RunEventKind, 'next' | 'closed' | 'opened' | 'peeled' | 'kept'> | null;
  /** The same act, done before its clock is out. */
  early: 'opened' | 'next' | null;
  /** Seconds left on the clock, not below 0; null without one. */
  leftS: number | null;
  /** Share of the clock that is left, 1 to 0. */
  share: number;
  canLayBack: boolean;
  canSpoil: boolean;
}

const READY: Record<string, [string, NonNullable<Cue['act']>]> = {
  marry: ['Close to marry', 'closed'],
  trim: ['Trim', 'next'],
  load: ['Load', 'next'],
  'pre-press': ['Close to pre-press', 'closed'],
  place: ['Place', 'next'],
  tack: ['Close to tack', 'closed'],
  'turn over': ['Turn it over', 'next'],
  press: ['Close', 'closed'],
  rub: ['Rub it down', 'next'],
  peel: ['Peel', 'peeled'],
  finish: ['Close to finish', 'closed'],
  inspect: ['Look it over', 'kept'],
};

/**
 * The cue for a state at an instant.
 *
 * A clock that runs asks for nothing but patience: `act` is null until it is out, and only `early` can end it sooner.
 *
 * @param now ms since the epoch, the server's reckoning
 */
export function cueOf(plan: RunPlan, run: RunState, now: number): Cue {
  const quiet = { early: null, leftS: null, share: 0, canLayBack: false, canSpoil: false };
  const stage = plan.stages[run.stage];
  if (run.phase === 'done' || !stage) return { ...quiet, verb: run.stopped ? 'Stopped' : 'All pressed', act: null };
  const handling = { canLayBack: stage.kind === 'peel' || stage.kind === 'inspect', canSpoil: run.phase !== 'closed' };
  if (run.dueAt === null) {
    const [verb, act] = READY[stage.kind] ?? ['Next', 'next'];
    return { ...quiet, ...handling, verb, act };
  }
  const leftMs = Math.max(0, run.dueAt - now);
  const clock = { leftS: leftMs / 1000, share: Math.min(1, leftMs / (stage.timeS * 1000)) };
  const done = run.phase === 'closed' ? ('opened' as const) : ('next' as const);
  if (leftMs > 0) return { ...quiet, ...handling, ...clock, verb: run.phase === 'closed' ? 'Pressing' : 'Cooling', act: null, early: done };
  return { ...quiet, ...handling, ...clock, verb: run.phase === 'closed' ? 'Open now' : 'Cool enough', act: done };
}
