/** Heat: what the platen's temperature becomes further down, over time, and what that does. */
export {
  type Adhesive,
  type Assessment,
  bondUnder,
  type Growth,
  grownAt,
  growthOf,
  type Limits,
  type Pressed,
  press,
  type Reference,
  referenceFlow,
} from './assess';
export { type Allowed, type Correction, type CorrectionQuery, correct } from './correct';
export { deviations, type Meant, sensitivities } from './effects';
export { type Follow, followed, followOf, type Place, platenFor, unheated } from './follow';
export {
  COLD_OVER_ROOM_K,
  HARD_COLD_OVER_ROOM_K,
  SOUND,
  tempAt,
  WARM_C,
} from './indices';
export * from './layers';
export { DRYING_C, LATENT_J_KG } from './march';
export { regainOf, waterOf } from './moisture';
export { sceneOf } from './piece';
export {
  COOLING_PLACES,
  type CoolingPlace,
  GluedPieceSchema,
  type Passage,
  PassageSchema,
  type Piece,
  type Role,
  type StackLayer,
  StackLayerSchema,
} from './pieceSchema';
export { figure, type HeatLayer, type HeatStage, type Scene, SceneSchema } from './scene';
export { type BondBand, BondBandSchema, type Effect, EffectSchema, type PeelClock, PeelClockSchema, ReferenceSchema } from './schemas';
export { baseWarming, dryingTime, peelClock, type Series, series } from './series';
export { type Curve, type Solved, type SolveOptions, solve } from './solve';
export {
  curveBetween,
  limitLine,
  type Span,
  sharesAt,
  shutIn,
  type TwoSided,
  type TwoSidedPassage,
  type TwoSidedPlace,
  twoSided,
  upperForFlow,
} from './twoSided';
export { bondBand, type Doubt, soundChanceOf, Z_90 } from './uncertainty';
