/** Pressings as CSV: one row each, inside units named in the heading, safe to open in a spreadsheet. */
import { stringify } from 'csv-stringify/sync';
import type { Pressing } from '../log';

/** A pressing in the log, with whether an undo has withdrawn it. */
export type LoggedPressing = Pressing & { withdrawn: boolean };

const iso = (ms: number) => new Date(ms).toISOString();
const round = (value: number) => Math.round(value * 100) / 100;

/** Columns in order: heading, and the cell of a pressing. */
const COLUMNS: readonly (readonly [string, (p: LoggedPressing) => string | number])[] = [
  ['pressing', (p) => p.id],
  ['ended', (p) => iso(p.endedAt)],
  ['order', (p) => p.orderName],
  ['piece', (p) => p.piece],
  ['blank', (p) => p.blankName],
  ['size', (p) => p.size],
  ['fabric', (p) => p.fabricName],
  ['position', (p) => p.position],
  ['art', (p) => p.artName],
  ['transfer', (p) => p.productName],
  ['press', (p) => p.pressName],
  ['set_c', (p) => round(p.setC)],
  ['time_s', (p) => p.timeS],
  ['pressed_s', (p) => p.pressedS ?? ''],
  ['pressure', (p) => p.pressureBand],
  ['peel', (p) => p.peel],
  ['outcome', (p) => p.outcome],
  ['reason', (p) => p.reason ?? ''],
  ['laid_back', (p) => p.laidBack],
  ['standing', (p) => (p.withdrawn ? 'withdrawn' : 'counts')],
  ['note', (p) => p.note],
  ['operator', (p) => p.operator],
  ['room_c', (p) => p.roomC],
  ['humidity_percent', (p) => p.humidityPercent],
  ['started', (p) => iso(p.startedAt)],
  ['run', (p) => p.runId],
  ['card', (p) => p.cardHash],
];

/**
 * CSV text with a heading line, RFC 4180, UTF-8 with a byte order mark so that spreadsheets read it as such.
 * Cells that a spreadsheet would run as a formula are neutralised with a leading apostrophe.
 */
export function pressingsCsv(pressings: readonly LoggedPressing[]): string {
  return stringify([COLUMNS.map(([heading]) => heading), ...pressings.map((p) => COLUMNS.map(([, cell]) => cell(p)))], {
    bom: true,
    escape_formulas: true,
    record_delimiter: 'windows',
  });
}
