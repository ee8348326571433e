/** The quick estimate of a fabric's own temperature: a half-space heated through a resistance. */
import { erfcx } from '../numerics';

/** A surface under a hot platen. */
export interface HeatedFace {
  /** Σ thickness/k plus contacts of all that lies above, m²K/W. */
  resistance: number;
  /** √(kρc) of the fabric, W·√s/m²K. */
  effusivity: number;
  /** Temperature it starts from, °C. */
  startC: number;
}

/**
 * Share of the platen's excess temperature that the face has reached after a time, 0 to 1:
 * `1 − erfcx(√t/(R·e))`, for a half-space at uniform temperature put behind a resistance on a constant platen.
 *
 * It takes the fabric as deep and dry, so a thin cloth on a warm pad runs hotter and a damp one cooler for the first seconds.
 *
 * @param timeS time under heat, s
 * @see Carslaw & Jaeger, Conduction of Heat in Solids, §2.7 (surface condition of radiation type)
 */
export function heatedShare(face: Pick<HeatedFace, 'resistance' | 'effusivity'>, timeS: number): number {
  if (timeS <= 0) return 0;
  return 1 - erfcx(Math.sqrt(timeS) / (face.resistance * face.effusivity));
}

/** Temperature of the face after a time under a platen, °C. */
export function faceTemperature(face: HeatedFace, platenC: number, timeS: number): number {
  return face.startC + (platenC - face.startC) * heatedShare(face, timeS);
}

/** The platen temperature that brings the face to a limit just as the time ends, °C. */
export function platenForFace(face: HeatedFace, limitC: number, timeS: number): number {
  return face.startC + (limitC - face.startC) / heatedShare(face, timeS);
}
