/**
 * A small press that behaves: it heats, overshoots a little, droops at each closing, and does not show what it is.
 * A stand-in for a real one, for the demo and for trying things out; chance is passed in.
 */
import type { Heater } from './heater';
import { dropOfClosing, temperatureAfter } from './warmUp';

export interface SimulatedPressFacts {
  heater: Heater;
  platen: { widthMm: number; heightMm: number };
  /** Surface in the middle minus readout, K: what the press hides. */
  offsetK: number;
  /** How much colder each corner is than the middle, K: back left, back right, front left, front right. */
  corners: readonly [number, number, number, number];
  roomC: number;
}

/** Heater on under the setting by this, off over it by this, K: the sensor lags. */
const HYSTERESIS_K = 0.6;
/** A cloth of the whole platen, pressed. */
const CLOTH_EFFUSIVITY = 205;

export interface SimulatedPressState {
  setC: number;
  /** What the sensor, and so the readout, is at. */
  sensorC: number;
  heating: boolean;
  /** Seconds left of a closing; null: open. */
  leftS: number | null;
}

export const coldPress = ({ roomC }: SimulatedPressFacts, setC: number): SimulatedPressState => ({
  setC,
  sensorC: roomC,
  heating: true,
  leftS: null,
});

/**
 * The press some seconds later: its heater on or off by the thermostat, its platen losing to the room.
 *
 * @param seconds s
 */
export function stepped(facts: SimulatedPressFacts, state: SimulatedPressState, seconds: number): SimulatedPressState {
  const heating = state.sensorC < state.setC - HYSTERESIS_K || (state.heating && state.sensorC < state.setC + HYSTERESIS_K);
  const sensorC = temperatureAfter(facts.heater, state.sensorC, seconds, facts.roomC, heating);
  const leftS = state.leftS === null ? null : state.leftS - seconds;
  return { ...state, heating, sensorC, leftS: leftS === null || leftS <= 0 ? null : leftS };
}

/** Closed on a cloth for some seconds: the platen loses at once what the cloth will take. */
export function closed(facts: SimulatedPressFacts, state: SimulatedPressState, seconds: number): SimulatedPressState {
  const { widthMm, heightMm } = facts.platen;
  const drop = dropOfClosing(facts.heater, {
    areaMm2: widthMm * heightMm,
    effusivity: CLOTH_EFFUSIVITY,
    seconds,
    setC: state.sensorC,
    startC: facts.roomC,
  });
  return { ...state, sensorC: state.sensorC - drop, leftS: seconds };
}

/** True surface at a place, °C: offset in the middle, each corner colder by its own, smoothly between. */
export function simulatedSurface(
  { platen, offsetK, corners }: SimulatedPressFacts,
  { sensorC }: SimulatedPressState,
  at: { xMm: number; yMm: number },
): number {
  const u = (at.xMm / platen.widthMm) * 2;
  const v = (at.yMm / platen.heightMm) * 2;
  const weight = (right: boolean, front: boolean) => Math.max(0, right ? u : -u) * Math.max(0, front ? v : -v);
  const [backLeft, backRight, frontLeft, frontRight] = corners;
  const colder =
    backLeft * weight(false, false) + backRight * weight(true, false) + frontLeft * weight(false, true) + frontRight * weight(true, true);
  return sensorC + offsetK - colder;
}

/** How the press would call its own state. */
export const simulatedWord = ({ leftS, sensorC, setC }: SimulatedPressState): 'closed' | 'heating' | 'ready' =>
  leftS !== null ? 'closed' : sensorC < setC - 2 * HYSTERESIS_K ? 'heating' : 'ready';
