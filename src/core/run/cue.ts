/** The one cue of the moment: what to do, why, which event the big button stands for, and what comes after. */
import { type Act, type ActKind, actsOf } from './acts';
import type { Style } from './choices';
import { chosen, firstDue, nextDue, type Why } from './choose';
import type { RunFact } from './events';
import type { Live } from './heat';
import { freedFor, nextLot, secondsOf } from './lots';
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
  /** A part of the piece can be pressed again by itself. */
  canSpot: boolean;
  /** The heat the press is turned to, waited for or read at; absent: the cue is not about it. */
  heat?: Act['heat'];
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

const QUIET = {
  early: null,
  why: null,
  hot: false,
  leftS: null,
  dueAt: null,
  lastsS: 0,
  canLayBack: false,
  canSpoil: false,
  canSpot: false,
} as const;

/** How the pieces are gone through unless the operator says: all through one stage first where the heat must change between them. */
export const styleOf = (plan: RunPlan, run: Pick<RunState, 'style'>): Style =>
  run.style ?? (changesHeat(plan.stages) ? 'step by step' : 'piece by piece');

/** Verbs of acts that are the same at whatever stage. */
const OWN_VERBS: Partial<Record<ActKind, string>> = { opened: 'Open now', turned: 'Turn to', read: 'Read the heat' };

const verbOf = (plan: RunPlan, { kind, stage, peel }: Act): string =>
  OWN_VERBS[kind] ?? (peel === 'hot' ? 'Peel now' : (VERBS[plan.stages[stage]?.kind ?? ''] ?? 'Next'));

/** What may be done to a lot besides its cue. */
function handling(plan: RunPlan, run: RunState, lot: Lot): Pick<Cue, 'canLayBack' | 'canSpoil' | 'canSpot'> {
  const stage = plan.stages[lot.stage];
  const peels = stage?.kind === 'peel' || (stage?.by === 'clock' && plan.stages[lot.stage + 1]?.kind === 'peel');
  const open = lot.phase !== 'closed';
  const justPeeled = plan.machine >= 2 && lot.phase === 'ready' && plan.stages[lot.stage - 1]?.kind === 'peel';
  const pressed = lot.closings.some((closing) => closing.stage === 'press');
  return {
    canLayBack: open && (peels || justPeeled || stage?.kind === 'inspect'),
    canSpoil: open,
    canSpot:
      plan.machine >= 2 &&
      lot.phase === 'ready' &&
      stage?.by === 'hands' &&
      stage.kind !== 'peel' &&
      pressed &&
      freedFor(plan, run, lot, run.lastAt) !== null,
  };
}

/**
 * The cue for a state at an instant.
 *
 * A clock that runs asks for nothing but patience: `act` is null until it is out, and only `early` can end it sooner.
 *
 * @param at ms since the epoch, the server's reckoning
 * @param picked a lot the operator turned to instead, by its first piece
 * @param live what the press's panel says this moment; null: no device tells
 */
export function cueOf(plan: RunPlan, run: RunState, at: number, picked: number | null = null, live: Live | null = null): Cue {
  // a clock that was set back does not take back what has happened
  const now = Math.max(at, run.lastAt);
  if (run.done) return { ...QUIET, verb: run.stopped ? 'Stopped' : 'All pressed', pieces: [], stage: -1, act: null };
  const choice = chosen(plan, run, now, styleOf(plan, run), live);
  const urgent = choice && ['hot peel', 'hot rub', 'time is up'].includes(choice.why);
  const other = picked === null || urgent ? undefined : actsOf(plan, run, live).find(({ lot }) => lot.first === picked);
  if (other && other.from > now) return other.heat || other.awaits ? heatCue(plan, run, other, now) : clockCue(plan, run, other.lot, now);
  if (other) return actCue(plan, run, other, null);
  return choice ? actCue(plan, run, choice.act, choice.why) : waitingCue(plan, run, now, live);
}

/** Nothing can be done now: what is waited for, the hands first, then the press, its heat, and what cools. */
function waitingCue(plan: RunPlan, run: RunState, now: number, live: Live | null): Cue {
  const paused = run.pausedAt !== null;
  const peeling = run.handsUntil !== null && run.handsUntil > now && !paused;
  const peeled = peeling ? run.active.find((lot) => plan.stages[lot.stage - 1]?.kind === 'peel') : undefined;
  if (peeled) return peelingCue(plan, run, peeled, now);
  const shut = run.active.find((lot) => lot.phase === 'closed');
  if (shut) return clockCue(plan, run, shut, now);
  const cools = run.active.find((lot) => lot.dueAt === firstDue(run));
  if (paused) {
    const lot = cools ?? run.active[0] ?? nextLot(plan, run);
    return { ...QUIET, verb: 'Paused', pieces: lot?.pieces ?? [], stage: lot?.stage ?? -1, act: null, why: 'paused' };
  }
  const heating = waitingForHeat(plan, run, live);
  return heating ? heatCue(plan, run, heating, now) : clockCue(plan, run, cools, now);
}

