/** A press to start from: nothing measured, nothing tied, so that its cards say Care until it is. */
import type { Press } from '../../core/press';
import { type HouseUnits, toInside } from '../../core/units';

export function newPress(id: string, house: HouseUnits): Press {
  const { temperature: unit } = house;
  return {
    id,
    name: 'New press',
    kind: 'clamshell',
    set: unit === 'F' ? { unit, step: 1, minC: toInside(200, 'F'), maxC: toInside(430, 'F') } : { unit, step: 1, minC: 90, maxC: 220 },
    calibration: null,
    gauge: { kind: 'none' },
    platen: unit === 'F' ? { widthMm: toInside(16, 'in'), heightMm: toInside(20, 'in') } : { widthMm: 380, heightMm: 380 },
    swapPlatens: [],
    lower: null,
    timers: 1,
    opensItself: false,
  };
}
