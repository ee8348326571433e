/** The card: the worked-out pressing of one print on one press, its lamp, reasons and ways out. */
export { type House, HouseSchema, STARTING_HOUSE } from './house';
export type { ResolveInput } from './input';
export { lampAt } from './lamp';
export { type Choices, type Line, LineSchema, type Order, OrderSchema, type Print, PrintSchema } from './order';
export { resolve } from './resolve';
export { RULES } from './rules';
export {
  type Bound,
  CARD_SCHEMA_VERSION,
  type Card,
  CardSchema,
  type Field,
  type Finding,
  type Lamp,
  type LampState,
  type Layer,
  type Margin,
  type Reason,
  type Stage,
  type Step,
  type WayOut,
  WayOutSchema,
  type Window,
} from './schema';
export { type Shelf, takeWayOut, waysOut } from './waysOut';
export { marginsAt, smallestMargin } from './window';
