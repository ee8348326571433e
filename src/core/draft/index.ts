/** Draft: a piece with every value decided but its temperature: where it lies, what lies over and under it, how long, how it is peeled, each with its reason. */

export { type Closing, closingBand, closingsOf, type Further, type Furthers, furthersOf, type OnCloth } from './closings';
export { decided } from './decide';
export { bandOnCloth, DECISIONS, type Decision, type Decisions, SPOT_OVERLAP_MM } from './decisions';
export {
  type Draft,
  faceOfPiece,
  familyOf,
  massOf,
  obstructionsUnder,
  pressOf,
  sheetStage,
  tackOf,
  thicknessOf,
  touchingArea,
  trialOf,
} from './draft';
export { houseSettingWords, houseTemp, inEffect, leftOutReason, ownBand, ownSetC, timeScalesWithMass } from './houseSettings';
export { layerName, layersOf, type PreparedInput, type ResolveInput } from './input';
export { type LearnedShift, LearnedShiftSchema } from './learnedShift';
export { dyeLimit, HARMS, LIMIT_SD_K, limitSdOf, limitsFor, limitWords, MARKS } from './limits';
export { areaOfArt, layIn, mapOf, prepared } from './measured';
export { miniatureOf, miniatureSvg } from './miniature';
export { MIRRORS, type Mirror } from './mirror';
export { clearanceOf, layOf, laysTogether, nudged, PILLOW_SINKS_MM, type Pose, type PoseInput, platenOf, poseOf } from './pose';
export { FIELDS, type Field, type Reason, ReasonSchema } from './reason';
export { isTimeSettled } from './settled';
export {
  adhesiveOf,
  CARD_HEAT,
  coveredBySheet,
  learnedOf,
  MEANT_BASE_C,
  meansCloth,
  meantCloth,
  type PadOver,
  pieceOf,
  referenceOf,
  sheetFlow,
  softensAt,
  WEIGHED_HEAT,
} from './stack';
export {
  type TestedFault,
  type TestedStart,
  testedFaults,
  testedLeftOut,
  testedOnBlank,
  testedStart,
  testedWords,
} from './tested';
