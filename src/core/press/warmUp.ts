/** Warm-up, cooling and recovery of a platen: one warm lump with a heater, losing to the room. */
import { median } from 'simple-statistics';
import { type Heater, MOST_LOSS_WK, MOST_W } from './heater';

/** Specific heat of the aluminium a platen is made of, J/kgK. */
const ALUMINIUM_C = 900;
/** Loss of a hot platen to the room where nobody has logged its cooling: 4.5 K/min at 150 K over the room, 1/s. */
const USUAL_LOSS_PER_S = 4.5 / 60 / 150;

const capacityOf = ({ massKg }: Heater): number => massKg * ALUMINIUM_C;
export const lossOf = (heater: Heater): number => heater.lossWK ?? capacityOf(heater) * USUAL_LOSS_PER_S;
/** Temperature it would settle at with the heater always on, °C. */
const ceiling = (heater: Heater, roomC: number): number => roomC + heater.powerW / lossOf(heater);

/**
 * Seconds from one temperature to another: heating at full power upwards, cooling unaided downwards.
 *
 * Lumped body, `m·c·dT/dt = P − h·(T − T_room)`, so `t = τ·ln((T_end − T_from)/(T_end − T_to))` with `τ = m·c/h` and the
 * temperature `T_end` that it would settle at.
 *
 * @param heater power in W, mass in kg, loss in W/K
 * @param fromC °C
 * @param toC °C
 * @param roomC °C
 * @returns infinity where it never gets there
 * @see Incropera, Fundamentals of Heat and Mass Transfer, §5.3 (lumped capacitance with a source)
 * @example timeBetween({ powerW: 1200, massKg: 8, lossWK: 4 }, 20, 170, 20) // 1247.665
 */
export function timeBetween(heater: Heater, fromC: number, toC: number, roomC: number): number {
  if (fromC === toC) return 0;
  const endC = toC > fromC ? ceiling(heater, roomC) : roomC;
  const share = (endC - fromC) / (endC - toC);
  return share > 0 && Number.isFinite(share) ? (capacityOf(heater) / lossOf(heater)) * Math.log(share) : Number.POSITIVE_INFINITY;
}

/**
 * Temperature after some seconds of full power (or of none), °C.
 *
 * @param heater power in W, mass in kg, loss in W/K
 * @param fromC °C
 * @param seconds s
 * @param roomC °C
 * @param heating at full power; else not at all
 * @example temperatureAfter({ powerW: 1200, massKg: 8, lossWK: 4 }, 20, 1247.665, 20, true) // 170.000
 */
export function temperatureAfter(heater: Heater, fromC: number, seconds: number, roomC: number, heating: boolean): number {
  const endC = heating ? ceiling(heater, roomC) : roomC;
  return endC + (fromC - endC) * Math.exp((-lossOf(heater) / capacityOf(heater)) * seconds);
}

/** A heater gives all it has from so far under its setting, K: a thermostat’s usual band, an estimate. */
const FULL_POWER_UNDER_K = 6;

/**
 * How a platen gives way under a cold piece: what it stores and how hard its heater brings it back, for every square metre.
 *
 * @param areaMm2 of the platen
 */
export function droopOf(heater: Heater, areaMm2: number): { capacityJm2K: number; recoveryWm2K: number } {
  const areaM2 = areaMm2 / 1e6;
  return { capacityJm2K: capacityOf(heater) / areaM2, recoveryWm2K: heater.powerW / areaM2 / FULL_POWER_UNDER_K };
}

/** A time that was really taken from one temperature to another. */
export interface LoggedTime {
  fromC: number;
  toC: number;
  seconds: number;
  roomC: number;
}

/** A logged time may show a loss or a power so many times what is usual or stands on the plate; beyond that it was mistyped. */
const MOST_TIMES_OFF = 4;

const within = (value: number, usual: number): boolean => value >= usual / MOST_TIMES_OFF && value <= usual * MOST_TIMES_OFF;

