/** What each step of a piece does to its lot. Refused, with words for the operator, where it cannot have happened from this state. */
import { type Applied, ok, refused } from './applied';
import type { RunEvent } from './events';
import { closingBefore, enter, occupiedBy, secondsOf, withLot } from './lots';
import { peelAt, placeOf, type RunPlan } from './plan';
import type { DonePeel, Lot, PieceResult, RunState } from './state';

export type Done = Exclude<RunEvent, { kind: 'undone' }>;

export function verdict(plan: RunPlan, run: RunState, lot: Lot, event: Done & { kind: 'kept' | 'spoiled' }): RunState {
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

/** An event that is about one lot. */
export type OnLot = Extract<Done, { kind: 'next' | 'closed' | 'opened' | 'peeled' | 'laid back' | 'kept' | 'spoiled' }>;

/** An event of a lot, with the lot as it stands. */
export interface StepOn<E> {
  plan: RunPlan;
  run: RunState;
  lot: Lot;
  stage: RunPlan['stages'][number];
  event: E;
  put: (changed: Lot) => Applied;
}

/** By the first machine. */
export const ON_LOT: { [K in OnLot['kind']]: (on: StepOn<Extract<OnLot, { kind: K }>>) => Applied } = {
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
    return put(
      enter(plan, { ...lot, peels: [...lot.peels, peelBegun(plan, lot, at, event.at, plan.stages[at]?.timeS ?? 0)] }, at + 1, event.at),
    );
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
export const waitsForPeel = (plan: RunPlan, lot: Lot, stage: RunPlan['stages'][number]): boolean =>
  stage.by === 'clock' && plan.stages[lot.stage + 1]?.kind === 'peel';

/**
 * A peel at a stage of the plan, by when the hand began it.
 *
 * @param toldAt when it was told, ms
 * @param handsS how long before that it began, s: the first machine was told once it was done
 */
export function peelBegun(plan: RunPlan, lot: Lot, at: number, toldAt: number, handsS: number): DonePeel {
  const before = plan.stages[at - 1];
  const waited = before?.by === 'clock';
  // straight from the press the hand begins after the opening, or after the rub: as this stage was entered
  const from = waited ? (lot.closings.at(-1)?.openedAt ?? lot.since) : lot.since;
  const tookS = Math.max(0, (toldAt - from) / 1000 - handsS);
  const untilS = before?.span?.toS;
  return {
    peel: peelAt(plan, at) ?? 'cold',
    plannedS: waited ? before.timeS : 0,
    tookS,
    ...(typeof untilS === 'number' && { untilS }),
  };
}
