/** What is told of a run and no one lot: notes, the set-up, settings, heat and readings, order of work, pauses, the end. */
import { type Applied, ok, refused } from './applied';
import { changesHeatTo } from './heat';
import type { Done, OnLot } from './lotSteps';
import { lotOf } from './lots';
import type { RunPlan } from './plan';
import type { SpotClosed } from './stageSteps';
import type { Reading, RunState, StageSetting } from './state';

type OnRun = Exclude<Done, OnLot | SpotClosed>;
interface RunStepOn<E> {
  plan: RunPlan;
  run: RunState;
  event: E;
}

/** Steps that the first machine does not know. */
const NEW_KINDS: ReadonlySet<string> = new Set(['set pressure', 'turned', 'read', 'heat passed over', 'freed', 'base closed']);
const TOO_OLD = 'This run was begun before this could be kept with it. Note it instead.';

/** The settings of a run with one of a closing changed. */
function withSetting(run: RunState, of: keyof RunState['sets'], changed: StageSetting): RunState {
  return { ...run, sets: { ...run.sets, [of]: { ...run.sets[of], ...changed } } };
}

/** The press is opened, if it was shut to warm its base. */
const baseOpened = (base: RunState['base'], at: number): RunState['base'] => base.map(([from, to]) => [from, to ?? at]);
/** Key of the check by which what is left of the set-up is passed over. */
const REST_OF_IT = 'rest';

/** A piece that was looked over already is told of on its record. */
function aboutPiece({ plan, run, event }: RunStepOn<{ piece?: number | undefined }>, told: (piece: number) => RunState): Applied {
  const piece = event.piece ?? lotOf(plan, run, undefined)?.pieces[0];
  const known = piece !== undefined && lotOf(plan, run, piece) !== null;
  return known ? ok(told(piece)) : refused('That piece was looked over already; note it on its record.');
}

const ON_RUN: { [K in OnRun['kind']]: (on: RunStepOn<Extract<OnRun, { kind: K }>>) => Applied } = {
  noted: (on) => aboutPiece(on, (piece) => ({ ...on.run, notes: [...on.run.notes, { piece, note: on.event.note }] })),
  photographed: (on) => aboutPiece(on, (piece) => ({ ...on.run, photos: [...on.run.photos, { piece, photo: on.event.photo }] })),
  checked: ({ plan, run, event }) => {
    const checks = { ...run.checks, [event.check]: event.found ?? null };
    // what the panel said at the set-up is the first reading of its heat
    const read: Reading | null =
      event.check === 'heat' && event.found !== undefined ? { by: 'panel', value: event.found, at: event.at } : null;
    const base = event.check === 'warm' || event.check === REST_OF_IT ? baseOpened(run.base, event.at) : run.base;
    return ok({ ...run, checks, base, ...(plan.machine >= 2 && read && { heat: { ...run.heat, read } }) });
  },
  trying: ({ run, event }) =>
    run.begun > 0
      ? refused('A scrap is tried before the first piece.')
      : ok({ ...run, scrap: { timeS: event.timeS, dueAt: event.at + event.timeS * 1000 } }),
  tried: ({ run, event }) => ok({ ...run, scrap: null, tries: [...run.tries, { timeS: event.timeS, looks: event.looks }] }),
  set: ({ run, event }) => ok(event.of ? withSetting(run, event.of, { timeS: event.timeS }) : { ...run, setS: event.timeS }),
  'set temperature': ({ run, event }) => ok(event.of ? withSetting(run, event.of, { tempC: event.tempC }) : { ...run, setC: event.tempC }),
  'set pressure': ({ run, event }) => ok(withSetting(run, event.of ?? 'press', { band: event.band })),
  turned: ({ plan, run, event }) => ok({ ...run, heat: changesHeatTo(plan, run, event.tempC, event.at) }),
  read: ({ run, event }) => {
    const reading: Reading = { by: event.by, value: event.value, at: event.at };
    const heat = event.by === 'gauge' ? run.heat : { ...run.heat, read: reading, passedOver: false };
    return ok({ ...run, readings: [...run.readings, reading], heat });
  },
  'base closed': ({ run, event }) =>
    run.begun > 0
      ? refused('The base is warmed before the first piece.')
      : ok({ ...run, base: [...baseOpened(run.base, event.at), [event.at, null]] }),
  freed: ({ run }) => (run.handsUntil === null ? refused('The hands are free already.') : ok({ ...run, handsUntil: null })),
  'heat passed over': ({ run }) => ok({ ...run, heat: { ...run.heat, passedOver: true } }),
  goes: ({ run, event }) => ok({ ...run, style: event.style }),
  paused: ({ run, event }) => (run.pausedAt === null ? ok({ ...run, pausedAt: event.at }) : refused('The run is paused already.')),
  resumed: ({ run }) => (run.pausedAt === null ? refused('The run is not paused.') : ok({ ...run, pausedAt: null })),
  stopped: ({ run }) =>
    run.active.some((lot) => lot.phase === 'closed')
      ? refused('Open the press first.')
      : ok({ ...run, active: [], dropped: run.active, scrap: null, done: true, stopped: true }),
};

/** An event that is about the run and no one lot. */
export function onRun(plan: RunPlan, run: RunState, event: OnRun): Applied {
  const isNew = NEW_KINDS.has(event.kind) || ('of' in event && event.of !== undefined);
  if (plan.machine < 2 && isNew) return refused(TOO_OLD);
  // the event's own handler is looked up by its kind
  return (ON_RUN[event.kind] as (on: RunStepOn<OnRun>) => Applied)({ plan, run, event });
}
