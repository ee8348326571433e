/** Reads what an operator types (`300f`, `2 1/2 in`, `1:30`, `40psi`) into the inside units, or says what is wrong with it. */
import { formatQuantity } from './format';
import { type QuantityKind, toInside, UNITS, type UnitId, unitsOf } from './quantity';

export interface ParseOptions {
  /** Unit taken when none is typed. */
  unit: UnitId;
  /** Refused outside this range, inside units. */
  min?: number;
  max?: number;
  /**
   * What such a value usually is, inside units. A bare figure that misses this range in `unit` but meets it
   * in another unit of the kind is asked about rather than taken or refused.
   */
  usual?: { low: number; high: number };
}

export type Parsed =
  | { state: 'ok'; value: number; unit: UnitId }
  | { state: 'ask'; typed: { value: number; unit: UnitId }; instead: { value: number; unit: UnitId }; message: string }
  | { state: 'bad'; message: string };

const bad = (message: string): Parsed => ({ state: 'bad', message });

const NAMES: Record<QuantityKind, { what: string; example: string }> = {
  temperature: { what: 'a temperature', example: '300f or 150c' },
  temperatureDifference: { what: 'a temperature difference', example: '5c or 9f' },
  duration: { what: 'a time', example: '12s or 1:30' },
  length: { what: 'a length', example: '64mm or 2 1/2 in' },
  contactPressure: { what: 'a contact pressure', example: '20kpa' },
  linePressure: { what: 'a line pressure', example: '40psi or 2.8bar' },
  arealMass: { what: 'a cloth’s weight', example: '180 g/m² or 5.3 oz' },
};

/** The figure at the start of a text: whole, decimal (point or comma), fraction or mixed fraction. */
function readFigure(text: string): { value: number; rest: string } | null {
  const mixed = /^([+-]?)(?:(\d+)\s+)?(\d+)\s*\/\s*(\d+)(.*)$/.exec(text);
  if (mixed) {
    const [, sign, whole, top, bottom, rest] = mixed;
    if (Number(bottom) === 0) return null;
    const value = Number(whole ?? 0) + Number(top) / Number(bottom);
    return { value: sign === '-' ? -value : value, rest: (rest ?? '').trim() };
  }
  const decimal = /^([+-]?\d*(?:[.,]\d+)?)(.*)$/.exec(text);
  const figure = decimal?.[1] ?? '';
  if (figure === '' || figure === '+' || figure === '-') return null;
  return { value: Number(figure.replace(',', '.')), rest: (decimal?.[2] ?? '').trim() };
}

/** `3½` and `3 ½` as `3 1/2`. */
const plainFractions = (text: string): string =>
  text.replaceAll(/(\d?)\s*([¼-¾⅐-⅞])/g, (_, whole: string, sign: string) => {
    const fraction = sign.normalize('NFKD').replace('\u2044', '/');
    return whole ? `${whole} ${fraction}` : fraction;
  });

/** What a press is usually set to, °C: a figure far from it in one unit and near it in the other was meant in the other. */
const USUAL_PRESS_C = { low: 90, high: 230 };
const IS_PRESS_FROM_C = 200;

/** A temperature field that goes up to what presses do asks, where nobody said what is usual in it. */
const usually = (kind: QuantityKind, options: ParseOptions): ParseOptions =>
  kind === 'temperature' && !options.usual && (options.max ?? Number.POSITIVE_INFINITY) >= IS_PRESS_FROM_C
    ? { ...options, usual: USUAL_PRESS_C }
    : options;

/** `1:30` or `1 min 30 s` in seconds, or null when the text is neither. */
function readClock(text: string): number | null {
  const colon = /^(\d+):([0-5]\d)$/.exec(text);
  if (colon) return Number(colon[1]) * 60 + Number(colon[2]);
  const words = /^(\d+)\s*(?:m|min|mins)\s*(\d+)\s*(?:s|sec|secs)?$/.exec(text);
  if (words) return Number(words[1]) * 60 + Number(words[2]);
  return null;
}

/**
 * Reads one quantity.
 *
 * @param kind what it is; a `40psi` is a line pressure or a contact pressure by the field it is typed in
 * @param text as typed; upper or lower case, spaces and the degree sign do not matter
 * @returns the value in the inside unit; `ask` when the figure only makes sense in another unit; `bad` with words for the field
 * @example parseQuantity('temperature', '302f', { unit: 'C' }) // { state: 'ok', value: 150, unit: 'F' }
 */
export function parseQuantity(kind: QuantityKind, text: string, options: ParseOptions): Parsed {
  const { what, example } = NAMES[kind];
  const clean = plainFractions(text).trim().toLowerCase().replaceAll('°', '').replaceAll('−', '-').replace(/\s+/g, ' ');
  if (clean === '') return bad(`Type ${what}, for example ${example}.`);
  const clock = kind === 'duration' ? readClock(clean) : null;
  if (clock !== null) return inRange(kind, clock, 's', options, false);
  if (/\d,\d{3}(?!\d)/.test(clean)) return bad('Leave out the comma between thousands.');
  const figure = readFigure(clean);
  if (!figure || !Number.isFinite(figure.value)) return bad(`“${text.trim()}” is not ${what}. Type it like ${example}.`);
  const suffix = figure.rest.replaceAll(' ', '');
  const unit = suffix === '' ? options.unit : unitsOf(kind).find((u) => u.typed.includes(suffix))?.id;
  if (!unit) {
    const known = unitsOf(kind).map((u) => u.symbol);
    return bad(`“${figure.rest}” is not a unit for ${what}. Use ${[...new Set(known)].join(' or ')}.`);
  }
  return inRange(kind, toInside(figure.value, unit), unit, usually(kind, options), suffix === '', figure.value);
}

function inRange(kind: QuantityKind, value: number, unit: UnitId, options: ParseOptions, bare: boolean, typed = value): Parsed {
  const { usual, min, max } = options;
  if (bare && usual && (value < usual.low || value > usual.high)) {
    for (const other of unitsOf(kind)) {
      const instead = toInside(typed, other.id);
      if (other.id !== unit && instead >= usual.low && instead <= usual.high) {
        return {
          state: 'ask',
          typed: { value, unit },
          instead: { value: instead, unit: other.id },
          message: `${typed} ${UNITS[unit].symbol}, or did you mean ${typed} ${other.symbol}?`,
        };
      }
    }
  }
  const signed = kind === 'temperature' || kind === 'temperatureDifference' || (min !== undefined && min < 0);
  if (!signed && value < 0) return bad('This cannot be less than zero.');
  if (min !== undefined && value < min) return bad(`Too low: ${formatQuantity(min, unit)} is the least this can be.`);
  if (max !== undefined && value > max) return bad(`Too high: ${formatQuantity(max, unit)} is the most this can be.`);
  return { state: 'ok', value, unit };
}
