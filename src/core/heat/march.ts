/** One column of cells carried through time: transient conduction, second order, with moisture that leaves once. */

/** Latent heat of the water that leaves a fibre, J/kg. */
export const LATENT_J_KG = 2.4e6;
/** Moisture leaves over these temperatures, °C: none below the first, all of it by the second. */
export const DRYING_C = { from: 90, to: 110 } as const;
const DRYING_K = DRYING_C.to - DRYING_C.from;

/** Cells from top to bottom between two sides that stand at a temperature. */
export interface Column {
  /** Heat a cell takes up per kelvin, J/m²K. */
  capacity: Float64Array;
  /** Conductance from the cell before (or the top side) into each cell, and last out of the bottom: one more than cells, W/m²K. */
  conductance: Float64Array;
  /** Water a cell held when it was last damp, kg/m². */
  water: Float64Array;
  /** Heat put in straight into a cell, W/m². */
  topC: number;
  bottomC: number;
  /** Changed by the march: temperature of each cell, °C, and the share of its water that has left, 0 to 1. */
  tempC: Float64Array;
  dried: Float64Array;
}

export interface MarchOptions {
  /** Largest error of one step, K; with `stepS` unused. */
  toleranceK: number;
  /** A fixed step instead, s. */
  stepS?: number;
  firstStepS?: number;
}

/** Heat that went in through the top and out through the bottom during a march, J/m², and the steps it took. */
export interface Marched {
  inJ: number;
  outJ: number;
  steps: number;
  lastStepS: number;
}

const GAMMA = 2 - Math.SQRT2;
const A = GAMMA / 2;
const C1 = 1 / (GAMMA * (2 - GAMMA));
const C2 = (1 - GAMMA) ** 2 / (GAMMA * (2 - GAMMA));
/** Weights of the three stage slopes in the whole step. */
const W = Math.SQRT2 / 4;
const ERROR = (2 * (-3 * GAMMA * GAMMA + 4 * GAMMA - 2)) / (12 * (2 - GAMMA));
/** A step is enlarged or shrunk by no more than this. */
const MOST_GROWTH = 3;
const MOST_NEWTON = 25;
/** Newton has settled when its last turn moved nothing by more than this, K; what is left is its square. */
const NEWTON_K = 1e-5;

/** A column that could not be carried on: its figures are not ones a press meets. */
class NotSolvable extends Error {
  override name = 'NotSolvable';
}

/**
 * Share of the water that has left by a temperature reached: `3u² − 2u³` over the drying range. Smooth at both ends, so that
 * Newton settles and the steps in time keep their order.
 */
function driedBy(tempC: number): number {
  const u = (tempC - DRYING_C.from) / DRYING_K;
  return u <= 0 ? 0 : u >= 1 ? 1 : u * u * (3 - 2 * u);
}
/** Its rise with temperature, 1/K. */
function dryingAt(tempC: number): number {
  const u = (tempC - DRYING_C.from) / DRYING_K;
  return u <= 0 || u >= 1 ? 0 : (6 * u * (1 - u)) / DRYING_K;
}

/** Space for one march, kept between marches of the same size. */
function workspaceFor(n: number) {
  const make = () => new Float64Array(n);
  return {
    n,
    /** Cells that hold water lie from the first up to the second. */
    from: 0,
    to: 0,
    flow0: make(),
    flowG: make(),
    flow1: make(),
    tempG: make(),
    temp1: make(),
    rhs: make(),
    content0: make(),
    contentG: make(),
    diagonal: make(),
    upper: make(),
    inverse: make(),
    latent: make(),
    drift: make(),
  };
}
type Workspace = ReturnType<typeof workspaceFor>;

/** Heat flowing into each cell, W/m². */
function flows({ conductance: g, topC, bottomC }: Column, t: Float64Array, into: Float64Array): void {
  const n = t.length;
  let above = (g[0] as number) * (topC - (t[0] as number));
  for (let i = 0; i < n; i++) {
    const below = (g[i + 1] as number) * ((t[i] as number) - (i + 1 < n ? (t[i + 1] as number) : bottomC));
    into[i] = above - below;
    above = below;
  }
}

/** Factors `(D − s·J)` for conduction J and a diagonal D of heat per kelvin. */
function factor({ conductance: g }: Column, d: Float64Array, s: number, r: Workspace): void {
  const { n, upper, inverse } = r;
  let before = 0;
  for (let i = 0; i < n; i++) {
    const a = -s * (g[i] as number);
    const c = -s * (g[i + 1] as number);
    const pivot = 1 / ((d[i] as number) - a - c - (i > 0 ? a * before : 0));
    inverse[i] = pivot;
    before = c * pivot;
    upper[i] = before;
  }
}

