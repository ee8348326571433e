/** The run as a pure state machine: events in, state out. What cannot have happened is refused in words for the operator. */
import type { RunEvent } from './events';
import { closingBefore, enter, lotName, lotOf, occupiedBy, secondsOf, standsAt, withLot } from './lots';
import { peelAt, placeOf, type RunPlan } from './plan';
import { type Counts, type DonePeel, type Lot, type PieceResult, type RunState, startRun } from './state';

export type Applied = { state: 'ok'; run: RunState } | { state: 'refused'; message: string };
type Done = Exclude<RunEvent, { kind: 'undone' }>;

const refused = (message: string): Applied => ({ state: 'refused', message });
const ok = (run: RunState): Applied => ({ state: 'ok', run });

function verdict(plan: RunPlan, run: RunState, lot: Lot, event: Done & { kind: 'kept' | 'spoiled' }): RunState {
  // a spoiled lot that names no piece of several: its first
  const piece = event.piece ?? lot.pieces[0] ?? lot.first;
  const result: PieceResult = {
    piece,
    outcome: event.kind === 'kept' ? 'good' : 'spoiled',
    reason: event.kind === 'spoiled' ? event.reason : null,
    note: [event.kind === 'spoiled' ? event.note : '', ...run.notes.filter((note) => note.piece === piece).map(({ note }) => note)]
      .filter(Boolean)
      .join('; '),
    laidBack: lot.laidBack,
    startedAt: lot.startedAt,
    endedAt: event.at,
    closings: lot.closings,
    peels: lot.peels,
    setC: lot.setC,
    setS: lot.setS,
    photos: run.photos.filter((photo) => photo.piece === piece).map(({ photo }) => photo),
    eventId: event.id,
  };
  const rest = { ...lot, pieces: lot.pieces.filter((value) => value !== piece) };
  return withLot(plan, { ...run, results: [...run.results, result] }, rest);
}

type OnLot = Extract<Done, { kind: 'next' | 'closed' | 'opened' | 'peeled' | 'laid back' | 'kept' | 'spoiled' }>;

/** An event of a lot, with the lot as it stands. */
interface On<E> {
  plan: RunPlan;
  run: RunState;
  lot: Lot;
  stage: RunPlan['stages'][number];
  event: E;
  put: (changed: Lot) => Applied;
}

/** What each event does to its lot. Refused, with words for the operator, where it cannot have happened from this state. */
const ON_LOT: { [K in OnLot['kind']]: (on: On<Extract<OnLot, { kind: K }>>) => Applied } = {
  closed: ({ run, lot, stage, event, put }) => {
    if (stage.by !== 'press' || lot.phase !== 'ready') return refused('There is nothing to close the press on now.');
    const other = occupiedBy(run, lot);
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
  },
  opened: ({ plan, lot, stage, event, put }) => {
    if (lot.phase !== 'closed') return refused('The press is not closed.');
    const plannedS = lot.dueAt === null ? stage.timeS : (lot.dueAt - lot.since) / 1000;
    const closing = { stage: stage.kind, plannedS, closedAt: lot.since, openedAt: event.at, readC: lot.readC };
    return put(enter(plan, { ...lot, closings: [...lot.closings, closing] }, lot.stage + 1, event.at));
  },
  next: ({ plan, run, lot, stage, event, put }) => {
    if (stage.by === 'press' || stage.kind === 'peel' || stage.kind === 'inspect')
      return refused(`The ${stage.kind} is not over by itself.`);
    const here = placeOf(plan, lot.stage) === 'press';
    const other = here && !lot.onPress ? occupiedBy(run, lot) : null;
    if (other) return refused(other);
    return put(enter(plan, { ...lot, onPress: here }, lot.stage + 1, event.at));
  },
  peeled: ({ plan, lot, stage, event, put }) => {
    // a piece judged cool enough is peeled straight out of its wait
    const at = waitsForPeel(plan, lot, stage) ? lot.stage + 1 : lot.stage;
    if (plan.stages[at]?.kind !== 'peel') return refused('There is nothing to peel now.');
    return put(enter(plan, { ...lot, peels: [...lot.peels, peelDone(plan, lot, at, event.at)] }, at + 1, event.at));
  },
  'laid back': ({ plan, lot, stage, event, put }) => {
    if (stage.kind !== 'peel' && stage.kind !== 'inspect' && !waitsForPeel(plan, lot, stage))
      return refused('Only a piece that is being peeled or looked at can be laid back.');
    const back = enter(plan, lot, closingBefore(plan, lot.stage), event.at);
    return put({ ...back, laidBack: lot.laidBack + 1 });
  },
  kept: ({ plan, run, lot, stage, event }) =>
    stage.kind === 'inspect' ? ok(verdict(plan, run, lot, event)) : refused('A piece is kept once it has been looked at.'),
  spoiled: ({ plan, run, lot, event }) => (lot.phase === 'closed' ? refused('Open the press first.') : ok(verdict(plan, run, lot, event))),
};

