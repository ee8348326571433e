/** Heat properties of what lies between the platens, and of the contacts between them. General figures; a shop's own fabrics carry their own. */

/** What heat sees of a substance. */
export interface Substance {
  /** W/mK, kg/m³, J/kgK */
  k: number;
  rho: number;
  c: number;
}
export interface LayerProperties extends Substance {
  thicknessMm: number;
}

export const COVER_SHEETS = {
  ptfe: { name: 'PTFE-coated sheet', k: 0.25, rho: 2100, c: 1000, thicknessMm: 0.13 },
  paper: { name: 'baking paper', k: 0.1, rho: 800, c: 1400, thicknessMm: 0.08 },
  matte: { name: 'matte paper', k: 0.1, rho: 900, c: 1400, thicknessMm: 0.1 },
  silicone: { name: 'silicone sheet', k: 0.22, rho: 1150, c: 1400, thicknessMm: 0.3 },
  'used carrier': { name: 'used carrier', k: 0.15, rho: 1150, c: 1300, thicknessMm: 0.11 },
} as const;
export type CoverSheet = keyof typeof COVER_SHEETS;

/** Pads that may lie over a piece. */
export const PADS_OVER = {
  'soft pad over': { name: 'soft pad', k: 0.22, rho: 1150, c: 1400, thicknessMm: 6 },
  'foam over': { name: 'foam', k: 0.06, rho: 120, c: 1400, thicknessMm: 8 },
} as const;

/** What may lie under a piece. A pillow of 20 mm is pressed to 8. */
export const UNDERLAYS = {
  pillow: { name: 'pillow', k: 0.06, rho: 120, c: 1400, thicknessMm: 8 },
  foam: { name: 'foam', k: 0.06, rho: 120, c: 1400, thicknessMm: 8 },
  felt: { name: 'felt pad', k: 0.05, rho: 220, c: 1300, thicknessMm: 4 },
  'firm pad': { name: 'firm pad', k: 0.25, rho: 1200, c: 1400, thicknessMm: 3 },
} as const;
export type Underlay = keyof typeof UNDERLAYS;

/** The sponge pad of a base that is not heated. */
export const BASE_PAD = { name: 'base pad', k: 0.1, rho: 450, c: 1300, thicknessMm: 8 } as const;
/** The metal the pad lies on, 6 mm of it, J/m²K. */
export const BASE_PLATE_JM2K = 0.006 * 2700 * 900;

/** Carriers, by what they are. */
export const CARRIERS = {
  film: { name: 'film carrier', k: 0.2, rho: 1380, c: 1200, thicknessMm: 0.1 },
  paper: { name: 'paper carrier', k: 0.1, rho: 900, c: 1400, thicknessMm: 0.12 },
} as const;
/** Film, ink and adhesive of a transfer, as one body. */
export const FILM: Substance = { k: 0.2, rho: 1200, c: 1600 };
/** A table top to lay a piece on: laminated board. */
export const TABLE = { name: 'table', k: 0.15, rho: 700, c: 1700, thicknessMm: 20 } as const;
/** A flat weight that a curling piece cools under: aluminium. */
export const WEIGHT = { name: 'weight', k: 200, rho: 2700, c: 900, thicknessMm: 10 } as const;
/** Loss of a face to still air, W/m²K. */
export const AIR_WM2K = 12;

/** Loss of the underside to the still air between the shelves of a rack, W/m²K. */
export const RACK_WM2K = 6;

const CONTACT_AT_20_KPA = 1e-4;
const CONTACT_EXPONENT = -0.95;
/** What lies loose touches about as well as under this, kPa. */
export const LOOSE_KPA = 0.5;

/**
 * Thermal resistance of one contact between pressed layers, m²K/W: 1×10⁻⁴ at 20 kPa, falling with pressure to the power 0.95.
 *
 * @param contactKPa above 0, kPa
 * @returns m²K/W
 * @see Yovanovich, conforming rough surfaces in contact: conductance ∝ P^0.95
 * @example contactResistance(20) // 0.0001
 */
export function contactResistance(contactKPa: number): number {
  return CONTACT_AT_20_KPA * (contactKPa / 20) ** CONTACT_EXPONENT;
}

/**
 * Resistance of a layer, m²K/W.
 *
 * @param layer thickness in mm, conductivity in W/mK
 * @example layerResistance({ k: 0.25, thicknessMm: 0.5 }) // 0.002
 */
export const layerResistance = (layer: Pick<LayerProperties, 'k' | 'thicknessMm'>): number => layer.thicknessMm / 1000 / layer.k;

/** Roles of what lies on the base, under what is pressed. */
export const ON_BASE: readonly string[] = ['underlay', 'pad'];
