/** Polygon set operations on rings in mm, on a grid of a thousandth: whole numbers, so that no input can break them. */
import { Clipper, EndType, FillRule, JoinType, type Paths64 } from 'clipper2-ts';
import type { Point, Ring } from './geometry';

const GRID = 1000;

const toGrid = (rings: readonly Ring[]): Paths64 =>
  rings.map((ring) => ring.map(({ x, y }) => ({ x: Math.round(x * GRID), y: Math.round(y * GRID) })));
const toMm = (paths: Paths64): Point[][] => paths.map((path) => path.map(({ x, y }) => ({ x: x / GRID, y: y / GRID })));

/** A region that may fall apart and have holes: rings by the non-zero rule, holes running the other way. */
export type Region = readonly Ring[];

/** What is left of one ring when all others are taken from it. Their running direction does not matter if they do not cross themselves. */
export function difference(from: Ring, taken: readonly Ring[]): Region {
  // rings that run the same way add up under the non-zero rule: no union is needed before
  return toMm(Clipper.difference(sameWay(toGrid([from])), sameWay(toGrid(taken)), FillRule.NonZero));
}

const sameWay = (paths: Paths64): Paths64 => paths.map((path) => (Clipper.area(path) < 0 ? [...path].reverse() : path));

/** The region less everything nearer than `byMm` to its edge: where a middle may lie with that much room. */
export const shrunk = (region: Region, byMm: number): Region =>
  toMm(Clipper.inflatePaths(toGrid(region), -byMm * GRID, JoinType.Round, EndType.Polygon));
