/** What a temperature over time does: flow of the adhesive, harm to the cloth, and how soon a piece may be peeled. */
import type { PeelClock } from './schemas';
import type { Curve } from './solve';

/** Activation energy of an adhesive's flow, J/mol, and the gas constant, J/molK. */
const ACTIVATION_J_MOL = 90_000;
const GAS_J_MOLK = 8.314;
const KELVIN = 273.15;
/** Temperature and pressure the flow is counted from; both cancel in a bond. */
const REFERENCE_K = 150 + KELVIN;
const REFERENCE_KPA = 20;
/** Width of the switch from solid to flowing, K. */
const SOFTENING_WIDTH_K = 3;

/** How fast an adhesive flows, against 150 °C and 20 kPa: `P/P₀ · exp(−Eₐ/R·(1/T − 1/T₀)) · g(T)`, g a smooth switch at its softening point. */
function flowRate(tempC: number, pressureKPa: number, softenC: number): number {
  const arrhenius = Math.exp((-ACTIVATION_J_MOL / GAS_J_MOLK) * (1 / (tempC + KELVIN) - 1 / REFERENCE_K));
  return ((pressureKPa / REFERENCE_KPA) * arrhenius) / (1 + Math.exp((softenC - tempC) / SOFTENING_WIDTH_K));
}

/**
 * Mean between two samples of something that grows by a factor: exact where its logarithm is straight.
 *
 * @param a above 0
 * @param b above 0, in the unit of a
 * @example logMean(1, Math.E) // 1.7182818
 */
export function logMean(a: number, b: number): number {
  const mean = (a + b) / 2;
  return Math.abs(a - b) <= 1e-3 * mean || a <= 0 || b <= 0 ? mean : (b - a) / Math.log(b / a);
}

/** Running integral of a rate over a curve. */
function running({ timeS, tempC }: Curve, rate: (tempC: number, timeS: number) => number): Float64Array {
  const sums = new Float64Array(timeS.length);
  let before = timeS.length > 0 ? rate(tempC[0] as number, timeS[0] as number) : 0;
  for (let i = 1; i < timeS.length; i++) {
    const now = rate(tempC[i] as number, timeS[i] as number);
    const dt = (timeS[i] as number) - (timeS[i - 1] as number);
    sums[i] = (sums[i - 1] as number) + (dt > 0 ? dt * logMean(before, now) : 0);
    before = now;
  }
  return sums;
}

/** Times during which the press is shut, with the pressure of each. */
export interface Shut {
  fromS: number;
  toS: number;
  pressureKPa: number;
}

/** The part of a curve between two times. */
export function within({ timeS, tempC }: Curve, fromS: number, toS: number): Curve {
  let [a, b] = [0, timeS.length];
  while (a < b && (timeS[a] as number) < fromS) a++;
  // where one stage ends as the next begins, both have a sample at that instant: the later one belongs to the later stage
  while (a + 1 < b && timeS[a + 1] === timeS[a] && timeS[a] === fromS) a++;
  while (b > a && (timeS[b - 1] as number) > toS) b--;
  while (b - 2 >= a && timeS[b - 2] === timeS[b - 1] && timeS[b - 1] === toS) b--;
  return { timeS: timeS.subarray(a, b), tempC: tempC.subarray(a, b) };
}

/**
 * How far an adhesive has flowed, s at 150 °C and 20 kPa, at each sample of one shutting of the press.
 * @see Washburn, The dynamics of capillary flow (1921): depth ∝ √(pressure · time / viscosity)
 */
export const flowOver = (curve: Curve, pressureKPa: number, softenC: number): Float64Array =>
  running(curve, (tempC) => flowRate(tempC, pressureKPa, softenC));

/**
 * How far an adhesive flows in all shuttings, s at 150 °C and 20 kPa. Nothing presses while the press is open.
 *
 * @param curve of the bond line, s and °C
 * @param shut when the press is shut, s, and how hard, kPa
 * @param softenC where the adhesive begins to flow, °C
 */
