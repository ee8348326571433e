/** The run as a pure state machine: events in, state out. Timers are instants, so sleep, reload and replay do no harm. */
import type { RunEvent, SpoilReason } from './events';

/** What the machine needs of a card's stage. */
export interface PlannedStage {
  kind: string;
  by: 'press' | 'clock' | 'hands';
  timeS: number;
}

export interface RunPlan {
  pieces: number;
  stages: readonly PlannedStage[];
}

/** One shutting of the press, as it was really done. Instants are ms since the epoch, UTC. */
export interface DoneClosing {
  stage: string;
  plannedS: number;
  closedAt: number;
  openedAt: number;
}

export interface PieceResult {
  piece: number;
  outcome: 'good' | 'spoiled';
  reason: SpoilReason | null;
  note: string;
  laidBack: number;
  startedAt: number;
  endedAt: number;
  closings: DoneClosing[];
  /** The event that gave the verdict; the pressing carries its id. */
  eventId: string;
}

export interface RunState {
  /** `ready`: the stage waits for the hands. `closed`, `cooling`: its clock runs until `dueAt`. */
  phase: 'ready' | 'closed' | 'cooling' | 'done';
  /** Piece in hand, from 1. */
  piece: number;
  /** Index into the plan's stages. */
  stage: number;
  /** When this stage was entered. */
  since: number;
  pieceSince: number;
  dueAt: number | null;
  laidBack: number;
  closings: DoneClosing[];
  results: PieceResult[];
  stopped: boolean;
}

export interface Counts {
  good: number;
  spoiled: number;
  /** Presses again after a lift, over all pieces. */
  again: number;
  left: number;
}

export type Applied = { state: 'ok'; run: RunState } | { state: 'refused'; message: string };

const startRun = (at: number): RunState => ({
  phase: 'ready',
  piece: 1,
  stage: 0,
  since: at,
  pieceSince: at,
  dueAt: null,
  laidBack: 0,
  closings: [],
  results: [],
  stopped: false,
});

const refused = (message: string): Applied => ({ state: 'refused', message });
const ok = (run: RunState): Applied => ({ state: 'ok', run });

/** Enters a stage; a wait starts its clock by itself. */
function enter(plan: RunPlan, run: RunState, stage: number, at: number): RunState {
  const next = plan.stages[stage];
  if (!next) return run;
  const cooling = next.by === 'clock';
  return { ...run, stage, since: at, phase: cooling ? 'cooling' : 'ready', dueAt: cooling ? at + next.timeS * 1000 : null };
}

function verdict(plan: RunPlan, run: RunState, event: RunEvent & { kind: 'kept' | 'spoiled' }): RunState {
  const result: PieceResult = {
    piece: run.piece,
    outcome: event.kind === 'kept' ? 'good' : 'spoiled',
    reason: event.kind === 'spoiled' ? event.reason : null,
    note: event.kind === 'spoiled' ? event.note : '',
    laidBack: run.laidBack,
    startedAt: run.pieceSince,
    endedAt: event.at,
    closings: run.closings,
    eventId: event.id,
  };
  const results = [...run.results, result];
  const cleared = { ...run, results, laidBack: 0, closings: [], dueAt: null, pieceSince: event.at };
  if (run.piece === plan.pieces) return { ...cleared, phase: 'done' };
  return enter(plan, { ...cleared, piece: run.piece + 1 }, 0, event.at);
}

function open(plan: RunPlan, run: RunState, at: number): Applied {
  const stage = plan.stages[run.stage];
  if (run.phase !== 'closed' || !stage) return refused('The press is not closed.');
  const closing: DoneClosing = { stage: stage.kind, plannedS: stage.timeS, closedAt: run.since, openedAt: at };
  return ok(enter(plan, { ...run, closings: [...run.closings, closing] }, run.stage + 1, at));
}