/** Loss a cooling shows, W/K: `m·c·ln((T_from − T_room)/(T_to − T_room))/t`. */
const lossShown = (heater: Heater, { fromC, toC, seconds, roomC }: LoggedTime): number =>
  toC > roomC ? (capacityOf(heater) * Math.log((fromC - roomC) / (toC - roomC))) / seconds : Number.NaN;

/** Power a heating shows at the heater’s own loss, W. */
function powerShown(heater: Heater, { fromC, toC, seconds, roomC }: LoggedTime): number {
  const loss = lossOf(heater);
  const decay = Math.exp((-loss / capacityOf(heater)) * seconds);
  return loss * ((toC - fromC * decay) / (1 - decay) - roomC);
}

/**
 * Whether a logged time can be true of a heater: within a factor of four of its plate, or of the usual loss.
 *
 * @param heater power in W, mass in kg, loss in W/K
 * @param time from and to, °C, in how many s, in what room, °C
 */
export function canBeTrue(heater: Heater, time: LoggedTime): boolean {
  const usual = { ...heater, lossWK: null };
  return time.toC > time.fromC ? within(powerShown(usual, time), heater.powerW) : within(lossShown(usual, time), lossOf(usual));
}

/**
 * A heater refined from logged times: its loss from the coolings, then its power from the heatings, each by the median.
 * What was not logged stays as it is, and a time that cannot be true is passed over.
 */
export function refined(heater: Heater, logged: readonly LoggedTime[]): Heater {
  const middleOf = (values: number[]) => (values.length > 0 ? median(values) : undefined);
  const times = logged.filter((time) => canBeTrue(heater, time));
  const losses = times.filter(({ fromC, toC }) => toC < fromC).map((time) => lossShown(heater, time));
  const lossWK = middleOf(losses);
  const settled = { ...heater, lossWK: lossWK === undefined ? heater.lossWK : Math.min(lossWK, MOST_LOSS_WK) };
  const powers = times.filter(({ fromC, toC }) => toC > fromC).map((time) => powerShown(settled, time));
  return { ...settled, powerW: Math.min(middleOf(powers) ?? heater.powerW, MOST_W) };
}

/** What one closing takes. */
export interface Closing {
  areaMm2: number;
  /** Effusivity of what is pressed, W·√s/m²K. */
  effusivity: number;
  seconds: number;
  setC: number;
  startC: number;
}

/**
 * Heat a closing takes from the platen, J: a deep body at its surface temperature takes `2·e·ΔT·√(t/π)` a square metre.
 *
 * @param closing area in mm², effusivity in J/m²K√s, time in s, temperatures in °C
 * @see Incropera, Fundamentals of Heat and Mass Transfer, §5.7 (semi-infinite solid, constant surface temperature)
 * @example heatOfClosing({ areaMm2: 1e6, effusivity: 100, seconds: Math.PI, setC: 160, startC: 60 }) // 20000
 */
export const heatOfClosing = ({ areaMm2, effusivity, seconds, setC, startC }: Closing): number =>
  2 * effusivity * Math.max(0, setC - startC) * Math.sqrt(seconds / Math.PI) * areaMm2 * 1e-6;

/**
 * Kelvin a closing costs a platen that is not heating meanwhile.
 *
 * @param heater power in W, mass in kg, loss in W/K
 * @param closing what is closed on, for so many s
 */
export const dropOfClosing = (heater: Heater, closing: Closing): number => heatOfClosing(closing) / capacityOf(heater);

/**
 * Shortest time from one closing to the next that the heater can hold for good, s: heat taken over power left after losses.
 *
 * @param heater power in W, mass in kg, loss in W/K
 * @param closing what is closed on, for so many s
 * @param roomC °C
 * @returns infinity where the heater cannot hold the set temperature at all
 */
export function shortestCycle(heater: Heater, closing: Closing, roomC: number): number {
  const spareW = heater.powerW - lossOf(heater) * (closing.setC - roomC);
  return spareW > 0 ? Math.max(closing.seconds, heatOfClosing(closing) / spareW) : Number.POSITIVE_INFINITY;
}
