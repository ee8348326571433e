/** Places of a platen that are colder than the rest by more than the readings' own scatter. */
import type { InstrumentError } from './instrumentError';
import type { Place, PlatenReading } from './platenFit';

/** A place is called cold once it is this much colder than the rest, beyond doubt, K. */
const COLD_BY_K = 3;
/** 97.5 % of a normal distribution lies below this many standard deviations. */
const SURE = 1.96;

export interface ColdSpot extends Place {
  /** Colder than the mean of the other places by, K. */
  byK: number;
  /** 95 % half-width of that, K. */
  giveOrTakeK: number;
}

interface Spot extends Place {
  sum: number;
  n: number;
}

/** Mean deviation from the setting at each measured place. */
function spotsOf(readings: readonly PlatenReading[]): Spot[] {
  const spots = new Map<string, Spot>();
  for (const { xMm, yMm, setC, surfaceC } of readings) {
    const key = `${xMm} ${yMm}`;
    const spot = spots.get(key) ?? { xMm, yMm, sum: 0, n: 0 };
    spots.set(key, { ...spot, sum: spot.sum + surfaceC - setC, n: spot.n + 1 });
  }
  return [...spots.values()];
}

/**
 * Measured places that are beyond doubt at least 3 K colder than the mean of the others, coldest first.
 *
 * The instrument's common error cancels in the difference; its scatter does not: a difference between one place read
 * n times and the mean of m others read as often has a standard error of `scatter · √(1/n + 1/mn)`.
 *
 * @param readings at least three places, each read at the same settings
 */
export function coldSpots(readings: readonly PlatenReading[], { scatterK }: Pick<InstrumentError, 'scatterK'>): ColdSpot[] {
  const spots = spotsOf(readings);
  if (spots.length < 3) return [];
  const total = spots.reduce((sum, spot) => sum + spot.sum / spot.n, 0);
  return spots
    .map(({ xMm, yMm, sum, n }) => {
      const others = spots.length - 1;
      const byK = (total - sum / n) / others - sum / n;
      return { xMm, yMm, byK, giveOrTakeK: SURE * scatterK * Math.sqrt(1 / n + 1 / (others * n)) };
    })
    .filter((spot) => spot.byK - spot.giveOrTakeK > COLD_BY_K)
    .sort((a, b) => b.byK - a.byK);
}
