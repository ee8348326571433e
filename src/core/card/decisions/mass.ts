/** What a blank's own heat and damp ask for: the share of its sheet's time, and seconds to dry it. */
import { FIBRES } from '../../materials';
import { massOf } from '../draft';
import type { ResolveInput } from '../input';

/** Thermal mass at which a hard blank takes the shortest and the longest time of its sheet, J/m²K: a thin metal panel, a thick glass block. */
const MASS_RANGE = { least: 2_500, most: 31_500 } as const;
const MOISTURE_LEAST_S = 3;
const MOISTURE_MOST_S = 30;

/** Where a hard blank stands between the two, 0 to 1. */
export const massShare = (input: ResolveInput): number => {
  const { least, most } = MASS_RANGE;
  return Math.max(0, Math.min(1, (massOf(input) - least) / (most - least)));
};

/**
 * Seconds to boil this cloth's water off through its own resistance, from the room's humidity.
 * Latent heat 2.4 MJ/kg over the flux from a platen at the sheet's nominal; whole seconds, 3 to 30.
 */
export function dryingTimeS({ fabric, house }: ResolveInput, platenC: number): number {
  const regain = fabric.composition.reduce((sum, part) => sum + (part.percent / 100) * FIBRES[part.fibre].regainPercent, 0);
  const waterKgM2 = (fabric.massGsm / 1000) * (regain / 100) * (house.room.humidityPercent / 65);
  const resistance = 1e-4 + fabric.thicknessMm / 2000 / fabric.thermal.k;
  const heatUpS =
    (massOf({ fabric, blank: { thicknessMm: fabric.thicknessMm } as ResolveInput['blank'] }) * 78 * resistance) /
    Math.max(20, platenC - 60);
  const boilS = (waterKgM2 * 2.4e6 * resistance) / Math.max(20, platenC - 100);
  return Math.max(MOISTURE_LEAST_S, Math.min(MOISTURE_MOST_S, Math.ceil(heatUpS + boilS)));
}
