/** Ageing: what a measurement of a press still tells after so many days and so many closings. */
import { z } from 'zod';
import { PRIOR } from './platenFit';
import { type Surface, withTenths } from './surface';

/** What a press has been through since a day. */
export const UseSinceSchema = z.object({ pressId: z.string(), on: z.iso.date(), closings: z.number().int().nonnegative() });
export type UseSince = z.infer<typeof UseSinceSchema>;

/** Closings that tell on thermostat, heater and pad about as a year does. */
const CLOSINGS_A_YEAR = 10_000;
/** A press drifts by so much in its first year, one standard deviation, K: an estimate; a shop's own second survey replaces it. */
const DRIFT_K_A_YEAR = 2;
const DAYS_A_YEAR = 365.25;
const DAY_MS = 86_400_000;

/** Share of what was found of a press's common offset that still holds after a year. */
const HOLDS_A_YEAR = Math.sqrt(1 - (DRIFT_K_A_YEAR / PRIOR.offsetK) ** 2);

/** Share of what was found that still holds, 0 to 1. */
const holdsAfter = ({ days, closings }: { days: number; closings: number }): number =>
  HOLDS_A_YEAR ** (days / DAYS_A_YEAR + closings / CLOSINGS_A_YEAR);

/** How far a press known exactly has drifted since, one standard deviation, K. */
export const driftOver = (since: { days: number; closings: number }): number => PRIOR.offsetK * Math.sqrt(1 - holdsAfter(since) ** 2);

/**
 * Whole days from one ISO day to another, never less than none.
 *
 * @param from ISO day
 * @param to ISO day
 * @example daysBetween('2026-02-27', '2026-03-01') // 2
 */
export const daysBetween = (from: string, to: string): number => Math.max(0, Math.round((Date.parse(to) - Date.parse(from)) / DAY_MS));

/**
 * A surface as it is known so long after it was measured.
 *
 * What is common to the platen wanders and is drawn back to what presses are like, `dx = −x/τ dt + noise`, so that what was found
 * loses its weight by `ρ = e^(−t/τ)`, and its doubt grows towards that of a press nobody measured and never past it. How the
 * platen is uneven stays: it is in its metal.
 *
 * @see Uhlenbeck and Ornstein, On the theory of the Brownian motion, Physical Review 36 (1930)
 */
export function aged<S extends Surface>(surface: S, { days, closings }: { days: number; closings: number }): S {
  const holds = holdsAfter({ days, closings });
  const { coolest, hottest } = surface;
  const backK = (holds - 1) * ((coolest.meanK + hottest.meanK) / 2);
  return withTenths(surface, ({ meanK, sdK }) => ({
    meanK: meanK + backK,
    sdK: Math.sqrt(holds ** 2 * sdK ** 2 + (1 - holds ** 2) * PRIOR.offsetK ** 2),
  }));
}
