/** Solve: carries a scene through its stages; the temperature and moisture of every layer goes on from stage to stage. */
import { gridOf } from './grid';
import { type Column, LATENT_J_KG, march } from './march';
import type { HeatLayer, HeatStage, Probe, Scene, Side } from './scene';

/** A temperature over time, from the start of the scene. */
export interface Curve {
  timeS: Float64Array;
  tempC: Float64Array;
}

export interface StageResult {
  name: string;
  fromS: number;
  toS: number;
  pressureKPa: number;
  /** Heat in through the top, out through the bottom, gained by the layers and bodies, and taken by drying, J/m². */
  inJ: number;
  outJ: number;
  gainedJ: number;
  driedJ: number;
  steps: number;
}

export interface Solved {
  stages: StageResult[];
  /** By probe key; with gaps where its layer is not in the stage. */
  curves: Record<string, Curve>;
  /** Water left in each layer, kg/m², and the layer's mean temperature, °C, at the end. */
  ends: Record<string, { waterKgM2: number; meanC: number }>;
  /** Temperature of each body that gives way, at the end, °C. */
  bodies: Record<string, number>;
}

export interface SolveOptions {
  /** 1 is the everyday grid; twice halves its cells. */
  resolution?: number;
  toleranceK?: number;
  /** A fixed step, s, for convergence studies. */
  stepS?: number;
}

/** Largest error of one step, K: the whole stays within 0.05 K dry. */
const TOLERANCE_K = 0.02;

/** A layer in cells, with its state. */
interface Gridded {
  layer: HeatLayer;
  widths: Float64Array;
  tempC: Float64Array;
  dried: Float64Array;
}

function grid(scene: Scene, resolution: number): Map<string, Gridded> {
  const cells = gridOf(scene, resolution);
  return new Map(
    scene.layers.map((layer) => {
      const widths = cells.get(layer.key) as Float64Array;
      return [
        layer.key,
        { layer, widths, tempC: new Float64Array(widths.length).fill(layer.startC), dried: new Float64Array(widths.length) },
      ];
    }),
  );
}

const sideC = (side: Side): number => (side.kind === 'held' ? side.tempC : side.kind === 'air' ? side.roomC : side.towardsC);

/** The stage's layers and bodies laid out as one column. Bodies are cells of their own at the ends. */
interface StageColumn {
  column: Column;
  /** First cell of each layer of the stack, and whether it lies face down. */
  places: { layer: Gridded; first: number; turned: boolean }[];
}

function lay(stage: HeatStage, layers: Map<string, Gridded>, bodies: Map<string, number>): StageColumn {
  const stack = stage.stack.map((key) => layers.get(key) as Gridded);
  const topBody = stage.top.kind === 'body' ? 1 : 0;
  const bottomBody = stage.bottom.kind === 'body' ? 1 : 0;
  const n = topBody + bottomBody + stack.reduce((sum, gridded) => sum + gridded.widths.length, 0);
  const column: Column = {
    capacity: new Float64Array(n),
    conductance: new Float64Array(n + 1),
    water: new Float64Array(n),
    topC: sideC(stage.top),
    bottomC: sideC(stage.bottom),
    tempC: new Float64Array(n),
    dried: new Float64Array(n),
  };
  const places: StageColumn['places'] = [];
  let cell = 0;
  // resistance from the last cell's middle down to the face reached so far
  let pending = 0;
  let open = true;
  const join = (resistance: number) => {
    column.conductance[cell] = open ? 1 / Math.max(resistance, 1e-12) : 1 / Math.max(pending + resistance, 1e-12);
    open = false;
  };
  const body = (side: Extract<Side, { kind: 'body' }>) => {
    column.capacity[cell] = side.capacityJm2K;
    column.tempC[cell] = bodies.get(side.key) ?? side.startC;
  };
  let contact = 0;
  const { top, bottom } = stage;
  if (top.kind === 'body') {
    body(top);
    column.conductance[0] = top.recoveryWm2K;
    open = false;
    pending = 0;
    contact = top.contact;
    cell++;
  } else contact = top.kind === 'held' ? top.contact : top.lossWm2K > 0 ? 1 / top.lossWm2K : Number.POSITIVE_INFINITY;
  stack.forEach((gridded, j) => {
    const { layer, widths } = gridded;
    const turned = stage.turned.includes(layer.key);
    places.push({ layer: gridded, first: cell, turned });
    const count = widths.length;
    for (let i = 0; i < count; i++) {
      const from = turned ? count - 1 - i : i;
      const width = widths[from] as number;
      const half = width / 2 / layer.k;
      join(half + (i === 0 ? contact : 0));
      column.capacity[cell] = layer.rho * layer.c * width;
      column.water[cell] = (layer.waterKgM2 * width) / (layer.thicknessMm / 1000);
      column.tempC[cell] = gridded.tempC[from] as number;
      column.dried[cell] = gridded.dried[from] as number;
      pending = half;
      cell++;
    }
    contact = stage.contacts[j] ?? 0;
  });
  if (bottom.kind === 'body') {
    join(bottom.contact);
    body(bottom);
    cell++;
    column.conductance[cell] = bottom.recoveryWm2K;
  } else {
    const resistance = bottom.kind === 'held' ? bottom.contact : bottom.lossWm2K > 0 ? 1 / bottom.lossWm2K : Number.POSITIVE_INFINITY;
    join(resistance);
  }
  return { column, places };
}