/** It cools for the peel that comes next. */
const waitsForPeel = (plan: RunPlan, lot: Lot, stage: RunPlan['stages'][number]): boolean =>
  stage.by === 'clock' && plan.stages[lot.stage + 1]?.kind === 'peel';

/** A peel as it was done, at a stage of the plan. */
function peelDone(plan: RunPlan, lot: Lot, at: number, doneAt: number): DonePeel {
  const before = plan.stages[at - 1];
  const waited = before?.by === 'clock';
  // straight from the press the hand begins after the opening, or after the rub: as this stage was entered
  const from = waited ? (lot.closings.at(-1)?.openedAt ?? lot.since) : lot.since;
  const tookS = Math.max(0, (doneAt - from) / 1000 - (plan.stages[at]?.timeS ?? 0));
  const untilS = before?.span?.toS;
  return {
    peel: peelAt(plan, at) ?? 'cold',
    plannedS: waited ? before.timeS : 0,
    tookS,
    ...(typeof untilS === 'number' && { untilS }),
  };
}

function onLot(plan: RunPlan, run: RunState, lot: Lot, event: OnLot): Applied {
  const stage = plan.stages[lot.stage];
  if (!stage) return refused('This run has no such stage.');
  const put = (changed: Lot): Applied => ok(withLot(plan, run, changed));
  // the event's own handler is looked up by its kind
  return (ON_LOT[event.kind] as (on: On<OnLot>) => Applied)({ plan, run, lot, stage, event, put });
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
      return ok({ ...run, active: [], dropped: run.active, scrap: null, done: true, stopped: true });
  }
}

const isOnLot = (event: Done): event is OnLot =>
  ['next', 'closed', 'opened', 'peeled', 'laid back', 'kept', 'spoiled'].includes(event.kind);

/**
 * Applies one event other than an undo. An event is never half applied, and time never runs backwards: one that says it
 * happened before the last, by a clock that was set back, counts as at the same instant.
 */
export const step = (plan: RunPlan, run: RunState, said: Done): Applied => machineOf(plan)(plan, run, said);

/** @throws {UnknownMachine} */
function machineOf({ machine: version }: RunPlan): typeof firstMachine {
  const machine = MACHINES[version];
  if (!machine) throw new UnknownMachine(version);
  return machine;
}

function firstMachine(plan: RunPlan, run: RunState, said: Done): Applied {
  if (run.done) return refused('This run is over.');
  const event = said.at < run.lastAt ? { ...said, at: run.lastAt } : said;
  if (!isOnLot(event)) {
    const applied = onRun(plan, run, event);
    return applied.state === 'ok' ? ok({ ...applied.run, lastAt: event.at }) : applied;
  }
  const lot = lotOf(plan, run, event.piece);
  if (!lot) return refused(event.piece === undefined ? 'This run is over.' : whyNot(plan, run, event.piece));
  if (event.stage !== undefined && !standsAt(plan, lot, event.stage))
    return refused(`${lotName(lot)} is at another step already: it was moved on from another device.`);
  const applied = onLot(plan, run, lot, event);
  return applied.state === 'ok' ? ok({ ...applied.run, lastAt: event.at }) : applied;
}

/**
 * Every machine that runs were ever taken by. One whose answers change gets a new number and leaves the older one as it is,
 * so that a finished run stays what it was.
 */
