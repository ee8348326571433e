/** What could be done now: for every lot its next step, and the next lot's first, as far as press and clocks allow. */
import type { RunFact } from './events';
import { type HeatState, heatFor, type Live } from './heat';
import { nextLot, onPress } from './lots';
import { peelAt, placeOf, type RunPlan } from './plan';
import type { Lot, RunState } from './state';

export type ActKind = Extract<
  RunFact['kind'],
  'next' | 'closed' | 'opened' | 'peeled' | 'kept' | 'turned' | 'read' | 'heat passed over' | 'freed'
>;

/** One thing the hands could do. */
export interface Act {
  kind: ActKind;
  lot: Lot;
  /** Stage it is done in: that of the lot, or the peel after its wait. */
  stage: number;
  /** Where it is done. */
  place: 'press' | 'bench';
  peel: 'hot' | 'warm' | 'cold' | null;
  /** How long hands need for it, s; 0 to close or open. */
  handsS: number;
  /** When it could be done at the earliest: a clock may still run. */
  from: number;
  /** The heat the press is turned to, waited for or read at; absent: it has the heat of its closing, or needs none. */
  heat?: Exclude<HeatState, { state: 'ready' }>;
  /** It is put off until the press comes near to this heat. */
  awaits?: HeatWait;
}
type HeatWait = Extract<HeatState, { state: 'wait' }>;

/** To turn a press to another heat, or to read it, s. */
const HEAT_S = 5;

/** The closing that a lot at the press comes to next, and how long hands are at it before. */
function nextClosing({ stages }: RunPlan, from: number): { stage: number; handsS: number } | null {
  let handsS = 0;
  for (let i = from; i < stages.length; i++) {
    const stage = stages[i];
    if (stage?.by === 'press') return { stage: i, handsS };
    if (stage?.by === 'clock') return null;
    handsS += stage?.timeS ?? 0;
  }
  return null;
}

/** An act at the press's heat; or, without one, what the piece awaits before it is brought to the press. */
type HeatAsks =
  | { act: { kind: 'turned' | 'read'; heat: NonNullable<Act['heat']> }; from: number }
  | { act: null; from: number; awaits: HeatWait };

/**
 * What the heat asks for before a lot goes on at the press: to turn it as soon as its next closing wants another, and to read it
 * before that closing. Pieces are loaded so that they lie there as the heat is reckoned to be.
 */
function heatAct(plan: RunPlan, run: RunState, lot: Lot, live: Live | null): HeatAsks | null {
  if (plan.machine < 2) return null;
  const next = nextClosing(plan, lot.stage);
  const stage = next && plan.stages[next.stage];
  if (!next || !stage) return null;
  const heat = heatFor(plan, run, stage, live);
  if (heat.state === 'ready') return null;
  if (heat.state === 'turn') return { act: { kind: 'turned', heat }, from: run.lastAt };
  const isClosing = next.stage === lot.stage;
  return isClosing ? { act: { kind: 'read', heat }, from: heat.dueAt } : { act: null, from: heat.dueAt - next.handsS * 1000, awaits: heat };
}

/** What is done at the press for the closing that comes next; what is still hot of the one before waits for nothing. */
const PREPARES: ReadonlySet<string> = new Set(['load', 'place', 'turn over']);

function actOf(plan: RunPlan, run: RunState, lot: Lot, live: Live | null): Act | null {
  const stage = plan.stages[lot.stage];
  if (!stage) return null;
  const act = (kind: ActKind, at: number, from: number): Act => {
    const done = plan.stages[at];
    const place = placeOf(plan, at);
    return {
      kind,
      lot,
      stage: at,
      place: place === 'press' ? 'press' : 'bench',
      peel: peelAt(plan, at),
      handsS: done?.by === 'hands' ? done.timeS : 0,
      from,
    };
  };
  if (lot.phase === 'closed') return { ...act('opened', lot.stage, lot.dueAt ?? lot.since), place: 'press', handsS: 0, peel: null };
  const atPress = stage.by === 'press' || PREPARES.has(stage.kind);
  const heat = atPress ? heatAct(plan, run, lot, live) : null;
  if (heat?.act) return { ...act(heat.act.kind, lot.stage, heat.from), heat: heat.act.heat, place: 'press', handsS: HEAT_S, peel: null };
  if (stage.by === 'press') return act('closed', lot.stage, run.lastAt);
  if (stage.by === 'clock') {
    const peels = plan.stages[lot.stage + 1]?.kind === 'peel';
    return peels
      ? act('peeled', lot.stage + 1, lot.dueAt ?? lot.since)
      : { ...act('next', lot.stage, lot.dueAt ?? lot.since), place: 'bench' };
  }
  const own = act(stage.kind === 'peel' ? 'peeled' : stage.kind === 'inspect' ? 'kept' : 'next', lot.stage, heat?.from ?? run.lastAt);
  return heat ? { ...own, awaits: heat.awaits } : own;
}

/**
 * Every act that press and order of pieces allow, those whose clock still runs among them.
 *
 * @param live what the press's panel says this moment; null: no device tells
 */
export function actsOf(plan: RunPlan, run: RunState, live: Live | null = null): Act[] {
  if (run.done) return [];
  const on = onPress(run);
  const next = nextLot(plan, run);
  return [...run.active, ...(next ? [next] : [])].flatMap((lot) => {
    const act = actOf(plan, run, lot, live);
    return act && (act.place === 'bench' || !on || on.first === lot.first) ? [act] : [];
  });
}
