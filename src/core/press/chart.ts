/** Surveys over time: is the press still what it was, and when is it due to be measured again? */

/** Mean absolute difference of two neighbouring normal values, in standard deviations: 2/√π. */
const D2 = 2 / Math.sqrt(Math.PI);
/** Limits stand this many standard deviations from the baseline's mean. */
const LIMIT_SD = 3;
/** A baseline is made of at most this many surveys, and needs at least so many before limits are drawn. */
const BASELINE = { most: 20, least: 5 } as const;

export interface ChartPoint {
  on: string;
  meanK: number;
}

export interface ControlChart {
  /** How many of the first surveys make the baseline. */
  baseline: number;
  /** Null while there are too few surveys to say. */
  limits: { centreK: number; lowK: number; highK: number; sdK: number } | null;
  /** Points outside the limits, by their place in the list. */
  outside: number[];
}

/**
 * Individuals chart of the surveys' means, with limits from the mean moving range of the baseline.
 *
 * `sd = MR̄ / (2/√π)`, limits at three of it. Only surveys after the baseline are judged once it is full; while it grows,
 * its own points are judged too.
 *
 * @param points in order of time
 * @see ISO 7870-2, individuals and moving range
 */
export function controlChart(points: readonly ChartPoint[]): ControlChart {
  const base = points.slice(0, BASELINE.most);
  if (base.length < BASELINE.least) return { baseline: base.length, limits: null, outside: [] };
  const centreK = base.reduce((sum, point) => sum + point.meanK, 0) / base.length;
  const ranges = base.slice(1).map((point, i) => Math.abs(point.meanK - (base[i] as ChartPoint).meanK));
  const sdK = ranges.reduce((sum, range) => sum + range, 0) / ranges.length / D2;
  const limits = { centreK, sdK, lowK: centreK - LIMIT_SD * sdK, highK: centreK + LIMIT_SD * sdK };
  const outside = points.flatMap((point, i) => (point.meanK < limits.lowK || point.meanK > limits.highK ? [i] : []));
  return { baseline: base.length, limits, outside };
}

/** A survey holds for so many closings and so many days, whichever ends first. */
const HOLDS = { closings: 1000, days: 90 } as const;

export interface Due {
  /** Share used up, 0 to 1 and beyond. */
  used: number;
  closingsLeft: number;
  daysLeft: number;
  isDue: boolean;
}

/**
 * When the next survey is due. A press that has drifted is due at once.
 *
 * @param closings since the last one
 * @param days since the last one
 * @returns the share used up, 0 to 1 and beyond, and the closings and days that are left: whichever ends first counts
 */
export function nextSurvey({ closings, days, drifted }: { closings: number; days: number; drifted: boolean }): Due {
  const used = Math.max(closings / HOLDS.closings, days / HOLDS.days);
  return {
    used,
    closingsLeft: Math.max(0, HOLDS.closings - closings),
    daysLeft: Math.max(0, HOLDS.days - days),
    isDue: drifted || used >= 1,
  };
}
