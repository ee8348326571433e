/**
 * The run as a pure state machine: events in, state out. Timers are instants, so sleep, reload and replay do no harm.
 *
 * Pieces go through the stages in lots, each lot the pieces of one closing; most lots are one piece. A lot is `active` from its
 * first event until its last piece has its verdict. The press holds at most one lot; any number may cool or lie on the bench.
 */
import type { RunEvent, SpoilReason, Style, TrialLooks } from './events';
import { type PlannedStage, peelAt, placeOf, type RunPlan } from './plan';

/** One shutting of the press, as it was really done. Instants are ms since the epoch, UTC. */
export interface DoneClosing {
  stage: string;
  plannedS: number;
  closedAt: number;
  openedAt: number;
  /** What a device read of the platen as it closed, °C; null: none did. */
  readC: number | null;
}

/** A peel as it was really done. */
export interface DonePeel {
  peel: 'hot' | 'warm' | 'cold';
  /** From the opening to the peel, s: as carded, 0 for at once, and as it was. */
  plannedS: number;
  tookS: number;
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
  peels: DonePeel[];
  /** Set otherwise than carded when it was pressed last; null: as carded. */
  setC: number | null;
  setS: number | null;
  /** Photos of it, by their ids. */
  photos: string[];
  /** The event that gave the verdict; the pressing carries its id. */
  eventId: string;
}

/** Pieces that are pressed together, on their way. */
export interface Lot {
  /** Its pieces that have no verdict yet, in order. */
  pieces: number[];
  /** Number of its first piece, by which it is told from others. */
  first: number;
  /** `ready`: the stage waits for the hands. `closed`, `cooling`: its clock runs until `dueAt`. */
  phase: 'ready' | 'closed' | 'cooling';
  /** Index into the plan's stages. */
  stage: number;
  /** Whether it lies on the press. */
  onPress: boolean;
  /** When this stage was entered. */
  since: number;
  startedAt: number;
  dueAt: number | null;
  laidBack: number;
  closings: DoneClosing[];
  peels: DonePeel[];
  setC: number | null;
  setS: number | null;
  /** Read as the press closed on it, °C. */
  readC: number | null;
}

export interface RunState {
  active: Lot[];
  /** Pieces that have been taken in hand so far. */
  begun: number;
  results: PieceResult[];
  done: boolean;
  stopped: boolean;
  /** When the last event happened; the run's start before that. */
  lastAt: number;
  pausedAt: number | null;
  style: Style | null;
  /** Set from now on, where that is not as carded. */
  setS: number | null;
  setC: number | null;
  /** Points of the set-up that were looked at, with what was read or counted. */
  checks: Record<string, number | null>;
  tries: { timeS: number; looks: TrialLooks }[];
  /** The scrap that is in the press, or came out of it and has not been looked at. */
  scrap: { timeS: number; dueAt: number } | null;
  notes: { piece: number; note: string }[];
  photos: { piece: number; photo: string }[];
}

export interface Counts {
  good: number;
  spoiled: number;
  /** Presses again after a lift, over all pieces. */
  again: number;
  left: number;
}

export type Applied = { state: 'ok'; run: RunState } | { state: 'refused'; message: string };
type Done = Exclude<RunEvent, { kind: 'undone' }>;

export const startRun = (at: number): RunState => ({
  active: [],
  begun: 0,
  results: [],
  done: false,
  stopped: false,
  lastAt: at,
  pausedAt: null,
  style: null,
  setS: null,
  setC: null,
  checks: {},
  tries: [],
  scrap: null,
  notes: [],
  photos: [],
});

const refused = (message: string): Applied => ({ state: 'refused', message });
const ok = (run: RunState): Applied => ({ state: 'ok', run });

/** Seconds of a stage as it is set now: the full press may be set otherwise than carded. */
export const secondsOf = (stage: PlannedStage, { setS }: Pick<RunState, 'setS'>): number =>
  stage.kind === 'press' && setS !== null ? setS : stage.timeS;

