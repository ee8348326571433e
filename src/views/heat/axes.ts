/** Axes of a map: how far a sweep reaches about a piece and its sheet, where a variant stands on it, and its round figures. */
import { scaleLinear } from 'd3-scale';
import type { BenchStack } from '../../core/advice';
import { SOUND } from '../../core/heat';
import { SWEPT, type SweepQuery, type Swept } from '../../core/heatBench';
import { type HouseUnits, toInside, toShown } from '../../core/units';
import type { Variant } from './variant';

/** Where a sweep of something reaches, about the piece and the sheet. */
export function reachOf(of: Swept, { query }: Variant, { allowed }: BenchStack): { from: number; to: number } {
  const { low, high } = SWEPT[of];
  const clamped = (from: number, to: number) => ({ from: Math.max(low, from), to: Math.min(high, to) });
  const { timeS, surfaceC } = allowed;
  switch (of) {
    case 'time':
      return clamped(Math.min(timeS.min, query.passage.timeS) * 0.5, Math.max(timeS.max, query.passage.timeS) * 1.5);
    case 'temperature':
      return clamped(Math.min(surfaceC.min, query.passage.surfaceC) - 15, Math.max(surfaceC.max, query.passage.surfaceC) + 15);
    case 'pressure':
      return clamped(5, 60);
    case 'base':
      return clamped(10, 100);
    case 'pre-press':
      return clamped(0, 20);
    case 'damp':
      return clamped(0, 3);
    case 'thickness':
      return clamped(0.5, 2.5);
  }
}

/** What the variant itself has of it. */
export function valueNow(of: Swept, { query: { passage, piece } }: Variant): number {
  switch (of) {
    case 'time':
      return passage.timeS;
    case 'temperature':
      return passage.surfaceC;
    case 'pressure':
      return piece.contactKPa;
    case 'base':
      return piece.baseC;
    case 'pre-press':
      return passage.prePressS;
    default:
      return 1;
  }
}

export const isTemperature = (of: Swept): boolean => of === 'temperature' || of === 'base';

/** About so many figures stand along an axis. */
const MARKS = 5;

/** Round figures along an axis, in the unit it is shown in, as inside values. */
export function roundValues({ of, from, to }: SweepQuery['x'], house: HouseUnits): number[] {
  const unit = isTemperature(of) ? house.temperature : null;
  const [a, b] = unit ? [toShown(from, unit), toShown(to, unit)] : [from, to];
  const values = scaleLinear().domain([a, b]).ticks(MARKS);
  return unit ? values.map((value) => toInside(value, unit)) : values;
}

/** What a bond comes to. */
export const classOf = (bond: number): 'under' | 'sound' | 'over' => (bond < SOUND.low ? 'under' : bond > SOUND.high ? 'over' : 'sound');
