/** The map of a platen: what a survey says of every place, and what that makes of a piece of art lying there. */
import { z } from 'zod';
import { type ColdSpot, coldSpots } from './coldSpot';
import { instrumentError } from './instrument';
import { type Area, fitPlaten, meanOffset, momentsAt, nodesOf, slopeOf } from './platenFit';
import { readingsOf, type Survey } from './survey';

/** Nodes along the shorter side, and at most along the longer. */
const NODES = { shorter: 9, longest: 15 } as const;
/** 95 % of a normal distribution lies within so many standard deviations. */
const SURE = 1.96;

const EstimateSchema = z.object({ mean: z.number(), sd: z.number(), low: z.number(), high: z.number() });
const Spot = z.object({ xMm: z.number(), yMm: z.number() });

export const PlatenMapSchema = z.object({
  surveyId: z.string(),
  pressId: z.string(),
  platen: z.string(),
  /** Day of the survey and with what it was made. */
  on: z.string(),
  how: z.string(),
  widthMm: z.number(),
  heightMm: z.number(),
  columns: z.number().int(),
  rows: z.number().int(),
  /** Setting that the nodes are for, °C. */
  refC: z.number(),
  /** Surface minus set in the middle of each cell, row by row from the back left, K. */
  nodes: z.array(z.object({ meanK: z.number(), sdK: z.number() })),
  /** Mean over the whole platen. */
  offset: EstimateSchema,
  slope: EstimateSchema,
  cold: z.array(Spot.extend({ byK: z.number(), giveOrTakeK: z.number() })),
  measured: z.array(Spot.extend({ offsetK: z.number() })),
});
export type PlatenMap = z.infer<typeof PlatenMapSchema>;

const HOW = { probe: 'contact probe', strip: 'pressed strips', infrared: 'infrared gun on the coating' } as const;

/**
 * The map a survey makes.
 *
 * @param platen sides of the platen surveyed, mm
 * @param on day of the survey, ISO
 */
export function platenMap(survey: Survey, platen: { widthMm: number; heightMm: number }, on: string): PlatenMap {
  const readings = readingsOf(survey);
  const error = instrumentError(survey.instrument);
  const fit = fitPlaten(readings, platen, error);
  const whole: Area = { xMm: 0, yMm: 0, ...platen };
  const perMm = NODES.shorter / Math.min(platen.widthMm, platen.heightMm);
  const cells = (side: number) => Math.min(NODES.longest, Math.max(3, Math.round(side * perMm)));
  const [columns, rows] = [cells(platen.widthMm), cells(platen.heightMm)];
  const cold: ColdSpot[] = coldSpots(readings, error);
  return {
    surveyId: survey.id,
    pressId: survey.pressId,
    platen: survey.platen,
    on,
    how: HOW[survey.instrument.kind],
    ...platen,
    columns,
    rows,
    refC: fit.refC,
    nodes: nodesOf(whole, columns, rows).map((place) => {
      const { mean, sd } = momentsAt(fit, place, fit.refC);
      return { meanK: mean, sdK: sd };
    }),
    offset: meanOffset(fit, whole, fit.refC),
    slope: slopeOf(fit),
    cold,
    measured: readings.map(({ xMm, yMm, setC, surfaceC }) => ({ xMm, yMm, offsetK: surfaceC - setC })),
  };
}

/** What the platen does under an area. */
export interface Delivered {
  /** Middle of the band minus the setting at `refC`, K. */
  offsetK: number;
  /** Half the band, K: coldest and hottest place under the area, each with its 95 %. */
  spreadK: number;
  /** K per K of setting away from `refC`. */
  slope: number;
  /** The band widens by this on either side for every K away from `refC`. */
  spreadPerK: number;
  refC: number;
}

/** Cells whose middle lies under an area; where it is smaller than a cell, the cell it lies in. */
function cellsUnder(map: Pick<PlatenMap, 'widthMm' | 'heightMm' | 'columns' | 'rows'>, area: Area): number[] {
  const side = (at: number, size: number, whole: number, n: number): number[] => {
    const cell = whole / n;
    const from = Math.floor((at - size / 2 + whole / 2) / cell);
    const to = Math.ceil((at + size / 2 + whole / 2) / cell) - 1;
    const clamp = (i: number) => Math.min(n - 1, Math.max(0, i));
    return Array.from({ length: clamp(to) - clamp(from) + 1 }, (_, i) => clamp(from) + i);
  };
  const columns = side(area.xMm, area.widthMm, map.widthMm, map.columns);
  return side(area.yMm, area.heightMm, map.heightMm, map.rows).flatMap((row) => columns.map((column) => row * map.columns + column));
}

/** What a map says of the platen under a piece of art: every cell it touches counts. */
export function deliveredOver(map: PlatenMap, area: Area): Delivered {
  let [low, high] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (const i of cellsUnder(map, area)) {
    const node = map.nodes[i];
    if (!node) continue;
    low = Math.min(low, node.meanK - SURE * node.sdK);
    high = Math.max(high, node.meanK + SURE * node.sdK);
  }
  return { offsetK: (low + high) / 2, spreadK: (high - low) / 2, slope: map.slope.mean, spreadPerK: SURE * map.slope.sd, refC: map.refC };
}

/** Cold spots that an area lies over, with half a cell to spare. */
export const coldUnder = (map: PlatenMap, area: Area): PlatenMap['cold'] =>
  map.cold.filter(
    ({ xMm, yMm }) =>
      Math.abs(xMm - area.xMm) <= area.widthMm / 2 + map.widthMm / map.columns / 2 &&
      Math.abs(yMm - area.yMm) <= area.heightMm / 2 + map.heightMm / map.rows / 2,
  );

/** The setting that brings the mean of the platen to a wanted surface, °C: the line’s inverse. */
export const settingFor = ({ offset, slope, refC }: Pick<PlatenMap, 'offset' | 'slope' | 'refC'>, surfaceC: number): number =>
  (surfaceC - offset.mean + slope.mean * refC) / (1 + slope.mean);

/** The narrowest window, from side to side, that art of this area can be kept inside with a margin, K. */
export const narrowestWindow = (map: PlatenMap, area: Area, marginK: number): number => 2 * (deliveredOver(map, area).spreadK + marginK);
