/** Window: bounds on the surface of a press, how likely each set value passes them, and the set value of least risk. It knows no cloth and no transfer. */
export {
  type BareBound,
  type Bound,
  BoundSchema,
  LAMP_STATES,
  type LampState,
  type Margin,
  MarginSchema,
  type Side,
  type Window,
  WindowSchema,
} from './bound';
export { overClear, riskAt, STATE_RANK, worstAt } from './chance';
export { EDGE_SDS, platenWords, SHOWS_WITHIN_K, sheetBounds } from './edges';
export { type Aim, aimedAt, aimOf, bestOf, isTaken, marginsAt, settable, settableBetween, smallestMargin, windowOf } from './setValue';
