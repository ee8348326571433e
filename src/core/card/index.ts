/** The card: the worked-out pressing of one print on one press, its lamp, reasons and ways out. */

export { changesSince, choicesToRepeat } from './again';
export { type BenchStack, benchStack } from './benchStack';
export { changesBetween } from './between';
export { blankAfterTest, inputAfter, lineAfter, placedOn, type Stock } from './change';
export { type ClosingFigures, closingsOfCard, figuresAt } from './closings';
export { type SchoolExample, schoolExample } from './example';
export {
  type House,
  type HouseRules,
  HouseSchema,
  type HouseSetting,
  houseSetting,
  STARTING_HOUSE,
  withoutSetting,
  withSetting,
} from './house';
export { type LearnedShift, LearnedShiftSchema, layerName, type ResolveInput } from './input';
export { timeGoesByMass } from './kept';
export { type Laid, type LaidInput, laidOf, layOf, nudged, platenOf } from './laid';
export { lampAt } from './lamp';
export { areaOfArt } from './measured';
export {
  type Choices,
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
export { type Deal, deal, MISTAKES, type Mistake, type Outcome, type Played, play, SITUATIONS } from './practice';
export { runSizes, withPrintWidths } from './printRun';
export { judge, lampAndMinutes, QUICK, resolve, TRADE, type Trade } from './resolve';
export {
  type Bound,
  BoundSchema,
  CARD_SCHEMA_VERSION,
  type Card,
  CardSchema,
  type Change,
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
export { SCHOOLS, type School } from './schools';
export { fingerWords, handWords, mirrorWords, placeWords, pressureWords } from './steps';
export { waysOut } from './waysOut';
export { type Suited, type Wish, whichTransfer } from './whichTransfer';
export { marginsAt, smallestMargin } from './window';