/** Something to do now. @param why null: the operator turned to it */
const actCue = (plan: RunPlan, run: RunState, act: Act, why: Why | null): Cue => ({
  ...QUIET,
  ...handling(plan, run, act.lot),
  verb: verbOf(plan, act),
  pieces: act.lot.pieces,
  stage: act.stage,
  act: act.kind,
  why,
  hot: act.peel === 'hot',
  leftS: act.kind === 'opened' ? 0 : null,
  ...(act.heat && { heat: act.heat, canLayBack: false, canSpoil: false, canSpot: false }),
});

/** Whether the press has to become hotter. */
const isRising = ({ toC, fromC }: NonNullable<Act['heat']>): boolean => toC > fromC;

/** The press on its way to another heat: what can be done is to wait, or to pass the reading over. */
const heatCue = (plan: RunPlan, run: RunState, act: Act, now: number): Cue => {
  const heat = act.heat ?? act.awaits;
  const dueAt = heat?.state === 'wait' ? heat.dueAt : now;
  return {
    ...QUIET,
    ...handling(plan, run, act.lot),
    verb: heat && isRising(heat) ? 'Press heats' : 'Press cools',
    pieces: act.lot.pieces,
    stage: act.stage,
    act: null,
    early: 'heat passed over',
    leftS: Math.max(0, dueAt - now) / 1000,
    dueAt,
    lastsS: heat?.state === 'wait' ? heat.lastsS : 0,
    ...(heat && { heat }),
  };
};

/** The act that waits for the heat, where the next thing at the press does. */
function waitingForHeat(plan: RunPlan, run: RunState, live: Live | null): Act | undefined {
  const acts = actsOf(plan, run, live).filter(({ heat, awaits }) => heat?.state === 'wait' || awaits);
  return acts.sort((a, b) => a.from - b.from || a.lot.first - b.lot.first)[0];
}

/** A peel that was begun: the hands are at it. */
const peelingCue = (plan: RunPlan, run: RunState, lot: Lot, now: number): Cue => {
  const until = run.handsUntil ?? now;
  return {
    ...QUIET,
    ...handling(plan, run, lot),
    verb: 'Peeling',
    pieces: lot.pieces,
    stage: lot.stage - 1,
    act: 'freed',
    leftS: (until - now) / 1000,
    dueAt: until,
    lastsS: plan.stages[lot.stage - 1]?.timeS ?? 0,
  };
};

function clockCue(plan: RunPlan, run: RunState, lot: Lot | undefined, now: number): Cue {
  const stage = lot && plan.stages[lot.stage];
  if (!lot || !stage) return { ...QUIET, verb: 'Paused', pieces: [], stage: -1, act: null };
  const peels = plan.stages[lot.stage + 1]?.kind === 'peel';
  return {
    ...QUIET,
    ...handling(plan, run, lot),
    verb: lot.phase === 'closed' ? 'Pressing' : 'Cooling',
    pieces: lot.pieces,
    stage: lot.stage,
    act: null,
    early: lot.phase === 'closed' ? 'opened' : peels ? 'peeled' : 'next',
    leftS: Math.max(0, (lot.dueAt ?? now) - now) / 1000,
    dueAt: lot.dueAt ?? now,
    lastsS: lot.phase === 'closed' && lot.closing?.spot ? ((lot.dueAt ?? now) - lot.since) / 1000 : secondsOf(stage, run),
  };
}

/** The fact an act stands for, for the piece it is about. */
export function factOf({ pieces, stage, heat }: Pick<Cue, 'pieces' | 'stage' | 'heat'>, kind: ActKind): RunFact {
  if (kind === 'turned') return { kind, tempC: heat?.toC ?? 0 };
  // told by the panel to be there, unless somebody types what it really says
  if (kind === 'read') return { kind, by: 'panel', value: heat?.toC ?? 0 };
  if (kind === 'heat passed over' || kind === 'freed') return { kind };
  return { kind, stage, ...(pieces[0] !== undefined && { piece: pieces[0] }) };
}

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
    // a clock that runs now is itself the cue that stands; the first act after it is what follows
    if (i === 0 || (cue.act !== null && cue.act !== 'freed')) list.push(cue);
    const then = foreseen(plan, state, cue, at);
    if (!then) break;
    [state, at] = then;
  }
  return list.slice(1, many + 1);
}

/** The run once a cue was followed, or its clock is out; null: neither can be. */
function foreseen(plan: RunPlan, state: RunState, cue: Cue, at: number): [RunState, number] | null {
  if (!cue.act) {
    const due = nextDue(plan, state, at);
    return due === null ? null : [state, due];
  }
  const stage = plan.stages[cue.stage];
  const then = at + (stage?.by === 'hands' ? stage.timeS : 1) * 1000;
  const applied = step(plan, state, { ...factOf(cue, cue.act), id: FORESEEN, at: then } as Parameters<typeof step>[2]);
  return applied.state === 'refused' ? null : [applied.run, then];
}

/** Id of an event that has not happened. */
const FORESEEN = '00000000-0000-4000-8000-000000000000';
