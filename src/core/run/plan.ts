/** What a run needs of its card: the stages of a piece, where it lies in each, and how warm it is peeled. */
import type { Card } from '../card';
import type { Heater } from '../press';
import type { ChosenStage } from '../sheet';
import type { Pace } from './events';

/** What the machine needs of a card's stage. */
export interface PlannedStage {
  kind: string;
  by: 'press' | 'clock' | 'hands';
  timeS: number;
  /** Platen of a closing, °C. */
  setC?: number | null | undefined;
  /** Of a wait: from and until when it may be peeled, s after opening; null: it keeps. Absent in cards of before. */
  span?: { fromS: number; toS: number | null; onBase?: boolean | undefined } | undefined;
}

export interface RunPlan {
  /** Version of the machine its events are taken by. */
  machine: number;
  pieces: number;
  /** Pieces that go into the press together. */
  perClosing: number;
  stages: readonly PlannedStage[];
  /** What was known of these hands before the run; absent: nothing. */
  pace?: Pace | null;
  /** What is known of the press's heat; absent: nothing. */
  heat?: PlannedHeat;
}

/** The press's heat as the card found it. */
export interface PlannedHeat {
  /** Face of the platen minus its panel, K, in the middle of the art. */
  offsetK: number;
  heater: Heater | null;
  roomC: number;
}

/** Version of the machine that new runs are taken by. */
export const MACHINE_VERSION = 2;

/** @param also cards of the other prints of a batch: a wait is the longest of any, and over as soon as any is */
export const planOf = (
  { pieces, perClosing, machine, pace }: Pick<RunPlan, 'pieces' | 'perClosing' | 'machine' | 'pace'>,
  card: Pick<Card, 'stages'> & Partial<Pick<Card, 'set' | 'delivered' | 'turning'>>,
  also: readonly Pick<Card, 'stages'>[] = [],
): RunPlan => ({
  machine,
  pieces,
  perClosing,
  ...(pace && { pace }),
  stages: also.reduce<readonly PlannedStage[]>((stages, other) => waitingFor(stages, other.stages), card.stages),
  ...(card.delivered &&
    card.set && {
      heat: {
        offsetK: card.delivered.midC - card.set.tempC,
        heater: card.turning?.heater ?? null,
        roomC: card.turning?.roomC ?? USUAL_ROOM_C,
      },
    }),
});

/** Stages that do for the pieces of two prints alike: what differs between prints of a batch is how long they cool, or lie on the bench. */
function waitingFor(stages: readonly PlannedStage[], others: readonly PlannedStage[]): PlannedStage[] {
  return stages.map((stage, i) => {
    const other = others[i];
    if (!other || stage.by === 'press') return stage;
    const timeS = Math.max(stage.timeS, other.timeS);
    if (!stage.span || !other.span) return { ...stage, timeS };
    const ends = [stage.span.toS, other.span.toS].filter((toS) => toS !== null);
    const span = { ...stage.span, fromS: Math.max(stage.span.fromS, other.span.fromS), toS: ends.length > 0 ? Math.min(...ends) : null };
    return { ...stage, timeS, span };
  });
}

/** Where a card does not say how warm the room is, °C. */
const USUAL_ROOM_C = 22;

/** By which closing's settings a stage of the press goes. */
export const closingKind = ({ kind }: PlannedStage): ChosenStage | 'press' =>
  kind === 'marry' || kind === 'pre-press' || kind === 'tack' || kind === 'finish' ? kind : 'press';

/** The first stage for which the blank is in the press: what goes wrong before it costs a sheet alone. */
export function meetsBlankAt({ stages }: Pick<RunPlan, 'stages'>): number {
  return Math.max(
    0,
    stages.findIndex(({ kind }) => kind === 'load'),
  );
}

/** Stages of the hands for which the piece lies on the press. */
const ON_PRESS = new Set(['load', 'place', 'turn over', 'rub']);

/** Where a card does not say: a wait no longer than this ends in a warm peel, a longer one in a cold one, s. */
const WARM_WAIT_S = 60;

/** Where a piece lies in a stage. A peel is done where the stage before it ends. */
export function placeOf({ stages }: Pick<RunPlan, 'stages'>, stage: number): 'press' | 'cooling' | 'bench' {
  const it = stages[stage];
  if (!it) return 'bench';
  if (it.by === 'press' || ON_PRESS.has(it.kind)) return 'press';
  if (it.by === 'clock') return it.span?.onBase ? 'press' : 'cooling';
  return it.kind === 'peel' && stage > 0 && placeOf({ stages }, stage - 1) === 'press' ? 'press' : 'bench';
}

/** How warm a peel is done: hot straight from the press, else by the wait before it. Null: no peel. */
export function peelAt(plan: RunPlan, stage: number): 'hot' | 'warm' | 'cold' | null {
  if (plan.stages[stage]?.kind !== 'peel') return null;
  const wait = plan.stages[stage - 1];
  if (wait?.by !== 'clock' && placeOf(plan, stage) === 'press') return 'hot';
  const keeps = wait?.span ? wait.span.toS === null : (wait?.timeS ?? 0) > WARM_WAIT_S;
  return keeps ? 'cold' : 'warm';
}

/** Where a card does not say how long a piece stays warm, s. */
const WARM_KEEPS_S = 15;

/** How long a piece stays as warm as its peel wants it, once its wait is over, s; null: it keeps, or is peeled at once. */
export function keepsWarmS(plan: RunPlan, stage: number): number | null {
  if (peelAt(plan, stage) !== 'warm') return null;
  const span = plan.stages[stage - 1]?.span;
  return span && span.toS !== null ? span.toS - span.fromS : WARM_KEEPS_S;
}

/** Whether the press must change its temperature between stages: then all pieces go through one of them first. */
export function changesHeat(stages: readonly PlannedStage[]): boolean {
  const set = new Set(stages.flatMap(({ by, setC }) => (by === 'press' && setC !== undefined && setC !== null ? [setC] : [])));
  return set.size > 1;
}