/** Solves with the factors; `x` may be `rhs`. */
function backsolve({ conductance: g }: Column, s: number, rhs: Float64Array, x: Float64Array, r: Workspace): void {
  const { n, upper, inverse } = r;
  let before = 0;
  for (let i = 0; i < n; i++) {
    before = ((rhs[i] as number) + (i > 0 ? s * (g[i] as number) * before : 0)) * (inverse[i] as number);
    x[i] = before;
  }
  for (let i = n - 2; i >= 0; i--) {
    before = (x[i] as number) - (upper[i] as number) * before;
    x[i] = before;
  }
}

/** Heat a cell holds at a temperature over 0 °C with the latent heat of what has left, J/m². */
function heatContent(column: Column, t: Float64Array, { latent, from, to }: Workspace, into: Float64Array): void {
  const { capacity, dried } = column;
  for (let i = 0; i < t.length; i++) into[i] = (capacity[i] as number) * (t[i] as number);
  for (let i = from; i < to; i++) {
    const l = latent[i] as number;
    if (l > 0) into[i] = (into[i] as number) + l * Math.max(dried[i] as number, driedBy(t[i] as number));
  }
}

/**
 * Finds temperatures with `H(T) − s·Q(T) = rhs` by Newton from a guess in `t`, H the heat held: linear but for cells that are drying.
 */
// biome-ignore lint/complexity/noExcessiveCognitiveComplexity: a row of the matrix for each kind of side
function solveForTemp(column: Column, s: number, rhs: Float64Array, t: Float64Array, r: Workspace): boolean {
  const { capacity, dried, conductance: g, topC, bottomC } = column;
  const { n, diagonal, latent } = r;
  const b = r.flow1; // free while a stage is being solved
  const { from, to } = r;
  for (let turn = 0; turn < MOST_NEWTON; turn++) {
    let straight = true;
    let flowIn = (g[0] as number) * (topC - (t[0] as number));
    for (let i = 0; i < n; i++) {
      const c = capacity[i] as number;
      const temp = t[i] as number;
      const flowOut = (g[i + 1] as number) * (temp - (i + 1 < n ? (t[i + 1] as number) : bottomC));
      diagonal[i] = c;
      b[i] = (rhs[i] as number) + s * (flowIn - flowOut) - c * temp;
      flowIn = flowOut;
    }
    // only what still holds water is anything but a straight line
    for (let i = from; i < to; i++) {
      const l = latent[i] as number;
      if (l <= 0) continue;
      const e = dried[i] as number;
      const temp = t[i] as number;
      const reached = driedBy(temp);
      if (reached > e) {
        straight = false;
        diagonal[i] = (capacity[i] as number) + l * dryingAt(temp);
        b[i] = (b[i] as number) - l * reached;
      } else b[i] = (b[i] as number) - l * e;
    }
    factor(column, diagonal, s, r);
    backsolve(column, s, b, b, r);
    let most = 0;
    for (let i = 0; i < n; i++) {
      const d = b[i] as number;
      t[i] = (t[i] as number) + d;
      const size = d < 0 ? -d : d;
      if (size > most) most = size;
    }
    for (let i = from; straight && i < to; i++)
      if ((latent[i] as number) > 0 && driedBy(t[i] as number) > (dried[i] as number)) straight = false;
    if (straight || most < NEWTON_K) return true;
    if (!Number.isFinite(most)) return false;
  }
  return false;
}

/**
 * Carries a column through a time under constant sides.
 *
 * TR-BDF2: a trapezoid over 2 − √2 of the step, then the second backward difference; second order, and stiff cells are damped
 * outright, so a platen laid on cold cloth does not ring. Steps are chosen by the embedded third-order difference. Heat is
 * conserved to rounding: what the cells gain, with what drying took, is what the two sides gave, weighted as the step weighs it.
 *
 * Changes `column.tempC` and `column.dried`.
 *
 * @param onStep called after every third of a step that is worth a sample: time since the start of the march, s, and the temperatures
 * @throws {NotSolvable} no step is small enough
 * @see Bank et al., Transient simulation of silicon devices and circuits (1985); Hosea & Shampine, Analysis and implementation of TR-BDF2 (1996)
 */
