/** Stations of an order, in the order they are gone through: one table, read by its head, the bench, the queue and every link. */
import type { LineProgress, PrintProgress } from './progress';
import { finishedPieces, lineLamp, printLeft } from './queue';

/** What is to be done at a station next, and to which print; as a button says it. */
interface NextAct {
  verb: string;
  at: { line: LineProgress; print: PrintProgress } | null;
}

interface StationRow {
  name: string;
  /** What follows the order in its address. */
  path: string;
  /** It shows one line, which its address names. */
  ofLine: boolean;
  /** Whether it has what it needs behind it, of an order with lines. */
  passed: (lines: readonly LineProgress[]) => boolean;
  /** What an order needs next of it; null: nothing. The first station that asks is where an order is taken up. */
  nextAct: (lines: readonly LineProgress[]) => NextAct | null;
}

const printsOf = (lines: readonly LineProgress[]) => lines.flatMap((line) => line.prints.map((print) => ({ line, print })));
const running = (lines: readonly LineProgress[]) => printsOf(lines).find(({ print }) => print.openRunId !== null) ?? null;
const isCleared = (lines: readonly LineProgress[]) => lines.every((line) => lineLamp(line).state !== 'hold');
const isPressed = (lines: readonly LineProgress[]) => lines.every((line) => finishedPieces(line) >= line.count);

const TABLE = {
  lines: {
    name: 'Lines',
    path: '',
    ofLine: true,
    passed: () => true,
    nextAct: (lines) => (lines.length === 0 ? { verb: 'Add a line', at: null } : null),
  },
  card: {
    name: 'Card',
    path: '/card',
    ofLine: true,
    passed: isCleared,
    nextAct: (lines) => {
      if (running(lines)) return null;
      const left = printsOf(lines).filter(({ line, print }) => printLeft(line, print.printKey) > 0);
      const ready = left.find(({ print }) => print.lamp !== 'hold');
      if (ready) return { verb: 'Open the card', at: ready };
      return left[0] ? { verb: 'Find a way out', at: left[0] } : null;
    },
  },
  place: { name: 'Place', path: '/place', ofLine: true, passed: isCleared, nextAct: () => null },
  run: {
    name: 'Run',
    path: '/run',
    ofLine: true,
    passed: isPressed,
    nextAct: (lines) => {
      const at = running(lines);
      return at && { verb: 'Back to the press', at };
    },
  },
  record: { name: 'Record', path: '/record', ofLine: false, passed: isPressed, nextAct: () => ({ verb: 'See the record', at: null }) },
} as const satisfies Record<string, StationRow>;

export type Station = keyof typeof TABLE;
export const STATION_IDS = Object.keys(TABLE) as [Station, ...Station[]];

const rowOf = (station: Station): StationRow => TABLE[station];

/** Every station with its name, and whether it is behind an order. */
export const stationsOf = (lines: readonly LineProgress[]): { id: Station; name: string; passed: boolean }[] =>
  STATION_IDS.map((id) => ({ id, name: rowOf(id).name, passed: lines.length > 0 && rowOf(id).passed(lines) }));

export interface NextStep {
  station: Station;
  lineId: string | null;
  printKey: string | null;
  /** As a button says it. */
  verb: string;
}

/** One next step: a run under way, else the first print that can be pressed, else a Hold to settle, else the record. */
export function nextStep(lines: readonly LineProgress[]): NextStep {
  for (const station of STATION_IDS) {
    const asked = rowOf(station).nextAct(lines);
    if (asked) return { station, lineId: asked.at?.line.lineId ?? null, printKey: asked.at?.print.printKey ?? null, verb: asked.verb };
  }
  throw new TypeError('the record asks for something of every order');
}

/** What of a line, a print or a run an address names. */
export interface StationAt {
  lineId?: string | null | undefined;
  printKey?: string | null | undefined;
  runId?: string | undefined;
}

/** The address of a station of an order. */
export function stationHref(orderId: string, station: Station, { lineId, printKey, runId }: StationAt = {}): string {
  const { path, ofLine } = rowOf(station);
  const named = Object.entries({ line: lineId, print: printKey, run: runId }).filter(([, value]) => value);
  const query = ofLine && named.length > 0 ? `?${new URLSearchParams(named as [string, string][])}` : '';
  return `/orders/${encodeURIComponent(orderId)}${path}${query}`;
}