const MACHINES: Readonly<Record<number, typeof firstMachine>> = { 1: firstMachine };

/** A run was taken by a machine this app does not have: a newer app wrote it. */
export class UnknownMachine extends Error {
  override name = 'UnknownMachine';
  constructor(version: number) {
    super(`This run was pressed with a newer app (its machine has version ${version}).`);
  }
}

/** A list of events that were each accepted does not add up any more: it, or the machine, is not what it was. */
export class DoesNotAddUp extends Error {
  override name = 'DoesNotAddUp';
  constructor(
    readonly event: RunEvent,
    message: string,
  ) {
    super(`The step “${event.kind}” of ${new Date(event.at).toISOString()} cannot have happened: ${message}`);
  }
}

const whyNot = (plan: RunPlan, run: RunState, piece: number): string =>
  piece > plan.pieces
    ? `This run has ${plan.pieces} pieces.`
    : piece <= run.begun
      ? `Piece ${piece} has had its verdict.`
      : `Piece ${run.begun + 1} comes before piece ${piece}.`;

/**
 * The events that still stand once every undo has taken back what it names.
 *
 * @param onWrong an undo that names another than the last step: it takes nothing back
 */
export function standing(events: readonly RunEvent[], onWrong: (event: RunEvent) => void = () => undefined): Done[] {
  const stack: Done[] = [];
  for (const event of events) {
    if (event.kind !== 'undone') stack.push(event);
    else if (stack.at(-1)?.id === event.of) stack.pop();
    else onWrong(event);
  }
  return stack;
}

const notTheLast = (event: RunEvent): never => {
  throw new DoesNotAddUp(event, 'it does not take back the last step.');
};

/** The state after one more event that was accepted. @throws {DoesNotAddUp} */
function accepted(plan: RunPlan, run: RunState, event: Done): RunState {
  const applied = step(plan, run, event);
  if (applied.state === 'refused') throw new DoesNotAddUp(event, applied.message);
  return applied.run;
}

/**
 * The state after a list of events that were each accepted in turn.
 *
 * @throws {DoesNotAddUp} one of them is refused now; @throws {UnknownMachine} they were taken by a newer app
 */
export function replay(plan: RunPlan, startedAt: number, events: readonly RunEvent[]): RunState {
  machineOf(plan);
  return standing(events, notTheLast).reduce((run, event) => accepted(plan, run, event), startRun(startedAt));
}

/** A list of events with the state it adds up to. */
export interface Replayed {
  events: readonly RunEvent[];
  run: RunState;
}

/**
 * The state after a list of events that were accepted, from that of a list it goes on from where one is known: a long run is
 * not gone through at every step.
 *
 * @throws {DoesNotAddUp} one of them is refused now
 */
export function replayFrom(known: Replayed | null, plan: RunPlan, startedAt: number, events: readonly RunEvent[]): RunState {
  const more = known && events.slice(known.events.length);
  const continues =
    more?.every(({ kind }) => kind !== 'undone') && known?.events.every(({ id, at }, i) => events[i]?.id === id && events[i]?.at === at);
  if (!known || !more || !continues) return replay(plan, startedAt, events);
  return more.reduce((run, event) => accepted(plan, run, event as Done), known.run);
}

/**
 * The state with events on top that nobody has accepted yet. One that cannot happen is passed over: another device was
 * first, and the server will say so.
 */
export function predict(plan: RunPlan, startedAt: number, { events, run }: Replayed, waiting: readonly RunEvent[]): RunState {
  const list = [...events];
  return waiting.reduce((state, event) => {
    const applied = apply(plan, startedAt, list, event, state);
    if (applied.state === 'refused') return state;
    list.push(event);
    return applied.run;
  }, run);
}

/**
 * Takes one more event after those already accepted.
 *
 * An undo must name the last event that still stands; the state is then that of the events before it.
 *
 * @param run the state of those events, where it is known
 */
export function apply(
  plan: RunPlan,
  startedAt: number,
  events: readonly RunEvent[],
  event: RunEvent,
  run: RunState = replay(plan, startedAt, events),
): Applied {
  if (event.kind !== 'undone') return step(plan, run, event);
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
