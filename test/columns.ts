/** Columns of layers for tests of the heat model: plain figures, and an independent simple scheme to check against. */
import {
  type Adhesive,
  BASE_PAD,
  CARRIERS,
  COVER_SHEETS,
  FILM,
  type HeatLayer,
  type HeatStage,
  type Passage,
  type Piece,
  referenceFlow,
  type Scene,
  UNDERLAYS,
  waterOf,
} from '../src/core/heat';

export const layer = (key: string, over: Partial<HeatLayer> = {}): HeatLayer => ({
  key,
  name: key,
  k: 0.2,
  rho: 1200,
  c: 1500,
  thicknessMm: 0.1,
  startC: 22,
  waterKgM2: 0,
  ...over,
});

/** One stage over the layers as they are listed, between two held sides. */
export function pressed(layers: HeatLayer[], over: Partial<HeatStage> = {}, probes: Scene['probes'] = []): Scene {
  const stage: HeatStage = {
    name: 'press',
    durationS: 20,
    stack: layers.map(({ key }) => key),
    turned: [],
    contacts: layers.slice(1).map(() => 1e-4),
    top: { kind: 'held', tempC: 150, contact: 1e-4 },
    bottom: { kind: 'held', tempC: 45, contact: 1e-4 },
    pressureKPa: 20,
    ...over,
  };
  return { layers, stages: [stage], probes };
}

/** Straight line between the samples of a curve. */
export function readAt({ timeS, tempC }: { timeS: ArrayLike<number>; tempC: ArrayLike<number> }, t: number): number {
  let i = 1;
  while (i < timeS.length - 1 && (timeS[i] as number) < t) i++;
  const [a, b] = [timeS[i - 1] as number, timeS[i] as number];
  const share = b > a ? (t - a) / (b - a) : 0;
  return (tempC[i - 1] as number) + share * ((tempC[i] as number) - (tempC[i - 1] as number));
}

/**
 * The simplest scheme there is, written apart from the model: equal small cells, explicit steps, heat kept as enthalpy and
 * temperature looked up from it. Slow, and right as the cells shrink.
 *
 * @param share water gone by a temperature, as the model states it
 * @returns temperature at the top face of a layer at each time asked for
 */
export function bySimpleScheme(
  scene: Scene,
  faceOf: string,
  times: readonly number[],
  cellM: number,
  share: (tempC: number) => number,
  latentJKg: number,
): number[] {
  const stage = scene.stages[0] as HeatStage;
  const layers = stage.stack.map((key) => scene.layers.find((layer) => layer.key === key) as HeatLayer);
  const cells: { k: number; c: number; dx: number; latent: number; t: number; h: number; most: number; contact: number; key: string }[] =
    [];
  layers.forEach((layer, j) => {
    const n = Math.max(2, Math.round(layer.thicknessMm / 1000 / cellM));
    const dx = layer.thicknessMm / 1000 / n;
    for (let i = 0; i < n; i++)
      cells.push({
        k: layer.k,
        c: layer.rho * layer.c * dx,
        dx,
        latent: (layer.waterKgM2 * latentJKg) / n,
        t: layer.startC,
        h: layer.rho * layer.c * dx * layer.startC,
        most: layer.startC,
        contact: i === 0 && j > 0 ? (stage.contacts[j - 1] as number) : 0,
        key: layer.key,
      });
  });
  const side = (which: 'top' | 'bottom') => stage[which] as { tempC: number; contact: number };
  const half = ({ k, dx }: { k: number; dx: number }) => dx / 2 / k;
  const g = [
    ...cells.map((cell, i) => 1 / (half(cell) + (i === 0 ? side('top').contact : cell.contact + half(cells[i - 1] as typeof cell)))),
    1 / (half(cells.at(-1) as (typeof cells)[number]) + side('bottom').contact),
  ];
  const dt = 0.4 * Math.min(...cells.map((cell, i) => cell.c / ((g[i] as number) + (g[i + 1] as number))));
  // temperature from heat held, by bisection: heat rises with temperature
  const tempOf = (cell: (typeof cells)[number]) => {
    // below the hottest it has been nothing more leaves; above it some may, so it lies no higher than without
    const without = (cell.h - cell.latent * share(cell.most)) / cell.c;
    if (cell.latent === 0 || without <= cell.most || share(without) === share(cell.most)) return without;
    let [low, high] = [cell.most, without];
    for (let n = 0; n < 40; n++) {
      const middle = (low + high) / 2;
      if (cell.c * middle + cell.latent * share(middle) < cell.h) low = middle;
      else high = middle;
    }
    return (low + high) / 2;
  };
  const at = cells.findIndex(({ key }) => key === faceOf);
  const out: number[] = [];
  let time = 0;
  for (const wanted of times) {
    while (time < wanted) {
      const step = Math.min(dt, wanted - time);
      const flow = g.map((conductance, i) => {
        const above = i === 0 ? side('top').tempC : (cells[i - 1] as (typeof cells)[number]).t;
        const below = i === cells.length ? side('bottom').tempC : (cells[i] as (typeof cells)[number]).t;
        return conductance * (above - below);
      });
      cells.forEach((cell, i) => {
        cell.h += step * ((flow[i] as number) - (flow[i + 1] as number));
      });
      for (const cell of cells) {
        cell.t = tempOf(cell);
        cell.most = Math.max(cell.most, cell.t);
      }
      time += step;
    }
    const cell = cells[at] as (typeof cells)[number];
    const above = at === 0 ? side('top').tempC : (cells[at - 1] as typeof cell).t;
    out.push(cell.t + (g[at] as number) * (above - cell.t) * half(cell));
  }
  return out;
}