/** Puts the column's state back into its layers and bodies. */
function keep(stage: HeatStage, { column, places }: StageColumn, bodies: Map<string, number>): void {
  for (const { layer, first, turned } of places) {
    const count = layer.widths.length;
    for (let i = 0; i < count; i++) {
      const to = turned ? count - 1 - i : i;
      layer.tempC[to] = column.tempC[first + i] as number;
      layer.dried[to] = column.dried[first + i] as number;
    }
  }
  if (stage.top.kind === 'body') bodies.set(stage.top.key, column.tempC[0] as number);
  if (stage.bottom.kind === 'body') bodies.set(stage.bottom.key, column.tempC[column.tempC.length - 1] as number);
}

/** Reads a probe from the column: a face by the flow that crosses it, the middle by a straight line between the cells beside it. */
function reader(probe: Probe, { column, places }: StageColumn): ((t: Float64Array) => number) | null {
  const place = places.find(({ layer }) => layer.layer.key === probe.layer);
  if (!place) return null;
  const { layer, first, turned } = place;
  const count = layer.widths.length;
  const { conductance: g, topC, bottomC } = column;
  if (probe.at === 'middle') return middle(layer.widths, first, turned);
  const atTop = (probe.at === 'top') !== turned;
  const cell = atTop ? first : first + count - 1;
  const half = (layer.widths[probe.at === 'top' ? 0 : count - 1] as number) / 2 / layer.layer.k;
  if (atTop)
    return (t) => (t[cell] as number) + (g[cell] as number) * ((cell > 0 ? (t[cell - 1] as number) : topC) - (t[cell] as number)) * half;
  return (t) =>
    (t[cell] as number) -
    (g[cell + 1] as number) * ((t[cell] as number) - (cell + 1 < t.length ? (t[cell + 1] as number) : bottomC)) * half;
}

/** Halfway down a layer, between the middles of the two cells that lie about it. */
function middle(widths: Float64Array, first: number, turned: boolean): (t: Float64Array) => number {
  const count = widths.length;
  const width = (i: number) => widths[turned ? count - 1 - i : i] as number;
  const whole = widths.reduce((sum, w) => sum + w, 0);
  let [i, centre] = [0, width(0) / 2];
  while (i + 2 < count && centre + (width(i) + width(i + 1)) / 2 < whole / 2) {
    centre += (width(i) + width(i + 1)) / 2;
    i++;
  }
  const share = (whole / 2 - centre) / ((width(i) + width(i + 1)) / 2);
  return (t) => (t[first + i] as number) * (1 - share) + (t[first + i + 1] as number) * share;
}

const sensible = ({ capacity, tempC }: Column): number => capacity.reduce((sum, c, i) => sum + c * (tempC[i] as number), 0);
const latent = ({ water, dried }: Column): number => water.reduce((sum, w, i) => sum + w * (dried[i] as number), 0) * LATENT_J_KG;

/**
 * Temperatures of a scene, stage by stage.
 *
 * One-dimensional transient conduction on finite volumes with a contact resistance between layers; second order in space (cells
 * graded to both faces of every layer) and in time (`march`). Moisture leaves a layer once, between 90 and 110 °C.
 *
 * @param scene parsed by `SceneSchema`; nothing is checked here
 * @returns curves at the probes, °C over s; energies in J/m²
 * @throws {NotSolvable} no step in time is small enough
 */
export function solve(scene: Scene, { resolution = 1, toleranceK = TOLERANCE_K, stepS }: SolveOptions = {}): Solved {
  const layers = grid(scene, resolution);
  const bodies = new Map<string, number>();
  const samples = scene.probes.map((probe) => ({ probe, timeS: [] as number[], tempC: [] as number[] }));
  const stages: StageResult[] = [];
  let fromS = 0;
  for (const stage of scene.stages) {
    const stageColumn = lay(stage, layers, bodies);
    const { column } = stageColumn;
    const probes = samples.flatMap((sample) => {
      const read = reader(sample.probe, stageColumn);
      return read ? [{ ...sample, read }] : [];
    });
    const note = (timeS: number, t: Float64Array) => {
      for (const { read, timeS: times, tempC } of probes) {
        times.push(fromS + timeS);
        tempC.push(read(t));
      }
    };
    const [before, wet] = [sensible(column), latent(column)];
    note(0, column.tempC);
    const marched = march(column, stage.durationS, { toleranceK, ...(stepS !== undefined && { stepS }) }, note);
    stages.push({
      name: stage.name,
      fromS,
      toS: fromS + stage.durationS,
      pressureKPa: stage.pressureKPa,
      inJ: marched.inJ,
      outJ: marched.outJ,
      gainedJ: sensible(column) - before,
      driedJ: latent(column) - wet,
      steps: marched.steps,
    });
    keep(stage, stageColumn, bodies);
    fromS += stage.durationS;
  }
  return {
    stages,
    curves: Object.fromEntries(
      samples.map(({ probe, timeS, tempC }) => [probe.key, { timeS: Float64Array.from(timeS), tempC: Float64Array.from(tempC) }]),
    ),
    ends: Object.fromEntries([...layers].map(([key, one]) => [key, endOf(one)])),
    bodies: Object.fromEntries(bodies),
  };
}

function endOf({ layer, widths, tempC, dried }: Gridded): { waterKgM2: number; meanC: number } {
  const whole = layer.thicknessMm / 1000;
  const mean = (of: Float64Array) => of.reduce((sum, value, i) => sum + value * (widths[i] as number), 0) / whole;
  return { waterKgM2: layer.waterKgM2 * (1 - mean(dried)), meanC: mean(tempC) };
}
