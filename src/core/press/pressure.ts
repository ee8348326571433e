/** Pressure words, the contact pressure behind them, and where that stands on a press's own gauge. */
import type { PressureBand } from '../materials';
import { interpolate } from '../numerics';
import type { Press } from './press';

/** Contact pressure of each word, kPa over the area that really touches. */
export const BAND_KPA: Record<PressureBand, { low: number; high: number }> = {
  light: { low: 8, high: 15 },
  medium: { low: 15, high: 25 },
  firm: { low: 25, high: 40 },
  heavy: { low: 40, high: 60 },
};

/** Middle of a band, kPa. */
export const bandMiddle = (band: PressureBand): number => (BAND_KPA[band].low + BAND_KPA[band].high) / 2;

/** Where an untied 0–10 dial is taken to stand: light 2–4, medium 4–6, firm 6–8, heavy 8–9. */
const GUESSED_DIAL: Record<PressureBand, number> = { light: 3, medium: 5, firm: 7, heavy: 8.5 };

/** How to set a pressure on a press: in its own terms, and how sure that is. */
export type PressureSetting =
  | { gauge: 'dial'; reading: number; sure: 'measured' | 'beyond the measured pairs' | 'guess' }
  | { gauge: 'air'; lineKPa: number; sure: 'measured' | 'beyond the measured pairs' }
  | { gauge: 'feel'; sure: 'guess' };

/**
 * The gauge reading that gives the middle of a band.
 *
 * Straight-line interpolation between the pairs the shop has entered; outside them the end reading is given and
 * said to be beyond. An untied dial is guessed at; untied air and a press without a gauge go by feel.
 */
export function pressureSetting(press: Press, band: PressureBand): PressureSetting {
  const { gauge } = press;
  const wanted = bandMiddle(band);
  if (gauge.kind === 'none') return { gauge: 'feel', sure: 'guess' };
  if (gauge.pairs.length < 2) {
    return gauge.kind === 'dial' ? { gauge: 'dial', reading: GUESSED_DIAL[band], sure: 'guess' } : { gauge: 'feel', sure: 'guess' };
  }
  const points = gauge.pairs.map((p) => [p.contactKPa, p.reading] as const).sort((a, b) => a[0] - b[0]);
  const least = points[0]?.[0] ?? 0;
  const most = points.at(-1)?.[0] ?? 0;
  const sure = wanted < least || wanted > most ? 'beyond the measured pairs' : 'measured';
  const reading = interpolate(points, wanted);
  return gauge.kind === 'dial' ? { gauge: 'dial', reading: Math.round(reading * 10) / 10, sure } : { gauge: 'air', lineKPa: reading, sure };
}