// biome-ignore lint/complexity/noExcessiveCognitiveComplexity: the step of the solver is in one piece: its arrays are shared and nothing is allocated
export function march(
  column: Column,
  durationS: number,
  options: MarchOptions,
  onStep?: (timeS: number, tempC: Float64Array, topC: number, bottomC: number) => void,
): Marched {
  const { capacity, conductance: g, water, tempC, dried, topC, bottomC } = column;
  const n = tempC.length;
  const r = workspaceFor(n);
  let damp = false;
  for (let i = 0; i < n; i++) {
    const left = (water[i] as number) * LATENT_J_KG;
    r.latent[i] = left;
    if (left > 0) {
      if (r.to === 0) r.from = i;
      r.to = i + 1;
    }
    if (left > 0 && (dried[i] as number) < 1) damp = true;
  }
  const { flow0, flowG, flow1, tempG, temp1, rhs, content0, contentG, drift } = r;
  const result: Marched = { inJ: 0, outJ: 0, steps: 0, lastStepS: 0 };
  const gTop = g[0] as number;
  const gBottom = g[n] as number;
  let time = 0;
  let h = Math.min(durationS, options.stepS ?? options.firstStepS ?? 1e-3);
  let factored = -1;
  let rate = 0;
  flows(column, tempC, flow0);
  while (time < durationS - 1e-12 * durationS) {
    const last = time + h >= durationS - 1e-9;
    const step = last ? durationS - time : h;
    const s = A * step;
    let solved = true;
    if (damp) {
      heatContent(column, tempC, r, content0);
      for (let i = 0; i < n; i++) {
        rhs[i] = (content0[i] as number) + s * (flow0[i] as number);
        tempG[i] = (tempC[i] as number) + rate * GAMMA * step * (drift[i] as number);
      }
      solved = solveForTemp(column, s, rhs, tempG, r);
      if (solved) {
        flows(column, tempG, flowG);
        heatContent(column, tempG, r, contentG);
        for (let i = 0; i < n; i++) rhs[i] = C1 * (contentG[i] as number) - C2 * (content0[i] as number);
        // the end of the step is guessed on the straight line through its first part
        for (let i = 0; i < n; i++) temp1[i] = (tempG[i] as number) + ((tempG[i] as number) - (tempC[i] as number)) * (1 / GAMMA - 1);
        solved = solveForTemp(column, s, rhs, temp1, r);
      }
    } else {
      if (factored !== s) {
        factor(column, capacity, s, r);
        factored = s;
      }
      const topIn = s * gTop * topC;
      const bottomIn = s * gBottom * bottomC;
      for (let i = 0; i < n; i++) rhs[i] = (capacity[i] as number) * (tempC[i] as number) + s * (flow0[i] as number);
      rhs[0] = (rhs[0] as number) + topIn;
      rhs[n - 1] = (rhs[n - 1] as number) + bottomIn;
      backsolve(column, s, rhs, tempG, r);
      for (let i = 0; i < n; i++) rhs[i] = (capacity[i] as number) * (C1 * (tempG[i] as number) - C2 * (tempC[i] as number));
      rhs[0] = (rhs[0] as number) + topIn;
      rhs[n - 1] = (rhs[n - 1] as number) + bottomIn;
      backsolve(column, s, rhs, temp1, r);
      flows(column, tempG, flowG);
    }
    let error = 0;
    if (solved) {
      flows(column, temp1, flow1);
      if (options.stepS === undefined) {
        for (let i = 0; i < n; i++)
          rhs[i] =
            ERROR *
            step *
            ((flow0[i] as number) / GAMMA - (flowG[i] as number) / (GAMMA * (1 - GAMMA)) + (flow1[i] as number) / (1 - GAMMA));
        backsolve(column, s, rhs, rhs, r);
        for (let i = 0; i < n; i++) {
          const d = rhs[i] as number;
          const size = d < 0 ? -d : d;
          if (size > error) error = size;
        }
      }
    }
    if (!solved || !(error <= 2 * options.toleranceK)) {
      h = step * (solved ? Math.max(0.2, 0.85 * Math.cbrt(options.toleranceK / error)) : 0.25);
      if (!(h > 1e-10)) throw new NotSolvable('No step in time is small enough for these layers: check thickness and properties.');
      continue;
    }
    result.inJ += step * gTop * (W * (topC - (tempC[0] as number)) + W * (topC - (tempG[0] as number)) + A * (topC - (temp1[0] as number)));
    result.outJ +=
      step *
      gBottom *
      (W * ((tempC[n - 1] as number) - bottomC) + W * ((tempG[n - 1] as number) - bottomC) + A * ((temp1[n - 1] as number) - bottomC));
    if (onStep) onStep(time + GAMMA * step, tempG, topC, bottomC);
    time = last ? durationS : time + step;
    if (damp) for (let i = 0; i < n; i++) drift[i] = ((temp1[i] as number) - (tempC[i] as number)) / step;
    rate = 1;
    tempC.set(temp1);
    flow0.set(flow1);
    if (damp) {
      damp = false;
      for (let i = 0; i < n; i++) {
        if ((water[i] as number) <= 0) continue;
        const e = Math.max(dried[i] as number, driedBy(tempC[i] as number));
        dried[i] = e > 1 - 1e-12 ? 1 : e;
        if (e < 1) damp = true;
      }
    }
    if (onStep) onStep(time, tempC, topC, bottomC);
    result.steps++;
    if (!last) result.lastStepS = step;
    if (options.stepS === undefined) {
      const grow = error > 0 ? Math.min(MOST_GROWTH, 0.85 * Math.cbrt(options.toleranceK / error)) : MOST_GROWTH;
      // a step that is kept keeps its factors
      if (grow > 1.2 || grow < 1) h = step * grow;
    }
  }
  return result;
}
