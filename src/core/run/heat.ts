/**
 * The heat of the press between closings: what the next one wants, what the press is set to and was read at, and whether it may
 * be closed. A reading this near to what is wanted counts: the panel's own, or a gun's or probe's with its doubt beside it.
 */
import { instrumentError, timeBetween } from '../press';
import { closingKind, type PlannedStage, type RunPlan } from './plan';
import type { PressHeat, Reading, RunState } from './state';

/** How far a reading of the panel may be from what is wanted, K. */
const OFF_K = 3;
/** Settings nearer than this are one: a step of a panel in °F, with its rounding, K. */
const SAME_K = 0.6;

/** Warming and cooling of a press whose heater is not known, K/min: the middle of what presses do. */
const USUAL_K_PER_MIN = { up: 12, down: 4.5 } as const;

/** One standard deviation of an instrument's single reading, K. */
const DOUBT_K: Record<Reading['by'], number> = {
  panel: 0,
  gauge: 0,
  probe: Math.hypot(...Object.values(instrumentError({ kind: 'probe' }))),
  gun: Math.hypot(...Object.values(instrumentError({ kind: 'infrared', emissivitySet: 0.95 }))),
};

type Heated = Pick<RunState, 'setC' | 'sets'>;

/** What a closing wants the upper platen set to, °C, as it is set in this run; null: the card does not say. */
export function wantedC({ stages, machine }: Pick<RunPlan, 'stages' | 'machine'>, stage: PlannedStage, run: Heated): number | null {
  if (machine < 2) return stage.setC ?? null;
  const own = run.sets[closingKind(stage)]?.tempC;
  if (own !== undefined) return own;
  const carded = stage.setC ?? null;
  const full = stages.find(({ kind }) => kind === 'press')?.setC;
  // who sets the full press sets every closing that shares its heat
  const shares = carded !== null && full !== undefined && full !== null && Math.abs(carded - full) <= SAME_K;
  return shares && run.setC !== null ? run.setC : carded;
}

/** What the press is set to as far as the run knows, °C; null: no closing says. */
export function setNow(plan: RunPlan, run: Pick<RunState, 'heat' | 'setC' | 'sets'>): number | null {
  const first = plan.stages.find(({ by }) => by === 'press');
  return run.heat.setC ?? (first ? wantedC(plan, first, run) : null);
}

/**
 * How far a reading is from what a closing wants, K, and how far it may be.
 *
 * A gun and a probe read the platen's face, which is by the press's own offset from what its panel says.
 */
export function offBy(plan: Pick<RunPlan, 'heat'>, { by, value }: Reading, toC: number): { offK: number; allowedK: number } {
  return { offK: value - faceK(plan, by) - toC, allowedK: OFF_K + DOUBT_K[by] };
}

/** What an instrument reads more than the panel, K: a gun and a probe read the face. */
const faceK = ({ heat }: Pick<RunPlan, 'heat'>, by: Reading['by']): number => (by === 'gun' || by === 'probe' ? (heat?.offsetK ?? 0) : 0);

const isNear = (plan: Pick<RunPlan, 'heat'>, reading: Reading, toC: number): boolean => {
  const { offK, allowedK } = offBy(plan, reading, toC);
  return Math.abs(offK) <= allowedK + 1e-9;
};

/** Whether the press may be closed for a stage, and if not, what comes first. */
export type HeatState =
  | { state: 'ready'; passedOver: boolean }
  /** It is set for another closing. */
  | { state: 'turn'; toC: number; fromC: number; timeS: number }
  /** It was turned and not read since, or its last reading is off: when it is reckoned to be there. */
  | {
      state: 'wait';
      toC: number;
      /** By the panel, whatever it was read by. */
      fromC: number;
      read: Reading | null;
      /** What the instrument it was read by is to read, °C. */
      toReadC: number;
      dueAt: number;
      lastsS: number;
    };

/** Reckoned seconds from one heat to another, by the press's own heater where that is known. */
export function changeS({ heat }: Pick<RunPlan, 'heat'>, fromC: number, toC: number): number {
  const reckoned = heat?.heater ? timeBetween(heat.heater, fromC, toC, heat.roomC) : Number.POSITIVE_INFINITY;
  const rate = toC > fromC ? USUAL_K_PER_MIN.up : USUAL_K_PER_MIN.down;
  return Number.isFinite(reckoned) ? reckoned : (Math.abs(toC - fromC) / rate) * 60;
}

/** What a device says of the panel this moment. */
export interface Live {
  readoutC: number;
  at: number;
}

/**
 * Whether the press has the heat of a closing.
 *
 * @param live what the panel says this moment; null: no device tells
 */
export function heatFor(plan: RunPlan, run: RunState, stage: PlannedStage, live: Live | null = null): HeatState {
  const toC = plan.machine < 2 ? null : wantedC(plan, stage, run);
  const fromC = setNow(plan, run);
  if (toC === null || fromC === null) return { state: 'ready', passedOver: false };
  if (Math.abs(fromC - toC) > SAME_K) return { state: 'turn', toC, fromC, timeS: changeS(plan, fromC, toC) };
  const { turned, passedOver } = run.heat;
  const read: Reading | null = live === null ? run.heat.read : { by: 'panel', value: live.readoutC, at: live.at };
  if (read ? isNear(plan, read, toC) : turned === null) return { state: 'ready', passedOver: false };
  if (passedOver) return { state: 'ready', passedOver: true };
  const face = read ? faceK(plan, read.by) : 0;
  const [sinceAt, startC] = read ? [read.at, read.value - face] : [turned?.at ?? run.lastAt, turned?.fromC ?? toC];
  const lastsS = changeS(plan, startC, toC);
  return { state: 'wait', toC, fromC: startC, read, toReadC: toC + face, dueAt: sinceAt + lastsS * 1000, lastsS };
}

/** The heat of a press that is turned to another setting: nobody knows whether it is there, unless it was read near to it before. */
export function changesHeatTo(plan: RunPlan, run: RunState, toC: number, at: number): PressHeat {
  const { read } = run.heat;
  const keeps = read !== null && isNear(plan, read, toC);
  const fromC = read ? read.value - faceK(plan, read.by) : (setNow(plan, run) ?? toC);
  return { setC: toC, turned: keeps ? null : { fromC, at }, read: keeps ? read : null, passedOver: false };
}