/** The lot that would be begun next; null: all are on their way. */
export function nextLot({ pieces, perClosing }: RunPlan, { begun, lastAt }: RunState): Lot | null {
  if (begun >= pieces) return null;
  const many = Math.min(perClosing, pieces - begun);
  return {
    pieces: Array.from({ length: many }, (_, i) => begun + 1 + i),
    first: begun + 1,
    phase: 'ready',
    stage: 0,
    onPress: false,
    since: lastAt,
    startedAt: lastAt,
    dueAt: null,
    laidBack: 0,
    closings: [],
    peels: [],
    setC: null,
    setS: null,
    readC: null,
  };
}

/** The lot an event is about: that of the piece it names; without one the lot in hand, or the next. */
export function lotOf(plan: RunPlan, run: RunState, piece: number | undefined): Lot | null {
  if (piece === undefined) return run.active[0] ?? nextLot(plan, run);
  const active = run.active.find((lot) => lot.pieces.includes(piece));
  if (active) return active;
  const next = nextLot(plan, run);
  return next?.pieces.includes(piece) ? next : null;
}

/** The lot that lies on the press, if any. */
export const onPress = ({ active }: RunState): Lot | undefined => active.find((lot) => lot.onPress);

/** Puts a lot back into the run as it is now; one without pieces is over. */
function withLot(plan: RunPlan, run: RunState, lot: Lot): RunState {
  const begun = Math.max(run.begun, lot.first - 1 + Math.min(plan.perClosing, plan.pieces - lot.first + 1));
  const known = run.active.some((one) => one.first === lot.first);
  const active = known ? run.active.map((one) => (one.first === lot.first ? lot : one)) : [...run.active, lot];
  const still = active.filter((one) => one.pieces.length > 0);
  return { ...run, begun, active: still, done: run.done || (still.length === 0 && begun >= plan.pieces) };
}

/** Enters a stage; a wait starts its clock by itself. What is not done on the press leaves it, as do married sheets before their blank is loaded. */
function enter(plan: RunPlan, lot: Lot, stage: number, at: number): Lot {
  const next = plan.stages[stage];
  if (!next) return lot;
  const cooling = next.by === 'clock';
  return {
    ...lot,
    stage,
    since: at,
    phase: cooling ? 'cooling' : 'ready',
    dueAt: cooling ? at + next.timeS * 1000 : null,
    onPress: lot.onPress && placeOf(plan, stage) === 'press' && next.kind !== 'load',
  };
}

/** The closing that a lifting transfer goes back under: the last marry, tack or press before a stage. */
function closingBefore(plan: RunPlan, stage: number): number {
  const glues = (one: PlannedStage) => one.kind === 'press' || one.kind === 'tack' || one.kind === 'marry';
  return Math.max(0, plan.stages.slice(0, stage).findLastIndex(glues));
}

function verdict(plan: RunPlan, run: RunState, lot: Lot, event: Done & { kind: 'kept' | 'spoiled' }): RunState {
  // a spoiled lot that names no piece of several: its first
  const piece = event.piece ?? lot.pieces[0] ?? lot.first;
  const result: PieceResult = {
    piece,
    outcome: event.kind === 'kept' ? 'good' : 'spoiled',
    reason: event.kind === 'spoiled' ? event.reason : null,
    note: [event.kind === 'spoiled' ? event.note : '', ...run.notes.filter((one) => one.piece === piece).map(({ note }) => note)]
      .filter(Boolean)
      .join('; '),
    laidBack: lot.laidBack,
    startedAt: lot.startedAt,
    endedAt: event.at,
    closings: lot.closings,
    peels: lot.peels,
    setC: lot.setC,
    setS: lot.setS,
    photos: run.photos.filter((one) => one.piece === piece).map(({ photo }) => photo),
    eventId: event.id,
  };
  const rest = { ...lot, pieces: lot.pieces.filter((one) => one !== piece) };
  return withLot(plan, { ...run, results: [...run.results, result] }, rest);
}

