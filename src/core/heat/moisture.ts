/** How much water a fabric holds in a room. */
import { type Composition, FIBRES } from '../materials';

/** Humidity the regain of a fibre is stated at, %. */
const STATED_AT_PERCENT = 65;
/** Shape of the sorption curve, the same for every fibre: an estimate that fits cotton from 20 to 90 % within a tenth. */
const GAB = { c: 8, k: 0.75 } as const;

function sorbed(humidityPercent: number): number {
  const a = (GAB.k * humidityPercent) / 100;
  return (GAB.c * a) / ((1 - a) * (1 - a + GAB.c * a));
}

/**
 * Water in a fabric that has hung in a room, as a share of its dry mass: the fibres' regains by their shares, moved from 65 %
 * to the room's humidity along a sorption curve of the Guggenheim, Anderson and de Boer form.
 *
 * @param composition fibres by their share, 100 % together
 * @param humidityPercent 0 to 100
 * @returns 0 to 1
 * @returns kg of water a kg of dry cloth
 * @see van den Berg & Bruin, Water activity and its estimation in food systems (1981), for the GAB equation
 * @example regainOf([{ fibre: 'cotton', percent: 100 }], 65) // 0.08
 */
export function regainOf(composition: Composition, humidityPercent: number): number {
  const stated = composition.reduce((sum, { fibre, percent }) => sum + (percent / 100) * FIBRES[fibre].regainPercent, 0) / 100;
  return (stated * sorbed(humidityPercent)) / sorbed(STATED_AT_PERCENT);
}

/**
 * Water in a layer of fabric, kg/m².
 *
 * @param regain kg a kg of dry cloth
 * @param massGsm g/m²
 * @example waterOf(0.08, 200) // 0.016
 */
export const waterOf = (regain: number, massGsm: number): number => (regain * massGsm) / 1000;
