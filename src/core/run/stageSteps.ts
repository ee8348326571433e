/**
 * What each step of a piece does by the second machine, where that is not what it does by the first: a closing wants its heat, a
 * peel is told as the hand begins it, a part can be pressed again by itself, and what was lost is told apart.
 */
import { ok, refused } from './applied';
import type { Lost } from './choices';
import type { RunEvent } from './events';
import { heatFor, setNow, wantedC } from './heat';
import { ON_LOT, type OnLot, peelBegun, type StepOn, verdict, waitsForPeel } from './lotSteps';
import { BONDS, closingBefore, enter, freedFor, nextLot, occupiedBy, secondsOf, withLot } from './lots';
import { closingKind, meetsBlankAt, type RunPlan } from './plan';
import type { DoneClosing, Lot, RunState } from './state';

export type SpotClosed = Extract<RunEvent, { kind: 'spot closed' }>;
type OnLotNow = OnLot | SpotClosed;

/** What a slip may cost at the stage a lot is at. */
export function lostChoices(plan: Pick<RunPlan, 'stages'>, { stage, closings }: Pick<Lot, 'stage' | 'closings'>): Lost[] {
  const load = meetsBlankAt(plan);
  // a sheet of its own waits on the bench until its blank is loaded
  if (load > 0 && stage <= load) return ['sheet'];
  return closings.some((closing) => BONDS.has(closing.stage)) ? ['piece'] : ['transfer', 'blank', 'piece'];
}

const WRONG_LOSS: Record<Lost, string> = {
  sheet: 'The sheet is in the press with its blank by now: say what is lost with it.',
  transfer: 'The transfer is pressed on by now: the piece is lost with it.',
  blank: 'The transfer is pressed on by now: the piece is lost with it.',
  piece: 'This sheet has not met its blank yet: only the sheet is lost.',
};

/** A piece whose transfer was lost begins again with another, by itself. */
function beginsAgain(plan: RunPlan, run: RunState, lot: Lot, piece: number, at: number): RunState {
  const others = lot.pieces.filter((value) => value !== piece);
  const fresh = nextLot({ ...plan, perClosing: 1, pieces: piece }, { begun: piece - 1, lastAt: at });
  const rest = others.length > 0 ? [{ ...lot, pieces: others, first: others[0] ?? lot.first }] : [];
  const begun = Math.max(run.begun, lot.first - 1 + lot.pieces.length);
  const active = [...run.active.filter(({ first }) => first !== lot.first), ...rest, ...(fresh ? [fresh] : [])];
  return { ...run, begun, active };
}

/** What is kept of a closing as the press is shut, and the heat as it is known from then on. */
function shutBy(
  plan: RunPlan,
  run: RunState,
  stage: RunPlan['stages'][number],
  readC: number | undefined,
  passedOver: boolean,
  at: number,
) {
  const setC = wantedC(plan, stage, run) ?? setNow(plan, run);
  const band = run.sets[closingKind(stage)]?.band;
  const closing: Lot['closing'] = {
    ...(setC !== null && { setC }),
    ...(band && { band }),
    ...(run.readings.length > 0 && { readings: run.readings }),
    ...(passedOver && { passedOver }),
  };
  const read = readC === undefined ? run.heat.read : { by: 'panel' as const, value: readC, at };
  return { closing, heat: { ...run.heat, setC, read } };
}