const name = ({ pieces }: Lot): string =>
  pieces.length > 1 ? `Pieces ${pieces[0]} to ${pieces.at(-1)}` : `Piece ${pieces[0] ?? 'in hand'}`;

/** Refuses what needs the press while another lot lies on it. */
function held(run: RunState, lot: Lot): string | null {
  const other = onPress(run);
  return other && other.first !== lot.first ? `${name(other)} still lies on the press.` : null;
}

type OnLot = Extract<Done, { kind: 'next' | 'closed' | 'opened' | 'peeled' | 'laid back' | 'kept' | 'spoiled' }>;

/** One event of a lot. Refused, with words for the operator, where it cannot have happened from this state. */
function onLot(plan: RunPlan, run: RunState, lot: Lot, event: OnLot): Applied {
  const stage = plan.stages[lot.stage];
  if (!stage) return refused('This run has no such stage.');
  const put = (changed: Lot): Applied => ok(withLot(plan, run, changed));
  switch (event.kind) {
    case 'closed': {
      if (stage.by !== 'press' || lot.phase !== 'ready') return refused('There is nothing to close the press on now.');
      const other = held(run, lot);
      if (other) return refused(other);
      const set = stage.kind === 'press' ? { setC: run.setC, setS: run.setS } : {};
      return put({
        ...lot,
        ...set,
        readC: event.readC ?? null,
        phase: 'closed',
        onPress: true,
        since: event.at,
        dueAt: event.at + secondsOf(stage, run) * 1000,
      });
    }
    case 'opened': {
      if (lot.phase !== 'closed') return refused('The press is not closed.');
      const plannedS = lot.dueAt === null ? stage.timeS : (lot.dueAt - lot.since) / 1000;
      const closing = { stage: stage.kind, plannedS, closedAt: lot.since, openedAt: event.at, readC: lot.readC };
      return put(enter(plan, { ...lot, closings: [...lot.closings, closing] }, lot.stage + 1, event.at));
    }
    case 'next': {
      if (stage.by === 'press' || stage.kind === 'peel' || stage.kind === 'inspect')
        return refused(`The ${stage.kind} is not over by itself.`);
      const here = placeOf(plan, lot.stage) === 'press';
      const other = here && !lot.onPress ? held(run, lot) : null;
      if (other) return refused(other);
      return put(enter(plan, { ...lot, onPress: here }, lot.stage + 1, event.at));
    }
    case 'peeled': {
      // a piece judged cool enough is peeled straight out of its wait
      const at = stage.by === 'clock' && plan.stages[lot.stage + 1]?.kind === 'peel' ? lot.stage + 1 : lot.stage;
      if (plan.stages[at]?.kind !== 'peel') return refused('There is nothing to peel now.');
      const before = plan.stages[at - 1];
      const tookS = (event.at - (lot.closings.at(-1)?.openedAt ?? lot.since)) / 1000;
      const done: DonePeel = { peel: peelAt(plan, at) ?? 'cold', plannedS: before?.by === 'clock' ? before.timeS : 0, tookS };
      return put(enter(plan, { ...lot, peels: [...lot.peels, done] }, at + 1, event.at));
    }
    case 'laid back': {
      if (stage.kind !== 'peel' && stage.kind !== 'inspect' && !(stage.by === 'clock' && plan.stages[lot.stage + 1]?.kind === 'peel'))
        return refused('Only a piece that is being peeled or looked at can be laid back.');
      const back = enter(plan, lot, closingBefore(plan, lot.stage), event.at);
      return put({ ...back, laidBack: lot.laidBack + 1 });
    }
    case 'kept':
      if (stage.kind !== 'inspect') return refused('A piece is kept once it has been looked at.');
      return ok(verdict(plan, run, lot, event));
    case 'spoiled':
      if (lot.phase === 'closed') return refused('Open the press first.');
      return ok(verdict(plan, run, lot, event));
  }
}

