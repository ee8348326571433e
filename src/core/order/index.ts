/** Order: what a customer wants, as it is typed in; lines, prints, layers, and the sizes that share a print. */

export { closingOf } from './closing';
export { type KitPerson, linesOfKit, onlyPersonOf, peopleOf, whoseIs } from './kit';
export {
  BASES,
  type Base,
  type Choices,
  GOES_BY,
  type GoesBy,
  heated,
  LaySchema,
  type Line,
  LineSchema,
  MOST_A_CLOSING,
  type Order,
  OrderSchema,
  type Print,
  type PrintLayer,
  PrintSchema,
  pressingOrder,
  type RosterEntry,
  RosterEntrySchema,
  topLayer,
} from './order';
export { runSizes, withPrintWidths } from './printRun';
