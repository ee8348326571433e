/** Presses: what they really do for what they are set to. */

export { aged, daysBetween, type UseSince, UseSinceSchema } from './ageing';
export {
  type AirDrive,
  AirDriveSchema,
  CRUSH_KPA,
  contactFromLine,
  faceMm2,
  forceAt,
  lineForContact,
  overlapMm2,
  ratioFrom,
  touchingMm2,
} from './airPressure';
export { bandOf, type Offset } from './band';
export { type Band, BandSchema } from './bandSchema';
export { type ChartPoint, type ControlChart, controlChart, type Due, nextSurvey } from './chart';
export { type ColdSpot, coldSpots } from './coldSpot';
export { type Contradiction, ContradictionSchema, contradiction, placeName } from './contradiction';
export { DeviceBoard, type DeviceView, LONGEST_LINE, readDeviceLine } from './device';
export { contactAtReading, type DialPair, type Pressed, readingForContact } from './dial';
export type { Estimate } from './estimate';
export { type Foreseen, foreseen, type Plan } from './foreseen';
export { type Heater, HeaterSchema } from './heater';
export {
  FINISHES,
  type Finish,
  type Instrument,
  InstrumentSchema,
  infraredReading,
  surfaceFromInfrared,
  type Taken,
  takeReading,
} from './instrument';
export { type InstrumentError, instrumentError } from './instrumentError';
export { newPress } from './newPress';
export { CORNERS, type Corner, type FoundSlips, type PaperPull, PULLS, type Pull, paperPullDue, pullAt, readPaperPull } from './paperPull';
export {
  type Area,
  fitPlaten,
  meanOffset,
  offsetAt,
  type Place,
  type PlatenFit,
  type PlatenReading,
  PRIOR,
  slopeOf,
} from './platenFit';
export {
  coldUnder,
  narrowestWindow,
  type PlatenMap,
  PlatenMapSchema,
  platenMap,
  settingFor,
  surfaceOver,
} from './platenMap';
export {
  deliveredBand,
  dwell,
  dwells,
  fitsShape,
  isHandHeld,
  PRESS_KINDS,
  type Press,
  type PressKind,
  PressSchema,
  platensOf,
  pressOffset,
  setForMiddle,
  TIMER_STEPS,
  usualPress,
} from './press';
export { BAND_KPA, bandMiddle, contactIfUnchanged, type PressureSetting, pressureSetting } from './pressure';
export { afterCheck, checkFound, commonDoubt, correctedBy, type FoundCheck, FoundCheckSchema, isAsItWas } from './quickCheck';
export { type PressAmendment, PressAmendmentSchema, type PressRecord, PressRecordSchema, rotateVerdict } from './record';
export {
  closed,
  coldPress,
  type SimulatedPressFacts,
  type SimulatedPressState,
  simulatedSurface,
  simulatedWord,
  stepped,
} from './simulator';
export {
  bandOfTenths,
  type Normal,
  priorTenths,
  SURE,
  type Surface,
  shifted,
  surfaceAt,
  surfaceOf,
  type Tenths,
  TenthsSchema,
} from './surface';
export {
  coverageFault,
  isSettled,
  MOST_CHECKED,
  oddReading,
  PLANS,
  type QuickCheck,
  readingsOf,
  type Survey,
  type SurveyReading,
  SurveySchema,
} from './survey';
export {
  type Closing,
  canBeTrue,
  droopOf,
  dropOfClosing,
  heatOfClosing,
  type LoggedTime,
  lossOf,
  refined,
  shortestCycle,
  temperatureAfter,
  timeBetween,
} from './warmUp';
