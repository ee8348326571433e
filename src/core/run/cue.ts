/** The one cue of the moment: what to do, why, which event the big button stands for, and what comes after. */
import { type Act, type ActKind, actsOf } from './acts';
import { chosen, firstDue, type Why } from './choose';
import type { RunFact, Style } from './events';
import { nextLot, secondsOf } from './lots';
import { step } from './machine';
import { changesHeat, keepsWarmS, type RunPlan } from './plan';
import type { Lot, RunState } from './state';

export interface Cue {
  /** Two or three words, readable from two metres. */
  verb: string;
  /** Pieces it is about; none once the run is over. */
  pieces: number[];
  /** Stage of the plan it belongs to; −1 once the run is over. */
  stage: number;
  /** What Space, the foot switch or a tap means now; null while a clock runs. */
  act: ActKind | null;
  /** The same act, done before its clock is out. */
  early: ActKind | null;
  why: Why | null;
  /** A peel that must come at once. */
  hot: boolean;
  /** Seconds left on the clock, not below 0; null without one. */
  leftS: number | null;
  /** When that clock is out, ms since the epoch; null without one. */
  dueAt: number | null;
  /** The whole length of that clock, s. */
  lastsS: number;
  canLayBack: boolean;
  canSpoil: boolean;
}

const VERBS: Record<string, string> = {
  marry: 'Close to marry',
  trim: 'Trim',
  load: 'Load',
  'pre-press': 'Close to pre-press',
  place: 'Place',
  tack: 'Close to tack',
  'turn over': 'Turn it over',
  press: 'Close',
  rub: 'Rub it down',
  peel: 'Peel',
  finish: 'Close to finish',
  inspect: 'Look it over',
  cool: 'Cool enough',
  wait: 'Cool enough',
};

const QUIET = { early: null, why: null, hot: false, leftS: null, dueAt: null, lastsS: 0, canLayBack: false, canSpoil: false } as const;

/** How the pieces are gone through unless the operator says: all through one stage first where the heat must change between them. */
export const styleOf = (plan: RunPlan, run: Pick<RunState, 'style'>): Style =>
  run.style ?? (changesHeat(plan.stages) ? 'step by step' : 'piece by piece');

const verbOf = (plan: RunPlan, { kind, stage, peel }: Act): string =>
  kind === 'opened' ? 'Open now' : peel === 'hot' ? 'Peel now' : (VERBS[plan.stages[stage]?.kind ?? ''] ?? 'Next');

/** What may be done to a lot besides its cue. */
function handling(plan: RunPlan, lot: Lot): Pick<Cue, 'canLayBack' | 'canSpoil'> {
  const stage = plan.stages[lot.stage];
  const peels = stage?.kind === 'peel' || (stage?.by === 'clock' && plan.stages[lot.stage + 1]?.kind === 'peel');
  return { canLayBack: peels || stage?.kind === 'inspect', canSpoil: lot.phase !== 'closed' };
}

/**
 * The cue for a state at an instant.
 *
 * A clock that runs asks for nothing but patience: `act` is null until it is out, and only `early` can end it sooner.
 *
 * @param at ms since the epoch, the server's reckoning
 * @param picked a lot the operator turned to instead, by its first piece
 */
export function cueOf(plan: RunPlan, run: RunState, at: number, picked: number | null = null): Cue {
  // a clock that was set back does not take back what has happened
  const now = Math.max(at, run.lastAt);
  if (run.done) return { ...QUIET, verb: run.stopped ? 'Stopped' : 'All pressed', pieces: [], stage: -1, act: null };
  const choice = chosen(plan, run, now, styleOf(plan, run));
  const urgent = choice && ['hot peel', 'hot rub', 'time is up'].includes(choice.why);
  const other = picked === null || urgent ? undefined : actsOf(plan, run).find(({ lot }) => lot.first === picked);
  if (other && other.from > now) return clockCue(plan, run, other.lot, now);
  if (other) return actCue(plan, other, null);
  if (choice) return actCue(plan, choice.act, choice.why);
  const shut = run.active.find((lot) => lot.phase === 'closed') ?? run.active.find((lot) => lot.dueAt === firstDue(run));
  if (run.pausedAt !== null && shut?.phase !== 'closed') {
    const lot = shut ?? run.active[0] ?? nextLot(plan, run);
    return { ...QUIET, verb: 'Paused', pieces: lot?.pieces ?? [], stage: lot?.stage ?? -1, act: null, why: 'paused' };
  }
  return clockCue(plan, run, shut, now);
}

