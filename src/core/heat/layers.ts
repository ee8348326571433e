/** Heat properties of what lies between the platens, and of the contacts between them. */

export interface LayerProperties {
  /** W/mK, kg/m³, J/kgK, mm */
  k: number;
  rho: number;
  c: number;
  thicknessMm: number;
}

export const COVER_SHEETS = {
  ptfe: { name: 'PTFE-coated sheet', k: 0.25, rho: 2100, c: 1000, thicknessMm: 0.13 },
  paper: { name: 'baking paper', k: 0.1, rho: 800, c: 1400, thicknessMm: 0.08 },
  matte: { name: 'matte paper', k: 0.1, rho: 900, c: 1400, thicknessMm: 0.1 },
  silicone: { name: 'silicone sheet', k: 0.22, rho: 1150, c: 1400, thicknessMm: 0.3 },
} as const;
export type CoverSheet = keyof typeof COVER_SHEETS;

/** Pads that may lie over a piece, as the face under them feels it. */
export const PADS_OVER = {
  'soft pad over': { name: 'soft pad', k: 0.22, thicknessMm: 6 },
  'foam over': { name: 'foam', k: 0.06, thicknessMm: 8 },
} as const;

/** The pad of a base that is not heated. */
export const BASE_PAD = { k: 0.1, thicknessMm: 8 } as const;

/** Carriers, by what they are. */
export const CARRIERS = {
  film: { k: 0.2, thicknessMm: 0.1 },
  paper: { k: 0.1, thicknessMm: 0.12 },
} as const;
export const FILM_K = 0.2;

const CONTACT_AT_20_KPA = 1e-4;
const CONTACT_EXPONENT = -0.95;

/**
 * Thermal resistance of one contact between pressed layers, m²K/W: 1×10⁻⁴ at 20 kPa, falling with pressure to the power 0.95.
 * @see Yovanovich, conforming rough surfaces in contact: conductance ∝ P^0.95
 */
export function contactResistance(contactKPa: number): number {
  return CONTACT_AT_20_KPA * (contactKPa / 20) ** CONTACT_EXPONENT;
}

/** Resistance of a layer, m²K/W. */
export const layerResistance = (layer: Pick<LayerProperties, 'k' | 'thicknessMm'>): number => layer.thicknessMm / 1000 / layer.k;

/** Effusivity √(kρc), W·√s/m²K: how strongly a body holds its surface temperature. */
export const effusivity = (body: Pick<LayerProperties, 'k' | 'rho' | 'c'>): number => Math.sqrt(body.k * body.rho * body.c);
