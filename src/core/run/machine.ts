/** The run as a pure state machine: events in, state out. What cannot have happened is refused in words for the operator. */
import { type Applied, ok, refused } from './applied';
import type { RunEvent } from './events';
import { type Done, ON_LOT, type OnLot, type StepOn } from './lotSteps';
import { lotName, lotOf, standsAt, withLot } from './lots';
import { paceAfter } from './pace';
import type { RunPlan } from './plan';
import { onRun } from './runSteps';
import { ON_STAGE, type SpotClosed } from './stageSteps';
import { type Counts, type Lot, type RunState, startRun } from './state';

export type { Applied };

type LotStep = OnLot | SpotClosed;
type Handlers = Partial<Record<LotStep['kind'], (on: StepOn<never>) => Applied>>;

function onLot(handlers: Handlers, plan: RunPlan, run: RunState, lot: Lot, event: LotStep): Applied {
  const stage = plan.stages[lot.stage];
  if (!stage) return refused('This run has no such stage.');
  const put = (changed: Lot): Applied => ok(withLot(plan, run, changed));
  // the event's own handler is looked up by its kind
  const handler = handlers[event.kind] as ((on: StepOn<LotStep>) => Applied) | undefined;
  if (!handler) return refused('This run was begun before a part could be pressed again by itself. Lay it back instead.');
  return handler({ plan, run, lot, stage, event, put });
}

const isLotStep = (event: Done): event is LotStep => event.kind in ON_STAGE;

/**
 * Applies one event other than an undo. An event is never half applied, and time never runs backwards: one that says it
 * happened before the last, by a clock that was set back, counts as at the same instant.
 */
export const step = (plan: RunPlan, run: RunState, said: Done): Applied => machineOf(plan)(plan, run, said);

/** @throws {UnknownMachine} */
function machineOf({ machine: version }: RunPlan): Machine {
  const machine = MACHINES[version];
  if (!machine) throw new UnknownMachine(version);
  return machine;
}

type Machine = (plan: RunPlan, run: RunState, said: Done) => Applied;

/** One event, by what a machine's handlers do to its lot. */
function stepBy(handlers: Handlers, plan: RunPlan, run: RunState, said: Done): Applied {
  if (run.done) return refused('This run is over.');
  const event = said.at < run.lastAt ? { ...said, at: run.lastAt } : said;
  if (!isLotStep(event)) {
    const applied = onRun(plan, run, event);
    return applied.state === 'ok' ? ok({ ...applied.run, lastAt: event.at }) : applied;
  }
  const lot = lotOf(plan, run, event.piece);
  if (!lot) return refused(event.piece === undefined ? 'This run is over.' : whyNot(plan, run, event.piece));
  if (event.stage !== undefined && !standsAt(plan, lot, event.stage))
    return refused(`${lotName(lot)} is at another step already: it was moved on from another device.`);
  const applied = onLot(handlers, plan, run, lot, event);
  return applied.state === 'ok' ? ok({ ...applied.run, lastAt: event.at }) : applied;
}

/**
 * Every machine that runs were ever taken by. One whose answers change gets a new number and leaves the older one as it is,
 * so that a finished run stays what it was.
 */
const MACHINES: Readonly<Record<number, Machine>> = {
  1: (plan, run, said) => stepBy(ON_LOT, plan, run, said),
  2: (plan, run, said) => {
    // the hands are free again once they do something else
    const freed = run.handsUntil !== null && said.kind in ON_STAGE ? { ...run, handsUntil: null } : run;
    const applied = stepBy(ON_STAGE, plan, freed, said);
    return applied.state === 'ok' ? ok({ ...applied.run, pace: paceAfter(plan, run, said) }) : applied;
  },
};

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
      ? `Piece ${piece} was looked over already.`
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
  return standing(events, notTheLast).reduce((run, event) => accepted(plan, run, event), startRun(startedAt, plan.pace ?? undefined));
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
  const lost = (what: 'sheet' | 'transfer') => run.lost.filter((loss) => loss.lost === what).length;
  return {
    good,
    spoiled: run.results.length - good,
    sheetsLost: lost('sheet'),
    transfersLost: lost('transfer'),
    again,
    left: plan.pieces - run.results.length,
  };
}