/** Something to do now. @param why null: the operator turned to it */
const actCue = (plan: RunPlan, act: Act, why: Why | null): Cue => ({
  ...QUIET,
  ...handling(plan, act.lot),
  verb: verbOf(plan, act),
  pieces: act.lot.pieces,
  stage: act.stage,
  act: act.kind,
  why,
  hot: act.peel === 'hot',
  leftS: act.kind === 'opened' ? 0 : null,
});

function clockCue(plan: RunPlan, run: RunState, lot: Lot | undefined, now: number): Cue {
  const stage = lot && plan.stages[lot.stage];
  if (!lot || !stage) return { ...QUIET, verb: 'Paused', pieces: [], stage: -1, act: null };
  const peels = plan.stages[lot.stage + 1]?.kind === 'peel';
  return {
    ...QUIET,
    ...handling(plan, lot),
    verb: lot.phase === 'closed' ? 'Pressing' : 'Cooling',
    pieces: lot.pieces,
    stage: lot.stage,
    act: null,
    early: lot.phase === 'closed' ? 'opened' : peels ? 'peeled' : 'next',
    leftS: Math.max(0, (lot.dueAt ?? now) - now) / 1000,
    dueAt: lot.dueAt ?? now,
    lastsS: secondsOf(stage, run),
  };
}

/** The fact an act stands for, for the piece it is about. */
export const factOf = ({ pieces, stage }: Pick<Cue, 'pieces' | 'stage'>, kind: ActKind): RunFact => ({
  kind,
  stage,
  ...(pieces[0] !== undefined && { piece: pieces[0] }),
});

/** A lot that cools or waits off the press: when it is cool enough, what is done with it then, and until when it still is warm enough for it. */
export interface Cooling {
  lot: Lot;
  dueAt: number | null;
  says: string;
  /** Null: it keeps. */
  keepsUntil: number | null;
}

/** What lies or runs where: every lot that cools, or waits off the press, by its clock. */
export function cooling(plan: RunPlan, run: RunState): Cooling[] {
  return run.active
    .filter((lot) => lot.phase === 'cooling' || (!lot.onPress && lot.phase !== 'closed'))
    .map((lot) => {
      const next = lot.dueAt === null ? lot.stage : lot.stage + 1;
      const keepsS = lot.dueAt === null ? null : keepsWarmS(plan, next);
      return {
        lot,
        dueAt: lot.dueAt,
        says: VERBS[plan.stages[next]?.kind ?? ''] ?? '',
        keepsUntil: lot.dueAt !== null && keepsS !== null ? lot.dueAt + 1000 * keepsS : null,
      };
    })
    .sort((a, b) => (a.dueAt ?? 0) - (b.dueAt ?? 0));
}

/** A clock that runs: of a closing, of pieces that cool, or of a scrap in the press, which is no piece. */
export interface Clock {
  pieces: number[];
  phase: 'closed' | 'cooling';
  dueAt: number;
  /** How long it runs in all, s. */
  timeS: number;
}

/** Every clock of a run, that of the press first. While a scrap is in the press nothing else runs. */
export function clocksOf(plan: RunPlan, run: RunState): Clock[] {
  if (run.scrap) return [{ pieces: [], phase: 'closed', ...run.scrap }];
  const shut = run.active.filter((lot) => lot.phase === 'closed');
  return [...shut, ...cooling(plan, run).map(({ lot }) => lot)].flatMap(({ pieces, phase, dueAt, since }) =>
    dueAt === null || phase === 'ready' ? [] : [{ pieces, phase, dueAt, timeS: (dueAt - since) / 1000 }],
  );
}

/**
 * The cues that will follow this one, if all goes by the plan: hands take their usual times, clocks run out.
 *
 * @param many how many
 */
export function following(plan: RunPlan, run: RunState, now: number, many: number): Cue[] {
  const list: Cue[] = [];
  let [state, at] = [run, now];
  for (let i = 0; i < 60 && list.length <= many; i++) {
    const cue = cueOf(plan, state, at);
    if (cue.act) {
      list.push(cue);
      const stage = plan.stages[cue.stage];
      at += (stage?.by === 'hands' ? stage.timeS : 1) * 1000;
      const applied = step(plan, state, { ...factOf(cue, cue.act), id: FORESEEN, at } as Parameters<typeof step>[2]);
      if (applied.state === 'refused') break;
      state = applied.run;
    } else {
      // a clock that runs now is itself the cue that stands; the first act after it is what follows
      if (i === 0) list.push(cue);
      const due = firstDue(state);
      if (due === null || due <= at) break;
      at = due;
    }
  }
  return list.slice(1, many + 1);
}

/** Id of an event that has not happened. */
const FORESEEN = '00000000-0000-4000-8000-000000000000';
