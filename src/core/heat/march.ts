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

/** Space for one march of so many cells, with the latent heat of each. */
function workspaceFor({ water }: Column) {
  const n = water.length;
  const make = () => new Float64Array(n);
  const latent = water.map((kgM2) => kgM2 * LATENT_J_KG);
  const to = latent.findLastIndex((jM2) => jM2 > 0) + 1;
  return {
    n,
    latent,
    /** Cells that hold water lie from the first up to the second. */
    from: Math.max(
      0,
      latent.findIndex((jM2) => jM2 > 0),
    ),
    to,
    /** Flow into each cell at the start of a step, after its first part, and at its end, W/m². */
    flow0: make(),
    flowG: make(),
    flow1: make(),
    /** Temperatures after the first part of a step and at its end, °C. */
    tempG: make(),
    temp1: make(),
    rhs: make(),
    content0: make(),
    contentG: make(),
    diagonal: make(),
    upper: make(),
    inverse: make(),
    /** Rise of each cell over the step before, K/s. */
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

/** What `H(T) − s·Q(T) = rhs` is short of at `t` into `b`, and its slope into the diagonal, as if no water left. */
function residual(column: Column, s: number, t: Float64Array, b: Float64Array, { n, rhs, diagonal }: Workspace): void {
  const { capacity, conductance: g, topC, bottomC } = column;
  let flowIn = (g[0] as number) * (topC - (t[0] as number));
  for (let i = 0; i < n; i++) {
    const c = capacity[i] as number;
    const temp = t[i] as number;
    const flowOut = (g[i + 1] as number) * (temp - (i + 1 < n ? (t[i + 1] as number) : bottomC));
    diagonal[i] = c;
    b[i] = (rhs[i] as number) + s * (flowIn - flowOut) - c * temp;
    flowIn = flowOut;
  }
}

/** Adds what drying takes in the cells that hold water. @returns whether none of them is drying, so that all is a straight line */
function dryingResidual({ capacity, dried }: Column, t: Float64Array, b: Float64Array, { latent, from, to, diagonal }: Workspace): boolean {
  let straight = true;
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
  return straight;
}

/** Whether a cell that was still has begun to dry at `t`. */
function beginsToDry({ dried }: Column, t: Float64Array, { latent, from, to }: Workspace): boolean {
  for (let i = from; i < to; i++) if ((latent[i] as number) > 0 && driedBy(t[i] as number) > (dried[i] as number)) return true;
  return false;
}

/** Adds `d` to `t`. @returns the largest of its figures, whatever its sign */
function moveBy(d: Float64Array, t: Float64Array): number {
  let most = 0;
  for (let i = 0; i < t.length; i++) {
    t[i] = (t[i] as number) + (d[i] as number);
    most = Math.max(most, Math.abs(d[i] as number));
  }
  return most;
}

/**
 * Finds temperatures with `H(T) − s·Q(T) = rhs` by Newton from a guess in `t`, H the heat held: linear but for cells that are drying.
 *
 * @returns whether it settled
 */
function solveForTemp(column: Column, s: number, t: Float64Array, r: Workspace): boolean {
  const b = r.flow1; // free while a stage is being solved
  for (let turn = 0; turn < MOST_NEWTON; turn++) {
    residual(column, s, t, b, r);
    const straight = dryingResidual(column, t, b, r);
    factor(column, r.diagonal, s, r);
    backsolve(column, s, b, b, r);
    const most = moveBy(b, t);
    if (most < NEWTON_K || (straight && !beginsToDry(column, t, r))) return true;
    if (!Number.isFinite(most)) return false;
  }
  return false;
}

/** Both parts of a step of a column that may be drying. @returns whether both settled */
function dampStep(column: Column, step: number, hasDrift: boolean, r: Workspace): boolean {
  const { tempC } = column;
  const { n, flow0, flowG, tempG, temp1, rhs, content0, contentG, drift } = r;
  const s = A * step;
  const ahead = hasDrift ? GAMMA * step : 0;
  heatContent(column, tempC, r, content0);
  for (let i = 0; i < n; i++) {
    rhs[i] = (content0[i] as number) + s * (flow0[i] as number);
    tempG[i] = (tempC[i] as number) + ahead * (drift[i] as number);
  }
  if (!solveForTemp(column, s, tempG, r)) return false;
  flows(column, tempG, flowG);
  heatContent(column, tempG, r, contentG);
  for (let i = 0; i < n; i++) {
    rhs[i] = C1 * (contentG[i] as number) - C2 * (content0[i] as number);
    // the end of the step is guessed on the straight line through its first part
    temp1[i] = (tempG[i] as number) + ((tempG[i] as number) - (tempC[i] as number)) * (1 / GAMMA - 1);
  }
  return solveForTemp(column, s, temp1, r);
}

/** Both parts of a step of a column in which no water is left; its matrix is factored. */
function dryStep(column: Column, step: number, r: Workspace): void {
  const { capacity, conductance: g, tempC, topC, bottomC } = column;
  const { n, flow0, flowG, tempG, temp1, rhs } = r;
  const s = A * step;
  const topIn = s * (g[0] as number) * topC;
  const bottomIn = s * (g[n] as number) * bottomC;
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

/** Error of a step, K: the embedded third-order difference. */
function errorOf(column: Column, step: number, r: Workspace): number {
  const { n, flow0, flowG, flow1, rhs } = r;
  for (let i = 0; i < n; i++)
    rhs[i] =
      ERROR * step * ((flow0[i] as number) / GAMMA - (flowG[i] as number) / (GAMMA * (1 - GAMMA)) + (flow1[i] as number) / (1 - GAMMA));
  backsolve(column, A * step, rhs, rhs, r);
  let error = 0;
  for (let i = 0; i < n; i++) error = Math.max(error, Math.abs(rhs[i] as number));
  return error;
}

/** Adds the heat of a step that stands to what went in and out, as the step weighs its three parts. */
function addHeat(result: Marched, { conductance: g, tempC, topC, bottomC }: Column, step: number, { n, tempG, temp1 }: Workspace): void {
  const gTop = g[0] as number;
  const gBottom = g[n] as number;
  result.inJ += step * gTop * (W * (topC - (tempC[0] as number)) + W * (topC - (tempG[0] as number)) + A * (topC - (temp1[0] as number)));
  result.outJ +=
    step *
    gBottom *
    (W * ((tempC[n - 1] as number) - bottomC) + W * ((tempG[n - 1] as number) - bottomC) + A * ((temp1[n - 1] as number) - bottomC));
}

/** The end of a step is where the next begins. */
function keepStep({ tempC }: Column, step: number, { n, drift, temp1, flow0, flow1 }: Workspace): void {
  for (let i = 0; i < n; i++) drift[i] = ((temp1[i] as number) - (tempC[i] as number)) / step;
  tempC.set(temp1);
  flow0.set(flow1);
}

/** Lets the water go that has left by now. @returns whether any is left */
function letDry({ water, dried, tempC }: Column, { n }: Workspace): boolean {
  let damp = false;
  for (let i = 0; i < n; i++) {
    if ((water[i] as number) <= 0) continue;
    const e = Math.max(dried[i] as number, driedBy(tempC[i] as number));
    dried[i] = e > 1 - 1e-12 ? 1 : e;
    if (e < 1) damp = true;
  }
  return damp;
}

/** A step that did not settle. */
const UNSETTLED = Number.POSITIVE_INFINITY;

/** Takes a step into `temp1`. @returns its error, K; `UNSETTLED`; 0 where steps are fixed and none is asked for */
function takeStep(
  column: Column,
  step: number,
  { damp, hasDrift, fixed }: { damp: boolean; hasDrift: boolean; fixed: boolean },
  r: Workspace,
): number {
  if (!damp) dryStep(column, step, r);
  else if (!dampStep(column, step, hasDrift, r)) return UNSETTLED;
  flows(column, r.temp1, r.flow1);
  return fixed ? 0 : errorOf(column, step, r);
}

/** A step to try in place of one that went wrong, s. @throws {NotSolvable} there is none */
function smallerStep(step: number, error: number, toleranceK: number): number {
  const h = step * (error === UNSETTLED ? 0.25 : Math.max(0.2, 0.85 * Math.cbrt(toleranceK / error)));
  if (!(h > 1e-10)) throw new NotSolvable('No step in time is small enough for these layers: check thickness and properties.');
  return h;
}

/** How far the next step may go beyond one with an error of so much, times. */
const growthOf = (error: number, toleranceK: number): number =>
  error > 0 ? Math.min(MOST_GROWTH, 0.85 * Math.cbrt(toleranceK / error)) : MOST_GROWTH;

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
export function march(
  column: Column,
  durationS: number,
  options: MarchOptions,
  onStep?: (timeS: number, tempC: Float64Array, topC: number, bottomC: number) => void,
): Marched {
  const { tempC, topC, bottomC } = column;
  const fixed = options.stepS !== undefined;
  const r = workspaceFor(column);
  const result: Marched = { inJ: 0, outJ: 0, steps: 0, lastStepS: 0 };
  let damp = hasWater(column);
  let time = 0;
  let h = Math.min(durationS, options.stepS ?? options.firstStepS ?? 1e-3);
  let factoredFor = -1;
  flows(column, tempC, r.flow0);
  while (time < durationS - 1e-12 * durationS) {
    const last = time + h >= durationS - 1e-9;
    const step = last ? durationS - time : h;
    if (!damp && factoredFor !== step) {
      factor(column, column.capacity, A * step, r);
      factoredFor = step;
    }
    const error = takeStep(column, step, { damp, hasDrift: result.steps > 0, fixed }, r);
    if (!(error <= 2 * options.toleranceK)) {
      h = smallerStep(step, error, options.toleranceK);
      continue;
    }
    addHeat(result, column, step, r);
    onStep?.(time + GAMMA * step, r.tempG, topC, bottomC);
    time = last ? durationS : time + step;
    keepStep(column, step, r);
    damp &&= letDry(column, r);
    onStep?.(time, tempC, topC, bottomC);
    result.steps++;
    if (!last) result.lastStepS = step;
    const grow = fixed ? 1 : growthOf(error, options.toleranceK);
    // a step that is kept keeps its factors
    if (grow > 1.2 || grow < 1) h = step * grow;
  }
  return result;
}

/** Whether any cell still holds water. */
const hasWater = ({ water, dried }: Column): boolean => water.some((kgM2, i) => kgM2 > 0 && (dried[i] as number) < 1);
