/** The day's queue: what an order needs next, from its lines, their lamps and what has been pressed. */
import type { LampState } from '../card';

export interface LineProgress {
  lineId: string;
  count: number;
  good: number;
  spoiled: number;
  lamp: LampState;
  cautions: number;
  openRunId: string | null;
}

export const STATIONS = ['lines', 'card', 'run', 'record'] as const;
export type Station = (typeof STATIONS)[number];

export interface NextStep {
  station: Station;
  lineId: string | null;
  /** As a button says it. */
  verb: string;
}

const RANK: Record<LampState, number> = { clear: 0, care: 1, hold: 2 };

export const linesLeft = (lines: readonly LineProgress[]): LineProgress[] => lines.filter((line) => line.good < line.count);

/** The lamp of an order: the worst of the lines still to press, and the most cautions any of them has. */
export function orderLamp(lines: readonly LineProgress[]): { state: LampState; cautions: number } {
  const left = linesLeft(lines);
  const state = left.reduce<LampState>((worst, line) => (RANK[line.lamp] > RANK[worst] ? line.lamp : worst), 'clear');
  return { state, cautions: Math.max(0, ...left.map((line) => line.cautions)) };
}

/** One next step: a run under way, else a Hold to settle, else the first line left, else the record. */
export function nextStep(lines: readonly LineProgress[]): NextStep {
  if (lines.length === 0) return { station: 'lines', lineId: null, verb: 'Add a line' };
  const running = lines.find((line) => line.openRunId !== null);
  if (running) return { station: 'run', lineId: running.lineId, verb: 'Back to the press' };
  const left = linesLeft(lines);
  const held = left.find((line) => line.lamp === 'hold');
  const ready = left.find((line) => line.lamp !== 'hold');
  if (ready) return { station: 'card', lineId: ready.lineId, verb: 'Open the card' };
  if (held) return { station: 'card', lineId: held.lineId, verb: 'Find a way out' };
  return { station: 'record', lineId: null, verb: 'See the record' };
}