/** The closing that a lifting transfer goes back under: the last marry, tack or press before a stage. */
function closingBefore(plan: RunPlan, stage: number): number {
  const glues = (one: PlannedStage) => one.kind === 'press' || one.kind === 'tack' || one.kind === 'marry';
  const before = plan.stages.slice(0, stage).findLastIndex(glues);
  return Math.max(0, before);
}

/**
 * Applies one event other than an undo.
 *
 * Refuses, with words for the operator, what cannot have happened from this state: opening an open press, peeling what
 * is still under heat, keeping a piece that was never looked at. An event is never half applied.
 */
function step(plan: RunPlan, run: RunState, event: Exclude<RunEvent, { kind: 'undone' }>): Applied {
  if (run.phase === 'done') return refused('This run is over.');
  const stage = plan.stages[run.stage];
  if (!stage) return refused('This run has no such stage.');
  switch (event.kind) {
    case 'closed':
      if (stage.by !== 'press' || run.phase !== 'ready') return refused('There is nothing to close the press on now.');
      return ok({ ...run, phase: 'closed', since: event.at, dueAt: event.at + stage.timeS * 1000 });
    case 'opened':
      return open(plan, run, event.at);
    case 'next':
      if (stage.by === 'press' || stage.kind === 'peel' || stage.kind === 'inspect')
        return refused(`The ${stage.kind} is not over by itself.`);
      return ok(enter(plan, run, run.stage + 1, event.at));
    case 'peeled':
      if (stage.kind !== 'peel') return refused('There is nothing to peel now.');
      return ok(enter(plan, run, run.stage + 1, event.at));
    case 'laid back': {
      if (stage.kind !== 'peel' && stage.kind !== 'inspect')
        return refused('Only a piece that is being peeled or looked at can be laid back.');
      return ok({ ...enter(plan, run, closingBefore(plan, run.stage), event.at), laidBack: run.laidBack + 1 });
    }
    case 'kept':
      if (stage.kind !== 'inspect') return refused('A piece is kept once it has been looked at.');
      return ok(verdict(plan, run, event));
    case 'spoiled':
      if (run.phase === 'closed') return refused('Open the press first.');
      return ok(verdict(plan, run, event));
    case 'stopped':
      if (run.phase === 'closed') return refused('Open the press first.');
      return ok({ ...run, phase: 'done', stopped: true, dueAt: null });
  }
}

/** The events that still stand once every undo has taken back what it names. */
export function standing(events: readonly RunEvent[]): Exclude<RunEvent, { kind: 'undone' }>[] {
  const stack: Exclude<RunEvent, { kind: 'undone' }>[] = [];
  for (const event of events) {
    if (event.kind === 'undone') stack.pop();
    else stack.push(event);
  }
  return stack;
}

/** The state after a list of events that were each accepted in turn. */
export function replay(plan: RunPlan, startedAt: number, events: readonly RunEvent[]): RunState {
  let run = startRun(startedAt);
  for (const event of standing(events)) {
    const applied = step(plan, run, event);
    if (applied.state === 'ok') run = applied.run;
  }
  return run;
}

/**
 * Takes one more event after those already accepted.
 *
 * An undo must name the last event that still stands; the state is then that of the events before it.
 */
export function apply(plan: RunPlan, startedAt: number, events: readonly RunEvent[], event: RunEvent): Applied {
  if (event.kind !== 'undone') return step(plan, replay(plan, startedAt, events), event);
  const last = standing(events).at(-1);
  if (!last) return refused('There is nothing to undo in this run.');
  if (last.id !== event.of) return refused('Only the last step can be undone.');
  return ok(replay(plan, startedAt, [...events, event]));
}

/** Good, spoiled, pressed again, and left to do. */
export function countsOf(plan: RunPlan, run: RunState): Counts {
  const good = run.results.filter((r) => r.outcome === 'good').length;
  const again = run.results.reduce((sum, r) => sum + r.laidBack, run.laidBack);
  return { good, spoiled: run.results.length - good, again, left: plan.pieces - run.results.length };
}