const substance = (k: number, rho: number, c: number, thicknessMm: number) => ({ k, rho, c, thicknessMm });
export const CLOTHS = {
  'cotton jersey': { ...substance(0.07, 450, 1340, 0.4), massGsm: 180, regain: 0.08 },
  'polyester jersey': { ...substance(0.06, 420, 1250, 0.36), massGsm: 150, regain: 0.004 },
  fleece: { ...substance(0.05, 250, 1340, 1.1), massGsm: 280, regain: 0.064 },
  canvas: { ...substance(0.08, 600, 1340, 0.57), massGsm: 340, regain: 0.08 },
  glass: { ...substance(1, 2500, 840, 10), massGsm: 25_000, regain: 0 },
} as const;

/** A film on its carrier over a cloth on the usual pad, warm base. */
export function pieceOf(
  cloth: keyof typeof CLOTHS,
  { cover = false, damp = false, ...over }: Partial<Piece> & { cover?: boolean; damp?: boolean } = {},
): Piece {
  const { massGsm, regain, ...body } = CLOTHS[cloth];
  return {
    stack: [
      ...(cover ? [{ role: 'cover' as const, ...COVER_SHEETS.ptfe }] : []),
      { role: 'carrier', ...CARRIERS.film },
      { role: 'transfer', name: 'film', ...FILM, thicknessMm: 0.09 },
      { role: 'fabric', name: cloth, ...body, waterKgM2: damp ? waterOf(regain, massGsm) : 0 },
      { role: 'pad', ...BASE_PAD },
    ],
    contactKPa: 20,
    roomC: 22,
    baseC: 45,
    lowerC: null,
    droop: null,
    ...over,
  };
}

/** What is laid on the base in place of nothing: under the cloth, over the pad. */
export const under = (piece: Piece, which: keyof typeof UNDERLAYS): Piece => ({
  ...piece,
  stack: [...piece.stack.slice(0, -1), { role: 'underlay', ...UNDERLAYS[which] }, ...piece.stack.slice(-1)],
});

export const passage = (over: Partial<Passage> = {}): Passage => ({
  surfaceC: 150,
  timeS: 10,
  prePressS: 0,
  finish: null,
  cooling: null,
  ...over,
});

const SOFTEN_C = 105;
/** An adhesive whose supplier means 150 °C for 10 s on dry cotton. */
export const adhesive = (over: Partial<Adhesive> = {}): Adhesive => ({
  softenC: SOFTEN_C,
  referenceFlow: referenceFlow({ piece: pieceOf('cotton jersey'), surfaceC: 150, timeS: 10 }, SOFTEN_C),
  shift: 1,
  ...over,
});
export const NO_LIMITS = { markC: null, damageC: null, dyeC: null };
