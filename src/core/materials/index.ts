/** Materials: fibres, fabrics, blanks, aids, transfer families and products. */

export { type Aid, AidSchema, aidFor, COVER_KINDS, type CoverKind, type FoundAid, PAD_KINDS, type PadKind } from './aid';
export {
  type Blank,
  BlankSchema,
  BlankShapeSchema,
  DUTIES,
  type Duty,
  OBSTRUCTION_KINDS,
  type Obstruction,
  type ObstructionKind,
  testPieceHeld,
} from './blank';
export {
  BLANK_KINDS,
  type BlankKind,
  isSided,
  POSITIONS,
  type Position,
  SIDES,
  type Side,
  sidedWords,
  USUAL_POSITIONS,
  usualPosition,
} from './blankKinds';
export { BUILT_IN_AIDS, builtInProducts, productFromFamily } from './builtIn';
export { BUILT_IN_BLANKS } from './builtInBlanks';
export { BUILT_IN_FABRICS } from './builtInFabrics';
export { type Cut, type CutShape, contradictions, MEASURES, type Measures, NECKS, type Neck, UnknownSize } from './cut';
export {
  blendLimits,
  COATINGS,
  type Coating,
  type Composition,
  CompositionSchema,
  countedFibres,
  describeComposition,
  describeMaterial,
  FABRIC_GROUPS,
  type Fabric,
  type FabricGroup,
  type FabricLimit,
  FabricSchema,
  groupOf,
  isBrittle,
  isHard,
  limitForTime,
  SUBSTRATES,
  type Substrate,
  thermalMass,
} from './fabric';
export { FAMILIES } from './families';
export { FAMILY_IDS, type Family, type FamilyId } from './family';
export { FIBRE_IDS, FIBRES, type FibreId } from './fibres';
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
  rangeOf,
  SET_C,
  SetTemp,
  Words,
} from './fields';
export { OlderSheet, type Product, ProductSchema, pressStage, type SheetFor, sheetFor, stageOf, withRevision } from './product';
export { isFoundBy } from './search';
export { bySize, readSize } from './sizes';
export { type SheetStage, STAGE_KINDS, type StageKind } from './stage';
export { type BlankMeasures, blankMeasures, cutOf, faceOf, PANELS, type Panel, shapeOf } from './standardCuts';
export { ART_KINDS, type ArtKind, PEELS, type Peel, type Traits } from './traits';
