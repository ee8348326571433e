/** The one temperature axis and the one colour ramp of the app. Every page has it: no drawing package for six lines. */

/** Both ends of the axis, °C. */
export const AXIS = { lowC: 90, highC: 225 } as const;

/** Position on the axis, 0 to 1, kept inside it. */
export const onAxis = (tempC: number): number => Math.min(1, Math.max(0, (tempC - AXIS.lowC) / (AXIS.highC - AXIS.lowC)));

const STOPS: readonly (readonly [number, readonly [number, number, number]])[] = [
  [90, [122, 146, 158]],
  [130, [201, 178, 120]],
  [160, [226, 138, 52]],
  [190, [196, 82, 38]],
  [225, [122, 30, 22]],
];

/** Colour of a temperature, cool slate through straw to deep red. */
export function rampColour(tempC: number): string {
  const t = Math.min(AXIS.highC, Math.max(AXIS.lowC, tempC));
  const i = Math.max(
    1,
    STOPS.findIndex(([stop]) => t <= stop),
  );
  const [t0, from] = STOPS[i - 1] ?? [0, [0, 0, 0] as const];
  const [t1, to] = STOPS[i] ?? [1, [0, 0, 0] as const];
  const share = (t - t0) / (t1 - t0);
  return `rgb(${from.map((c, k) => Math.round(c + ((to[k] ?? c) - c) * share)).join(', ')})`;
}

/** Round values to mark on the axis in a unit, as °C. */
export function axisTicks(unit: 'C' | 'F'): { tempC: number; text: string }[] {
  const [first, last, step] = unit === 'F' ? [200, 425, 25] : [100, 220, 10];
  const ticks = [];
  for (let v = first; v <= last; v += step) ticks.push({ tempC: unit === 'F' ? ((v - 32) * 5) / 9 : v, text: String(v) });
  return ticks;
}
