/** Writes inside values as an operator reads them: fixed decimals, so that figures never jump. */
import { type HouseUnits, houseUnit, type QuantityKind, toInside, toShown, UNITS, type UnitId } from './quantity';

/** The figure alone, fixed decimals, with a true minus sign and never “−0”. */
export function formatFigure(inside: number, unit: UnitId, decimals: number = UNITS[unit].decimals): string {
  const text = toShown(inside, unit).toFixed(decimals);
  const unsigned = text.replace('-', '');
  return text.startsWith('-') && Number(unsigned) !== 0 ? `−${unsigned}` : unsigned;
}

/** Holds a figure and its unit together on one line. */
const NO_BREAK = '\u00a0';

/**
 * Figure and unit, e.g. `302 °F`, never parted by a line break.
 *
 * @param inside in the inside unit
 * @param unit to be shown in
 * @example formatQuantity(150, 'F').replace(/\s/, ' ') // 302 °F
 */
export function formatQuantity(inside: number, unit: UnitId, decimals?: number): string {
  return `${formatFigure(inside, unit, decimals)}${NO_BREAK}${UNITS[unit].symbol}`;
}

/**
 * A duration as a clock would show it: `9 s`, `1:30`. Rounded to whole seconds.
 *
 * @param seconds s
 * @example formatDuration(90) // 1:30
 */
export function formatDuration(seconds: number): string {
  const whole = Math.round(seconds);
  if (whole < 60) return `${whole}${NO_BREAK}s`;
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}

/** A quantity the house's way; durations as a clock. */
export function formatForHouse(kind: QuantityKind, inside: number, house: HouseUnits, decimals?: number): string {
  if (kind === 'duration') return formatDuration(inside);
  return formatQuantity(inside, houseUnit(kind, house).first, decimals);
}

/** The other system's reading, for the small figure beside; empty when there is only one. */
export function formatBeside(kind: QuantityKind, inside: number, house: HouseUnits): string {
  const { beside } = houseUnit(kind, house);
  return beside ? formatQuantity(inside, beside) : '';
}

/** A length as a tape shows it: whole millimetres, or inches and eighths, `3 7/8 in`. */
export function formatTape(mm: number, house: Pick<HouseUnits, 'length'>): string {
  if (house.length === 'mm') return formatQuantity(mm, 'mm', 0);
  const eighths = Math.round((Math.abs(mm) / 25.4) * 8);
  const [whole, rest] = [Math.floor(eighths / 8), eighths % 8];
  const part = rest === 0 ? '' : rest % 4 === 0 ? '1/2' : rest % 2 === 0 ? `${rest / 2}/4` : `${rest}/8`;
  const sign = mm < 0 && eighths > 0 ? '−' : '';
  return `${sign}${[whole > 0 || part === '' ? String(whole) : '', part].filter(Boolean).join(NO_BREAK)}${NO_BREAK}in`;
}

/**
 * The nearest value on a unit's grid: 302.4 °F goes to 302 °F, which is 150 °C.
 *
 * @param inside in the inside unit
 * @param step in the unit
 * @returns in the inside unit
 * @example snap(150.2, 'F', 1) // 150.000
 */
export function snap(inside: number, unit: UnitId, step: number): number {
  return toInside(Math.round(toShown(inside, unit) / step) * step, unit);
}
