/**
 * A supplier's own stack at his own setting, solved apart from the product's code: explicit finite differences on a column of thin
 * cells, and the flow of the glue under it. Written from the physics alone.
 */
import type { Product } from '../src/core/sheet';

interface Matter {
  k: number;
  rho: number;
  c: number;
  mm: number;
}

const COVER: Record<string, Matter> = {
  ptfe: { k: 0.25, rho: 2100, c: 1000, mm: 0.13 },
  paper: { k: 0.1, rho: 800, c: 1400, mm: 0.08 },
  matte: { k: 0.1, rho: 900, c: 1400, mm: 0.1 },
  silicone: { k: 0.22, rho: 1150, c: 1400, mm: 0.3 },
};
const CARRIER: Record<string, Matter> = { film: { k: 0.2, rho: 1380, c: 1200, mm: 0.1 }, paper: { k: 0.1, rho: 900, c: 1400, mm: 0.12 } };
const PAD: Record<string, Matter> = {
  'soft pad over': { k: 0.22, rho: 1150, c: 1400, mm: 6 },
  'foam over': { k: 0.06, rho: 120, c: 1400, mm: 8 },
  'foam behind': { k: 0.06, rho: 120, c: 1400, mm: 8 },
  'felt under': { k: 0.05, rho: 220, c: 1300, mm: 4 },
};
const JERSEY: Matter = { k: 0.07, rho: 450, c: 1340, mm: 0.4 };
const FIRM: Matter = { k: 0.25, rho: 1200, c: 1400, mm: 3 };
const SPONGE: Matter = { k: 0.1, rho: 450, c: 1300, mm: 8 };
/** Six millimetres of aluminium under the pad. */
const PLATE_JM2K = 0.006 * 2700 * 900;
const AIR_WM2K = 12;
const ROOM_C = 22;
const BASE_C = 45;
const KPA: Record<string, number> = { light: 11.5, medium: 20, firm: 32.5, heavy: 50 };

interface Cell {
  tempC: number;
  capacity: number;
  /** Half of its own resistance, m²K/W. */
  half: number;
  layer: number;
}

function cellsOf(layers: readonly Matter[], from: number, startC: (layer: number) => number): Cell[] {
  return layers.flatMap(({ k, rho, c, mm }, n) => {
    const many = Math.max(3, Math.min(24, Math.ceil(mm / 0.08)));
    const dx = mm / 1000 / many;
    return Array.from({ length: many }, () => ({ tempC: startC(n), capacity: rho * c * dx, half: dx / 2 / k, layer: from + n }));
  });
}

const contact = (kPa: number) => 1e-4 * (kPa / 20) ** -0.95;
const LOOSE = contact(0.5);

/** Flow per second of the glue, against 150 °C and 20 kPa. */
const flowRate = (tempC: number, kPa: number, softenC: number) =>
  ((kPa / 20) * Math.exp((-90_000 / 8.314) * (1 / (tempC + 273.15) - 1 / 423.15))) / (1 + Math.exp((softenC - tempC) / 3));

/** One instant on: heat between neighbours, from the platen or the air above, into the plate below. Answers the plate's temperature. */
function step(
  cells: Cell[],
  plateC: number,
  top: { tempC: number; resistance: number },
  joints: (above: number, below: number) => number,
  plateJoint: number,
  dt: number,
): number {
  const flux = cells.map((cell, i) => {
    const above = cells[i - 1];
    if (!above) return (top.tempC - cell.tempC) / (top.resistance + cell.half);
    const joint = above.layer === cell.layer ? 0 : joints(above.layer, cell.layer);
    return (above.tempC - cell.tempC) / (above.half + joint + cell.half);
  });
  const last = cells.at(-1) as Cell;
  const down = (last.tempC - plateC) / (last.half + plateJoint);
  cells.forEach((cell, i) => {
    cell.tempC += (dt * ((flux[i] as number) - (flux[i + 1] ?? down))) / cell.capacity;
  });
  return plateC + (dt * (down + AIR_WM2K * (ROOM_C - plateC))) / PLATE_JM2K;
}

/** How far the glue flows, s at 150 °C and 20 kPa, as the supplier of a transfer for cloth means it: a dry jersey, no pre-press, his own pads and cover. */
export function ownFlow(
  product: Product,
  setting: { surfaceC: number; timeS: number; band: string; cover: string | null; softenC: number },
): number {
  const kPa = KPA[setting.band] ?? 20;
  const over = [
    ...(product.pad === 'soft pad over' || product.pad === 'foam over' ? [PAD[product.pad] as Matter] : []),
    ...(setting.cover ? [COVER[setting.cover] as Matter] : []),
  ];
  const laid = [
    ...(product.carrier === 'none' ? [] : [CARRIER[product.carrier] as Matter]),
    { k: 0.2, rho: 1200, c: 1600, mm: product.filmMm },
  ];
  const under = [
    ...(product.pad === 'foam behind' || product.pad === 'felt under' ? [PAD[product.pad] as Matter] : []),
    product.base === 'firm' ? FIRM : SPONGE,
  ];
  const cloth = over.length + laid.length;
  let plateC = BASE_C;
  const lying = [...cellsOf([JERSEY], cloth, () => ROOM_C), ...cellsOf(under, cloth + 1, () => BASE_C)];
  const laidCells = cellsOf(laid, over.length, () => ROOM_C);
  const overCells = cellsOf(over, 0, () => ROOM_C);
  const run = (
    cells: Cell[],
    seconds: number,
    top: { tempC: number; resistance: number },
    pressed: boolean,
    each?: (dt: number) => void,
  ) => {
    const joint = (above: number) => (pressed || above > cloth ? contact(kPa) : LOOSE);
    const slowest = Math.min(...cells.map(({ capacity, half }) => capacity * half));
    const steps = Math.ceil(seconds / (0.45 * slowest));
    const dt = seconds / steps;
    for (let n = 0; n < steps; n++) {
      plateC = step(cells, plateC, top, joint, contact(kPa), dt);
      each?.(dt);
    }
  };
  const air = { tempC: ROOM_C, resistance: 1 / AIR_WM2K };
  run(lying, 15, air, false);
  run([...laidCells, ...lying], 25, air, false);
  let flow = 0;
  const film = laidCells.filter(({ layer }) => layer === cloth - 1);
  const column = [...overCells, ...laidCells, ...lying];
  run(column, setting.timeS, { tempC: setting.surfaceC, resistance: contact(kPa) }, true, (dt) => {
    const last = film.at(-1) as Cell;
    const next = lying[0] as Cell;
    // the underside of the film: where the flux through its last half cell brings it
    const flux = (last.tempC - next.tempC) / (last.half + contact(kPa) + next.half);
    flow += dt * flowRate(last.tempC - flux * last.half, kPa, setting.softenC);
  });
  return flow;
}

/** Families that are made for cloth; the others mean the very blank. */
export const FOR_CLOTH = (product: Product): boolean => product.substrates.includes('cloth');
