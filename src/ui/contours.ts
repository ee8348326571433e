/** Lines of equal value over a grid of cells, as paths of a drawing. */
import { contours } from 'd3-contour';
import { scaleLinear } from 'd3-scale';
import { curveCatmullRomClosed, curveLinear, line } from 'd3-shape';

export interface Grid {
  columns: number;
  rows: number;
  /** In the middle of each cell, row by row from the top left. */
  values: readonly number[];
}

/** Where the grid is drawn, px. */
export interface Frame {
  left: number;
  top: number;
  width: number;
  height: number;
}

export interface Contour {
  value: number;
  /** Around all that is over the value. It runs out of the frame where it ends at its edge. */
  path: string;
  /** Points of its line inside the frame, px. */
  points: { x: number; y: number }[];
}

// each value at the edge once more outside it, so that a line runs out of the frame instead of along it
const wider = <T>(list: readonly T[]): T[] => [...list.slice(0, 1), ...list, ...list.slice(-1)];

/**
 * The contours of a grid at some values.
 *
 * @param isCoarse the grid has so few cells that straight lines between them would be seen: they are rounded
 */
export function contoursOf({ columns, rows, values }: Grid, at: readonly number[], frame: Frame, isCoarse = false): Contour[] {
  const lines = Array.from({ length: rows }, (_, row) => wider(values.slice(row * columns, (row + 1) * columns)));
  const x = scaleLinear([1, columns + 1], [frame.left, frame.left + frame.width]);
  const y = scaleLinear([1, rows + 1], [frame.top, frame.top + frame.height]);
  const ring = line<number[]>(
    ([px = 0]) => x(px),
    ([, py = 0]) => y(py),
  )
    .curve(isCoarse ? curveCatmullRomClosed : curveLinear)
    .digits(1);
  const isInside = ([px = 0, py = 0]: number[]) => px > 1 && py > 1 && px < columns + 1 && py < rows + 1;
  return contours()
    .size([columns + 2, rows + 2])
    .thresholds([...at])(wider(lines).flat())
    .map(({ value, coordinates }) => {
      // a ring ends where it began: a closed curve goes there by itself
      const rings = coordinates.flat().map((points) => (isCoarse ? points.slice(0, -1) : points));
      return {
        value,
        path: rings.map((points) => `${ring(points)}Z`).join(''),
        points: rings
          .flat()
          .filter(isInside)
          .map(([px = 0, py = 0]) => ({ x: x(px), y: y(py) })),
      };
    });
}
