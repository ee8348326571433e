/** A sheet of cloth between two platens: where the temperature settles at one depth. */

/** A depth in the stack: the resistance above it to the upper platen and below it to the lower, m²K/W. */
export interface Depth {
  above: number;
  below: number;
}

/**
 * Share of the upper platen in the settled temperature at a depth, 0 to 1; the lower platen has the rest.
 *
 * Steady one-dimensional conduction: no heat is stored, so the flux through both resistances is one and the same and
 * `T = (T_u/R_above + T_l/R_below) / (1/R_above + 1/R_below)`. Cloth of ordinary thickness settles in a second or two.
 *
 * @see Incropera, Fundamentals of Heat and Mass Transfer, §3.1 (plane wall, series resistances)
 */
export const upperShare = ({ above, below }: Depth): number => below / (above + below);

/** Settled temperature at a depth between two platens, °C. */
export function settledTemperature(depth: Depth, upperC: number, lowerC: number): number {
  const share = upperShare(depth);
  return share * upperC + (1 - share) * lowerC;
}

/** The upper platen that brings a depth to a temperature while the lower one stands, °C. */
export function upperFor(depth: Depth, wantedC: number, lowerC: number): number {
  const share = upperShare(depth);
  return (wantedC - (1 - share) * lowerC) / share;
}
