/** Materials: fibres, fabrics, blanks, aids, transfer families and products. */

export { type Aid, AidSchema, aidFor, COVER_KINDS, type CoverKind, type FoundAid, PAD_KINDS, type PadKind } from './aid';
export {
  BLANK_KINDS,
  type Blank,
  type BlankKind,
  BlankSchema,
  DUTIES,
  type Duty,
  OBSTRUCTION_KINDS,
  type Obstruction,
  POSITIONS,
  type Position,
  testPieceHeld,
  USUAL_POSITIONS,
} from './blank';
export { BUILT_IN_AIDS, builtInProducts, productFromFamily } from './builtIn';
export { BUILT_IN_BLANKS, usualPosition } from './builtInBlanks';
export { BUILT_IN_FABRICS } from './builtInFabrics';
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
export { Id, Name, nominalOf, PRESSURE_BANDS, type PressureBand, type Range, rangeOf, Words } from './fields';
export { OlderSheet, type Product, ProductSchema, pressStage, type SheetFor, sheetFor, stageOf, withRevision } from './product';
export { type SheetStage, STAGE_KINDS, type StageKind } from './stage';
export { ART_KINDS, type ArtKind, PEELS, type Peel, type Traits } from './traits';
