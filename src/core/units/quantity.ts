/** Kinds of quantity the press room uses, and the units each can be written in. Inside, everything is °C, K, s, mm, kPa and g/m². */

/**
 * Contact pressure (force over the area that touches) and line pressure (air in the hose) are different
 * kinds on purpose: no function here turns one into the other, because only a press's geometry can.
 */
export const QUANTITY_KINDS = [
  'temperature',
  'temperatureDifference',
  'duration',
  'length',
  'contactPressure',
  'linePressure',
  'arealMass',
] as const;
export type QuantityKind = (typeof QUANTITY_KINDS)[number];

/** A unit as written after a figure, with its line to the inside unit: `inside = (shown − zero) · size`. */
export interface Unit {
  id: string;
  kind: QuantityKind;
  /** What stands after the figure. */
  symbol: string;
  /** Ways an operator may type it, lower case, without spaces or the degree sign. */
  typed: readonly string[];
  size: number;
  zero: number;
  /** Decimals normally shown. */
  decimals: number;
  system: 'metric' | 'inch' | 'both';
}

const unit = (
  id: string,
  kind: QuantityKind,
  symbol: string,
  typed: readonly string[],
  size: number,
  decimals: number,
  system: Unit['system'],
  zero = 0,
): Unit => ({ id, kind, symbol, typed, size, zero, decimals, system });

export type UnitId =
  | 'C'
  | 'F'
  | 'dC'
  | 'dF'
  | 's'
  | 'min'
  | 'mm'
  | 'cm'
  | 'in'
  | 'kPaContact'
  | 'psiContact'
  | 'bar'
  | 'psi'
  | 'kPaLine'
  | 'gsm'
  | 'ozYd2';

const PSI_KPA = 6.894757293168361;
/** One ounce (avoirdupois) on a square yard, g/m². */
const OZ_YD2_GSM = 28.349523125 / 0.9144 ** 2;

export const UNITS: Record<UnitId, Unit> = {
  C: unit('C', 'temperature', '°C', ['c', 'celsius'], 1, 0, 'metric'),
  F: unit('F', 'temperature', '°F', ['f', 'fahrenheit'], 5 / 9, 0, 'inch', 32),
  dC: unit('dC', 'temperatureDifference', 'K', ['k', 'c'], 1, 1, 'metric'),
  dF: unit('dF', 'temperatureDifference', '°F', ['f'], 5 / 9, 1, 'inch'),
  s: unit('s', 'duration', 's', ['s', 'sec', 'secs', 'second', 'seconds'], 1, 0, 'both'),
  min: unit('min', 'duration', 'min', ['m', 'min', 'mins', 'minute', 'minutes'], 60, 1, 'both'),
  mm: unit('mm', 'length', 'mm', ['mm'], 1, 0, 'metric'),
  cm: unit('cm', 'length', 'cm', ['cm'], 10, 1, 'metric'),
  in: unit('in', 'length', 'in', ['in', 'inch', 'inches', '"', '″'], 25.4, 2, 'inch'),
  kPaContact: unit('kPaContact', 'contactPressure', 'kPa', ['kpa'], 1, 0, 'metric'),
  psiContact: unit('psiContact', 'contactPressure', 'psi', ['psi'], PSI_KPA, 1, 'inch'),
  bar: unit('bar', 'linePressure', 'bar', ['bar'], 100, 1, 'metric'),
  psi: unit('psi', 'linePressure', 'psi', ['psi'], PSI_KPA, 0, 'inch'),
  kPaLine: unit('kPaLine', 'linePressure', 'kPa', ['kpa'], 1, 0, 'metric'),
  gsm: unit('gsm', 'arealMass', 'g/m²', ['g/m²', 'g/m2', 'gsm', 'g'], 1, 0, 'metric'),
  ozYd2: unit('ozYd2', 'arealMass', 'oz/yd²', ['oz/yd²', 'oz/yd2', 'oz'], OZ_YD2_GSM, 1, 'inch'),
};

/**
 * From a shown figure to the inside unit.
 *
 * @param shown in the unit
 * @returns in the inside unit
 * @example toInside(302, 'F') // 150.000
 */
export function toInside(shown: number, id: UnitId): number {
  const u = UNITS[id];
  return (shown - u.zero) * u.size;
}

/**
 * From the inside unit to the figure to show, unrounded.
 *
 * @param inside in the inside unit
 * @returns in the unit
 * @example toShown(150, 'F') // 302.000
 */
export function toShown(inside: number, id: UnitId): number {
  const u = UNITS[id];
  return inside / u.size + u.zero;
}

/** Every unit of a kind, in the order they are tried. */
export function unitsOf(kind: QuantityKind): readonly (Unit & { id: UnitId })[] {
  return (Object.keys(UNITS) as UnitId[]).filter((id) => UNITS[id].kind === kind).map((id) => ({ ...UNITS[id], id }));
}

/** The units a house reads first, by kind. */
export interface HouseUnits {
  temperature: 'C' | 'F';
  length: 'mm' | 'in';
  linePressure: 'bar' | 'psi';
}

/** The unit a kind is shown in for a house; the second is what stands small beside it. */
export function houseUnit(kind: QuantityKind, house: HouseUnits): { first: UnitId; beside: UnitId | null } {
  const inch = house.temperature === 'F';
  switch (kind) {
    case 'temperature':
      return inch ? { first: 'F', beside: 'C' } : { first: 'C', beside: 'F' };
    case 'temperatureDifference':
      return inch ? { first: 'dF', beside: 'dC' } : { first: 'dC', beside: 'dF' };
    case 'duration':
      return { first: 's', beside: null };
    case 'length':
      return house.length === 'in' ? { first: 'in', beside: 'mm' } : { first: 'mm', beside: 'in' };
    case 'contactPressure':
      return house.linePressure === 'psi' ? { first: 'psiContact', beside: 'kPaContact' } : { first: 'kPaContact', beside: 'psiContact' };
    case 'linePressure':
      return house.linePressure === 'psi' ? { first: 'psi', beside: 'bar' } : { first: 'bar', beside: 'psi' };
    case 'arealMass':
      return house.length === 'in' ? { first: 'ozYd2', beside: 'gsm' } : { first: 'gsm', beside: 'ozYd2' };
  }
}
