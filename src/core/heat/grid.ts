/** Cells of the layers: thin where heat comes in suddenly, growing with the depth it has to reach. */
import type { HeatLayer, Scene, Side } from './scene';

/** The thinnest cell resolves heat that came in during this time, s; the times of interest begin at 0.2 s. */
const EARLIEST_S = 0.1;
/** First cell as a share of the depth heat reaches in a time. */
const FIRST_SHARE = 0.145;
/** Each cell is thicker than the one before by this share. */
const GROWTH = 0.118;

/** √s that heat needs to cross a thickness. */
const crossing = ({ thicknessMm, k, rho, c }: HeatLayer): number => thicknessMm / 1000 / Math.sqrt(k / (rho * c));

const keyOf = (side: Side): string => (side.kind === 'body' ? `body ${side.key}` : side.kind);
const startOf = (side: Side): number | null => (side.kind === 'body' ? side.startC : side.kind === 'held' ? side.tempC : null);

/** What lies against a face in a stage, and how warm it begins. */
interface Beside {
  key: string;
  startC: number | null;
}

/** What lies against the top and the bottom face of each layer, in every stage it is in. */
function neighbours(scene: Scene): Map<string, { top: Beside[]; bottom: Beside[] }> {
  const starts = new Map(scene.layers.map((layer) => [layer.key, layer.startC]));
  const map = new Map(scene.layers.map(({ key }) => [key, { top: [] as Beside[], bottom: [] as Beside[] }]));
  for (const { stack, top, bottom, turned } of scene.stages) {
    stack.forEach((key, i) => {
      const beside = (at: number): Beside => {
        const other = stack[at];
        if (other !== undefined) return { key: other, startC: starts.get(other) ?? null };
        const side = at < 0 ? top : bottom;
        return { key: keyOf(side), startC: startOf(side) };
      };
      const [above, below] = [beside(i - 1), beside(i + 1)];
      const flipped = turned.includes(key);
      map.get(key)?.top.push(flipped ? below : above);
      map.get(key)?.bottom.push(flipped ? above : below);
    });
  }
  return map;
}

/** Whether heat comes in through a face all at once: what lies there changes, or begins at another temperature. */
const isSudden = (beside: readonly Beside[], startC: number): boolean =>
  new Set(beside.map(({ key }) => key)).size > 1 || beside.some((beside) => beside.startC === null || beside.startC !== startC);

/**
 * Cell thicknesses of every layer of a scene, m, from its top face to its bottom face.
 *
 * From a face where heat comes in suddenly the first cell resolves `EARLIEST_S`; elsewhere it is as thick as what heat has to
 * cross to get there allows, since a front that has come from afar is wide. Between the faces the thickness follows
 * `h(x) = first + growth·x` from either side, and cells are cut at equal parts of `∫dx/h`: so a finer resolution keeps the
 * grading, and errors fall as the square of it.
 *
 * @param resolution 1 is the everyday grid; 2 halves every cell
 */
export function gridOf(scene: Scene, resolution: number): Map<string, Float64Array> {
  const beside = neighbours(scene);
  const afar = new Map<string, { top: number; bottom: number }>();
  for (const layer of scene.layers) {
    const { top, bottom } = beside.get(layer.key) ?? { top: [], bottom: [] };
    const from = (faces: Beside[]) => (isSudden(faces, layer.startC) ? 0 : Number.POSITIVE_INFINITY);
    afar.set(layer.key, { top: from(top), bottom: from(bottom) });
  }
  // distances spread through the layers until they stand; each turn reaches one layer further
  for (let turn = 0; turn < scene.layers.length; turn++)
    for (const layer of scene.layers) {
      const own = afar.get(layer.key) as { top: number; bottom: number };
      const across = crossing(layer);
      const { top, bottom } = beside.get(layer.key) ?? { top: [], bottom: [] };
      for (const [face, other] of [
        ['top', top[0]],
        ['bottom', bottom[0]],
      ] as const) {
        const neighbour = other && afar.get(other.key);
        if (neighbour && own[face] > 0) own[face] = Math.min(own[face], Math.min(neighbour.top, neighbour.bottom));
      }
      own.top = Math.min(own.top, own.bottom + across);
      own.bottom = Math.min(own.bottom, own.top + across);
    }
  return new Map(
    scene.layers.map((layer) => {
      const { top, bottom } = afar.get(layer.key) as { top: number; bottom: number };
      const first = (distance: number) =>
        FIRST_SHARE *
        Math.sqrt(layer.k / (layer.rho * layer.c)) *
        Math.max(Math.sqrt(EARLIEST_S), Number.isFinite(distance) ? distance : 1e3);
      return [layer.key, cellsOf(layer.thicknessMm / 1000, first(top), first(bottom), resolution)];
    }),
  );
}

/** Cells between two faces with given first cells, m: `h(x)` grows from both and the smaller holds. */
function cellsOf(thicknessM: number, firstTop: number, firstBottom: number, resolution: number): Float64Array {
  const meet = Math.min(thicknessM, Math.max(0, (thicknessM + (firstBottom - firstTop) / GROWTH) / 2));
  const count = (x: number, first: number) => Math.log(1 + (GROWTH * x) / first) / GROWTH;
  const above = count(meet, firstTop);
  const total = above + count(thicknessM - meet, firstBottom);
  const n = Math.max(2, Math.ceil(total)) * resolution;
  const cells = Math.max(2, Math.round(n));
  const depth = (part: number, first: number) => ((Math.exp(GROWTH * part) - 1) * first) / GROWTH;
  const edge = (i: number) => {
    const part = (total * i) / cells;
    return part <= above ? depth(part, firstTop) : thicknessM - depth(total - part, firstBottom);
  };
  return Float64Array.from({ length: cells }, (_, i) => edge(i + 1) - edge(i));
}