/** An event that is about the run and no one lot. */
function onRun(plan: RunPlan, run: RunState, event: Exclude<Done, OnLot>): Applied {
  switch (event.kind) {
    case 'noted':
    case 'photographed': {
      const piece = event.piece ?? lotOf(plan, run, undefined)?.pieces[0];
      if (piece === undefined || !lotOf(plan, run, piece)) return refused('That piece has had its verdict; note it on its record.');
      return event.kind === 'noted'
        ? ok({ ...run, notes: [...run.notes, { piece, note: event.note }] })
        : ok({ ...run, photos: [...run.photos, { piece, photo: event.photo }] });
    }
    case 'checked':
      return ok({ ...run, checks: { ...run.checks, [event.check]: event.found ?? null } });
    case 'trying':
      if (run.begun > 0) return refused('A scrap is tried before the first piece.');
      return ok({ ...run, scrap: { timeS: event.timeS, dueAt: event.at + event.timeS * 1000 } });
    case 'tried':
      return ok({ ...run, scrap: null, tries: [...run.tries, { timeS: event.timeS, looks: event.looks }] });
    case 'set':
      return ok({ ...run, setS: event.timeS });
    case 'set temperature':
      return ok({ ...run, setC: event.tempC });
    case 'goes':
      return ok({ ...run, style: event.style });
    case 'paused':
      return run.pausedAt === null ? ok({ ...run, pausedAt: event.at }) : refused('The run is paused already.');
    case 'resumed':
      return run.pausedAt === null ? refused('The run is not paused.') : ok({ ...run, pausedAt: null });
    case 'stopped':
      if (run.active.some((lot) => lot.phase === 'closed')) return refused('Open the press first.');
      return ok({ ...run, active: [], scrap: null, done: true, stopped: true });
  }
}

const isOnLot = (event: Done): event is OnLot =>
  ['next', 'closed', 'opened', 'peeled', 'laid back', 'kept', 'spoiled'].includes(event.kind);

/**
 * Applies one event other than an undo. An event is never half applied, and time never runs backwards: one that says it
 * happened before the last, by a clock that was set back, counts as at the same instant.
 */
export function step(plan: RunPlan, run: RunState, said: Done): Applied {
  if (run.done) return refused('This run is over.');
  const event = said.at < run.lastAt ? { ...said, at: run.lastAt } : said;
  if (!isOnLot(event)) {
    const applied = onRun(plan, run, event);
    return applied.state === 'ok' ? ok({ ...applied.run, lastAt: event.at }) : applied;
  }
  const lot = lotOf(plan, run, event.piece);
  if (!lot) return refused(event.piece === undefined ? 'This run is over.' : whyNot(plan, run, event.piece));
  if (event.stage !== undefined && !standsAt(plan, lot, event.stage))
    return refused(`${name(lot)} is at another step already: it was moved on from another device.`);
  const applied = onLot(plan, run, lot, event);
  return applied.state === 'ok' ? ok({ ...applied.run, lastAt: event.at }) : applied;
}

/** Whether a lot is at a stage; one that cools is at the peel after its wait as well. */
const standsAt = ({ stages }: RunPlan, lot: Lot, stage: number): boolean =>
  stage === lot.stage || (stages[lot.stage]?.by === 'clock' && stage === lot.stage + 1);

const whyNot = (plan: RunPlan, run: RunState, piece: number): string =>
  piece > plan.pieces
    ? `This run has ${plan.pieces} pieces.`
    : piece <= run.begun
      ? `Piece ${piece} has had its verdict.`
      : `Piece ${run.begun + 1} comes before piece ${piece}.`;

/** The events that still stand once every undo has taken back what it names. */
export function standing(events: readonly RunEvent[]): Done[] {
  const stack: Done[] = [];
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
  const laidBack = run.active.reduce((sum, lot) => sum + lot.laidBack * lot.pieces.length, 0);
  const again = run.results.reduce((sum, r) => sum + r.laidBack, laidBack);
  return { good, spoiled: run.results.length - good, again, left: plan.pieces - run.results.length };
}
