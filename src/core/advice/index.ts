/** Advice: ways out of a Hold, which transfer for a blank, what to set otherwise, the same again, practice. */

export { changesSince, choicesToRepeat } from './again';
export { type BenchStack, benchStack } from './benchStack';
export { changesBetween } from './between';
export { blankAfterTest, lineAfter, placedOn } from './change';
export { schoolExample } from './example';
export { type HeatWay, HeatWaySchema, heatWays } from './heatWays';
export { type Matrix, matrixOf } from './matrix';
export { type Deal, deal, MISTAKES, type Mistake, type Outcome, type Played, play, SITUATIONS } from './practice';
export { type Suited, SuitedSchema, type Worth, WorthSchema } from './replies';
export { cardsInOneClosing, cardTogether, isAlike } from './together';
export { type Change, type WayOut, WayOutSchema } from './wayOut';
export { waysOut } from './waysOut';
export { whichTransfer } from './whichTransfer';
export { MEASURINGS, type Measuring, worthOf } from './worth';
