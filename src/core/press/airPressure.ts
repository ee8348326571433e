/** An air press: from line pressure to force, and from force to the pressure on what it truly touches. */

import { z } from 'zod';

/** What pushes the platen down. */
export const AirDriveSchema = z.object({
  cylinders: z.number().int().min(1, 'An air press has at least one cylinder.').max(8),
  boreMm: z.number().min(10, 'A bore under 10 mm presses nothing.').max(400, 'A bore over 400 mm is not a press’s.'),
  /** Force at the platen over force at the cylinders; null: nobody has told or measured it. */
  ratio: z.number().min(0.1).max(20).nullable(),
  /** Force that lifts the platen again, N. */
  springN: z.number().min(0).max(20_000),
});
export type AirDrive = z.infer<typeof AirDriveSchema>;

/** Where nobody knows the linkage, the cylinders are taken to push straight down. */
const GUESSED_RATIO = 1;

const boreAreaM2 = ({ boreMm }: AirDrive): number => (Math.PI / 4) * (boreMm / 1000) ** 2;
const ratioOf = ({ ratio }: AirDrive): number => ratio ?? GUESSED_RATIO;

/**
 * Force at the platen for a line pressure, N; none while the spring is stronger. `n·π/4·d²·p·ratio − spring`
 *
 * @param drive cylinders of a bore in mm, a spring in N
 * @param lineKPa gauge pressure of the line, kPa
 * @returns N
 * @example forceAt({ cylinders: 1, boreMm: 80, ratio: 1.5, springN: 200 }, 400) // 2815.9
 */
export const forceAt = (drive: AirDrive, lineKPa: number): number =>
  Math.max(0, drive.cylinders * boreAreaM2(drive) * lineKPa * 1000 * ratioOf(drive) - drive.springN);

/**
 * Pressure on what truly touches, kPa.
 *
 * @param drive cylinders of a bore in mm, a spring in N
 * @param lineKPa gauge pressure of the line, kPa
 * @param areaMm2 what truly touches, mm²
 * @throws {RangeError} no area
 * @example contactFromLine({ cylinders: 1, boreMm: 80, ratio: 1.5, springN: 200 }, 400, 400 * 500) // 14.08
 */
export function contactFromLine(drive: AirDrive, lineKPa: number, areaMm2: number): number {
  if (!(areaMm2 > 0)) throw new RangeError('nothing touches: the area must be over zero');
  return (forceAt(drive, lineKPa) / areaMm2) * 1000;
}

/**
 * Line pressure that gives a contact pressure, kPa.
 *
 * @param contactKPa wanted, kPa
 * @param areaMm2 what truly touches, mm²
 * @returns gauge pressure of the line, kPa
 * @throws {RangeError} no area
 * @example lineForContact({ cylinders: 1, boreMm: 80, ratio: 1.5, springN: 200 }, 14.0796447, 400 * 500) // 400.000
 */
export function lineForContact(drive: AirDrive, contactKPa: number, areaMm2: number): number {
  if (!(areaMm2 > 0)) throw new RangeError('nothing touches: the area must be over zero');
  const forceN = (contactKPa * areaMm2) / 1000 + drive.springN;
  return forceN / (drive.cylinders * boreAreaM2(drive) * ratioOf(drive)) / 1000;
}

/**
 * The linkage ratio that one measurement shows: a force at the platen, by load cell, or by film as pressure times area.
 *
 * @param lineKPa as it was measured, kPa
 * @param forceN at the platen, N
 * @returns times
 * @example ratioFrom({ cylinders: 1, boreMm: 80, springN: 200 }, 400, 2815.92895) // 1.50000
 */
export const ratioFrom = (drive: Omit<AirDrive, 'ratio'>, lineKPa: number, forceN: number): number =>
  (forceN + drive.springN) / (drive.cylinders * boreAreaM2({ ...drive, ratio: null }) * lineKPa * 1000);

interface Side {
  widthMm: number;
  heightMm: number;
}

/**
 * What the platens can touch: the overlap of upper platen and base, both centred, mm².
 *
 * @param upper sides, mm
 * @param base sides, mm
 * @example overlapMm2({ widthMm: 400, heightMm: 500 }, { widthMm: 380, heightMm: 600 }) // 190000
 */
export const overlapMm2 = (upper: Side, base: Side): number =>
  Math.min(upper.widthMm, base.widthMm) * Math.min(upper.heightMm, base.heightMm);

/**
 * The face of a hard piece, mm².
 *
 * @param face sides or diameters, mm
 * @example faceMm2({ widthMm: 100, heightMm: 100, round: true }) // 7853.98
 */
export const faceMm2 = ({ widthMm, heightMm, round }: Side & { round: boolean }): number => widthMm * heightMm * (round ? Math.PI / 4 : 1);

/**
 * Area that truly touches, mm²: for cloth the platens’ overlap; for hard pieces their faces, as far as the platens reach.
 *
 * @param overlap of the platens, mm²
 * @param hard face of one piece, mm², and how many lie there; null: cloth
 * @example touchingMm2(200_000, { faceMm2: 9_000, pieces: 4 }) // 36000
 */
export function touchingMm2(overlap: number, hard: { faceMm2: number; pieces: number } | null): number {
  return hard ? Math.min(overlap, hard.faceMm2 * hard.pieces) : overlap;
}

/** Beyond this even a sound piece is in danger, kPa: over twice the heaviest band. */
export const CRUSH_KPA = 120;
