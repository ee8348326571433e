/** Where prints really came to lie, measured after pressing, and whether somebody’s always lie off the same way. */
import { mean, sampleStandardDeviation } from 'simple-statistics';
import { z } from 'zod';

/** How far off its place a print lies: to the right as it lies, down, mm; and turned clockwise, degrees. */
export const OffPlaceSchema = z.object({
  xMm: z.number().min(-200, 'More than 200 mm off is another place.').max(200, 'More than 200 mm off is another place.'),
  yMm: z.number().min(-200, 'More than 200 mm off is another place.').max(200, 'More than 200 mm off is another place.'),
  turnDeg: z
    .number()
    .min(-45, 'Turned by more than 45 degrees is another way up.')
    .max(45, 'Turned by more than 45 degrees is another way up.'),
});
export type OffPlace = z.infer<typeof OffPlaceSchema>;

/** As an amendment carries it, and read back; null: it carries something else. */
export const offPlaceText = ({ xMm, yMm, turnDeg }: OffPlace): string => `${xMm} ${yMm} ${turnDeg}`;
export function readOffPlace(text: string): OffPlace | null {
  const [xMm, yMm, turnDeg] = text.split(' ').map(Number);
  const read = OffPlaceSchema.safeParse({ xMm, yMm, turnDeg });
  return read.success ? read.data : null;
}

export interface MeasuredPlace extends OffPlace {
  operator: string;
  position: string;
}
/** A mean, and whether it is one: its 95 % interval leaves nought out. */
interface Lean {
  mean: number;
  sure: boolean;
}
export interface PlacementBias {
  operator: string;
  position: string;
  n: number;
  across: Lean;
  down: Lean;
  turn: Lean;
}

/** Two-sided 95 % points of Student’s t by degrees of freedom from 1; beyond, 2. */
const T95 = [12.71, 4.3, 3.18, 2.78, 2.57, 2.45, 2.36, 2.31, 2.26, 2.23];

function lean(values: readonly number[]): Lean {
  const n = values.length;
  const middle = mean([...values]);
  if (n < 2) return { mean: middle, sure: false };
  const sd = sampleStandardDeviation([...values]);
  return { mean: middle, sure: Math.abs(middle) > ((T95[n - 2] ?? 2) * sd) / Math.sqrt(n) };
}

/**
 * How each operator’s prints lie off, by position.
 *
 * @returns one for each operator and position, those with most measured first
 */
export function placementBias(measured: readonly MeasuredPlace[]): PlacementBias[] {
  const groups = new Map<string, MeasuredPlace[]>();
  for (const measuredPlace of measured) {
    const key = JSON.stringify([measuredPlace.operator, measuredPlace.position]);
    groups.set(key, [...(groups.get(key) ?? []), measuredPlace]);
  }
  return [...groups.values()]
    .flatMap((group) => {
      const [first] = group;
      if (!first) return [];
      const { operator, position } = first;
      return [
        {
          operator,
          position,
          n: group.length,
          across: lean(group.map((measuredPlace) => measuredPlace.xMm)),
          down: lean(group.map((measuredPlace) => measuredPlace.yMm)),
          turn: lean(group.map((measuredPlace) => measuredPlace.turnDeg)),
        },
      ];
    })
    .sort((a, b) => b.n - a.n || a.operator.localeCompare(b.operator));
}
