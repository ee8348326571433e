/** Sweep: how the bond changes with any two inputs, row by row so that it can be watched and stopped. */
import { type Adhesive, bondUnder, grownAt, growthOf, type Passage, type Piece } from '../heat';
import { adhesiveOfQuery } from './adhesive';
import type { Axis, SweepQuery, Swept } from './sweepQuery';

/**
 * The values of an axis, both ends among them.
 *
 * @param axis from, to and how many steps, two or more
 * @returns in the unit of the axis
 * @example valuesOf({ from: 140, to: 160, steps: 3 }) // [140, 150, 160]
 */
export const valuesOf = ({ from, to, steps }: Axis): number[] =>
  Array.from({ length: steps }, (_, i) => from + ((to - from) * i) / (steps - 1));

/**
 * A piece and passage with one input set.
 *
 * @param value in the unit of `SWEPT`; damp and thickness are times what the cloth has
 */
export function withInput(piece: Piece, passage: Passage, of: Swept, value: number): { piece: Piece; passage: Passage } {
  const cloth = (change: (layer: Piece['stack'][number]) => Partial<Piece['stack'][number]>) => ({
    ...piece,
    stack: piece.stack.map((layer) => (layer.role === 'fabric' ? { ...layer, ...change(layer) } : layer)),
  });
  switch (of) {
    case 'time':
      return { piece, passage: { ...passage, timeS: value } };
    case 'temperature':
      return { piece, passage: { ...passage, surfaceC: value } };
    case 'pre-press':
      return { piece, passage: { ...passage, prePressS: value } };
    case 'pressure':
      return { piece: { ...piece, contactKPa: value }, passage };
    case 'base':
      return { piece: { ...piece, baseC: value }, passage };
    case 'damp':
      return { piece: cloth(({ waterKgM2 = 0 }) => ({ waterKgM2: waterKgM2 * value })), passage };
    case 'thickness':
      return { piece: cloth(({ thicknessMm }) => ({ thicknessMm: thicknessMm * value })), passage };
  }
}

/** Bonds to a quarter of a percent. */
const COARSE = { resolution: 0.3, toleranceK: 0.3 } as const;
const NO_LIMITS = { markC: null, damageC: null, dyeC: null };

/** Bonds of one line of a sweep. Where time is swept one run gives them all: the bond grows while the press stays shut. */
function bondsAlong(piece: Piece, passage: Passage, adhesive: Adhesive, axis: Axis): number[] {
  const values = valuesOf(axis);
  if (axis.of === 'time') {
    const growth = growthOf(piece, { ...passage, timeS: axis.to }, adhesive, NO_LIMITS, COARSE);
    return values.map((timeS) => grownAt({ timeS: growth.timeS, value: growth.bond }, timeS));
  }
  return values.map((value) => {
    const varied = withInput(piece, passage, axis.of, value);
    return bondUnder(varied.piece, varied.passage, adhesive, COARSE).bond;
  });
}

/**
 * The bonds of a sweep, one row a value of y (from its first), one figure a value of x in it.
 * Where y is time, the rows are all ready at once when the last run is done.
 */
export function* sweepRows(query: SweepQuery): Generator<{ done: number; of: number; rows: { y: number; bonds: number[] }[] }> {
  const { piece, passage, x, y } = query;
  const adhesive = adhesiveOfQuery(query);
  const [xs, ys] = [valuesOf(x), valuesOf(y)];
  if (y.of === 'time') {
    const columns: number[][] = [];
    for (const value of xs) {
      const varied = withInput(piece, passage, x.of, value);
      columns.push(bondsAlong(varied.piece, varied.passage, adhesive, y));
      const done = columns.length;
      const rows = done === xs.length ? ys.map((at, j) => ({ y: at, bonds: columns.map((column) => column[j] as number) })) : [];
      yield { done, of: xs.length, rows };
    }
    return;
  }
  let done = 0;
  for (const at of ys) {
    const varied = withInput(piece, passage, y.of, at);
    done++;
    yield { done, of: ys.length, rows: [{ y: at, bonds: bondsAlong(varied.piece, varied.passage, adhesive, x) }] };
  }
}
