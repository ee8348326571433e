/** The map of a platen: what a survey says of every place, and what that makes of a piece of art lying there. */
import { z } from 'zod';
import { remembered } from '../numerics';
import { type ColdSpot, coldSpots } from './coldSpot';
import { EstimateSchema } from './estimate';
import { instrumentError } from './instrumentError';
import { type Area, fitPlaten, jointAt, meanOffset, nodesOf, slopeOf } from './platenFit';
import { bandOfTenths, PARTS, SURE, type Surface, tenthsOf } from './surface';
import { readingsOf, type Survey } from './survey';

/** Nodes along the shorter side, and at most along the longer. */
const NODES = { shorter: 9, longest: 15 } as const;

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
  nodes: z
    .array(
      z.object({
        meanK: z.number(),
        sdK: z.number(),
        /** How it goes with each of the independent parts that all the nodes are made of, K. */
        parts: z.array(z.number()),
      }),
    )
    .min(1, 'A map without a single place tells nothing of the platen: send a survey’s map whole, or none.'),
  /** Mean over the whole platen. */
  offset: EstimateSchema,
  slope: EstimateSchema,
  cold: z.array(Spot.extend({ byK: z.number(), giveOrTakeK: z.number() })),
  measured: z.array(Spot.extend({ offsetK: z.number() })),
});
export type PlatenMap = z.infer<typeof PlatenMapSchema>;

/** To a thousandth of a kelvin, so that a map is short. */
const rounded = (k: number): number => Math.round(1000 * k) / 1000;

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
    nodes: jointAt(fit, nodesOf(whole, columns, rows), PARTS.most, PARTS.enoughK2).map(({ meanK, parts }) => ({
      meanK: rounded(meanK),
      sdK: rounded(Math.hypot(...parts)),
      parts: parts.map(rounded),
    })),
    offset: meanOffset(fit, whole, fit.refC),
    slope: slopeOf(fit),
    cold,
    measured: readings.map(({ xMm, yMm, setC, surfaceC }) => ({ xMm, yMm, offsetK: surfaceC - setC })),
  };
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

const seen = remembered<Surface>(400);

/**
 * What a map says of the platen under a piece of art: every cell it touches counts.
 *
 * @param area of the art on the platen, mm from its middle
 * @returns coolest and hottest tenth, K off the set value, with their doubt
 */
export function surfaceOver(map: PlatenMap, area: Area): Surface {
  const key = `${map.surveyId} ${map.on} ${map.platen} ${area.xMm} ${area.yMm} ${area.widthMm} ${area.heightMm} ${map.nodes[0]?.meanK} ${map.nodes.at(-1)?.sdK}`;
  return seen(key, () => {
    const tenths = tenthsOf(cellsUnder(map, area).flatMap((i) => map.nodes[i] ?? []));
    return { ...tenths, ...bandOfTenths(tenths), slope: map.slope.mean, spreadPerK: SURE * map.slope.sd, refC: map.refC };
  });
}

/**
 * Cold spots that an area lies over, with half a cell to spare.
 *
 * @param area on the platen, mm from its middle
 * @returns coldest first; empty: none
 */
export const coldUnder = (map: PlatenMap, area: Area): PlatenMap['cold'] =>
  map.cold.filter(
    ({ xMm, yMm }) =>
      Math.abs(xMm - area.xMm) <= area.widthMm / 2 + map.widthMm / map.columns / 2 &&
      Math.abs(yMm - area.yMm) <= area.heightMm / 2 + map.heightMm / map.rows / 2,
  );

/**
 * The setting that brings the mean of the platen to a wanted surface, °C: the line’s inverse.
 *
 * @param line offset at refC, K, and its rise, K/K
 * @param surfaceC wanted, °C
 * @example settingFor({ offset: { mean: -5 }, slope: { mean: 0 }, refC: 150 }, 150) // 155
 */
export const settingFor = ({ offset, slope, refC }: Pick<PlatenMap, 'offset' | 'slope' | 'refC'>, surfaceC: number): number =>
  (surfaceC - offset.mean + slope.mean * refC) / (1 + slope.mean);

/** With so many standard deviations to spare on either side one piece in twenty is outside. */
const ONE_IN_20 = 1.645;

/**
 * The narrowest window that art of this area can be Clear in.
 *
 * @param area on the platen, mm from its middle
 * @returns from side to side, K
 */
export function narrowestWindow(map: PlatenMap, area: Area): number {
  const { coolest, hottest } = surfaceOver(map, area);
  return hottest.meanK + ONE_IN_20 * hottest.sdK - (coolest.meanK - ONE_IN_20 * coolest.sdK);
}