export const flowOf = (curve: Curve, shut: readonly Shut[], softenC: number): number =>
  shut.reduce((sum, { fromS, toS, pressureKPa }) => sum + (flowOver(within(curve, fromS, toS), pressureKPa, softenC).at(-1) ?? 0), 0);

/**
 * A bond: depth of flow against the supplier's own, `√(J/J_ref)`.
 *
 * @param flow s at 150 °C and 20 kPa
 * @param reference what its sheet means, the same
 * @returns 1 as the sheet means
 * @example bondOf(9, 4) // 1.5
 */
export const bondOf = (flow: number, reference: number): number => Math.sqrt(flow / reference);

/** Bonds that hold: below it lifts and cracks, above it is squeezed, sunk and spread. */
export const SOUND = { low: 0.9, high: 1.35 } as const;

/** A limit is kept for this long at its own temperature, s, and half as long for every so many kelvin over it. */
const LIMIT_TIME_S = 15;
const KELVIN_PER_HALVING = 8;

/**
 * How fast a temperature harms, against one that is at the limit: every 8 K less count half.
 *
 * @param tempC °C
 * @param limitC °C borne for 15 s
 * @returns 1 at the limit
 * @example harmRate(142, 150) // 0.5
 */
export const harmRate = (tempC: number, limitC: number): number => 2 ** ((tempC - limitC) / KELVIN_PER_HALVING);

/** Harm at each sample of a curve, 1 = the limit: `∫ 2^((T − limit)/8) dt / 15`. */
export const harmOver = (curve: Curve, limitC: number): Float64Array => running(curve, (tempC) => harmRate(tempC, limitC) / LIMIT_TIME_S);

/**
 * Harm of a whole curve, 1 = the limit.
 *
 * @param curve s and °C
 * @param limitC °C borne for 15 s
 * @example harmOf({ timeS: [0, 15], tempC: [150, 150] }, 150) // 1
 */
export const harmOf = (curve: Curve, limitC: number): number => harmOver(curve, limitC).at(-1) ?? 0;

/**
 * Reads a curve at a time, on a straight line between its samples, °C.
 *
 * @param curve rising times, s, with a temperature each, °C
 * @param atS s
 * @example tempAt({ timeS: [0, 10], tempC: [20, 120] }, 5) // 70
 */
export function tempAt({ timeS, tempC }: Curve, atS: number): number {
  let [low, high] = [0, timeS.length - 1];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if ((timeS[middle] as number) <= atS) low = middle;
    else high = middle;
  }
  const [a, b] = [timeS[low] as number, timeS[high] as number];
  const share = b > a ? Math.min(1, Math.max(0, (atS - a) / (b - a))) : 0;
  return (tempC[low] as number) + share * ((tempC[high] as number) - (tempC[low] as number));
}

/** First time a curve has fallen to a temperature for good, s from its start; null: not within the curve. */
function fallsTo({ timeS, tempC }: Curve, targetC: number): number | null {
  const n = timeS.length;
  if (n === 0 || (tempC[n - 1] as number) > targetC) return null;
  let i = n - 1;
  while (i > 0 && (tempC[i - 1] as number) <= targetC) i--;
  if (i === 0) return 0;
  const [t0, t1] = [timeS[i - 1] as number, timeS[i] as number];
  const [c0, c1] = [tempC[i - 1] as number, tempC[i] as number];
  return t0 + (t1 - t0) * ((c0 - targetC) / (c0 - c1)) - (timeS[0] as number);
}

/** Warm enough to bear and cool enough to hold, °C; cold: this much over the room, K. */
export const WARM_C = { low: 40, high: 60 } as const;
export const COLD_OVER_ROOM_K = 5;
/** A hard piece counts as cold a little sooner, K over the room. */
export const HARD_COLD_OVER_ROOM_K = 10;

/** Reads the peel clock from the temperature at the bond line as the piece cools, its curve starting at the opening. */
export const peelClockOf = (cooling: Curve, roomC: number, coldOverRoomK: number = COLD_OVER_ROOM_K): PeelClock => ({
  warmS: fallsTo(cooling, WARM_C.high),
  warmUntilS: fallsTo(cooling, WARM_C.low),
  coldS: fallsTo(cooling, roomC + coldOverRoomK),
});