/** What each step does to its lot. */
export const ON_STAGE: { [K in OnLotNow['kind']]: (on: StepOn<Extract<OnLotNow, { kind: K }>>) => ReturnType<typeof refused> } = {
  ...ON_LOT,
  closed: (on) => {
    const { plan, run, lot, stage, event } = on;
    const first = ON_LOT.closed(on);
    if (first.state === 'refused') return first;
    const heat = heatFor(plan, run, stage, event.readC === undefined ? null : { readoutC: event.readC, at: event.at });
    if (heat.state === 'turn') return refused('The press is set for another closing: turn it to this one’s heat first.');
    if (heat.state !== 'ready') return refused('The press is not at the heat of this closing: read it again, or pass the reading over.');
    const shut = shutBy(plan, run, stage, event.readC, heat.passedOver, event.at);
    const active = first.run.active.map((other) =>
      other.pieces[0] === lot.pieces[0] ? { ...other, dueAt: event.at + secondsOf(stage, run) * 1000, closing: shut.closing } : other,
    );
    return ok({ ...first.run, active, heat: shut.heat, readings: [] });
  },
  opened: ({ plan, run, lot, stage, event }) => {
    if (lot.phase !== 'closed') return refused('The press is not closed.');
    const { closing: own, ...rest } = lot;
    const closing: DoneClosing = {
      stage: own?.spot ? 'spot repair' : stage.kind,
      plannedS: lot.dueAt === null ? stage.timeS : (lot.dueAt - lot.since) / 1000,
      closedAt: lot.since,
      openedAt: event.at,
      readC: lot.readC,
      ...own,
      ...(run.readings.length > 0 && { readings: [...(own?.readings ?? []), ...run.readings] }),
    };
    const opened: Lot = { ...rest, readC: null, closings: [...lot.closings, closing] };
    // a part pressed again comes back to where the piece was
    const after: Lot = own?.spot
      ? { ...opened, phase: 'ready', since: event.at, dueAt: null, onPress: false }
      : enter(plan, opened, lot.stage + 1, event.at);
    return ok({ ...withLot(plan, run, after), readings: [] });
  },
  peeled: ({ plan, run, lot, stage, event }) => {
    const at = waitsForPeel(plan, lot, stage) ? lot.stage + 1 : lot.stage;
    const peel = plan.stages[at];
    if (peel?.kind !== 'peel') return refused('There is nothing to peel now.');
    const next = enter(plan, { ...lot, peels: [...lot.peels, peelBegun(plan, lot, at, event.at, 0)] }, at + 1, event.at);
    return ok({ ...withLot(plan, run, next), handsUntil: event.at + peel.timeS * 1000 });
  },
  'laid back': (on) => {
    const { plan, lot, event, put } = on;
    const justPeeled = plan.stages[lot.stage - 1]?.kind === 'peel' && lot.phase === 'ready';
    if (!justPeeled) return ON_LOT['laid back'](on);
    return put({ ...enter(plan, lot, closingBefore(plan, lot.stage), event.at), laidBack: lot.laidBack + 1 });
  },
  spoiled: ({ plan, run, lot, event }) => {
    if (lot.phase === 'closed') return refused('Open the press first.');
    const choices = lostChoices(plan, lot);
    const lost = event.lost ?? 'piece';
    if (!choices.includes(lost)) return refused(WRONG_LOSS[lost]);
    if (lost === 'piece' || lost === 'blank') {
      const after = verdict(plan, run, lot, event);
      const results = lost === 'blank' ? after.results.map((r) => (r.eventId === event.id ? { ...r, lost } : r)) : after.results;
      return ok({ ...after, results });
    }
    const piece = event.piece ?? lot.pieces[0] ?? lot.first;
    const loss = { piece, lost, reason: event.reason, note: event.note, at: event.at, eventId: event.id };
    return ok({ ...beginsAgain(plan, run, lot, piece, event.at), lost: [...run.lost, loss] });
  },
  'spot closed': ({ plan, run, lot, stage, event }) => {
    const pressed = lot.closings.some((closing) => closing.stage === 'press');
    if (stage.by !== 'hands' || stage.kind === 'peel' || lot.phase !== 'ready' || !pressed)
      return refused('A part is pressed again once its piece has been pressed.');
    const freed = freedFor(plan, run, lot, event.at);
    if (!freed) return refused(occupiedBy(run, lot) ?? 'The press is taken.');
    const setC = setNow(plan, run);
    const shut: Lot = {
      ...lot,
      phase: 'closed',
      onPress: true,
      since: event.at,
      dueAt: event.at + event.timeS * 1000,
      readC: event.readC ?? null,
      closing: { ...(setC !== null && { setC }), spot: { area: event.area, cover: event.cover } },
    };
    return ok(withLot(plan, freed, shut));
  },
};
