/** The log: pressings, the later facts about them, and what an order still needs. */
export { firstMissing, type KitItem, kitsOf, type PersonKit, PersonKitSchema, type PressedFor, stillWanting } from './kit';
export { learnShifts, type Reckoned } from './learn';
export { type NextPrint, nextPrint, type PrintToPress } from './nextPrint';
export { type PickList, pickList } from './pickList';
export {
  type MeasuredPlace,
  type OffPlace,
  OffPlaceSchema,
  offPlaceText,
  type PlacementBias,
  placementBias,
  readOffPlace,
} from './placementBias';
export { type Amendment, AmendmentSchema, type Pressing, type PressingContext, PressingSchema, pressingOf } from './pressing';
export { type LineProgress, LineProgressSchema, type PrintProgress } from './progress';
export {
  finishedPieces,
  lineLamp,
  orderLamp,
  printLeft,
  spoiledPieces,
} from './queue';
export { canBeRescued, type Rescue, RescueSchema, rescueOf, rescueText } from './rescue';
export { type NextStep, nextStep, STATION_IDS, type Station, type StationAt, stationHref, stationsOf } from './stations';
