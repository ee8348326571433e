/** Materials: fibres, fabrics, blanks, and the aids that lie over and under them. */

export { AID_KINDS, type Aid, AidSchema, aidFor } from './aid';
export { type Blank, BlankSchema, BlankShapeSchema, DUTIES, type Duty, OBSTRUCTION_KINDS, type Obstruction, testPieceHeld } from './blank';
export {
  BLANK_KINDS,
  canBeThreaded,
  isSided,
  POSITIONS,
  type Position,
  SIDES,
  sidedWords,
  USUAL_POSITIONS,
  usualPosition,
} from './blankKinds';
export { BUILT_IN_AIDS } from './builtInAids';
export { BUILT_IN_BLANKS } from './builtInBlanks';
export { BUILT_IN_FABRICS } from './builtInFabrics';
export { clothColour, isDarkColour } from './clothColour';
export { COVER_KINDS, type CoverKind, coverAid } from './cover';
export { contradictions, MEASURES, type Measures, NECKS, UnknownSize } from './cut';
export {
  blendLimits,
  COATINGS,
  type Coating,
  type Composition,
  countedFibres,
  cracksByShock,
  describeComposition,
  describeMaterial,
  FABRIC_GROUPS,
  type Fabric,
  type FabricGroup,
  FabricSchema,
  fibreLimits,
  groupOf,
  hasPile,
  isBrittle,
  isFibrous,
  isHard,
  lowestForTime,
  mostShiftOf,
  SUBSTRATES,
  type Substrate,
  TEXTURES,
  type TimedLimit,
  thermalMass,
} from './fabric';
export { FIBRE_IDS, FIBRES, type FibreId, NEVER_PRESSED } from './fibres';
export {
  DWELL_S,
  Dwell,
  Id,
  Initials,
  Name,
  nominalOf,
  PRESSURE_BANDS,
  type PressureBand,
  type Range,
  RetiredOn,
  SET_C,
  SetTemp,
  Words,
} from './fields';
export { bySize, readHatSize, readSize } from './sizes';
export { type BlankMeasures, blankMeasures, cutOf, faceOf, PANELS, type Panel, shapeOf } from './standardCuts';
