/** The nearest place for art that cannot be pressed where its rule puts it. */

/** How far it is looked for, mm, and in how many directions. */
const RINGS_MM = [5, 10, 15, 20, 30, 40, 50, 65, 80, 100];
const DIRECTIONS = 8;

/**
 * The smallest shift at which a place works, looked for ring by ring; straight shifts before slanting ones.
 *
 * @param works whether the art can be placed and pressed, shifted by so much, mm
 * @returns null: nothing within 100 mm
 */
export function nearestShift(works: (shift: { xMm: number; yMm: number }) => boolean): { xMm: number; yMm: number } | null {
  for (const r of RINGS_MM)
    for (let i = 0; i < DIRECTIONS; i++) {
      // straight ones first: 0, 90, 180, 270 degrees, then those between
      const angle = ((i % 4) * Math.PI) / 2 + (i >= 4 ? Math.PI / 4 : 0);
      const shift = { xMm: Math.round(r * Math.cos(angle)), yMm: Math.round(r * Math.sin(angle)) };
      if (works(shift)) return shift;
    }
  return null;
}
