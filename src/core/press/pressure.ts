/** Pressure words, the contact pressure behind them, and where that stands on a press's own gauge. */
import type { PressureBand } from '../materials';
import { interpolate } from '../numerics';
import { type AirDrive, lineForContact, overlapMm2 } from './airPressure';
import type { Press } from './press';

/** Contact pressure of each word, kPa over the area that really touches. */
export const BAND_KPA: Record<PressureBand, { low: number; high: number }> = {
  light: { low: 8, high: 15 },
  medium: { low: 15, high: 25 },
  firm: { low: 25, high: 40 },
  heavy: { low: 40, high: 60 },
};

/**
 * Middle of a band, kPa.
 *
 * @param band light to heavy
 */
export const bandMiddle = (band: PressureBand): number => (BAND_KPA[band].low + BAND_KPA[band].high) / 2;

/** Where an untied 0–10 dial is taken to stand: light 2–4, medium 4–6, firm 6–8, heavy 8–9. */
const GUESSED_DIAL: Record<PressureBand, number> = { light: 3, medium: 5, firm: 7, heavy: 8.5 };

/** How to set a pressure on a press: in its own terms, and how sure that is. */
export type PressureSetting =
  | { gauge: 'dial'; reading: number; sure: 'measured' | 'beyond the measured pairs' | 'guess' }
  | { gauge: 'air'; lineKPa: number; sure: 'measured' | 'beyond the measured pairs' | 'guess' }
  | { gauge: 'feel'; sure: 'guess' };

/** What the press’s usual platen touches of a garment, mm²: the area its pairs were found on. */
const usualMm2 = (press: Pick<Press, 'platen' | 'base'>): number => overlapMm2(press.platen, press.base ?? press.platen);

const byDrive = (drive: AirDrive, contactKPa: number, areaMm2: number): PressureSetting => ({
  gauge: 'air',
  lineKPa: lineForContact(drive, contactKPa, areaMm2),
  sure: drive.ratio === null ? 'guess' : 'measured',
});

/**
 * The gauge reading that gives the middle of a band on the area that truly touches.
 *
 * A gauge tells force: what it was found to give on the usual platen it gives on a smaller area as much harder as that is
 * smaller. Straight lines between the pairs the shop has entered; outside them an air press goes by its cylinders, where
 * they are known, else the end reading is given and said to be beyond. An untied dial is guessed at; untied air without
 * cylinders and a press without a gauge go by feel.
 *
 * @param areaMm2 what touches; absent: the usual platen on a garment
 */
export function pressureSetting(press: Press, band: PressureBand, areaMm2 = usualMm2(press)): PressureSetting {
  const { gauge, drive } = press;
  if (gauge.kind === 'none') return { gauge: 'feel', sure: 'guess' };
  const air = gauge.kind === 'air' && drive ? byDrive(drive, bandMiddle(band), areaMm2) : null;
  if (gauge.pairs.length < 2)
    return (
      air ?? (gauge.kind === 'dial' ? { gauge: 'dial', reading: GUESSED_DIAL[band], sure: 'guess' } : { gauge: 'feel', sure: 'guess' })
    );
  const wanted = (bandMiddle(band) * areaMm2) / usualMm2(press);
  const points = gauge.pairs.map((p) => [p.contactKPa, p.reading] as const).sort((a, b) => a[0] - b[0]);
  const beyond = wanted < (points[0]?.[0] ?? 0) || wanted > (points.at(-1)?.[0] ?? 0);
  if (beyond && air?.sure === 'measured') return air;
  const sure = beyond ? 'beyond the measured pairs' : 'measured';
  const reading = interpolate(points, wanted);
  return gauge.kind === 'dial' ? { gauge: 'dial', reading: Math.round(reading * 10) / 10, sure } : { gauge: 'air', lineKPa: reading, sure };
}

/**
 * Contact pressure on a small area at the setting that gives a band on the usual platen.
 *
 * @param areaMm2 that truly touches, mm²
 * @returns kPa
 */
export const contactIfUnchanged = (press: Press, band: PressureBand, areaMm2: number): number =>
  (bandMiddle(band) * usualMm2(press)) / areaMm2;
