/** A press to start from, by its kind: nothing measured, nothing tied, so that its cards say Care until it is. */
import { type HouseUnits, toInside } from '../units';
import type { Press, PressKind } from './press';

/** What a press of a kind usually is; width and depth of the platen as it is sold, in and mm. */
const USUAL: Record<PressKind, { inches: [number, number]; mm: [number, number]; step: 1 | 5; highest: { F: number; C: number } }> = {
  clamshell: { inches: [15, 15], mm: [380, 380], step: 1, highest: { F: 430, C: 220 } },
  'swing-away': { inches: [16, 20], mm: [400, 500], step: 1, highest: { F: 430, C: 220 } },
  draw: { inches: [16, 20], mm: [400, 500], step: 1, highest: { F: 430, C: 220 } },
  cap: { inches: [6, 3.5], mm: [150, 90], step: 5, highest: { F: 400, C: 205 } },
  'hand press': { inches: [9, 9], mm: [230, 230], step: 5, highest: { F: 400, C: 205 } },
  iron: { inches: [4.5, 8], mm: [110, 200], step: 5, highest: { F: 400, C: 205 } },
};

/**
 * A press as its kind usually is.
 *
 * @param id of its own
 * @param kind what it is
 * @param house whose units it is set and measured in
 */
export function newPress(id: string, kind: PressKind, { temperature: unit, length }: HouseUnits): Press {
  const { inches, mm, step, highest } = USUAL[kind];
  const [width, height] = length === 'in' ? inches.map((side) => toInside(side, 'in')) : mm;
  const name = `${kind.charAt(0).toUpperCase()}${kind.slice(1)}${kind === 'cap' || kind === 'draw' ? ' press' : ''}`;
  return {
    id,
    name,
    kind,
    set: { unit, step, minC: toInside(unit === 'F' ? 200 : 90, unit), maxC: toInside(highest[unit], unit) },
    calibration: null,
    gauge: { kind: 'none' },
    platen: { widthMm: width as number, heightMm: height as number },
    swapPlatens: [],
    lower: null,
    timers: 1,
    opensItself: false,
  };
}
